package zestymarten.core.locate;

import java.util.List;
import java.util.Optional;
import zestymarten.core.locate.Distances.DistanceReading;

/** A way to calculate a distance, with what has to be read for it. */
public enum Calculation {
    OPEN_BOTH_ENDS("Open: capacitance from both ends", DistanceFault.OPEN),
    OPEN_GOOD_CORE("Open: capacitance beside a good core", DistanceFault.OPEN),
    OPEN_PER_METRE("Open: capacitance by the metre", DistanceFault.OPEN),
    SHORT_BOTH_ENDS("Short between two like cores: resistance from both ends", DistanceFault.SHORT),
    EARTH_OHMS("To earth: resistance of a sound and of this core, far ends linked", DistanceFault.EARTH),
    VARLEY("To earth: Varley's loop, equal arms", DistanceFault.EARTH),
    MURRAY("To earth: Murray's loop", DistanceFault.EARTH),
    MURRAY_UNLIKE("To earth: Murray's loop, unlike cores", DistanceFault.EARTH),
    PULSE("Pulse there and back", DistanceFault.ANY),
    PULSE_GOOD("Pulse beside that of a good length", DistanceFault.ANY),
    PULSE_BOTH("Pulse from both ends", DistanceFault.ANY),
    LIFT_OUT("Wet: lifted out of the water until it reads well", DistanceFault.EARTH);

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
    public record CalculationInput(String label, CalculationMeasure measure, String such, boolean needed) {
        private CalculationInput(String label, CalculationMeasure measure, String such) {
            this(label, measure, such, true);
        }
    }

    private static final CalculationInput LOOP =
            new CalculationInput("whole loop, far ends linked", CalculationMeasure.OHM, "3.2", false);

    private final String title;
    private final DistanceFault fault;

    Calculation(String title, DistanceFault fault) {
        this.title = title;
        this.fault = fault;
    }

    public String title() {
        return title;
    }

    public DistanceFault fault() {
        return fault;
    }

    /** What is to be read, in the order in which {@link #distance} takes it. */
    public List<CalculationInput> inputs() {
        return switch (this) {
            case OPEN_BOTH_ENDS ->
                List.of(
                        new CalculationInput("from end 1", CalculationMeasure.FARAD, "1.2 nF"),
                        new CalculationInput("from end 2", CalculationMeasure.FARAD, "3.4 nF"));
            case OPEN_GOOD_CORE ->
                List.of(
                        new CalculationInput("of this core", CalculationMeasure.FARAD, "1.2 nF"),
                        new CalculationInput("of a good core", CalculationMeasure.FARAD, "4.6 nF"));
            case OPEN_PER_METRE ->
                List.of(
                        new CalculationInput("of this core", CalculationMeasure.FARAD, "1.2 nF"),
                        new CalculationInput("a metre has", CalculationMeasure.FARAD_PER_METRE, "95 pF"));
            case SHORT_BOTH_ENDS ->
                List.of(
                        new CalculationInput("from end 1", CalculationMeasure.OHM, "0.91"),
                        new CalculationInput("from end 2", CalculationMeasure.OHM, "1.45"),
                        LOOP);
            case EARTH_OHMS ->
                List.of(
                        new CalculationInput("sound core to earth", CalculationMeasure.OHM, "4.1"),
                        new CalculationInput("this core to earth", CalculationMeasure.OHM, "2.6"),
                        LOOP);
            case VARLEY ->
                List.of(
                        new CalculationInput("arm at balance", CalculationMeasure.OHM, "1.2"),
                        new CalculationInput("whole loop", CalculationMeasure.OHM, "3.2"));
            case MURRAY ->
                List.of(new CalculationInput("ratio, this core's arm to the other", CalculationMeasure.RATIO, "0.42"));
            case MURRAY_UNLIKE ->
                List.of(
                        new CalculationInput("ratio, this core's arm to the other", CalculationMeasure.RATIO, "0.42"),
                        new CalculationInput("whole loop", CalculationMeasure.OHM, "3.2"),
                        new CalculationInput("this core, end to end", CalculationMeasure.OHM, "1.3"));
            case PULSE ->
                List.of(
                        new CalculationInput("velocity factor", CalculationMeasure.RATIO, "66 %"),
                        new CalculationInput("time", CalculationMeasure.SECOND, "0.8 µs"));
            case PULSE_GOOD ->
                List.of(
                        new CalculationInput("time", CalculationMeasure.SECOND, "0.8 µs"),
                        new CalculationInput("good length", CalculationMeasure.METRE, "50"),
                        new CalculationInput("its time", CalculationMeasure.SECOND, "0.5 µs"));
            case PULSE_BOTH ->
                List.of(
                        new CalculationInput("time from end 1", CalculationMeasure.SECOND, "0.3 µs"),
                        new CalculationInput("time from end 2", CalculationMeasure.SECOND, "0.8 µs"));
            case LIFT_OUT -> List.of(new CalculationInput("that far from end 1", CalculationMeasure.METRE, "3.1"));
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
                    title + " needs " + inputs().size() + " readings, not " + reads.size() + ".");
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
        return reads.get(at).orElseThrow(() -> new IllegalArgumentException("A reading that is needed is missing."));
    }

    private static DistanceReading over(DistanceReading read, double length) {
        return new DistanceReading(read.value() / length, read.uncertainty() / length);
    }

    private static DistanceReading perMetre(CableRun run) {
        return run.ohmPerMetre()
                .orElseThrow(
                        () -> new IllegalArgumentException("The resistance of this core is not known: section or length"
                                + " are missing. Read the whole loop, far ends linked, and enter it."));
    }
}
