package zestymarten.core.check;

import java.util.OptionalDouble;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Reason;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.quantity.MeterReading;

/**
 * What was read at a question, and how it stands.
 *
 * @param figure the resistance less the leads in ohms, or the voltage in volts, where there is one
 */
public record CheckReading(
        CheckQuestion question,
        MeterReading meaning,
        Verdict verdict,
        Contact contact,
        Reason reason,
        OptionalDouble figure) {
    /** Whether it shows that nothing conducts there. */
    boolean isOpen() {
        return contact == Contact.APART;
    }

    /** Whether it shows a path that should not be there. */
    boolean isJoinedAtFault() {
        return verdict == Verdict.FAIL
                && contact == Contact.JOINED
                && question.expected() instanceof GoodReading.NoContinuity;
    }

    boolean is(CheckQuestion.CheckMeasurement ask) {
        return question.ask() == ask;
    }

    /** What it concerns, first. */
    String subject() {
        return question.of().isEmpty() ? "" : question.of().get(0);
    }
}
