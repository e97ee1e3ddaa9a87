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
import zestymarten.core.analysis.ExplainedFinding;
import zestymarten.core.analysis.Observation;
import zestymarten.core.analysis.UnderVoltage;
import zestymarten.core.analysis.UnitAnalysis;
import zestymarten.core.assembly.Subject;
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
 * <p>Method: the last reading of every step that is done is an observation; with the far ends linked, what the link tells of
 * each wire is one instead. Then come what the test voltage shows, and contacts that read open dirty and good clean through
 * mated faces. Cost: that of {@link UnitAnalysis}.
 */
final class RunAnalysis {
    private final Design design;
    private final StepSchedule schedule;
    private final RunLog log;
    private final RunReadings readings;
    private final Map<Integer, TestStep> stepOf = new HashMap<>();
    private final List<Observation> observations = new ArrayList<>();
    private final List<ExplainedFinding> others = new ArrayList<>();
    private Optional<UnitAnalysis> unit = Optional.empty();

    RunAnalysis(Design design, StepSchedule schedule, RunLog log, RunReadings readings) {
        this.design = design;
        this.schedule = schedule;
        this.log = log;
        this.readings = readings;
    }

    /** What the readings say of the unit, findings under voltage aside. */
    UnitAnalysis unit() {
        return unit.orElseThrow();
    }

    /**
     * The same after one more entry, if that is a pair that reads apart as it should and that changes nothing of what was found.
     *
     * @param schedule and the others as the entry leaves them
     */
    Optional<RunAnalysis> with(StepSchedule schedule, RunLog log, RunReadings readings) {
        return schedule.addedPair().flatMap(pair -> unit().with(pair)).map(more -> {
            RunAnalysis after = new RunAnalysis(design, schedule, log, readings);
            after.unit = Optional.of(more);
            return after;
        });
    }

    List<RunFinding> findings() {
        DiodeReadings diodes = new DiodeReadings(design);
        log.steps().forEach(step -> {
            if (step instanceof TestStep.Measurement measurement && measurement.isOnDiodeRange()) {
                noteDiode(diodes, measurement);
            } else if (step instanceof TestStep.Measurement measurement && schedule.isDone(measurement)) {
                noteAll(measurement, log.of(measurement));
            } else if (step instanceof TestStep.ManualStep manual && manual.action() == ManualAction.REMAINING) {
                noteLength(manual);
            }
        });
        log.setAside().forEach(this::noteSetAside);
        schedule.defects().forEach(this::noteDefect);
        others.addAll(diodes.findings());
        observations.sort(Comparator.comparingInt(Observation::number));
        UnitAnalysis analysed =
                UnitAnalysis.of(design, readings.now(), Priors.usual(), RecordedSymptoms.of(log), observations);
        unit = Optional.of(analysed);
        return Stream.concat(analysed.findings().stream(), others.stream())
                .map(this::found)
                .toList();
    }

    /** Every reading of a step is evidence; under voltage the last one. */
    private void noteAll(TestStep.Measurement measurement, List<Entry> all) {
        if (measurement.isUnderVoltage()) {
            all.stream().skip(Math.max(0, all.size() - 1)).forEach(entry -> noteUnderVoltage(measurement, entry));
            return;
        }
        for (Observation each : MeasurementObservations.of(measurement, all, readings)) {
            stepOf.put(each.number(), measurement);
            observations.add(each);
        }
    }

    private void noteDiode(DiodeReadings diodes, TestStep.Measurement measurement) {
        log.last(measurement)
                .filter(last -> schedule.isDone(measurement))
                .ifPresent(last -> readings.judgement(last).ifPresent(judgement -> {
                    stepOf.put(last.sequence(), measurement);
                    diodes.add(last.sequence(), measurement.black(), measurement.red(), judgement);
                }));
    }

    private void noteUnderVoltage(TestStep.Measurement measurement, Entry last) {
        readings.judgement(last).ifPresent(judgement -> {
            stepOf.put(last.sequence(), measurement);
            UnderVoltage.finding(
                            design,
                            measurement.side(measurement.black()),
                            measurement.red(),
                            RunReadings.quantity(measurement),
                            readings.voltage().testV(measurement),
                            readings.voltage().minimum(measurement).minimum(),
                            judgement,
                            last.sequence())
                    .map(each -> withLift(measurement, each))
                    .ifPresent(others::add);
        });
    }

    /** What was at fault beside a repair stays so until it is read again. */
    private void noteSetAside(TestStep.Measurement measurement, List<Entry> entries) {
        if (entries.stream().anyMatch(this::isFailing)) {
            noteAll(measurement, entries);
        }
    }

    private boolean isFailing(Entry entry) {
        return readings.judgement(entry)
                .filter(each -> each.verdict() == Judgement.Verdict.FAIL)
                .isPresent();
    }

    private void noteLength(TestStep.ManualStep length) {
        log.last(length).filter(this::isFailing).ifPresent(entry -> {
            stepOf.put(entry.sequence(), length);
            Subject.LengthOf read = RemainingLength.length(length);
            boolean broken = !(RunReadings.meaning(entry) instanceof MeterReading.Value);
            others.add(ExplainedFinding.shown(
                    new Finding.SecondFault(read.conductor(), read.end(), broken),
                    List.of(entry.sequence()),
                    design.conductor(read.conductor()).function().stream().toList()));
        });
    }

    private void noteDefect(TestStep.ManualStep inspection, Finding.Defect defect) {
        log.last(inspection).ifPresent(seen -> {
            stepOf.put(seen.sequence(), inspection);
            others.add(ExplainedFinding.shown(
                    new Finding.Damaged(inspection.subject(), defect), List.of(seen.sequence()), List.of()));
        });
    }

    /** Where it read well again when it was lifted out of the water is evidence too: it says where the damage is. */
    private ExplainedFinding withLift(TestStep.Measurement measurement, ExplainedFinding explained) {
        TestStep lift =
                new TestStep.ManualStep(ManualAction.LIFTED, measurement.black().name());
        Optional<Entry> lifted = measurement.stage() == Stage.WET ? log.last(lift) : Optional.empty();
        lifted.ifPresent(entry -> stepOf.put(entry.sequence(), lift));
        return explained.shownBy(
                Stream.concat(explained.evidence().stream(), lifted.stream().map(Entry::sequence))
                        .toList());
    }

    /** Every reading of the steps that show a finding, not only the last of each. */
    private RunFinding found(ExplainedFinding explained) {
        List<Entry> evidence = explained.evidence().stream()
                .flatMap(number -> Optional.ofNullable(stepOf.get(number)).stream())
                .flatMap(step -> log.shown(step).stream())
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
