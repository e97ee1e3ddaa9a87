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
 * How warm what is read is: as told for the run, for another place, for a sensor by itself.
 *
 * <p>Rule: a sensor is as warm as was told of it; wiring between two places is as warm as the mean of both. Where nothing was
 * told it is as warm as the run. Cost: a look-up each.
 */
final class Temperatures {
    private static final double LEAST_RISE = 5;

    private final Design design;
    private final RunLog standing;

    Temperatures(Design design, RunLog standing) {
        this.design = design;
        this.standing = standing;
    }

    /** Temperature of what a touch reads, in °C. */
    double of(TestStep.Measurement touch) {
        Optional<Component> sensor = sensor(touch);
        if (sensor.isPresent()) {
            ManualAction action = touch.stage() == Stage.WARM ? ManualAction.WARMED : ManualAction.TEMPERATURE;
            return told(action, sensor.get().id()).orElseGet(() -> place(touch.black()));
        }
        return Stream.of(touch.black(), touch.red())
                .filter(Terminal::isPin)
                .mapToDouble(this::place)
                .average()
                .orElse(design.ambientC());
    }

    /** Whether a sensor was warmed by too little to tell anything; empty where it was enough, or no sensor is read. */
    Optional<Message> tooLittle(TestStep.Measurement touch) {
        Optional<Component> sensor = touch.stage() == Stage.WARM ? sensor(touch) : Optional.empty();
        return sensor.flatMap(each -> {
            double cold = told(ManualAction.TEMPERATURE, each.id()).orElseGet(() -> place(touch.black()));
            double rise = Math.abs(of(touch) - cold);
            return rise >= LEAST_RISE
                    ? Optional.empty()
                    : Optional.of(
                            Message.of("temperatures.only_away_from_first", Math.round(rise), Math.round(LEAST_RISE)));
        });
    }

    private Optional<Component> sensor(TestStep.Measurement touch) {
        boolean parts = touch.stage() == Stage.PARTS || touch.stage() == Stage.WARM;
        return parts
                ? design.assembly().components().stream()
                        .filter(each -> each.kind().isSensor())
                        .filter(each -> touch.isOn(each.a()) && touch.isOn(each.b()))
                        .findFirst()
                : Optional.empty();
    }

    private double place(Terminal terminal) {
        return design.assembly()
                .connector(terminal.connector())
                .map(each -> each.reach().place())
                .map(place -> told(ManualAction.TEMPERATURE, place).orElse(design.ambientC()))
                .orElse(design.ambientC());
    }

    private OptionalDouble told(ManualAction action, String subject) {
        List<Entry> told = standing.of(new TestStep.ManualStep(action, subject));
        return told.isEmpty() || !(told.get(told.size() - 1).content() instanceof Entry.Content.Done done)
                ? OptionalDouble.empty()
                : Celsius.of(done.words());
    }
}
