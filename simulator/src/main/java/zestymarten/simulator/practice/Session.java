package zestymarten.simulator.practice;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.analysis.Observation;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.judgement.ResistanceJudge;
import zestymarten.core.network.Net;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.MeterReading;
import zestymarten.simulator.unit.BenchUnit;
import zestymarten.simulator.unit.Flaw;
import zestymarten.simulator.unit.Setting;

/**
 * What came of everything that a trainee did with a unit, from the first act to the last.
 *
 * <p>Method: the acts are done again one after the other; the same acts show the same readings, because the chance in each
 * comes from the exercise and its number. Cost: a reading for each touch.
 */
public final class Session {
    private static final double LEADS_OHM = 0.3;
    private static final double ACCURACY = 0.005;
    private static final double STEP_OHM = 0.01;
    private static final double TOP_OHM = 20e6;
    private static final double INSULATION_TOP_OHM = 2e9;
    private static final double MINUTE_S = 60;
    private static final int FIGURES = 4;

    private final Exercise exercise;
    private final Design design;
    private final List<Truth> truths;
    private final List<Event> events = new ArrayList<>();
    private final Set<Truth> found = new HashSet<>();
    private final Set<Truth> mended = new HashSet<>();
    private final List<Observation> touched = new ArrayList<>();
    private BenchUnit unit;
    private Setting setting = Setting.AS_FOUND;
    private String place;
    private Optional<Act.Touch> probes = Optional.empty();
    private boolean dead;
    private boolean checked;
    private boolean isolatedFirst = true;
    private boolean checkedFirst = true;
    private boolean triedShorts;
    private boolean retested;
    private boolean done;
    private double seconds;
    private int touches;
    private int walks;
    private int wrong;
    private int fitting;

    private Session(Exercise exercise, List<Act> acts) {
        this.exercise = exercise;
        design = exercise.design();
        unit = exercise.unit(design);
        truths = exercise.flaws().stream().map(each -> Truth.of(each, design)).toList();
        place = exercise.standpoints().stream().findFirst().orElse("");
        acts.forEach(this::does);
    }

    /** A session with what was done in it. */
    public static Session of(Exercise exercise, List<Act> acts) {
        return new Session(exercise, acts);
    }

    /**
     * An act with what came of it.
     *
     * @param answer what the meter shows, or what happens
     * @param seconds since the beginning, when it was done
     */
    public record Event(Act act, String answer, double seconds) {}

    public Exercise exercise() {
        return exercise;
    }

    public List<Event> events() {
        return List.copyOf(events);
    }

    /** Why something cannot be done now; empty where it can. */
    public Optional<String> objection(Act act) {
        return done
                ? Optional.of("It was handed back. Begin the exercise again to do it otherwise.")
                : new Objections(exercise, design, place).to(act);
    }

    private void does(Act act) {
        RandomGenerator random = new SplittableRandom(31L * exercise.id().hashCode() + events.size());
        seconds += Prices.seconds(act, act instanceof Act.Touch touch ? moved(touch) : 0, tied());
        String answer = act.fold(new Act.Cases<>(
                any -> isolate(),
                any -> check(random),
                touch -> touch(touch, random),
                tie -> tie(tie.terminals()),
                any -> free(),
                set -> arranged(
                        setting.in(set.state()), "Set to '" + (set.state().isEmpty() ? "rest" : set.state()) + "'."),
                bend -> arranged(
                        setting.bentAt(bend.place().isEmpty() ? Optional.empty() : Optional.of(bend.place())),
                        bend.place().isEmpty() ? "Let go." : "Bent at " + bend.place() + ", and held."),
                scrape -> arranged(setting.scrapedAt(scrape.contact()), scrape.contact() + " is bare metal now."),
                wet -> arranged(
                        setting.wet(wet.in()), wet.in() ? "It lies in the water." : "It is out of the water, and dry."),
                walk -> walk(walk.place()),
                voltage -> voltage(voltage, random),
                this::say,
                this::mend,
                any -> {
                    done = true;
                    return "Handed back.";
                }));
        events.add(new Event(act, answer, seconds));
    }

    private int tied() {
        return setting.ties().stream().mapToInt(List::size).sum();
    }

    private long moved(Act.Touch touch) {
        Set<Terminal> before =
                probes.map(each -> Set.of(each.black(), each.red())).orElse(Set.of());
        return Stream.of(touch.black(), touch.red())
                .filter(each -> !before.contains(each))
                .count();
    }

    private String isolate() {
        dead = true;
        return "Locked off; the tester showed volts on the live source, none here, and volts on the live source again.";
    }

