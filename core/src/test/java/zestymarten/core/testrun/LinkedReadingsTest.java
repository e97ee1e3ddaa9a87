package zestymarten.core.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zestymarten.core.finding.Finding;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;

/** A path through linked ends is at one of them: which one is said once it was read, and not before. */
class LinkedReadingsTest {
    private static Bench bench(TestMethod method) {
        StringBuilder list = new StringBuilder("wire,from,to,max_ohm\n");
        for (int i = 1; i <= 6; i++) {
            list.append("W%1$d,J1.%1$d,J2.%1$d,0.5%n".formatted(i));
        }
        Bench bench = Bench.of(list.toString(), new TestOptions(method, false, true, OptionalDouble.empty()));
        for (int i = 0; i < 20 && !bench.sentence().startsWith("SHORTS"); i++) {
            if (bench.step() instanceof TestStep.LeadCheck check) {
                bench.type(check.question() == TestStep.LeadCheck.LeadQuestion.TONE ? "b" : "0.2");
            } else if (bench.step() instanceof TestStep.Measurement) {
                bench.type("0.6");
            } else {
                bench.manual("");
            }
        }
        return bench;
    }

    private static RunFinding found(Bench bench) {
        assertThat(bench.test().findings()).hasSize(1);
        return bench.test().findings().get(0);
    }

    @Test
    void eachOfTheRestMayBeTheOneAndFewerAreLeftWithEveryPair() {
        Bench bench = bench(TestMethod.EACH_TO_REST);
        assertThat(bench.sentence()).isEqualTo("SHORTS J1.1 J1.2 linked");
        bench.type("OL", "0.6");
        assertThat(found(bench).probability()).isBetween(0.2, 0.3);
        assertThat(found(bench).certain()).isFalse();
        assertThat(found(bench).alternatives()).hasSize(3);
        bench.type("OL");
        assertThat(found(bench).alternatives()).hasSize(2);
        bench.type("OL", "0.6");
        assertThat(found(bench).finding()).isInstanceOf(Finding.Shorted.class);
        assertThat(found(bench).finding().conductors()).containsExactly("W2", "W5");
        assertThat(found(bench).certain()).isTrue();
        assertThat(found(bench).alternatives()).isEmpty();
    }

    @Test
    void threeHalvesLeaveTwoPairsAndTheRestTellsWhich() {
        Bench bench = bench(TestMethod.BY_HALVES).type("0.6");
        assertThat(found(bench).alternatives()).hasSize(8);
        bench.type("OL");
        assertThat(found(bench).probability()).isBetween(0.15, 0.25);
        bench.type("0.6");
        assertThat(found(bench).alternatives()).hasSize(1);
        bench.type("OL");
        assertThat(found(bench).finding().conductors()).containsExactly("W2", "W5");
    }
}
