package zestymarten.core.fault;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
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

/** Two connectors and made-up wiring between them. */
final class RandomAssembly {
    private RandomAssembly() {}

    /** @param rich whether it has splices, parts and perhaps a bonded wire */
    static Assembly of(Random random, int wires, boolean rich) {
        List<Conductor> conductors = new ArrayList<>();
        List<Component> components = new ArrayList<>();
        int near = 0;
        int far = 0;
        while (conductors.size() < wires) {
            boolean splice = rich && conductors.size() + 3 <= wires && random.nextInt(6) == 0;
            String id = "W" + (conductors.size() + 1);
            if (splice) {
                Terminal joint = Terminal.of("S" + conductors.size());
                conductors.add(wire(random, id, Terminal.of("J1." + ++near), joint));
                for (int leg = 0; leg < 2; leg++) {
                    conductors.add(wire(random, "W" + (conductors.size() + 1), joint, Terminal.of("J2." + ++far)));
                }
            } else {
                conductors.add(wire(random, id, Terminal.of("J1." + ++near), Terminal.of("J2." + ++far)));
            }
        }
        List<SwitchState> states = List.of();
        if (rich) {
            for (int i = 0; i + 1 < near && components.size() < wires / 8; i += 5) {
                components.add(part(random, components.size(), i + 1, i + 2));
            }
            states = List.of(
                    SwitchState.REST,
                    new SwitchState(
                            "held",
                            Set.copyOf(components.stream()
                                    .filter(each -> each.kind().isContact())
                                    .map(Component::id)
                                    .toList())));
        }
        Set<Terminal> bonded = rich && random.nextBoolean() ? Set.of(Terminal.of("J1." + near)) : Set.of();
        return new Assembly(
                "Made up",
                AssemblyKind.HARNESS,
                "",
                List.of(connector("J1", near), connector("J2", far + 1 + random.nextInt(2))),
                List.of(),
                conductors,
                components,
                states,
                bonded);
    }

    private static Connector connector(String id, int pins) {
        List<String> names = new ArrayList<>();
        for (int i = 1; i <= pins; i++) {
            names.add(Integer.toString(i));
        }
        return new Connector(id, "", CavityLayout.line(pins), names);
    }

    private static Conductor wire(Random random, String id, Terminal from, Terminal to) {
        return new Conductor(
                id,
                from,
                to,
                Optional.empty(),
                Optional.of("function of " + id),
                OptionalDouble.of(8 + 20 * random.nextDouble()),
                OptionalDouble.of(0.5),
                Metal.COPPER,
                StrandClass.FIVE,
                Optional.empty(),
                OptionalDouble.of(1),
                false,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty());
    }

    private static Component part(Random random, int number, int a, int b) {
        Component.ComponentKind kind = List.of(
                        Component.ComponentKind.FUSE, Component.ComponentKind.RESISTOR, Component.ComponentKind.SWITCH)
                .get(random.nextInt(3));
        boolean resistor = kind == Component.ComponentKind.RESISTOR;
        return new Component(
                kind.code().charAt(0) + "P" + number,
                kind,
                Terminal.of("J1." + a),
                Terminal.of("J1." + b),
                resistor ? OptionalDouble.empty() : OptionalDouble.of(0.2),
                resistor ? OptionalDouble.of(50 + 400 * random.nextDouble()) : OptionalDouble.empty(),
                resistor ? OptionalDouble.of(0.05) : OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }
}
