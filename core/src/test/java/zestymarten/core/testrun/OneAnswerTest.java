package zestymarten.core.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zestymarten.core.analysis.Analysis;
import zestymarten.core.analysis.AnalysisReading;
import zestymarten.core.analysis.Design;
import zestymarten.core.analysis.RandomUnit;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.quantity.English;
import zestymarten.core.quantity.Trials;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;

/** A test and a call for findings say the same of the same readings: judgements, findings, verdict. */
class OneAnswerTest {
    private static final int UNITS = Trials.of(10);

    private record Probed(Set<Terminal> ends, String state) {}

    /** The answers of a unit, by what is probed in which state. */
    private static Map<Probed, String> answers(RandomUnit unit) {
        Map<Probed, String> answers = new HashMap<>();
        for (AnalysisReading each : unit.everyPair()) {
            answers.put(new Probed(Set.of(each.a(), each.b()), each.state().id()), each.asTyped());
        }
        return answers;
    }

    private static void testWhole(Bench bench, Map<Probed, String> answers) {
        Optional<TestStep> due = bench.test().current();
        while (due.isPresent()) {
            due.get()
                    .fold(
                            probes ->
                                    bench.type(probes.question() == TestStep.LeadCheck.LeadQuestion.TONE ? "b" : "0.2"),
                            measurement -> bench.typeAndMean(answers.getOrDefault(
                                    new Probed(
                                            Set.of(measurement.black(), measurement.red()),
                                            measurement.state().isEmpty()
                                                    ? SwitchState.REST.id()
                                                    : measurement.state()),
                                    "OL")),
                            manual -> bench.manual(""));
            due = bench.test().current();
        }
    }

    private static List<AnalysisReading> readings(TestRun test) {
        List<AnalysisReading> readings = new ArrayList<>();
        for (Entry entry : test.entries()) {
            if (entry.step() instanceof TestStep.Measurement measurement
                    && entry.content() instanceof Entry.Content.Reading read) {
                SwitchState state = test.design().assembly().states().stream()
                        .filter(each -> each.id().equals(measurement.state()))
                        .findFirst()
                        .orElse(test.design().assembly().states().get(0));
                readings.add(new AnalysisReading(
                        measurement.black(),
                        measurement.red(),
                        read.asTyped(),
                        state,
                        measurement.links(),
                        OptionalDouble.empty()));
            }
        }
        return readings;
    }

    @ParameterizedTest
    @EnumSource(RandomUnit.Family.class)
    void aTestAndACallForFindingsAgree(RandomUnit.Family family) {
        Random random = new Random(family.name().hashCode());
        for (int i = 0; i < UNITS; i++) {
            RandomUnit unit = RandomUnit.of(random, family).broken(random.nextInt(4));
            Bench bench = Bench.of(unit.assembly(), TestOptions.QUICK).under(RandomUnit.CONDITIONS);
            testWhole(bench, answers(unit));
            TestRun test = bench.test();
            Analysis called = Analysis.of(Design.of(unit.assembly(), 20), test.conditions(), readings(test));
            assertThat(test.findings().stream()
                            .map(each -> English.of(each.finding().message())))
                    .as("unit %d: %s", i, unit.truth())
                    .containsExactlyElementsOf(called.findings().stream()
                            .map(each -> English.of(each.finding().message()))
                            .toList());
            assertThat(judgements(test))
                    .as("unit %d", i)
                    .containsExactlyElementsOf(called.judgements().stream()
                            .map(each -> plain(each.judgement().verdict()))
                            .toList());
            assertThat(test.outcome())
                    .as("unit %d: %s, untested %s", i, unit.truth(), called.untested())
                    .isIn(
                            switch (called.state()) {
                                case PASS -> Set.of(RunOutcome.PASS, RunOutcome.MARGINAL);
                                case FAIL -> Set.of(RunOutcome.FAIL);
                                case INCOMPLETE -> Set.of(RunOutcome.INCOMPLETE);
                            });
        }
    }

    private static List<Verdict> judgements(TestRun test) {
        return test.entries().stream()
                .filter(entry -> entry.step() instanceof TestStep.Measurement)
                .flatMap(entry -> test.judgement(entry).stream())
                .map(each -> plain(each.verdict()))
                .toList();
    }

    /** A test knows a wire's likes besides, and watches one that passes but is odd among them. */
    private static Verdict plain(Verdict verdict) {
        return verdict == Verdict.MARGINAL ? Verdict.PASS : verdict;
    }
}
