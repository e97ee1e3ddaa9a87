package zestymarten.core.job;

import java.util.OptionalDouble;
import zestymarten.core.judge.Judgement;
import zestymarten.core.judge.Judgement.Contact;
import zestymarten.core.judge.Judgement.Verdict;
import zestymarten.core.plan.Step;
import zestymarten.core.quantity.Understood;

/** What the joined probes say about the meter itself. */
final class ProbeCheck {
    /** More than this for a pair of test leads is worn or badly plugged. */
    private static final double HIGH_LEADS_OHM = 2;

    private ProbeCheck() {}

    static Judgement judge(Step.Probes probes, Understood meaning) {
        if (probes.question() == Step.Probes.Question.TONE) {
            return meaning instanceof Understood.Tone
                    ? said(Verdict.PASS, Contact.JOINED, "The meter sounds.")
                    : said(Verdict.WATCH, Contact.UNKNOWN, "The meter stays silent: go by ohms alone in this run.");
        }
        if (!(meaning instanceof Understood.Value value)) {
            return said(Verdict.DOUBTFUL, Contact.UNKNOWN, "The leads' ohms were not read.");
        }
        return value.value() > HIGH_LEADS_OHM
                ? said(
                        Verdict.WATCH,
                        Contact.JOINED,
                        "The leads add " + value.text() + ", which is much: a worn lead or a loose plug?")
                : said(Verdict.PASS, Contact.JOINED, "The leads add " + value.text() + ".");
    }

    private static Judgement said(Verdict verdict, Contact contact, String reason) {
        return new Judgement(verdict, contact, reason, OptionalDouble.empty(), OptionalDouble.empty());
    }
}
