package zestymarten.web.desk;

import java.util.Map;

/**
 * A sheet to be kept.
 *
 * @param title what it is of, 1 to 80 characters
 * @param fields the form as it was typed: opened again, the desk reckons it anew
 * @param says what the desk said, for whoever reads the record
 * @param verdict good, watch, fault or untested
 */
public record Kept(Desk desk, String title, Map<String, String> fields, String says, String verdict) {
    private static final int LONGEST_TITLE = 80;

    public Kept {
        fields = Map.copyOf(fields);
        if (title.isBlank() || title.length() > LONGEST_TITLE) {
            throw new IllegalArgumentException("“" + title + "” is not accepted; expected what the sheet is of, 1 to "
                    + LONGEST_TITLE + " characters, such as 'Depot ring 2'.");
        }
    }

    /** The desks that keep sheets. */
    public enum Desk {
        CIRCUIT,
        CONDUCTOR,
        BUNDLE,
        FAMILY,
        TEST_DAY,
        CHECK;

        /** Its word in the address of its page and in the database. */
        public String word() {
            return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
        }
    }
}
