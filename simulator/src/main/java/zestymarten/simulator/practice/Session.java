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
 * What came of everything that a trainee did with a unit, from the first action to the last.
 *
 * <p>Method: the actions are done again one after the other; the same actions show the same readings, because the chance in each
 * comes from the exercise and its number. Cost: a reading for each measurement.
 */
public final class Session {
    private final Exercise exercise;
    private final Design design;
    private final List<Truth> truths;
    private final List<Event> events = new ArrayList<>();
    private final Set<Truth> found = new HashSet<>();
    private final Set<Truth> repaired = new HashSet<>();
    private final List<Observation> readings = new ArrayList<>();
    private BenchUnit unit;
    private Setting setting = Setting.AS_FOUND;
    private String place;
    private Optional<PracticeAction.Measure> probes = Optional.empty();
    private boolean dead;
    private boolean checked;
    private boolean isolatedFirst = true;
    private boolean checkedFirst = true;
    private boolean triedShorts;
    private boolean retested;
    private boolean done;
    private double seconds;
    private int measurements;
    private int trips;
    private int wrong;
    private int fitting;

    private Session(Exercise exercise, List<PracticeAction> actions) {
        this.exercise = exercise;
        design = exercise.design();
        unit = exercise.unit(design);
        truths = exercise.flaws().stream().map(each -> Truth.of(each, design)).toList();
        place = exercise.standpoints().stream().findFirst().orElse("");
        actions.forEach(this::does);
    }

    /** A session with what was done in it. */
    public static Session of(Exercise exercise, List<PracticeAction> actions) {
        return new Session(exercise, actions);
    }

    /**
     * An action with what came of it.
     *
     * @param answer what the meter shows, or what happens
     * @param seconds since the beginning, when it was done
     */
    public record Event(PracticeAction action, Message answer, double seconds) {}

    public Exercise exercise() {
        return exercise;
    }

    public List<Event> events() {
        return List.copyOf(events);
    }

    /** Why something cannot be done now; empty where it can. */
    public Optional<Message> objection(PracticeAction action) {
        return done
                ? Optional.of(Message.of("practice_session.handed_back_already"))
                : new Objections(exercise, design, place).to(action);
    }

    private void does(PracticeAction action) {
        RandomGenerator random = new SplittableRandom(31L * exercise.id().hashCode() + events.size());
        seconds += Prices.seconds(
                action, action instanceof PracticeAction.Measure measurement ? moved(measurement) : 0, linked());
        Message answer = action.fold(new PracticeAction.Cases<>(
                any -> isolate(),
                any -> check(random),
                measurement -> measurement(measurement, random),
                link -> link(link.terminals()),
                any -> unlink(),
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
                trip -> trip(trip.place()),
                voltage -> voltage(voltage, random),
                this::say,
                this::repair,
                any -> {
                    done = true;
                    return Message.of("practice_session.handed_back");
                }));
        events.add(new Event(action, answer, seconds));
    }

    private int linked() {
        return setting.links().stream().mapToInt(List::size).sum();
    }

    private long moved(PracticeAction.Measure measurement) {
        Set<Terminal> before =
                probes.map(each -> Set.of(each.black(), each.red())).orElse(Set.of());
        return Stream.of(measurement.black(), measurement.red())
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

    private Message link(List<Terminal> terminals) {
        List<List<Terminal>> links = new ArrayList<>(setting.links());
        links.add(terminals);
        return arranged(
                setting.linked(links),
                Message.of(
                        "practice_session.linked_together",
                        terminals.stream().map(Terminal::name).collect(Collectors.joining(" "))));
    }

    private Message unlink() {
        return arranged(setting.linked(List.of()), Message.of("practice_session.free_again"));
    }

    private Message arranged(Setting next, Message words) {
        setting = next;
        return words;
    }

    private Message trip(String to) {
        place = to;
        trips++;
        probes = Optional.empty();
        return Message.of("practice_session.you_are_at", to);
    }

    private Message measurement(PracticeAction.Measure measurement, RandomGenerator random) {
        measurements++;
        probes = Optional.of(measurement);
        if (!dead) {
            isolatedFirst = false;
            return Message.of("practice_session.live_no_resistance");
        }
        checkedFirst &= checked;
        MeterReading shown =
                PracticeMeter.shown(unit.ohms(measurement.black(), measurement.red(), setting, random), random);
        note(measurement, shown);
        return PracticeMeter.words(shown);
    }

    private void note(PracticeAction.Measure measurement, MeterReading meaning) {
        if (repaired.isEmpty()) {
            readings.add(observed(measurement, meaning));
        }
        boolean sameNet = isSameNet(measurement.black(), measurement.red());
        triedShorts |=
                repaired.isEmpty() && !sameNet && truths.stream().anyMatch(each -> each.concerns(measurement, design));
        retested |= !repaired.isEmpty() && repaired.stream().anyMatch(each -> each.concerns(measurement, design));
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

    private Message voltage(PracticeAction.Voltage action, RandomGenerator random) {
        measurements++;
        if (!dead) {
            isolatedFirst = false;
            return Message.of("practice_session.live_no_test_voltage");
        }
        checkedFirst &= checked;
        boolean sameNet = isSameNet(action.a(), action.b());
        PracticeAction.Measure ends = new PracticeAction.Measure(action.a(), action.b());
        triedShorts |= repaired.isEmpty() && !sameNet && truths.stream().anyMatch(each -> each.concerns(ends, design));
        OptionalDouble breakdown = unit.breakdownV(action.a(), action.b(), setting, random);
        if (breakdown.isPresent() && breakdown.getAsDouble() <= action.volts()) {
            return Message.of("practice_session.tripped", Message.figure(action.volts(), "V"));
        }
        retested |= !repaired.isEmpty() && repaired.stream().anyMatch(each -> each.concerns(ends, design));
        return Message.of(
                "practice_session.insulation",
                PracticeMeter.insulation(
                        unit.insulation(action.a(), action.b(), setting, PracticeMeter.MINUTE_S, random)),
                Message.figure(action.volts(), "V"));
    }

    private Message say(PracticeAction.Say said) {
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

    private Message repair(PracticeAction.RepairAction action) {
        Optional<Truth> at = truths.stream()
                .filter(each -> !repaired.contains(each) && each.isNamedBy(action.names()))
                .findFirst();
        if (at.isEmpty()) {
            return Message.of("practice_session.was_not_at_fault");
        }
        repaired.add(at.get());
        boolean fits = found.contains(at.get()) && at.get().ways().contains(action.way());
        fitting += fits ? 1 : 0;
        List<Flaw> left = new ArrayList<>(exercise.flaws());
        repaired.forEach(each -> left.remove(each.flaw()));
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

    public List<List<Terminal>> links() {
        return setting.links();
    }

    /** What is arranged besides links, in words. */
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
    public Optional<PracticeAction.Measure> probes() {
        return probes;
    }

    public double seconds() {
        return seconds;
    }

    public int measurements() {
        return measurements;
    }

    public int trips() {
        return trips;
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

    private Observation observed(PracticeAction.Measure measurement, MeterReading meaning) {
        Expectation expectation = design.expectation(measurement.black(), measurement.red(), state(), setting.links());
        return new Observation(
                events.size() + 1,
                measurement.black(),
                measurement.red(),
                state(),
                expectation,
                ResistanceJudge.judge(meaning, expectation, Replay.CONDITIONS),
                meaning,
                setting.links(),
                Observation.Since.PROBED_ANEW);
    }

    /** The ohm readings before the first repair, for an analysis. */
    List<Observation> readings() {
        return List.copyOf(readings);
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
