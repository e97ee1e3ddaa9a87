package zestymarten.core.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import zestymarten.core.analysis.Recommendation;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.FaultHistory;
import zestymarten.core.quantity.English;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Purpose;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;

/** A machine has a symptom: the diagnosis leads, and ends when one repair is as good as certain. */
class FindTheFaultTest {
    private static final int WIRES = 12;

    private static Bench pendant() {
        return pendant(FaultHistory.NONE);
    }

    private static Bench pendant(FaultHistory history) {
        StringBuilder list = new StringBuilder("wire,from,to,function,length_m,area_mm2\n");
        for (int i = 1; i <= WIRES; i++) {
            list.append("W%d,J1.%d,J2.%d,function %d,8,0.5%n".formatted(i, i, i, i));
        }
        return Bench.of(list.toString(), history).enters(ManualAction.PURPOSE, "", Purpose.FIND_FAULT.code());
    }

    private static Bench withSymptoms(Bench bench, Map<Integer, String> symptoms) {
        for (int i = 1; i <= WIRES; i++) {
            bench.enters(ManualAction.SYMPTOM, "function " + i, symptoms.getOrDefault(i, RecordedSymptoms.WORKS));
        }
        return bench;
    }

    /** Measures what is due until nothing is; pairs that are not named read as a good unit does. */
    private static int measure(Bench bench, Map<Set<String>, String> readings) {
        return measure(bench, measurement -> reading(bench.test(), measurement, readings));
    }

    private static int measure(Bench bench, Function<TestStep.Measurement, String> shows) {
        int measurements = 0;
        Optional<TestStep> due = bench.test().current();
        while (due.isPresent()) {
            TestStep step = due.get();
            if (step instanceof TestStep.Measurement measurement) {
                bench.at(step, shows.apply(measurement));
                measurements++;
            } else {
                step.fold(
                        probes -> bench.type(probes.question() == TestStep.LeadCheck.LeadQuestion.TONE ? "b" : "0.2"),
                        any -> bench,
                        manual -> bench.manual(""));
            }
            assertThat(measurements).as("it never ends").isLessThan(200);
            due = bench.test().current();
        }
        return measurements;
    }

    private static String reading(TestRun test, TestStep.Measurement measurement, Map<Set<String>, String> readings) {
        Set<String> pair = Set.of(name(measurement.black()), name(measurement.red()));
        return Optional.ofNullable(readings.get(pair))
                .orElseGet(() -> test.expectation(measurement).fold(joined -> "0.48", () -> "OL"));
    }

    private static String name(Terminal terminal) {
        return terminal.name();
    }

    @Test
    void whatWorksOnlySometimesAndReadsWellAtRestIsMovedBeforeTheTestEnds() {
        Bench bench = withSymptoms(pendant(), Map.of(7, "sometimes"));
        Set<String> wire = Set.of("J1.7", "J2.7");
        measure(
                bench,
                measurement ->
                        measurement.stage() == Stage.WIGGLE ? "jumps" : reading(bench.test(), measurement, Map.of()));
        assertThat(bench.test().findings()).singleElement().satisfies(found -> {
            assertThat(found.finding().kind()).isEqualTo("intermittent");
            assertThat(found.finding().terminals())
                    .extracting(Terminal::name)
                    .containsExactlyInAnyOrderElementsOf(wire);
        });
    }

