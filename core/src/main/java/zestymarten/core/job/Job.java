package zestymarten.core.job;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.analysis.Evidence;
import zestymarten.core.analysis.Explained;
import zestymarten.core.analysis.Observation;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.diagnosis.Complaint;
import zestymarten.core.diagnosis.Costs;
import zestymarten.core.diagnosis.Diagnosis;
import zestymarten.core.diagnosis.NextTouch;
import zestymarten.core.diagnosis.Priors;
import zestymarten.core.diagnosis.Touched;
import zestymarten.core.fault.GoodUnit;
import zestymarten.core.judge.Doubts;
import zestymarten.core.judge.Expectation;
import zestymarten.core.judge.Judge;
import zestymarten.core.judge.Judgement;
import zestymarten.core.judge.Judgement.Contact;
import zestymarten.core.judge.Judgement.Verdict;
import zestymarten.core.meter.Conditions;
import zestymarten.core.plan.Plan;
import zestymarten.core.plan.Prices;
import zestymarten.core.plan.Stage;
import zestymarten.core.plan.Step;
import zestymarten.core.quantity.Ohms;
import zestymarten.core.quantity.ReadingLanguage;
import zestymarten.core.quantity.Understood;

/**
 * One test of one unit as it stands: derived from the design, the conditions and the entries so far, and nothing else, so
 * that leaving and coming back finds it the same.
 *
 * <p>Rules: the steps come in the order of the plan. A wire that reads open is touched once more on clean metal before it
 * is believed, and both readings stay. A tone on a wire that carries current asks for the ohms. A wire that stays open
 * brings its far end into the later stages. Immutable; cost linear in the entries.
 */
public final class Job {
    /** How many touches are weighed to find some that belong to the plan. */
    private static final int WEIGHED = 40;

    private final Design design;
    private final Conditions conditions;
    private final List<Entry> entries;
    private final Map<Step, List<Entry>> standing = new HashMap<>();
    private final Map<Step, Integer> touches = new HashMap<>();
    private final List<Step.Touch> open = new ArrayList<>();
    private final Plan.Pieces pieces;

    private Job(Design design, Conditions before, List<Entry> entries) {
        this.design = design;
        this.entries = List.copyOf(entries);
        for (Entry entry : entries) {
            touches.merge(entry.step(), 1, Integer::sum);
            if (entry.stands()) {
                standing.computeIfAbsent(entry.step(), any -> new ArrayList<>()).add(entry);
            }
        }
        OptionalDouble leads = leads();
        conditions = leads.isPresent() ? before.withLeads(leads.getAsDouble()) : before;
        for (Step step : design.plan().ends()) {
            if (step instanceof Step.Touch touch && isDone(step) && isOpen(step)) {
                open.add(touch);
            }
        }
        pieces = design.plan().pieces(open);
    }

    /**
     * The job as its entries leave it.
     *
     * @param conditions of the run; the leads' ohms are taken from the entries
     * @param entries in the order in which they were made
     */
    public static Job of(Design design, Conditions conditions, List<Entry> entries) {
        return new Job(design, conditions, entries);
    }

    /** The same job with one more entry. */
    public Job plus(Entry entry) {
        List<Entry> more = new ArrayList<>(entries);
        more.add(entry);
        return new Job(design, conditions, more);
    }

    public Design design() {
        return design;
    }

    /** The conditions with the leads' ohms as read, once they were. */
    public Conditions conditions() {
        return conditions;
    }

    /** Every entry, those taken back included. */
    public List<Entry> entries() {
        return entries;
    }

    public Plan.Pieces pieces() {
        return pieces;
    }

    /** Touches of the ring-out that stayed open, in design order. */
    public List<Step.Touch> open() {
        return List.copyOf(open);
    }

    /** The last entry that stands, which is the one to take back. */
    public Optional<Entry> last() {
        for (int i = entries.size() - 1; i >= 0; i--) {
            if (entries.get(i).stands()) {
                return Optional.of(entries.get(i));
            }
        }
        return Optional.empty();
    }

