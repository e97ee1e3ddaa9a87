package zestymarten.core.testrun;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import zestymarten.core.analysis.MeasurementCosts;
import zestymarten.core.analysis.Recommendation;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.ProbePlacement;
import zestymarten.core.testplan.Purpose;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;

/**
 * Which step of a test is due: the next of the plan, or what the diagnosis asks for.
 *
 * <p>Rules: a retest shows what it is for and nothing else. Where everything is tested, what several faults explain is settled
 * before the plan goes on. Where the fault is looked for, the measurement that tells most comes first, until one repair is as
 * good as certain; what reads well at rest is moved before the test ends. Computed once, when it is asked for.
 */
final class NextSteps {
    /** How many measurements are weighed to find some that belong to the plan. */
    private static final int WEIGHED = 40;

    /** What tells less of an unexpected reading can wait for its turn. */
    private static final double SETTLES_BITS = 0.05;

    private static final int SEVERAL = 2;

    /** The stages that the diagnosis leads through where it leads. */
    private static final Set<Stage> MEASURED = EnumSet.of(
            Stage.INSPECTION, Stage.CONTINUITY, Stage.SHORTS, Stage.FRAME, Stage.WIGGLE, Stage.PARTS, Stage.WARM);

    private final TestRun test;
    private final StepSchedule schedule;
    private final RunReadings readings;
    private Optional<Recommendation> recommendation = Optional.empty();
    private Optional<List<Recommendation.RecommendedMeasurement>> settling = Optional.empty();

    NextSteps(TestRun test, StepSchedule schedule, RunReadings readings) {
        this.test = test;
        this.schedule = schedule;
        this.readings = readings;
    }

    /** The step that is due, see {@link TestRun#current}. */
    Optional<TestStep> due() {
        if (test.purpose() == Purpose.RETEST) {
            RepairScope scope = RepairScope.of(test.design(), test.retested());
            return test.steps()
                    .filter(step -> !test.isDone(step) && scope.isRetested(step))
                    .findFirst();
        }
        Optional<TestStep> planned = test.undone().findFirst();
        boolean measures = !test.approach().method().linksFarEnds() // what is linked there would be read as a fault
                && planned.filter(step -> MEASURED.contains(step.stage())).isPresent();
        if (!measures) {
            return planned;
        }
        if (test.purpose() == Purpose.EVERYTHING) {
            return settling().or(() -> planned);
        }
        return recommendation().status() == Recommendation.Status.GO_ON
                ? recommended().or(() -> planned)
                : Stream.concat(stillToMove(), test.undone(Stage.RESTORE)).findFirst();
    }

    /** What readings at rest cannot show: the wiggle test, while they show no fault. */
    private Stream<TestStep> stillToMove() {
        return test.findings().isEmpty() ? test.undone(Stage.WIGGLE) : Stream.empty();
    }

    /**
     * The step that tells what unexpected readings mean, while several faults explain them. A single one is settled by the
     * plan itself as it goes on.
     */
    private Optional<TestStep> settling() {
        return schedule.unexpected() < SEVERAL
                ? Optional.empty()
                : settlingMeasurements()
                        .flatMap(next -> stepsOf(next).filter(step -> !test.isDone(step)))
                        .findFirst()
                        .map(this::reached);
    }

    private synchronized Stream<Recommendation.RecommendedMeasurement> settlingMeasurements() {
        if (settling.isEmpty()) {
            MeasurementCosts costs = MeasurementCosts.bench(test.design().assembly(), false);
            settling = Optional.of(test.unit().tellingApart(costs, WEIGHED).stream()
                    .filter(next -> next.bits() > SETTLES_BITS)
                    .toList());
        }
        return settling.orElseThrow().stream();
    }

    /** What a measurement tells of unexpected readings; empty for one that is made for another reason. */
    Optional<Recommendation.RecommendedMeasurement> settledBy(TestStep.Measurement measurement) {
        return schedule.unexpected() < SEVERAL
                ? Optional.empty()
                : settlingMeasurements()
                        .filter(next -> stepsOf(next).anyMatch(measurement::equals))
                        .findFirst();
    }

    /** What to measure next, or that nothing more would tell. */
    synchronized Recommendation recommendation() {
        if (recommendation.isEmpty()) {
            List<ProbePlacement> linked = linkedPieces();
            MeasurementCosts costs = MeasurementCosts.bench(test.design().assembly(), !linked.isEmpty());
            recommendation = Optional.of(test.unit().next(costs, WEIGHED, linked));
        }
        return recommendation.orElseThrow();
    }

    /** Where the clips are at hand: how the plan links pieces that are still to be read. */
    private List<ProbePlacement> linkedPieces() {
        return test.pieces().areLinked()
                ? test.undone(Stage.SHORTS)
                        .filter(step -> step instanceof TestStep.Measurement measurement && measurement.isLinked())
                        .limit(WEIGHED)
                        .map(step -> test.measurement((TestStep.Measurement) step))
                        .toList()
                : List.of();
    }

    /** The step of the measurement that tells most; one that is done only where it has to be made again. */
    private Optional<TestStep> recommended() {
        return recommendation().measurements().stream()
                .flatMap(next -> stepsOf(next)
                        .filter(step ->
                                !test.isDone(step) || next.purpose() == Recommendation.MeasurementPurpose.READ_AGAIN))
                .findFirst()
                .map(this::reached);
    }

    /** The planned steps that make a recommended measurement, in its position of switches and relays. */
    private Stream<TestStep> stepsOf(Recommendation.RecommendedMeasurement next) {
        if (!next.links().isEmpty()) {
            return test.steps(Stage.SHORTS)
                    .filter(step -> step instanceof TestStep.Measurement measurement
                            && measurement.black().equals(next.black())
                            && measurement.red().equals(next.red())
                            && measurement.links().equals(next.links()));
        }
        return new MeasurementsBetween(test)
                .all(next.black(), next.red())
                .filter(step -> step instanceof TestStep.Measurement measurement
                        && !measurement.isLinked()
                        && readings.state(measurement).equals(next.state()));
    }

    /** A step, or the consent to the cover that it lies behind, which comes first. */
    private TestStep reached(TestStep step) {
        return test.plan().priced().stream()
                .filter(cover -> step instanceof TestStep.Measurement measurement
                        && (measurement.black().connector().equals(cover.id())
                                || measurement.red().connector().equals(cover.id())))
                .<TestStep>map(cover -> new TestStep.ManualStep(ManualAction.ACCESS, cover.id()))
                .filter(consent -> !test.isDone(consent))
                .findFirst()
                .orElse(step);
    }

    /** The measurements with free ends still to make that tell most for their time, the best first. */
    List<TestRun.BestMeasurement> best(int maximum) {
        List<TestRun.BestMeasurement> best = new ArrayList<>();
        for (Recommendation.RecommendedMeasurement next : recommendation().measurements()) {
            Optional<TestStep> step = next.links().isEmpty()
                    ? stepsOf(next).filter(each -> !test.isDone(each)).findFirst()
                    : Optional.empty();
            if (best.size() < maximum && step.isPresent() && step.get() instanceof TestStep.Measurement measurement) {
                best.add(new TestRun.BestMeasurement(measurement, next));
            }
        }
        return best;
    }
}
