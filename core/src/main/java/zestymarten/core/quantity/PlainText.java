package zestymarten.core.quantity;

/**
 * Text as people write it: what is left when the characters that no sheet of paper shows are taken out. Tab and line feed
 * stay; other control characters (C0, C1 and DEL), halves of surrogate pairs, the two code points that are no characters of
 * each plane, and line and paragraph separators go. By Unicode 15, chapters 3.9 and 23.
 */
public final class PlainText {
    private static final int LAST_OF_PLANE = 0xfffe;
    private static final int LINE_SEPARATOR = 0x2028;
    private static final int PARAGRAPH_SEPARATOR = 0x2029;

    private PlainText() {}

    /** The text without them; the same object where there are none. Cost: its length. */
    public static String of(String text) {
        return isPlain(text)
                ? text
                : text.codePoints()
                        .filter(point -> isPlain(point))
                        .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                        .toString();
    }

    /** Whether there is nothing in a text that would be taken out. */
    public static boolean isPlain(String text) {
        return text.codePoints().allMatch(point -> isPlain(point));
    }

    /** Whether a code point is one that people write. */
    public static boolean isPlain(int point) {
        boolean control = Character.isISOControl(point) && point != '\t' && point != '\n' && point != '\r';
        boolean half = point >= Character.MIN_SURROGATE && point <= Character.MAX_SURROGATE;
        boolean none = (point & LAST_OF_PLANE) == LAST_OF_PLANE || (point >= 0xfdd0 && point <= 0xfdef);
        return !control && !half && !none && point != LINE_SEPARATOR && point != PARAGRAPH_SEPARATOR;
    }
}
