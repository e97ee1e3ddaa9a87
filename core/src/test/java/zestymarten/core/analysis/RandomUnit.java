package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.CavityLayout;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Metal;
import zestymarten.core.assembly.StrandClass;
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

    private static final List<Family> TO_MIX = List.of(
            Family.SPLICE,
            Family.PARALLEL,
            Family.CHAIN,
            Family.LOADS,
            Family.STAR,
            Family.DELTA,
            Family.CONTACTS,
            Family.DIODE,
            Family.RING);

    private final Random random;
    private final List<Conductor> wires = new ArrayList<>();
    private final List<Component> parts = new ArrayList<>();
    private final List<Terminal> bonded = new ArrayList<>();
    private final Map<String, Integer> pins = new LinkedHashMap<>();
    private final Map<String, Double> ohm = new HashMap<>();
    private final List<String> truth = new ArrayList<>();
    private final Set<String> cut = new TreeSet<>();
    private final Map<String, Terminal> from = new HashMap<>();
    private final Map<String, Terminal> to = new HashMap<>();
    private final List<Object[]> joints = new ArrayList<>();
    private final Map<String, Boolean> stuck = new HashMap<>();
    private final Set<String> toFrame = new TreeSet<>();
    private final Set<String> touched = new TreeSet<>();
    private final Set<String> looped = new TreeSet<>();
    private final Family family;
    private final boolean lengths;
    private List<SwitchState> states = List.of(SwitchState.REST);
    private Assembly assembly;

    private RandomUnit(Random random, Family family) {
        this.random = random;
        this.family = family;
        lengths = Set.of(Family.LENGTHS, Family.PARALLEL, Family.RING, Family.MIXED)
                .contains(family);
        build();
        assembly = assembled();
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

    private Terminal pin(String connector) {
        return Terminal.of(connector, Integer.toString(pins.merge(connector, 1, Integer::sum)));
    }

    private String wire(Terminal a, Terminal b) {
        String id = "W" + (wires.size() + 1);
        wires.add(new Conductor(
                id,
                a,
                b,
                Optional.empty(),
                Optional.of("function " + id),
                lengths ? OptionalDouble.of(10 + 20 * random.nextDouble()) : OptionalDouble.empty(),
                lengths ? OptionalDouble.of(0.5) : OptionalDouble.empty(),
                Metal.COPPER,
                StrandClass.FIVE,
                Optional.empty(),
                OptionalDouble.of(1),
                false,
                lengths ? OptionalDouble.empty() : OptionalDouble.of(0.5),
                OptionalDouble.empty(),
                Optional.empty()));
        from.put(id, a);
        to.put(id, b);
        return id;
    }

    private void part(Component.ComponentKind kind, Terminal a, Terminal b, double value) {
        boolean most =
                kind.isContact() || kind == Component.ComponentKind.FUSE || kind == Component.ComponentKind.DIODE;
        parts.add(new Component(
                kind.code().substring(0, 1).toUpperCase(Locale.ROOT) + "P" + (parts.size() + 1),
                kind,
                a,
                b,
                most ? OptionalDouble.of(0.2) : OptionalDouble.empty(),
                most ? OptionalDouble.empty() : OptionalDouble.of(value),
                most ? OptionalDouble.empty() : OptionalDouble.of(0.1),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty()));
    }

    private Terminal far(String wire) {
        return to.getOrDefault(wire, Terminal.FRAME);
    }

    private void straight(int count) {
        for (int i = 0; i < count; i++) {
            wire(pin("J1"), pin(family == Family.THREE_CONNECTORS && random.nextBoolean() ? "J3" : "J2"));
        }
    }

    private void build() {
        straight(3 + random.nextInt(3));
        add(family);
        pins.replaceAll((connector, count) -> count + random.nextInt(2));
    }

    private void add(Family nets) {
        switch (nets) {
            case SPLICE -> {
                Terminal joint = Terminal.of("S1");
                wire(pin("J1"), joint);
                for (int leg = 0; leg < 2 + random.nextInt(6); leg++) {
                    wire(joint, pin("J2"));
                }
            }
            case PARALLEL -> {
                Terminal a = pin("J1");
                Terminal b = pin("J2");
                looped.addAll(List.of(wire(a, b), wire(a, b)));
            }
            case RING -> {
                List<Terminal> around = List.of(pin("J1"), pin("J2"), pin("J3"));
                for (int i = 0; i < 3; i++) {
                    looped.add(wire(around.get(i), around.get((i + 1) % 3)));
                }
            }
            case CHAIN -> {
                Terminal a = pin("J1");
                for (String next : List.of("J2", "J3", "J4")) {
                    Terminal b = pin(next);
                    wire(a, b);
                    a = b;
                }
            }
            case LOADS -> {
                Terminal common = far(wires.get(0).id());
                for (int i = 1; i < 3; i++) {
                    part(Component.ComponentKind.LAMP, far(wires.get(i).id()), common, 40 + 100 * random.nextDouble());
                }
            }
            case STAR -> {
                Terminal middle = Terminal.of("S9");
                for (int i = 0; i < 3; i++) {
                    part(Component.ComponentKind.WINDING, far(wires.get(i).id()), middle, 3);
                }
            }
            case DELTA -> {
                for (int i = 0; i < 3; i++) {
                    part(
                            Component.ComponentKind.WINDING,
                            far(wires.get(i).id()),
                            far(wires.get((i + 1) % 3).id()),
                            6);
                }
            }
            case CONTACTS -> {
                part(Component.ComponentKind.SWITCH, far("W1"), far("W2"), 0);
                part(Component.ComponentKind.RESISTOR, far("W2"), far("W3"), 100);
                states = List.of(
                        SwitchState.REST,
                        new SwitchState(
                                "held", Set.of(parts.get(parts.size() - 2).id())));
            }
            case DIODE -> {
                part(Component.ComponentKind.COIL, far("W1"), far("W2"), 80);
                part(Component.ComponentKind.DIODE, far("W2"), far("W1"), 0);
            }
            case BONDED -> bonded.add(from.get("W" + (1 + random.nextInt(3))));
            case MIXED -> {
                Family first = TO_MIX.get(random.nextInt(TO_MIX.size()));
                add(first);
                // both may hang on the first three wires, where parts of two families would lie beside each other
                List<Family> apart = List.of(Family.SPLICE, Family.PARALLEL, Family.CHAIN, Family.RING);
                add(apart.get(random.nextInt(apart.size())));
            }
            default -> {
                // plain wires are all there is
            }
        }
    }

    private Assembly assembled() {
        List<Connector> connectors = new ArrayList<>();
        pins.forEach((id, count) -> {
            List<String> names = new ArrayList<>();
            for (int i = 1; i <= count; i++) {
                names.add(Integer.toString(i));
            }
            connectors.add(new Connector(id, "", CavityLayout.line(count), names));
        });
        return new Assembly(
                "Made up", AssemblyKind.HARNESS, "", connectors, List.of(), wires, parts, states, Set.copyOf(bonded));
    }

    /** Turns the plug at one end around or sets it one cavity beside, and puts a short, a high resistance or nothing on top. */
    public RandomUnit patterned() {
        Map<String, Terminal> ends = random.nextBoolean() ? from : to;
        String connector = ends.getOrDefault("W1", Terminal.FRAME).connector();
        int cavities = pins.getOrDefault(connector, 0);
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
                        joints.add(new Object[] {end(each), Terminal.FRAME, 0.3 * random.nextDouble()});
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
                .filter(each -> !isBesidePart(each, one.get()))
                .toList();
        if (others.isEmpty()) {
            return;
        }
        Conductor other = others.get(random.nextInt(others.size()));
        joints.add(new Object[] {end(one.get()), end(other), 0.3 * random.nextDouble()});
        List<String> names = new ArrayList<>(List.of(netOf(one.get())));
        names.addAll(List.of(netOf(other)));
        tell("short", names.toArray(String[]::new));
    }

    /** Whether one part alone lies between two wires: a joint there is the part's own short. */
    private boolean isBesidePart(Conductor one, Conductor other) {
        return parts.stream().anyMatch(part -> Set.of(part.a(), part.b()).equals(Set.of(one.to(), other.to())));
    }

    /** One at most: two of them may be a connector that is mirrored. */
    private void crossed() {
        if (truth.stream().anyMatch(each -> each.startsWith("crossed"))) {
            return;
        }
        Optional<Conductor> one = twoEnded(Set.of());
        Optional<Conductor> other = one.flatMap(each -> twoEnded(Set.of(each.id())));
        if (other.isEmpty() || isLittle(one.get(), other.get())) {
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

    /** Whether a contact or winding of few ohms lies beside the two wires, so that a crossing can hardly be told. */
    private boolean isLittle(Conductor one, Conductor other) {
        return parts.stream()
                .filter(part -> part.ohm().orElse(0) < 20)
                .anyMatch(part -> List.of(part.a(), part.b()).contains(one.to())
                        || List.of(part.a(), part.b()).contains(other.to()));
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
        for (SwitchState state : states) {
            double[][] between = solved(state);
            List<Terminal> all = nodes();
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

    private List<Terminal> nodes() {
        List<Terminal> all = new ArrayList<>(assembly.terminals());
        return all;
    }

    private String typed(double read) {
        if (read > 20e6) {
            return "OL";
        }
        double shown = read * (1 + 0.002 * (2 * random.nextDouble() - 1)) + 0.2;
        double step = Math.max(0.01, Math.pow(10, Math.floor(Math.log10(Math.max(shown, 1e-3))) - 4));
        return String.format(Locale.ROOT, "%.2f", Math.round(shown / step) * step);
    }

    /** Ohms between all nodes by Gauss and Jordan on the grounded Laplacian of each component; beyond 10^9 for none. */
    private double[][] solved(SwitchState state) {
        List<Terminal> all = nodes();
        int n = all.size();
        double[][] matrix = new double[n][n];
        wires.stream()
                .filter(each -> !cut.contains(each.id()))
                .forEach(each -> add(
                        matrix,
                        all.indexOf(from.get(each.id())),
                        all.indexOf(to.get(each.id())),
                        ohm.getOrDefault(each.id(), 1.0)));
        for (Component part : parts) {
            boolean conducts = stuck.getOrDefault(part.id(), part.conductsIn(state));
            if (part.kind() != Component.ComponentKind.DIODE && !cut.contains(part.id()) && conducts) {
                add(matrix, all.indexOf(part.a()), all.indexOf(part.b()), ohm.getOrDefault(part.id(), 1.0));
            }
        }
        bonded.forEach(each -> add(matrix, all.indexOf(each), all.indexOf(Terminal.FRAME), 1e-3));
        joints.forEach(each ->
                add(matrix, all.indexOf((Terminal) each[0]), all.indexOf((Terminal) each[1]), 1e-3 + (Double) each[2]));
        for (int i = 0; i < n; i++) {
            matrix[i][i] += 1e-10; // a leak to ground that stands for no path
        }
        double[][] inverse = inverse(matrix);
        double[][] between = new double[n][n];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                between[i][j] = inverse[i][i] + inverse[j][j] - 2 * inverse[i][j];
            }
        }
        return between;
    }

    private static void add(double[][] matrix, int a, int b, double ohm) {
        matrix[a][a] += 1 / ohm;
        matrix[b][b] += 1 / ohm;
        matrix[a][b] -= 1 / ohm;
        matrix[b][a] -= 1 / ohm;
    }

    private static double[][] inverse(double[][] matrix) {
        int n = matrix.length;
        double[][] work = new double[n][2 * n];
        for (int i = 0; i < n; i++) {
            System.arraycopy(matrix[i], 0, work[i], 0, n);
            work[i][n + i] = 1;
        }
        for (int column = 0; column < n; column++) {
            int pivot = column;
            for (int row = column; row < n; row++) {
                pivot = Math.abs(work[row][column]) > Math.abs(work[pivot][column]) ? row : pivot;
            }
            double[] swap = work[column];
            work[column] = work[pivot];
            work[pivot] = swap;
            for (int row = 0; row < n; row++) {
                if (row != column) {
                    double factor = work[row][column] / work[column][column];
                    for (int k = column; k < 2 * n; k++) {
                        work[row][k] -= factor * work[column][k];
                    }
                }
            }
        }
        double[][] result = new double[n][n];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                result[i][j] = work[i][n + j] / work[i][i];
            }
        }
        return result;
    }
}
