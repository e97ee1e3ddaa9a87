package zestymarten.web.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.judge.Expectation;
import zestymarten.core.quantity.Engineering;

/**
 * The slot's scale: logarithmic, with the allowed stretch, this reading, and the like wires already read, so that an odd
 * one is seen before any rule speaks. The right end is "open".
 *
 * @param from left edge of the allowed stretch
 * @param to right edge of the allowed stretch
 * @param needle where this reading stands; empty while there is none
 */
public record BandDrawing(
        double width,
        double from,
        double to,
        String allowed,
        List<Mark> marks,
        List<Double> like,
        OptionalDouble needle) {

    private static final double WIDTH = 560;
    private static final double OPEN = 44;
    private static final double OVERSHOOT = 4;

    public BandDrawing {
        marks = List.copyOf(marks);
        like = List.copyOf(like);
    }

    /** A decade on the scale. */
    public record Mark(double x, String text) {}

    private record Scale(double low, double high) {
        double x(double ohm) {
            double share = Math.log10(Math.max(ohm, low) / low) / Math.log10(high / low);
            return Math.min(WIDTH - OPEN, Math.max(0, share * (WIDTH - OPEN)));
        }
    }

    /**
     * The scale for an expectation.
     *
     * @param like corrected ohms of like touches already read
     * @param reading corrected ohms now; infinite for open
     */
    public static BandDrawing of(
            Expectation expectation, double joinedBelowOhm, List<Double> like, OptionalDouble reading) {
        Scale scale = expectation.fold(
                joined -> new Scale(
                        decade(joined.limit().high().value()) / 100,
                        decade(joined.limit().high().value()) * 1e4),
                () -> new Scale(0.1, 1e8));
        double from = expectation.fold(joined -> scale.x(joined.limit().low().value()), () -> scale.x(joinedBelowOhm));
        double to = expectation.fold(
                joined ->
                        Math.max(from + OVERSHOOT, scale.x(joined.limit().high().value())),
                () -> WIDTH);
        String allowed = expectation.fold(
                joined ->
                        (joined.limit().low().value() > 0 ? joined.limit().low().text() + " to " : "up to ")
                                + joined.limit().high().text(),
                () -> "open");
        List<Mark> marks = new ArrayList<>();
        for (double ohm = scale.low(); ohm <= scale.high() * 1.001; ohm *= 10) {
            marks.add(new Mark(scale.x(ohm), Engineering.text(ohm, "Ω")));
        }
        return new BandDrawing(
                WIDTH,
                from,
                to,
                allowed,
                marks,
                like.stream().map(scale::x).toList(),
                reading.isEmpty() ? reading : OptionalDouble.of(place(scale, reading.getAsDouble())));
    }

    private static double place(Scale scale, double ohm) {
        return Double.isInfinite(ohm) ? WIDTH - OPEN / 2 : scale.x(ohm);
    }

    private static double decade(double ohm) {
        return Math.pow(10, Math.floor(Math.log10(Math.max(ohm, 1e-3))));
    }

    /** The needle's place where there is one, for the template. */
    public Optional<Double> needleAt() {
        return needle.isPresent() ? Optional.of(needle.getAsDouble()) : Optional.empty();
    }
}
