package zestymarten.core.testrun;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zestymarten.core.analysis.Implied;
import zestymarten.core.analysis.LinkedFarEnds;
import zestymarten.core.analysis.Observation;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Moisture;
import zestymarten.core.testplan.PlanPieces;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestPlan;
import zestymarten.core.testplan.TestStep;

/**
 * Which steps a run has by what was entered so far, and which of them are done.
 *
 * <p>Rules: a wire that reads open is touched once more on clean metal before it is believed. A wire that stays open brings
 * its far end into the later stages. The wires of a function that works only sometimes are read while they are moved.
 * Under the test voltage goes only what has passed continuity. After a repair every function is tried. What was opened or
 * unplugged is put back, and the meter is checked after the last reading. Cost: linear in the wires and what was done by hand;
 * pairs are walked, never stored, and a state that {@linkplain #follow follows} another counts only what is new.
 */
final class StepSchedule {
    /** Insulation is judged after a minute, within a tenth. */
    private static final double FULL_MINUTE = 54;

    private static final double WHOLE = 0.9;

    private static final String FAR_END = "far end";

    private final TestPlan plan;
    private final RunLog standing;
    private final RunReadings readings;
    private final OpenItems ledger;
    private final VisualFindings look;
    private final PartTrials substitutes;
    private final Symptoms complaint;
    private final WiggleSteps wiggle;
    private final List<Terminal> readTied;
    private final Optional<LinkedFarEnds> farEnd;
    private final List<TestStep> tiedTouches = new ArrayList<>();
    private final List<TestStep.Measurement> open = new ArrayList<>();
    private final Set<String> refused;
    private final PlanPieces pieces;
    private final Map<Stage, Long> done = new ConcurrentHashMap<>();
    private Optional<PairTally> tally = Optional.empty();
    private long leading;
    private boolean leadingIsKnown;
    private volatile Optional<Known> known = Optional.empty();
    private Optional<Observation> addedPair = Optional.empty();

    StepSchedule(TestPlan plan, RunLog standing, RunReadings readings, OpenItems ledger) {
        this.plan = plan;
        this.standing = standing;
        this.readings = readings;
        this.ledger = ledger;
        complaint = RecordedSymptoms.complaint(standing);
        wiggle = new WiggleSteps(plan, readings.design().assembly(), standing, complaint);
        look = new VisualFindings(readings.design().assembly(), standing);
        substitutes = new PartTrials(readings.design().assembly(), standing);
        readTied = plan.readTied();
        refused = plan.priced().stream()
                .map(Connector::id)
                .filter(each -> standing.last(new TestStep.ManualStep(ManualAction.ACCESS, each))
                        .filter(entry -> entry.content() instanceof Entry.Content.Skip)
                        .isPresent())
                .collect(Collectors.toSet());
        farEnd = plan.tiesFarEnds() ? Optional.of(solveFarEnd()) : Optional.empty();
        findOpen();
        boolean halves =
                standing.last(new TestStep.ManualStep(ManualAction.HALVES)).isPresent();
        pieces = plan.pieces(
                open, refused, halves ? TestMethod.BY_HALVES : plan.approach().method());
    }

