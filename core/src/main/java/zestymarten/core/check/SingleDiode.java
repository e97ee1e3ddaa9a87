package zestymarten.core.check;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.check.Conclusion.Code;
import zestymarten.core.judgement.DiodeJudge;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.Message;

/** A diode on the meter's diode range, both ways, judged by {@link DiodeJudge}. */
public record SingleDiode() implements CheckedItem {
    @Override
    public List<CheckQuestion> questions() {
        return List.of(
                new CheckQuestion(
                        CheckQuestion.CheckMeasurement.FORWARD,
                        new GoodReading.Forward(DiodeJudge.MIN_V, DiodeJudge.MAX_V)),
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
        return List.of(
                switch (DiodeJudge.both(judgement(forward.get()), judgement(backward.get()))) {
                    case GOOD -> Conclusion.good(Code.DIODE_GOOD, volts(forward.get()));
                    case OPEN -> Conclusion.bad(Code.DIODE_OPEN);
                    case SHORTED -> Conclusion.bad(Code.DIODE_SHORTED);
                    case REVERSED -> Conclusion.bad(Code.DIODE_REVERSED, volts(backward.get()));
                    case ODD -> Conclusion.bad(Code.DIODE_ODD);
                });
    }

    private static Judgement judgement(CheckReading read) {
        return new Judgement(
                read.verdict(),
                read.contact(),
                read.reason(),
                Message.NONE,
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    private static String volts(CheckReading read) {
        return EngineeringFormat.text(read.figure().orElse(0), "V");
    }

    private static Optional<CheckReading> of(CheckReadings answers, CheckQuestion.CheckMeasurement ask) {
        return answers.all().stream().filter(each -> each.is(ask)).findFirst();
    }
}
