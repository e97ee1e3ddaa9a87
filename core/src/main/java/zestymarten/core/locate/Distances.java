package zestymarten.core.locate;

import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * Distances to a fault from end 1 of a run of length L. Lengths in metres, resistances in ohms, capacitances in farads,
 * times in seconds.
 *
 * <p>Method: the formula of each way; its doubt is the root of the sum of the squares of what each reading's own uncertainty
 * moves the result by. Source: the line's equations, derived in each method; Varley's and Murray's loops after the usual
 * textbooks. Errors: a result outside of the run is refused, because then a reading or an assumption is wrong. Cost: constant.
 */
public final class Distances {
    private Distances() {}

    /**
     * A figure with its uncertainty.
     *
     * @param value above 0
     * @param uncertainty half of its interval, in its own unit, from 0
     */
    public record DistanceReading(double value, double uncertainty) {
        public DistanceReading {
            if (!(value >= 0 && value < Double.POSITIVE_INFINITY && uncertainty >= 0)) {
                throw new IllegalArgumentException("A reading (" + value + ") and its uncertainty (" + uncertainty
                        + ") must be finite and not below 0.");
            }
        }

        /** A reading that is taken as exact. */
        public static DistanceReading exact(double value) {
            return new DistanceReading(value, 0);
        }
    }

    /** An open by its capacitance from both ends: {@code d = L C1 / (C1 + C2)}. */
    public static Distance openByBothCapacitances(double lengthM, DistanceReading c1, DistanceReading c2) {
        return of(
                lengthM,
                List.of(c1, c2),
                each -> lengthM * each[0] / (each[0] + each[1]),
                "capacitance from both ends, d = L C1 / (C1 + C2)",
                List.of(
                        "All other cores and the screen are linked together as the one reference.",
                        "The instrument's own capacitance is taken off both readings.",
                        "Nothing leaks at the break."));
    }

    /** An open by its capacitance beside that of a good core of the same run: {@code d = L C1 / Cgood}. */
    public static Distance openByGoodCore(double lengthM, DistanceReading c1, DistanceReading good) {
        return of(
                lengthM,
                List.of(c1, good),
                each -> lengthM * each[0] / each[1],
                "capacitance beside a good core, d = L C1 / C good",
                List.of(
                        "The good core is of the same make and runs the whole length.",
                        "All other cores and the screen are linked together as the one reference.",
                        "The instrument's own capacitance is taken off both readings."));
    }

    /**
     * A short between two like cores by ohms from both ends, the other end open each time:
     * {@code R1 = 2 r d + Rf}, {@code R2 = 2 r (L - d) + Rf}, so {@code d = (R1 - R2 + 2 r L) / (4 r)}.
     *
     * @param ohmPerMetre of one core
     */
    public static Distance shortByBothOhms(
            double lengthM, DistanceReading r1, DistanceReading r2, DistanceReading ohmPerMetre) {
        return of(
                lengthM,
                List.of(r1, r2, ohmPerMetre),
                each -> (each[0] - each[1] + 2 * each[2] * lengthM) / (4 * each[2]),
                "resistance from both ends, d = (R1 − R2 + 2 r L) / 4 r",
                List.of(
                        "Both cores are of the same kind and r is that of one of them.",
                        "The other end is open each time.",
                        "The short has the same resistance both times."));
    }

    /** The same with the loop of both cores read instead, far ends linked: {@code d = L (R1 - R2 + R_loop) / (2 R_loop)}. */
    public static Distance shortByLoop(double lengthM, DistanceReading r1, DistanceReading r2, DistanceReading loop) {
        return of(
                lengthM,
                List.of(r1, r2, loop),
                each -> lengthM * (each[0] - each[1] + each[2]) / (2 * each[2]),
                "resistance from both ends and of the loop, d = L (R1 − R2 + R loop) / 2 R loop",
                List.of(
                        "Both cores are of the same kind.",
                        "The loop is of two sound cores like these, far ends linked with no resistance of their own.",
                        "The other end is open each time, and the short has the same resistance both times."));
    }

