package zestymarten.web.record;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * The seal of an ended test and what is wrong with its data.
 *
 * @param hash 64 hexadecimal digits: SHA-256 over the chain of entries, what was taken back, the end and the record
 * @param wrong what is not as it was recorded; nothing for unaltered data
 */
record Seal(String hash, List<String> wrong) {
    /** As many digits are printed as nobody makes a second document for: 96 bits. */
    private static final int PRINTED = 24;

    private static final int GROUP = 4;

    Seal {
        wrong = List.copyOf(wrong);
    }

    /** The digits that are printed, in groups. */
    public String printed() {
        return IntStream.range(0, PRINTED / GROUP)
                .mapToObj(each -> hash.substring(each * GROUP, (each + 1) * GROUP))
                .collect(Collectors.joining("-"));
    }

    public boolean unaltered() {
        return wrong.isEmpty();
    }

    /** Whether a seal that somebody read from a paper is this one; spaces and dashes do not matter. */
    boolean isOf(String paper) {
        return paper.replaceAll("[\\s-]", "").toLowerCase(Locale.ROOT).equals(hash.substring(0, PRINTED));
    }
}
