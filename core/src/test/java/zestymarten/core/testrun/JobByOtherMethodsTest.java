package zestymarten.core.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;

/** A job with its far ends linked, with each wire against the rest, by halves. */
class JobByOtherMethodsTest {
    @Test
    void tiedFarEndsGiveEveryWireItsOwnOhmsAndAreFreedBeforeTheShorts() {
        Bench bench = Bench.of(ThreeCores.LIST, ThreeCores.approach(TestMethod.FAR_END_JOINED, false))
                .manual("", "");
        bench.type("b", "0.00");
        assertThat(bench.test().steps(Stage.CONTINUITY).map(Bench::say))
                .as("the far connector is looked at once somebody is there")
                .containsExactly(
                        "GO_TO_FAR_END @there",
                        "INSPECT J2",
                        "LINK_FAR_ENDS",
                        "GO_TO_FAR_END @back",
                        "CONTINUITY J1.1 J1.2 linked",
                        "CONTINUITY J1.1 J1.3 linked",
                        "CONTINUITY J1.2 J1.3 linked");
        bench.manual("", "", "", "").type("0.50", "1.40");
        assertThat(bench.toRestore()).containsExactly("@far_end_links");
        assertThat(bench.sentence()).as("the closing pair").isEqualTo("CONTINUITY J1.2 J1.3 linked");
        bench.type("1.40");
        assertThat(ThreeCores.found(bench))
                .containsExactly("W3 has a high resistance: 1.15 Ω from J1.3 to J2.3, limit 0.312 Ω.");
        assertThat(bench.sentence()).isEqualTo("GO_TO_FAR_END_AGAIN @there");
        bench.manual("", "", "");
        assertThat(bench.toRestore()).isEmpty();
        assertThat(bench.sentence()).isEqualTo("SHORTS J1.1 J1.2");
    }

    @Test
    void whatABrokenWireLeavesAtTheFarEndIsReadThereBeforeTheWayBack() {
        Bench bench = Bench.of(ThreeCores.LIST, ThreeCores.approach(TestMethod.FAR_END_JOINED, false))
                .manual("", "");
        bench.type("b", "0.00").manual("", "", "", "").type("0.50", "OL", "OL");
        assertThat(ThreeCores.found(bench)).containsExactly("W3 is open between J1.3 and J2.3.");
        assertThat(bench.sentence()).isEqualTo("GO_TO_FAR_END_AGAIN @there");
        bench.manual("", "");
        assertThat(bench.sentence()).isEqualTo("SHORTS J2.1 J2.3");
        bench.type("n");
        assertThat(bench.sentence()).isEqualTo("SHORTS J2.2 J2.3");
        bench.type("n");
        assertThat(bench.sentence()).as("another frame than at the near end").isEqualTo("FRAME_PROOF @far_end");
        bench.type("0.4");
        assertThat(bench.sentence()).isEqualTo("FRAME J2.3 FRAME");
        bench.type("n");
        assertThat(bench.sentence()).isEqualTo("GO_TO_FAR_END_AGAIN @back");
        bench.manual("").type("n", "n", "n");
        assertThat(bench.sentence()).as("nothing from one end to the other").isEqualTo("FRAME_PROOF");
        bench.type("0.4", "n", "n", "n");
        assertThat(bench.test().left(Stage.SHORTS)).isZero();
        assertThat(bench.test().left(Stage.FRAME)).isZero();
    }

    @Test
    void twoBrokenWiresAreReadAgainstEachOtherAtTheFarEndToo() {
        Bench bench = Bench.of(
                "wire,from,to\nW1,J1.1,J2.1\nW2,J1.2,J2.2\nW3,J1.3,J2.3\nW4,J1.4,J2.4\n",
                new TestOptions(TestMethod.FAR_END_JOINED, false, true, OptionalDouble.empty()));
        bench.type("b", "0.00").manual("", "", "");
        while (bench.step() instanceof TestStep.Measurement measurement && measurement.isLinked()) {
            boolean open = measurement.red().name().matches("J1\\.[34]");
            bench.type(open ? "OL" : "0.60");
        }
        assertThat(ThreeCores.found(bench))
                .containsExactly("W3 is open between J1.3 and J2.3.", "W4 is open between J1.4 and J2.4.");
        bench.manual("", "");
        assertThat(bench.test().pieces().far().pairs().map(Bench::say))
                .containsExactly(
                        "SHORTS J2.1 J2.3",
                        "SHORTS J2.2 J2.3",
                        "SHORTS J2.1 J2.4",
                        "SHORTS J2.2 J2.4",
                        "SHORTS J2.3 J2.4")
                .hasSize((int) bench.test().pieces().far().count());
        bench.type("n", "n", "n", "n", "n").type("n", "n").manual("").type("n", "n", "n", "n", "n", "n");
        assertThat(bench.test().left(Stage.SHORTS)).isZero();
        bench.type("n", "n", "n", "n");
        assertThat(bench.test().left()).isZero();
    }

