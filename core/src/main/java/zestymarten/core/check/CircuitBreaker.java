package zestymarten.core.check;

import java.util.ArrayList;
import java.util.List;
import zestymarten.core.check.Conclusion.Code;
import zestymarten.core.limit.Limit;
import zestymarten.core.quantity.NotAccepted;

/**
 * A circuit breaker, out of the circuit: each pole switched on and off.
 *
 * @param poles 1 to 4
 */
public record CircuitBreaker(int poles) implements CheckedItem {
    private static final int MAX_POLES = 4;

    public CircuitBreaker {
        if (poles < 1 || poles > MAX_POLES) {
            throw new NotAccepted("circuit_breaker.breaker_poles", MAX_POLES, poles);
        }
    }

    @Override
    public List<CheckQuestion> questions() {
        List<CheckQuestion> questions = new ArrayList<>();
        for (int pole = 1; pole <= poles; pole++) {
            String name = Integer.toString(pole);
            questions.add(new CheckQuestion(
                    CheckQuestion.CheckMeasurement.POLE_ON,
                    CheckFigures.atMost(CheckFigures.CONTACT_OHM, Limit.Rule.PART),
                    name));
            questions.add(
                    new CheckQuestion(CheckQuestion.CheckMeasurement.POLE_OFF, new GoodReading.NoContinuity(), name));
        }
        return questions;
    }

    @Override
    public List<Conclusion> conclusions(CheckReadings answers) {
        List<Conclusion> faults = Contacts.faults(answers.all());
        return faults.isEmpty() && answers.isGood() ? List.of(Conclusion.good(Code.BREAKER_CONDUCTS)) : faults;
    }
}
