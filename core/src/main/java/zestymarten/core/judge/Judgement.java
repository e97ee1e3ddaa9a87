package zestymarten.core.judge;

import java.util.OptionalDouble;

/**
 * What a reading means.
 *
 * @param contact what it says about the two terminals
 * @param reason in a sentence, with figures, units and the source of the limit
 * @param correctedOhm the reading less the leads, where it was a figure
 * @param uncertaintyOhm expanded uncertainty of that figure
 */
public record Judgement(
        Verdict verdict, Contact contact, String reason, OptionalDouble correctedOhm, OptionalDouble uncertaintyOhm) {

    /** How the reading stands against what was expected. */
    public enum Verdict {
        PASS("pass"),
        WATCH("watch"),
        FAIL("fail"),
        UNDECIDED("undecided"),
        DOUBTFUL("doubtful");

        private final String word;

        Verdict(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /** What a reading says about the way between two terminals. */
    public enum Contact {
        /** One point: below the threshold, or a tone. */
        JOINED,
        /** No way through as far as this meter can tell. */
        APART,
        /** A way through a component: judged by value. */
        BRIDGED,
        /** Above the threshold but finite. */
        LEAK,
        /** Now one, now the other. */
        UNSTABLE,
        /** The reading does not tell. */
        UNKNOWN
    }
}
