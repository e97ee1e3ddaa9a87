package zestymarten.core.testrun;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import zestymarten.core.analysis.ImpliedPairs;
import zestymarten.core.analysis.LinkedFarEnds;
import zestymarten.core.analysis.Observation;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.PlanPieces;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestPlan;
import zestymarten.core.testplan.TestStep;

/**
 * Which steps a run has by what was entered so far, and which of them are done.
 *
 * <p>Rules: a wire that reads open is measured once more on clean metal before it is believed. A wire that stays open brings
 * its far end into the later stages. The wires of a function that works only sometimes are read while they are moved.
 * Under the test voltage goes only what has passed continuity. After a repair every function is tried. What was opened or
 * unplugged is put back, and the meter is checked after the last reading. Cost: linear in the wires and what was done by hand;
 * pairs are gone through, never stored, and a state that {@linkplain #follow follows} another counts only what is new.
 */
final class StepSchedule {
    private final TestPlan plan;
    private final RunLog log;
    private final RunReadings readings;
    private final Symptoms symptoms;
    private final ImpliedPoints points;
    private final StepStates states;
    private final LinkedMeasurements linked;
    private final StageSteps stages;
    private final List<TestStep.Measurement> open = new ArrayList<>();
    private final PlanPieces pieces;
    private final Map<Stage, Long> done = new ConcurrentHashMap<>();
    private Optional<PairTally> tally = Optional.empty();
    private long leading;
    private boolean leadingIsKnown;
    private Optional<Observation> addedPair = Optional.empty();

    StepSchedule(TestPlan plan, RunLog log, RunReadings readings, OpenItems openItems) {
        this.plan = plan;
        this.log = log;
        this.readings = readings;
        symptoms = RecordedSymptoms.of(log);
        points = new ImpliedPoints(log, readings, this);
        states = new StepStates(plan, log, readings, openItems, this, points);
        linked = new LinkedMeasurements(plan, this);
        stages = new StageSteps(plan, log, readings, openItems, this, states, linked);
        linked.solve();
        findOpen();
        boolean halves = log.last(new TestStep.ManualStep(ManualAction.HALVES)).isPresent();
        pieces = plan.pieces(
                open,
                stages.refused(),
                halves ? TestMethod.BY_HALVES : plan.approach().method());
    }

    /**
     * Takes over what an earlier state has counted, if one more measurement leaves the pairs the same. Without it everything is
     * counted anew when it is asked for; the answers are the same.
     */
    void follow(StepSchedule earlier, Entry added) {
        boolean same = added.step() instanceof TestStep.Measurement
                && !pieces.areLinked()
                && pieces.all().equals(earlier.pieces.all())
                && pieces.cavities().equals(earlier.pieces.cavities())
                && pieces.far().equals(earlier.pieces.far());
        if (!same) {
            return;
        }
        synchronized (earlier) {
            tally = earlier.tally.map(before -> added.step().stage() == Stage.SHORTS
                    ? before.without(added.step(), earlier.settled(added.step()))
                            .with(added.step(), settled(added.step()))
                    : before);
            addedPair = firstApart(added);
            boolean stayDone = addedPair.isPresent() || earlier.points.areKnownGood();
            leading = stayDone ? earlier.leading : 0; // what followed from other readings may have to be read now
        }
        points.follow(earlier.points, addedPair);
    }

    /** The pair that was read last, if it was read for the first time and is apart as it should be. */
    private Optional<Observation> firstApart(Entry added) {
        TestStep step = added.step();
        boolean isPair = (step.stage() == Stage.SHORTS || step.stage() == Stage.FRAME)
                && step instanceof TestStep.Measurement measurement
                && !measurement.isLinked()
                && measurement.state().isEmpty()
                && log.of(step).size() == 1;
        boolean asDesigned = isPair
                && settled(step)
                        .filter(each -> each.verdict() == Verdict.PASS && !each.isUnlike())
                        .isPresent()
                && states.contact(step) == Contact.APART
                && isDone(step);
        return asDesigned
                ? MeasurementObservations.of((TestStep.Measurement) step, log.of(step), readings).stream()
                        .findFirst()
                : Optional.empty();
    }

    /** The pair with which an earlier state was {@linkplain #follow followed}, if it is just what a good unit gives. */
    Optional<Observation> addedPair() {
        return addedPair;
    }

