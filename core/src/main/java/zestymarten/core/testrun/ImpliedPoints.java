package zestymarten.core.testrun;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zestymarten.core.analysis.ImpliedPairs;
import zestymarten.core.analysis.Observation;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.testplan.TestStep;

/** What the readings of a test say of the points that nobody has read: see {@link ImpliedPairs}. Found when it is first asked for. */
final class ImpliedPoints {
    private final RunLog log;
    private final RunReadings readings;
    private final StepSchedule schedule;
    private volatile Optional<KnownPoints> known = Optional.empty();

    ImpliedPoints(RunLog log, RunReadings readings, StepSchedule schedule) {
        this.log = log;
        this.readings = readings;
        this.schedule = schedule;
    }

    /** How many points read otherwise than those of a good unit, and what follows from the readings if any does. */
    private record KnownPoints(long unexpected, Optional<ImpliedPairs> implied) {}

    /** Takes over what an earlier state knew, and the pair that was read since; nothing if what was read since is not such a pair. */
    void follow(ImpliedPoints earlier, Optional<Observation> addedPair) {
        known = addedPair.flatMap(pair -> earlier.known.map(
                before -> new KnownPoints(before.unexpected(), before.implied().map(implied -> implied.with(pair)))));
    }

    /** Whether it is already known that every point reads as that of a good unit. */
    boolean areKnownGood() {
        return known.filter(each -> each.unexpected() == 0).isPresent();
    }

    /** What the readings of other points say of this one; nothing while all of them are as expected. */
    Optional<ImpliedPairs> implied() {
        return known().implied();
    }

    /** How many points read otherwise than those of a good unit. */
    long unexpected() {
        return known().unexpected();
    }

    private KnownPoints known() {
        return known.orElseGet(this::findKnown);
    }

    private KnownPoints findKnown() {
        synchronized (schedule) { // one lock: the tally asks for what is implied, and what is implied for the tally
            if (known.isEmpty()) {
                long unexpected = schedule.tally().fail()
                        + schedule.uncounted()
                                .filter(this::isReadAndDone)
                                .filter(this::isUnexpected)
                                .count();
                known = Optional.of(
                        new KnownPoints(unexpected, unexpected == 0 ? Optional.empty() : Optional.of(findImplied())));
            }
            return known.orElseThrow();
        }
    }

    private boolean isReadAndDone(TestStep step) {
        return step instanceof TestStep.Measurement measurement
                && measurement.isInOhms()
                && schedule.isDone(measurement);
    }

    private ImpliedPairs findImplied() {
        return ImpliedPairs.of(
                readings.design(),
                log.steps()
                        .filter(this::isReadAndDone)
                        .map(TestStep.Measurement.class::cast)
                        .flatMap(measurement ->
                                MeasurementObservations.of(measurement, log.of(measurement), readings).stream())
                        .toList());
    }

    private boolean isUnexpected(TestStep step) {
        return schedule.lastJudgement(step)
                .filter(each -> each.verdict() == Verdict.FAIL)
                .isPresent();
    }

    /**
     * Whether nobody has to read a pair, because it follows from other readings. That two ends of a wire are joined says
     * nothing of its resistance, and is read.
     */
    boolean isImplied(TestStep.Measurement measurement) {
        if (measurement.isLinked() || !measurement.state().isEmpty()) {
            return false;
        }
        return switch (measurement.stage()) {
            case CONTINUITY ->
                implied()
                        .filter(each -> each.areApart(measurement.black(), measurement.red()))
                        .isPresent();
            case SHORTS, FRAME ->
                implied()
                        .filter(each -> each.areApart(measurement.black(), measurement.red())
                                || each.areJoined(measurement.black(), measurement.red()))
                        .isPresent();
            default -> false;
        };
    }

    /** The pairs of the shorts stage that nobody has to read: one of the two has a reading that was not expected. */
    Stream<TestStep.Measurement> impliedShorts(ImpliedPairs known) {
        List<Terminal> all = schedule.pieces().all();
        Stream<TestStep.Measurement> pairs = IntStream.range(0, all.size())
                .filter(i -> known.isUnexpectedAt(all.get(i)))
                .boxed()
                .flatMap(i -> IntStream.range(0, all.size())
                        .filter(j -> j != i)
                        .mapToObj(j -> schedule.pieces().pair(i, j)));
        return Stream.concat(pairs, schedule.pieces().cavities().stream()).filter(this::isImplied);
    }
}
