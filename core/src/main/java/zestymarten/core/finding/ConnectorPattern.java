package zestymarten.core.finding;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Terminal;

/**
 * A whole connector wired reversed, or every wire of it beside its own cavity: a base to which other faults are added.
 *
 * @param connector its reference
 * @param by cavities towards the end of the face; 0 for a reversal
 * @param cavities where each used cavity's wires are; those that found no place are absent
 */
record ConnectorPattern(String connector, int by, Map<Terminal, Terminal> cavities) {
    private static final int MIN_MIRRORED = 4;
    private static final int MIN_SHIFTED = 2;

    ConnectorPattern {
        cavities = Map.copyOf(cavities);
    }

    /**
     * The patterns worth trying: those of which at least {@value #MIN_SHIFTED} wires answer where they put them. The
     * connectors where wires end come before those where they begin.
     */
    static List<ConnectorPattern> of(Assembly assembly, Partition seen) {
        List<ConnectorPattern> promising = new ArrayList<>();
        Map<Integer, List<Terminal>> answering = new HashMap<>();
        assembly.connectors()
                .forEach(connector -> connector
                        .terminals()
                        .forEach(pin -> answering
                                .computeIfAbsent(seen.group(pin), any -> new ArrayList<>())
                                .add(pin)));
        Set<String> order = new LinkedHashSet<>();
        assembly.conductors().forEach(wire -> order.add(wire.to().connector()));
        assembly.conductors().forEach(wire -> order.add(wire.from().connector()));
        for (String id : order) {
            assembly.connector(id)
                    .filter(connector -> connector.terminals().stream().noneMatch(assembly.bonded()::contains))
                    .ifPresent(connector ->
                            all(assembly, connector, offsets(assembly, connector, seen, answering)).stream()
                                    .filter(pattern -> pattern.answers(assembly, seen) >= MIN_SHIFTED)
                                    .forEach(promising::add));
        }
        return promising;
    }

    /** By how many cavities wires that are not home answer beside their own, and how many wires by as many. */
    private static Map<Integer, Integer> offsets(
            Assembly assembly, Connector connector, Partition seen, Map<Integer, List<Terminal>> answering) {
        List<Terminal> pins = connector.terminals();
        Map<Terminal, Integer> place = new HashMap<>();
        pins.forEach(pin -> place.put(pin, place.size()));
        Map<Integer, Integer> counts = new TreeMap<>();
        for (Conductor wire : assembly.conductors()) {
            for (Terminal end : List.of(wire.from(), wire.to())) {
                Integer own = place.get(end);
                if (own != null && !seen.joins(wire.from(), wire.to())) {
                    answering.getOrDefault(seen.group(wire.otherEnd(end)), List.of()).stream()
                            .filter(place::containsKey)
                            .forEach(pin -> counts.merge(place.getOrDefault(pin, 0) - own, 1, Integer::sum));
                }
            }
        }
        counts.remove(0);
        return counts;
    }

    private static List<ConnectorPattern> all(Assembly assembly, Connector connector, Map<Integer, Integer> offsets) {
        List<Terminal> pins = connector.terminals();
        Set<Integer> used = new TreeSet<>();
        Map<Terminal, Integer> place = new HashMap<>();
        pins.forEach(pin -> place.put(pin, place.size()));
        assembly.conductors()
                .forEach(wire -> Stream.of(wire.from(), wire.to())
                        .filter(place::containsKey)
                        .forEach(end -> used.add(place.getOrDefault(end, 0))));
        List<Integer> places = List.copyOf(used);
        List<ConnectorPattern> all = new ArrayList<>();
        if (places.size() >= MIN_MIRRORED && !offsets.isEmpty()) {
            Map<Terminal, Terminal> reversed = new LinkedHashMap<>();
            Map<Terminal, Terminal> turned = new LinkedHashMap<>();
            for (int i = 0; i < places.size(); i++) {
                reversed.put(pins.get(places.get(i)), pins.get(places.get(places.size() - 1 - i)));
                turned.put(pins.get(places.get(i)), pins.get(pins.size() - 1 - places.get(i)));
            }
            all.add(new ConnectorPattern(connector.id(), 0, reversed));
            if (!turned.equals(reversed)) {
                all.add(new ConnectorPattern(connector.id(), 0, turned));
            }
        }
        if (places.size() >= MIN_SHIFTED) {
            offsets.forEach((by, wires) -> {
                if (wires >= MIN_SHIFTED) {
                    all.add(shifted(connector.id(), by, pins, places));
                }
            });
        }
        return all;
    }

    private static ConnectorPattern shifted(String connector, int by, List<Terminal> pins, List<Integer> places) {
        Map<Terminal, Terminal> cavities = new LinkedHashMap<>();
        for (int place : places) {
            int now = place + by;
            if (now >= 0 && now < pins.size()) {
                cavities.put(pins.get(place), pins.get(now));
            }
        }
        return new ConnectorPattern(connector, by, cavities);
    }

    /** How many wires answer where the pattern puts them and not in their own cavity. */
    private long answers(Assembly assembly, Partition seen) {
        return assembly.conductors().stream()
                .filter(wire -> Stream.of(wire.from(), wire.to()).anyMatch(end -> {
                    Terminal cavity = cavities.get(end);
                    Terminal other = wire.otherEnd(end);
                    return cavity != null
                            && !cavity.equals(end)
                            && seen.joins(cavity, other)
                            && !seen.joins(end, other);
                }))
                .count();
    }

    /** The wires that hang out because the pattern leaves no cavity for them. */
    List<Conductor> without(Assembly assembly) {
        return assembly.conductors().stream()
                .filter(wire -> Stream.of(wire.from(), wire.to())
                        .anyMatch(
                                end -> end.connector().equals(connector) && end.isPin() && !cavities.containsKey(end)))
                .toList();
    }

    /** The assembly wired so; a wire that hangs out ends at a joint of its own. */
    Assembly applied(Assembly assembly) {
        return assembly.withConductors(assembly.conductors().stream()
                .map(wire -> wire.withEnds(now(wire.from()), now(wire.to())))
                .toList());
    }

    private Terminal now(Terminal end) {
        boolean here = end.isPin() && end.connector().equals(connector);
        return here ? cavities.getOrDefault(end, Terminal.of("out-of-" + end.connector() + "-" + end.pin())) : end;
    }

    /** Whether so many wires are too few to tell the pattern from single faults. */
    boolean isTooFew(int wires) {
        return wires < (by == 0 ? MIN_MIRRORED : MIN_SHIFTED);
    }

    /** Whether a finding says that a wire of the connector is not where the pattern puts it. */
    boolean isContradictedBy(Finding finding) {
        return finding.moved().stream()
                .anyMatch(move -> move.designed().connector().equals(connector));
    }

    /** The pattern as a finding about all its wires but those that are open. */
    Finding finding(Assembly assembly, Set<String> open) {
        List<Finding.Move> moves = new ArrayList<>();
        for (Conductor wire : assembly.conductors()) {
            for (Terminal end : List.of(wire.from(), wire.to())) {
                Terminal cavity = cavities.get(end);
                if (cavity != null && !open.contains(wire.id())) {
                    moves.add(new Finding.Move(wire.id(), end, cavity));
                }
            }
        }
        return by == 0 ? new Finding.Mirrored(moves) : new Finding.Shifted(moves, by);
    }
}
