package zestymarten.core.locate;

import java.util.List;
import zestymarten.core.locate.Distances.Read;

/** A way to reckon a distance, with what has to be read for it. */
public enum Calculation {
    OPEN_BOTH_ENDS("Open: capacitance from both ends"),
    OPEN_GOOD_CORE("Open: capacitance beside a good core"),
    SHORT_BOTH_ENDS("Short between two like cores: resistance from both ends"),
    EARTH_OHMS("To earth: resistance of a sound and of this core, far ends linked"),
    VARLEY("To earth: Varley's loop, equal arms"),
    MURRAY("To earth: Murray's loop"),
    PULSE("Open or short: pulse there and back"),
    LIFT_OUT("Wet: lifted out of the water until it reads well");

    /**
     * The wire in question.
     *
     * @param lengthM in metres, above 0
     * @param ohmPerMetre of one core; of no matter to the ways that do not use it
     */
    public record Run(double lengthM, Read ohmPerMetre) {}

    /**
     * A reading that is needed.
     *
     * @param unit empty for a bare figure
     * @param such an example
     */
    public record Input(String label, String unit, String such) {}

    private final String title;

    Calculation(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }

    /** What has to be read, in the order in which {@link #distance} takes it. */
    public List<Input> inputs() {
        return switch (this) {
            case OPEN_BOTH_ENDS -> List.of(new Input("from end 1", "F", "1.2n"), new Input("from end 2", "F", "3.4n"));
            case OPEN_GOOD_CORE ->
                List.of(new Input("of this core", "F", "1.2n"), new Input("of a good core", "F", "4.6n"));
            case SHORT_BOTH_ENDS -> List.of(new Input("from end 1", "Ω", "0.91"), new Input("from end 2", "Ω", "1.45"));
            case EARTH_OHMS ->
                List.of(new Input("sound core to earth", "Ω", "4.1"), new Input("this core to earth", "Ω", "2.6"));
            case VARLEY -> List.of(new Input("arm at balance", "Ω", "1.2"), new Input("whole loop", "Ω", "3.2"));
            case MURRAY -> List.of(new Input("ratio, this core's arm to the other", "", "0.42"));
            case PULSE -> List.of(new Input("velocity factor", "", "0.66"), new Input("time", "s", "0.8u"));
            case LIFT_OUT -> List.of(new Input("that far from end 1", "m", "3.1"));
        };
    }

    /**
     * The distance by this way.
     *
     * @param reads one for each of {@link #inputs}
     * @throws IllegalArgumentException if the fault would lie outside of the run
     */
    public Distance distance(Run run, List<Read> reads) {
        if (reads.size() != inputs().size()) {
            throw new IllegalArgumentException(
                    title + " needs " + inputs().size() + " readings, not " + reads.size() + ".");
        }
        double length = run.lengthM();
        Read first = reads.get(0);
        Read last = reads.get(reads.size() - 1);
        return switch (this) {
            case OPEN_BOTH_ENDS -> Distances.openByBothCapacitances(length, first, last);
            case OPEN_GOOD_CORE -> Distances.openByGoodCore(length, first, last);
            case SHORT_BOTH_ENDS -> Distances.shortByBothOhms(length, first, last, run.ohmPerMetre());
            case EARTH_OHMS -> Distances.earthByOhms(length, first, last, run.ohmPerMetre());
            case VARLEY -> Distances.varley(length, first, last);
            case MURRAY -> Distances.murray(length, first);
            case PULSE -> Distances.pulse(length, first, last);
            case LIFT_OUT -> Distances.liftOut(length, first);
        };
    }
}
