package zestymarten.core.testrun;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.Subject;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.quantity.English;
import zestymarten.core.quantity.Problem;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Order;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;

/** What a technician arranges around the readings: order, covers, clips, temperatures, what is seen and what is repaired. */
class ArrangementsTest {
    private static final String CABLE = """
            {"format": "zesty-marten/assembly", "version": 1, "name": "Heater cable", "kind": "cable",
             "connectors": [
               {"id": "J1", "name": "cab", "place": "cab", "mates_with": "J4", "pins": ["1", "2", "3"]},
               {"id": "J2", "name": "box", "place": "roof", "access": {"minutes": 10, "harm": "open"}, "pins": ["1"]},
               {"id": "J3", "name": "lamp", "place": "roof", "pins": ["1", "2"]},
               {"id": "J4", "name": "desk", "place": "cab", "pins": ["9"]}],
             "conductors": [
               {"id": "W1", "from": "J1.1", "to": "J2.1", "length_m": 8, "area_mm2": 0.5},
               {"id": "W2", "from": "J1.2", "to": "J3.1", "length_m": 8, "area_mm2": 0.5},
               {"id": "W3", "from": "J1.3", "to": "J3.2", "length_m": 8, "area_mm2": 0.5}],
             "components": [
               {"id": "RT1", "kind": "pt100", "a": "J3.1", "b": "J3.2"}]}""";

    private static final TestOptions WHOLE =
            new TestOptions(TestMethod.BOTH_ENDS, false, false, OptionalDouble.empty());

    private static Assembly cable() {
        List<Problem> problems = new ArrayList<>();
        Assembly read = AssemblyReader.read(CABLE, problems).orElseThrow();
        assertThat(problems).isEmpty();
        return read;
    }

    private static String steps(Bench bench, Stage stage) {
        return bench.test().steps(stage).map(Bench::say).collect(Collectors.joining(", "));
    }

    private static String reason(Bench bench) {
        List<Entry> entries = bench.test().entries();
        return bench.test()
                .judgement(entries.get(entries.size() - 1))
                .map(each -> English.of(each.reason()))
                .orElseThrow();
    }

    @Test
    void whatNeedsNoDismantlingIsTriedFirstAndACoverGoesOnTheLedger() {
        Bench bench = Bench.of(cable(), TestOptions.QUICK).type("b", "0.30");
        assertThat(steps(bench, Stage.CONTINUITY))
                .isEqualTo("CONTINUITY J1.2 J3.1, CONTINUITY J1.3 J3.2, ACCESS J2, CONTINUITY J1.1 J2.1");
        assertThat(bench.test().accessMinutes()).isEqualTo(10);
        assertThat(bench.test().secondsLeft()).isGreaterThan(600);
        bench.type("0.6", "0.6").manual("");
        assertThat(bench.toRestore()).containsExactly("@cover J2");
        assertThat(bench.test().accessMinutes()).isZero();
        assertThat(bench.sentence()).isEqualTo("CONTINUITY J1.1 J2.1");
    }

