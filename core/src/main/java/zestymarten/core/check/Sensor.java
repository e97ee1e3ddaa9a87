package zestymarten.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.check.Conclusion.Code;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.NotAccepted;

/**
 * A temperature sensor at a known temperature, and again at another one.
 *
 * @param celsius its temperature at the first reading, within its curve
 * @param again its temperature at the second reading, within its curve and at least 5 K away; empty if it is read once
 */
public record Sensor(SensorCurve curve, double celsius, OptionalDouble again) implements CheckedItem {
    /** Less than this share of what it should have is a short circuit, not a warm sensor. */
    private static final double SHORTED_SHARE = 0.02;

    private static final double MIN_STEP_K = 5;

    public Sensor {
        for (OptionalDouble each : List.of(OptionalDouble.of(celsius), again)) {
            if (each.isPresent() && !curve.covers(each.getAsDouble())) {
                throw new NotAccepted(
                        "sensor.sensor_temperature_within",
                        NotAccepted.given(each.getAsDouble(), "°C"),
                        NotAccepted.given(curve.lowestC(), "°C"),
                        NotAccepted.given(curve.highestC(), "°C"));
            }
        }
        if (again.isPresent() && !(Math.abs(again.getAsDouble() - celsius) >= MIN_STEP_K)) {
            throw new NotAccepted(
                    "sensor.second_temperature_least",
                    NotAccepted.given(again.getAsDouble(), "°C"),
                    NotAccepted.given(MIN_STEP_K, "K"));
        }
    }

    @Override
    public List<CheckQuestion> questions() {
        List<CheckQuestion> questions = new ArrayList<>();
        questions.add(new CheckQuestion(CheckQuestion.CheckMeasurement.SENSOR, expected(celsius), degrees(celsius)));
        again.ifPresent(each -> questions.add(
                new CheckQuestion(CheckQuestion.CheckMeasurement.SENSOR_AGAIN, expected(each), degrees(each))));
        return questions;
    }

    private GoodReading expected(double at) {
        return CheckFigures.around(curve.ohmAt(at), curve.tolerance(), curve.tolerance());
    }

    private static String degrees(double celsius) {
        return EngineeringFormat.figure(Math.round(celsius * 10) / 10.0) + " °C";
    }

    @Override
    public List<Conclusion> conclusions(CheckReadings answers) {
        List<Conclusion> said = new ArrayList<>();
        wrongWay(answers).ifPresent(said::add);
        for (CheckReading each : answers.all()) {
            if (each.verdict() == Verdict.FAIL) {
                said.add(fault(each));
            }
        }
        if (said.isEmpty() && answers.isGood()) {
            said.add(Conclusion.good(again.isPresent() ? Code.SENSOR_GOOD : Code.SENSOR_ONE_POINT));
        }
        return said;
    }

    private Conclusion fault(CheckReading each) {
        double at = each.is(CheckQuestion.CheckMeasurement.SENSOR) ? celsius : again.orElseThrow();
        if (each.figure().isEmpty() || each.isOpen()) {
            return Conclusion.bad(Code.SENSOR_OPEN);
        }
        double ohm = each.figure().getAsDouble();
        if (ohm < SHORTED_SHARE * curve.ohmAt(at)) {
            return Conclusion.bad(Code.SENSOR_SHORTED, CheckFigures.ohms(each));
        }
        OptionalDouble reads = curve.celsiusAt(ohm);
        return Conclusion.bad(
                Code.SENSOR_OFF,
                CheckFigures.ohms(each),
                reads.isPresent() ? degrees(reads.getAsDouble()) : "",
                degrees(at));
    }

    /** Warmer and yet more ohms on an NTC, or fewer on platinum. */
    private Optional<Conclusion> wrongWay(CheckReadings answers) {
        OptionalDouble first = figure(answers, CheckQuestion.CheckMeasurement.SENSOR);
        OptionalDouble second = figure(answers, CheckQuestion.CheckMeasurement.SENSOR_AGAIN);
        if (first.isEmpty() || second.isEmpty()) {
            return Optional.empty();
        }
        double expected = curve.ohmAt(again.orElseThrow()) - curve.ohmAt(celsius);
        double read = second.getAsDouble() - first.getAsDouble();
        return expected * read > 0
                ? Optional.empty()
                : Optional.of(Conclusion.bad(
                        Code.SENSOR_WRONG_WAY,
                        EngineeringFormat.text(first.getAsDouble(), "Ω"),
                        EngineeringFormat.text(second.getAsDouble(), "Ω")));
    }

    private static OptionalDouble figure(CheckReadings answers, CheckQuestion.CheckMeasurement ask) {
        return answers.all().stream()
                .filter(each -> each.is(ask))
                .map(CheckReading::figure)
                .findFirst()
                .orElse(OptionalDouble.empty());
    }
}
