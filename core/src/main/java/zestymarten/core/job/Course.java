package zestymarten.core.job;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import zestymarten.core.analysis.FarEnd;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judge.Judgement;
import zestymarten.core.judge.Judgement.Contact;
import zestymarten.core.judge.Judgement.Verdict;
import zestymarten.core.plan.Deed;
import zestymarten.core.plan.Pieces;
import zestymarten.core.plan.Plan;
import zestymarten.core.plan.Stage;
import zestymarten.core.plan.Step;
import zestymarten.core.quantity.Understood;

/**
 * Which steps a run has by what was entered so far, and which of them are done.
 *
 * <p>Rules: a wire that reads open is touched once more on clean metal before it is believed. A wire that stays open brings
 * its far end into the later stages. Under the test voltage goes only what has passed continuity. After a repair every
 * function is tried. What was opened or unplugged is put back, and the meter is checked after the last reading. Cost:
 * linear in the entries; pairs are walked, never stored.
 */
final class Course {
    /** Insulation is judged after a minute, within a tenth. */
    private static final double FULL_MINUTE = 54;

    private final Plan plan;
    private final Standing standing;
    private final Readings readings;
    private final Ledger ledger;
    private final List<Terminal> heads;
    private final Optional<FarEnd> farEnd;
    private final List<Step> tiedTouches = new ArrayList<>();
    private final List<Step.Touch> open = new ArrayList<>();
    private final Pieces pieces;
    private final Map<Stage, Long> done = new EnumMap<>(Stage.class);

    Course(Plan plan, Standing standing, Readings readings, Ledger ledger) {
        this.plan = plan;
        this.standing = standing;
        this.readings = readings;
        this.ledger = ledger;
        heads = plan.heads();
        farEnd = plan.isFarEndJoined() ? Optional.of(solveFarEnd()) : Optional.empty();
        findOpen();
        pieces = plan.pieces(open);
    }

    private FarEnd solveFarEnd() {
        List<FarEnd.Read> reads = new ArrayList<>();
        FarEnd known = FarEnd.of(heads.size(), reads);
        Set<Step> asked = new LinkedHashSet<>();
        boolean grown = true;
        while (grown) {
            grown = false;
            for (int[] pair : known.due()) {
                Step.Touch touch = tied(pair[0], pair[1]);
                if (asked.add(touch)) {
                    grown |= read(touch, pair, reads);
                }
            }
            known = FarEnd.of(heads.size(), reads);
        }
        tiedTouches.addAll(asked);
        return known;
    }

    private boolean read(Step.Touch touch, int[] pair, List<FarEnd.Read> reads) {
        Optional<Judgement> judgement = isDone(touch) ? lastJudgement(touch) : Optional.empty();
        boolean tells = judgement.isPresent() && judgement.get().contact() != Contact.UNKNOWN;
        if (tells) {
            boolean through = judgement.get().contact() == Contact.JOINED
                    || judgement.get().contact() == Contact.UNSTABLE;
            reads.add(new FarEnd.Read(
                    pair[0], pair[1], through, through ? judgement.get().correctedOhm() : OptionalDouble.empty()));
        }
        return tells;
    }

    private Step.Touch tied(int first, int second) {
        return new Step.Touch(Stage.ENDS, heads.get(first), heads.get(second), "", List.of(plan.farEnds()));
    }

    private void findOpen() {
        for (Step.Touch touch : plan.endToEnd()) {
            boolean isTied = farEnd.isPresent() && !touch.red().isFrame();
            if (isTied ? isBroken(touch) : isDone(touch) && isOpen(touch)) {
                open.add(touch);
            }
        }
    }

    private boolean isBroken(Step.Touch touch) {
        int wire = heads.indexOf(touch.black());
        return wire >= 0
                && farEnd.map(each -> each.state(wire) == FarEnd.State.BROKEN).orElse(false);
    }

    /** What the tied far ends tell; empty where they are not tied. */
    Optional<FarEnd> farEnd() {
        return farEnd;
    }

    List<Terminal> heads() {
        return heads;
    }

    List<Step.Touch> open() {
        return open;
    }

