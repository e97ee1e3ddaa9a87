package zestymarten.simulator.practice;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.analysis.Observation;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.judgement.ResistanceJudge;
import zestymarten.core.network.Net;
import zestymarten.core.quantity.Message;
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
    public record Event(Act act, Message answer, double seconds) {}

    public Exercise exercise() {
        return exercise;
    }

    public List<Event> events() {
        return List.copyOf(events);
    }

    /** Why something cannot be done now; empty where it can. */
    public Optional<Message> objection(Act act) {
        return done
                ? Optional.of(Message.of("practice_session.handed_back_already"))
                : new Objections(exercise, design, place).to(act);
    }

    private void does(Act act) {
        RandomGenerator random = new SplittableRandom(31L * exercise.id().hashCode() + events.size());
        seconds += Prices.seconds(act, act instanceof Act.Touch touch ? moved(touch) : 0, tied());
        Message answer = act.fold(new Act.Cases<>(
                any -> isolate(),
                any -> check(random),
                touch -> touch(touch, random),
                tie -> tie(tie.terminals()),
                any -> free(),
                set -> arranged(
                        setting.in(set.state()),
                        set.state().isEmpty()
                                ? Message.of("practice_session.set_to_rest")
                                : Message.of("practice_session.set_to", set.state())),
                bend -> arranged(
                        setting.bentAt(bend.place().isEmpty() ? Optional.empty() : Optional.of(bend.place())),
                        bend.place().isEmpty()
                                ? Message.of("practice_session.let_go")
                                : Message.of("practice_session.bent_and_held", bend.place())),
                scrape -> arranged(
                        setting.scrapedAt(scrape.contact()),
                        Message.of("practice_session.bare_metal", scrape.contact())),
                wet -> arranged(setting.wet(wet.in()), Message.of("practice_session.in_water_now", wet.in())),
                walk -> walk(walk.place()),
                voltage -> voltage(voltage, random),
                this::say,
                this::mend,
                any -> {
                    done = true;
                    return Message.of("practice_session.handed_back");
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

    private Message isolate() {
        dead = true;
        return Message.of("practice_session.locked_off");
    }

    private Message check(RandomGenerator random) {
        checked = true;
        return Message.of("practice_session.leads_read", Message.figure(PracticeMeter.leadsOhm(random), "Ω"));
    }

    private Message tie(List<Terminal> terminals) {
        List<List<Terminal>> ties = new ArrayList<>(setting.ties());
        ties.add(terminals);
        return arranged(
                setting.tied(ties),
                Message.of(
                        "practice_session.linked_together",
                        terminals.stream().map(Terminal::name).collect(Collectors.joining(" "))));
    }

    private Message free() {
        return arranged(setting.tied(List.of()), Message.of("practice_session.free_again"));
    }

    private Message arranged(Setting next, Message words) {
        setting = next;
        return words;
    }

    private Message walk(String to) {
        place = to;
        walks++;
        probes = Optional.empty();
        return Message.of("practice_session.you_are_at", to);
    }

    private Message touch(Act.Touch touch, RandomGenerator random) {
        touches++;
        probes = Optional.of(touch);
        if (!dead) {
            isolatedFirst = false;
            return Message.of("practice_session.live_no_resistance");
        }
        checkedFirst &= checked;
        MeterReading shown = PracticeMeter.shown(unit.ohms(touch.black(), touch.red(), setting, random), random);
        note(touch, shown);
        return PracticeMeter.words(shown);
    }

    private void note(Act.Touch touch, MeterReading meaning) {
        if (mended.isEmpty()) {
            touched.add(observed(touch, meaning));
        }
        boolean sameNet = isSameNet(touch.black(), touch.red());
        triedShorts |= mended.isEmpty() && !sameNet && truths.stream().anyMatch(each -> each.concerns(touch, design));
        retested |= !mended.isEmpty() && mended.stream().anyMatch(each -> each.concerns(touch, design));
    }

    private boolean isSameNet(Terminal a, Terminal b) {
        Optional<Net> net = design.nets().of(a);
        return net.isPresent() && net.equals(design.nets().of(b));
    }

    private SwitchState state() {
        return design.assembly().states().stream()
                .filter(each -> each.id().equals(setting.state()))
                .findFirst()
                .orElse(design.assembly().states().get(0));
    }

    private Message voltage(Act.Voltage act, RandomGenerator random) {
        touches++;
        if (!dead) {
            isolatedFirst = false;
            return Message.of("practice_session.live_no_test_voltage");
        }
        checkedFirst &= checked;
        boolean sameNet = isSameNet(act.a(), act.b());
        Act.Touch ends = new Act.Touch(act.a(), act.b());
        triedShorts |= mended.isEmpty() && !sameNet && truths.stream().anyMatch(each -> each.concerns(ends, design));
        OptionalDouble breakdown = unit.breakdownV(act.a(), act.b(), setting, random);
        if (breakdown.isPresent() && breakdown.getAsDouble() <= act.volts()) {
            return Message.of("practice_session.tripped", Message.figure(act.volts(), "V"));
        }
        retested |= !mended.isEmpty() && mended.stream().anyMatch(each -> each.concerns(ends, design));
        return Message.of(
                "practice_session.insulation",
                PracticeMeter.insulation(unit.insulation(act.a(), act.b(), setting, PracticeMeter.MINUTE_S, random)),
                Message.figure(act.volts(), "V"));
    }

    private Message say(Act.Say said) {
        Optional<Truth> right = truths.stream()
                .filter(each -> !found.contains(each) && each.is(said))
                .findFirst();
        if (right.isEmpty()) {
            wrong++;
            return Message.of("practice_session.not_it");
        }
        if (!right.get().where().isEmpty() && !right.get().where().equals(said.where())) {
            return Message.of("practice_session.but_where");
        }
        found.add(right.get());
        return Message.of("practice_session.that_is_it", unfound().isEmpty());
    }

    private Message mend(Act.Mend act) {
        Optional<Truth> at = truths.stream()
                .filter(each -> !mended.contains(each) && each.isNamedBy(act.names()))
                .findFirst();
        if (at.isEmpty()) {
            return Message.of("practice_session.was_not_at_fault");
        }
        mended.add(at.get());
        boolean fits = found.contains(at.get()) && at.get().ways().contains(act.way());
        fitting += fits ? 1 : 0;
        List<Flaw> left = new ArrayList<>(exercise.flaws());
        mended.forEach(each -> left.remove(each.flaw()));
        unit = unit.with(left);
        return Message.of(
                fits
                        ? "practice_session.repaired"
                        : found.contains(at.get())
                                ? "practice_session.repaired_for_today"
                                : "practice_session.repaired_without_diagnosis");
    }

    /** Where the technician stands; empty where everything is within reach. */
    public String place() {
        return place;
    }

    public List<List<Terminal>> ties() {
        return setting.ties();
    }

    /** What is arranged besides ties, in words. */
    public List<Message> arranged() {
        List<Message> words = new ArrayList<>();
        if (!setting.state().isEmpty()) {
            words.add(Message.of("practice_session.is_set_to", setting.state()));
        }
        setting.bent().ifPresent(each -> words.add(Message.of("practice_session.is_bent_at", each)));
        setting.scraped().stream()
                .map(Terminal::name)
                .sorted()
                .forEach(each -> words.add(Message.of("practice_session.is_scraped", each)));
        if (setting.wet()) {
            words.add(Message.of("practice_session.is_in_water"));
        }
        return words;
    }

    /** The position of switches and relays; empty at rest. */
    String position() {
        return setting.state();
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
    public List<Message> solution() {
        return truths.stream().map(Truth::words).toList();
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
