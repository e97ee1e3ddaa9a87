package zestymarten.core.fault;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Partition;
import zestymarten.core.network.Net;
import zestymarten.core.network.Path;

/**
 * Made-up harnesses and made-up faults in them, named as a finding would name them. Two connectors; most wires run straight
 * through, some legs meet in a splice, some nets are joined by a fuse, a resistor or a switch.
 */
public final class RandomHarness {
    private final Random random;
    private final Assembly assembly;
    private final Design design;
    private final List<SeededFault> faults = new ArrayList<>();
    private final List<String> truth = new ArrayList<>();
    private final Set<String> toFrame = new TreeSet<>();

    private RandomHarness(Random random, Assembly assembly) {
        this.random = random;
        this.assembly = assembly;
        design = Design.of(assembly, 20);
    }

    /** A straight cable of so many wires, with one or two empty cavities. */
    public static RandomHarness cable(Random random, int wires) {
        return new RandomHarness(random, RandomAssembly.of(random, wires, false));
    }

    /** A harness of so many conductors, with splices, components and a bonded wire. */
    public static RandomHarness harness(Random random, int wires) {
        return new RandomHarness(random, RandomAssembly.of(random, wires, true));
    }

    public Assembly assembly() {
        return assembly;
    }

    public Design design() {
        return design;
    }

    public List<SeededFault> faults() {
        return List.copyOf(faults);
    }

    /** The faults as findings tell them: kind and names. */
    public List<String> truth() {
        List<String> all = new ArrayList<>(truth);
        if (!toFrame.isEmpty()) {
            all.add("frame_short " + toFrame);
        }
        return all;
    }

    /** The unit with its faults; every wire a few percent off its nominal ohms. */
    public FaultyUnit unit() {
        return FaultyUnit.of(GoodUnit.spread(design, any -> 1 + 0.06 * (random.nextDouble() - 0.5)), faults);
    }

    /** Puts so many faults into it, each on nets of its own and not next to one another by a component. */
    public RandomHarness sabotage(int count) {
        List<Net> free = new ArrayList<>(design.nets().all());
        free.removeIf(Net::isOnFrame);
        Collections.shuffle(free, random);
        List<Terminal> empty = new ArrayList<>(assembly.emptyCavities());
        for (int i = 0; i < count && free.size() >= 3; i++) {
            one(free, empty);
        }
        return this;
    }

    /**
     * Draws the faults of a cable with just the odds that an analysis may be given: a wire is open, has a high resistance, has
     * its far end in an empty cavity, or lies on the frame with so much each; two wires are crossed, or shorted, with twice as
     * much over the number of wires. Each comes whether or not there are others; what no wire can have is drawn anew.
     */
    public RandomHarness strike(double odds) {
        List<SeededFault> drawn = drawn(odds);
        while (!isPossible(drawn)) {
            drawn = drawn(odds);
        }
        faults.addAll(drawn);
        drawn.forEach(this::tell);
        tellJoined(drawn);
        return this;
    }

    private List<SeededFault> drawn(double odds) {
        List<Conductor> wires = assembly.conductors();
        List<Terminal> empty = assembly.emptyCavities();
        List<SeededFault> drawn = new ArrayList<>();
        List<Terminal> ends = new ArrayList<>();
        double ofPair = 2 * odds / wires.size();
        for (Conductor wire : wires) {
            ends.add(wire.from());
            if (comes(odds)) {
                drawn.add(new SeededFault.Open(wire.id()));
                ends.add(wire.to());
            }
            if (comes(odds)) {
                drawn.add(new SeededFault.High(wire.id(), 3 + 40 * random.nextDouble()));
            }
            if (comes(odds)) {
                drawn.add(new SeededFault.Moved(Map.of(wire.id(), empty.get(random.nextInt(empty.size())))));
            }
            for (Conductor other : wires.subList(0, wires.indexOf(wire))) {
                if (comes(ofPair)) {
                    drawn.add(new SeededFault.Moved(Map.of(wire.id(), other.to(), other.id(), wire.to())));
                }
            }
        }
        for (Terminal end : ends) {
            if (comes(odds)) {
                drawn.add(new SeededFault.Shorted(end, Terminal.FRAME, 3 * random.nextDouble()));
            }
            for (Terminal other : ends.subList(0, ends.indexOf(end))) {
                if (comes(ofPair) && !other.equals(otherEnd(end))) {
                    drawn.add(new SeededFault.Shorted(end, other, 3 * random.nextDouble()));
                }
            }
        }
        return drawn;
    }

    private Terminal otherEnd(Terminal end) {
        return assembly.conductors().stream()
                .filter(wire -> wire.to().equals(end))
                .map(Conductor::from)
                .findFirst()
                .orElse(end);
    }

    private boolean comes(double odds) {
        return random.nextDouble() < odds / (1 + odds);
    }

    /** Whether no wire is two of open, high and moved, and no cavity has two wires. */
    private static boolean isPossible(List<SeededFault> drawn) {
        List<Object> taken = new ArrayList<>();
        for (SeededFault each : drawn) {
            if (each instanceof SeededFault.Open open) {
                taken.add(open.conductor());
            } else if (each instanceof SeededFault.High high) {
                taken.add(high.conductor());
            } else if (each instanceof SeededFault.Moved moved) {
                taken.addAll(moved.cavities().keySet());
                taken.addAll(moved.cavities().values());
            }
        }
        return Set.copyOf(taken).size() == taken.size();
    }

