package zestymarten.core.testrun;

import java.util.List;
import java.util.stream.Stream;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestPlan;
import zestymarten.core.testplan.TestStep;

/**
 * The steps of the wiggle test: wires that read well at rest are read while they are moved, and in every position of the
 * machine's moving part that somebody has named.
 *
 * <p>Rules: what flexes is moved, and what belongs to a function that works only sometimes. In a named position the same
 * wires are read, or all of them where none is suspected.
 */
final class WiggleSteps {
    private final TestPlan plan;
    private final Assembly assembly;
    private final RunLog log;
    private final Symptoms symptoms;

    WiggleSteps(TestPlan plan, Assembly assembly, RunLog log, Symptoms symptoms) {
        this.plan = plan;
        this.assembly = assembly;
        this.log = log;
        this.symptoms = symptoms;
    }

    /** The steps in their order: moved by hand first, then position by position. */
    Stream<TestStep> all() {
        List<TestStep> byHand = Stream.concat(plan.of(Stage.WIGGLE).stream(), TestPlan.moved(suspected()))
                .distinct()
                .toList();
        List<String> positions = positions();
        Stream<TestStep> back = positions.isEmpty()
                ? Stream.of()
                : Stream.of(new TestStep.ManualStep(ManualAction.MOVED_TO)); // what is read later is read at rest
        return Stream.of(byHand.stream(), positions.stream().flatMap(each -> in(each, byHand)), back)
                .flatMap(each -> each);
    }

    private Stream<Conductor> suspected() {
        return assembly.conductors().stream()
                .filter(each -> symptoms.of(each)
                        .filter(Symptoms.Behaviour.SOMETIMES::equals)
                        .isPresent());
    }

    /** The positions that were named, in the order in which they were. */
    private List<String> positions() {
        return log.manual().stream()
                .flatMap(each -> each.step() instanceof TestStep.ManualStep manual ? Stream.of(manual) : Stream.empty())
                .filter(manual -> manual.action() == ManualAction.POSITION_NAMED)
                .map(manual -> manual.subject().code())
                .distinct()
                .toList();
    }

    private Stream<TestStep> in(String position, List<TestStep> byHand) {
        List<TestStep> wires = byHand.isEmpty()
                ? TestPlan.moved(assembly.conductors().stream()).toList()
                : byHand;
        return Stream.concat(
                Stream.of(new TestStep.ManualStep(ManualAction.MOVED_TO, position)),
                wires.stream()
                        .map(TestStep.Measurement.class::cast)
                        .map(each ->
                                new TestStep.Measurement(Stage.WIGGLE, each.black(), each.red(), position, List.of())));
    }
}
