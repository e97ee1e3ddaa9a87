package zestymarten.core.judgement;

import java.util.Locale;
import java.util.OptionalDouble;
import zestymarten.core.quantity.Message;

/**
 * What a reading means.
 *
 * @param contact what it says about the two terminals
 * @param code why it stands so, for programs
 * @param reason the same in a sentence, with figures, units and the source of the limit
 * @param correctedOhm the reading less the leads, where it was a figure
 * @param uncertaintyOhm expanded uncertainty of that figure
 */
public record Judgement(
        Verdict verdict,
        Contact contact,
        Reason code,
        Message reason,
        OptionalDouble correctedOhm,
        OptionalDouble uncertaintyOhm) {

    /** Whether a reading decides nothing because a diode may conduct. */
    public boolean isBesideDiode() {
        return code == Reason.DIODE;
    }

    /** The same reading, otherwise judged. */
    public Judgement as(Verdict other, Contact shown, Reason because, Message words) {
        return new Judgement(other, shown, because, words, correctedOhm, uncertaintyOhm);
    }

    /** Why a reading stands as it does. */
    public enum Reason {
        WITHIN_LIMIT,
        NEAR_LIMIT,
        ABOVE_LIMIT,
        BELOW_MINIMUM,
        BELOW_EXPECTED,
        HEATS,
        UNLIKE_ITS_SET,
        OPEN,
        APART,
        JOINED,
        LEAK,
        WEAK_INSULATION,
        TONE,
        TONE_ONLY,
        SILENT,
        UNSTABLE,
        DIODE,
        NEXT_RANGE,
        LEADS_UNKNOWN,
        BELOW_LEADS,
        ASKED,
        REFUSED,
        WRONG_QUANTITY,
        JOINED_BY_DESIGN,
        INSULATION_ENOUGH,
        INSULATION_LOW,
        INSULATION_FALLING,
        WITHSTOOD,
        LEAKAGE_TOO_HIGH,
        LEAKAGE_HIDDEN,
        NO_CONNECTION,
        BROKE_DOWN,
        DEAD,
        LIVE,
        NULL_MOVED,
        LEADS_BROKEN,
        TOO_EARLY,
        CHECKED;

        /** As written in files. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** How the reading stands against what was expected. */
    public enum Verdict {
        PASS("pass"),
        MARGINAL("marginal"),
        FAIL("fail"),
        UNDECIDED("undecided"),
        DOUBTFUL("doubtful");

        private final String code;

        Verdict(String code) {
            this.code = code;
        }

        public String code() {
            return code;
        }
    }

    /** What a reading says about the way between two terminals. */
    public enum Contact {
        /** One point: below the threshold, or a tone. */
        JOINED,
        /** No path as far as this meter can tell. */
        APART,
        /** A path through a component: judged by value. */
        BRIDGED,
        /** Above the threshold but finite. */
        LEAK,
        /** Now one, now the other. */
        UNSTABLE,
        /** The reading does not tell. */
        UNKNOWN
    }
}
