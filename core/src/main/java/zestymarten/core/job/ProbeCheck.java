package zestymarten.core.job;

import java.util.OptionalDouble;
import zestymarten.core.judge.Judgement;
import zestymarten.core.judge.Judgement.Contact;
import zestymarten.core.judge.Judgement.Verdict;
import zestymarten.core.plan.Stage;
import zestymarten.core.plan.Step;
import zestymarten.core.quantity.Understood;

/** What the joined probes say about the meter itself. */
final class ProbeCheck {
    /** More than this for a pair of test leads is worn or badly plugged. */
    private static final double HIGH_LEADS_OHM = 2;

    private ProbeCheck() {}

    static Understood understand(Step.Probes probes, Understood plain) {
        if (plain instanceof Understood.Refused) {
            return plain;
        }
        boolean tone = plain instanceof Understood.Tone || plain instanceof Understood.Silent;
        boolean ohms =
                plain instanceof Understood.Value value && value.unit() == Understood.Unit.OHM && value.value() <= 1000;
        if (probes.question() == Step.Probes.Question.TONE) {
            return tone ? plain : new Understood.Refused("Press b if it beeps, n if it does not.");
        }
        return ohms
                ? plain
                : new Understood.Refused(
                        "Enter the resistance with the probes joined, such as 0.3. If they read over-range, a lead is broken or"
                                + " a plug is loose: repair that first.");
    }

    static Judgement judge(Step.Probes probes, Understood meaning) {
        if (probes.question() == Step.Probes.Question.TONE) {
            return meaning instanceof Understood.Tone
                    ? said(Verdict.PASS, Contact.JOINED, "The meter beeps.")
                    : said(Verdict.WATCH, Contact.UNKNOWN, silent(probes));
        }
        if (!(meaning instanceof Understood.Value value)) {
            return said(Verdict.DOUBTFUL, Contact.UNKNOWN, "The test-lead resistance was not read.");
        }
        return value.value() > HIGH_LEADS_OHM
                ? said(
                        Verdict.WATCH,
                        Contact.JOINED,
                        "The leads add " + value.text() + ", which is much: a worn lead or a loose plug?")
                : said(Verdict.PASS, Contact.JOINED, "The leads add " + value.text() + ".");
    }

    private static String silent(Step.Probes probes) {
        return probes.stage() == Stage.METER
                ? "The meter does not beep: go by resistance only in this test."
                : "The meter does not beep now: repair the leads, then read again what they have put in doubt.";
    }

    private static Judgement said(Verdict verdict, Contact contact, String reason) {
        return new Judgement(
                verdict, contact, Judgement.Reason.CHECKED, reason, OptionalDouble.empty(), OptionalDouble.empty());
    }
}
