package zestymarten.core.testrun;

import java.util.OptionalDouble;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.quantity.Message;
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
            return tone ? plain : new MeterReading.Refused(Message.of("lead_reading_check.press_if_beeps_if"));
        }
        return ohms ? plain : new MeterReading.Refused(Message.of("lead_reading_check.enter_resistance_probes_joined"));
    }

    static Judgement judge(TestStep.LeadCheck probes, MeterReading meaning) {
        if (probes.question() == TestStep.LeadCheck.LeadQuestion.TONE) {
            return meaning instanceof MeterReading.Tone
                    ? said(Verdict.PASS, Contact.JOINED, Message.of("lead_reading_check.meter_beeps"))
                    : said(Verdict.MARGINAL, Contact.UNKNOWN, silent(probes));
        }
        if (!(meaning instanceof MeterReading.Value value)) {
            return said(Verdict.DOUBTFUL, Contact.UNKNOWN, Message.of("lead_reading_check.test_lead_resistance_was"));
        }
        return value.value() > HIGH_LEADS_OHM
                ? said(Verdict.MARGINAL, Contact.JOINED, Message.of("lead_reading_check.leads_add_which_much", value))
                : said(Verdict.PASS, Contact.JOINED, Message.of("lead_reading_check.leads_add", value));
    }

    private static Message silent(TestStep.LeadCheck probes) {
        return probes.stage() == Stage.METER
                ? Message.of("lead_reading_check.meter_does_not_beep")
                : Message.of("lead_reading_check.meter_does_not_beep_2");
    }

    private static Judgement said(Verdict verdict, Contact contact, Message reason) {
        return new Judgement(
                verdict, contact, Judgement.Reason.CHECKED, reason, OptionalDouble.empty(), OptionalDouble.empty());
    }
}
