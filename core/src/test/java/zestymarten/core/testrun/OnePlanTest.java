package zestymarten.core.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zestymarten.core.analysis.Design;
import zestymarten.core.analysis.RandomUnit;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.quantity.Trials;
import zestymarten.core.testplan.ProbePlacement;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testplan.Tool;

/** What is offered, what a plan lists and what a fresh test of a good unit asks are the same, at the same price. */
class OnePlanTest {
    private static final int UNITS = Trials.of(4);
    private static final Set<TestMethod> METHODS = EnumSet.complementOf(EnumSet.of(TestMethod.INSULATION));

    @ParameterizedTest
    @EnumSource(RandomUnit.Family.class)
    void whatIsPlannedIsWhatATestOfAGoodUnitAsks(RandomUnit.Family family) {
        Random random = new Random(family.name().hashCode());
        for (int i = 0; i < UNITS; i++) {
            Design design = Design.of(RandomUnit.of(random, family).assembly(), 20);
            for (TestMethod method : METHODS) {
                TestOptions approach = new TestOptions(method, false, true, OptionalDouble.empty());
                MeasurementPlan plan = MeasurementPlan.of(design, method, RandomUnit.CONDITIONS);
                PlanEstimate offer = PlanEstimate.of(
                        design, approach, RandomUnit.CONDITIONS, EffortModel.Pace.USUAL, EnumSet.allOf(Tool.class));
                Bench bench = Bench.of(design.assembly(), approach).under(RandomUnit.CONDITIONS);
                assertThat(offer.effort()).as("%s %d", method, i).isEqualTo(plan.effort());
                assertThat(bench.test().secondsLeft()).isEqualTo(offer.seconds());
                assertThat(plan.effort().measurements())
                        .isEqualTo(plan.measurements().size());
                assertThat(asked(bench)).as("%s %d", method, i).containsExactlyElementsOf(plan.measurements());
                assertThat(bench.test().outcome()).isNotEqualTo(RunOutcome.FAIL);
            }
        }
    }

    /** Tests a good unit by what is due until nothing is. */
    private static List<ProbePlacement> asked(Bench bench) {
        List<ProbePlacement> asked = new ArrayList<>();
        Optional<TestStep> due = bench.test().current();
        while (due.isPresent()) {
            due.get()
                    .fold(
                            probes ->
                                    bench.type(probes.question() == TestStep.LeadCheck.LeadQuestion.TONE ? "b" : "0.2"),
                            measurement -> {
                                asked.add(bench.test().measurement(measurement));
                                return bench.type(shown(bench.test(), measurement));
                            },
                            manual -> bench.manual(""));
            due = bench.test().current();
        }
        return asked;
    }

    private static String shown(TestRun test, TestStep.Measurement measurement) {
        double leads = test.conditions().leadsOhm().orElse(0);
        return test.expectation(measurement).fold(joined -> shown(joined, leads), () -> "OL");
    }

    private static String shown(Expectation.Joined joined, double leads) {
        double ohm = joined.limit().nominal().orElse(joined.limit().high()).value();
        return "%.2f".formatted(ohm + leads).replace(',', '.');
    }
}
