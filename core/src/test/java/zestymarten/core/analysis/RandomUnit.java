package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;

/**
 * A made-up unit of every kind with made-up faults, and what a meter reads on it: an oracle of its own, solved densely and
 * without any code of the product but the values of an assembly.
 */
public final class RandomUnit {
    public static final TestConditions CONDITIONS = new TestConditions(
            20,
            new MeterProfile("meter", 0.002, 0.01, 30, false, 20e6),
            OptionalDouble.of(0.2),
            LeadPolicy.FULL,
            false,
            TestConditions.JOINED_BELOW_OHM);

    /** What sort of nets the unit is made of besides plain wires. */
    public enum Family {
        PLAIN,
        LENGTHS,
        SPLICE,
        PARALLEL,
        CHAIN,
        LOADS,
        STAR,
        DELTA,
        CONTACTS,
        DIODE,
        BONDED,
        THREE_CONNECTORS,
        RING,
        MIXED
    }

    private final Random random;
    private final RandomWiring wiring;
    private final List<Conductor> wires;
    private final List<Component> parts;
    private final List<Terminal> bonded;
    private final Map<String, Double> ohm = new HashMap<>();
    private final List<String> truth = new ArrayList<>();
    private final Set<String> cut = new TreeSet<>();
    private final Map<String, Terminal> from = new HashMap<>();
    private final Map<String, Terminal> to = new HashMap<>();
    private final List<Joined> joints = new ArrayList<>();
    private final Map<String, Boolean> stuck = new HashMap<>();
    private final Set<String> toFrame = new TreeSet<>();
    private final Set<String> touched = new TreeSet<>();
    private final Set<String> looped;
    private final Assembly assembly;

    /** Two terminals that touch with some resistance. */
    private record Joined(Terminal a, Terminal b, double ohm) {}

    private RandomUnit(Random random, Family family) {
        this.random = random;
        wiring = new RandomWiring(random, family);
        wires = wiring.wires();
        parts = wiring.parts();
        bonded = wiring.bonded();
        looped = wiring.looped();
        assembly = wiring.assembly();
        wires.forEach(each -> {
            from.put(each.id(), each.from());
            to.put(each.id(), each.to());
        });
        wires.forEach(each -> {
            double nominal = each.lengthM().isPresent()
                    ? 0.017241 * each.lengthM().getAsDouble() / each.areaMm2().orElseThrow()
                    : each.maxOhm().orElse(0.5) * (0.3 + 0.2 * random.nextDouble());
            ohm.put(each.id(), nominal * (0.98 + 0.04 * random.nextDouble()));
        });
        parts.forEach(each -> ohm.put(
                each.id(), each.ohm().orElse(each.maxOhm().orElse(0.1) / 2) * (0.99 + 0.02 * random.nextDouble())));
    }

    public static RandomUnit of(Random random, Family family) {
        return new RandomUnit(random, family);
    }

    public Assembly assembly() {
        return assembly;
    }

    /** The faults as findings name them: kind and names; all that is joined to the frame is one. */
    public List<String> truth() {
        List<String> all = new ArrayList<>(truth);
        if (!toFrame.isEmpty()) {
            all.add("frame_short " + toFrame);
        }
        return all.stream().sorted().toList();
    }

    /** Turns the plug at one end around or sets it one cavity beside, and puts a short, a high resistance or nothing on top. */
    public RandomUnit patterned() {
        Map<String, Terminal> ends = random.nextBoolean() ? from : to;
        String connector = ends.getOrDefault("W1", Terminal.FRAME).connector();
        int cavities =
                assembly.connector(connector).map(each -> each.pins().size()).orElse(0);
        List<String> sitting = wires.stream()
                .map(Conductor::id)
                .filter(each ->
                        ends.getOrDefault(each, Terminal.FRAME).connector().equals(connector))
                .toList();
        boolean shift = cavities > sitting.size();
        if (!shift && sitting.size() < 4) {
            return this;
        }
        for (String each : sitting) {
            Terminal own = ends.getOrDefault(each, Terminal.FRAME);
            int number = Integer.parseInt(own.pin());
            Terminal now = Terminal.of(connector, Integer.toString(shift ? number + 1 : cavities + 1 - number));
            ends.put(each, now);
        }
        truth.add((shift ? "shifted " : "mirrored ") + new TreeSet<>(sitting));
        switch (random.nextInt(3)) {
            case 0 -> shorted();
            case 1 ->
                any(false).ifPresent(each -> {
                    ohm.merge(each.id(), 3 + 30 * random.nextDouble(), Double::sum);
                    tell("high_resistance", each.id());
                });
            default -> {
                // the plug alone
            }
        }
        return this;
    }

