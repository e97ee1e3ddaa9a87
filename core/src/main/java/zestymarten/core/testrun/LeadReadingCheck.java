package zestymarten.core.testrun;

import java.util.OptionalDouble;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;

/** What the joined probes say about the meter itself. */
final class LeadReadingCheck {
    /** More than this for a pair of test leads is worn or badly plugged. */
    private static final double HIGH_LEADS_OHM = 2;

    private LeadReadingCheck() {}

    static MeterReading understand(TestStep.LeadCheck probes, MeterReading plain) {
        if (plain instanceof MeterReading.Refused) {
            return plain;
        }
        boolean tone = plain instanceof MeterReading.Tone || plain instanceof MeterReading.Silent;
        boolean ohms = plain instanceof MeterReading.Value value
                && value.unit() == MeterReading.Unit.OHM
                && value.value() <= 1000;
        if (probes.question() == TestStep.LeadCheck.LeadQuestion.TONE) {
            return tone ? plain : new MeterReading.Refused("Press b if it beeps, n if it does not.");
        }
        return ohms
                ? plain
                : new MeterReading.Refused(
                        "Enter the resistance with the probes joined, such as 0.3. If they read over-range, a lead is broken or"
                                + " a plug is loose: repair that first.");
    }

    static Judgement judge(TestStep.LeadCheck probes, MeterReading meaning) {
        if (probes.question() == TestStep.LeadCheck.LeadQuestion.TONE) {
            return meaning instanceof MeterReading.Tone
                    ? said(Verdict.PASS, Contact.JOINED, "The meter beeps.")
                    : said(Verdict.WATCH, Contact.UNKNOWN, silent(probes));
        }
        if (!(meaning instanceof MeterReading.Value value)) {
            return said(Verdict.DOUBTFUL, Contact.UNKNOWN, "The test-lead resistance was not read.");
        }
        return value.value() > HIGH_LEADS_OHM
                ? said(
                        Verdict.WATCH,
                        Contact.JOINED,
                        "The leads add " + value.text() + ", which is much: a worn lead or a loose plug?")
                : said(Verdict.PASS, Contact.JOINED, "The leads add " + value.text() + ".");
    }

    private static String silent(TestStep.LeadCheck probes) {
        return probes.stage() == Stage.METER
                ? "The meter does not beep: go by resistance only in this test."
                : "The meter does not beep now: repair the leads, then read again what they have put in doubt.";
    }

    private static Judgement said(Verdict verdict, Contact contact, String reason) {
        return new Judgement(
                verdict, contact, Judgement.Reason.CHECKED, reason, OptionalDouble.empty(), OptionalDouble.empty());
    }
}
