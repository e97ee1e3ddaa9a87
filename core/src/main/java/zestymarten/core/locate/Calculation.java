package zestymarten.core.locate;

import java.util.List;
import java.util.Optional;
import zestymarten.core.locate.Distances.DistanceReading;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;

/** A way to calculate a distance, with what has to be read for it. */
public enum Calculation {
    OPEN_BOTH_ENDS(DistanceFault.OPEN),
    OPEN_GOOD_CORE(DistanceFault.OPEN),
    OPEN_PER_METRE(DistanceFault.OPEN),
    SHORT_BOTH_ENDS(DistanceFault.SHORT),
    EARTH_OHMS(DistanceFault.EARTH),
    VARLEY(DistanceFault.EARTH),
    MURRAY(DistanceFault.EARTH),
    MURRAY_UNLIKE(DistanceFault.EARTH),
    PULSE(DistanceFault.ANY),
    PULSE_GOOD(DistanceFault.ANY),
    PULSE_BOTH(DistanceFault.ANY),
    LIFT_OUT(DistanceFault.EARTH);

    /** Of which kind of fault a way tells. */
    public enum DistanceFault {
        OPEN,
        SHORT,
        EARTH,
        /** A pulse comes back from an open and from a short. */
        ANY;

        /** Whether two ways can be of the same fault. */
        public boolean canBe(DistanceFault other) {
            return this == other || this == ANY || other == ANY;
        }
    }

    /** What is measured at a reading. */
    public enum CalculationMeasure {
        FARAD("F"),
        FARAD_PER_METRE("F/m"),
        OHM("Ω"),
        SECOND("s"),
        METRE("m"),
        /** A bare figure, or one in percent. */
        RATIO("");

        private final String unit;

        CalculationMeasure(String unit) {
            this.unit = unit;
        }

        public String unit() {
            return unit;
        }
    }

    /**
     * The wire in question.
     *
     * @param lengthM in metres, above 0
     * @param ohmPerMetre of one core as designed; empty where nothing is known of it
     */
    public record CableRun(double lengthM, Optional<DistanceReading> ohmPerMetre) {}

    /**
     * A reading that is needed.
     *
     * @param such an example
     * @param needed whether it cannot be done without
     */
    public record CalculationInput(Message label, CalculationMeasure measure, String such, boolean needed) {
        private CalculationInput(Message label, CalculationMeasure measure, String such) {
            this(label, measure, such, true);
        }
    }

    private static final CalculationInput LOOP =
            new CalculationInput(Message.of("calculation.whole_loop_far_ends"), CalculationMeasure.OHM, "3.2", false);
    private final DistanceFault fault;

    Calculation(DistanceFault fault) {
        this.fault = fault;
    }

    public Message title() {
        return Message.of(this);
    }

    public DistanceFault fault() {
        return fault;
    }

