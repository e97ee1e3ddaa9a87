package zestymarten.core.testrun;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.analysis.DiodeReadings;
import zestymarten.core.analysis.Explained;
import zestymarten.core.analysis.Observation;
import zestymarten.core.analysis.UnderVoltage;
import zestymarten.core.analysis.UnitAnalysis;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.finding.Priors;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;

/**
 * What is wrong with a unit, from the entries of its run.
 *
 * <p>Method: the last reading of every step that is done is an observation; with the far ends tied, what the tie tells of
 * each wire is one instead. Then come what the test voltage shows, and contacts that read open dirty and good clean through
 * mated faces. Cost: that of {@link UnitAnalysis}.
 */
final class RunAnalysis {
    private final Design design;
    private final StepSchedule course;
    private final RunLog standing;
    private final RunReadings readings;
    private final Map<Integer, TestStep> stepOf = new HashMap<>();
    private final List<Observation> observations = new ArrayList<>();
    private final List<Explained> others = new ArrayList<>();
    private Optional<UnitAnalysis> unit = Optional.empty();

    RunAnalysis(Design design, StepSchedule course, RunLog standing, RunReadings readings) {
        this.design = design;
        this.course = course;
        this.standing = standing;
        this.readings = readings;
    }

    /** What the readings say of the unit, findings under voltage aside. */
    UnitAnalysis unit() {
        return unit.orElseThrow();
    }

    /**
     * The same after one more entry, if that is a pair that reads apart as it should and that changes nothing of what was found.
     *
     * @param course and the others as the entry leaves them
     */
    Optional<RunAnalysis> with(StepSchedule course, RunLog standing, RunReadings readings) {
        return course.addedPair().flatMap(pair -> unit().with(pair)).map(more -> {
            RunAnalysis after = new RunAnalysis(design, course, standing, readings);
            after.unit = Optional.of(more);
            return after;
        });
    }

    List<RunFinding> findings() {
        DiodeReadings diodes = new DiodeReadings(design);
        standing.steps().forEach(step -> {
            if (step instanceof TestStep.Measurement touch && touch.isOnDiodeRange()) {
                noteDiode(diodes, touch);
            } else if (step instanceof TestStep.Measurement touch && course.isDone(touch)) {
                noteAll(touch, standing.of(touch));
            } else if (step instanceof TestStep.ManualStep act && act.action() == ManualAction.REMAINING) {
                noteLength(act);
            }
        });
        standing.setAside().forEach(this::noteSetAside);
        course.defects().forEach(this::noteDefect);
        others.addAll(diodes.findings());
        observations.sort(Comparator.comparingInt(Observation::number));
        UnitAnalysis analysed = UnitAnalysis.of(
                design, readings.now(), Priors.usual(), RecordedSymptoms.complaint(standing), observations);
        unit = Optional.of(analysed);
        return Stream.concat(analysed.findings().stream(), others.stream())
                .map(this::found)
                .toList();
    }

    /** Every reading of a step is evidence; under voltage the last one. */
    private void noteAll(TestStep.Measurement touch, List<Entry> all) {
        if (touch.isUnderVoltage()) {
            all.stream().skip(Math.max(0, all.size() - 1)).forEach(entry -> noteUnderVoltage(touch, entry));
            return;
        }
        for (Observation each : TouchObservations.of(touch, all, readings)) {
            stepOf.put(each.number(), touch);
            observations.add(each);
        }
    }

    private void noteDiode(DiodeReadings diodes, TestStep.Measurement touch) {
        standing.last(touch)
                .filter(last -> course.isDone(touch))
                .ifPresent(last -> readings.judgement(last).ifPresent(judgement -> {
                    stepOf.put(last.sequence(), touch);
                    diodes.add(last.sequence(), touch.black(), touch.red(), judgement);
                }));
    }

    private void noteUnderVoltage(TestStep.Measurement touch, Entry last) {
        readings.judgement(last).ifPresent(judgement -> {
            stepOf.put(last.sequence(), touch);
            UnderVoltage.finding(
                            design,
                            touch.side(touch.black()),
                            touch.red(),
                            RunReadings.quantity(touch),
                            readings.voltage().testV(touch),
                            readings.voltage().least(touch).least(),
                            judgement,
                            last.sequence())
                    .map(each -> withLift(touch, each))
                    .ifPresent(others::add);
        });
    }

    /** What was at fault beside a repair stays so until it is read again. */
    private void noteSetAside(TestStep.Measurement touch, List<Entry> entries) {
        if (entries.stream().anyMatch(this::isFailing)) {
            noteAll(touch, entries);
        }
    }

    private boolean isFailing(Entry entry) {
        return readings.judgement(entry)
                .filter(each -> each.verdict() == Judgement.Verdict.FAIL)
                .isPresent();
    }

    private void noteLength(TestStep.ManualStep length) {
        standing.last(length).filter(this::isFailing).ifPresent(entry -> {
            stepOf.put(entry.sequence(), length);
            String wire = RemainingLength.conductor(length.subject());
            boolean broken = !(RunReadings.meaning(entry) instanceof MeterReading.Value);
            Terminal end = RemainingLength.end(design, length.subject());
            others.add(Explained.shown(
                    new Finding.SecondFault(wire, end, broken),
                    List.of(entry.sequence()),
                    design.conductor(wire).function().stream().toList()));
        });
    }

    private void noteDefect(TestStep.ManualStep look, Finding.Defect defect) {
        standing.last(look).ifPresent(seen -> {
            stepOf.put(seen.sequence(), look);
            others.add(
                    Explained.shown(new Finding.Damaged(look.subject(), defect), List.of(seen.sequence()), List.of()));
        });
    }

    /** Where it read well again when it was lifted out of the water is evidence too: it says where the damage is. */
    private Explained withLift(TestStep.Measurement touch, Explained explained) {
        TestStep lift =
                new TestStep.ManualStep(ManualAction.LIFTED, touch.black().name());
        Optional<Entry> lifted = touch.stage() == Stage.WET ? standing.last(lift) : Optional.empty();
        lifted.ifPresent(entry -> stepOf.put(entry.sequence(), lift));
        return explained.shownBy(
                Stream.concat(explained.evidence().stream(), lifted.stream().map(Entry::sequence))
                        .toList());
    }

    /** Every reading of the steps that show a finding, not only the last of each. */
    private RunFinding found(Explained explained) {
        List<Entry> evidence = explained.evidence().stream()
                .flatMap(number -> Optional.ofNullable(stepOf.get(number)).stream())
                .flatMap(step -> standing.shown(step).stream())
                .distinct()
                .sorted(Comparator.comparingInt(Entry::sequence))
                .toList();
        return new RunFinding(
                explained.finding(),
                explained.probability(),
                explained.certain(),
                evidence,
                explained.alternatives(),
                explained.functionsLost());
    }
}
