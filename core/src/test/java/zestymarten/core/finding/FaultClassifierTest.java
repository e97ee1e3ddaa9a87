package zestymarten.core.finding;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.CavityLayout;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.assembly.WireList;
import zestymarten.core.network.Groups;
import zestymarten.core.quantity.English;
import zestymarten.core.quantity.Trials;

class FaultClassifierTest {
    private static Assembly cable(int wires, int cavities) {
        List<Conductor> conductors = new ArrayList<>();
        for (int i = 1; i <= wires; i++) {
            conductors.add(Conductor.between("W" + i, Terminal.of("A." + i), Terminal.of("B." + i)));
        }
        return Assembly.of("Cable", AssemblyKind.CABLE, "", conductors, Map.of("B", CavityLayout.line(cavities)));
    }

    private static Assembly list(String text) {
        return WireList.read(text).assembly("Harness", AssemblyKind.HARNESS, "", Map.of());
    }

    private static List<Finding> classify(Assembly assembly, Partition seen) {
        return FaultClassifier.classify(assembly, seen, end -> end.isPin() || end.isFrame())
                .findings();
    }

    /** Findings when exactly these are joined, given as "A.1 B.1, A.2 B.2 FRAME". */
    private static List<Finding> seeing(Assembly assembly, String groups) {
        List<Partition.JoinedPair> joined = new ArrayList<>();
        for (String group : groups.split(", *")) {
            String[] names = group.split(" ");
            for (int i = 1; i < names.length; i++) {
                joined.add(new Partition.JoinedPair(Terminal.of(names[0]), Terminal.of(names[i])));
            }
        }
        return classify(assembly, Partition.of(assembly.terminals(), joined));
    }

    private static List<String> found(List<Finding> findings) {
        return findings.stream().map(each -> English.of(each.message())).toList();
    }

    @Test
    void aGoodUnitHasNoFindings() {
        assertThat(seeing(cable(3, 4), "A.1 B.1, A.2 B.2, A.3 B.3")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "A.1 B.1, A.3 B.3 | W2 is open between A.2 and B.2.",
                "A.1 B.2, A.2 B.1, A.3 B.3 | W1 and W2 are crossed: W1 goes to B.2 and W2 goes to B.1.",
                "A.1 B.2, A.2 B.3, A.3 B.1 | W1, W2 and W3 are crossed: W1 goes to B.2, W2 goes to B.3 and W3 goes to B.1.",
                "A.1 B.1, A.2 B.4, A.3 B.3 | W2 is in the wrong cavity: B.4 instead of B.2.",
                "A.1 B.1 A.3 B.3, A.2 B.2 | Short circuit between W1 and W3.",
                "A.1 B.1, A.2 B.2 FRAME, A.3 B.3 | W2 is shorted to the frame.",
                "A.1 B.1, A.2 B.2 B.4, A.3 B.3 | An extra connection joins W2 and the empty cavity B.4, where the assembly has no wire.",
            })
    void namesASingleFault(String groups, String finding) {
        assertThat(found(seeing(cable(3, 4), groups))).containsExactly(finding);
    }

    @Test
    void namesTheStubOfABrokenWireThatTouchesAnother() {
        assertThat(found(seeing(cable(3, 3), "A.1 B.1 A.2, A.3 B.3")))
                .containsExactly("Short circuit between W1 and the A side of W2.", "W2 is open between A.2 and B.2.");
    }

    @Test
    void doesNotStopAtTheFirstFault() {
        assertThat(found(seeing(cable(6, 6), "A.1 B.2, A.2 B.1, A.4 B.4 A.5 B.5 FRAME, A.6 B.6")))
                .containsExactly(
                        "W1 and W2 are crossed: W1 goes to B.2 and W2 goes to B.1.",
                        "W3 is open between A.3 and B.3.",
                        "W4 and W5 are shorted to the frame.");
    }

