package zestymarten.core.testplan;

import java.util.HashSet;
import java.util.Set;
import java.util.stream.Stream;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;

/**
 * The diodes that the diode range shows: those beside which no other path conducts either way while the unit is at rest.
 * Cost: the diodes squared at most, of which there are few.
 */
public final class ReadableDiodes {
    private final Assembly assembly;
    private final PartGroups groups;

    private ReadableDiodes(Assembly assembly) {
        this.assembly = assembly;
        SwitchState rest = assembly.states().get(0);
        groups = PartGroups.of(assembly, part -> !isDiode(part) && part.conductsIn(rest));
    }

    /** In design order. */
    public static Stream<Component> of(Assembly assembly) {
        ReadableDiodes diodes = new ReadableDiodes(assembly);
        return assembly.components().stream().filter(ReadableDiodes::isDiode).filter(diodes::isReadable);
    }

    private boolean isReadable(Component part) {
        return !isReached(part, part.b(), part.a()) && !isReached(part, part.a(), part.b());
    }

    private static boolean isDiode(Component part) {
        return part.kind() == Component.ComponentKind.DIODE;
    }

    /** Whether current finds a way from one terminal to another without a diode, through others in their direction. */
    private boolean isReached(Component without, Terminal from, Terminal to) {
        Set<Integer> reached = new HashSet<>(Set.of(groups.of(from)));
        boolean grown = true;
        while (grown) {
            grown = assembly.components().stream()
                    .filter(part -> isDiode(part) && !part.equals(without) && reached.contains(groups.of(part.a())))
                    .map(part -> groups.of(part.b()))
                    .toList()
                    .stream()
                    .anyMatch(reached::add);
        }
        return reached.contains(groups.of(to));
    }
}