    /**
     * Takes over what an earlier state has counted, if one more measurement leaves the pairs the same. Without it everything is
     * counted anew when it is asked for; the answers are the same.
     */
    void follow(StepSchedule earlier, Entry added) {
        boolean same = added.step() instanceof TestStep.Measurement
                && !pieces.areTied()
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
            boolean stayDone = addedPair.isPresent()
                    || earlier.known.filter(each -> each.unexpected() == 0).isPresent();
            leading = stayDone ? earlier.leading : 0; // what followed from other readings may have to be read now
        }
        known = addedPair.flatMap(pair -> earlier.known.map(
                before -> new Known(before.unexpected(), before.implied().map(implied -> implied.with(pair)))));
    }

    /** The pair that was read last, if it was read for the first time and is apart as it should be. */
    private Optional<Observation> firstApart(Entry added) {
        TestStep step = added.step();
        boolean isPair = (step.stage() == Stage.SHORTS || step.stage() == Stage.FRAME)
                && step instanceof TestStep.Measurement touch
                && !touch.isTied()
                && touch.state().isEmpty()
                && standing.of(step).size() == 1;
        boolean asDesigned = isPair
                && settled(step)
                        .filter(each -> each.verdict() == Verdict.PASS && !each.isUnlike())
                        .isPresent()
                && contact(step) == Contact.APART
                && isDone(step);
        return asDesigned
                ? TouchObservations.of((TestStep.Measurement) step, standing.of(step), readings).stream()
                        .findFirst()
                : Optional.empty();
    }

    /** The pair with which an earlier state was {@linkplain #follow followed}, if it is just what a good unit gives. */
    Optional<Observation> addedPair() {
        return addedPair;
    }

    /** How a pair is settled; empty while it is not, or was not read. */
    private Optional<PairTally.SettledPair> settled(TestStep pair) {
        List<Entry> made = standing.of(pair);
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
    private synchronized PairTally tally() {
        PairTally known = tally.orElseGet(() -> {
            PairTally made = PairTally.NONE;
            for (TestStep step : standing.steps(Stage.SHORTS)) {
                boolean pair = step instanceof TestStep.Measurement && !pieces.areTied();
                made = made.with(step, pair ? settled(step) : Optional.empty());
            }
            return made;
        });
        tally = Optional.of(known);
        return known;
    }

    /** What was made and is not counted among the settled pairs: a number of steps that grows with the wires. */
    private Stream<TestStep> uncounted() {
        return Stream.concat(
                Stream.of(Stage.values())
                        .filter(stage -> stage != Stage.SHORTS)
                        .flatMap(stage -> standing.steps(stage).stream()),
                tally().open().stream());
    }

    /** Whether any step that was made and counts stands so. */
    boolean isAny(StepState state) {
        return tally().count(state) > 0
                || uncounted()
                        .filter(step -> step.stage() != Stage.METER && step.stage() != Stage.COMPLAINT)
                        .filter(this::isPlanned)
                        .anyMatch(step -> state(step) == state);
    }

    /** Whether every reading is what a good unit gives and nothing else was seen: then nothing is to be found. */
    boolean isAsDesigned() {
        return tally().unlike() == 0
                && standing.setAside().isEmpty()
                && defects().isEmpty()
                && complaint.functions().isEmpty()
                && uncounted()
                        .flatMap(step -> standing.of(step).stream())
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
                pieces.areTied() ? pieces.shorts(this::isThrough) : pieces.pairsFrom(leading());
        return Stream.concat(unlinking(), pairs).filter(step -> !isDone(step));
    }

    /** The trip to unlink the far ends; what broken wires leave there is read before the way back. */
    private Stream<TestStep> unlinking() {
        List<TestStep> trip = plan.of(Stage.SHORTS);
        if (pieces.far().stubs().isEmpty()) {
            return trip.stream();
        }
        Stream<TestStep> frame =
                pieces.far().stubs().stream().map(stub -> new TestStep.Measurement(Stage.FRAME, stub, Terminal.FRAME));
        return Stream.of(
                        trip.subList(0, trip.size() - 1).stream(),
                        pieces.far().pairs(),
                        proofThere(),
                        frame,
                        trip.subList(trip.size() - 1, trip.size()).stream())
                .flatMap(each -> each);
    }

    /** The frame at the far end is another spot than the one at the near end. */
    private Stream<TestStep> proofThere() {
        return pieces.far().stubs().isEmpty() || plan.approach().quick()
                ? Stream.of()
                : Stream.of(new TestStep.ManualStep(ManualAction.FRAME_PROOF, FAR_END));
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

    private LinkedFarEnds solveFarEnd() {
        List<LinkedFarEnds.LinkedReading> reads = new ArrayList<>();
        LinkedFarEnds known = LinkedFarEnds.of(readTied.size(), reads);
        Set<TestStep> asked = new LinkedHashSet<>();
        boolean grown = true;
        while (grown) {
            grown = false;
            for (int[] pair : known.due()) {
                TestStep.Measurement touch = tied(pair[0], pair[1]);
                if (asked.add(touch)) {
                    grown |= read(touch, pair, reads);
                }
            }
            known = LinkedFarEnds.of(readTied.size(), reads);
        }
        known.expectedClosing().ifPresent(pair -> asked.add(tied(pair[0], pair[1])));
        tiedTouches.addAll(asked);
        return known;
    }

    private boolean read(TestStep.Measurement touch, int[] pair, List<LinkedFarEnds.LinkedReading> reads) {
        Optional<Judgement> judgement = isDone(touch) ? lastJudgement(touch) : Optional.empty();
        boolean tells = judgement.isPresent() && judgement.get().contact() != Contact.UNKNOWN;
        if (tells) {
            boolean through = judgement.get().contact() == Contact.JOINED
                    || judgement.get().contact() == Contact.UNSTABLE;
            reads.add(new LinkedFarEnds.LinkedReading(
                    pair[0], pair[1], through, through ? judgement.get().correctedOhm() : OptionalDouble.empty()));
        }
        return tells;
    }

    private TestStep.Measurement tied(int first, int second) {
        Terminal black = readTied.get(first);
        Terminal red = readTied.get(second);
        List<List<Terminal>> ties = List.of(plan.tiedFar());
        return black.isFrame()
                ? new TestStep.Measurement(Stage.ENDS, red, black, "", ties)
                : new TestStep.Measurement(Stage.ENDS, black, red, "", ties);
    }

    private void findOpen() {
        for (TestStep.Measurement touch : plan.endToEnd()) {
            boolean isTied = farEnd.isPresent() && !touch.red().isFrame();
            if (isTied ? isBroken(touch) : isOpen(touch) && isDone(touch)) {
                open.add(touch);
            }
        }
    }

    private boolean isBroken(TestStep.Measurement touch) {
        int wire = readTied.indexOf(touch.black());
        return wire >= 0
                && farEnd.map(each -> each.state(wire) == LinkedFarEnds.FarEndState.BROKEN)
                        .orElse(false);
    }

    /** What the tied far ends tell; empty where they are not tied. */
    Optional<LinkedFarEnds> farEnd() {
        return farEnd;
    }

    /** The defects that were seen by eye and are not repaired. */
    Map<TestStep.ManualStep, Finding.Defect> defects() {
        return look.defects();
    }

    /** The terminals that {@link #farEnd()} numbers. */
    List<Terminal> readTied() {
        return readTied;
    }

    List<TestStep.Measurement> open() {
        return open;
    }

    PlanPieces pieces() {
        return pieces;
    }

    private boolean isThrough(TestStep.Measurement touch) {
        Contact contact = contact(touch);
        return contact == Contact.JOINED || contact == Contact.LEAK || contact == Contact.UNSTABLE;
    }

    /** The steps of one stage in order, made as they are asked for. */
    Stream<TestStep> steps(Stage stage) {
        return switch (stage) {
            case COMPLAINT -> Stream.empty();
            case PREPARE, METER -> plan.of(stage).stream();
            case BEND -> reached(wiggle.all());
            case PARTS, DIODES, WARM -> reached(plan.of(stage).stream());
            case LOOK -> Stream.concat(plan.of(stage).stream(), look.matesOutside());
            case ENDS -> reached(ends());
            case SHORTS ->
                Stream.concat(unlinking().filter(step -> step.stage() == Stage.SHORTS), pieces.shorts(this::isThrough));
            case FRAME ->
                Stream.of(plan.of(stage).stream(), proofThere(), pieces.frame()).flatMap(each -> each);
            case INSULATION -> insulation();
            case WET -> wet();
            case WITHSTAND -> withstand();
            case REPAIR -> repair();
            case CLOSE -> close();
        };
    }

    /** Without what is behind a cover that nobody may open. */
    private Stream<TestStep> reached(Stream<TestStep> steps) {
        return refused.isEmpty() ? steps : steps.filter(step -> !isRefused(step));
    }

    private boolean isRefused(TestStep step) {
        return step instanceof TestStep.Measurement touch
                && (refused.contains(touch.black().connector())
                        || refused.contains(touch.red().connector()));
    }

    private Stream<TestStep> ends() {
        if (farEnd.isEmpty()) {
            return plan.of(Stage.ENDS).stream();
        }
        List<TestStep> fixed = plan.of(Stage.ENDS);
        Stream<TestStep> walks = fixed.stream().filter(TestStep.ManualStep.class::isInstance);
        Stream<TestStep> bonds = fixed.stream().filter(TestStep.Measurement.class::isInstance);
        return Stream.of(walks, tiedTouches.stream(), bonds).flatMap(each -> each);
    }

    /** Only what has passed continuity goes under the test voltage. */
    private Stream<TestStep> insulation() {
        if (plan.approach().insulation().isEmpty() || !hasContinuity()) {
            return Stream.empty();
        }
        return Stream.of(
                        Stream.<TestStep>of(new TestStep.ManualStep(ManualAction.BARRIERS)),
                        pieces.underVoltage(Stage.INSULATION, plan::farEnd),
                        Stream.<TestStep>of(new TestStep.ManualStep(ManualAction.DISCHARGED)))
                .flatMap(each -> each);
    }

    private Stream<TestStep> wet() {
        if (plan.approach().moisture() == Moisture.NONE || !hasContinuity()) {
            return Stream.empty();
        }
        Stream<TestStep> discharged = Stream.of(new TestStep.ManualStep(ManualAction.DISCHARGED_WET));
        return plan.approach().moisture() == Moisture.MIST
                ? Stream.concat(pieces.inMist(), discharged)
                : Stream.of(
                                Stream.<TestStep>of(
                                        new TestStep.ManualStep(ManualAction.WATER),
                                        new TestStep.ManualStep(ManualAction.DRY_ENDS)),
                                pieces.inWater().flatMap(this::liftedIfWet),
                                discharged)
                        .flatMap(each -> each);
    }

    /** A core that reads low in the water is lifted out of it until it reads well: there is the damage. */
    private Stream<TestStep> liftedIfWet(TestStep.Measurement touch) {
        return isDone(touch) && state(touch) == StepState.FAULT
                ? Stream.of(
                        touch,
                        new TestStep.ManualStep(
                                ManualAction.LIFTED, touch.black().name()))
                : Stream.of(touch);
    }

    /** What insulation has not passed does not go under the higher voltage. */
    private Stream<TestStep> withstand() {
        boolean passed = plan.approach().withstand().isPresent()
                && hasContinuity()
                && Stream.of(Stage.INSULATION, Stage.WET).flatMap(this::steps).allMatch(this::isPassed);
        return passed
                ? Stream.concat(
                        pieces.underVoltage(Stage.WITHSTAND, plan::farEnd),
                        Stream.of(new TestStep.ManualStep(ManualAction.DISCHARGED_LAST)))
                : Stream.empty();
    }

    private boolean isPassed(TestStep step) {
        return isDone(step) && state(step) != StepState.FAULT;
    }

    /** Whether every touch of ends, shorts and frame is made and none is at fault. */
    boolean hasContinuity() {
        boolean pairs = left(Stage.SHORTS) == 0
                && tally().fail() == 0
                && tally().open().stream().filter(this::isPlanned).allMatch(this::isPassed);
        return pairs && Stream.of(Stage.ENDS, Stage.FRAME).flatMap(this::steps).allMatch(this::isPassed);
    }

    private Stream<TestStep> repair() {
        Stream<TestStep> others = substitutes.steps();
        if (standing.repairs().isEmpty()) {
            return others;
        }
        Stream<TestStep> proof = Stream.concat(
                Stream.of(new TestStep.ManualStep(ManualAction.RESET)),
                plan.functions().stream().map(each -> new TestStep.ManualStep(ManualAction.FUNCTION, each)));
        return Stream.concat(others, proof);
    }

    private Stream<TestStep> close() {
        Stream<TestStep> check = plan.approach().quick() ? Stream.empty() : TestPlan.probes(Stage.CLOSE).stream();
        return Stream.concat(check, ledger.toPutBack().stream());
    }

    /** Whether a step belongs to this run as it stands. */
    boolean isPlanned(TestStep step) {
        if (isRefused(step)) {
            return false;
        }
        if (plan.contains(step)) {
            return farEnd.isEmpty()
                    || !(step instanceof TestStep.Measurement)
                    || step.stage() != Stage.ENDS
                    || isBond(step);
        }
        if (step instanceof TestStep.Measurement touch) {
            return switch (touch.stage()) {
                case SHORTS, FRAME -> pieces.contains(touch, this::isThrough);
                case ENDS -> tiedTouches.contains(touch);
                case BEND, INSULATION, WET, WITHSTAND -> steps(touch.stage()).anyMatch(step::equals);
                default -> false;
            };
        }
        return step instanceof TestStep.ManualStep act
                ? isPossible(act)
                : steps(step.stage()).anyMatch(step::equals);
    }

    private static boolean isBond(TestStep step) {
        return step instanceof TestStep.Measurement touch && touch.red().isFrame() && !touch.isTied();
    }

    /** Deeds that nobody asks for but that can be told at any time. */
    private boolean isPossible(TestStep.ManualStep act) {
        return switch (act.action()) {
            case COMPLAINT -> plan.functions().contains(act.subject());
            case OPENED, MENDED, ACCESSORIES, POSITION_NAMED -> !act.subject().isBlank();
            case WANDERS, HALVES, PURPOSE -> act.subject().isEmpty();
            case SUBSTITUTE -> substitutes.isPart(act.subject());
            case REMAINING -> RemainingLength.isOne(readings.design(), act.subject());
            default -> steps(act.stage()).anyMatch(act::equals);
        };
    }

    /** How many steps a stage has. */
    long size(Stage stage) {
        return switch (stage) {
            case SHORTS -> plan.of(stage).size() + pieces.far().count() + pieces.shortsCount(this::isThrough);
            case FRAME -> plan.of(stage).size() + proofThere().count() + pieces.framed();
            default -> steps(stage).count();
        };
    }

    /** How many steps of a stage are still to do. */
    long left(Stage stage) {
        return done.computeIfAbsent(stage, any -> countLeft(stage));
    }

    private long countLeft(Stage stage) {
        if (stage != Stage.SHORTS || pieces.areTied()) {
            return steps(stage).filter(step -> !isDone(step)).count();
        }
        long made = tally().settled()
                + tally().open().stream()
                        .filter(step -> isPlanned(step) && isDone(step))
                        .count();
        long implied = implied().stream()
                .flatMap(this::impliedShorts)
                .filter(touch -> standing.of(touch).isEmpty())
                .distinct()
                .count();
        return size(stage) - made - implied;
    }

    private Optional<Judgement> lastJudgement(TestStep step) {
        return standing.last(step).flatMap(readings::judgement);
    }

    private Contact contact(TestStep step) {
        return lastJudgement(step).map(Judgement::contact).orElse(Contact.UNKNOWN);
    }

    private boolean isOpen(TestStep step) {
        Contact contact = contact(step);
        return contact == Contact.APART || contact == Contact.LEAK;
    }

    /** Whether nothing more is asked at a step. */
    boolean isDone(TestStep step) {
        Optional<Entry> last = standing.last(step);
        if (last.isEmpty()) {
            return step instanceof TestStep.Measurement touch && isImplied(touch);
        }
        if (!(last.get().content() instanceof Entry.Content.Reading)) {
            return isDoneByWords(step, last.get());
        }
        if (step instanceof TestStep.LeadCheck probes && !stillHolds(probes, last.get())) {
            return false;
        }
        Verdict verdict = lastJudgement(step).map(Judgement::verdict).orElse(Verdict.DOUBTFUL);
        boolean settled = verdict != Verdict.DOUBTFUL
                && (verdict != Verdict.UNDECIDED
                        || (readings.now().guarded() && RunReadings.meaning(last.get()) instanceof MeterReading.Value));
        return settled && !asksForCleanMetal(step) && !isStillCharging(step);
    }

    /** A check after the readings holds until the next one; a zero until other clips are used, or the meter wanders. */
    private boolean stillHolds(TestStep.LeadCheck probes, Entry last) {
        if (probes.stage() == Stage.CLOSE) {
            return !standing.wasTouchedAfter(last);
        }
        if (probes.question() == TestStep.LeadCheck.LeadQuestion.TONE) {
            return true;
        }
        NullHistory zeros = readings.zeros();
        return zeros.last().isPresent()
                && !(zeros.wanders() && standing.wasTouchedAfter(zeros.last().get()) && isTightNext());
    }

    /** Whether the touch that comes next has so low a limit that a zero which wanders decides it. */
    private boolean isTightNext() {
        return plan.approach().order().stages().stream()
                .filter(stage -> stage.isTouched() && !stage.isUnderVoltage())
                .flatMap(this::steps)
                .filter(step -> step instanceof TestStep.Measurement && !isDone(step))
                .findFirst()
                .map(step -> readings.isTight((TestStep.Measurement) step))
                .orElse(false);
    }

    /** Whether all readings under voltage say that less than a minute had passed, or less than the withstand test takes. */
    private boolean isStillCharging(TestStep step) {
        double least = step.stage() == Stage.WITHSTAND
                ? WHOLE * plan.approach().withstand().orElseThrow().seconds()
                : FULL_MINUTE;
        return step.stage().isUnderVoltage()
                && standing.of(step).stream()
                        .map(RunReadings::secondsOf)
                        .allMatch(seconds -> seconds.isPresent() && seconds.getAsDouble() < least);
    }

    /**
     * What was put back and opened once more is to be put back once more; what a molten connector was plugged into is to be
     * looked at after that was seen.
     */
    private boolean isDoneByWords(TestStep step, Entry last) {
        if (!(step instanceof TestStep.ManualStep act) || last.content() instanceof Entry.Content.Skip) {
            return true;
        }
        return switch (act.action()) {
            case PUT_BACK -> !ledger.isOut(act.subject());
            case LOOKED -> !look.isCondemnedAfter(act.subject(), last);
            default -> true;
        };
    }

    /** How many points read otherwise than those of a good unit, and what follows from the readings if any does. */
    private record Known(long unexpected, Optional<Implied> implied) {}

    /** What the readings of other points say of this one; nothing while all of them are as expected. */
    Optional<Implied> implied() {
        return known().implied();
    }

    /** How many points read otherwise than those of a good unit. */
    long unexpected() {
        return known().unexpected();
    }

    private Known known() {
        return known.orElseGet(this::findKnown);
    }

    private synchronized Known findKnown() {
        if (known.isEmpty()) {
            long unexpected = tally().fail()
                    + uncounted()
                            .filter(this::isReadAndDone)
                            .filter(this::isUnexpected)
                            .count();
            known = Optional.of(new Known(unexpected, unexpected == 0 ? Optional.empty() : Optional.of(findImplied())));
        }
        return known.orElseThrow();
    }

    private boolean isReadAndDone(TestStep step) {
        return step instanceof TestStep.Measurement touch && touch.isInOhms() && isDone(touch);
    }

    private Implied findImplied() {
        return Implied.of(
                readings.design(),
                standing.steps()
                        .filter(this::isReadAndDone)
                        .map(TestStep.Measurement.class::cast)
                        .flatMap(touch -> TouchObservations.of(touch, standing.of(touch), readings).stream())
                        .toList());
    }

    private boolean isUnexpected(TestStep step) {
        return lastJudgement(step)
                .filter(each -> each.verdict() == Verdict.FAIL)
                .isPresent();
    }

    /**
     * Whether nobody has to read a pair, because it follows from other readings. That two ends of a wire are joined says
     * nothing of its resistance, and is read.
     */
    private boolean isImplied(TestStep.Measurement touch) {
        if (touch.isTied() || !touch.state().isEmpty()) {
            return false;
        }
        return switch (touch.stage()) {
            case ENDS ->
                implied()
                        .filter(each -> each.areApart(touch.black(), touch.red()))
                        .isPresent();
            case SHORTS, FRAME ->
                implied()
                        .filter(each ->
                                each.areApart(touch.black(), touch.red()) || each.areJoined(touch.black(), touch.red()))
                        .isPresent();
            default -> false;
        };
    }

    /** The pairs of the shorts stage that nobody has to read: one of the two has a reading that was not expected. */
    private Stream<TestStep.Measurement> impliedShorts(Implied known) {
        List<Terminal> all = pieces.all();
        Stream<TestStep.Measurement> pairs = IntStream.range(0, all.size())
                .filter(i -> known.isUnexpectedAt(all.get(i)))
                .boxed()
                .flatMap(i -> IntStream.range(0, all.size()).filter(j -> j != i).mapToObj(j -> pieces.pair(i, j)));
        return Stream.concat(pairs, pieces.cavities().stream()).filter(this::isImplied);
    }

    /** Whether a wire has read open exactly once: it is touched again on clean metal, and both readings are kept. */
    boolean asksForCleanMetal(TestStep step) {
        return step.stage() == Stage.ENDS
                && isOpen(step)
                && standing.of(step).stream()
                                .flatMap(entry -> readings.judgement(entry).stream())
                                .filter(each -> each.contact() == Contact.APART || each.contact() == Contact.LEAK)
                                .count()
                        == 1;
    }

    /** How a step stands. */
    StepState state(TestStep step) {
        List<Entry> all = standing.of(step);
        if (all.isEmpty()) {
            return isDone(step) ? StepState.IMPLIED : StepState.UNTESTED;
        }
        Entry last = all.get(all.size() - 1);
        if (last.content() instanceof Entry.Content.Skip) {
            return StepState.SKIPPED;
        }
        if (!isDone(step)) {
            return StepState.DOUBTFUL;
        }
        if (last.content() instanceof Entry.Content.Done done) {
            return ofWords(step, done.words());
        }
        boolean openFirst = all.size() > 1
                && readings.judgement(all.get(0)).map(Judgement::verdict).orElse(Verdict.PASS) == Verdict.FAIL;
        StepState state =
                lastJudgement(step).map(each -> StepState.of(each.verdict())).orElse(StepState.GOOD);
        return state == StepState.GOOD && openFirst && step.stage() == Stage.ENDS ? StepState.WATCH : state;
    }

    private static StepState ofWords(TestStep step, String words) {
        ManualAction action = ((TestStep.ManualStep) step).action();
        if (action == ManualAction.REPLUGGED || action == ManualAction.SUBSTITUTED) {
            return words.equals(RecordedSymptoms.WORKS) ? StepState.WATCH : StepState.GOOD;
        }
        boolean told = action.answer() == ManualAction.AnswerKind.CELSIUS || action == ManualAction.ACCESS;
        boolean asItShouldBe = told || words.isEmpty() || words.equals(RecordedSymptoms.WORKS);
        return asItShouldBe ? StepState.GOOD : action == ManualAction.FUNCTION ? StepState.FAULT : StepState.WATCH;
    }

    PartTrials substitutes() {
        return substitutes;
    }

    /** Whether ohms may be read: a prepared run has been proved dead. */
    boolean isProvedDead() {
        return steps(Stage.PREPARE).allMatch(this::isDone);
    }
}
