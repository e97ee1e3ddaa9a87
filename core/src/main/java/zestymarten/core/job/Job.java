package zestymarten.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.diagnosis.Complaint;
import zestymarten.core.diagnosis.Costs;
import zestymarten.core.diagnosis.Diagnosis;
import zestymarten.core.diagnosis.NextTouch;
import zestymarten.core.diagnosis.Priors;
import zestymarten.core.diagnosis.Touched;
import zestymarten.core.fault.GoodUnit;
import zestymarten.core.insulation.Absorption;
import zestymarten.core.judge.Expectation;
import zestymarten.core.judge.Judgement;
import zestymarten.core.meter.Conditions;
import zestymarten.core.plan.Approach;
import zestymarten.core.plan.Deed;
import zestymarten.core.plan.Pieces;
import zestymarten.core.plan.Plan;
import zestymarten.core.plan.Prices;
import zestymarten.core.plan.Stage;
import zestymarten.core.plan.Step;
import zestymarten.core.quantity.Ohms;
import zestymarten.core.quantity.Understood;

/**
 * One test of one unit as it stands: derived from the design, the approach, the conditions and the entries so far, and
 * nothing else, so that leaving and coming back finds it the same.
 *
 * <p>Which steps there are is {@link Course}'s to say, how readings are judged {@link Readings}', what a repair undoes
 * {@link Standing}'s. Immutable; cost linear in the entries.
 */
public final class Job {
    /** How many touches are weighed to find some that belong to the plan. */
    private static final int WEIGHED = 40;

    private final Design design;
    private final Approach approach;
    private final Conditions before;
    private final Standing standing;
    private final Readings readings;
    private final Ledger ledger;
    private final Course course;
    private final Complaint complaint;
    private Optional<List<Found>> findings = Optional.empty();

    private Job(Design design, Approach approach, Conditions before, List<Entry> entries) {
        this.design = design;
        this.approach = approach;
        this.before = before;
        standing = new Standing(design, List.copyOf(entries));
        readings = new Readings(design, approach, before, standing);
        ledger = new Ledger(standing);
        course = new Course(design.plan(approach), standing, readings, ledger);
        complaint = Behaviours.complaint(standing);
    }

    /**
     * The job as its entries leave it.
     *
     * @param conditions of the run; the leads' ohms are taken from the entries
     * @param entries in the order in which they were made
     */
    public static Job of(Design design, Approach approach, Conditions conditions, List<Entry> entries) {
        return new Job(design, approach, conditions, entries);
    }

    /** The same job with one more entry. */
    public Job plus(Entry entry) {
        List<Entry> more = new ArrayList<>(entries());
        more.add(entry);
        return new Job(design, approach, before, more);
    }

    public Design design() {
        return design;
    }

    public Approach approach() {
        return approach;
    }

    public Plan plan() {
        return design.plan(approach);
    }

    /** The conditions with the leads' ohms as read last, once they were. */
    public Conditions conditions() {
        return readings.now();
    }

    /** Every entry, those taken back included. */
    public List<Entry> entries() {
        return standing.entries();
    }

    /** What the machine does and does not do, as far as it was told. */
    public Complaint complaint() {
        return complaint;
    }

    /** What is out and has to be put back before the run ends. */
    public List<String> ledger() {
        return ledger.items();
    }

    /** The repairs of this run, in their order. */
    public List<Entry> repairs() {
        return List.copyOf(standing.repairs());
    }

    public Pieces pieces() {
        return course.pieces();
    }

    /** Touches of the ring-out that stayed open, in design order. */
    public List<Step.Touch> open() {
        return List.copyOf(course.open());
    }

    /** The last entry that stands, which is the one to take back. */
    public Optional<Entry> last() {
        return standing.last();
    }

    /** The entries of a step that stand, in the order in which they were made. */
    public List<Entry> standing(Step step) {
        return standing.of(step);
    }

    /** The number that the next entry of a step will have. */
    public int nextTouch(Step step) {
        return standing.nextTouch(step);
    }

    /** What a good unit shows at a touch. */
    public Expectation expectation(Step.Touch touch) {
        return readings.expectation(touch);
    }

    /** The range to set on the meter for a touch, in ohms; empty for a meter that finds it by itself. */
    public OptionalDouble range(Step.Touch touch) {
        return readings.range(touch);
    }

    /** The readings of a touch over the time under voltage; none where no times were given. */
    public Absorption absorption(Step.Touch touch) {
        return readings.absorption(touch);
    }

