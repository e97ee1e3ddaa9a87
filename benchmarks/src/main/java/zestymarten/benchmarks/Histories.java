package zestymarten.benchmarks;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.fault.FaultyUnit;
import zestymarten.core.fault.GoodUnit;
import zestymarten.core.fault.Probe;
import zestymarten.core.fault.SeededFault;
import zestymarten.core.finding.FaultHistory;
import zestymarten.core.finding.FaultHistory.FaultOf;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Purpose;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;

/**
 * What a workshop's history of faults saves. Units of one cable whose wires do not break alike: two of them flex. As many
 * units as were tested before teach; others are tested, and others again whose faults are anywhere, for which the history is
 * a wrong one.
 */
final class Histories {
    private static final int WIRES = 12;
    private static final int[] FLEXING = {3, 8};
    /** So often it is one of the flexing wires. */
    private static final double WEAK = 0.7;

    private static final int[] TAUGHT = {0, 10, 40, 200};
    private static final double SPREAD = 0.06;
    private static final double ACCURACY = 0.008;

    /** A faulty unit: what is wrong with it, and what is found. */
    private record Faulty(SeededFault fault, FaultOf finding) {}

    private record TestOfUnit(int measurements, boolean right) {}

    private final Assembly cable = Cables.straight(WIRES);
    private final TestConditions conditions = Cables.conditions(ACCURACY);
    private final double badContact;

    private Histories(double badContact) {
        this.badContact = badContact;
    }

    /** A table: units like those that taught, and units whose faults are anywhere, by how many taught. */
    static List<String> lines(int units, double badContact) {
        Histories study = new Histories(badContact);
        List<String> lines = new ArrayList<>(List.of(
                "| units that taught | faults of those tested | units | measurements, mean | median | worst | named exactly |",
                "|---|---|---|---|---|---|---|"));
        for (boolean alike : new boolean[] {true, false}) {
            for (int taught : TAUGHT) {
                lines.add(study.line(study.history(taught), taught, alike, units));
            }
        }
        return lines;
    }

    private FaultHistory history(int taught) {
        Random random = new Random(11);
        Map<FaultOf, Integer> counts = new HashMap<>();
        for (int i = 0; i < taught; i++) {
            counts.merge(faulty(random, true).finding(), 1, Integer::sum);
        }
        return new FaultHistory(taught, counts);
    }

    /** Half of the faults are breaks, a third bad terminations, the others shorts to the frame. */
    private Faulty faulty(Random random, boolean alike) {
        boolean flexing = alike && random.nextDouble() < WEAK;
        Conductor conductor =
                cable.conductors().get(flexing ? FLEXING[random.nextInt(FLEXING.length)] : random.nextInt(WIRES));
        String wire = conductor.id();
        return switch (random.nextInt(6)) {
            case 0, 1, 2 -> new Faulty(new SeededFault.Open(wire), new FaultOf("open", wire));
            case 3, 4 ->
                new Faulty(
                        new SeededFault.High(wire, 3 + 40 * random.nextDouble()), new FaultOf("high_resistance", wire));
            default ->
                new Faulty(
                        new SeededFault.Shorted(conductor.from(), Terminal.FRAME, 1), new FaultOf("frame_short", wire));
        };
    }

    private String line(FaultHistory history, int taught, boolean alike, int units) {
        List<TestOfUnit> tests = new ArrayList<>();
        for (int i = 0; i < units; i++) {
            tests.add(test(history, alike, 9000 + i));
        }
        return "| %d | %s | %d | %s | %.1f %% |"
                .formatted(
                        taught,
                        alike ? "like theirs" : "anywhere",
                        units,
                        Hands.spread(tests.stream().mapToInt(TestOfUnit::measurements)),
                        100.0 * tests.stream().filter(TestOfUnit::right).count() / units);
    }

    private TestOfUnit test(FaultHistory history, boolean alike, int seed) {
        Random random = new Random(seed * 7_919_317L);
        Design design = Design.of(cable, conditions.ambientC(), Map.of(), history);
        Faulty faulty = faulty(random, alike);
        FaultyUnit unit = FaultyUnit.of(
                GoodUnit.spread(design, any -> 1 + SPREAD * (random.nextDouble() - 0.5)), List.of(faulty.fault()));
        Hands hands = new Hands(design, conditions, new Probe(unit, conditions, random, badContact));
        hands.enter(new TestStep.ManualStep(ManualAction.PURPOSE), new Entry.Content.Done(Purpose.FIND_FAULT.code()));
        hands.work();
        return new TestOfUnit(
                hands.measurements(),
                hands.named().equals(Set.of(faulty.finding().name())));
    }
}
