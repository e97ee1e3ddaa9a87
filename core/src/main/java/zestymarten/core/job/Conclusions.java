package zestymarten.core.job;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.analysis.Evidence;
import zestymarten.core.analysis.Explained;
import zestymarten.core.analysis.FarEnd;
import zestymarten.core.analysis.Observation;
import zestymarten.core.analysis.UnderVoltage;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.judge.Expectation;
import zestymarten.core.judge.Judge;
import zestymarten.core.judge.Judgement;
import zestymarten.core.judge.Judgement.Contact;
import zestymarten.core.plan.Deed;
import zestymarten.core.plan.Stage;
import zestymarten.core.plan.Step;
import zestymarten.core.quantity.Ohms;
import zestymarten.core.quantity.Understood;

/**
 * What is wrong with a unit, from the entries of its run.
 *
 * <p>Method: the last reading of every step that is done is an observation; with the far ends tied, what the tie tells of
 * each wire is one instead. Then come what the test voltage shows, and contacts that read open dirty and good clean through
 * mated faces. Cost: that of {@link Evidence}.
 */
final class Conclusions {
    private final Design design;
    private final Course course;
    private final Standing standing;
    private final Readings readings;
    private final Map<Integer, Step> stepOf = new HashMap<>();
    private final List<Observation> observations = new ArrayList<>();
    private final List<Explained> others = new ArrayList<>();

    Conclusions(Design design, Course course, Standing standing, Readings readings) {
        this.design = design;
        this.course = course;
        this.standing = standing;
        this.readings = readings;
    }

    List<Found> findings() {
        for (Step step : standing.steps()) {
            if (step instanceof Step.Touch touch && course.isDone(touch)) {
                standing.last(step).ifPresent(last -> note(touch, last));
            }
        }
        course.farEnd().ifPresent(this::noteFarEnd);
        observations.sort(Comparator.comparingInt(Observation::number));
        return Stream.concat(Evidence.of(design, observations).findings().stream(), others.stream())
                .map(this::found)
                .toList();
    }

    private void note(Step.Touch touch, Entry last) {
        Optional<Judgement> judgement = readings.judgement(last);
        if (judgement.isEmpty()) {
            return;
        }
        stepOf.put(last.sequence(), touch);
        if (touch.isUnderVoltage()) {
            UnderVoltage.finding(
                            design,
                            tested(touch),
                            touch.red(),
                            Readings.quantity(touch),
                            readings.testV(touch),
                            readings.least(touch).least(),
                            judgement.get(),
                            last.sequence())
                    .map(each -> withLift(touch, each))
                    .ifPresent(others::add);
        } else if (touch.stage() != Stage.ENDS || !touch.isTied()) {
            observations.add(new Observation(
                    last.sequence(),
                    touch.black(),
                    touch.red(),
                    readings.state(touch),
                    readings.expectation(touch),
                    judgement.get(),
                    touch.ties()));
            surface(touch, judgement.get(), last.sequence());
        }
    }

    /** What was tested against the frame: one piece, or all of them together. */
    private static List<Terminal> tested(Step.Touch touch) {
        return touch.ties().stream()
                .filter(tie -> tie.contains(touch.black()))
                .findFirst()
                .orElse(List.of(touch.black()));
    }

    /** Where it read well again when it was lifted out of the water is evidence too: it says where the damage is. */
    private Explained withLift(Step.Touch touch, Explained explained) {
        Step lift = new Step.Act(Deed.LIFTED, touch.black().name());
        Optional<Entry> lifted = touch.stage() == Stage.WET ? standing.last(lift) : Optional.empty();
        lifted.ifPresent(entry -> stepOf.put(entry.sequence(), lift));
        List<Integer> evidence = Stream.concat(
                        explained.evidence().stream(), lifted.stream().map(Entry::sequence))
                .toList();
        return new Explained(explained.finding(), evidence, explained.functionsLost());
    }

    /** Dirty-open and clean-good through a mated pair: the surface of the contact, which will come back. */
    private void surface(Step.Touch touch, Judgement judgement, int number) {
        boolean good = judgement.contact() == Contact.JOINED && design.isMated(touch.black(), touch.red());
        Optional<Entry> dirty = good
                ? standing.of(touch).stream()
                        .filter(entry -> readings.judgement(entry)
                                .filter(each -> each.contact() == Contact.APART)
                                .isPresent())
                        .findFirst()
                : Optional.empty();
        List<String> names = design.namesBetween(touch.black(), touch.red());
        dirty.ifPresent(entry -> others.add(new Explained(
                new Finding.ContactSurface(names, touch.black(), touch.red()),
                List.of(entry.sequence(), number),
                design.functionsOf(names))));
    }

    private void noteFarEnd(FarEnd farEnd) {
        for (Step.Touch touch : design.plan(readings.approach()).endToEnd()) {
            int wire = course.readTied().indexOf(touch.black());
            if (wire >= 0 && !touch.red().isFrame() && farEnd.state(wire) != FarEnd.State.UNKNOWN) {
                noteWire(touch, farEnd, wire);
            }
        }
    }

    private void noteWire(Step.Touch touch, FarEnd farEnd, int wire) {
        Optional<Entry> last = standing.steps().stream()
                .filter(step -> step instanceof Step.Touch tied
                        && tied.stage() == Stage.ENDS
                        && tied.isTied()
                        && tied.isOn(touch.black()))
                .flatMap(step -> standing.last(step).stream())
                .max(Comparator.comparingInt(Entry::sequence));
        if (last.isEmpty()) {
            return;
        }
        Expectation expectation = readings.expectation(touch);
        OptionalDouble ohm = farEnd.ohm(wire);
        Understood meaning = farEnd.state(wire) == FarEnd.State.BROKEN
                ? new Understood.OverRange()
                : ohm.isPresent()
                        ? Understood.Value.ohms(Math.min(Ohms.MAX, ohm.getAsDouble()))
                        : new Understood.Tone();
        Judgement judgement = Judge.judge(meaning, expectation, readings.now().withLeads(0));
        stepOf.put(last.get().sequence(), last.get().step());
        observations.add(new Observation(
                last.get().sequence(),
                touch.black(),
                touch.red(),
                readings.state(touch),
                expectation,
                judgement,
                List.<List<Terminal>>of()));
    }

    /** Every reading of the steps that show a finding, not only the last of each. */
    private Found found(Explained explained) {
        List<Entry> evidence = explained.evidence().stream()
                .flatMap(number -> Optional.ofNullable(stepOf.get(number)).stream())
                .flatMap(step -> standing.of(step).stream())
                .distinct()
                .sorted(Comparator.comparingInt(Entry::sequence))
                .toList();
        return new Found(explained.finding(), evidence, explained.functionsLost());
    }
}
