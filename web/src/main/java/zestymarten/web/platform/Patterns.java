package zestymarten.web.platform;

/** Patterns for the database's {@code ilike}, of what people type. */
public final class Patterns {
    private Patterns() {}

    /** Letters from which on an index finds a text anywhere. */
    private static final int ANYWHERE = 3;

    /**
     * What contains a text as it stands, signs that mean something to a pattern included; empty for a blank text: anything.
     * What is shorter than {@value #ANYWHERE} letters is looked for at the beginning alone: no index finds it elsewhere, and
     * reading a million rows for it is slow.
     */
    public static String containing(String text) {
        String plain = text.strip().replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_");
        return plain.isEmpty() ? "" : (isShort(text) ? "" : "%") + plain + "%";
    }

    /** Whether a text is looked for at the beginning alone. */
    public static boolean isShort(String text) {
        String plain = text.strip();
        return !plain.isEmpty() && plain.codePointCount(0, plain.length()) < ANYWHERE;
    }
}
