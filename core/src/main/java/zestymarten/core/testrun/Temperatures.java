package zestymarten.core.testrun;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.Celsius;
import zestymarten.core.quantity.Message;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;

/**
 * How warm what is read is: as entered for the run, for another place, for a sensor by itself.
 *
 * <p>Rule: a sensor is as warm as was entered for it; wiring between two places is as warm as the mean of both. Where nothing was
 * entered it is as warm as the run. Cost: a look-up each.
 */
final class Temperatures {
    private static final double MIN_RISE = 5;

    private final Design design;
    private final RunLog log;

    Temperatures(Design design, RunLog log) {
        this.design = design;
        this.log = log;
    }

    /** Temperature of what a measurement reads, in °C. */
    double of(TestStep.Measurement measurement) {
        Optional<Component> sensor = sensor(measurement);
        if (sensor.isPresent()) {
            ManualAction action = measurement.stage() == Stage.WARM ? ManualAction.WARMED : ManualAction.TEMPERATURE;
            return entered(action, sensor.get().id()).orElseGet(() -> place(measurement.black()));
        }
        return Stream.of(measurement.black(), measurement.red())
                .filter(Terminal::isPin)
                .mapToDouble(this::place)
                .average()
                .orElse(design.ambientC());
    }

    /** Whether a sensor was warmed by too little to tell anything; empty where it was enough, or no sensor is read. */
    Optional<Message> tooLittle(TestStep.Measurement measurement) {
        Optional<Component> sensor = measurement.stage() == Stage.WARM ? sensor(measurement) : Optional.empty();
        return sensor.flatMap(each -> {
            double cold = entered(ManualAction.TEMPERATURE, each.id()).orElseGet(() -> place(measurement.black()));
            double rise = Math.abs(of(measurement) - cold);
            return rise >= MIN_RISE
                    ? Optional.empty()
                    : Optional.of(
                            Message.of("temperatures.only_away_from_first", Math.round(rise), Math.round(MIN_RISE)));
        });
    }

    private Optional<Component> sensor(TestStep.Measurement measurement) {
        boolean parts = measurement.stage() == Stage.PARTS || measurement.stage() == Stage.WARM;
        return parts
                ? design.assembly().components().stream()
                        .filter(each -> each.kind().isSensor())
                        .filter(each -> measurement.isOn(each.a()) && measurement.isOn(each.b()))
                        .findFirst()
                : Optional.empty();
    }

    private double place(Terminal terminal) {
        return design.assembly()
                .connector(terminal.connector())
                .map(each -> each.reach().place())
                .map(place -> entered(ManualAction.TEMPERATURE, place).orElse(design.ambientC()))
                .orElse(design.ambientC());
    }

    private OptionalDouble entered(ManualAction action, String subject) {
        List<Entry> entered = log.of(new TestStep.ManualStep(action, subject));
        return entered.isEmpty() || !(entered.get(entered.size() - 1).content() instanceof Entry.Content.Done done)
                ? OptionalDouble.empty()
                : Celsius.of(done.words());
    }
}
