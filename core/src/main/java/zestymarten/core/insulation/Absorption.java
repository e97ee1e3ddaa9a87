package zestymarten.core.insulation;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;

/**
 * How insulation takes its charge: ohms over the time under voltage.
 *
 * @param points by time; more than one at a time are kept as they are
 */
public record Absorption(List<AbsorptionPoint> points) {
    private static final double SHARE = 0.1;

    /** Ohms after so many seconds under voltage. */
    public record AbsorptionPoint(double seconds, double ohm) {}

    public Absorption {
        points = points.stream()
                .sorted(Comparator.comparingDouble(AbsorptionPoint::seconds))
                .toList();
    }

    /** The reading after about so many seconds, within a tenth. */
    public OptionalDouble after(double seconds) {
        return points.stream()
                .filter(each -> Math.abs(each.seconds() - seconds) <= seconds * SHARE)
                .mapToDouble(AbsorptionPoint::ohm)
                .findFirst();
    }

    /** The polarisation index, where both its readings are there and it means something. */
    public OptionalDouble index() {
        OptionalDouble minute = after(60);
        OptionalDouble ten = after(600);
        return minute.isPresent() && ten.isPresent()
                ? InsulationRules.polarisation(ten.getAsDouble(), minute.getAsDouble())
                : OptionalDouble.empty();
    }

    /** Whether the insulation falls while the voltage is on: an index below 1. */
    public boolean isFalling() {
        return index().orElse(1) < 1;
    }

    /** What the curve says, in sentences: ratios where their readings are there, the minute's reading at 20 °C. */
    public List<Message> said(double celsius) {
        List<Message> said = new ArrayList<>();
        OptionalDouble half = after(30);
        OptionalDouble minute = after(60);
        OptionalDouble ten = after(600);
        if (half.isPresent() && minute.isPresent()) {
            said.add(Message.of(
                    "absorption.dar", ratio(InsulationRules.absorption(minute.getAsDouble(), half.getAsDouble()))));
        }
        if (minute.isPresent() && ten.isPresent()) {
            said.add(
                    index().isPresent()
                            ? Message.of("absorption.pi_min_min", ratio(index().getAsDouble()))
                            : Message.of("absorption.pi_means_nothing_above"));
        }
        minute.ifPresent(ohm -> said.add(Message.of(
                "absorption.rule_thumb_half_every", Message.figure(InsulationRules.at20(ohm, celsius), "Ω"))));
        return said;
    }

    private static MessageArgument ratio(double value) {
        return Message.figure(Math.round(value * 100) / 100.0, "");
    }
}
