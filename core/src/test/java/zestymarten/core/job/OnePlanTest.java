package zestymarten.core.job;

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
import zestymarten.core.judge.Expectation;
import zestymarten.core.plan.Approach;
import zestymarten.core.plan.Measurement;
import zestymarten.core.plan.Method;
import zestymarten.core.plan.Step;
import zestymarten.core.plan.Tool;

/** What is offered, what a plan lists and what a fresh test of a good unit asks are the same, at the same price. */
class OnePlanTest {
    private static final int UNITS = 4;
    private static final Set<Method> METHODS = EnumSet.complementOf(EnumSet.of(Method.INSULATION));

    @ParameterizedTest
    @EnumSource(RandomUnit.Family.class)
    void whatIsPlannedIsWhatATestOfAGoodUnitAsks(RandomUnit.Family family) {
        Random random = new Random(family.name().hashCode());
        for (int i = 0; i < UNITS; i++) {
            Design design = Design.of(RandomUnit.of(random, family).assembly(), 20);
            for (Method method : METHODS) {
                Approach approach = new Approach(method, false, true, OptionalDouble.empty());
                MeasurementPlan plan = MeasurementPlan.of(design, method, RandomUnit.CONDITIONS);
                Offer offer =
                        Offer.of(design, approach, RandomUnit.CONDITIONS, Effort.Pace.USUAL, EnumSet.allOf(Tool.class));
                Bench bench = Bench.of(design.assembly(), approach).under(RandomUnit.CONDITIONS);
                assertThat(offer.effort()).as("%s %d", method, i).isEqualTo(plan.effort());
                assertThat(bench.job().secondsLeft()).isEqualTo(offer.seconds());
                assertThat(plan.effort().touches())
                        .isEqualTo(plan.measurements().size());
                assertThat(asked(bench)).as("%s %d", method, i).containsExactlyElementsOf(plan.measurements());
                assertThat(bench.job().outcome()).isNotEqualTo(Outcome.FAIL);
            }
        }
    }

    /** Tests a good unit by what is due until nothing is. */
    private static List<Measurement> asked(Bench bench) {
        List<Measurement> asked = new ArrayList<>();
        Optional<Step> due = bench.job().current();
        while (due.isPresent()) {
            due.get()
                    .fold(
                            probes -> bench.type(probes.question() == Step.Probes.Question.TONE ? "b" : "0.2"),
                            touch -> {
                                asked.add(bench.job().measurement(touch));
                                return bench.type(shown(bench.job(), touch));
                            },
                            act -> bench.act(""));
            due = bench.job().current();
        }
        return asked;
    }

    private static String shown(Job job, Step.Touch touch) {
        double leads = job.conditions().leadsOhm().orElse(0);
        return job.expectation(touch).fold(joined -> shown(joined, leads), () -> "OL");
    }

    private static String shown(Expectation.Joined joined, double leads) {
        double ohm = joined.limit().nominal().orElse(joined.limit().high()).value();
        return "%.2f".formatted(ohm + leads).replace(',', '.');
    }
}
