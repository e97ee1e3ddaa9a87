package zestymarten.core.diagnosis;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.State;
import zestymarten.core.assembly.Terminal;

/**
 * Which faults a touch meets: those that would make it read something else than a good unit.
 *
 * <p>Rules: where a good unit reads a way through, the faults that name either place or another place that hangs together
 * with them by parts; where it reads open, those that lead from what hangs together with the one probe, ties included, to
 * what hangs together with the other. Cost: proportional to the faults met, and to the product of the two sides.
 */
final class Meeting {
    private final Design design;
    private final Places places;
    private final Atoms atoms;

    Meeting(Design design, Places places, Atoms atoms) {
        this.design = design;
        this.places = places;
        this.atoms = atoms;
    }

    /**
     * The faults that a touch meets, in their order.
     *
     * @param through whether a good unit reads a way through
     */
    Collection<Atom> atoms(Terminal a, Terminal b, State state, List<List<Terminal>> ties, boolean through) {
        Set<Atom> met = new LinkedHashSet<>();
        if (through) {
            Set<Integer> named = new LinkedHashSet<>(side(a, state, List.of()));
            named.addAll(side(b, state, List.of()));
            named.forEach(each -> met.addAll(atoms.at(each)));
            return met;
        }
        List<Integer> one = side(a, state, ties);
        List<Integer> other = side(b, state, ties);
        for (int x : one) {
            for (int y : other) {
                met.addAll(atoms.between(x, y));
            }
        }
        return met;
    }

    /** The places that hang together with a terminal by ties and by parts. */
    private List<Integer> side(Terminal terminal, State state, List<List<Terminal>> ties) {
        Set<Terminal> tied = new LinkedHashSet<>(Set.of(terminal));
        for (List<Terminal> tie : ties) {
            if (tie.stream().anyMatch(each -> places.of(each) == places.of(terminal))) {
                tied.addAll(tie);
            }
        }
        Set<Integer> side = new LinkedHashSet<>();
        for (Terminal each : tied) {
            side.add(places.of(each));
            design.besides(each, state).forEach(other -> side.add(places.of(other)));
        }
        return new ArrayList<>(side);
    }
}