    /** Puts so many faults into it, each on wires and parts that have none yet. */
    public RandomUnit broken(int faults) {
        for (int i = 0; i < faults; i++) {
            switch (random.nextInt(parts.isEmpty() ? 6 : 8)) {
                case 0 ->
                    any(false).ifPresent(each -> {
                        cut.add(each.id());
                        tell("open", each.id());
                    });
                case 1 ->
                    any(false).ifPresent(each -> {
                        if (!looped.contains(each.id())) {
                            ohm.merge(each.id(), 3 + 30 * random.nextDouble(), Double::sum);
                            tell("high_resistance", each.id());
                        }
                    });
                case 2 -> shorted();
                case 3 ->
                    any(true).ifPresent(each -> {
                        joints.add(new Joined(end(each), Terminal.FRAME, 0.3 * random.nextDouble()));
                        toFrame.addAll(List.of(netOf(each)));
                        touched.addAll(List.of(netOf(each)));
                    });
                case 4 -> crossed();
                case 5 -> misplaced();
                default -> part();
            }
        }
        return this;
    }

    private Terminal end(Conductor wire) {
        boolean near =
                wire.from().isPin() && (random.nextBoolean() || !wire.to().isPin());
        return (near ? from : to).getOrDefault(wire.id(), Terminal.FRAME);
    }

    private String[] netOf(Conductor wire) {
        return wires.stream()
                .filter(each -> connects(each, wire))
                .map(Conductor::id)
                .toArray(String[]::new);
    }

    private boolean connects(Conductor one, Conductor other) {
        Design design = Design.of(assembly, 20);
        return design.nets().of(one.from()).equals(design.nets().of(other.from()));
    }

    private void tell(String kind, String... names) {
        truth.add(kind + " " + new TreeSet<>(List.of(names)));
        touched.addAll(List.of(names));
        for (String name : names) {
            wires.stream()
                    .filter(each -> each.id().equals(name))
                    .findFirst()
                    .ifPresent(each -> touched.addAll(List.of(netOf(each))));
        }
    }

    /** A wire of a net without a fault; {@code clear} of the frame where that matters. */
    private Optional<Conductor> any(boolean clear) {
        List<Conductor> free = wires.stream()
                .filter(each -> !touched.contains(each.id()))
                .filter(each -> !clear || (!bonded.contains(each.from()) && !bonded.contains(each.to())))
                .toList();
        return free.isEmpty() ? Optional.empty() : Optional.of(free.get(random.nextInt(free.size())));
    }

    private Optional<Conductor> twoEnded(Set<String> but) {
        List<Conductor> free = wires.stream()
                .filter(each -> each.from().isPin() && each.to().isPin())
                .filter(each -> !touched.contains(each.id()) && !but.contains(each.id()) && netOf(each).length == 1)
                .filter(each -> !bonded.contains(each.from()))
                .toList();
        return free.isEmpty() ? Optional.empty() : Optional.of(free.get(random.nextInt(free.size())));
    }

    private void shorted() {
        Optional<Conductor> one = any(true);
        if (one.isEmpty()) {
            return;
        }
        List<Conductor> others = wires.stream()
                .filter(each -> !touched.contains(each.id()) && !connects(each, one.get()))
                .filter(each -> !bonded.contains(each.from()) && !bonded.contains(each.to()))
                .filter(each -> !wiring.isBesidePart(each, one.get()))
                .toList();
        if (others.isEmpty()) {
            return;
        }
        Conductor other = others.get(random.nextInt(others.size()));
        joints.add(new Joined(end(one.get()), end(other), 0.3 * random.nextDouble()));
        List<String> names = new ArrayList<>(List.of(netOf(one.get())));
        names.addAll(List.of(netOf(other)));
        tell("short", names.toArray(String[]::new));
    }

    /** One at most: two of them may be a connector that is mirrored. */
    private void crossed() {
        if (truth.stream().anyMatch(each -> each.startsWith("crossed"))) {
            return;
        }
        Optional<Conductor> one = twoEnded(Set.of());
        Optional<Conductor> other = one.flatMap(each -> twoEnded(Set.of(each.id())));
        if (other.isEmpty() || wiring.isLittle(one.get(), other.get())) {
            return;
        }
        Map<String, Terminal> ends = random.nextBoolean() ? from : to;
        Terminal a = ends.getOrDefault(one.get().id(), Terminal.FRAME);
        Terminal b = ends.getOrDefault(other.get().id(), Terminal.FRAME);
        if (a.connector().equals(b.connector())) {
            ends.put(one.get().id(), b);
            ends.put(other.get().id(), a);
            tell("crossed", one.get().id(), other.get().id());
        }
    }