    private String check(RandomGenerator random) {
        checked = true;
        return "The meter beeps, and the leads read " + EngineeringFormat.text(shown(LEADS_OHM, random), "Ω") + ".";
    }

    private String tie(List<Terminal> terminals) {
        List<List<Terminal>> ties = new ArrayList<>(setting.ties());
        ties.add(terminals);
        return arranged(
                setting.tied(ties),
                "Linked together: "
                        + String.join(
                                " ", terminals.stream().map(Terminal::name).toList()) + ".");
    }

    private String free() {
        return arranged(setting.tied(List.of()), "All ends are free again.");
    }

    private String arranged(Setting next, String words) {
        setting = next;
        return words;
    }

    private String walk(String to) {
        place = to;
        walks++;
        probes = Optional.empty();
        return "You are at the " + to + ".";
    }

    private String touch(Act.Touch touch, RandomGenerator random) {
        touches++;
        probes = Optional.of(touch);
        if (!dead) {
            isolatedFirst = false;
            return "It is live: the meter shows a voltage, and no resistance can be measured. Lock it off and prove it dead.";
        }
        checkedFirst &= checked;
        OptionalDouble ohms = unit.ohms(touch.black(), touch.red(), setting, random);
        double shown = ohms.isPresent() ? shown(ohms.getAsDouble() + LEADS_OHM, random) : Double.POSITIVE_INFINITY;
        boolean over = shown > TOP_OHM;
        note(touch, over ? new MeterReading.OverRange() : MeterReading.Value.ohms(shown));
        return over ? "more than " + EngineeringFormat.text(TOP_OHM, "Ω") : EngineeringFormat.text(shown, "Ω");
    }

    private void note(Act.Touch touch, MeterReading meaning) {
        if (mended.isEmpty()) {
            touched.add(observed(touch, meaning));
        }
        boolean sameNet = isSameNet(touch.black(), touch.red());
        triedShorts |= mended.isEmpty() && !sameNet && truths.stream().anyMatch(each -> concerns(each, touch));
        retested |= !mended.isEmpty() && mended.stream().anyMatch(each -> concerns(each, touch));
    }

    private boolean isSameNet(Terminal a, Terminal b) {
        Optional<Net> net = design.nets().of(a);
        return net.isPresent() && net.equals(design.nets().of(b));
    }

    /** Whether a touch is on what a flaw is on: its wires' ends, its part's, its terminals. */
    private boolean concerns(Truth truth, Act.Touch touch) {
        return Stream.of(touch.black(), touch.red())
                .anyMatch(end -> truth.groups().stream()
                        .anyMatch(group -> group.contains(end.name())
                                || design.nets()
                                        .of(end)
                                        .map(net ->
                                                net.conductors().stream().anyMatch(each -> group.contains(each.id())))
                                        .orElse(false)
                                || design.assembly().components().stream()
                                        .anyMatch(part -> group.contains(part.id())
                                                && (part.a().equals(end)
                                                        || part.b().equals(end)))));
    }

    private SwitchState state() {
        return design.assembly().states().stream()
                .filter(each -> each.id().equals(setting.state()))
                .findFirst()
                .orElse(design.assembly().states().get(0));
    }

    /** In whole steps of the meter, to four figures, within its accuracy. */
    private static double shown(double ohm, RandomGenerator random) {
        double read = ohm * (1 + ACCURACY * (2 * random.nextDouble() - 1));
        double step = Math.max(STEP_OHM, Math.pow(10, Math.floor(Math.log10(Math.max(read, 1e-9))) - FIGURES + 1));
        return Math.round(read / step) * step;
    }

    private String voltage(Act.Voltage act, RandomGenerator random) {
        touches++;
        if (!dead) {
            isolatedFirst = false;
            return "It is live: no test voltage on top of that. Lock it off and prove it dead.";
        }
        checkedFirst &= checked;
        boolean sameNet = isSameNet(act.a(), act.b());
        Act.Touch ends = new Act.Touch(act.a(), act.b());
        triedShorts |= mended.isEmpty() && !sameNet && truths.stream().anyMatch(each -> concerns(each, ends));
        OptionalDouble breakdown = unit.breakdownV(act.a(), act.b(), setting, random);
        if (breakdown.isPresent() && breakdown.getAsDouble() <= act.volts()) {
            return "Tripped: it broke down below " + EngineeringFormat.text(act.volts(), "V") + ". Discharged.";
        }
        retested |= !mended.isEmpty() && mended.stream().anyMatch(each -> concerns(each, ends));
        double ohm = unit.insulation(act.a(), act.b(), setting, MINUTE_S, random);
        return (ohm > INSULATION_TOP_OHM ? "more than " : "")
                + EngineeringFormat.text(ohm > INSULATION_TOP_OHM ? INSULATION_TOP_OHM : ohm, "Ω")
                + " after a minute at "
                + EngineeringFormat.text(act.volts(), "V") + ". Discharged.";
    }

