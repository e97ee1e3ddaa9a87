package zestymarten.core.analysis;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.quantity.NotAccepted;

/**
 * A reading as it was taken.
 *
 * @param a the black probe
 * @param b the red probe
 * @param asTyped what the meter showed
 * @param links groups of terminals that were linked together for it; none if all ends were free
 * @param rangeTop the top of the range in use, where that is known
 * @param quantity what it is a reading of
 * @param testV test voltage in volts, above 0; needed for insulation and leakage
 * @param since what was done since the same points were read before, as far as it was recorded
 */
public record AnalysisReading(
        Terminal a,
        Terminal b,
        String asTyped,
        SwitchState state,
        List<List<Terminal>> links,
        OptionalDouble rangeTop,
        Quantity quantity,
        OptionalDouble testV,
        Observation.Since since) {
    public AnalysisReading {
        links = links.stream().map(List::copyOf).toList();
        if (a.equals(b)) {
            throw new NotAccepted("analysis_reading.both_probes_on", a);
        }
        if (quantity.needsTestVoltage() && !(testV.orElse(0) > 0)) {
            throw new NotAccepted("analysis_reading.reading_needs_its", quantity.code());
        }
    }

    /** Where the probes were; which of them was where counts on the diode range alone. */
    Set<ProbeEnd> ends() {
        return quantity == Quantity.FORWARD_VOLTAGE
                ? Set.of(new ProbeEnd(a, "black"), new ProbeEnd(b, "red"))
                : Set.of(new ProbeEnd(a, ""), new ProbeEnd(b, ""));
    }

    /** A terminal, and the probe on it where that counts. */
    record ProbeEnd(Terminal terminal, String probe) {}

    /** Whether another one is of the same two terminals in the same state and setup. */
    boolean repeats(AnalysisReading other) {
        return ends().equals(other.ends())
                && state.equals(other.state)
                && links.equals(other.links)
                && quantity == other.quantity;
    }

    /** The same, with what was done since the points were read before. */
    public AnalysisReading since(Observation.Since done) {
        return new AnalysisReading(a, b, asTyped, state, links, rangeTop, quantity, testV, done);
    }

    /** A reading of ohms. */
    public AnalysisReading(
            Terminal a,
            Terminal b,
            String asTyped,
            SwitchState state,
            List<List<Terminal>> links,
            OptionalDouble rangeTop) {
        this(
                a,
                b,
                asTyped,
                state,
                links,
                rangeTop,
                Quantity.RESISTANCE,
                OptionalDouble.empty(),
                Observation.Since.NOTHING);
    }
}
