package zestymarten.core.insulation;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import zestymarten.core.quantity.EngineeringFormat;

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
    public List<String> said(double celsius) {
        List<String> said = new ArrayList<>();
        OptionalDouble half = after(30);
        OptionalDouble minute = after(60);
        OptionalDouble ten = after(600);
        if (half.isPresent() && minute.isPresent()) {
            said.add("DAR (60 s to 30 s) " + ratio(InsulationRules.absorption(minute.getAsDouble(), half.getAsDouble()))
                    + ".");
        }
        if (minute.isPresent() && ten.isPresent()) {
            said.add(
                    index().isPresent()
                            ? "PI (10 min to 1 min) " + ratio(index().getAsDouble()) + "."
                            : "PI means nothing above 5 GΩ.");
        }
        minute.ifPresent(ohm -> said.add("At 20 °C " + EngineeringFormat.text(InsulationRules.at20(ohm, celsius), "Ω")
                + " (rule of thumb: half for every 10 °C)."));
        return said;
    }

    private static String ratio(double value) {
        return String.format(Locale.ROOT, "%.2f", value);
    }
}
