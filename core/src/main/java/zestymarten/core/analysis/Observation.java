package zestymarten.core.analysis;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import zestymarten.core.assembly.State;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judge.Expectation;
import zestymarten.core.judge.Judgement;

/**
 * A reading as it counts for the findings.
 *
 * @param number by which its source knows it
 * @param ties groups of terminals that were tied together for it, so that a connection need not be one of the unit's own
 */
public record Observation(
        int number,
        Terminal a,
        Terminal b,
        State state,
        Expectation expectation,
        Judgement judgement,
        List<List<Terminal>> ties) {
    public Observation {
        ties = ties.stream().map(List::copyOf).toList();
    }

    boolean tied() {
        return !ties.isEmpty();
    }

    /** The terminals that were one point with a terminal by the ties, itself included. */
    Set<Terminal> withTies(Terminal terminal) {
        Set<Terminal> all = new LinkedHashSet<>(Set.of(terminal));
        boolean grown = true;
        while (grown) {
            grown = false;
            for (List<Terminal> tie : ties) {
                grown |= tie.stream().anyMatch(all::contains) && all.addAll(tie);
            }
        }
        return all;
    }

    /** Whether it shows that its two terminals are one point of the unit. */
    boolean joins() {
        boolean contact =
                judgement.contact() == Judgement.Contact.JOINED || judgement.contact() == Judgement.Contact.UNSTABLE;
        return contact && !tied() && !isBridged();
    }

    /** Whether it shows that its two terminals are not one point. */
    boolean parts() {
        return judgement.contact() == Judgement.Contact.APART || judgement.contact() == Judgement.Contact.LEAK;
    }

    boolean isBridged() {
        return expectation instanceof Expectation.Joined joined && joined.isBridged();
    }
}