    /** How a pair is settled; empty while it is not, or was not read. */
    private Optional<PairTally.SettledPair> settled(TestStep pair) {
        List<Entry> made = log.of(pair);
        boolean unlike = false;
        for (Entry entry : made) {
            Optional<Judgement> judgement = readings.judgement(entry)
                    .filter(each -> each.verdict() != Verdict.DOUBTFUL && each.verdict() != Verdict.UNDECIDED);
            if (judgement.isEmpty()) {
                return Optional.empty();
            }
            unlike |= !PairTally.isAsDesigned(judgement.get());
        }
        return made.isEmpty() || !isPlanned(pair)
                ? Optional.empty()
                : Optional.of(new PairTally.SettledPair(
                        lastJudgement(pair).orElseThrow().verdict(), unlike));
    }

    /** What the pairs come to; of linked pieces, which are few, none is counted as settled. */
    synchronized PairTally tally() {
        PairTally known = tally.orElseGet(() -> {
            PairTally made = PairTally.NONE;
            for (TestStep step : log.steps(Stage.SHORTS)) {
                boolean pair = step instanceof TestStep.Measurement && !pieces.areLinked();
                made = made.with(step, pair ? settled(step) : Optional.empty());
            }
            return made;
        });
        tally = Optional.of(known);
        return known;
    }

    /** What was made and is not counted among the settled pairs: a number of steps that grows with the wires. */
    Stream<TestStep> uncounted() {
        return Stream.concat(
                Stream.of(Stage.values())
                        .filter(stage -> stage != Stage.SHORTS)
                        .flatMap(stage -> log.steps(stage).stream()),
                tally().open().stream());
    }

    /** Whether any step that was made and counts stands so. */
    boolean isAny(StepState state) {
        return tally().count(state) > 0
                || uncounted()
                        .filter(step -> step.stage() != Stage.METER && step.stage() != Stage.SYMPTOMS)
                        .filter(this::isPlanned)
                        .anyMatch(step -> state(step) == state);
    }

    /** Whether every reading is what a good unit gives and nothing else was seen: then nothing is to be found. */
    boolean isAsDesigned() {
        return tally().unlike() == 0
                && log.setAside().isEmpty()
                && defects().isEmpty()
                && symptoms.functions().isEmpty()
                && uncounted()
                        .flatMap(step -> log.of(step).stream())
                        .filter(entry -> entry.content() instanceof Entry.Content.Reading)
                        .filter(entry -> !(entry.step() instanceof TestStep.LeadCheck))
                        .allMatch(entry -> readings.judgement(entry)
                                .filter(PairTally::isAsDesigned)
                                .isPresent());
    }

    /** How many pairs were read and are still to be read again. */
    long unsettledPairs() {
        return tally().open().stream()
                .filter(step -> isPlanned(step) && !isDone(step))
                .count();
    }

    /** The steps of a stage that are still to do, in order. */
    Stream<TestStep> undone(Stage stage) {
        if (stage != Stage.SHORTS) {
            return steps(stage).filter(step -> !isDone(step));
        }
        Stream<TestStep.Measurement> pairs =
                pieces.areLinked() ? pieces.shorts(states::isThrough) : pieces.pairsFrom(leading());
        return Stream.concat(stages.unlinking(), pairs).filter(step -> !isDone(step));
    }

    /** How many pairs, counted from the first, are done: an earlier state knew most of them. */
    private synchronized long leading() {
        if (!leadingIsKnown) {
            long known = tally().open().isEmpty() ? leading : 0; // none of those that were done is in doubt now
            long more = pieces.pairsFrom(known).takeWhile(this::isDone).count();
            leading = Math.min(pieces.pairs(), known + more);
            leadingIsKnown = true;
        }
        return leading;
    }

    private void findOpen() {
        for (TestStep.Measurement measurement : plan.endToEnd()) {
            boolean isLinked = linked.farEnd().isPresent() && !measurement.red().isFrame();
            if (isLinked ? linked.isBroken(measurement) : states.isOpen(measurement) && isDone(measurement)) {
                open.add(measurement);
            }
        }
    }

    /** What the linked far ends tell; empty where they are not linked. */
    Optional<LinkedFarEnds> farEnd() {
        return linked.farEnd();
    }

