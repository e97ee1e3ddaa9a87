package zestymarten.core.check;

import java.util.ArrayList;
import java.util.List;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.check.Conclusion.Code;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.limit.Limit;
import zestymarten.core.limit.LimitRules;

/**
 * One wire or core, end to end, and against what lies beside it.
 *
 * @param wire with its length, section and metal as far as they are known
 * @param ambientC its temperature, -80 to 200 °C
 */
public record SingleWire(Conductor wire, double ambientC) implements CheckedItem {
    @Override
    public List<CheckQuestion> questions() {
        Limit limit = new LimitRules(ambientC).of(wire);
        return List.of(
                new CheckQuestion(CheckQuestion.CheckMeasurement.WIRE, new GoodReading.Resistance(limit)),
                new CheckQuestion(
                        CheckQuestion.CheckMeasurement.WIRE_TO_OTHERS,
                        List.of(),
                        new GoodReading.NoContinuity(),
                        true));
    }

    @Override
    public List<Conclusion> conclusions(CheckReadings answers) {
        List<Conclusion> said = new ArrayList<>();
        for (CheckReading each : answers.all()) {
            if (each.verdict() == Verdict.FAIL) {
                said.add(fault(each));
            } else if (each.verdict() == Verdict.MARGINAL
                    && each.is(CheckQuestion.CheckMeasurement.WIRE)
                    && isLow(each)) {
                said.add(new Conclusion(Code.WIRE_LOW, List.of(CheckFigures.ohms(each)), Verdict.MARGINAL));
            }
        }
        return said.isEmpty() && answers.isGood() ? List.of(Conclusion.good(Code.WIRE_GOOD)) : said;
    }

    private static boolean isLow(CheckReading each) {
        return each.question().expected() instanceof GoodReading.Resistance known
                && each.figure().isPresent()
                && each.figure().getAsDouble() < known.limit().low().value();
    }

    private static Conclusion fault(CheckReading each) {
        if (each.is(CheckQuestion.CheckMeasurement.WIRE_TO_OTHERS)) {
            return Conclusion.bad(Code.WIRE_SHORTED, CheckFigures.ohms(each));
        }
        if (each.contact() == Contact.UNSTABLE) {
            return Conclusion.bad(Code.WIRE_JUMPS);
        }
        return each.isOpen() || each.contact() == Contact.LEAK
                ? Conclusion.bad(Code.WIRE_OPEN)
                : Conclusion.bad(Code.WIRE_HIGH, CheckFigures.ohms(each), CheckFigures.limit(each));
    }
}
