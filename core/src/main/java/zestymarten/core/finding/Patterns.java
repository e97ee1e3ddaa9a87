package zestymarten.core.finding;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeSet;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Terminal;

/**
 * Moves that are one fault of a whole connector: its positions reversed, or all its wires beside their own cavities.
 *
 * <p>Method: the wires whose far ends belong to one connector are put in the order of its cavities. They are mirrored if
 * each sits where the reversal of the used positions puts it (the middle one unmoved), at least {@value #LEAST_MIRRORED}
 * of them; shifted if all moved by the same number of cavities without wrapping. Wires that read open may be missing from
 * either; a wire that stayed at home rules both out. Taken only where it saves a finding. Cost: linear in the wires.
 */
final class Patterns {
    private static final int LEAST_MIRRORED = 4;

    private Patterns() {}

    /**
     * A pattern and the wires that it explains.
     *
     * @param away places of its wires among those that are not home
     */
    record Found(Finding finding, List<Integer> away) {}

    /** A wire of the connector: where it belongs, and where it is if that is known. */
    private record Placed(Conductor conductor, int design, OptionalInt cavity, Optional<Integer> away) {}

    static List<Found> of(
            Assembly assembly,
            List<Conductor> away,
            List<Conductor> home,
            Map<Integer, Integer> moves,
            List<Terminal> cavities) {
        if (moves.size() < 2) {
            return List.of();
        }
        Map<String, Integer> order = new HashMap<>();
        assembly.conductors().forEach(conductor -> order.put(conductor.id(), order.size()));
        Map<String, List<Placed>> byConnector = new LinkedHashMap<>();
        Map<Terminal, Integer> place = new HashMap<>();
        for (Connector connector : assembly.connectors()) {
            connector.terminals().forEach(terminal -> place.put(terminal, place.size()));
        }
        for (Conductor conductor : home) {
            add(
                    byConnector,
                    new Placed(
                            conductor,
                            order.getOrDefault(conductor.id(), 0),
                            at(place, conductor.to()),
                            Optional.empty()));
        }
        for (int i = 0; i < away.size(); i++) {
            Integer cavity = moves.get(i);
            OptionalInt now = cavity == null ? OptionalInt.empty() : at(place, cavities.get(cavity));
            add(
                    byConnector,
                    new Placed(away.get(i), order.getOrDefault(away.get(i).id(), 0), now, Optional.of(i)));
        }
        List<Found> found = new ArrayList<>();
        byConnector
                .values()
                .forEach(wires -> mirrored(wires, place, assembly)
                        .or(() -> shifted(wires, place, assembly))
                        .ifPresent(found::add));
        return found;
    }

    private static void add(Map<String, List<Placed>> byConnector, Placed wire) {
        if (wire.conductor().to().isPin()) {
            byConnector
                    .computeIfAbsent(wire.conductor().to().connector(), any -> new ArrayList<>())
                    .add(wire);
        }
    }

    private static OptionalInt at(Map<Terminal, Integer> place, Terminal terminal) {
        Integer number = place.get(terminal);
        return number == null ? OptionalInt.empty() : OptionalInt.of(number);
    }

    private static Optional<Found> mirrored(List<Placed> wires, Map<Terminal, Integer> place, Assembly assembly) {
        List<Integer> used = List.copyOf(new TreeSet<>(wires.stream()
                .map(wire -> place.getOrDefault(wire.conductor().to(), -1))
                .toList()));
        List<Placed> reversed = new ArrayList<>();
        for (Placed wire : wires) {
            int rank = used.indexOf(place.getOrDefault(wire.conductor().to(), -1));
            int mirror = used.get(used.size() - 1 - rank);
            if (wire.cavity().isPresent() && wire.cavity().getAsInt() != mirror) {
                return Optional.empty();
            }
            if (wire.cavity().isPresent()) {
                reversed.add(wire);
            }
        }
        if (used.size() < wires.size() || reversed.size() < LEAST_MIRRORED) {
            return Optional.empty();
        }
        return Optional.of(found(reversed, assembly, Finding.Mirrored::new));
    }

    private static Optional<Found> shifted(List<Placed> wires, Map<Terminal, Integer> place, Assembly assembly) {
        OptionalInt by = OptionalInt.empty();
        List<Placed> moved = new ArrayList<>();
        for (Placed wire : wires) {
            if (wire.cavity().isEmpty()) {
                continue;
            }
            int offset = wire.cavity().getAsInt()
                    - place.getOrDefault(wire.conductor().to(), -1);
            if (offset == 0 || (by.isPresent() && by.getAsInt() != offset)) {
                return Optional.empty();
            }
            by = OptionalInt.of(offset);
            moved.add(wire);
        }
        if (by.isEmpty() || moved.size() < 2 || !isOneConnector(moved, assembly, place)) {
            return Optional.empty();
        }
        int offset = by.getAsInt();
        return Optional.of(found(moved, assembly, (names, terminals) -> new Finding.Shifted(names, terminals, offset)));
    }

    /** Whether every wire is still in the connector to which it belongs. */
    private static boolean isOneConnector(List<Placed> moved, Assembly assembly, Map<Terminal, Integer> place) {
        return moved.stream().allMatch(wire -> {
            Terminal now = terminal(wire, assembly);
            return now.connector().equals(wire.conductor().to().connector()) && place.containsKey(now);
        });
    }

    private static Terminal terminal(Placed wire, Assembly assembly) {
        int left = wire.cavity().orElseThrow();
        for (Connector connector : assembly.connectors()) {
            if (left < connector.pins().size()) {
                return connector.terminals().get(left);
            }
            left -= connector.pins().size();
        }
        throw new IllegalStateException("No connector has cavity number " + wire.cavity() + ".");
    }

    private interface Named {
        Finding of(List<String> conductors, List<Terminal> terminals);
    }

    private static Found found(List<Placed> wires, Assembly assembly, Named named) {
        List<Placed> inDesign = wires.stream()
                .sorted(java.util.Comparator.comparingInt(Placed::design))
                .toList();
        return new Found(
                named.of(
                        inDesign.stream().map(wire -> wire.conductor().id()).toList(),
                        inDesign.stream().map(wire -> terminal(wire, assembly)).toList()),
                inDesign.stream().flatMap(wire -> wire.away().stream()).toList());
    }
}