    private String say(Act.Say said) {
        Optional<Truth> right = truths.stream()
                .filter(each -> !found.contains(each) && each.is(said))
                .findFirst();
        if (right.isEmpty()) {
            wrong++;
            return "That is not it, or it is not all of it.";
        }
        if (!right.get().where().isEmpty() && !right.get().where().equals(said.where())) {
            return "That is it. But where? Say it once more with 'at' and the place.";
        }
        found.add(right.get());
        return "That is it." + (unfound().isEmpty() ? "" : " It is not all that is wrong.");
    }

    private String mend(Act.Mend act) {
        Optional<Truth> at = truths.stream()
                .filter(each -> !mended.contains(each) && each.isNamedBy(act.names()))
                .findFirst();
        if (at.isEmpty()) {
            return "That was repaired with care, and was not at fault.";
        }
        mended.add(at.get());
        boolean fits = found.contains(at.get()) && at.get().ways().contains(act.way());
        fitting += fits ? 1 : 0;
        List<Flaw> left = new ArrayList<>(exercise.flaws());
        mended.forEach(each -> left.remove(each.flaw()));
        unit = unit.with(left);
        return fits
                ? "Repaired."
                : found.contains(at.get())
                        ? "Repaired. It holds today; something else would last."
                        : "Repaired, without a diagnosis.";
    }

    /** Where the technician stands; empty where everything is within reach. */
    public String place() {
        return place;
    }

    public List<List<Terminal>> ties() {
        return setting.ties();
    }

    /** What is arranged besides ties, in words. */
    public List<String> arranged() {
        List<String> words = new ArrayList<>();
        if (!setting.state().isEmpty()) {
            words.add("set to '" + setting.state() + "'");
        }
        setting.bent().ifPresent(each -> words.add("bent at " + each));
        setting.scraped().stream().map(Terminal::name).sorted().forEach(each -> words.add(each + " scraped"));
        if (setting.wet()) {
            words.add("in the water");
        }
        return words;
    }

    public boolean isBent() {
        return setting.bent().isPresent();
    }

    public boolean isWet() {
        return setting.wet();
    }

    /** Where the probes were last. */
    public Optional<Act.Touch> probes() {
        return probes;
    }

    public double seconds() {
        return seconds;
    }

    public int touches() {
        return touches;
    }

    public int walks() {
        return walks;
    }

    public boolean isDone() {
        return done;
    }

    /** What it was worth; empty until it is handed back. Cost: that of doing it well once. */
    public Optional<Score> score() {
        return done ? Optional.of(Score.of(this, Session.of(exercise, exercise.best()))) : Optional.empty();
    }

    /** What was wrong, for when it is over: kind, names, and where. */
    public List<String> solution() {
        return truths.stream()
                .map(each -> each.kind().replace('_', ' ') + " "
                        + String.join(" ", each.said().names()) + (each.where().isEmpty() ? "" : " at " + each.where()))
                .toList();
    }

    private Observation observed(Act.Touch touch, MeterReading meaning) {
        Expectation expectation = design.expectation(touch.black(), touch.red(), state(), setting.ties());
        return new Observation(
                events.size() + 1,
                touch.black(),
                touch.red(),
                state(),
                expectation,
                ResistanceJudge.judge(meaning, expectation, Replay.CONDITIONS),
                meaning,
                setting.ties(),
                Observation.Since.PROBED_ANEW);
    }

    /** The ohm readings before the first repair, for an analysis. */
    List<Observation> readings() {
        return List.copyOf(touched);
    }

    Design design() {
        return design;
    }

    List<Truth> truths() {
        return truths;
    }

    List<Truth> unfound() {
        return truths.stream().filter(each -> !found.contains(each)).toList();
    }

    int wrong() {
        return wrong;
    }

    int fitting() {
        return fitting;
    }

    boolean wasIsolatedFirst() {
        return dead && isolatedFirst;
    }

    boolean wasCheckedFirst() {
        return checked && checkedFirst;
    }

    boolean triedShorts() {
        return triedShorts;
    }

    boolean retested() {
        return retested;
    }
}
