package zestymarten.core.testrun;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.analysis.Design;
import zestymarten.core.insulation.Absorption;
import zestymarten.core.insulation.InsulationRules;
import zestymarten.core.insulation.TimedText;
import zestymarten.core.insulation.WithstandJudge;
import zestymarten.core.judgement.InsulationJudge;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.limit.InsulationLimit;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;

/**
 * How what is read under voltage is understood and judged: insulation against its least, leakage against its most, both over
 * the time for which the voltage was on; and when what was under voltage may be taken for discharged.
 */
record VoltageReadings(Design design, TestOptions approach, RunLog log) {
    /** The voltage of a measurement under voltage, in volts. */
    double testV(TestStep.Measurement measurement) {
        return measurement.stage() == Stage.WITHSTAND
                ? approach.withstand().orElseThrow().volts()
                : approach.insulation().orElseThrow().testV();
    }

    /** The least that insulation may read at a measurement. */
    InsulationLimit minimum(TestStep.Measurement measurement) {
        return approach.insulation().orElseThrow().limit(design.lengthM(measurement.black()));
    }

    /** Resistance of an insulation tester, amperes of a withstand tester. */
    static MeterReading inItsUnit(TestStep.Measurement measurement, MeterReading plain) {
        boolean amperes = measurement.stage() == Stage.WITHSTAND;
        boolean other =
                plain instanceof MeterReading.Value value && (value.unit() == MeterReading.Unit.AMPERE) != amperes;
        boolean sound = plain instanceof MeterReading.Tone || plain instanceof MeterReading.Silent;
        if (!other && !sound) {
            return plain;
        }
        return new MeterReading.Refused(
                amperes
                        ? Message.of("run_readings.type_current_unit_such")
                        : Message.of("run_readings.enter_resistance_that_insulation"));
    }

    /** Seconds under voltage of a reading; empty where none were given. */
    static OptionalDouble secondsOf(Entry entry) {
        return entry.content() instanceof Entry.Content.Reading reading
                        && entry.step() instanceof TestStep.Measurement measurement
                        && measurement.isUnderVoltage()
                ? TimedText.of(reading.asTyped()).seconds()
                : OptionalDouble.empty();
    }

    /** The readings of a measurement over the time under voltage. */
    Absorption absorption(TestStep.Measurement measurement) {
        List<Absorption.AbsorptionPoint> points = new ArrayList<>();
        for (Entry entry : log.of(measurement)) {
            OptionalDouble seconds = secondsOf(entry);
            if (seconds.isPresent()
                    && RunReadings.meaning(entry) instanceof MeterReading.Value value
                    && value.value() > 0) {
                points.add(new Absorption.AbsorptionPoint(seconds.getAsDouble(), value.value()));
            }
        }
        return new Absorption(points);
    }

    /** The judgement of a reading under voltage. */
    Judgement judge(TestStep.Measurement measurement, MeterReading meaning) {
        return measurement.stage() == Stage.WITHSTAND
                ? WithstandJudge.judge(meaning, approach.withstand().orElseThrow(), design.lengthM(measurement.black()))
                : InsulationJudge.judge(meaning, Quantity.INSULATION, testV(measurement), minimum(measurement));
    }

    /** A discharge is over after four times the longest time under voltage, counted from the last reading under it. */
    Optional<Message> tooEarly(Entry entry) {
        if (!(entry.step() instanceof TestStep.ManualStep manual)
                || !manual.action().isDischarge()) {
            return Optional.empty();
        }
        return dischargedAt(manual.action())
                .filter(end -> entry.at().isBefore(end))
                .map(end -> Message.of(
                        "run_readings.too_early_what_was",
                        Duration.between(entry.at(), end).toSeconds()));
    }

    /** When what was under voltage may be taken for discharged; empty where no times under voltage were given. */
    Optional<Instant> dischargedAt(ManualAction discharge) {
        double longest = 0;
        Optional<Instant> last = Optional.empty();
        for (TestStep step : log.steps(discharge.stage())) {
            if (step instanceof TestStep.Measurement measurement && measurement.isUnderVoltage()) {
                for (Entry entry : log.of(step)) {
                    longest = Math.max(longest, secondsOf(entry).orElse(0));
                    last = last.filter(each -> each.isAfter(entry.at())).or(() -> Optional.of(entry.at()));
                }
            }
        }
        double wait = longest > 0 ? InsulationRules.dischargeSeconds(longest) : 0;
        return wait > 0 ? last.map(each -> each.plusSeconds((long) Math.ceil(wait))) : Optional.empty();
    }
}
