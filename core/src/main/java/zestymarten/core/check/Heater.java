package zestymarten.core.check;

import java.util.ArrayList;
import java.util.List;
import zestymarten.core.check.Conclusion.Code;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.quantity.Bounds;

/**
 * A heating element, cold. Cold it may have up to {@value #COLD} less than hot, by its metal; {@value #ABOVE} more is its
 * tolerance.
 *
 * @param ohm hot, from its power and voltage or its plate: above 0
 */
public record Heater(double ohm) implements CheckedItem {
    private static final double COLD = 0.15;
    private static final double ABOVE = 0.1;
    private static final double MAX_OHM = 1e6;

    public Heater {
        Bounds.aboveZero("check_figures.what_the_heater_s_resistance", ohm, MAX_OHM, "Ω");
    }

    /**
     * By its plate: {@code R = U² / P}.
     *
     * @throws IllegalArgumentException if a figure is not above 0
     */
    public static Heater of(double volts, double watts) {
        return new Heater(Bounds.aboveZero("check_figures.what_the_voltage", volts, 1e5, "V")
                * volts
                / Bounds.aboveZero("check_figures.what_the_power", watts, 1e7, "W"));
    }

    @Override
    public List<CheckQuestion> questions() {
        return List.of(
                new CheckQuestion(CheckQuestion.CheckMeasurement.HEATER, CheckFigures.around(ohm, COLD, ABOVE)),
                new CheckQuestion(CheckQuestion.CheckMeasurement.ELEMENT_TO_FRAME, new GoodReading.NoContinuity()));
    }

    @Override
    public List<Conclusion> conclusions(CheckReadings answers) {
        List<Conclusion> said = new ArrayList<>();
        for (CheckReading each : answers.all()) {
            if (each.verdict() == Verdict.FAIL) {
                said.add(
                        each.is(CheckQuestion.CheckMeasurement.ELEMENT_TO_FRAME)
                                ? Conclusion.bad(Code.SHORT_TO_FRAME, CheckFigures.ohms(each))
                                : each.figure().isEmpty() || each.isOpen()
                                        ? Conclusion.bad(Code.HEATER_OPEN)
                                        : Conclusion.bad(Code.HEATER_WRONG, CheckFigures.ohms(each)));
            }
        }
        return said.isEmpty() && answers.isGood() ? List.of(Conclusion.good(Code.HEATER_GOOD)) : said;
    }
}