    @Test
    void aWireBondedToTheFrameByDesignIsGoodWhenItReadsAndOpenWhenNot() {
        Assembly bonded = list("from,to\nA.1,B.1\nA.2,FRAME\n");
        assertThat(seeing(bonded, "A.1 B.1, A.2 FRAME")).isEmpty();
        assertThat(found(seeing(bonded, "A.1 B.1"))).containsExactly("W2 is open between A.2 and FRAME.");
        assertThat(found(seeing(bonded, "A.1 B.1 A.2 FRAME"))).containsExactly("W1 is shorted to the frame.");
    }

    @Test
    void findsWhichLegOfASpliceIsBroken() {
        Assembly spliced = list("wire,from,to\nIn,A.1,S1\nLeft,S1,B.1\nRight,S1,C.1\nOther,A.2,B.2\n");
        assertThat(seeing(spliced, "A.1 B.1 C.1, A.2 B.2")).isEmpty();
        assertThat(found(seeing(spliced, "A.1 B.1, A.2 B.2"))).containsExactly("Right is open between S1 and C.1.");
        assertThat(found(seeing(spliced, "B.1 C.1, A.2 B.2"))).containsExactly("In is open between A.1 and S1.");
        assertThat(found(seeing(spliced, "A.1 B.1 C.1 A.2 B.2")))
                .containsExactly("Short circuit between In, Left and Right and Other.");
    }