    Pieces pieces() {
        return pieces;
    }

    private boolean isThrough(Step.Touch touch) {
        Contact contact = contact(touch);
        return contact == Contact.JOINED || contact == Contact.LEAK || contact == Contact.UNSTABLE;
    }

    /** The steps of one stage in order, made as they are asked for. */
    Stream<Step> steps(Stage stage) {
        return switch (stage) {
            case COMPLAINT -> Stream.empty();
            case PREPARE, LOOK, METER, BEND, PARTS -> plan.of(stage).stream();
            case ENDS -> ends();
            case SHORTS -> Stream.concat(plan.of(stage).stream(), pieces.shorts(this::isThrough));
            case FRAME -> Stream.concat(plan.of(stage).stream(), pieces.frame());
            case INSULATION -> insulation();
            case REPAIR -> repair();
            case CLOSE -> close();
        };
    }

    private Stream<Step> ends() {
        if (farEnd.isEmpty()) {
            return plan.of(Stage.ENDS).stream();
        }
        List<Step> fixed = plan.of(Stage.ENDS);
        Stream<Step> walks = fixed.stream().filter(Step.Act.class::isInstance);
        Stream<Step> bonds = fixed.stream().filter(Step.Touch.class::isInstance);
        return Stream.of(walks, tiedTouches.stream(), bonds).flatMap(each -> each);
    }

    /** Only what has passed continuity goes under the test voltage. */
    private Stream<Step> insulation() {
        if (plan.approach().testV().isEmpty() || !hasContinuity()) {
            return Stream.empty();
        }
        return Stream.of(
                        Stream.<Step>of(new Step.Act(Deed.BARRIERS)),
                        pieces.insulation(plan::farEnd),
                        Stream.<Step>of(new Step.Act(Deed.DISCHARGED)))
                .flatMap(each -> each);
    }

    /** Whether every touch of ends, shorts and frame is made and none is at fault. */
    boolean hasContinuity() {
        return Stream.of(Stage.ENDS, Stage.SHORTS, Stage.FRAME)
                .flatMap(this::steps)
                .allMatch(step -> isDone(step) && state(step) != StepState.FAULT);
    }

    private Stream<Step> repair() {
        if (standing.repairs().isEmpty()) {
            return Stream.empty();
        }
        return Stream.concat(
                Stream.of(new Step.Act(Deed.RESET)),
                plan.functions().stream().map(each -> new Step.Act(Deed.FUNCTION, each)));
    }

    private Stream<Step> close() {
        Stream<Step> check = plan.approach().quick() ? Stream.empty() : Plan.probes(Stage.CLOSE).stream();
        return Stream.concat(check, ledger.toPutBack().stream());
    }

    /** Whether a step belongs to this run as it stands. */
    boolean isPlanned(Step step) {
        if (plan.contains(step)) {
            return farEnd.isEmpty() || !(step instanceof Step.Touch) || step.stage() != Stage.ENDS || isBond(step);
        }
        if (step instanceof Step.Touch touch) {
            return switch (touch.stage()) {
                case SHORTS, FRAME -> pieces.contains(touch, this::isThrough);
                case ENDS -> tiedTouches.contains(touch);
                case INSULATION -> steps(Stage.INSULATION).anyMatch(step::equals);
                default -> false;
            };
        }
        return step instanceof Step.Act act
                ? isPossible(act)
                : steps(step.stage()).anyMatch(step::equals);
    }

    private static boolean isBond(Step step) {
        return step instanceof Step.Touch touch && touch.red().isFrame();
    }

    /** Deeds that nobody asks for but that can be told at any time. */
    private boolean isPossible(Step.Act act) {
        return switch (act.deed()) {
            case COMPLAINT -> plan.functions().contains(act.subject());
            case OPENED -> !act.subject().isBlank();
            case MENDED -> !act.subject().isBlank();
            default -> steps(act.stage()).anyMatch(act::equals);
        };
    }

