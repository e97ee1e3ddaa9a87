package zestymarten.core.testrun;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import zestymarten.core.analysis.Design;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;

/**
 * What the test leads put in doubt.
 *
 * <p>Rules: where a later check finds the zero moved by more than two counts and a tenth of the tightest limit, a reading in
 * between that the later zero would judge otherwise is in doubt; so is an "apart" that nothing joined came after, where the
 * last check finds the leads broken.
 */
final class LeadDoubts {
    private final Design design;
    private final TestConditions before;
    private final RunLog log;
    private final NullHistory zeros;
    private Optional<Integer> lastThrough = Optional.empty();

    LeadDoubts(Design design, TestConditions before, RunLog log, NullHistory zeros) {
        this.design = design;
        this.before = before;
        this.log = log;
        this.zeros = zeros;
    }

    /**
     * Why the leads put a reading in doubt; empty if they don't.
     *
     * @param judgement of the reading with the leads as they were read last before it
     * @param with its judgement with the leads as read at another time
     */
    Optional<Message> doubt(Entry entry, Judgement judgement, Function<TestConditions, Judgement> with) {
        return byZero(entry, judgement, with)
                .or(() -> judgement.contact() == Judgement.Contact.APART ? byBrokenLeads(entry) : Optional.empty());
    }

    /** The first check after an entry, if it finds the zero moved so far that the entry would be judged otherwise. */
    private Optional<Message> byZero(Entry entry, Judgement judgement, Function<TestConditions, Judgement> with) {
        Optional<Entry> next = zeros.nextAfter(entry);
        TestConditions then = zeros.at(entry);
        if (next.isEmpty() || then.leadsOhm().isEmpty()) {
            return Optional.empty();
        }
        TestConditions later = zeros.with(next);
        double drift = Math.abs(later.leadsOhm().orElseThrow() - then.leadsOhm().getAsDouble());
        boolean moved = new TestConditions.Zero(drift, 0, 0)
                .isInDoubt(before.meter().resolutionOhm(), tightest().orElse(Double.MAX_VALUE));
        if (!moved || with.apply(later).verdict() == judgement.verdict()) {
            return Optional.empty();
        }
        return Optional.of(Message.of(
                "run_readings.zero_leads_moved_from",
                new MeterReading.Value(then.leadsOhm().getAsDouble(), MeterReading.Unit.OHM),
                RunReadings.meaning(next.get())));
    }

    /** The tightest limit of the wires that are read, in ohms. */
    private OptionalDouble tightest() {
        return design.assembly().conductors().stream()
                .mapToDouble(each -> design.limits().of(each).high().value())
                .min();
    }

    private Optional<Message> byBrokenLeads(Entry entry) {
        Optional<Entry> broken = log.last(new TestStep.LeadCheck(Stage.RESTORE, TestStep.LeadCheck.LeadQuestion.TONE))
                .filter(last ->
                        last.sequence() > entry.sequence() && RunReadings.meaning(last) instanceof MeterReading.Silent);
        boolean shownSince = broken.isPresent() && lastThroughBefore(broken.get()) > entry.sequence();
        return broken.isEmpty() || shownSince
                ? Optional.empty()
                : Optional.of(Message.of("run_readings.leads_were_found_broken"));
    }

    /** The number of the last entry before one that showed a path through the leads; 0 if none did. */
    private int lastThroughBefore(Entry broken) {
        int known = lastThrough.orElseGet(() -> {
            List<Entry> entries = log.entries();
            int last = broken.sequence() - 1;
            while (last > 0 && !(entries.get(last - 1).stands() && showsAWayThrough(entries.get(last - 1)))) {
                last--;
            }
            return last;
        });
        lastThrough = Optional.of(known);
        return known;
    }

    private boolean showsAWayThrough(Entry entry) {
        MeterReading meaning = RunReadings.meaning(entry);
        boolean low = meaning instanceof MeterReading.Value value
                && value.unit() == MeterReading.Unit.OHM
                && value.value() < before.joinedBelowOhm();
        return entry.step() instanceof TestStep.Measurement && (low || meaning instanceof MeterReading.Tone);
    }
}
