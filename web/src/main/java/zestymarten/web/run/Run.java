package zestymarten.web.run;

import java.time.Instant;
import java.util.Optional;
import zestymarten.core.job.Job;
import zestymarten.core.job.Outcome;
import zestymarten.web.wiring.Revision;

/**
 * A run as it stands.
 *
 * @param pulse changes whenever anything is entered, taken back or ended
 * @param ended how it ended; empty while it is under way
 */
public record Run(
        long id,
        long unitId,
        String serial,
        Revision revision,
        Job job,
        String startedBy,
        Instant startedAt,
        String pulse,
        Optional<End> ended) {

    /** The end of a run. */
    public record End(Outcome outcome, String by, Instant at) {}

    public boolean isUnderWay() {
        return ended.isEmpty();
    }

    /** The wiring's name. */
    public String assembly() {
        return revision.assembly().name();
    }
}
