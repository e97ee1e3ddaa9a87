package zestymarten.web.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import zestymarten.core.conductor.DeadShort;
import zestymarten.core.conductor.Protection;
import zestymarten.web.platform.Words;

/**
 * One wire drawn to thickness, declared outlined, implied filled; and what the protection does over the current, with the dead short
 * cold and hot on it.
 */
public final class ConductorDrawing {
    private static final double LARGEST = 64;
    private static final double WIDTH = 720;
    private static final double LEFT = 20;
    private static final double MAX_TIMES = 40;
    private static final double MIN_TIMES = 0.5;
    private static final int STEPS = 400;

    private ConductorDrawing() {}

    /** The two cross-sections as circles beside each other; a radius of 0 where one is not known. */
    public record Section(double declaredRadius, double impliedRadius) {}

    /** A stretch of the current in which the protection does the same; {@code step} counts them from 0. */
    public record Zone(double from, double to, String does, int step) {
        public double middle() {
            return (from + to) / 2;
        }
    }

    /** A current on the scale. */
    public record ConductorMark(double x, String word) {}

    /** What the protection does, over the current in multiples of its rating, on a logarithmic scale. */
    public record TimeBand(double width, List<Zone> zones, List<ConductorMark> marks, List<ConductorMark> ticks) {
        public TimeBand {
            zones = List.copyOf(zones);
            marks = List.copyOf(marks);
            ticks = List.copyOf(ticks);
        }
    }

    /** Draws sections in mm² to one scale, the larger one as large as there is room. */
    public static Section section(OptionalDouble declaredMm2, double impliedMm2) {
        double declared = Math.sqrt(declaredMm2.orElse(0) / Math.PI);
        double implied = Math.sqrt(impliedMm2 / Math.PI);
        double scale = LARGEST / Math.max(declared, implied);
        return new Section(declared * scale, implied * scale);
    }

    /** Draws what a protection does. */
    public static TimeBand band(Protection protection, DeadShort dead) {
        List<Zone> zones = new ArrayList<>();
        String before = "";
        double from = LEFT;
        for (int i = 0; i <= STEPS; i++) {
            double times = MIN_TIMES * Math.pow(MAX_TIMES / MIN_TIMES, (double) i / STEPS);
            String does = Words.say(protection.does(times * protection.ratedA()));
            if (!does.equals(before) && !before.isEmpty()) {
                zones.add(new Zone(from, x(times), before, zones.size()));
                from = x(times);
            }
            before = does;
        }
        zones.add(new Zone(from, WIDTH - LEFT, before, zones.size()));
        List<ConductorMark> ticks = new ArrayList<>();
        for (double times : new double[] {1, 2, 5, 10, 20}) {
            ticks.add(new ConductorMark(x(times), Words.figure(times * protection.ratedA(), "A")));
        }
        return new TimeBand(
                WIDTH,
                zones,
                List.of(
                        new ConductorMark(x(dead.hotA() / protection.ratedA()), Words.say("conductor_drawing.hot")),
                        new ConductorMark(x(dead.coldA() / protection.ratedA()), Words.say("conductor_drawing.cold"))),
                ticks);
    }

    private static double x(double times) {
        double clamped = Math.max(MIN_TIMES, Math.min(MAX_TIMES, times));
        return LEFT + (WIDTH - 2 * LEFT) * Math.log(clamped / MIN_TIMES) / Math.log(MAX_TIMES / MIN_TIMES);
    }
}