    private OptionalDouble leads() {
        for (Entry entry : standing(new Step.Probes(Step.Probes.Question.OHMS))) {
            if (meaning(entry) instanceof Understood.Value value) {
                return OptionalDouble.of(Math.min(1000, value.value()));
            }
        }
        return OptionalDouble.empty();
    }

    private static Understood meaning(Entry entry) {
        return entry.content() instanceof Entry.Content.Reading reading
                ? reading.meaning()
                : new Understood.Refused("Skipped.");
    }

    /** The entries of a step that stand, in the order in which they were made. */
    public List<Entry> standing(Step step) {
        return standing.getOrDefault(step, List.of());
    }

    /** The number that the next entry of a step will have. */
    public int nextTouch(Step step) {
        return touches.getOrDefault(step, 0) + 1;
    }

    /** What a good unit shows at a touch. */
    public Expectation expectation(Step.Touch touch) {
        return design.expectation(touch.black(), touch.red());
    }

    /** Whether a step belongs to this job as it stands. */
    public boolean isPlanned(Step step) {
        return step.fold(
                design.plan().meter()::contains,
                touch -> touch.stage() == Stage.ENDS
                        ? design.nets().joins(touch.black(), touch.red())
                                && design.plan().ends().contains(step)
                        : pieces.contains(touch));
    }

    /** The planned touch of two terminals, in whichever stage and order they are touched together. */
    public Optional<Step> touch(Terminal a, Terminal b) {
        if (a.equals(b)) {
            return Optional.empty();
        }
        return Stream.of(Stage.ENDS, Stage.SHORTS, Stage.FRAME)
                .<Step>flatMap(stage -> Stream.of(new Step.Touch(stage, a, b), new Step.Touch(stage, b, a)))
                .filter(this::isPlanned)
                .findFirst();
    }

    /** What was typed, as understood for a step, with the doubts it raises. */
    public Understood understand(Step step, String typed) {
        Understood plain = new ReadingLanguage(conditions.meter().oneIsOverRange()).understand(typed);
        return step.fold(
                probes -> forProbes(probes, plain),
                touch -> Doubts.raise(plain, expectation(touch), conditions, neighbours(touch)));
    }

    /** Wires in the cavities beside the red probe, when a net is read end to end. */
    private List<Doubts.Neighbour> neighbours(Step.Touch touch) {
        if (touch.stage() != Stage.ENDS || !touch.red().isPin()) {
            return List.of();
        }
        List<Terminal> pins = design.assembly()
                .connector(touch.red().connector())
                .map(Connector::terminals)
                .orElse(List.of());
        int place = pins.indexOf(touch.red());
        return IntStream.of(place - 1, place + 1)
                .filter(each -> each >= 0 && each < pins.size())
                .mapToObj(pins::get)
                .flatMap(pin -> design.conductorsAt(pin).stream().limit(1))
                .map(each -> new Doubts.Neighbour(each.id(), design.limits().of(each)))
                .toList();
    }

    private static Understood forProbes(Step.Probes probes, Understood plain) {
        if (plain instanceof Understood.Refused) {
            return plain;
        }
        boolean tone = plain instanceof Understood.Tone || plain instanceof Understood.Silent;
        boolean ohms =
                plain instanceof Understood.Value value && value.unit() == Understood.Unit.OHM && value.value() <= 1000;
        if (probes.question() == Step.Probes.Question.TONE) {
            return tone ? plain : new Understood.Refused("Press b if it sounds, n if it stays silent.");
        }
        return ohms
                ? plain
                : new Understood.Refused(
                        "Type the ohms that the joined probes read, such as 0.3. If they read over-range, a lead is broken or"
                                + " a plug is loose: mend that first.");
    }

