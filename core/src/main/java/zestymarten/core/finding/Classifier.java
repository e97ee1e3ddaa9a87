package zestymarten.core.finding;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.network.Net;
import zestymarten.core.network.Nets;

/**
 * Explains which terminals are joined by the fewest faults of the wiring.
 *
 * <p>Method: a wire whose two ends are joined is home and stays out of it. Of the others, {@link Moves} decides which far
 * ends sit in which cavities: a whole connector reversed or shifted is one finding, see {@link Patterns}; else each cycle
 * of moves is one <em>crossed</em>, every other one <em>misplaced</em>; what did not move is <em>open</em>. A wire that is
 * bonded to the frame on purpose stands for the frame. Nets of several wires are cut where their terminals fall apart, with as few cuts as their
 * tree allows. What then still shares a group is one <em>short</em>, or one <em>frame short</em> if the frame is in it; a
 * single one with cavities that should be empty is <em>extra</em>.
 * Cost: linear in the conductors but for {@link Moves}. Order: by first conductor in design order. Holds for: applying
 * the findings to the expected network gives the same groups again.
 */
public final class Classifier {
    private final Assembly assembly;
    private final Nets nets;
    private final Partition seen;
    private final Map<String, Integer> designOrder = new HashMap<>();
    private final List<Conductor> home = new ArrayList<>();
    private final List<Conductor> away = new ArrayList<>();
    /** Places in {@link #away} that a reversal or a shift of a whole connector has named already. */
    private final Set<Integer> named = new HashSet<>();

    private final Map<Integer, List<Piece>> pieces = new TreeMap<>();
    private final List<Finding> findings = new ArrayList<>();

    /** Something that hangs together by itself and sits in one observed group. */
    private record Piece(List<String> conductors, Terminal terminal, String name, boolean frame) {
        boolean isCavity() {
            return conductors.isEmpty() && !frame;
        }
    }

    private Classifier(Assembly assembly, Nets nets, Partition seen) {
        this.assembly = assembly;
        this.nets = nets;
        this.seen = seen;
        for (Conductor conductor : assembly.conductors()) {
            designOrder.put(conductor.id(), designOrder.size());
        }
    }

    /** The faults that explain what was seen; empty if the unit is wired as designed. */
    public static List<Finding> classify(Assembly assembly, Nets nets, Partition seen) {
        return new Classifier(assembly, nets, seen).run();
    }

    private List<Finding> run() {
        place(new Piece(List.of(), Terminal.FRAME, "the frame", true));
        for (Net net : nets.all()) {
            if (!net.isTwoEnded()) {
                pieceByPiece(net);
            } else if (seen.joins(net.ends().get(0), net.ends().get(1))) {
                home.add(net.conductors().get(0));
                if (net.ends().stream().noneMatch(this::standsForFrame)) {
                    String id = net.conductors().get(0).id();
                    place(new Piece(List.of(id), net.ends().get(0), id, false));
                }
            } else {
                away.add(net.conductors().get(0));
            }
        }
        resolveAway();
        brokenBonds();
        pieces.values().forEach(this::merged);
        findings.sort(Comparator.comparingInt(finding -> finding.conductors().isEmpty()
                ? -1
                : designOrder.getOrDefault(finding.conductors().get(0), -1)));
        return List.copyOf(findings);
    }

    /** The frame itself, and a pin that is bonded to it and was seen to be: in the frame's group they are no piece of their own. */
    private boolean standsForFrame(Terminal terminal) {
        return terminal.isFrame() || (assembly.bonded().contains(terminal) && seen.joins(terminal, Terminal.FRAME));
    }

    private void brokenBonds() {
        for (Conductor conductor : assembly.conductors()) {
            for (Terminal end : List.of(conductor.from(), conductor.to())) {
                if (assembly.bonded().contains(end) && !seen.joins(end, Terminal.FRAME)) {
                    findings.add(new Finding.Open(conductor.id(), end, Terminal.FRAME));
                }
            }
        }
    }

    private void place(Piece piece) {
        pieces.computeIfAbsent(seen.group(piece.terminal()), any -> new ArrayList<>())
                .add(piece);
    }

    /** Wires that are not home: moved, or open with two stubs. Cavities are numbered as their wires, empty ones after. */
    private void resolveAway() {
        List<Terminal> cavities = new ArrayList<>();
        List<Moves.Wire> wires = new ArrayList<>();
        Map<Integer, Integer> groupOfCavity = new HashMap<>();
        Map<Integer, Integer> wireOfCavity = new HashMap<>();
        for (int i = 0; i < away.size(); i++) {
            Conductor conductor = away.get(i);
            cavities.add(conductor.to());
            wires.add(new Moves.Wire(i, seen.group(conductor.from()), i, standsForFrame(conductor.from())));
            wireOfCavity.put(i, i);
            if (conductor.to().isPin() && conductor.from().isPin()) {
                groupOfCavity.put(i, seen.group(conductor.to()));
            }
        }
        for (Terminal empty : assembly.emptyCavities()) {
            groupOfCavity.put(cavities.size(), seen.group(empty));
            cavities.add(empty);
        }
        Set<Integer> occupied = new HashSet<>();
        pieces.forEach((group, members) -> {
            if (!members.stream().allMatch(Piece::frame)) {
                occupied.add(group);
            }
        });
        Map<Integer, Integer> moves = new Moves(wires, groupOfCavity, occupied, seen.group(Terminal.FRAME)).decide();
        Map<Integer, Integer> single = new TreeMap<>(moves);
        for (Patterns.Found pattern : Patterns.of(assembly, away, home, moves, cavities)) {
            findings.add(pattern.finding());
            single.keySet().removeAll(pattern.away());
            named.addAll(pattern.away());
        }
        nameMoves(single, Moves.cycles(single, wireOfCavity), cavities);
        placeStubs(moves, cavities);
    }

