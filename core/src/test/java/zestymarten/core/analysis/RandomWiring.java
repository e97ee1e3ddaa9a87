package zestymarten.core.analysis;

import java.util.ArrayList;
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

/** The wiring of a made-up unit: a few plain wires, and the nets of its family beside them. */
final class RandomWiring {
    private static final List<RandomUnit.Family> TO_MIX = List.of(
            RandomUnit.Family.SPLICE,
            RandomUnit.Family.PARALLEL,
            RandomUnit.Family.CHAIN,
            RandomUnit.Family.LOADS,
            RandomUnit.Family.STAR,
            RandomUnit.Family.DELTA,
            RandomUnit.Family.CONTACTS,
            RandomUnit.Family.DIODE,
            RandomUnit.Family.RING);

    private final Random random;
    private final RandomUnit.Family family;
    private final boolean lengths;
    private final List<Conductor> wires = new ArrayList<>();
    private final List<Component> parts = new ArrayList<>();
    private final List<Terminal> bonded = new ArrayList<>();
    private final Set<String> looped = new TreeSet<>();
    private final Map<String, Integer> pins = new LinkedHashMap<>();
    private List<SwitchState> states = List.of(SwitchState.REST);

    RandomWiring(Random random, RandomUnit.Family family) {
        this.random = random;
        this.family = family;
        lengths = Set.of(
                        RandomUnit.Family.LENGTHS,
                        RandomUnit.Family.PARALLEL,
                        RandomUnit.Family.RING,
                        RandomUnit.Family.MIXED)
                .contains(family);
        build();
    }

    List<Conductor> wires() {
        return wires;
    }

    List<Component> parts() {
        return parts;
    }

    List<Terminal> bonded() {
        return bonded;
    }

    /** Wires beside which another leads. */
    Set<String> looped() {
        return looped;
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
        return id;
    }

    private void part(Component.ComponentKind kind, Terminal a, Terminal b, double value) {
        boolean maximum =
                kind.isContact() || kind == Component.ComponentKind.FUSE || kind == Component.ComponentKind.DIODE;
        parts.add(new Component(
                kind.code().substring(0, 1).toUpperCase(Locale.ROOT) + "P" + (parts.size() + 1),
                kind,
                a,
                b,
                maximum ? OptionalDouble.of(0.2) : OptionalDouble.empty(),
                maximum ? OptionalDouble.empty() : OptionalDouble.of(value),
                maximum ? OptionalDouble.empty() : OptionalDouble.of(0.1),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty()));
    }

    private Terminal far(String wire) {
        return wires.stream()
                .filter(each -> each.id().equals(wire))
                .map(Conductor::to)
                .findFirst()
                .orElse(Terminal.FRAME);
    }

    private void straight(int count) {
        for (int i = 0; i < count; i++) {
            wire(pin("J1"), pin(family == RandomUnit.Family.THREE_CONNECTORS && random.nextBoolean() ? "J3" : "J2"));
        }
    }

    private void build() {
        straight(3 + random.nextInt(3));
        add(family);
        pins.replaceAll((connector, count) -> count + random.nextInt(2));
    }

    private void add(RandomUnit.Family nets) {
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
            case BONDED -> bonded.add(wires.get(random.nextInt(3)).from());
            case MIXED -> {
                RandomUnit.Family first = TO_MIX.get(random.nextInt(TO_MIX.size()));
                add(first);
                // both may hang on the first three wires, where parts of two families would lie beside each other
                List<RandomUnit.Family> apart = List.of(
                        RandomUnit.Family.SPLICE,
                        RandomUnit.Family.PARALLEL,
                        RandomUnit.Family.CHAIN,
                        RandomUnit.Family.RING);
                add(apart.get(random.nextInt(apart.size())));
            }
            default -> {
                // plain wires are all there is
            }
        }
    }

    Assembly assembly() {
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

    /** Whether one part alone lies between two wires: a joint there is the part's own short. */
    boolean isBesidePart(Conductor one, Conductor other) {
        return parts.stream().anyMatch(part -> Set.of(part.a(), part.b()).equals(Set.of(one.to(), other.to())));
    }

    /** Whether a contact or winding of a low resistance lies beside the two wires, so that a crossing can hardly be seen. */
    boolean isLittle(Conductor one, Conductor other) {
        return parts.stream()
                .filter(part -> part.ohm().orElse(0) < 20)
                .anyMatch(part -> List.of(part.a(), part.b()).contains(one.to())
                        || List.of(part.a(), part.b()).contains(other.to()));
    }
}