    /** The judgement of a reading at a step. */
    public Judgement judge(Step step, Understood meaning) {
        return step.fold(
                probes -> ProbeCheck.judge(probes, meaning),
                touch -> Judge.judge(meaning, expectation(touch), conditions));
    }

    /** The judgement of an entry; empty for a skip. */
    public Optional<Judgement> judgement(Entry entry) {
        return entry.content() instanceof Entry.Content.Reading reading
                ? Optional.of(judge(entry.step(), reading.meaning()))
                : Optional.empty();
    }

    /** What an entry says, in words: the reading as understood on this meter, or the reason why there is none. */
    public String told(Entry entry) {
        if (!(entry.content() instanceof Entry.Content.Reading reading)) {
            return "skipped: " + ((Entry.Content.Skip) entry.content()).reason();
        }
        return reading.meaning() instanceof Understood.OverRange
                ? "more than " + Ohms.of(conditions.meter().topOhm()).text()
                : reading.meaning().text();
    }

    private Contact contact(Step step) {
        List<Entry> all = standing(step);
        return all.isEmpty()
                ? Contact.UNKNOWN
                : judgement(all.get(all.size() - 1)).map(Judgement::contact).orElse(Contact.UNKNOWN);
    }

    private boolean isOpen(Step step) {
        Contact contact = contact(step);
        return contact == Contact.APART || contact == Contact.LEAK;
    }

    /** Whether nothing more is asked at a step. */
    public boolean isDone(Step step) {
        List<Entry> all = standing(step);
        if (all.isEmpty()) {
            return step instanceof Step.Touch touch && touch.stage() == Stage.SHORTS && isAnsweredByEnds(touch);
        }
        Entry last = all.get(all.size() - 1);
        if (last.content() instanceof Entry.Content.Skip) {
            return true;
        }
        Verdict verdict = judgement(last).map(Judgement::verdict).orElse(Verdict.DOUBTFUL);
        boolean settled = verdict != Verdict.DOUBTFUL
                && (verdict != Verdict.UNDECIDED || (conditions.guarded() && isFigure(last)));
        return settled && !asksForCleanMetal(step);
    }

    private static boolean isFigure(Entry entry) {
        return meaning(entry) instanceof Understood.Value;
    }

    /** A net whose own two ends were read open need not be read again in the shorts stage. */
    private boolean isAnsweredByEnds(Step.Touch touch) {
        return open.contains(new Step.Touch(Stage.ENDS, touch.black(), touch.red()));
    }

    /** Whether a wire has read open exactly once: it is touched again on clean metal, and both readings are kept. */
    public boolean asksForCleanMetal(Step step) {
        List<Entry> all = standing(step);
        return step.stage() == Stage.ENDS && all.size() == 1 && isOpen(step);
    }

    /** How a step stands. */
    public StepState state(Step step) {
        List<Entry> all = standing(step);
        if (all.isEmpty()) {
            return isDone(step) ? StepState.FAULT : StepState.UNTESTED;
        }
        Optional<Judgement> last = judgement(all.get(all.size() - 1));
        if (last.isEmpty()) {
            return StepState.SKIPPED;
        }
        if (!isDone(step)) {
            return StepState.DOUBTFUL;
        }
        boolean openFirst =
                all.size() > 1 && judgement(all.get(0)).map(Judgement::verdict).orElse(Verdict.PASS) == Verdict.FAIL;
        StepState state = StepState.of(last.get().verdict());
        return state == StepState.GOOD && openFirst && step.stage() == Stage.ENDS ? StepState.WATCH : state;
    }

    /** Every step in the order of the job, made as it is asked for. */
    public Stream<Step> steps() {
        return Stream.of(Stage.values()).flatMap(this::steps);
    }

