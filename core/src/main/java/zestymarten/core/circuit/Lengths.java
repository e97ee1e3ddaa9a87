package zestymarten.core.circuit;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/** Whether the lengths of a circuit's stretches are known. */
public enum Lengths {
    /** Drawn or paced out: off by a few percent. */
    DRAWN(0.015),
    /** Nobody knows them: what they are together is taken from the readings. */
    UNKNOWN(0.05);

    private static final double SHORTEST_M = 0.1;
    private static final double LONGEST_M = 1000;

    private final double doubt;

    Lengths(double doubt) {
        this.doubt = doubt;
    }

    /** Standard error of a reading as a share of what is expected, from the lengths alone. */
    double doubt() {
        return doubt;
    }

    /**
     * A circuit as long as its readings say: a ring as a whole, by the conductors from end to end; a radial stretch by stretch,
     * by line to neutral. Where nothing of the kind was read, or the lengths are known, it stays as drawn.
     */
    static Circuit sized(Circuit circuit, CircuitReadings readings) {
        if (circuit.lengths() == DRAWN || readings.isEmpty()) {
            return circuit;
        }
        return circuit.ring() ? ring(circuit, readings) : radial(circuit, readings);
    }

    /** The middle ratio of the three: one conductor that is loose or open does not decide. */
    private static Circuit ring(Circuit circuit, CircuitReadings readings) {
        CircuitPrediction predicted = new CircuitPrediction(circuit);
        List<Double> ratios = circuit.roles().stream()
                .map(Spot::ends)
                .filter(spot -> readings.ohm(spot).orElse(0) > 0)
                .map(spot ->
                        readings.ohm(spot).getAsDouble() / predicted.good(spot).orElseThrow())
                .sorted()
                .toList();
        if (ratios.isEmpty()) {
            return circuit;
        }
        double factor = ratios.get((ratios.size() - 1) / 2);
        return circuit.withMetres(
                circuit.stretches().stream().map(each -> each.metres() * factor).toList());
    }

    private static Circuit radial(Circuit circuit, CircuitReadings readings) {
        CableStretch metre = circuit.stretches().get(0).withMetres(1);
        double ohmPerMetre = metre.ohm(circuit.roles().get(0), circuit.celsius())
                + metre.ohm(ConductorRole.NEUTRAL, circuit.celsius());
        List<Double> metres = new ArrayList<>();
        double reached = 0;
        int since = 0;
        for (int outlet = 1; outlet <= circuit.outlets(); outlet++) {
            since++;
            OptionalDouble read = toNeutral(circuit, readings, String.valueOf(outlet));
            if (read.isPresent()) {
                double here = Math.max(reached + since * SHORTEST_M, read.getAsDouble() / ohmPerMetre);
                for (int i = 0; i < since; i++) {
                    metres.add((here - reached) / since);
                }
                reached = here;
                since = 0;
            }
        }
        if (metres.isEmpty()) {
            return circuit;
        }
        double usual = reached / metres.size();
        while (metres.size() < circuit.stretches().size()) {
            metres.add(usual);
        }
        return circuit.withMetres(metres);
    }

    /** The lowest of the lines to neutral: one of them may be loose. */
    private static OptionalDouble toNeutral(Circuit circuit, CircuitReadings readings, String point) {
        return circuit.linkedInTurn().stream()
                .filter(each -> each.other() == ConductorRole.NEUTRAL)
                .map(each -> readings.ohm(Spot.at(each, point)))
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .min();
    }

    /** A length that a stretch can have. */
    static double possible(double metres) {
        return Math.max(SHORTEST_M, Math.min(LONGEST_M, metres));
    }
}
