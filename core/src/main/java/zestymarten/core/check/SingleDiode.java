package zestymarten.core.check;

import java.util.List;
import java.util.Optional;
import zestymarten.core.check.Conclusion.Code;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.quantity.EngineeringFormat;

/** A diode on the meter's diode range, both ways: silicon reads about 0.5 to 0.8 V forward, Schottky from 0.15 V. */
public record SingleDiode() implements CheckedItem {
    private static final double LEAST_V = 0.15;
    private static final double MOST_V = 0.9;

    @Override
    public List<CheckQuestion> questions() {
        return List.of(
                new CheckQuestion(CheckQuestion.CheckMeasurement.FORWARD, new GoodReading.Forward(LEAST_V, MOST_V)),
                new CheckQuestion(CheckQuestion.CheckMeasurement.BACKWARD, new GoodReading.Blocks()));
    }

    @Override
    public List<Conclusion> conclusions(CheckReadings answers) {
        Optional<CheckReading> forward = of(answers, CheckQuestion.CheckMeasurement.FORWARD);
        Optional<CheckReading> backward = of(answers, CheckQuestion.CheckMeasurement.BACKWARD);
        boolean doubtful = answers.all().stream().anyMatch(each -> each.verdict() == Verdict.DOUBTFUL);
        if (forward.isEmpty() || backward.isEmpty() || doubtful) {
            return List.of();
        }
        double there = forward.get().figure().orElse(-1);
        double back = backward.get().figure().orElse(-1);
        boolean conducts = forward.get().verdict() == Verdict.PASS;
        if (conducts && backward.get().isOpen()) {
            return List.of(Conclusion.good(Code.DIODE_GOOD, EngineeringFormat.text(there, "V")));
        }
        if (forward.get().isOpen() && backward.get().isOpen()) {
            return List.of(Conclusion.bad(Code.DIODE_OPEN));
        }
        if (there >= 0 && there < LEAST_V && back >= 0 && back < LEAST_V) {
            return List.of(Conclusion.bad(Code.DIODE_SHORTED));
        }
        return List.of(
                forward.get().isOpen() && back >= LEAST_V && back <= MOST_V
                        ? Conclusion.bad(Code.DIODE_REVERSED, EngineeringFormat.text(back, "V"))
                        : Conclusion.bad(Code.DIODE_ODD));
    }

    private static Optional<CheckReading> of(CheckReadings answers, CheckQuestion.CheckMeasurement ask) {
        return answers.all().stream().filter(each -> each.is(ask)).findFirst();
    }
}
