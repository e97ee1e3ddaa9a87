package zestymarten.core.testrun;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zestymarten.core.limit.LearntResistance;
import zestymarten.core.quantity.English;
import zestymarten.core.testplan.TestStep;

/** What several tests tell together: of one unit over the years, and of several good units. */
class HistoryTest {
    private static final String UNKNOWN = "wire,from,to\nW1,J1.1,J2.1\nW2,J1.2,J2.2\n";

    private static TestRun test(String first, String second) {
        return Bench.of(UNKNOWN).type("b", "0.30", first, second).test();
    }

    @Test
    void aWireThatHasRisenStandsOutThoughItPasses() {
        History history = History.of(List.of(test("0.52", "0.52"), test("0.53", "0.51"), test("0.66", "0.53")));
        assertThat(history.wires())
                .extracting(History.WireHistory::id, History.WireHistory::risen)
                .containsExactly(tuple("W1", true), tuple("W2", false));
        assertThat(history.wires().get(0).usualOhm()).isCloseTo(0.225, within(1e-9));
        assertThat(history.wires().get(0).ohms()).hasSize(3);
    }

    @Test
    void oneTestIsNoHistoryAndAToneIsNoFigure() {
        assertThat(History.of(List.of(test("0.52", "0.52"))).wires()).isEmpty();
        History history = History.of(List.of(test("0.52", "b"), test("0.53", "0.52")));
        assertThat(history.wires()).extracting(History.WireHistory::id).containsExactly("W1");
    }

    @Test
    void aRiseWithinTheMetersOwnDoubtIsNone() {
        History history = History.of(List.of(test("0.31", "0.52"), test("0.32", "0.52")));
        assertThat(history.wires().get(0).risen())
                .as("a count of 10 mΩ more on 10 mΩ")
                .isFalse();
    }

    @Test
    void threeGoodUnitsTeachWhatAWireOfWhichNothingIsKnownMayRead() {
        assertThat(Learner.of(List.of(test("0.70", "0.52"), test("0.72", "0.52"))))
                .isEmpty();
        Map<String, LearntResistance> learnt =
                Learner.of(List.of(test("0.70", "0.52"), test("0.72", "0.53"), test("0.74", "0.54")));
        assertThat(learnt).hasEntrySatisfying("W1", one -> {
            assertThat(one.meanOhm().value()).isCloseTo(0.42, within(1e-9));
            assertThat(one.units()).isEqualTo(3);
        });
        TestRun next = Bench.of(UNKNOWN, learnt).type("b", "0.30", "0.85").test();
        assertThat(next.expectation((TestStep.Measurement) next.entries().get(2).step())
                        .fold(joined -> English.of(joined.limit().derivation()), () -> ""))
                .contains("learnt from 3 good units, 0.42 Ω");
        assertThat(next.findings()).hasSize(1);
    }
}
