package zestymarten.web.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.comparison.LeadComparison;
import zestymarten.core.comparison.LeadLine;
import zestymarten.web.platform.Words;

/**
 * Resistance of alike leads over their lengths, with the line through them, the band in which a good one lies, and the odd ones by name.
 *
 * @param line of the good ones, and {@code band} around it, as paths; empty where there is none
 * @param next the lead that is to be measured next, where the line predicts it
 */
public record ComparisonDrawing(
        double width,
        double height,
        String line,
        String band,
        List<LeadDot> dots,
        Optional<LeadDot> next,
        List<ComparisonTick> across,
        List<ComparisonTick> up) {
    private static final double WIDTH = 760;
    private static final double HEIGHT = 340;
    private static final double LEFT = 70;
    private static final double BOTTOM = 300;
    private static final double TOP = 16;
    private static final double RIGHT = 740;
    private static final double OUTLIER_BEYOND = 3.5;
    private static final int TICKS = 5;

    public ComparisonDrawing {
        dots = List.copyOf(dots);
        across = List.copyOf(across);
        up = List.copyOf(up);
    }

    /** A lead; its name stands beside it where it is odd. */
    public record LeadDot(double x, double y, String name, boolean outlier) {}

    /** A mark of a scale. */
    public record ComparisonTick(double at, String text) {}

    /** Draws leads, and the prediction for one more length. */
    public static ComparisonDrawing of(LeadComparison comparison, OptionalDouble nextM) {
        double longest = Math.max(
                        nextM.orElse(0),
                        comparison.leads().stream()
                                .mapToDouble(each -> each.lead().lengthM())
                                .max()
                                .orElse(1))
                * 1.08;
        double maximum = comparison.leads().stream()
                        .mapToDouble(each -> each.lead().ohm())
                        .filter(Double::isFinite)
                        .max()
                        .orElse(1)
                * 1.12;
        double top = comparison
                .line()
                .map(each -> Math.max(maximum, each.predicted(longest)))
                .orElse(maximum);
        ComparisonScale scale = new ComparisonScale(longest, Math.max(top, 1e-6));
        List<LeadDot> dots = new ArrayList<>();
        for (LeadComparison.ComparedLead each : comparison.leads()) {
            if (Double.isInfinite(each.lead().ohm())) {
                continue; // an open lead has no place on the scale; the table names it
            }
            String name = each.lead().words().isEmpty()
                    ? Words.say("lead_list.no", each.lead().number())
                    : each.lead().words();
            dots.add(new LeadDot(
                    scale.x(each.lead().lengthM()), scale.y(each.lead().ohm()), name, each.isOutlier()));
        }
        Optional<LeadDot> next = nextM.isPresent()
                ? comparison
                        .line()
                        .map(each -> new LeadDot(
                                scale.x(nextM.getAsDouble()),
                                scale.y(each.predicted(nextM.getAsDouble())),
                                "next",
                                false))
                : Optional.empty();
        List<ComparisonTick> across = new ArrayList<>();
        List<ComparisonTick> up = new ArrayList<>();
        for (int i = 0; i <= TICKS; i++) {
            double share = (double) i / TICKS;
            across.add(new ComparisonTick(scale.x(longest * share), Words.figure(round(longest * share), "m")));
            up.add(new ComparisonTick(
                    scale.y(scale.ohm() * share), Words.figure(round(scale.ohm() * share), "\u03a9")));
        }
        return new ComparisonDrawing(
                WIDTH,
                HEIGHT,
                comparison.line().map(each -> line(each, scale, 0)).orElse(""),
                comparison.line().map(each -> band(each, scale)).orElse(""),
                dots,
                next,
                across,
                up);
    }

    private static double round(double value) {
        return Math.round(value * 10) / 10.0;
    }

    private record ComparisonScale(double metres, double ohm) {
        double x(double length) {
            return LEFT + (RIGHT - LEFT) * length / metres;
        }

        double y(double ohms) {
            return BOTTOM - (BOTTOM - TOP) * Math.max(0, Math.min(ohm, ohms)) / ohm;
        }
    }

    private static String line(LeadLine family, ComparisonScale scale, double shift) {
        return Paths.move(scale.x(0), scale.y(family.predicted(0) + shift))
                + Paths.line(scale.x(scale.metres()), scale.y(family.predicted(scale.metres()) + shift));
    }

    private static String band(LeadLine family, ComparisonScale scale) {
        double wide = OUTLIER_BEYOND * family.scaleOhm();
        return line(family, scale, wide)
                + Paths.line(scale.x(scale.metres()), scale.y(family.predicted(scale.metres()) - wide))
                + Paths.line(scale.x(0), scale.y(family.predicted(0) - wide)) + "Z";
    }
}
