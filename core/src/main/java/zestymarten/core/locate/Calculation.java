package zestymarten.core.locate;

import java.util.List;
import java.util.Optional;
import zestymarten.core.locate.Distances.Read;

/** A way to calculate a distance, with what has to be read for it. */
public enum Calculation {
    OPEN_BOTH_ENDS("Open: capacitance from both ends", Fault.OPEN),
    OPEN_GOOD_CORE("Open: capacitance beside a good core", Fault.OPEN),
    OPEN_PER_METRE("Open: capacitance by the metre", Fault.OPEN),
    SHORT_BOTH_ENDS("Short between two like cores: resistance from both ends", Fault.SHORT),
    EARTH_OHMS("To earth: resistance of a sound and of this core, far ends linked", Fault.EARTH),
    VARLEY("To earth: Varley's loop, equal arms", Fault.EARTH),
    MURRAY("To earth: Murray's loop", Fault.EARTH),
    MURRAY_UNLIKE("To earth: Murray's loop, unlike cores", Fault.EARTH),
    PULSE("Pulse there and back", Fault.ANY),
    PULSE_GOOD("Pulse beside that of a good length", Fault.ANY),
    PULSE_BOTH("Pulse from both ends", Fault.ANY),
    LIFT_OUT("Wet: lifted out of the water until it reads well", Fault.EARTH);

    /** Of which kind of fault a way tells. */
    public enum Fault {
        OPEN,
        SHORT,
        EARTH,
        /** A pulse comes back from an open and from a short. */
        ANY;

        /** Whether two ways can be of the same fault. */
        public boolean canBe(Fault other) {
            return this == other || this == ANY || other == ANY;
        }
    }

    /** What is measured at a reading. */
    public enum Measure {
        FARAD("F"),
        FARAD_PER_METRE("F/m"),
        OHM("Ω"),
        SECOND("s"),
        METRE("m"),
        /** A bare figure, or one in percent. */
        RATIO("");

        private final String unit;

        Measure(String unit) {
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
    public record Run(double lengthM, Optional<Read> ohmPerMetre) {}

    /**
     * A reading that is needed.
     *
     * @param such an example
     * @param needed whether it cannot be done without
     */
    public record Input(String label, Measure measure, String such, boolean needed) {
        private Input(String label, Measure measure, String such) {
            this(label, measure, such, true);
        }
    }

    private static final Input LOOP = new Input("whole loop, far ends linked", Measure.OHM, "3.2", false);

    private final String title;
    private final Fault fault;

    Calculation(String title, Fault fault) {
        this.title = title;
        this.fault = fault;
    }

    public String title() {
        return title;
    }

    public Fault fault() {
        return fault;
    }

    /** What is to be read, in the order in which {@link #distance} takes it. */
    public List<Input> inputs() {
        return switch (this) {
            case OPEN_BOTH_ENDS ->
                List.of(
                        new Input("from end 1", Measure.FARAD, "1.2 nF"),
                        new Input("from end 2", Measure.FARAD, "3.4 nF"));
            case OPEN_GOOD_CORE ->
                List.of(
                        new Input("of this core", Measure.FARAD, "1.2 nF"),
                        new Input("of a good core", Measure.FARAD, "4.6 nF"));
            case OPEN_PER_METRE ->
                List.of(
                        new Input("of this core", Measure.FARAD, "1.2 nF"),
                        new Input("a metre has", Measure.FARAD_PER_METRE, "95 pF"));
            case SHORT_BOTH_ENDS ->
                List.of(
                        new Input("from end 1", Measure.OHM, "0.91"),
                        new Input("from end 2", Measure.OHM, "1.45"),
                        LOOP);
            case EARTH_OHMS ->
                List.of(
                        new Input("sound core to earth", Measure.OHM, "4.1"),
                        new Input("this core to earth", Measure.OHM, "2.6"),
                        LOOP);
            case VARLEY ->
                List.of(new Input("arm at balance", Measure.OHM, "1.2"), new Input("whole loop", Measure.OHM, "3.2"));
            case MURRAY -> List.of(new Input("ratio, this core's arm to the other", Measure.RATIO, "0.42"));
            case MURRAY_UNLIKE ->
                List.of(
                        new Input("ratio, this core's arm to the other", Measure.RATIO, "0.42"),
                        new Input("whole loop", Measure.OHM, "3.2"),
                        new Input("this core, end to end", Measure.OHM, "1.3"));
            case PULSE ->
                List.of(
                        new Input("velocity factor", Measure.RATIO, "66 %"),
                        new Input("time", Measure.SECOND, "0.8 µs"));
            case PULSE_GOOD ->
                List.of(
                        new Input("time", Measure.SECOND, "0.8 µs"),
                        new Input("good length", Measure.METRE, "50"),
                        new Input("its time", Measure.SECOND, "0.5 µs"));
            case PULSE_BOTH ->
                List.of(
                        new Input("time from end 1", Measure.SECOND, "0.3 µs"),
                        new Input("time from end 2", Measure.SECOND, "0.8 µs"));
            case LIFT_OUT -> List.of(new Input("that far from end 1", Measure.METRE, "3.1"));
        };
    }

    /**
     * The distance by this way.
     *
     * @param reads one for each of {@link #inputs}; empty for one that was not read and is not needed
     * @throws IllegalArgumentException if the fault would lie outside of the run, or if neither the loop was read nor the
     *     resistance of the core is known
     */
    public Distance distance(Run run, List<Optional<Read>> reads) {
        if (reads.size() != inputs().size() || reads.get(0).isEmpty()) {
            throw new IllegalArgumentException(
                    title + " needs " + inputs().size() + " readings, not " + reads.size() + ".");
        }
        double length = run.lengthM();
        Read first = reads.get(0).get();
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

    private static Read read(List<Optional<Read>> reads, int at) {
        return reads.get(at).orElseThrow(() -> new IllegalArgumentException("A reading that is needed is missing."));
    }

    private static Read over(Read read, double length) {
        return new Read(read.value() / length, read.uncertainty() / length);
    }

    private static Read perMetre(Run run) {
        return run.ohmPerMetre()
                .orElseThrow(
                        () -> new IllegalArgumentException("The resistance of this core is not known: section or length"
                                + " are missing. Read the whole loop, far ends linked, and enter it."));
    }
}