    /** The defects that were seen by eye and are not repaired. */
    Map<TestStep.ManualStep, Finding.Defect> defects() {
        return stages.inspections().defects();
    }

    /** The terminals that {@link #farEnd()} numbers. */
    List<Terminal> readLinked() {
        return linked.terminals();
    }

    List<TestStep.Measurement> open() {
        return open;
    }

    PlanPieces pieces() {
        return pieces;
    }

    /** Whether every measurement of ends, shorts and frame is made and none is at fault. */
    boolean hasContinuity() {
        boolean pairs = left(Stage.SHORTS) == 0
                && tally().fail() == 0
                && tally().open().stream().filter(this::isPlanned).allMatch(states::isPassed);
        return pairs
                && Stream.of(Stage.CONTINUITY, Stage.FRAME).flatMap(this::steps).allMatch(states::isPassed);
    }

    /** Whether a step belongs to this run as it stands. */
    boolean isPlanned(TestStep step) {
        if (stages.isRefused(step)) {
            return false;
        }
        if (plan.contains(step)) {
            return linked.farEnd().isEmpty()
                    || !(step instanceof TestStep.Measurement)
                    || step.stage() != Stage.CONTINUITY
                    || isBond(step);
        }
        if (step instanceof TestStep.Measurement measurement) {
            return switch (measurement.stage()) {
                case SHORTS, FRAME -> pieces.contains(measurement, states::isThrough);
                case CONTINUITY -> linked.measurements().contains(measurement);
                case WIGGLE, INSULATION, WET, WITHSTAND ->
                    steps(measurement.stage()).anyMatch(step::equals);
                default -> false;
            };
        }
        return step instanceof TestStep.ManualStep manual
                ? stages.isPossible(manual)
                : steps(step.stage()).anyMatch(step::equals);
    }

    private static boolean isBond(TestStep step) {
        return step instanceof TestStep.Measurement measurement
                && measurement.red().isFrame()
                && !measurement.isLinked();
    }

    /** The steps of one stage in order, made as they are asked for. */
    Stream<TestStep> steps(Stage stage) {
        return stages.steps(stage);
    }

    VisualFindings inspections() {
        return stages.inspections();
    }

    /** Whether nothing more is asked at a step. */
    boolean isDone(TestStep step) {
        return states.isDone(step);
    }

    /** How a step stands. */
    StepState state(TestStep step) {
        return states.state(step);
    }

    /** Whether a wire has read open exactly once: it is measured again on clean metal, and both readings are kept. */
    boolean asksForCleanMetal(TestStep step) {
        return states.asksForCleanMetal(step);
    }

    /** How the last reading of a step was judged. */
    Optional<Judgement> lastJudgement(TestStep step) {
        return states.lastJudgement(step);
    }

    /** What the readings of other points say of this one; nothing while all of them are as expected. */
    Optional<ImpliedPairs> implied() {
        return points.implied();
    }

    /** How many points read otherwise than those of a good unit. */
    long unexpected() {
        return points.unexpected();
    }

    /** How many steps a stage has. */
    long size(Stage stage) {
        return switch (stage) {
            case SHORTS -> plan.of(stage).size() + pieces.far().count() + pieces.shortsCount(states::isThrough);
            case FRAME -> plan.of(stage).size() + stages.proofThere().count() + pieces.framed();
            default -> steps(stage).count();
        };
    }

    /** How many steps of a stage are still to do. */
    long left(Stage stage) {
        return done.computeIfAbsent(stage, any -> countLeft(stage));
    }

    private long countLeft(Stage stage) {
        if (stage != Stage.SHORTS || pieces.areLinked()) {
            return steps(stage).filter(step -> !isDone(step)).count();
        }
        long made = tally().settled()
                + tally().open().stream()
                        .filter(step -> isPlanned(step) && isDone(step))
                        .count();
        long implied = implied().stream()
                .flatMap(points::impliedShorts)
                .filter(measurement -> log.of(measurement).isEmpty())
                .distinct()
                .count();
        return size(stage) - made - implied;
    }

    PartTrials substitutes() {
        return stages.substitutes();
    }

    /** Whether ohms may be read: a prepared run has been proved dead. */
    boolean isProvedDead() {
        return steps(Stage.PREPARE).allMatch(this::isDone);
    }
}
