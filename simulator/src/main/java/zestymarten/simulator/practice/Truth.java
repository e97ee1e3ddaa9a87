package zestymarten.simulator.practice;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.fault.SeededFault;
import zestymarten.core.quantity.Message;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.RepairRules;
import zestymarten.simulator.unit.Flaw;

/**
 * What a flaw is called when it is named rightly.
 *
 * @param kind as findings name it
 * @param groups one name of each has to be said, and none besides
 * @param where it has to be found too; empty where that is not asked
 * @param ways of repair that fit
 */
record Truth(Flaw flaw, String kind, List<Set<String>> groups, String where, List<Entry.Way> ways) {
    Truth {
        groups = List.copyOf(groups);
        ways = List.copyOf(ways);
    }

    static Truth of(Flaw flaw, Design design) {
        return flaw.fold(new Flaw.Cases<>(
                wired -> of(flaw, wired.fault(), design),
                oxide -> made(flaw, "contact_surface", List.of(names(design, oxide.contact())), "", design),
                drifting -> made(flaw, "high_resistance", List.of(Set.of(drifting.conductor())), "", design),
                loose -> made(flaw, "intermittent", List.of(Set.of(loose.conductor())), loose.place(), design),
                open -> made(flaw, "intermittent", List.of(Set.of(open.conductor())), open.state(), design),
                weak -> made(flaw, "insulation_low", sides(design, weak.a(), weak.b()), "", design),
                breaks -> made(flaw, "withstand", sides(design, breaks.a(), breaks.b()), "", design)));
    }

    private static Truth of(Flaw flaw, SeededFault fault, Design design) {
        return fault.fold(new SeededFault.FaultCases<>(
                open -> made(flaw, "open", List.of(Set.of(open.conductor())), "", design),
                high -> made(flaw, "high_resistance", List.of(Set.of(high.conductor())), "", design),
                jumping -> made(flaw, "intermittent", List.of(Set.of(jumping.conductor())), "", design),
                shorted -> made(
                        flaw,
                        shorted.a().isFrame() || shorted.b().isFrame() ? "frame_short" : "short",
                        sides(design, shorted.a(), shorted.b()),
                        "",
                        design),
                moved -> made(
                        flaw,
                        moved.cavities().size() > 1 ? "crossed" : "misplaced",
                        moved.cavities().keySet().stream().map(Set::of).toList(),
                        "",
                        design),
                unbonded -> made(flaw, "open", List.of(names(design, unbonded.terminal())), "", design),
                open -> made(flaw, "component_open", List.of(Set.of(open.component())), "", design),
                shorted -> made(flaw, "component_short", List.of(Set.of(shorted.component())), "", design),
                value -> made(flaw, "component_value", List.of(Set.of(value.component())), "", design),
                stuck -> made(flaw, "component_state", List.of(Set.of(stuck.component())), "", design)));
    }

    private static Truth made(Flaw flaw, String kind, List<Set<String>> groups, String where, Design design) {
        boolean flexes = groups.stream()
                .flatMap(Set::stream)
                .anyMatch(name -> design.assembly().conductors().stream()
                        .anyMatch(each -> each.id().equals(name)
                                && each.zone().filter("flexing"::equals).isPresent()));
        return new Truth(flaw, kind, groups, where, RepairRules.first(kind, flexes));
    }

    /** Both sides of what joins two terminals; the frame goes without saying. */
    private static List<Set<String>> sides(Design design, Terminal a, Terminal b) {
        return Stream.of(a, b)
                .filter(each -> !each.isFrame())
                .map(each -> names(design, each))
                .toList();
    }

    /** What a terminal may be called: itself, the wires of its net, the parts on it. */
    private static Set<String> names(Design design, Terminal terminal) {
        Set<String> names = new LinkedHashSet<>();
        design.nets()
                .of(terminal)
                .ifPresent(net -> net.conductors().stream().map(Conductor::id).forEach(names::add));
        design.assembly().components().stream()
                .filter(each -> each.a().equals(terminal) || each.b().equals(terminal))
                .map(Component::id)
                .forEach(names::add);
        names.add(terminal.name());
        return names;
    }

    /** Whether names mean this flaw and nothing else. */
    boolean isNamedBy(List<String> names) {
        List<String> left = new ArrayList<>(names);
        boolean all = groups.stream().allMatch(group -> left.removeIf(group::contains));
        return all && left.isEmpty();
    }

    /** Whether it is what was said, its place aside. */
    boolean is(PracticeAction.Say said) {
        return kind.equals(said.kind()) && isNamedBy(said.names());
    }

    /** How it is said rightly. */
    PracticeAction.Say said() {
        return new PracticeAction.Say(
                kind, groups.stream().map(each -> each.iterator().next()).toList(), where);
    }

    /** Whether a measurement is on what a flaw is on: its wires' ends, its part's, its terminals. */
    boolean concerns(PracticeAction.Measure measurement, Design design) {
        return Stream.of(measurement.black(), measurement.red())
                .anyMatch(end -> groups.stream()
                        .anyMatch(group -> group.contains(end.name())
                                || design.nets()
                                        .of(end)
                                        .map(net ->
                                                net.conductors().stream().anyMatch(each -> group.contains(each.id())))
                                        .orElse(false)
                                || design.assembly().components().stream()
                                        .anyMatch(part -> group.contains(part.id())
                                                && (part.a().equals(end)
                                                        || part.b().equals(end)))));
    }

    /** What was wrong, for when it is over: kind, names, and where. */
    Message words() {
        return Message.of(
                "practice_session.was",
                Message.of("finding_kind." + kind),
                String.join(" ", said().names()),
                !where.isEmpty(),
                where);
    }
}