    @Test
    void aDeadFunctionIsMeasuredFirstAndTheOpenWireTwiceBeforeItIsBelieved() {
        Bench bench = withSymptoms(pendant(), Map.of(7, "dead"));
        Map<Set<String>, String> open = new HashMap<>(Map.of(Set.of("J1.7", "J2.7"), "OL"));
        int measurements = measure(bench, open);
        assertThat(bench.test().diagnosis()).isEqualTo(Recommendation.Status.FINISHED);
        assertThat(bench.test().findings())
                .extracting(found -> English.of(found.finding().message()))
                .containsExactly("W7 is open between J1.7 and J2.7.");
        long ofTheWire = bench.test().entries().stream()
                .filter(entry -> entry.step() instanceof TestStep.Measurement measurement
                        && measurement.isOn(Terminal.of("J1.7"))
                        && measurement.isOn(Terminal.of("J2.7")))
                .count();
        assertThat(ofTheWire).as("once more on clean metal").isGreaterThanOrEqualTo(2);
        assertThat(measurements).as("of %d for everything", 90).isLessThan(45);
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.FAIL);
        assertThat(bench.test().remaining().measurements())
                .as("what was not tested stays known")
                .isPositive();
    }

    @Test
    void whatOftenBreaksInThisAssemblyIsAskedForFirst() {
        Map<Set<String>, String> open = Map.of(Set.of("J1.7", "J2.7"), "OL");
        Bench usual = pendant();
        Bench taught = pendant(new FaultHistory(30, Map.of(new FaultHistory.FaultOf("open", "W7"), 8)));
        int without = measure(usual, open);
        int with = measure(taught, open);
        assertThat(with).isLessThan(without);
        assertThat(taught.test().findings())
                .extracting(found -> English.of(found.finding().message()))
                .containsExactlyElementsOf(usual.test().findings().stream()
                        .map(found -> English.of(found.finding().message()))
                        .toList());
        assertThat(taught.test().entries().stream()
                        .filter(entry -> entry.step() instanceof TestStep.Measurement)
                        .findFirst())
                .hasValueSatisfying(entry -> assertThat(((TestStep.Measurement) entry.step()).isOn(Terminal.of("J1.7")))
                        .isTrue());
    }

    /** Two probes without contact are nearly as likely as that a wire is broken which never was in 200 tests. */
    @Test
    void whatNeverBreaksIsReadAThirdTimeInsteadOfReadingAllTheRest() {
        Map<Set<String>, String> open = Map.of(Set.of("J1.11", "J2.11"), "OL");
        Bench taught = pendant(new FaultHistory(200, Map.of(new FaultHistory.FaultOf("open", "W3"), 120)));
        assertThat(measure(taught, open)).isLessThan(measure(pendant(), open));
        assertThat(taught.test().entries().stream()
                        .filter(entry -> entry.step() instanceof TestStep.Measurement measurement
                                && measurement.stage() == Stage.CONTINUITY
                                && measurement.isOn(Terminal.of("J1.11"))))
                .hasSize(3);
        assertThat(taught.test().findings())
                .extracting(found -> English.of(found.finding().message()))
                .containsExactly("W11 is open between J1.11 and J2.11.");
    }

    /** That all is well is no repair: it is said when everything was read, and not because a fault has become unlikely. */
    @Test
    void whileNothingIsFoundItGoesOnUntilEverythingIsRead() {
        Bench bench = withSymptoms(pendant(), Map.of());
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.INCOMPLETE);
        measure(bench, Map.of());
        assertThat(bench.test().findings()).isEmpty();
        assertThat(bench.test().remaining().measurements()).isZero();
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.PASS);
    }

    @Test
    void thePurposeCanBeChangedInTheMiddleAndNothingMeasuredIsLost() {
        Bench bench = withSymptoms(pendant(), Map.of(7, "dead"));
        measure(bench, Map.of(Set.of("J1.7", "J2.7"), "OL"));
        int entries = bench.test().entries().size();
        bench.enters(ManualAction.PURPOSE, "", Purpose.EVERYTHING.code());
        assertThat(bench.test().purpose()).isEqualTo(Purpose.EVERYTHING);
        assertThat(bench.test().entries()).hasSize(entries + 1);
        assertThat(bench.test().current()).as("what was left out is due now").isPresent();
    }

    @Test
    void onlyAKnownPurposeIsTaken() {
        assertThat(TestRun.expected(new TestStep.ManualStep(ManualAction.PURPOSE, ""), "hurry")
                        .map(English::of))
                .contains("one of everything, find_fault, or retest with the wires and parts that were repaired");
        assertThat(TestRun.expected(new TestStep.ManualStep(ManualAction.PURPOSE, ""), "find_fault")
                        .map(English::of))
                .isEmpty();
    }

    @Test
    void whileFarEndsAreLinkedThePlanLeads() {
        Bench bench = Bench.of(
                "wire,from,to\nW1,J1.1,J2.1\nW2,J1.2,J2.2\nW3,J1.3,J2.3\n",
                new TestOptions(TestMethod.FAR_END_JOINED, false, true, OptionalDouble.empty()));
        bench.enters(ManualAction.PURPOSE, "", Purpose.FIND_FAULT.code()).type("b", "0.2");
        List<String> asked = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            asked.add(bench.sentence());
            TestStep step = bench.test().current().orElseThrow();
            if (step instanceof TestStep.Measurement) {
                bench.type("0.9");
            } else {
                bench.manual("");
            }
        }
        assertThat(asked)
                .containsExactly(
                        "GO_TO_FAR_END @there",
                        "LINK_FAR_ENDS",
                        "GO_TO_FAR_END @back",
                        "CONTINUITY J1.1 J1.2 linked",
                        "CONTINUITY J1.1 J1.3 linked",
                        "CONTINUITY J1.2 J1.3 linked");
    }

    /** Ten wires have 45 pairs; linked, nine measurements ask them all, and the linked ones find the short. */
    @Test
    void withClipsAtHandTheDiagnosisLinksWhatNobodyHasReadYet() {
        StringBuilder list = new StringBuilder("wire,from,to,length_m,area_mm2\n");
        for (int i = 1; i <= 10; i++) {
            list.append("W%1$d,J1.%1$d,J2.%1$d,8,0.5%n".formatted(i));
        }
        Map<Set<String>, String> readings = Map.of(Set.of("J1.3", "J1.8"), "0.45");
        Bench free = Bench.of(list.toString()).enters(ManualAction.PURPOSE, "", Purpose.FIND_FAULT.code());
        int byPairs = measure(free, readings);
        Bench clips = Bench.of(
                        list.toString(), new TestOptions(TestMethod.EACH_TO_REST, false, true, OptionalDouble.empty()))
                .enters(ManualAction.PURPOSE, "", Purpose.FIND_FAULT.code());
        int linked = measure(clips, measurement -> linked(measurement, "3", "8"));
        assertThat(clips.test().findings())
                .extracting(found -> English.of(found.finding().message()))
                .containsExactly("Short circuit between W3 and W8.");
        assertThat(free.test().findings())
                .extracting(found -> English.of(found.finding().message()))
                .containsExactly("Short circuit between W3 and W8.");
        assertThat(linked).as("with clips, against %d by pairs", byPairs).isLessThan(byPairs);
    }

    /** What the meter shows with ends linked as the step says, and two wires joined. */
    private static String linked(TestStep.Measurement measurement, String one, String other) {
        Set<String> near = wires(measurement, measurement.black());
        Set<String> far = wires(measurement, measurement.red());
        boolean joined = near.stream().anyMatch(far::contains)
                || (near.contains(one) && far.contains(other))
                || (near.contains(other) && far.contains(one));
        return joined ? "0.48" : "OL";
    }

    /** The numbers of the wires that are one with a probe by the links. */
    private static Set<String> wires(TestStep.Measurement measurement, Terminal probe) {
        return measurement.side(probe).stream()
                .map(each -> each.isFrame() ? "frame" : each.pin())
                .collect(Collectors.toSet());
    }

    /** Thirty wires have more pairs than are looked at; those of what does not work come first, whichever wire it is. */
    @Test
    void aSymptomOfTheLastWireIsNotLeftUnexplained() {
        StringBuilder list = new StringBuilder("wire,from,to,function,length_m,area_mm2\n");
        for (int i = 1; i <= 30; i++) {
            list.append("W%1$d,J1.%1$d,J2.%1$d,function %1$d,8,0.5%n".formatted(i));
        }
        Bench bench = Bench.of(list.toString()).enters(ManualAction.PURPOSE, "", Purpose.FIND_FAULT.code());
        for (int i = 1; i <= 30; i++) {
            bench.enters(ManualAction.SYMPTOM, "function " + i, i == 3 || i == 29 ? "dead" : RecordedSymptoms.WORKS);
        }
        measure(
                bench,
                Map.of(Set.of("J1.3", "J2.3"), "OL", Set.of("J1.29", "FRAME"), "0.5", Set.of("J2.29", "FRAME"), "0.5"));
        assertThat(bench.test().findings())
                .extracting(found -> English.of(found.finding().message()))
                .containsExactlyInAnyOrder("W3 is open between J1.3 and J2.3.", "W29 is shorted to the frame.");
    }
}