    /** The steps of one stage in order, made as they are asked for. */
    public Stream<Step> steps(Stage stage) {
        int count = pieces.all().size();
        return switch (stage) {
            case METER -> design.plan().meter().stream();
            case ENDS -> design.plan().ends().stream();
            case SHORTS ->
                Stream.concat(
                        IntStream.range(0, count)
                                .boxed()
                                .flatMap(i -> IntStream.range(i + 1, count).mapToObj(j -> pieces.pair(i, j))),
                        pieces.cavities().stream());
            case FRAME -> IntStream.range(0, count).mapToObj(pieces::frame);
        };
    }

    /** How many steps a stage has. */
    public long size(Stage stage) {
        return switch (stage) {
            case METER -> design.plan().meter().size();
            case ENDS -> design.plan().ends().size();
            case SHORTS -> pieces.pairs() + pieces.cavities().size();
            case FRAME -> pieces.all().size();
        };
    }

    /** How many steps of a stage are still to do. */
    public long left(Stage stage) {
        Set<Step> done = new LinkedHashSet<>();
        for (Step step : standing.keySet()) {
            if (step.stage() == stage && isPlanned(step) && isDone(step)) {
                done.add(step);
            }
        }
        if (stage == Stage.SHORTS) {
            open.forEach(touch -> pieces.between(touch.black(), touch.red()).ifPresent(done::add));
        }
        return size(stage) - done.size();
    }

    /** Touches still to do. */
    public long left() {
        return Stream.of(Stage.values()).mapToLong(this::left).sum();
    }

    /** Seconds that the touches still to do will take, by {@link Prices}. */
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
        List<Touched> readings = new ArrayList<>();
        for (Entry entry : entries) {
            if (entry.stands() && entry.step() instanceof Step.Touch touch) {
                readings.add(new Touched(
                        entry.sequence(),
                        touch.black(),
                        touch.red(),
                        design.assembly().states().get(0),
                        List.of(),
                        meaning(entry)));
            }
        }
        return Optional.of(
                Diagnosis.of(GoodUnit.nominal(design), conditions, Priors.usual(), Complaint.NONE, readings));
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
        Map<Integer, Step> stepOf = new HashMap<>();
        List<Observation> observations = new ArrayList<>();
        for (Map.Entry<Step, List<Entry>> each : standing.entrySet()) {
            Entry last = each.getValue().get(each.getValue().size() - 1);
            if (each.getKey() instanceof Step.Touch touch && isDone(touch)) {
                judgement(last).ifPresent(judgement -> {
                    stepOf.put(last.sequence(), touch);
                    observations.add(new Observation(
                            last.sequence(),
                            touch.black(),
                            touch.red(),
                            design.assembly().states().get(0),
                            expectation(touch),
                            judgement,
                            List.of()));
                });
            }
        }
        observations.sort(Comparator.comparingInt(Observation::number));
        return Evidence.of(design, observations).findings().stream()
                .map(explained -> found(explained, stepOf))
                .toList();
    }

    /** Every reading of the steps that show a finding, not only the last of each. */
    private Found found(Explained explained, Map<Integer, Step> stepOf) {
        List<Entry> evidence = explained.evidence().stream()
                .flatMap(number -> Optional.ofNullable(stepOf.get(number)).stream())
                .flatMap(step -> standing(step).stream())
                .sorted(Comparator.comparingInt(Entry::sequence))
                .toList();
        return new Found(explained.finding(), evidence, explained.functionsLost());
    }

    /** Where the test of the unit stands as a whole. */
    public Outcome outcome() {
        if (!findings().isEmpty()) {
            return Outcome.FAIL;
        }
        boolean all = left() == 0;
        boolean skipped = standing.keySet().stream().anyMatch(step -> state(step) == StepState.SKIPPED);
        boolean doubtful = standing.keySet().stream().anyMatch(step -> state(step) == StepState.DOUBTFUL);
        if (!all || skipped || doubtful) {
            return Outcome.INCOMPLETE;
        }
        boolean watch = standing.keySet().stream()
                .anyMatch(step -> step.stage() != Stage.METER && state(step) == StepState.WATCH);
        return watch ? Outcome.WATCH : Outcome.PASS;
    }
}