    /** The reference flexes and breaks most often, yet it was read well together with another wire. */
    @Test
    void whatReadsWellOverLinkedEndsIsNotBlamedForWhatDoesNot() {
        for (int broken = 2; broken <= 6; broken++) {
            StringBuilder list = new StringBuilder("wire,from,to,length_m,area_mm2,zone\n");
            for (int i = 1; i <= 6; i++) {
                list.append("W%1$d,J1.%1$d,J2.%1$d,8,0.5,%2$s%n".formatted(i, i == 1 ? "flexing" : ""));
            }
            Bench bench = Bench.of(
                    list.toString(), new TestOptions(TestMethod.FAR_END_JOINED, false, true, OptionalDouble.empty()));
            bench.type("b", "0.00").manual("", "", "");
            while (bench.step() instanceof TestStep.Measurement measurement && measurement.isLinked()) {
                boolean open = List.of(measurement.black(), measurement.red()).contains(Terminal.of("J1." + broken));
                bench.type(open ? "OL" : "0.60");
            }
            assertThat(ThreeCores.found(bench))
                    .containsExactly("W%1$d is open between J1.%1$d and J2.%1$d.".formatted(broken));
            assertThat(bench.test().findings().get(0).probability()).isGreaterThan(0.99);
        }
    }

    @Test
    void aRepairAsksForTheLinksAtTheFarEndAgainAndForTakingThemOff() {
        Bench bench = Bench.of(ThreeCores.LIST, ThreeCores.approach(TestMethod.FAR_END_JOINED, false))
                .manual("", "");
        bench.type("b", "0.00")
                .manual("", "", "", "")
                .type("0.50", "1.40", "1.40")
                .manual("", "", "");
        assertThat(ThreeCores.found(bench)).hasSize(1);
        bench.repair("W3", Entry.Way.REPLACE);
        assertThat(bench.sentence()).isEqualTo("GO_TO_FAR_END @there");
        bench.manual("", "", "");
        assertThat(bench.toRestore()).containsExactly("@far_end_links");
        while (bench.step().stage() == Stage.CONTINUITY) {
            bench.type("0.50");
        }
        assertThat(ThreeCores.found(bench)).isEmpty();
        assertThat(bench.sentence()).isEqualTo("GO_TO_FAR_END_AGAIN @there");
        bench.manual("", "", "");
        assertThat(bench.toRestore()).isEmpty();
    }

    @Test
    void tiedToTheFrameEveryWireIsReadAgainstIt() {
        Bench bench = Bench.of(ThreeCores.LIST, ThreeCores.approach(TestMethod.FAR_END_TO_FRAME, false))
                .manual("", "");
        bench.type("b", "0.00").manual("", "", "", "").type("0.30", "OL", "OL", "1.27");
        assertThat(bench.test()
                        .steps(Stage.CONTINUITY)
                        .filter(TestStep.Measurement.class::isInstance)
                        .map(Bench::say))
                .as("the frame is the reference; the closing pair proves its own ohms")
                .containsExactly(
                        "CONTINUITY J1.1 FRAME linked",
                        "CONTINUITY J1.2 FRAME linked",
                        "CONTINUITY J1.3 FRAME linked",
                        "CONTINUITY J1.1 J1.3 linked");
        bench.type("1.53");
        assertThat(ThreeCores.found(bench))
                .containsExactly(
                        "W2 is open between J1.2 and J2.2.",
                        "W3 has a high resistance: 1.26 Ω from J1.3 to J2.3, limit 0.312 Ω.");
        bench.manual("", "", "");
        assertThat(bench.toRestore()).isEmpty();
    }

    @Test
    void aBrokenReferenceIsToldFromAllBroken() {
        Bench bench = Bench.of(ThreeCores.LIST, ThreeCores.approach(TestMethod.FAR_END_JOINED, false))
                .manual("", "");
        bench.type("b", "0.00").manual("", "", "", "").type("OL", "OL", "OL", "OL");
        assertThat(bench.sentence()).as("another reference").isEqualTo("CONTINUITY J1.2 J1.3 linked");
        bench.type("0.5");
        assertThat(ThreeCores.found(bench)).containsExactly("W1 is open between J1.1 and J2.1.");
        assertThat(bench.test().pieces().far().stubs().stream().map(Terminal::name))
                .containsExactly("J2.1");
    }

    @Test
    void eachToTheRestFollowsAWayThroughIntoItsPairs() {
        Bench bench =
                ThreeCores.untilRungOut(Bench.of(ThreeCores.LIST, ThreeCores.approach(TestMethod.EACH_TO_REST, false)));
        assertThat(bench.test().steps(Stage.SHORTS).map(Bench::say))
                .containsExactly("SHORTS J1.1 J1.2 linked", "SHORTS J1.2 J1.3");
        bench.type("0.8");
        assertThat(bench.test().steps(Stage.SHORTS).map(Bench::say))
                .containsExactly("SHORTS J1.1 J1.2 linked", "SHORTS J1.1 J1.2", "SHORTS J1.1 J1.3", "SHORTS J1.2 J1.3");
        bench.type("n", "0.8", "n");
        assertThat(ThreeCores.found(bench)).containsExactly("Short circuit between W1 and W3.");
    }

    @Test
    void aCleanSetOfHalvesIsAllThatIsAsked() {
        Bench bench =
                ThreeCores.untilRungOut(Bench.of(ThreeCores.LIST, ThreeCores.approach(TestMethod.BY_HALVES, false)));
        assertThat(bench.test().steps(Stage.SHORTS)).hasSize(2);
        bench.type("n", "n");
        assertThat(bench.sentence()).isEqualTo("FRAME_PROOF");
        bench.type("0.4", "n", "n", "n", "0.6", "0.6", "b", "0.30");
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.PASS);
    }
}