    /** Whether a step belongs to this job as it stands. */
    public boolean isPlanned(Step step) {
        return course.isPlanned(step);
    }

    /** Whether a step may be entered now: nothing is measured on wiring that was not proved dead. */
    public boolean isAllowed(Step step) {
        boolean measures = step.fold(probes -> false, touch -> true, act -> act.deed() == Deed.FRAME_PROOF);
        return !measures || course.isProvedDead();
    }

    /** Whether words can be entered for a deed: of a function they say how it behaves. */
    public static boolean accepts(Step.Act act, String words) {
        boolean function = act.deed() == Deed.COMPLAINT || act.deed() == Deed.FUNCTION;
        return !function || Behaviours.isWord(words);
    }

    /** The planned touch of two terminals that is not done, else any, in whichever stage and order they are touched together. */
    public Optional<Step> touch(Terminal a, Terminal b) {
        if (a.equals(b)) {
            return Optional.empty();
        }
        List<Step> together = Stream.of(Stage.ENDS, Stage.SHORTS, Stage.FRAME, Stage.PARTS)
                .flatMap(stage -> together(stage, a, b))
                .toList();
        return together.stream()
                .filter(step -> !isDone(step))
                .findFirst()
                .or(() -> together.stream().findFirst());
    }

    private Stream<Step> together(Stage stage, Terminal a, Terminal b) {
        boolean listed = stage == Stage.PARTS || stage == Stage.ENDS || pieces().areTied();
        return listed
                ? steps(stage).filter(step -> step instanceof Step.Touch touch && touch.isOn(a) && touch.isOn(b))
                : Stream.<Step>of(new Step.Touch(stage, a, b), new Step.Touch(stage, b, a))
                        .filter(this::isPlanned);
    }

    /** What was typed, as understood for a step, with the doubts it raises. */
    public Understood understand(Step step, String typed) {
        return readings.understand(step, typed);
    }

    /** The judgement of a reading at a step. */
    public Judgement judge(Step step, Understood meaning) {
        return readings.judge(step, meaning);
    }

    /** The judgement of an entry; empty for what is no reading. */
    public Optional<Judgement> judgement(Entry entry) {
        return readings.judgement(entry);
    }

    /** What an entry says, in words: the reading as understood on this meter, what was done, or why it was left out. */
    public String told(Entry entry) {
        if (entry.content() instanceof Entry.Content.Skip skip) {
            return "skipped: " + skip.reason();
        }
        if (entry.content() instanceof Entry.Content.Done done) {
            return done.words().isEmpty() ? plainly((Step.Act) entry.step()) : done.words();
        }
        if (entry.content() instanceof Entry.Content.Repair repair) {
            return repair.way().word();
        }
        Entry.Content.Reading reading = (Entry.Content.Reading) entry.content();
        String text = reading.meaning() instanceof Understood.OverRange
                ? "more than " + Ohms.of(before.meter().topOhm()).text()
                : reading.meaning().text();
        return reading.where().isEmpty() ? text : text + " at " + reading.where();
    }

    private static String plainly(Step.Act act) {
        return act.deed() == Deed.LOOKED ? "nothing found" : "done";
    }

    /** Whether nothing more is asked at a step. */
    public boolean isDone(Step step) {
        return course.isDone(step);
    }

    /** Whether a wire has read open exactly once: it is touched again on clean metal, and both readings are kept. */
    public boolean asksForCleanMetal(Step step) {
        return course.asksForCleanMetal(step);
    }

    /** How a step stands. */
    public StepState state(Step step) {
        return course.state(step);
    }

    /** Every step in the order of the job, made as it is asked for. */
    public Stream<Step> steps() {
        return Stream.of(Stage.values()).flatMap(this::steps);
    }

    /** The steps of one stage in order, made as they are asked for. */
    public Stream<Step> steps(Stage stage) {
        return course.steps(stage);
    }

    /** How many steps a stage has. */
    public long size(Stage stage) {
        return course.size(stage);
    }

    /** How many steps of a stage are still to do. */
    public long left(Stage stage) {
        return course.left(stage);
    }

    /** Steps still to do. */
    public long left() {
        return Stream.of(Stage.values()).mapToLong(this::left).sum();
    }

    /** What is still to do: touches of the probes, walks to the other end, and other deeds. */
    public record Left(long touches, long walks, long deeds) {}

