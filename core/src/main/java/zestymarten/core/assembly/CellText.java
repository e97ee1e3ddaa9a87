package zestymarten.core.assembly;

/**
 * Text on its way into and out of spreadsheets. A cell that begins like a formula is written with an apostrophe before
 * it, so that no spreadsheet runs it; the apostrophe is taken off again on the way in.
 */
public final class CellText {
    private static final String STARTS = "=+-@\t\r";

    private CellText() {}

    /** The text as it may stand in a cell of a file that a spreadsheet opens. Numbers are left alone. */
    public static String safe(String text) {
        boolean formula = !text.isEmpty() && STARTS.indexOf(text.charAt(0)) >= 0 && !text.matches("[+-]?[0-9.]+");
        return formula ? "'" + text : text;
    }

    /** The text that {@link #safe} was given. */
    static String plain(String cell) {
        boolean marked = cell.length() > 1 && cell.charAt(0) == '\'' && STARTS.indexOf(cell.charAt(1)) >= 0;
        return marked ? cell.substring(1) : cell;
    }
}
