package zestymarten.core.diagnosis;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.fault.Fault;

/** Possible faults in words. */
final class Told {
    private Told() {}

    static String of(List<Atom> atoms, Design design) {
        return atoms.isEmpty()
                ? "Nothing is wrong."
                : atoms.stream().map(each -> of(each, design)).collect(Collectors.joining("; ")) + ".";
    }

    static String of(Atom atom, Design design) {
        String names = String.join(", ", atom.names());
        return atom.fault()
                .fold(new Fault.Cases<>(
                        open -> open.conductor() + " is open",
                        high -> high.conductor() + " has too many ohms",
                        broken -> broken.conductor() + " opens now and then",
                        shorted -> shorted(shorted, design),
                        moved -> moved(moved, names),
                        unbonded -> unbonded.terminal() + " is not bonded to the frame",
                        open -> open.component() + " is open",
                        shorted -> shorted.component() + " is bypassed",
                        value -> value.component() + " has a wrong value",
                        stuck -> stuck.component() + (stuck.closed() ? " stays closed" : " stays open")));
    }

    private static String shorted(Fault.Shorted shorted, Design design) {
        return name(shorted.a(), design) + " is joined to " + name(shorted.b(), design);
    }

    private static String name(Terminal terminal, Design design) {
        return terminal.isFrame()
                ? "the frame"
                : design.nets()
                        .of(terminal)
                        .map(net -> net.conductors().get(0).id())
                        .orElse(terminal.name());
    }

    private static String moved(Fault.Moved moved, String names) {
        if (moved.cavities().size() > 2) {
            Terminal one = new TreeMap<>(moved.cavities()).firstEntry().getValue();
            return one.connector() + " is mirrored or shifted: " + names;
        }
        Map.Entry<String, Terminal> first = new TreeMap<>(moved.cavities()).firstEntry();
        return moved.cavities().size() == 2
                ? names.replace(", ", " and ") + " have changed places"
                : first.getKey() + " ends in " + first.getValue();
    }
}
