package zestymarten.core.testrun;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zestymarten.core.assembly.Subject;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.TestStep;

/**
 * What the joined probes read over a run, for each set of clips, pins and extensions by itself.
 *
 * <p>Rule: a reading is corrected by the last zero before it that was taken with the same set. Cost: linear in what is
 * no measurement of the wiring, once; then in the zeros, which are few.
 */
final class NullHistory {
    private final TestConditions before;
    private final List<NullReading> zeros = new ArrayList<>();
    private final List<Entry> changes = new ArrayList<>();
    private final boolean wanders;

    /** A zero and the set with which it was taken. */
    private record NullReading(Entry entry, Subject set) {}

    NullHistory(TestConditions before, RunLog log) {
        this.before = before;
        log.manual().forEach(this::note);
        wanders = log.last(new TestStep.ManualStep(ManualAction.ZERO_DRIFTS)).isPresent();
    }

    private void note(Entry entry) {
        boolean zero = entry.step() instanceof TestStep.LeadCheck probes
                && probes.question() == TestStep.LeadCheck.LeadQuestion.OHMS
                && RunReadings.meaning(entry) instanceof MeterReading.Value;
        if (zero) {
            zeros.add(new NullReading(entry, setAt(entry.sequence())));
        } else if (entry.step() instanceof TestStep.ManualStep manual && manual.action() == ManualAction.ACCESSORIES) {
            changes.add(entry);
        }
    }

    /** The set in use before an entry of that number; {@link Subject#nothing} for the leads with which the run began. */
    private Subject setAt(int sequence) {
        Subject set = Subject.nothing();
        for (Entry change : changes) {
            set = change.sequence() < sequence ? ((TestStep.ManualStep) change.step()).subject() : set;
        }
        return set;
    }

    /** The set in use now. */
    Subject set() {
        return setAt(Integer.MAX_VALUE);
    }

    /** Whether the technician said that the null drifts. */
    boolean wanders() {
        return wanders;
    }

    /** The last zero of the set in use now. */
    Optional<Entry> last() {
        return lastBefore(Integer.MAX_VALUE);
    }

    private Optional<Entry> lastBefore(int sequence) {
        Subject set = setAt(sequence);
        return zeros.stream()
                .filter(each -> each.set().equals(set) && each.entry().sequence() < sequence)
                .map(NullReading::entry)
                .reduce((first, later) -> later);
    }

    /** The first zero after an entry with the set with which it was made. */
    Optional<Entry> nextAfter(Entry entry) {
        Subject set = setAt(entry.sequence());
        return zeros.stream()
                .filter(each -> each.set().equals(set) && each.entry().sequence() > entry.sequence())
                .map(NullReading::entry)
                .findFirst();
    }

    /** The conditions with the test-lead resistance as read last with the set in use. */
    TestConditions now() {
        return with(last());
    }

    /** The conditions under which an entry was made. */
    TestConditions at(Entry entry) {
        return with(lastBefore(entry.sequence()));
    }

    TestConditions with(Optional<Entry> zero) {
        return zero.map(RunReadings::meaning)
                .filter(MeterReading.Value.class::isInstance)
                .map(each -> before.withLeads(Math.min(1000, ((MeterReading.Value) each).value())))
                .orElse(before);
    }
}