    private void misplaced() {
        Optional<Conductor> one = twoEnded(Set.of());
        boolean near = random.nextBoolean();
        if (one.isEmpty() || (near ? one.get().from() : one.get().to()).isFrame()) {
            return;
        }
        Map<String, Terminal> ends = near ? from : to;
        Terminal own = ends.getOrDefault(one.get().id(), Terminal.FRAME);
        boolean carriesPart =
                parts.stream().anyMatch(part -> part.a().equals(own) || part.b().equals(own));
        assembly.emptyCavities().stream()
                .filter(cavity -> cavity.connector().equals(own.connector()) && !carriesPart)
                .filter(cavity -> !from.containsValue(cavity) && !to.containsValue(cavity))
                .findFirst()
                .ifPresent(cavity -> {
                    ends.put(one.get().id(), cavity);
                    tell("misplaced", one.get().id());
                });
    }

    private void part() {
        Component part = parts.get(random.nextInt(parts.size()));
        boolean free = part.kind() != Component.ComponentKind.DIODE
                && !touched.contains(part.id())
                && wires.stream()
                        .filter(each -> each.to().equals(part.a()) || each.to().equals(part.b()))
                        .noneMatch(each -> touched.contains(each.id()));
        if (!free) {
            return;
        }
        wires.stream()
                .filter(each -> each.to().equals(part.a()) || each.to().equals(part.b()))
                .forEach(each -> touched.add(each.id()));
        if (part.kind().isContact()) {
            stuck.put(part.id(), random.nextBoolean());
            tell("component_state", part.id());
        } else if (random.nextBoolean()) {
            cut.add(part.id());
            tell("component_open", part.id());
        } else {
            ohm.merge(part.id(), 2.0, (a, b) -> a * b);
            tell("component_value", part.id());
        }
    }

    /** Every pair of probe points in every state in which it is worth it, as typed from the meter. */
    public List<AnalysisReading> everyPair() {
        List<Terminal> points = assembly.terminals().stream()
                .filter(each -> each.isPin() || each.isFrame())
                .toList();
        List<AnalysisReading> readings = new ArrayList<>();
        for (SwitchState state : assembly.states()) {
            double[][] between = solved(state);
            List<Terminal> all = assembly.terminals();
            for (int i = 0; i < points.size(); i++) {
                for (int j = i + 1; j < points.size(); j++) {
                    double read = between[all.indexOf(points.get(i))][all.indexOf(points.get(j))];
                    readings.add(new AnalysisReading(
                            points.get(i), points.get(j), typed(read), state, List.of(), OptionalDouble.empty()));
                }
            }
        }
        return readings;
    }

    private String typed(double read) {
        if (read > 20e6) {
            return "OL";
        }
        double shown = read * (1 + 0.002 * (2 * random.nextDouble() - 1)) + 0.2;
        double step = Math.max(0.01, Math.pow(10, Math.floor(Math.log10(Math.max(shown, 1e-3))) - 4));
        return String.format(Locale.ROOT, "%.2f", Math.round(shown / step) * step);
    }

    /** Resistance between all terminals as the unit is; beyond 10^9 for none. */
    private double[][] solved(SwitchState state) {
        DenseCircuit circuit = new DenseCircuit(assembly.terminals());
        wires.stream()
                .filter(each -> !cut.contains(each.id()))
                .forEach(each -> circuit.join(
                        from.getOrDefault(each.id(), each.from()),
                        to.getOrDefault(each.id(), each.to()),
                        ohm.getOrDefault(each.id(), 1.0)));
        for (Component part : parts) {
            boolean conducts = stuck.getOrDefault(part.id(), part.conductsIn(state));
            if (part.kind() != Component.ComponentKind.DIODE && !cut.contains(part.id()) && conducts) {
                circuit.join(part.a(), part.b(), ohm.getOrDefault(part.id(), 1.0));
            }
        }
        bonded.forEach(each -> circuit.join(each, Terminal.FRAME, 1e-3));
        joints.forEach(each -> circuit.join(each.a(), each.b(), 1e-3 + each.ohm()));
        return circuit.between();
    }
}