    /** What is to be read, in the order in which {@link #distance} takes it. */
    public List<CalculationInput> inputs() {
        return switch (this) {
            case OPEN_BOTH_ENDS ->
                List.of(
                        new CalculationInput(Message.of("calculation.from_end"), CalculationMeasure.FARAD, "1.2 nF"),
                        new CalculationInput(Message.of("calculation.from_end_2"), CalculationMeasure.FARAD, "3.4 nF"));
            case OPEN_GOOD_CORE ->
                List.of(
                        new CalculationInput(Message.of("calculation.this_core"), CalculationMeasure.FARAD, "1.2 nF"),
                        new CalculationInput(Message.of("calculation.good_core"), CalculationMeasure.FARAD, "4.6 nF"));
            case OPEN_PER_METRE ->
                List.of(
                        new CalculationInput(Message.of("calculation.this_core"), CalculationMeasure.FARAD, "1.2 nF"),
                        new CalculationInput(
                                Message.of("calculation.metre_has"), CalculationMeasure.FARAD_PER_METRE, "95 pF"));
            case SHORT_BOTH_ENDS ->
                List.of(
                        new CalculationInput(Message.of("calculation.from_end"), CalculationMeasure.OHM, "0.91"),
                        new CalculationInput(Message.of("calculation.from_end_2"), CalculationMeasure.OHM, "1.45"),
                        LOOP);
            case EARTH_OHMS ->
                List.of(
                        new CalculationInput(Message.of("calculation.sound_core_earth"), CalculationMeasure.OHM, "4.1"),
                        new CalculationInput(Message.of("calculation.this_core_earth"), CalculationMeasure.OHM, "2.6"),
                        LOOP);
            case VARLEY ->
                List.of(
                        new CalculationInput(Message.of("calculation.arm_balance"), CalculationMeasure.OHM, "1.2"),
                        new CalculationInput(Message.of("calculation.whole_loop"), CalculationMeasure.OHM, "3.2"));
            case MURRAY ->
                List.of(new CalculationInput(
                        Message.of("calculation.ratio_this_core_arm"), CalculationMeasure.RATIO, "0.42"));
            case MURRAY_UNLIKE ->
                List.of(
                        new CalculationInput(
                                Message.of("calculation.ratio_this_core_arm"), CalculationMeasure.RATIO, "0.42"),
                        new CalculationInput(Message.of("calculation.whole_loop"), CalculationMeasure.OHM, "3.2"),
                        new CalculationInput(
                                Message.of("calculation.this_core_end_end"), CalculationMeasure.OHM, "1.3"));
            case PULSE ->
                List.of(
                        new CalculationInput(
                                Message.of("calculation.velocity_factor"), CalculationMeasure.RATIO, "66 %"),
                        new CalculationInput(
                                Message.of("calculation.pulse_time"), CalculationMeasure.SECOND, "0.8 µs"));
            case PULSE_GOOD ->
                List.of(
                        new CalculationInput(Message.of("calculation.pulse_time"), CalculationMeasure.SECOND, "0.8 µs"),
                        new CalculationInput(Message.of("calculation.good_length"), CalculationMeasure.METRE, "50"),
                        new CalculationInput(Message.of("calculation.time"), CalculationMeasure.SECOND, "0.5 µs"));
            case PULSE_BOTH ->
                List.of(
                        new CalculationInput(
                                Message.of("calculation.time_from_end"), CalculationMeasure.SECOND, "0.3 µs"),
                        new CalculationInput(
                                Message.of("calculation.time_from_end_2"), CalculationMeasure.SECOND, "0.8 µs"));
            case LIFT_OUT ->
                List.of(new CalculationInput(
                        Message.of("calculation.that_far_from_end"), CalculationMeasure.METRE, "3.1"));
        };
    }

    /**
     * The distance by this way.
     *
     * @param reads one for each of {@link #inputs}; empty for one that was not read and is not needed
     * @throws IllegalArgumentException if the fault would lie outside of the run, or if neither the loop was read nor the
     *     resistance of the core is known
     */
    public Distance distance(CableRun run, List<Optional<DistanceReading>> reads) {
        if (reads.size() != inputs().size() || reads.get(0).isEmpty()) {
            throw new IllegalArgumentException(
                    this + " needs " + inputs().size() + " readings, not " + reads.size() + ".");
        }
        double length = run.lengthM();
        DistanceReading first = reads.get(0).get();
        return switch (this) {
            case OPEN_BOTH_ENDS -> Distances.openByBothCapacitances(length, first, read(reads, 1));
            case OPEN_GOOD_CORE -> Distances.openByGoodCore(length, first, read(reads, 1));
            case OPEN_PER_METRE -> Distances.openByMetre(length, first, read(reads, 1));
            case SHORT_BOTH_ENDS ->
                reads.get(2).isPresent()
                        ? Distances.shortByLoop(length, first, read(reads, 1), read(reads, 2))
                        : Distances.shortByBothOhms(length, first, read(reads, 1), perMetre(run));
            case EARTH_OHMS ->
                reads.get(2).isPresent()
                        ? Distances.earthByLoop(length, first, read(reads, 1), read(reads, 2))
                        : Distances.earthByOhms(length, first, read(reads, 1), perMetre(run));
            case VARLEY -> Distances.varley(length, first, read(reads, 1));
            case MURRAY -> Distances.murray(length, first);
            case MURRAY_UNLIKE -> Distances.murrayUnlike(length, first, read(reads, 1), over(read(reads, 2), length));
            case PULSE -> Distances.pulse(length, first, read(reads, 1));
            case PULSE_GOOD -> Distances.pulseByGood(length, first, read(reads, 1), read(reads, 2));
            case PULSE_BOTH -> Distances.pulseByBoth(length, first, read(reads, 1));
            case LIFT_OUT -> Distances.liftOut(length, first);
        };
    }

    private static DistanceReading read(List<Optional<DistanceReading>> reads, int at) {
        return reads.get(at).orElseThrow(() -> new NotAccepted("calculation.reading_missing"));
    }

    private static DistanceReading over(DistanceReading read, double length) {
        return new DistanceReading(read.value() / length, read.uncertainty() / length);
    }

    private static DistanceReading perMetre(CableRun run) {
        return run.ohmPerMetre().orElseThrow(() -> new NotAccepted("calculation.core_not_known"));
    }
}