    /** How many steps a stage has. */
    long size(Stage stage) {
        return switch (stage) {
            case SHORTS -> plan.of(stage).size() + pieces.shortsCount(this::isThrough);
            case FRAME -> plan.of(stage).size() + pieces.all().size();
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
        Set<Step> done = new LinkedHashSet<>();
        for (Step step : standing.steps()) {
            if (step.stage() == stage && isPlanned(step) && isDone(step)) {
                done.add(step);
            }
        }
        for (Step.Touch touch : open) {
            Stream.of(
                            new Step.Touch(stage, touch.black(), touch.red()),
                            new Step.Touch(stage, touch.red(), touch.black()))
                    .filter(this::isPlanned)
                    .forEach(done::add);
        }
        return size(stage) - done.size();
    }

    private Optional<Judgement> lastJudgement(Step step) {
        return standing.last(step).flatMap(readings::judgement);
    }

    private Contact contact(Step step) {
        return lastJudgement(step).map(Judgement::contact).orElse(Contact.UNKNOWN);
    }

    private boolean isOpen(Step step) {
        Contact contact = contact(step);
        return contact == Contact.APART || contact == Contact.LEAK;
    }

    /** Whether nothing more is asked at a step. */
    boolean isDone(Step step) {
        Optional<Entry> last = standing.last(step);
        if (last.isEmpty()) {
            return step instanceof Step.Touch touch && touch.stage() == Stage.SHORTS && isAnsweredByEnds(touch);
        }
        if (!(last.get().content() instanceof Entry.Content.Reading)) {
            return isDoneByWords(step, last.get());
        }
        if (step instanceof Step.Probes probes
                && probes.stage() == Stage.CLOSE
                && standing.wasTouchedAfter(last.get())) {
            return false;
        }
        Verdict verdict = lastJudgement(step).map(Judgement::verdict).orElse(Verdict.DOUBTFUL);
        boolean settled = verdict != Verdict.DOUBTFUL
                && (verdict != Verdict.UNDECIDED
                        || (readings.now().guarded() && Readings.meaning(last.get()) instanceof Understood.Value));
        return settled && !asksForCleanMetal(step) && !isStillCharging(step);
    }

    /** Whether all readings under voltage say that less than a minute had passed. */
    private boolean isStillCharging(Step step) {
        return standing.of(step).stream()
                .map(Readings::secondsOf)
                .allMatch(seconds -> seconds.isPresent() && seconds.getAsDouble() < FULL_MINUTE);
    }

    /** What was put back and opened once more is to be put back once more. */
    private boolean isDoneByWords(Step step, Entry last) {
        return !(step instanceof Step.Act act)
                || act.deed() != Deed.PUT_BACK
                || last.content() instanceof Entry.Content.Skip
                || !ledger.isOut(act.subject());
    }

    /** A net whose own two ends were read open need not be read again in the shorts stage. */
    private boolean isAnsweredByEnds(Step.Touch touch) {
        return !touch.isTied()
                && farEnd.isEmpty()
                && open.contains(new Step.Touch(Stage.ENDS, touch.black(), touch.red()));
    }

    /** Whether a wire has read open exactly once: it is touched again on clean metal, and both readings are kept. */
    boolean asksForCleanMetal(Step step) {
        return step.stage() == Stage.ENDS
                && isOpen(step)
                && standing.of(step).stream()
                                .flatMap(entry -> readings.judgement(entry).stream())
                                .filter(each -> each.contact() == Contact.APART || each.contact() == Contact.LEAK)
                                .count()
                        == 1;
    }

    /** How a step stands. */
    StepState state(Step step) {
        List<Entry> all = standing.of(step);
        if (all.isEmpty()) {
            return isDone(step) ? StepState.FAULT : StepState.UNTESTED;
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

    private static StepState ofWords(Step step, String words) {
        Deed deed = ((Step.Act) step).deed();
        boolean asItShouldBe = words.isEmpty() || words.equals(Behaviours.WORKS);
        return asItShouldBe ? StepState.GOOD : deed == Deed.FUNCTION ? StepState.FAULT : StepState.WATCH;
    }

    /** Whether ohms may be read: a prepared run has been proved dead. */
    boolean isProvedDead() {
        return steps(Stage.PREPARE).allMatch(this::isDone);
    }
}