    @ParameterizedTest
    @CsvSource({"1, 0, 5", "2, 0, 52", "3, 0, 877", "4, 0, 21147", "2, 2, 877"})
    void findingsReproduceEveryPartition(int wires, int empty, int expected) {
        assumeThat(expected < 1000 || Trials.ALL)
                .as("the largest takes half a minute")
                .isTrue();
        Assembly assembly = cable(wires, wires + empty);
        List<Terminal> terminals = assembly.terminals();
        int[] count = {0};
        partitions(new int[terminals.size()], 0, 0, groups -> {
            count[0]++;
            List<Finding> findings = classify(assembly, partition(terminals, groups));
            assertThat(applied(assembly, findings))
                    .as(() -> "groups %s: %s".formatted(Arrays.toString(groups), found(findings)))
                    .isEqualTo(normal(groups));
        });
        assertThat(count[0]).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({"2, 0, 52", "3, 0, 877", "2, 2, 877"})
    void findingsReproduceEveryPartitionWhereAWireIsBondedToTheFrame(int wires, int empty, int expected) {
        Assembly plain = cable(wires, wires + empty);
        Assembly assembly = bonded(plain, "A.1");
        List<Terminal> terminals = assembly.terminals();
        int[] count = {0};
        partitions(new int[terminals.size()], 0, 0, groups -> {
            count[0]++;
            List<Finding> findings = classify(assembly, partition(terminals, groups));
            assertThat(applied(assembly, findings))
                    .as(() -> String.valueOf(found(findings)))
                    .isEqualTo(normal(groups));
        });
        assertThat(count[0]).isEqualTo(expected);
    }

    private static Assembly bonded(Assembly plain, String... terminals) {
        return new Assembly(
                plain.name(),
                plain.kind(),
                "",
                plain.connectors(),
                List.of(),
                plain.conductors(),
                List.of(),
                List.of(),
                java.util.stream.Stream.of(terminals).map(Terminal::of).collect(java.util.stream.Collectors.toSet()));
    }

    @Test
    void aBondedWireStandsForTheFrameAndIsNotListed() {
        Assembly assembly = bonded(cable(3, 4), "A.3");
        assertThat(seeing(assembly, "A.1 B.1, A.2 B.2, A.3 B.3 FRAME")).isEmpty();
        assertThat(found(seeing(assembly, "A.1 B.1, A.2 B.2 A.3 B.3 FRAME")))
                .containsExactly("W2 is shorted to the frame.");
        assertThat(found(seeing(assembly, "A.1 B.1, A.2 B.2, A.3 B.3")))
                .containsExactly("W3 is open between A.3 and FRAME.");
        assertThat(found(seeing(assembly, "A.1 B.1, A.2 B.2, A.3 B.4 FRAME")))
                .containsExactly("W3 is in the wrong cavity: B.4 instead of B.3.");
        assertThat(found(seeing(assembly, "A.1 B.1, A.2 B.3, A.3 B.2 FRAME")))
                .containsExactly("W2 and W3 are crossed: W2 goes to B.3 and W3 goes to B.2.");
    }

    @Test
    void namesAConnectorThatIsReversedOrShifted() {
        assertThat(found(seeing(cable(5, 5), "A.1 B.5, A.2 B.4, A.3 B.3, A.4 B.2, A.5 B.1")))
                .containsExactly("B is mirrored: its positions are reversed for W1, W2, W3, W4 and W5.");
        assertThat(found(seeing(cable(3, 3), "A.1 B.3, A.2 B.2, A.3 B.1")))
                .as("three wires reversed are one swap")
                .containsExactly("W1 and W3 are crossed: W1 goes to B.3 and W3 goes to B.1.");
        assertThat(found(seeing(cable(3, 4), "A.1 B.2, A.2 B.3, A.3 B.4")))
                .containsExactly("B is shifted by 1 cavity towards its end: W1, W2 and W3.");
        assertThat(found(seeing(cable(3, 3), "A.1 B.2, A.2 B.3, A.3 B.1")))
                .as("a shift does not wrap: this is a cycle")
                .containsExactly("W1, W2 and W3 are crossed: W1 goes to B.2, W2 goes to B.3 and W3 goes to B.1.");
        assertThat(found(seeing(cable(5, 5), "A.1 B.5, A.2 B.4, A.3 B.3, A.5 B.1")))
                .as("one of the reversed wires is broken as well")
                .containsExactly(
                        "B is mirrored: its positions are reversed for W1, W2, W3 and W5.",
                        "W4 is open between A.4 and B.4.");
    }

    @ParameterizedTest
    @CsvSource({"2, 0", "3, 0", "2, 1"})
    void noChoiceOfMovesNeedsFewerFindings(int wires, int empty) {
        Assembly assembly = cable(wires, wires + empty);
        List<Terminal> terminals = assembly.terminals();
        partitions(new int[terminals.size()], 0, 0, groups -> {
            List<Finding> findings = classify(assembly, partition(terminals, groups));
            int fewest = BruteForce.fewest(wires, wires + empty, groups);
            boolean whole = findings.stream()
                    .anyMatch(each -> each instanceof Finding.Mirrored || each instanceof Finding.Shifted);
            // A whole connector reversed or shifted is taken only where it saves a finding.
            assertThat(findings.size()).isLessThanOrEqualTo(whole ? fewest - 1 : fewest);
        });
    }

    @Test
    void leavingAnyFindingOutBreaksTheExplanation() {
        Assembly assembly = cable(3, 3);
        List<Terminal> terminals = assembly.terminals();
        partitions(new int[terminals.size()], 0, 0, groups -> {
            List<Finding> findings = classify(assembly, partition(terminals, groups));
            for (Finding left : findings) {
                List<Finding> others = new ArrayList<>(findings);
                others.remove(left);
                assertThat(applied(assembly, others)).isNotEqualTo(normal(groups));
            }
        });
    }

    @Test
    void findingsReproduceRandomFaultsOnLargeCables() {
        Random random = new Random(5);
        for (int round = 0; round < Trials.of(30); round++) {
            int wires = 50 + random.nextInt(450);
            Assembly assembly = cable(wires, wires + 3);
            List<Terminal> terminals = assembly.terminals();
            int[] groups = new int[terminals.size()];
            for (int i = 0; i < groups.length; i++) {
                groups[i] = i;
            }
            for (int i = 0; i < wires; i++) {
                groups[wires + i] = i;
            }
            for (int fault = 0; fault < 6; fault++) {
                int a = wires + random.nextInt(wires + 3);
                int b = random.nextInt(wires);
                switch (random.nextInt(3)) {
                    case 0 -> {
                        int swap = groups[a];
                        groups[a] = groups[wires + b];
                        groups[wires + b] = swap;
                    }
                    case 1 -> groups[a] = 10_000 + fault;
                    default -> {
                        int from = groups[b];
                        int to = groups[random.nextInt(groups.length)];
                        for (int i = 0; i < groups.length; i++) {
                            groups[i] = groups[i] == from ? to : groups[i];
                        }
                    }
                }
            }
            List<Finding> findings = classify(assembly, partition(terminals, groups));
            assertThat(applied(assembly, findings))
                    .as(() -> String.valueOf(found(findings)))
                    .isEqualTo(normal(groups));
        }
    }

    private static Partition partition(List<Terminal> terminals, int[] groups) {
        List<Partition.JoinedPair> joined = new ArrayList<>();
        int[] first = new int[Arrays.stream(groups).max().orElse(0) + 1];
        Arrays.fill(first, -1);
        for (int i = 0; i < groups.length; i++) {
            if (first[groups[i]] < 0) {
                first[groups[i]] = i;
            } else {
                joined.add(new Partition.JoinedPair(terminals.get(first[groups[i]]), terminals.get(i)));
            }
        }
        return Partition.of(terminals, joined);
    }

    /** Every partition once, as a restricted growth string. */
    private static void partitions(int[] groups, int at, int used, Consumer<int[]> each) {
        if (at == groups.length) {
            each.accept(groups);
            return;
        }
        for (int group = 0; group <= used; group++) {
            groups[at] = group;
            partitions(groups, at + 1, Math.max(used, group + 1), each);
        }
    }

    private static List<Integer> normal(int[] groups) {
        List<Integer> names = new ArrayList<>();
        List<Integer> normal = new ArrayList<>();
        for (int group : groups) {
            if (!names.contains(group)) {
                names.add(group);
            }
            normal.add(names.indexOf(group));
        }
        return normal;
    }

    /** What the findings say the unit looks like: the expected wiring with the faults put into it. */
    private static List<Integer> applied(Assembly assembly, List<Finding> findings) {
        List<Terminal> terminals = assembly.terminals();
        Set<String> open = new HashSet<>();
        Set<Terminal> unbonded = new HashSet<>();
        Map<String, Terminal> moved = new java.util.HashMap<>();
        for (Finding finding : findings) {
            if (finding instanceof Finding.Open one
                    && one.to().isFrame()
                    && assembly.bonded().contains(one.from())) {
                unbonded.add(one.from());
            } else if (finding instanceof Finding.Open one) {
                open.add(one.conductor());
            } else {
                finding.moved().forEach(move -> moved.put(move.conductor() + move.designed(), move.cavity()));
            }
        }
        Groups groups = new Groups(terminals.size());
        for (Terminal bonded : assembly.bonded()) {
            if (!unbonded.contains(bonded)) {
                groups.join(terminals.indexOf(bonded), terminals.indexOf(Terminal.FRAME));
            }
        }
        for (Conductor conductor : assembly.conductors()) {
            if (!open.contains(conductor.id())) {
                Terminal near = moved.getOrDefault(conductor.id() + conductor.from(), conductor.from());
                Terminal far = moved.getOrDefault(conductor.id() + conductor.to(), conductor.to());
                groups.join(terminals.indexOf(near), terminals.indexOf(far));
            }
        }
        for (Finding finding : findings) {
            if (finding instanceof Finding.Shorted
                    || finding instanceof Finding.FrameShort
                    || finding instanceof Finding.Extra) {
                int first = finding instanceof Finding.FrameShort
                        ? terminals.indexOf(Terminal.FRAME)
                        : terminals.indexOf(finding.terminals().get(0));
                finding.terminals().forEach(terminal -> groups.join(first, terminals.indexOf(terminal)));
            }
        }
        int[] result = new int[terminals.size()];
        for (int i = 0; i < result.length; i++) {
            result[i] = groups.of(i);
        }
        return normal(result);
    }
}
