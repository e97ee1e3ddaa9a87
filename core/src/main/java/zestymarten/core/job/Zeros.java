package zestymarten.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zestymarten.core.meter.Conditions;
import zestymarten.core.plan.Deed;
import zestymarten.core.plan.Step;
import zestymarten.core.quantity.Understood;

/**
 * What the joined probes read over a run, for each set of clips, pins and extensions by itself.
 *
 * <p>Rule: a reading is corrected by the last zero before it that was taken with the same set. Cost: linear in what is
 * no measurement of the wiring, once; then in the zeros, which are few.
 */
final class Zeros {
    private final Conditions before;
    private final List<Zero> zeros = new ArrayList<>();
    private final List<Entry> changes = new ArrayList<>();
    private final boolean wanders;

    /** A zero and the set with which it was taken. */
    private record Zero(Entry entry, String set) {}

    Zeros(Conditions before, Standing standing) {
        this.before = before;
        standing.manual().forEach(this::note);
        wanders = standing.last(new Step.Act(Deed.WANDERS)).isPresent();
    }

    private void note(Entry entry) {
        boolean zero = entry.step() instanceof Step.Probes probes
                && probes.question() == Step.Probes.Question.OHMS
                && Readings.meaning(entry) instanceof Understood.Value;
        if (zero) {
            zeros.add(new Zero(entry, setAt(entry.sequence())));
        } else if (entry.step() instanceof Step.Act act && act.deed() == Deed.ACCESSORIES) {
            changes.add(entry);
        }
    }

    /** The set in use before an entry of that number; empty for the leads with which the run began. */
    private String setAt(int sequence) {
        String set = "";
        for (Entry change : changes) {
            set = change.sequence() < sequence ? ((Step.Act) change.step()).subject() : set;
        }
        return set;
    }

    /** The set in use now. */
    String set() {
        return setAt(Integer.MAX_VALUE);
    }

    /** Whether the technician said that the meter wanders. */
    boolean wanders() {
        return wanders;
    }

    /** The last zero of the set in use now. */
    Optional<Entry> last() {
        return lastBefore(Integer.MAX_VALUE);
    }

    private Optional<Entry> lastBefore(int sequence) {
        String set = setAt(sequence);
        return zeros.stream()
                .filter(each -> each.set().equals(set) && each.entry().sequence() < sequence)
                .map(Zero::entry)
                .reduce((first, later) -> later);
    }

    /** The first zero after an entry with the set with which it was made. */
    Optional<Entry> nextAfter(Entry entry) {
        String set = setAt(entry.sequence());
        return zeros.stream()
                .filter(each -> each.set().equals(set) && each.entry().sequence() > entry.sequence())
                .map(Zero::entry)
                .findFirst();
    }

    /** The conditions with the leads' ohms as read last with the set in use. */
    Conditions now() {
        return with(last());
    }

    /** The conditions under which an entry was made. */
    Conditions at(Entry entry) {
        return with(lastBefore(entry.sequence()));
    }

    Conditions with(Optional<Entry> zero) {
        return zero.map(Readings::meaning)
                .filter(Understood.Value.class::isInstance)
                .map(each -> before.withLeads(Math.min(1000, ((Understood.Value) each).value())))
                .orElse(before);
    }
}
