package zestymarten.web.worksheet;

import java.util.Map;
import java.util.stream.Stream;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.testrun.StepState;
import zestymarten.web.platform.Words;

/**
 * A sheet to be kept.
 *
 * @param title what it is of, 1 to 80 characters
 * @param fields the form as it was typed: shown again, the tool calculates it anew
 * @param says what the tool said, for whoever reads the record
 * @param result pass, marginal, fail or not tested
 */
public record SavedSheet(SavedTool tool, String title, Map<String, String> fields, String says, StepState result) {
    private static final int LONGEST_TITLE = 80;

    public SavedSheet {
        fields = Map.copyOf(fields);
        if (title.isBlank() || title.length() > LONGEST_TITLE) {
            throw new NotAccepted("saved_sheet.title", title, LONGEST_TITLE);
        }
    }

    /** The tools that save sheets. */
    public enum SavedTool {
        CIRCUIT("circuit", "circuit"),
        CONDUCTOR("conductor", "conductor"),
        CORE_ID("bundle", "identify-cores"),
        COMPARISON("family", "compare-leads"),
        BATCH_TEST("test-day", "batch-test"),
        CHECK("check", "check");

        private final String code;
        private final String path;

        SavedTool(String code, String path) {
            this.code = code;
            this.path = path;
        }

        /** By which the database knows it; never changed, as sheets were saved under it. */
        public String code() {
            return code;
        }

        /** The address of its page, without the leading slash. */
        public String path() {
            return path;
        }

        /** What it is called in the navigation. */
        public String title() {
            return Words.say(this);
        }

        /**
         * The tool of a code.
         *
         * @throws java.util.NoSuchElementException if there is none
         */
        public static SavedTool ofCode(String code) {
            return Stream.of(values())
                    .filter(each -> each.code.equals(code))
                    .findFirst()
                    .orElseThrow();
        }
    }
}
