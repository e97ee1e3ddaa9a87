package zestymarten.core.testrun;

import java.time.Instant;
import java.util.UUID;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.testplan.TestStep;

/**
 * What was entered at one step: a reading, what was done or seen, or the reason why there is none. Never altered; taken back
 * at most.
 *
 * @param id made where it was typed, so that sending it twice keeps it once
 * @param sequence place among the entries of the run, from 1
 * @param attempt how many entries its step has had with it, from 1, those taken back included
 * @param by the account that entered it
 */
public record Entry(
        UUID id, int sequence, TestStep step, int attempt, Content content, boolean takenBack, String by, Instant at) {

    public Entry {
        if (sequence < 1 || attempt < 1) {
            throw new IllegalArgumentException(
                    "Entry: sequence (" + sequence + ") and attempt (" + attempt + ") must be at least 1.");
        }
    }

    /** What was entered. */
    public sealed interface Content {
        /**
         * What the meter showed: kept as typed and as understood.
         *
         * @param where along the wire it happened, where that was asked; else empty
         */
        record Reading(String asTyped, MeterReading meaning, String where) implements Content {
            public Reading(String asTyped, MeterReading meaning) {
                this(asTyped, meaning, "");
            }
        }

        /** Why the step was left out. */
        record Skip(String reason) implements Content {
            public Skip {
                if (reason.isBlank()) {
                    throw new NotAccepted("entry.step_can_skipped");
                }
            }
        }

        /** Done, or as it should be; with words where something is to be said of it. */
        record Done(String words) implements Content {}

        /**
         * How something was put right.
         *
         * @param cause why it broke; empty if nobody knows
         * @param prevention what stops it from coming back; empty if nothing was done
         * @param spare the spare core that carries the wire from now on; empty if none does
         * @param colour the wire's new colour; empty if it kept its own, or the spare's
         */
        record Repair(Way way, String cause, String prevention, String spare, String colour) implements Content {
            public Repair {
                if (!spare.isEmpty() && way != Way.SPARE) {
                    throw new NotAccepted("entry.spare_core_named", spare, way);
                }
            }

            public Repair(Way way, String cause, String prevention) {
                this(way, cause, prevention, "", "");
            }

            /** Whether the unit is no longer as it was designed. */
            boolean changesWiring() {
                return !spare.isEmpty() || !colour.isEmpty();
            }
        }
    }

    /** Ways to put wiring right. */
    public enum Way {
        CLEAN,
        CONTACT,
        SPLICE,
        SPARE,
        SHORTEN,
        MOVE,
        INSULATE,
        REPLACE;

        public Message word() {
            return Message.of(this);
        }
    }

    /** Whether it counts: it was not taken back. */
    public boolean stands() {
        return !takenBack;
    }
}