    public Left remaining() {
        List<Step> acts = Stream.of(Stage.values())
                .flatMap(stage ->
                        stage == Stage.SHORTS || stage == Stage.FRAME ? plan().of(stage).stream() : steps(stage))
                .filter(step -> step instanceof Step.Act && !isDone(step))
                .toList();
        long walks = acts.stream()
                .filter(step -> ((Step.Act) step).deed() == Deed.WALKED || ((Step.Act) step).deed() == Deed.WALKED_BACK)
                .count();
        return new Left(left() - acts.size(), walks, acts.size() - walks);
    }

    /** Seconds that the steps still to do will take, by {@link Prices}. */
    public double secondsLeft() {
        return Stream.of(Stage.values())
                .mapToDouble(stage -> left(stage) * Prices.secondsPerTouch(stage))
                .sum();
    }

    /** The step that is due; empty when all are done. */
    public Optional<Step> current() {
        return steps().filter(step -> !isDone(step)).findFirst();
    }

    /** What is probably wrong, from every reading that stands; empty for a unit too large to weigh every pair of its nets. */
    public Optional<Diagnosis> diagnosis() {
        if (design.nets().all().size() > Diagnosis.MOST_NETS) {
            return Optional.empty();
        }
        List<Touched> touched = new ArrayList<>();
        standing.steps()
                .forEach(step ->
                        standing.of(step).forEach(entry -> touched(entry).ifPresent(touched::add)));
        touched.sort(java.util.Comparator.comparingInt(Touched::number));
        return Optional.of(Diagnosis.of(GoodUnit.nominal(design), conditions(), Priors.usual(), complaint, touched));
    }

    private Optional<Touched> touched(Entry entry) {
        boolean counts = entry.step() instanceof Step.Touch
                && entry.step().stage() != Stage.INSULATION
                && entry.content() instanceof Entry.Content.Reading;
        if (!counts) {
            return Optional.empty();
        }
        Step.Touch touch = (Step.Touch) entry.step();
        return Optional.of(new Touched(
                entry.sequence(),
                touch.black(),
                touch.red(),
                readings.state(touch),
                touch.ties(),
                Readings.meaning(entry)));
    }

    /** The touches still to make that tell most for their time, the best first. */
    public List<BestTouch> best(Diagnosis diagnosis, int most) {
        List<BestTouch> best = new ArrayList<>();
        for (NextTouch next : diagnosis.next(Costs.bench(design.assembly(), false), WEIGHED)) {
            Optional<Step> step = touch(next.black(), next.red()).filter(each -> !isDone(each));
            if (best.size() < most && step.isPresent() && step.get() instanceof Step.Touch touch) {
                best.add(new BestTouch(touch, next));
            }
        }
        return best;
    }

    /** A touch still to make, and what it is expected to tell. */
    public record BestTouch(Step.Touch touch, NextTouch worth) {}

    /** What is wrong as far as the entries tell, in design order. */
    public List<Found> findings() {
        List<Found> known = findings.orElseGet(() -> new Conclusions(design, course, standing, readings).findings());
        findings = Optional.of(known);
        return known;
    }

    /** Functions that do not work and that no finding explains by its kind, by name. */
    public List<String> unexplained() {
        return new TreeMap<>(complaint.functions())
                .entrySet().stream()
                        .filter(each -> each.getValue() != Complaint.Behaviour.WORKS)
                        .filter(each -> !Explains.explained(each.getKey(), each.getValue(), findings()))
                        .map(Map.Entry::getKey)
                        .toList();
    }

    /** Functions that do not work and that a finding explains by its kind. */
    public List<String> explainedBy(Found found) {
        return new TreeMap<>(complaint.functions())
                .entrySet().stream()
                        .filter(each -> Explains.explained(each.getKey(), each.getValue(), List.of(found)))
                        .map(Map.Entry::getKey)
                        .toList();
    }

    /** Where the test of the unit stands as a whole. */
    public Outcome outcome() {
        if (!findings().isEmpty() || isAny(StepState.FAULT)) {
            return Outcome.FAIL;
        }
        if (left() > 0 || isAny(StepState.SKIPPED) || isAny(StepState.DOUBTFUL)) {
            return Outcome.INCOMPLETE;
        }
        return isAny(StepState.WATCH) ? Outcome.WATCH : Outcome.PASS;
    }

    private boolean isAny(StepState state) {
        return standing.steps().stream()
                .filter(step -> step.stage() != Stage.METER && step.stage() != Stage.COMPLAINT)
                .filter(this::isPlanned)
                .anyMatch(step -> state(step) == state);
    }
}
