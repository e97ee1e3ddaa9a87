package zestymarten.core.scan;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Joint;
import zestymarten.core.assembly.Terminal;

/**
 * Which point of the switch is wired to which terminal: the adapter. Points count from 1 in the order of the connectors and
 * their pins; joints that a probe can reach follow, the frame is last.
 */
public final class Points {
    private final List<Terminal> terminals;
    private final Map<Terminal, Integer> byTerminal = new HashMap<>();

    private Points(List<Terminal> terminals) {
        this.terminals = terminals;
        for (int i = 0; i < terminals.size(); i++) {
            byTerminal.put(terminals.get(i), i + 1);
        }
    }

    /** The points of an assembly. */
    public static Points of(Assembly assembly) {
        Stream<Terminal> pins = assembly.connectors().stream().flatMap(each -> each.terminals().stream());
        Stream<Terminal> joints =
                assembly.joints().stream().filter(Joint::probe).map(Joint::terminal);
        return new Points(Stream.of(pins, joints, Stream.of(Terminal.FRAME))
                .flatMap(each -> each)
                .toList());
    }

    /** All terminals; the point of each is its place, from 1. */
    public List<Terminal> terminals() {
        return terminals;
    }

    /** The point of a terminal; empty for a joint that no probe reaches. */
    public Optional<Integer> of(Terminal terminal) {
        return Optional.ofNullable(byTerminal.get(terminal));
    }

    /** Which point leads to which terminal, as CSV with the columns {@code point,terminal}. */
    public String csv() {
        return IntStream.range(0, terminals.size())
                .mapToObj(i -> (i + 1) + "," + terminals.get(i).name() + "\n")
                .collect(Collectors.joining("", "point,terminal\n", ""));
    }

    /** The terminal at a point; empty where nothing is wired to it. */
    public Optional<Terminal> terminal(int point) {
        return point >= 1 && point <= terminals.size() ? Optional.of(terminals.get(point - 1)) : Optional.empty();
    }
}