    private void nameMoves(Map<Integer, Integer> moves, List<List<Integer>> cycles, List<Terminal> cavities) {
        Set<Integer> inCycles = new HashSet<>();
        for (List<Integer> cycle : cycles) {
            inCycles.addAll(cycle);
            List<Integer> ordered = cycle.stream().sorted().toList();
            findings.add(new Finding.Crossed(
                    ordered.stream().map(i -> away.get(i).id()).toList(),
                    ordered.stream()
                            .map(i -> cavities.get(moves.getOrDefault(i, i)))
                            .toList()));
        }
        for (int i = 0; i < away.size(); i++) {
            Conductor conductor = away.get(i);
            if (named.contains(i)) {
                continue;
            }
            if (!moves.containsKey(i)) {
                findings.add(new Finding.Open(conductor.id(), conductor.from(), conductor.to()));
            } else if (!inCycles.contains(i)) {
                findings.add(
                        new Finding.Misplaced(conductor.id(), conductor.to(), cavities.get(moves.getOrDefault(i, i))));
            }
        }
    }

    private void placeStubs(Map<Integer, Integer> moves, List<Terminal> cavities) {
        for (int i = 0; i < away.size(); i++) {
            Conductor conductor = away.get(i);
            boolean moved = moves.containsKey(i);
            String name = moved ? conductor.id() : side(conductor, conductor.from());
            if (!standsForFrame(conductor.from())) {
                place(new Piece(List.of(conductor.id()), conductor.from(), name, false));
            }
            if (!moved && !standsForFrame(conductor.to()) && !moves.containsValue(i)) {
                place(new Piece(List.of(conductor.id()), conductor.to(), side(conductor, conductor.to()), false));
            }
        }
        for (int cavity = 0; cavity < cavities.size(); cavity++) {
            boolean vacated = cavity >= away.size() || moves.containsKey(cavity);
            if (vacated && !moves.containsValue(cavity)) {
                Terminal terminal = cavities.get(cavity);
                if (standsForFrame(terminal)) {
                    continue;
                }
                place(new Piece(List.of(), terminal, "the empty cavity " + terminal, false));
            }
        }
    }

    private static String side(Conductor conductor, Terminal end) {
        return "the " + (end.isPin() ? end.connector() : end.name()) + " side of " + conductor.id();
    }

    /** A net of several wires: cut where its terminals fall apart, each remaining part one piece. */
    private void pieceByPiece(Net net) {
        Map<Terminal, Integer> groupOf = NetCuts.label(net, seen);
        List<Conductor> whole = new ArrayList<>();
        for (Conductor conductor : net.conductors()) {
            if (groupOf.getOrDefault(conductor.from(), -1).equals(groupOf.getOrDefault(conductor.to(), -1))) {
                whole.add(conductor);
            } else {
                findings.add(new Finding.Open(conductor.id(), conductor.from(), conductor.to()));
            }
        }
        Map<Terminal, List<String>> parts = NetCuts.parts(net, whole);
        Set<List<String>> placed = new HashSet<>();
        for (Terminal end : net.ends()) {
            List<String> names = parts.getOrDefault(end, List.of());
            if (standsForFrame(end) || holdsFrame(parts, names)) {
                continue;
            }
            if (names.isEmpty()) {
                Conductor at = net.conductors().stream()
                        .filter(each -> each.from().equals(end) || each.to().equals(end))
                        .findFirst()
                        .orElseThrow();
                place(new Piece(List.of(at.id()), end, side(at, end), false));
            } else if (placed.add(names)) {
                place(new Piece(names, end, Told.and(names), false));
            }
        }
    }

    /** Whether a remaining part of a net is joined to the frame on purpose, at whichever of its terminals. */
    private boolean holdsFrame(Map<Terminal, List<String>> parts, List<String> names) {
        return !names.isEmpty()
                && parts.entrySet().stream()
                        .anyMatch(part -> part.getValue().equals(names) && standsForFrame(part.getKey()));
    }

    /** Place of a piece's first conductor in the design; pieces without one come last. */
    private int firstInDesign(Piece piece) {
        return piece.conductors().stream()
                .mapToInt(id -> designOrder.getOrDefault(id, 0))
                .min()
                .orElse(Integer.MAX_VALUE);
    }

    private void merged(List<Piece> group) {
        boolean frame = group.stream().anyMatch(Piece::frame);
        List<Piece> others = group.stream()
                .filter(piece -> !piece.frame())
                .sorted(Comparator.comparingInt(this::firstInDesign))
                .toList();
        if (group.size() < 2) {
            return;
        }
        LinkedHashMap<String, Integer> names = new LinkedHashMap<>();
        others.forEach(piece -> piece.conductors().forEach(id -> names.put(id, designOrder.getOrDefault(id, 0))));
        List<String> conductors = names.keySet().stream()
                .sorted(Comparator.comparingInt(id -> names.getOrDefault(id, 0)))
                .toList();
        List<Terminal> terminals = others.stream().map(Piece::terminal).toList();
        List<String> called = others.stream().map(Piece::name).toList();
        if (group.stream().filter(piece -> !piece.isCavity()).count() < 2) {
            List<Terminal> ends = new ArrayList<>(terminals);
            List<String> all = new ArrayList<>(called);
            if (frame) {
                ends.add(Terminal.FRAME);
                all.add("the frame");
            }
            findings.add(new Finding.Extra(conductors, ends, all));
        } else if (frame) {
            findings.add(new Finding.FrameShort(conductors, terminals, called));
        } else {
            findings.add(new Finding.Shorted(conductors, terminals, called));
        }
    }
}
