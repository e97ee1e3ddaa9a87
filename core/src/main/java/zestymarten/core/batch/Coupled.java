package zestymarten.core.batch;

import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import zestymarten.core.locate.Chain;
import zestymarten.core.quantity.Engineering;

/**
 * Leads coupled in a row, of which one is bad: which, in the fewest touches. One core is read from the start to couplings.
 *
 * <p>Method: the whole row first; then the coupling that halves what is left, see {@link Chain}. Cost: about the logarithm of
 * their number in touches.
 *
 * @param chain the leads with what each may have
 * @param known what is left
 * @param next the lead at whose far end to touch next, from 1; empty once it is known, or nothing is wrong
 * @param says what is known
 */
public record Coupled(Chain chain, Chain.Between known, Optional<Integer> next, String says) {
    /** More are never coupled. */
    public static final int MOST = 60;

    /**
     * What is known of a row.
     *
     * @param eachOhm what one lead may have with its coupling, above 0
     * @param read ohms from the start to the far end of a lead, by its number from 1; infinite for no way through
     */
    public static Coupled of(int leads, double eachOhm, Map<Integer, Double> read) {
        if (leads < 2 || leads > MOST || !(eachOhm > 0)) {
            throw new IllegalArgumentException("A row has from 2 to " + MOST + " leads (read " + leads
                    + "), each with ohms above 0 (read " + eachOhm + ").");
        }
        Chain chain = new Chain(IntStream.rangeClosed(1, leads)
                .mapToObj(
                        number -> new Chain.Stretch("lead " + number, "coupling behind lead " + number, 1, eachOhm, 60))
                .toList());
        Double whole = read.get(leads);
        if (whole != null && whole <= chain.mostOhm(leads - 1)) {
            return new Coupled(
                    chain,
                    chain.all(),
                    Optional.empty(),
                    "The whole row reads " + Engineering.text(whole, "Ω") + ", at most "
                            + Engineering.text(chain.mostOhm(leads - 1), "Ω") + ": none of them is bad.");
        }
        Chain.Between known = chain.all();
        for (var each :
                read.entrySet().stream().sorted(Map.Entry.comparingByKey()).toList()) {
            if (each.getKey() < leads) {
                known = chain.after(known, each.getKey() - 1, each.getValue());
            }
        }
        return whole == null ? beforeTheWhole(chain, known, leads) : narrowed(chain, known);
    }

    private static Coupled beforeTheWhole(Chain chain, Chain.Between known, int leads) {
        return new Coupled(
                chain, known, Optional.of(leads), "Read the whole row first: from the start to its far end.");
    }

    private static Coupled narrowed(Chain chain, Chain.Between known) {
        if (known.first() > known.last()) {
            return new Coupled(
                    chain,
                    known,
                    Optional.empty(),
                    "These readings contradict each other: a coupling was touched badly, or more than one lead is bad.");
        }
        if (known.isFound()) {
            return new Coupled(
                    chain,
                    known,
                    Optional.empty(),
                    "Lead " + (known.first() + 1)
                            + ", or its coupling, is the bad one. Take it out, clean the coupling, and"
                            + " read the whole row again: another may hide behind it.");
        }
        int next = chain.next(known, Chain.Way.HALVING).orElseThrow() + 1;
        int most = (int) Math.ceil(Math.log(known.last() - known.first() + 1.0) / Math.log(2) - 1e-9);
        return new Coupled(
                chain,
                known,
                Optional.of(next),
                "It is one of leads " + (known.first() + 1) + " to " + (known.last() + 1) + ": at most " + most
                        + (most == 1 ? " more touch." : " more touches.") + " Touch behind lead " + next + ".");
    }
}
