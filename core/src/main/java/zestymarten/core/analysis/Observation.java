package zestymarten.core.analysis;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.quantity.MeterReading;

/**
 * A reading as it counts for the findings.
 *
 * @param number by which its source knows it
 * @param meaning what the meter showed, as understood
 * @param links groups of terminals that were linked together for it, so that a connection need not be one of the unit's own
 * @param since what was done since the same points were read before, as far as it was recorded
 */
public record Observation(
        int number,
        Terminal a,
        Terminal b,
        SwitchState state,
        Expectation expectation,
        Judgement judgement,
        MeterReading meaning,
        List<List<Terminal>> links,
        Since since) {
    /** What may have changed between two readings of the same points. */
    public enum Since {
        /** Nothing that anybody recorded. */
        NOTHING,
        /** The probes were put on anew, on clean metal. */
        PROBED_ANEW,
        /** The contact was cleaned. */
        CLEANED;

        /** By its code, such as {@code probed_anew}; empty for any other text. */
        public static Optional<Since> of(String code) {
            return Stream.of(values())
                    .filter(each -> each.name().toLowerCase(Locale.ROOT).equals(code))
                    .findFirst();
        }
    }

    private static final double TONE_OHM = 20;

    public Observation {
        links = links.stream().map(List::copyOf).toList();
    }

    boolean linked() {
        return !links.isEmpty();
    }

    /** The terminals that were one point with a terminal by the links, itself included. */
    Set<Terminal> withLinks(Terminal terminal) {
        Set<Terminal> all = new LinkedHashSet<>(Set.of(terminal));
        boolean grown = true;
        while (grown) {
            grown = false;
            for (List<Terminal> link : links) {
                grown |= link.stream().anyMatch(all::contains) && all.addAll(link);
            }
        }
        return all;
    }

    /** Whether it shows a path of the unit's own between its two terminals, by wires or by parts. */
    boolean joins() {
        boolean contact = judgement.contact() == Judgement.Contact.JOINED
                || judgement.contact() == Judgement.Contact.BRIDGED
                || judgement.contact() == Judgement.Contact.UNSTABLE;
        return contact && !linked();
    }

    /** Whether it shows that its two terminals are not one point. */
    boolean parts() {
        return judgement.contact() == Judgement.Contact.APART || judgement.contact() == Judgement.Contact.LEAK;
    }

    boolean isBridged() {
        return expectation instanceof Expectation.Joined joined && joined.isBridged();
    }

    /** What was read in ohms; a tone has no figure and counts as more than any wire. */
    double ohm() {
        return judgement.correctedOhm().orElse(TONE_OHM);
    }

    /** Whether a good unit would not read so. */
    boolean isUnexpected() {
        return judgement.verdict() == Judgement.Verdict.FAIL
                || judgement.contact() == Judgement.Contact.UNSTABLE
                || (judgement.contact() == Judgement.Contact.LEAK && expectation instanceof Expectation.Apart);
    }

    /** Where and how it was read: what repeats it has the same. */
    record Key(Set<Terminal> ends, SwitchState state, List<List<Terminal>> links) {}

    Key key() {
        return new Key(Set.of(a, b), state, links);
    }
}
