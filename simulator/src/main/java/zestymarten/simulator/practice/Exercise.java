package zestymarten.simulator.practice;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.fault.GoodUnit;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.quantity.Message;
import zestymarten.simulator.unit.BenchUnit;
import zestymarten.simulator.unit.Flaw;

/**
 * A unit that has symptoms.
 *
 * @param id by which it is kept: small letters and hyphens
 * @param grade from 1, for a first day, to 4
 * @param trade the code of what it is of: cable, harness, ring, winding ...
 * @param title what it is called
 * @param story what the machine does, in the words of whoever uses it
 * @param symptoms the same for the diagnosis, by function
 * @param places where connectors are; those not in it are within reach from everywhere
 * @param flaws what nobody says
 * @param par how it is done well, as it is typed; empty where a solver is to find it
 */
public record Exercise(
        String id,
        int grade,
        String trade,
        Message title,
        Message story,
        Symptoms symptoms,
        Assembly assembly,
        Map<String, String> places,
        List<Flaw> flaws,
        List<String> par) {
    private static final double AMBIENT_C = 20;
    private static final double UNLIKE = 0.02;

    public Exercise {
        places = Map.copyOf(places);
        flaws = List.copyOf(flaws);
        par = List.copyOf(par);
        if (flaws.isEmpty()) {
            throw new IllegalArgumentException("Exercise '" + id + "' has nothing wrong with it.");
        }
    }

    Design design() {
        return Design.of(assembly, AMBIENT_C);
    }

    /** The unit; no two of its wires are quite alike. */
    BenchUnit unit(Design design) {
        List<String> ids = assembly.conductors().stream().map(each -> each.id()).toList();
        return new BenchUnit(
                GoodUnit.spread(design, wire -> 1 + UNLIKE * Math.sin(7.3 * (ids.indexOf(wire.id()) + 1))), flaws);
    }

    /** Where the technician can stand, the first one at the beginning; empty where everything is within reach. */
    public List<String> standpoints() {
        Set<String> all = new LinkedHashSet<>();
        assembly.connectors()
                .forEach(each -> Optional.ofNullable(places.get(each.id())).ifPresent(all::add));
        return List.copyOf(all);
    }

    /** Where it can be bent: zones and connectors. */
    public List<String> bends() {
        Set<String> all = new LinkedHashSet<>();
        assembly.conductors().forEach(each -> each.zone().ifPresent(all::add));
        assembly.connectors().forEach(each -> all.add(each.id()));
        return List.copyOf(all);
    }

    /** Where a terminal is; empty where that does not matter. */
    Optional<String> place(Terminal terminal) {
        return Optional.ofNullable(places.get(terminal.connector()));
    }

    /** How it is done well. */
    public List<PracticeAction> best() {
        if (par.isEmpty()) {
            return Solver.solve(this);
        }
        List<PracticeAction> actions = new ArrayList<>();
        for (String each : par) {
            actions.add(PracticeAction.of(each)
                    .orElseThrow(() -> new IllegalStateException("Exercise '" + id + "': '" + each + "' is no act.")));
        }
        return actions;
    }
}