    /** Ohms of the short itself: {@code Rf = (R1 + R2) / 2 - r L}; below 0 where a reading or the length is wrong. */
    public static double shortOhm(double lengthM, double r1, double r2, double ohmPerMetre) {
        return (r1 + r2) / 2 - ohmPerMetre * lengthM;
    }

    /**
     * A core to earth, beside a sound core of the same make, far ends linked: ohms of each to earth from the near end,
     * {@code d = L - (R_BE - R_AE) / (2 r)}; the fault's own ohms cancel.
     */
    public static Distance earthByOhms(
            double lengthM, DistanceReading soundToEarth, DistanceReading faultyToEarth, DistanceReading ohmPerMetre) {
        return of(
                lengthM,
                List.of(soundToEarth, faultyToEarth, ohmPerMetre),
                each -> lengthM - (each[0] - each[1]) / (2 * each[2]),
                "resistance of both cores to earth, d = L − (R_BE − R_AE) / 2 r",
                List.of(
                        "The far ends are linked with no resistance of their own.",
                        "The fault to earth is steady while both are read.",
                        "Both cores are of the same kind."));
    }

    /** The same with the loop of both cores read instead: {@code d = L (1 - (R_BE - R_AE) / R_loop)}. */
    public static Distance earthByLoop(
            double lengthM, DistanceReading soundToEarth, DistanceReading faultyToEarth, DistanceReading loop) {
        return of(
                lengthM,
                List.of(soundToEarth, faultyToEarth, loop),
                each -> lengthM * (1 - (each[0] - each[1]) / each[2]),
                "resistance of both cores to earth and of the loop, d = L (1 − (R_BE − R_AE) / R loop)",
                List.of(
                        "The far ends are linked with no resistance of their own.",
                        "The fault to earth is steady while both are read.",
                        "Both cores are of the same kind."));
    }

    /**
     * Varley's loop with equal arms: {@code d = L (1 - S / R_loop)}.
     *
     * @param balance ohms of the arm at balance, S
     * @param loop ohms of the whole loop
     */
    public static Distance varley(double lengthM, DistanceReading balance, DistanceReading loop) {
        return of(
                lengthM,
                List.of(balance, loop),
                each -> lengthM * (1 - each[0] / each[1]),
                "Varley's loop, d = L (1 − S / R loop)",
                List.of(
                        "The far ends are linked with no resistance of their own.",
                        "Both arms of the bridge are equal and both cores of the same kind.",
                        "The fault to earth is steady while the bridge is balanced."));
    }

    /** Murray's loop: {@code d = 2 L m / (1 + m)}, m the balance ratio of the arm at the faulty core to the other. */
    public static Distance murray(double lengthM, DistanceReading ratio) {
        return of(
                lengthM,
                List.of(ratio),
                each -> 2 * lengthM * each[0] / (1 + each[0]),
                "Murray's loop, d = 2 L m / (1 + m)",
                List.of(
                        "The far ends are linked with no resistance of their own.",
                        "Both cores are of the same kind.",
                        "The fault to earth is steady while the bridge is balanced."));
    }

    /** An open by what a metre of this cable has: {@code d = C1 / c}. */
    public static Distance openByMetre(double lengthM, DistanceReading c1, DistanceReading perMetre) {
        return of(
                lengthM,
                List.of(c1, perMetre),
                each -> each[0] / each[1],
                "capacitance by the metre, d = C1 / c",
                List.of(
                        "A metre of this cable has that capacitance, read on a good length with the same cores linked.",
                        "The instrument's own capacitance is taken off."));
    }

    /** By the time of a pulse beside that of a good length of the same cable: {@code d = L_good t / t_good}. */
    public static Distance pulseByGood(
            double lengthM, DistanceReading seconds, DistanceReading goodM, DistanceReading goodSeconds) {
        return of(
                lengthM,
                List.of(seconds, goodM, goodSeconds),
                each -> each[1] * each[0] / each[2],
                "pulse time beside that of a good length, d = L good × t / t good",
                List.of("The good length is of the same cable, and its end was seen as clearly as the fault."));
    }

