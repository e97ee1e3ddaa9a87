package zestymarten.core.finding;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.network.Net;

/**
 * Where a net of several wires has come apart.
 *
 * <p>Method: every probe point carries its observed group; joints, which nobody probed, get the groups that need the
 * fewest cuts (Fitch's two passes over the net's tree, 1971). Cost: linear in the net. Order: of two equally good groups
 * the one with the smaller number.
 */
final class NetCuts {
    private NetCuts() {}

    /** The observed group of each terminal of a net, joints included. */
    static Map<Terminal, Integer> label(Net net, Partition seen) {
        Map<Terminal, List<Terminal>> next = neighbours(net.conductors());
        Terminal root = net.conductors().get(0).from();
        List<Terminal> order = new ArrayList<>();
        Map<Terminal, Terminal> parent = walk(root, next, order);
        Map<Terminal, Set<Integer>> options = new HashMap<>();
        for (int i = order.size() - 1; i >= 0; i--) {
            Terminal at = order.get(i);
            boolean probed = at.isPin() || at.isFrame();
            options.put(at, probed ? Set.of(seen.group(at)) : mostFrequent(at, next, parent, options));
        }
        Map<Terminal, Integer> chosen = new HashMap<>();
        for (Terminal at : order) {
            Set<Integer> possible = options.getOrDefault(at, Set.of());
            Terminal up = parent.get(at);
            Integer above = up == null ? null : chosen.get(up);
            int group = above != null && possible.contains(above)
                    ? above
                    : possible.stream().min(Integer::compare).orElse(-1);
            chosen.put(at, group);
        }
        return chosen;
    }

    private static Set<Integer> mostFrequent(
            Terminal at,
            Map<Terminal, List<Terminal>> next,
            Map<Terminal, Terminal> parent,
            Map<Terminal, Set<Integer>> options) {
        Map<Integer, Integer> votes = new HashMap<>();
        for (Terminal child : next.getOrDefault(at, List.of())) {
            if (at.equals(parent.get(child))) {
                options.getOrDefault(child, Set.of()).forEach(group -> votes.merge(group, 1, Integer::sum));
            }
        }
        int most = votes.values().stream().max(Integer::compare).orElse(0);
        Set<Integer> best = new HashSet<>();
        votes.forEach((group, count) -> {
            if (count == most) {
                best.add(group);
            }
        });
        return best;
    }

    private static Map<Terminal, List<Terminal>> neighbours(List<Conductor> conductors) {
        Map<Terminal, List<Terminal>> next = new HashMap<>();
        for (Conductor conductor : conductors) {
            next.computeIfAbsent(conductor.from(), any -> new ArrayList<>()).add(conductor.to());
            next.computeIfAbsent(conductor.to(), any -> new ArrayList<>()).add(conductor.from());
        }
        return next;
    }

    /** Breadth first; fills {@code order} and returns each terminal's parent, the root having none. */
    private static Map<Terminal, Terminal> walk(
            Terminal root, Map<Terminal, List<Terminal>> next, List<Terminal> order) {
        Map<Terminal, Terminal> parent = new HashMap<>();
        Set<Terminal> seen = new HashSet<>(Set.of(root));
        Deque<Terminal> queue = new ArrayDeque<>(List.of(root));
        while (!queue.isEmpty()) {
            Terminal at = queue.remove();
            order.add(at);
            for (Terminal other : next.getOrDefault(at, List.of())) {
                if (seen.add(other)) {
                    parent.put(other, at);
                    queue.add(other);
                }
            }
        }
        return parent;
    }

    /** For each terminal that an uncut conductor reaches, the names of the uncut conductors of its part. */
    static Map<Terminal, List<String>> parts(Net net, List<Conductor> whole) {
        Map<Terminal, List<Terminal>> next = neighbours(whole);
        Map<Terminal, List<String>> parts = new HashMap<>();
        for (Conductor conductor : net.conductors()) {
            if (whole.contains(conductor) && !parts.containsKey(conductor.from())) {
                List<Terminal> members = new ArrayList<>();
                walk(conductor.from(), next, members);
                List<String> names = whole.stream()
                        .filter(each -> members.contains(each.from()))
                        .map(Conductor::id)
                        .toList();
                members.forEach(member -> parts.put(member, names));
            }
        }
        return parts;
    }
}
