package zestymarten.web.platform;

/** Patterns for the database's {@code ilike}, of what people type. */
public final class Patterns {
    private Patterns() {}

    /** What contains a text as it stands, signs that mean something to a pattern included; empty for a blank text: anything. */
    public static String containing(String text) {
        String plain = text.strip();
        return plain.isEmpty()
                ? ""
                : "%" + plain.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_") + "%";
    }
}