    private void tell(SeededFault fault) {
        if (fault instanceof SeededFault.Open open) {
            tell("open", open.conductor());
        } else if (fault instanceof SeededFault.High high) {
            tell("high_resistance", high.conductor());
        } else if (fault instanceof SeededFault.Moved moved) {
            String[] wires = moved.cavities().keySet().toArray(String[]::new);
            tell(wires.length == 1 ? "misplaced" : "crossed", wires);
        }
    }

    /** What hangs together by shorts is one finding. */
    private void tellJoined(List<SeededFault> drawn) {
        List<Partition.JoinedPair> joints = drawn.stream()
                .flatMap(each -> each instanceof SeededFault.Shorted at
                        ? Stream.of(new Partition.JoinedPair(at.a(), at.b()))
                        : Stream.empty())
                .toList();
        Partition joined = Partition.of(assembly.terminals(), joints);
        Map<Integer, Set<String>> groups = new TreeMap<>();
        for (Conductor wire : assembly.conductors()) {
            for (Terminal end : List.of(wire.from(), wire.to())) {
                groups.computeIfAbsent(joined.group(end), any -> new TreeSet<>())
                        .add(wire.id());
            }
        }
        int frame = joined.group(Terminal.FRAME);
        groups.forEach((group, wires) -> {
            if (group == frame || wires.size() > 1) {
                tell(group == frame ? "frame_short" : "short", wires.toArray(String[]::new));
            }
        });
    }

    private void one(List<Net> free, List<Terminal> empty) {
        Net net = free.remove(0);
        Conductor wire = net.conductors().get(random.nextInt(net.conductors().size()));
        switch (random.nextInt(assembly.components().isEmpty() ? 6 : 7)) {
            case 0 -> add(new SeededFault.Open(wire.id()), "open", wire.id());
            case 1 -> add(new SeededFault.High(wire.id(), 3 + 40 * random.nextDouble()), "high_resistance", wire.id());
            case 2 -> shorted(net, free);
            case 3 -> {
                faults.add(new SeededFault.Shorted(net.ends().get(0), Terminal.FRAME, 3 * random.nextDouble()));
                net.conductors().forEach(each -> toFrame.add(each.id()));
            }
            case 4 -> crossed(free, net);
            case 5 -> {
                if (net.isTwoEnded() && !empty.isEmpty()) {
                    Conductor only = net.conductors().get(0);
                    add(new SeededFault.Moved(Map.of(only.id(), empty.remove(0))), "misplaced", only.id());
                }
            }
            default -> part(free);
        }
    }

    private void add(SeededFault fault, String kind, String... names) {
        faults.add(fault);
        tell(kind, names);
    }

    private void tell(String kind, String... names) {
        truth.add(kind + " " + new TreeSet<>(List.of(names)));
    }

    /** Nets that hang together by components are left out: a short beside a component reads like the component's own. */
    private void shorted(Net net, List<Net> free) {
        Optional<Net> partner =
                free.stream().filter(each -> !hangTogether(net, each)).reduce((first, last) -> last);
        if (partner.isEmpty()) {
            return;
        }
        Net other = partner.get();
        free.remove(other);
        faults.add(new SeededFault.Shorted(net.ends().get(0), other.ends().get(0), 3 * random.nextDouble()));
        Set<String> names = new TreeSet<>();
        net.conductors().forEach(each -> names.add(each.id()));
        other.conductors().forEach(each -> names.add(each.id()));
        truth.add("short " + names);
    }

    /** Whether a fuse lies between two nets: its few milliohms are all that tells their crossing from none. */
    private boolean isBridgedByLittle(Net one, Net other) {
        return design.path(one.ends().get(0), other.ends().get(0)) instanceof Path.Ohmic way
                && way.nominal().value() < 5;
    }

    private boolean hangTogether(Net one, Net other) {
        SwitchState held = assembly.states().get(assembly.states().size() - 1);
        return design.path(one.ends().get(0), other.ends().get(0), held, List.of()) instanceof Path.Ohmic;
    }

    private void crossed(List<Net> free, Net net) {
        Optional<Net> other = free.stream()
                .filter(each -> each.isTwoEnded() && !isBridgedByLittle(net, each))
                .findFirst();
        if (!net.isTwoEnded() || other.isEmpty()) {
            return;
        }
        free.remove(other.get());
        Conductor one = net.conductors().get(0);
        Conductor two = other.get().conductors().get(0);
        add(new SeededFault.Moved(Map.of(one.id(), two.to(), two.id(), one.to())), "crossed", one.id(), two.id());
    }

    /** A component open, or a contact stuck, between nets that have no other fault. */
    private void part(List<Net> free) {
        for (Component part : assembly.components()) {
            List<Net> nets = free.stream()
                    .filter(net -> net.ends().contains(part.a()) || net.ends().contains(part.b()))
                    .toList();
            boolean named = truth.stream().anyMatch(each -> each.contains(part.id()));
            if (nets.size() == 2 && !named) {
                free.removeAll(nets);
                if (part.kind().isContact()) {
                    add(new SeededFault.PartStuck(part.id(), random.nextBoolean()), "component_state", part.id());
                } else if (part.kind() == Component.ComponentKind.RESISTOR && random.nextBoolean()) {
                    add(new SeededFault.PartValue(part.id(), 1.5), "component_value", part.id());
                } else {
                    add(new SeededFault.PartOpen(part.id()), "component_open", part.id());
                }
                return;
            }
        }
    }
}
