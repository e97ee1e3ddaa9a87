package zestymarten.core.testrun;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Subject;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Moisture;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestPlan;
import zestymarten.core.testplan.TestStep;

/**
 * The steps of each stage, in order, by what was entered so far: a wire that stays open brings its far end into the later
 * stages; only what has passed continuity goes under the test voltage; after a repair every function is tried; what was opened
 * or unplugged is put back. Made as they are asked for, never stored.
 */
final class StageSteps {
    private final TestPlan plan;
    private final RunLog log;
    private final RunReadings readings;
    private final OpenItems openItems;
    private final StepSchedule schedule;
    private final StepStates states;
    private final LinkedMeasurements linked;
    private final VisualFindings inspections;
    private final PartTrials substitutes;
    private final WiggleSteps wiggle;
    private final Set<String> refused;

    StageSteps(
            TestPlan plan,
            RunLog log,
            RunReadings readings,
            OpenItems openItems,
            StepSchedule schedule,
            StepStates states,
            LinkedMeasurements linked) {
        this.plan = plan;
        this.log = log;
        this.readings = readings;
        this.openItems = openItems;
        this.schedule = schedule;
        this.states = states;
        this.linked = linked;
        Assembly assembly = readings.design().assembly();
        inspections = new VisualFindings(assembly, log);
        substitutes = new PartTrials(assembly, log);
        wiggle = new WiggleSteps(plan, assembly, log, RecordedSymptoms.of(log));
        refused = plan.priced().stream()
                .map(Connector::id)
                .filter(each -> log.last(new TestStep.ManualStep(ManualAction.ACCESS, each))
                        .filter(entry -> entry.content() instanceof Entry.Content.Skip)
                        .isPresent())
                .collect(Collectors.toSet());
    }

    /** Connectors behind covers that nobody may open. */
    Set<String> refused() {
        return refused;
    }

    VisualFindings inspections() {
        return inspections;
    }

    PartTrials substitutes() {
        return substitutes;
    }

    /** The steps of one stage in order, made as they are asked for. */
    Stream<TestStep> steps(Stage stage) {
        return switch (stage) {
            case SYMPTOMS -> Stream.empty();
            case PREPARE, METER -> plan.of(stage).stream();
            case WIGGLE -> reached(wiggle.all());
            case PARTS, DIODES, WARM -> reached(plan.of(stage).stream());
            case INSPECTION -> Stream.concat(plan.of(stage).stream(), inspections.matesOutside());
            case CONTINUITY -> reached(ends());
            case SHORTS ->
                Stream.concat(
                        unlinking().filter(step -> step.stage() == Stage.SHORTS),
                        schedule.pieces().shorts(states::isThrough));
            case FRAME ->
                Stream.of(
                                plan.of(stage).stream(),
                                proofThere(),
                                schedule.pieces().frame())
                        .flatMap(each -> each);
            case INSULATION -> insulation();
            case WET -> wet();
            case WITHSTAND -> withstand();
            case REPAIR -> repair();
            case RESTORE -> close();
        };
    }

    /** The trip to unlink the far ends; what broken wires leave there is read before the way back. */
    Stream<TestStep> unlinking() {
        List<TestStep> trip = plan.of(Stage.SHORTS);
        if (schedule.pieces().far().stubs().isEmpty()) {
            return trip.stream();
        }
        Stream<TestStep> frame = schedule.pieces().far().stubs().stream()
                .map(stub -> new TestStep.Measurement(Stage.FRAME, stub, Terminal.FRAME));
        return Stream.of(
                        trip.subList(0, trip.size() - 1).stream(),
                        schedule.pieces().far().pairs(),
                        proofThere(),
                        frame,
                        trip.subList(trip.size() - 1, trip.size()).stream())
                .flatMap(each -> each);
    }

    /** The frame at the far end is another spot than the one at the near end. */
    Stream<TestStep> proofThere() {
        return schedule.pieces().far().stubs().isEmpty() || plan.approach().quick()
                ? Stream.of()
                : Stream.of(new TestStep.ManualStep(ManualAction.FRAME_PROOF, Subject.Sole.FAR_END));
    }

    /** Without what is behind a cover that nobody may open. */
    private Stream<TestStep> reached(Stream<TestStep> steps) {
        return refused.isEmpty() ? steps : steps.filter(step -> !isRefused(step));
    }