    /** By the time of a pulse from both ends: {@code d = L t1 / (t1 + t2)}; the velocity cancels. */
    public static Distance pulseByBoth(double lengthM, DistanceReading t1, DistanceReading t2) {
        return of(
                lengthM,
                List.of(t1, t2),
                each -> lengthM * each[0] / (each[0] + each[1]),
                "pulse time from both ends, d = L t1 / (t1 + t2)",
                List.of("It is the same fault from both ends, and the cable is of one kind."));
    }

    /** The same with unlike cores: {@code d = (R_loop / r_A) m / (1 + m)}, r_A the faulty core's ohms per metre. */
    public static Distance murrayUnlike(
            double lengthM, DistanceReading ratio, DistanceReading loop, DistanceReading faultyOhmPerMetre) {
        return of(
                lengthM,
                List.of(ratio, loop, faultyOhmPerMetre),
                each -> each[1] / each[2] * each[0] / (1 + each[0]),
                "Murray's loop with unlike cores, d = (R loop / r A) m / (1 + m)",
                List.of(
                        "The far ends are linked with no resistance of their own.",
                        "The fault to earth is steady while the bridge is balanced."));
    }

    /** By the time of a pulse there and back: {@code d = vf c t / 2}. */
    public static Distance pulse(double lengthM, DistanceReading velocityFactor, DistanceReading seconds) {
        return of(
                lengthM,
                List.of(velocityFactor, seconds),
                each -> each[0] * SPEED_OF_LIGHT * each[1] / 2,
                "pulse time, d = vf c t / 2",
                List.of("The velocity factor is that of this cable: read it on a good length first."));
    }

    private static final double SPEED_OF_LIGHT = 299_792_458;

    /** Where a wet run reads well again when it is lifted out of the water, in metres from end 1. */
    public static Distance liftOut(double lengthM, DistanceReading metres) {
        return of(
                lengthM,
                List.of(metres),
                each -> each[0],
                "lifted out of the water",
                List.of("Only the damaged spot leaks, and it leaves the water at that moment."));
    }

    private static Distance of(
            double lengthM,
            List<DistanceReading> reads,
            ToDoubleFunction<double[]> formula,
            String by,
            List<String> assumes) {
        double[] values = reads.stream().mapToDouble(DistanceReading::value).toArray();
        double at = formula.applyAsDouble(values);
        if (!Double.isFinite(at)) {
            throw new IllegalArgumentException(
                    "These readings give no distance: one of them is 0 where it cannot be. Read them again.");
        }
        double squares = 0;
        for (int i = 0; i < values.length; i++) {
            double[] moved = values.clone();
            moved[i] += reads.get(i).uncertainty();
            double shift = formula.applyAsDouble(moved) - at;
            squares += shift * shift;
        }
        return new Distance(at, Math.sqrt(squares), lengthM, by, assumes);
    }

    /** Whether all estimates can be of one spot: the intervals of every two meet. */
    public static boolean areConsistent(List<Distance> estimates) {
        return estimates.stream()
                .allMatch(one ->
                        estimates.stream().allMatch(other -> one.from() <= other.to() && other.from() <= one.to()));
    }

    /**
     * Several estimates in one: the mean weighed by how sure each is, {@code 1 / doubt²}.
     *
     * @param estimates one at least, of the same run and of the same fault
     * @throws IllegalArgumentException if they contradict each other: no mean is between two faults, or right beside a wrong one
     */
    public static Distance together(List<Distance> estimates) {
        if (!areConsistent(estimates)) {
            throw new IllegalArgumentException(
                    "These ways contradict each other: they are of two faults, or one of the readings is wrong.");
        }
        double length = estimates.get(0).lengthM();
        double weights = 0;
        double sum = 0;
        for (Distance each : estimates) {
            double doubt = Math.max(each.doubtM(), length * LEAST_DOUBT);
            weights += 1 / (doubt * doubt);
            sum += each.metres() / (doubt * doubt);
        }
        return new Distance(
                sum / weights,
                1 / Math.sqrt(weights),
                length,
                estimates.size() + " ways together, weighed by how sure each is",
                List.of("All of them are of the same fault."));
    }

    /** Nobody measures a run more exactly than to a thousandth. */
    private static final double LEAST_DOUBT = 1e-3;
}
