package zestymarten.simulator.scpi;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * A command's header as instruments document it: {@code MEASure:RESistance?}. Capitals are the short form; a keyword is
 * understood in its short or its long form, in any case, and nothing between. Source: SCPI-99, volume 1, section 6.2.
 */
final class Header {
    private final List<String> keywords;
    private final boolean query;

    Header(String documented) {
        query = documented.endsWith("?");
        keywords = Arrays.asList(bare(documented).split(":", -1));
    }

    private static String bare(String header) {
        String plain = header.endsWith("?") ? header.substring(0, header.length() - 1) : header;
        return plain.startsWith(":") ? plain.substring(1) : plain;
    }

    /** Whether a header as sent means this one. */
    boolean fits(String sent) {
        String[] given = bare(sent).split(":", -1);
        if (sent.endsWith("?") != query || given.length != keywords.size()) {
            return false;
        }
        for (int i = 0; i < given.length; i++) {
            if (!fits(keywords.get(i), given[i])) {
                return false;
            }
        }
        return true;
    }

    private static boolean fits(String keyword, String given) {
        StringBuilder shortForm = new StringBuilder();
        keyword.chars().filter(each -> !Character.isLowerCase(each)).forEach(each -> shortForm.append((char) each));
        return given.equalsIgnoreCase(shortForm.toString())
                || given.toUpperCase(Locale.ROOT).equals(keyword.toUpperCase(Locale.ROOT));
    }
}
