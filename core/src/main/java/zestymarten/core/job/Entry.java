package zestymarten.core.job;

import java.time.Instant;
import java.util.UUID;
import zestymarten.core.plan.Step;
import zestymarten.core.quantity.Understood;

/**
 * What was entered at one step: a reading, or the reason why there is none. Never altered; taken back at most.
 *
 * @param id made where it was typed, so that sending it twice keeps it once
 * @param sequence place among the entries of the run, from 1
 * @param touch how many entries its step has had with it, from 1, those taken back included
 * @param by the account that entered it
 */
public record Entry(
        UUID id, int sequence, Step step, int touch, Content content, boolean takenBack, String by, Instant at) {

    public Entry {
        if (sequence < 1 || touch < 1) {
            throw new IllegalArgumentException(
                    "Entry: sequence (" + sequence + ") and touch (" + touch + ") must be at least 1.");
        }
    }

    /** A reading or a reason. */
    public sealed interface Content {
        /** What the meter showed: kept as typed and as understood. */
        record Reading(String asTyped, Understood meaning) implements Content {}

        /** Why the step was left out. */
        record Skip(String reason) implements Content {
            public Skip {
                if (reason.isBlank()) {
                    throw new IllegalArgumentException("A step can be skipped only with a reason.");
                }
            }
        }
    }

    /** Whether it counts: a reading or reason that was not taken back. */
    public boolean stands() {
        return !takenBack;
    }
}