    @Test
    void aCoverThatMayNotBeOpenedLeavesItsTouchesOutAndTheRunIncomplete() {
        Bench bench = Bench.of(cable(), TestOptions.QUICK)
                .type("b", "0.30", "0.6", "0.6")
                .skip("sealed by the maker");
        assertThat(steps(bench, Stage.CONTINUITY)).isEqualTo("CONTINUITY J1.2 J3.1, CONTINUITY J1.3 J3.2, ACCESS J2");
        while (bench.test().current().isPresent()) {
            bench.type(
                    bench.step().stage() == Stage.PARTS
                            ? "108"
                            : bench.sentence().contains("J1.2 J1.3") ? "108" : "n");
        }
        assertThat(bench.toRestore()).isEmpty();
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.INCOMPLETE);
    }

    @Test
    void theOrderChangesWithinWhatIsSafe() {
        Order order = new Order(
                List.of(Stage.FRAME, Stage.CONTINUITY, Stage.SHORTS, Stage.PARTS, Stage.WIGGLE), List.of("W3"));
        Bench bench = Bench.of(cable(), TestOptions.QUICK.in(order)).type("b", "0.30");
        assertThat(bench.sentence()).isEqualTo("FRAME J1.1 FRAME");
        assertThat(steps(bench, Stage.CONTINUITY)).startsWith("CONTINUITY J1.3 J3.2, CONTINUITY J1.2 J3.1");
        assertThat(order.stages().indexOf(Stage.INSULATION))
                .isGreaterThan(order.stages().indexOf(Stage.WIGGLE));
        assertThat(order.stages()).endsWith(Stage.INSULATION, Stage.WET, Stage.WITHSTAND, Stage.REPAIR, Stage.RESTORE);
        assertThatThrownBy(() -> new Order(List.of(Stage.CONTINUITY, Stage.INSULATION), List.of()))
                .hasMessage(
                        "order.order_name_each[[stage.continuity, stage.insulation], [stage.continuity, stage.shorts, stage.frame, stage.wiggle, stage.parts]]");
        Order shortsFirst =
                new Order(List.of(Stage.SHORTS, Stage.CONTINUITY, Stage.FRAME, Stage.WIGGLE, Stage.PARTS), List.of());
        assertThatThrownBy(() ->
                        new TestOptions(TestMethod.FAR_END_JOINED, false, true, OptionalDouble.empty()).in(shortsFirst))
                .hasMessage("test_options.with_far_ends");
    }

    @Test
    void otherClipsNeedAZeroOfTheirOwnAndTheOldOnesKeepTheirs() {
        Bench bench = Bench.of(cable(), TestOptions.QUICK).type("b", "0.30", "0.6");
        bench.enters(ManualAction.ACCESSORIES, "long clips", "");
        assertThat(bench.sentence()).isEqualTo("METER OHMS");
        bench.type("1.30", "1.6");
        assertThat(bench.test().conditions().leadsOhm()).hasValue(1.3);
        assertThat(reason(bench)).contains("0.3 Ω");
        Entry first = bench.test().entries().get(2);
        assertThat(bench.test().judgement(first).orElseThrow().verdict())
                .as("the other set's zero says nothing of it")
                .isEqualTo(Judgement.Verdict.PASS);
        bench.enters(ManualAction.ACCESSORIES, "", "");
        assertThat(bench.test().accessories()).isEqualTo(Subject.nothing());
    }

    @Test
    void aMeterThatDriftsIsZeroedBeforeEachTightReading() {
        Bench bench = Bench.of(cable(), TestOptions.QUICK)
                .with(new MeterProfile("old meter", 0.01, 0.1, 30, false, 20e6))
                .type("b", "0.3", "0.6");
        assertThat(bench.sentence()).isEqualTo("CONTINUITY J1.3 J3.2");
        bench.enters(ManualAction.ZERO_DRIFTS, "", "");
        assertThat(bench.sentence()).isEqualTo("METER OHMS");
        bench.type("0.5", "0.8");
        assertThat(reason(bench)).contains("0.3 Ω");
        assertThat(bench.sentence()).as("the cover is opened before the zero").isEqualTo("METER OHMS");
        bench.type("0.5").manual("").type("0.8");
        assertThat(bench.sentence())
                .as("pairs that should be apart are not tight")
                .isEqualTo("SHORTS J1.1 J1.2");
    }

    @Test
    void everyPlaceAndSensorHasItsOwnTemperature() {
        Bench bench = Bench.of(cable(), WHOLE).manual("", "", "", "");
        assertThat(steps(bench, Stage.METER)).isEqualTo("TEMPERATURE roof, TEMPERATURE RT1, METER TONE, METER OHMS");
        bench.manual("40", "104 F").type("b", "0.30");
        assertThat(English.of(bench.test().words(bench.test().entries().get(5))))
                .isEqualTo("40 °C");
        TestStep.Measurement wire = (TestStep.Measurement) bench.step();
        assertThat(bench.test()
                        .expectation(wire)
                        .fold(joined -> joined.limit().high().value(), () -> 0.0))
                .as("39 mΩ/m over 8 m at the mean of cab and roof, 30 °C")
                .isCloseTo(0.3243, within(1e-4));
        TestStep.Measurement sensor =
                (TestStep.Measurement) bench.test().steps(Stage.PARTS).toList().get(0);
        assertThat(bench.test()
                        .expectation(sensor)
                        .fold(joined -> English.of(joined.limit().derivation()), () -> ""))
                .contains("115 Ω");
    }

    @Test
    void aSensorIsReadOnceMoreWarmerAndHasToGoTheRightWay() {
        Bench bench = Bench.of(cable(), WHOLE)
                .manual("", "", "", "", "", "20")
                .type("b", "0.30", "0.6", "0.6")
                .manual("")
                .type("0.6");
        while (bench.step().stage() != Stage.PARTS) {
            bench.type(
                    bench.sentence().contains("J1.2 J1.3")
                            ? "108"
                            : bench.sentence().equals("FRAME_PROOF") ? "0.4" : "n");
        }
        bench.type("108");
        assertThat(steps(bench, Stage.WARM)).isEqualTo("WARMED RT1, WARM J3.1 J3.2");
        bench.manual("22").type("109");
        assertThat(reason(bench)).startsWith("Only 2 °C away from the first reading");
        bench.enters(ManualAction.WARMED, "RT1", "60").type("108");
        assertThat(bench.test().state(new TestStep.Measurement(Stage.WARM, Terminal.of("J3.1"), Terminal.of("J3.2"))))
                .as("it did not follow")
                .isEqualTo(StepState.FAIL);
        assertThat(TestRun.expected(new TestStep.ManualStep(ManualAction.WARMED, "RT1"), "hot")
                        .map(English::of))
                .hasValue("-80 to 200 °C, or in °F with an F behind it");
        expectsAsIfItHadBeenWarmFromTheFirst(bench.test());
    }

    /** One more entry, and what is expected is what it would be if all were read at once. */
    private static void expectsAsIfItHadBeenWarmFromTheFirst(TestRun test) {
        List<Entry> all = test.entries();
        TestStep.Measurement sensor = new TestStep.Measurement(Stage.WARM, Terminal.of("J3.1"), Terminal.of("J3.2"));
        for (int count = 0; count < all.size(); count++) {
            TestRun before = TestRun.of(test.design(), test.approach(), Bench.CONDITIONS, all.subList(0, count));
            before.expectation(sensor);
            assertThat(before.plus(all.get(count)).expectation(sensor))
                    .isEqualTo(TestRun.of(test.design(), test.approach(), Bench.CONDITIONS, all.subList(0, count + 1))
                            .expectation(sensor));
        }
    }

    @Test
    void aMoltenConnectorCondemnsItsMate() {
        Bench bench = Bench.of(cable(), WHOLE).manual("", "", "", "");
        assertThat(bench.sentence()).isEqualTo("TEMPERATURE roof");
        bench.enters(ManualAction.INSPECT, "J1", "melted: pin 2 into its neighbour");
        assertThat(bench.sentence()).as("it was looked at before that was seen").isEqualTo("INSPECT J4");
        bench.manual("");
        assertThat(bench.sentence()).isEqualTo("TEMPERATURE roof");
        bench.enters(ManualAction.INSPECT, "J3", "melted");
        assertThat(bench.sentence()).as("its mate is no part of this assembly").isEqualTo("INSPECT @mate J3");
    }

    @Test
    void shortsInDoubtCanBeSettledByHalves() {
        StringBuilder list = new StringBuilder("wire,from,to,length_m,area_mm2\n");
        for (int i = 1; i <= 6; i++) {
            list.append("W%d,J1.%d,J2.%d,8,0.5%n".formatted(i, i, i));
        }
        Bench bench = Bench.of(list.toString(), WHOLE).manual("", "").type("b", "0.30");
        while (bench.step().stage() != Stage.FRAME) {
            bench.type(bench.step().stage() == Stage.CONTINUITY ? "0.6" : "n");
        }
        bench.type("b", "n", "n", "n", "n", "n", "n", "n");
        assertThat(bench.sentence()).as("everything apart is in doubt now").isEqualTo("SHORTS J1.1 J1.2");
        assertThat(bench.test().left(Stage.SHORTS)).isEqualTo(15);
        assertThat(bench.test().byHalves()).hasValue(3);
        bench.enters(ManualAction.HALVES, "", "");
        assertThat(bench.test().left(Stage.SHORTS)).isEqualTo(3);
        bench.type("n", "n", "n");
        assertThat(bench.test().left(Stage.SHORTS)).isZero();
    }
}