    boolean isRefused(TestStep step) {
        return step instanceof TestStep.Measurement measurement
                && (refused.contains(measurement.black().connector())
                        || refused.contains(measurement.red().connector()));
    }

    private Stream<TestStep> ends() {
        if (linked.farEnd().isEmpty()) {
            return plan.of(Stage.CONTINUITY).stream();
        }
        List<TestStep> fixed = plan.of(Stage.CONTINUITY);
        Stream<TestStep> trips = fixed.stream().filter(TestStep.ManualStep.class::isInstance);
        Stream<TestStep> bonds = fixed.stream().filter(TestStep.Measurement.class::isInstance);
        return Stream.of(trips, linked.measurements().stream(), bonds).flatMap(each -> each);
    }

    /** Only what has passed continuity goes under the test voltage. */
    private Stream<TestStep> insulation() {
        if (plan.approach().insulation().isEmpty() || !schedule.hasContinuity()) {
            return Stream.empty();
        }
        return Stream.of(
                        Stream.<TestStep>of(new TestStep.ManualStep(ManualAction.BARRIERS)),
                        schedule.pieces().underVoltage(Stage.INSULATION, plan::farEnd),
                        Stream.<TestStep>of(new TestStep.ManualStep(ManualAction.DISCHARGED)))
                .flatMap(each -> each);
    }

    private Stream<TestStep> wet() {
        if (plan.approach().moisture() == Moisture.NONE || !schedule.hasContinuity()) {
            return Stream.empty();
        }
        Stream<TestStep> discharged = Stream.of(new TestStep.ManualStep(ManualAction.DISCHARGED_WET));
        return plan.approach().moisture() == Moisture.MIST
                ? Stream.concat(schedule.pieces().inMist(), discharged)
                : Stream.of(
                                Stream.<TestStep>of(
                                        new TestStep.ManualStep(ManualAction.WATER),
                                        new TestStep.ManualStep(ManualAction.DRY_ENDS)),
                                schedule.pieces().inWater().flatMap(this::liftedIfWet),
                                discharged)
                        .flatMap(each -> each);
    }

    /** A core that reads low in the water is lifted out of it until it reads well: there is the damage. */
    private Stream<TestStep> liftedIfWet(TestStep.Measurement measurement) {
        return states.isDone(measurement) && states.state(measurement) == StepState.FAIL
                ? Stream.of(
                        measurement,
                        new TestStep.ManualStep(
                                ManualAction.LIFTED, measurement.black().name()))
                : Stream.of(measurement);
    }

    /** What insulation has not passed does not go under the higher voltage. */
    private Stream<TestStep> withstand() {
        boolean passed = plan.approach().withstand().isPresent()
                && schedule.hasContinuity()
                && Stream.of(Stage.INSULATION, Stage.WET).flatMap(this::steps).allMatch(states::isPassed);
        return passed
                ? Stream.concat(
                        schedule.pieces().underVoltage(Stage.WITHSTAND, plan::farEnd),
                        Stream.of(new TestStep.ManualStep(ManualAction.DISCHARGED_LAST)))
                : Stream.empty();
    }

    private Stream<TestStep> repair() {
        Stream<TestStep> others = substitutes.steps();
        if (log.repairs().isEmpty()) {
            return others;
        }
        Stream<TestStep> proof = Stream.concat(
                Stream.of(new TestStep.ManualStep(ManualAction.RESET)),
                plan.functions().stream().map(each -> new TestStep.ManualStep(ManualAction.FUNCTION, each)));
        return Stream.concat(others, proof);
    }

    private Stream<TestStep> close() {
        Stream<TestStep> check = plan.approach().quick() ? Stream.empty() : TestPlan.probes(Stage.RESTORE).stream();
        return Stream.concat(check, openItems.toPutBack().stream());
    }

    /** Manual steps that nobody asks for but that can be entered at any time. */
    boolean isPossible(TestStep.ManualStep manual) {
        return switch (manual.action()) {
            case SYMPTOM -> plan.functions().contains(manual.subject().code());
            case OPENED, REPAIR, ACCESSORIES, POSITION_NAMED ->
                !manual.subject().code().isBlank();
            case ZERO_DRIFTS, HALVES, PURPOSE -> manual.subject().isNothing();
            case SUBSTITUTE -> substitutes.isPart(manual.subject().code());
            case REMAINING -> RemainingLength.isOne(readings.design(), manual.subject());
            default -> steps(manual.stage()).anyMatch(manual::equals);
        };
    }
}
