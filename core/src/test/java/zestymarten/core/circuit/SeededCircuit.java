package zestymarten.core.circuit;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;

/**
 * A made-up circuit, the lengths on paper a little wrong, something the matter with it, and what a meter of 0.01 ohm reads on it.
 *
 * @param drawn what the technician knows
 * @param wall what is in the wall
 * @param pattern what is the matter
 */
record SeededCircuit(Circuit drawn, Circuit wall, Pattern pattern, CircuitReadings readings) {
    private static final double COUNT = 0.01;
    private static final List<ConductorRole> ROLES =
            List.of(ConductorRole.LINE, ConductorRole.NEUTRAL, ConductorRole.PROTECTIVE);

    static SeededCircuit of(long seed, boolean ring, String kind) {
        Random random = new Random(seed);
        int outlets = 4 + random.nextInt(17);
        double line = random.nextBoolean() ? 2.5 : 4;
        double protective = random.nextBoolean() ? 1.5 : line;
        List<CableStretch> drawn = new ArrayList<>();
        List<CableStretch> real = new ArrayList<>();
        for (int i = 0; i < outlets + (ring ? 1 : 0); i++) {
            double metres = 3 + 9 * random.nextDouble();
            drawn.add(new CableStretch(metres, line, protective));
            real.add(new CableStretch(metres * (1 + 0.03 * random.nextGaussian()), line, protective));
        }
        Circuit paper = new Circuit(ring ? CircuitShape.RING : CircuitShape.RADIAL, drawn, List.of(), 20);
        Circuit wall = new Circuit(ring ? CircuitShape.RING : CircuitShape.RADIAL, real, List.of(), 20);
        Pattern pattern = pattern(kind, outlets, ring, random);
        return new SeededCircuit(paper, wall, pattern, read(wall, pattern, random));
    }

    /** The same circuit of which nobody knows the lengths. */
    SeededCircuit withoutLengths() {
        Circuit unknown = new Circuit(
                drawn.shape(),
                drawn.stretches().stream().map(each -> each.withMetres(6)).toList(),
                List.of(),
                20,
                Lengths.UNKNOWN);
        return new SeededCircuit(unknown, wall, pattern, readings);
    }

    private static Pattern pattern(String kind, int outlets, boolean ring, Random random) {
        int which = random.nextInt(3);
        ConductorRole role = ROLES.get(which);
        int stretch = random.nextInt(outlets + (ring ? 1 : 0));
        String point = String.valueOf(1 + random.nextInt(outlets));
        int from = 1 + random.nextInt(outlets - 3);
        int to = from + 3 + random.nextInt(outlets - from - 2);
        return switch (kind) {
            case "linked wrong way" ->
                new Pattern.WrongWay(random.nextBoolean() ? EndLink.LINE_NEUTRAL : EndLink.LINE_PROTECTIVE);
            case "broken leg" -> new Pattern.ConductorBroken(role, stretch);
            case "loose joint" -> new Pattern.Loose(role, stretch, 0.3 + 2 * random.nextDouble());
            case "spur" -> new Pattern.OnSpur(point, 6 + 14 * random.nextDouble());
            case "interconnection" -> new Pattern.Interconnected(from, to, 1 + 5 * random.nextDouble());
            case "swapped polarity" ->
                new Pattern.Swapped(
                        point,
                        ROLES.get(Math.min(which, (which + 1) % 3)),
                        ROLES.get(Math.max(which, (which + 1) % 3)));
            case "missing conductor" -> new Pattern.Missing(point, role);
            case "cut cable" -> new Pattern.CableCut(stretch);
            case "other section" -> new Pattern.OtherProtective(1);
            case "longer than drawn" -> new Pattern.Longer(1.3 + random.nextDouble());
            default -> new Pattern.Good();
        };
    }

    /** The readings with one more. */
    SeededCircuit reads(Spot spot) {
        Map<Spot, OptionalDouble> more = new LinkedHashMap<>(readings.ohms());
        OptionalDouble ohm = new CircuitPrediction(wall).of(pattern, spot);
        more.put(spot, ohm.isPresent() ? OptionalDouble.of(shown(ohm.getAsDouble(), new Random(more.size()))) : ohm);
        return new SeededCircuit(drawn, wall, pattern, new CircuitReadings(more));
    }

    private static CircuitReadings read(Circuit wall, Pattern pattern, Random random) {
        CircuitPrediction predicted = new CircuitPrediction(wall);
        Map<Spot, OptionalDouble> shown = new LinkedHashMap<>();
        for (Spot spot : RecognisedPattern.steps(wall)) {
            OptionalDouble ohm = predicted.of(pattern, spot);
            shown.put(spot, ohm.isPresent() ? OptionalDouble.of(shown(ohm.getAsDouble(), random)) : ohm);
        }
        return new CircuitReadings(shown);
    }

    /** With half a count of probes and half a percent of the meter, to the count. */
    private static double shown(double ohm, Random random) {
        double read = ohm * (1 + 0.005 * random.nextGaussian()) + COUNT / 2 * random.nextGaussian();
        return Math.max(0, Math.round(read / COUNT) * COUNT);
    }
}
