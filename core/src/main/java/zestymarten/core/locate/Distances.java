package zestymarten.core.locate;

import java.util.List;
import java.util.function.ToDoubleFunction;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;

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
                throw new NotAccepted("distances.reading_its_uncertainty", value, uncertainty);
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
                Message.of("distances.capacitance_from_both_ends"),
                List.of(
                        Message.of("distances.all_other_cores_screen"),
                        Message.of("distances.instrument_own_capacitance_taken"),
                        Message.of("distances.nothing_leaks_break")));
    }

    /** An open by its capacitance beside that of a good core of the same run: {@code d = L C1 / Cgood}. */
    public static Distance openByGoodCore(double lengthM, DistanceReading c1, DistanceReading good) {
        return of(
                lengthM,
                List.of(c1, good),
                each -> lengthM * each[0] / each[1],
                Message.of("distances.capacitance_beside_good_core"),
                List.of(
                        Message.of("distances.good_core_same_make"),
                        Message.of("distances.all_other_cores_screen"),
                        Message.of("distances.instrument_own_capacitance_taken")));
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
                Message.of("distances.resistance_from_both_ends"),
                List.of(
                        Message.of("distances.both_cores_same_kind"),
                        Message.of("distances.other_end_open_each"),
                        Message.of("distances.short_has_same_resistance")));
    }

    /** The same with the loop of both cores read instead, far ends linked: {@code d = L (R1 - R2 + R_loop) / (2 R_loop)}. */
    public static Distance shortByLoop(double lengthM, DistanceReading r1, DistanceReading r2, DistanceReading loop) {
        return of(
                lengthM,
                List.of(r1, r2, loop),
                each -> lengthM * (each[0] - each[1] + each[2]) / (2 * each[2]),
                Message.of("distances.resistance_from_both_ends_2"),
                List.of(
                        Message.of("distances.both_cores_same_kind_2"),
                        Message.of("distances.loop_two_sound_cores"),
                        Message.of("distances.other_end_open_each_2")));
    }

    /** Resistance of the short itself: {@code Rf = (R1 + R2) / 2 - r L}; below 0 where a reading or the length is wrong. */
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
                Message.of("distances.resistance_both_cores_earth"),
                List.of(
                        Message.of("distances.far_ends_linked_no"),
                        Message.of("distances.fault_earth_steady_while"),
                        Message.of("distances.both_cores_same_kind_2")));
    }

    /** The same with the loop of both cores read instead: {@code d = L (1 - (R_BE - R_AE) / R_loop)}. */
    public static Distance earthByLoop(
            double lengthM, DistanceReading soundToEarth, DistanceReading faultyToEarth, DistanceReading loop) {
        return of(
                lengthM,
                List.of(soundToEarth, faultyToEarth, loop),
                each -> lengthM * (1 - (each[0] - each[1]) / each[2]),
                Message.of("distances.resistance_both_cores_earth_2"),
                List.of(
                        Message.of("distances.far_ends_linked_no"),
                        Message.of("distances.fault_earth_steady_while"),
                        Message.of("distances.both_cores_same_kind_2")));
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
                Message.of("distances.varley_loop_loop"),
                List.of(
                        Message.of("distances.far_ends_linked_no"),
                        Message.of("distances.both_arms_bridge_equal"),
                        Message.of("distances.fault_earth_steady_while_2")));
    }

    /** Murray's loop: {@code d = 2 L m / (1 + m)}, m the balance ratio of the arm at the faulty core to the other. */
    public static Distance murray(double lengthM, DistanceReading ratio) {
        return of(
                lengthM,
                List.of(ratio),
                each -> 2 * lengthM * each[0] / (1 + each[0]),
                Message.of("distances.murray_loop"),
                List.of(
                        Message.of("distances.far_ends_linked_no"),
                        Message.of("distances.both_cores_same_kind_2"),
                        Message.of("distances.fault_earth_steady_while_2")));
    }

    /** An open by what a metre of this cable has: {@code d = C1 / c}. */
    public static Distance openByMetre(double lengthM, DistanceReading c1, DistanceReading perMetre) {
        return of(
                lengthM,
                List.of(c1, perMetre),
                each -> each[0] / each[1],
                Message.of("distances.capacitance_by_metre"),
                List.of(
                        Message.of("distances.metre_this_cable_has"),
                        Message.of("distances.instrument_own_capacitance_taken_2")));
    }

    /** By the time of a pulse beside that of a good length of the same cable: {@code d = L_good t / t_good}. */
    public static Distance pulseByGood(
            double lengthM, DistanceReading seconds, DistanceReading goodM, DistanceReading goodSeconds) {
        return of(
                lengthM,
                List.of(seconds, goodM, goodSeconds),
                each -> each[1] * each[0] / each[2],
                Message.of("distances.pulse_time_beside_that"),
                List.of(Message.of("distances.good_length_same_cable")));
    }

    /** By the time of a pulse from both ends: {@code d = L t1 / (t1 + t2)}; the velocity cancels. */
    public static Distance pulseByBoth(double lengthM, DistanceReading t1, DistanceReading t2) {
        return of(
                lengthM,
                List.of(t1, t2),
                each -> lengthM * each[0] / (each[0] + each[1]),
                Message.of("distances.pulse_time_from_both"),
                List.of(Message.of("distances.same_fault_from_both")));
    }

    /** The same with unlike cores: {@code d = (R_loop / r_A) m / (1 + m)}, r_A the faulty core's ohms per metre. */
    public static Distance murrayUnlike(
            double lengthM, DistanceReading ratio, DistanceReading loop, DistanceReading faultyOhmPerMetre) {
        return of(
                lengthM,
                List.of(ratio, loop, faultyOhmPerMetre),
                each -> each[1] / each[2] * each[0] / (1 + each[0]),
                Message.of("distances.murray_loop_unlike_cores"),
                List.of(
                        Message.of("distances.far_ends_linked_no"),
                        Message.of("distances.fault_earth_steady_while_2")));
    }

    /** By the time of a pulse there and back: {@code d = vf c t / 2}. */
    public static Distance pulse(double lengthM, DistanceReading velocityFactor, DistanceReading seconds) {
        return of(
                lengthM,
                List.of(velocityFactor, seconds),
                each -> each[0] * SPEED_OF_LIGHT * each[1] / 2,
                Message.of("distances.pulse_time_vf"),
                List.of(Message.of("distances.velocity_factor_that_this")));
    }

    private static final double SPEED_OF_LIGHT = 299_792_458;

    /** Where a wet run reads well again when it is lifted out of the water, in metres from end 1. */
    public static Distance liftOut(double lengthM, DistanceReading metres) {
        return of(
                lengthM,
                List.of(metres),
                each -> each[0],
                Message.of("distances.lifted_out_water"),
                List.of(Message.of("distances.only_damaged_spot_leaks")));
    }

    private static Distance of(
            double lengthM,
            List<DistanceReading> reads,
            ToDoubleFunction<double[]> formula,
            Message by,
            List<Message> assumes) {
        double[] values = reads.stream().mapToDouble(DistanceReading::value).toArray();
        double at = formula.applyAsDouble(values);
        if (!Double.isFinite(at)) {
            throw new NotAccepted("distances.these_readings_give");
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
            throw new NotAccepted("distances.these_ways_contradict");
        }
        double length = estimates.get(0).lengthM();
        double weights = 0;
        double sum = 0;
        for (Distance each : estimates) {
            double doubt = Math.max(each.doubtM(), length * MIN_DOUBT);
            weights += 1 / (doubt * doubt);
            sum += each.metres() / (doubt * doubt);
        }
        return new Distance(
                sum / weights,
                1 / Math.sqrt(weights),
                length,
                Message.of("distances.ways_together_weighed_by", estimates.size()),
                List.of(Message.of("distances.all_them_same_fault")));
    }

    /** Nobody measures a run more exactly than to a thousandth. */
    private static final double MIN_DOUBT = 1e-3;
}
