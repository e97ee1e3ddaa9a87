package zestymarten.web.testrun;

import java.time.Instant;
import java.util.Optional;
import zestymarten.core.testrun.RunOutcome;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.assembly.Revision;

/**
 * A run as it stands.
 *
 * @param pulse changes whenever anything is entered, taken back or ended
 * @param ended how it ended; empty while it is under way
 */
public record RunSnapshot(
        long id,
        long unitId,
        String serial,
        Revision revision,
        TestRun test,
        String startedBy,
        Instant startedAt,
        String pulse,
        Optional<RunEnd> ended) {

    /** The end of a run. */
    public record RunEnd(RunOutcome outcome, String by, Instant at) {}

    public boolean isUnderWay() {
        return ended.isEmpty();
    }

    /** The wiring's name. */
    public String assembly() {
        return revision.assembly().name();
    }
}
