package zestymarten.web.check;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * The page of one thing as ready text.
 *
 * @param state of the thing, by which styles know it
 * @param word its result
 * @param says what the readings say, and what they do not show
 * @param next what to measure next; empty when nothing is due
 */
record CheckView(String state, String word, List<String> says, String next, List<RowView> rows) {
    /** What the name of a reading begins with in the form, so that it is no setting of the thing. */
    static final String READING = "read.";

    /**
     * One measurement.
     *
     * @param id its name in the form
     * @param setting what to set on the meter
     * @param expected what a good one shows, with its source
     * @param read how the reading is understood and judged; empty while there is none
     */
    record RowView(
            String id,
            String ask,
            String setting,
            String expected,
            String typed,
            String state,
            String word,
            String read,
            boolean due) {}

    CheckView {
        says = List.copyOf(says);
        rows = List.copyOf(rows);
    }

    /** Where the results stand on the page, as a list of selectors to bring up to date. */
    public String cells() {
        return IntStream.range(0, rows.size()).mapToObj(at -> ",#cell-" + at).collect(Collectors.joining());
    }

    /** All that it says, in one text for a record. */
    String inOneText() {
        return String.join(" ", says);
    }
}
