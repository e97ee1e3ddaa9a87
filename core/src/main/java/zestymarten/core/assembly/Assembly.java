package zestymarten.core.assembly;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zestymarten.core.quantity.NotAccepted;

/**
 * A design: what the wiring should be. Immutable. Conductors have unique names; every pin that a conductor names belongs
 * to a connector of the assembly; other terminals are joints or the frame. Two conductors may share a cavity. States
 * close contacts of the assembly only; there is always at least one.
 *
 * @param name what it is called, 1 to 120 characters
 * @param connectors in the order in which they are drawn
 * @param joints what is known of the nodes on the way; joints that only conductors name need not be among them
 * @param conductors in design order, which is the order of tests and of findings
 * @param states the first is the one in which nothing has been done yet
 * @param bonded pins that are joined to the frame on purpose
 * @param allowances what its wires may read where neither the maker nor a standard says
 */
public record Assembly(
        String name,
        AssemblyKind kind,
        String note,
        List<Connector> connectors,
        List<Joint> joints,
        List<Conductor> conductors,
        List<Component> components,
        List<SwitchState> states,
        Set<Terminal> bonded,
        Allowances allowances) {
    /** The most conductors that one assembly may have. */
    public static final int MAX_CONDUCTORS = 10_000;

    /** The most characters that its name may have. */
    public static final int LONGEST_NAME = 120;

    public Assembly {
        connectors = List.copyOf(connectors);
        joints = List.copyOf(joints);
        conductors = List.copyOf(conductors);
        components = List.copyOf(components);
        states = states.isEmpty() ? List.of(SwitchState.REST) : List.copyOf(states);
        bonded = Set.copyOf(bonded);
        if (name.isBlank() || name.length() > LONGEST_NAME) {
            throw new NotAccepted("assembly.assembly_name_have", LONGEST_NAME);
        }
        if (conductors.size() > MAX_CONDUCTORS) {
            throw new NotAccepted("assembly.assembly_most_conductors", MAX_CONDUCTORS, conductors.size());
        }
        Set<Terminal> pins = new HashSet<>();
        Set<String> references = new HashSet<>();
        for (Connector connector : connectors) {
            if (!references.add(connector.id())) {
                throw new NotAccepted("assembly.connector_named_twice", connector.id());
            }
            pins.addAll(connector.terminals());
        }
        Set<String> names = new HashSet<>();
        for (Conductor conductor : conductors) {
            if (!names.add(conductor.id())) {
                throw new NotAccepted("assembly.conductor_named_twice", conductor.id());
            }
            for (Terminal end : List.of(conductor.from(), conductor.to())) {
                if (end.isPin() && !pins.contains(end)) {
                    throw new NotAccepted("assembly.conductor_ends_which", conductor.id(), end);
                }
            }
        }
        requireParts(pins, components, states, bonded);
    }

    private static void requireParts(
            Set<Terminal> pins, List<Component> components, List<SwitchState> states, Set<Terminal> bonded) {
        Set<String> contacts = new HashSet<>();
        Set<String> names = new HashSet<>();
        for (Component component : components) {
            if (!names.add(component.id())) {
                throw new NotAccepted("assembly.component_named_twice", component.id());
            }
            if (component.kind().isContact()) {
                contacts.add(component.id());
            }
            for (Terminal end : List.of(component.a(), component.b())) {
                if (end.isPin() && !pins.contains(end)) {
                    throw new NotAccepted("assembly.component_ends_which", component.id(), end);
                }
            }
        }
        Set<String> stateNames = new HashSet<>();
        for (SwitchState state : states) {
            if (!stateNames.add(state.id())) {
                throw new NotAccepted("assembly.state_named_twice", state.id());
            }
            for (String closed : state.closed()) {
                if (!contacts.contains(closed)) {
                    throw new NotAccepted("assembly.state_closes_no", state.id(), closed);
                }
            }
        }
        for (Terminal terminal : bonded) {
            if (!pins.contains(terminal)) {
                throw new NotAccepted("assembly.terminal_bonded_frame", terminal);
            }
        }
    }

    /** An assembly of conductors only. */
    public Assembly(
            String name, AssemblyKind kind, String note, List<Connector> connectors, List<Conductor> conductors) {
        this(name, kind, note, connectors, List.of(), conductors, List.of(), List.of(), Set.of());
    }

    /** An assembly without allowances of its own. */
    public Assembly(
            String name,
            AssemblyKind kind,
            String note,
            List<Connector> connectors,
            List<Joint> joints,
            List<Conductor> conductors,
            List<Component> components,
            List<SwitchState> states,
            Set<Terminal> bonded) {
        this(name, kind, note, connectors, joints, conductors, components, states, bonded, Allowances.NONE);
    }

    /**
     * The same by another name.
     *
     * @throws IllegalArgumentException if it is no name, see {@link #LONGEST_NAME}
     */
    public Assembly withName(String other) {
        return new Assembly(other, kind, note, connectors, joints, conductors, components, states, bonded, allowances);
    }

    /** The same with other allowances for its wires. */
    public Assembly withAllowances(Allowances others) {
        return new Assembly(name, kind, note, connectors, joints, conductors, components, states, bonded, others);
    }

    /** The same with other conductors between its cavities. */
    public Assembly withConductors(List<Conductor> others) {
        return new Assembly(name, kind, note, connectors, joints, others, components, states, bonded, allowances);
    }

    /** The same with its connectors reached in another way. */
    public Assembly withConnectors(List<Connector> others) {
        return new Assembly(name, kind, note, others, joints, conductors, components, states, bonded, allowances);
    }

    /** The same without its conductors: what it has besides them. */
    public Assembly withoutConductors() {
        return withConductors(List.of());
    }

    /** Whether it has more than wires between connectors at hand. */
    public boolean hasParts() {
        return !joints.isEmpty()
                || !components.isEmpty()
                || !bonded.isEmpty()
                || !allowances.equals(Allowances.NONE)
                || !states.equals(List.of(SwitchState.REST))
                || connectors.stream().anyMatch(each -> !each.reach().equals(Access.AT_HAND));
    }

    /**
     * The same with the parts of another: its joints, components, states, bonds and allowances, and how its connectors are
     * reached.
     *
     * @throws IllegalArgumentException if a part ends at a pin that is not here any more
     */
    public Assembly withPartsOf(Assembly other) {
        List<Connector> reached = connectors.stream()
                .map(each -> new Connector(
                        each.id(),
                        each.name(),
                        each.face(),
                        each.pins(),
                        other.connector(each.id()).map(Connector::reach).orElse(each.reach())))
                .toList();
        return new Assembly(
                name,
                kind,
                note,
                reached,
                other.joints,
                conductors,
                other.components,
                other.states,
                other.bonded,
                other.allowances);
    }

    /** The state of that name. */
    public Optional<SwitchState> state(String id) {
        return states.stream().filter(each -> each.id().equals(id)).findFirst();
    }

    /**
     * An assembly from its conductors alone: connectors and pins appear in order of first use, each connector as a line
     * of cavities, unless a face is given for it. A face with more cavities than the pins in use gains empty cavities,
     * named by the free numbers from 1 up. Pins that are all numbers are put in numeric order.
     *
     * @throws IllegalArgumentException if a face has fewer cavities than its connector has pins in use
     */
    public static Assembly of(
            String name, AssemblyKind kind, String note, List<Conductor> conductors, Map<String, CavityLayout> faces) {
        Map<String, LinkedHashSet<String>> used = new LinkedHashMap<>();
        for (Conductor conductor : conductors) {
            for (Terminal end : List.of(conductor.from(), conductor.to())) {
                if (end.isPin()) {
                    used.computeIfAbsent(end.connector(), any -> new LinkedHashSet<>())
                            .add(end.pin());
                }
            }
        }
        List<Connector> connectors = new ArrayList<>();
        used.forEach((id, pins) -> {
            CavityLayout face = faces.getOrDefault(id, CavityLayout.line(Math.min(CavityLayout.MAX, pins.size())));
            connectors.add(new Connector(id, "", face, inOrder(filled(pins, face.cavities()))));
        });
        return new Assembly(name, kind, note, connectors, conductors);
    }

    private static LinkedHashSet<String> filled(LinkedHashSet<String> used, int cavities) {
        LinkedHashSet<String> pins = new LinkedHashSet<>(used);
        for (int number = 1; pins.size() < cavities; number++) {
            pins.add(Integer.toString(number));
        }
        return pins;
    }

    private static List<String> inOrder(Set<String> pins) {
        boolean numbers = pins.stream().allMatch(pin -> pin.matches("[0-9]{1,9}"));
        return numbers
                ? pins.stream()
                        .sorted(java.util.Comparator.comparingInt(Integer::parseInt))
                        .toList()
                : List.copyOf(pins);
    }

    /** The connector of that reference. */
    public Optional<Connector> connector(String id) {
        return connectors.stream().filter(each -> each.id().equals(id)).findFirst();
    }

    /** Every terminal: pins in cavity order, then joints in order of first use, then the frame. */
    public List<Terminal> terminals() {
        LinkedHashSet<Terminal> all = new LinkedHashSet<>();
        connectors.forEach(connector -> all.addAll(connector.terminals()));
        all.addAll(jointTerminals());
        components.forEach(component -> all.addAll(List.of(component.a(), component.b())));
        all.add(Terminal.FRAME);
        return List.copyOf(all);
    }

    /** Nodes on the way that are no pins: splices, crimps, screws; in order of first use. */
    public List<Terminal> jointTerminals() {
        return conductors.stream()
                .flatMap(conductor -> List.of(conductor.from(), conductor.to()).stream())
                .filter(end -> !end.isPin() && !end.isFrame())
                .distinct()
                .toList();
    }

    /** Conductors at each terminal, in design order; terminals without one are absent. */
    public Map<Terminal, List<Conductor>> byTerminal() {
        Map<Terminal, List<Conductor>> at = new HashMap<>();
        for (Conductor conductor : conductors) {
            at.computeIfAbsent(conductor.from(), any -> new ArrayList<>()).add(conductor);
            at.computeIfAbsent(conductor.to(), any -> new ArrayList<>()).add(conductor);
        }
        return at;
    }

    /** Cavities that no conductor uses, in drawing order. */
    public List<Terminal> emptyCavities() {
        Set<Terminal> used = new HashSet<>(bonded);
        conductors.forEach(conductor -> used.addAll(List.of(conductor.from(), conductor.to())));
        components.forEach(component -> used.addAll(List.of(component.a(), component.b())));
        return connectors.stream()
                .flatMap(connector -> connector.terminals().stream())
                .filter(terminal -> !used.contains(terminal))
                .toList();
    }
}
