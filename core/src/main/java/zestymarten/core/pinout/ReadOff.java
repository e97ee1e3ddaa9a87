package zestymarten.core.pinout;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.NotAccepted;

/**
 * Reads an unknown wiring off a good unit with two connectors.
 *
 * <p>Method: <em>by elimination</em> each near pin is tried against the far pins that are not taken yet, the one of the same
 * number first, since most wiring is straight through; at most n (n + 1) / 2 measurements, n where it is. <em>By halves</em> the far
 * pins whose number has a bit set are linked together, bit after bit; which links a near pin answers spells the number of its
 * far pin. That takes n ceil(log2(m + 1)) measurements and as few changes of links, and every wire found is measured once more by
 * itself, since two pins that are joined would spell the number of a third. Cost: measurements times pins. Source: derivation.
 * Holds for: units whose near pins lead to one far pin at most.
 */
public final class ReadOff {
    /** The most pins of a connector. */
    public static final int MAX_PINS = 200;

    private final List<Terminal> near;
    private final List<Terminal> far;
    private final boolean linked;
    private final Map<Ask, Boolean> answers = new LinkedHashMap<>();
    private final Map<Terminal, Terminal> wires = new LinkedHashMap<>();
    private Optional<Ask> next = Optional.empty();
    private int left;

    /**
     * One measurement: a near pin against a far pin, or against several that are linked together.
     *
     * @param far at least one
     */
    public record Ask(Terminal near, List<Terminal> far) {
        public Ask {
            far = List.copyOf(far);
            if (far.isEmpty()) {
                throw new NotAccepted("read_off.measurement_needs_far");
            }
        }

        public boolean isLinked() {
            return far.size() > 1;
        }
    }

    /** What a measurement showed. */
    public record PairAnswer(Ask ask, boolean joined) {}

    private ReadOff(List<Terminal> near, List<Terminal> far, boolean linked, List<PairAnswer> given) {
        this.near = List.copyOf(near);
        this.far = List.copyOf(far);
        this.linked = linked;
        given.forEach(each -> answers.put(each.ask(), each.joined()));
        if (linked) {
            byHalves();
        } else {
            byElimination();
        }
    }

    /**
     * The state of a read-off.
     *
     * @param linked whether the far pins are linked by halves
     * @param given what was answered so far, in any order; answers to measurements that nobody asks are of no effect
     */
    public static ReadOff of(List<Terminal> near, List<Terminal> far, boolean linked, List<PairAnswer> given) {
        if (near.isEmpty() || far.isEmpty() || near.size() > MAX_PINS || far.size() > MAX_PINS) {
            throw new NotAccepted("read_off.each_connector_have", MAX_PINS);
        }
        return new ReadOff(near, far, linked, given);
    }

    private Optional<Boolean> asked(Ask ask) {
        Optional<Boolean> answer = Optional.ofNullable(answers.get(ask));
        if (answer.isEmpty()) {
            next = next.or(() -> Optional.of(ask));
            left++;
        }
        return answer;
    }

    private void byElimination() {
        for (int i = 0; i < near.size(); i++) {
            for (Terminal candidate : candidates(i)) {
                Ask ask = new Ask(near.get(i), List.of(candidate));
                if (asked(ask).filter(joined -> joined).isPresent()) {
                    wires.put(near.get(i), candidate);
                    break;
                }
                if (next.isPresent() && answers.get(ask) == null) {
                    break; // what follows depends on it
                }
            }
        }
    }

    /** Far pins that are not taken, the one of the same number first. */
    private List<Terminal> candidates(int place) {
        List<Terminal> candidates = new ArrayList<>();
        if (place < far.size()) {
            candidates.add(far.get(place));
        }
        far.stream().filter(each -> !candidates.contains(each)).forEach(candidates::add);
        candidates.removeAll(wires.values());
        return candidates;
    }

    private void byHalves() {
        Map<Terminal, Integer> spelled = new HashMap<>();
        for (int bit = 0; 1 << bit <= far.size(); bit++) {
            List<Terminal> link = half(bit);
            for (Terminal pin : near) {
                if (asked(new Ask(pin, link)).filter(joined -> joined).isPresent()) {
                    spelled.merge(pin, 1 << bit, Integer::sum);
                }
            }
        }
        if (next.isEmpty()) {
            near.forEach(pin -> confirm(pin, spelled.getOrDefault(pin, 0)));
        }
    }

    private List<Terminal> half(int bit) {
        List<Terminal> link = new ArrayList<>();
        for (int i = 0; i < far.size(); i++) {
            if ((i + 1 & 1 << bit) != 0) {
                link.add(far.get(i));
            }
        }
        return link;
    }

    private void confirm(Terminal pin, int number) {
        if (number == 0 || number > far.size()) {
            return;
        }
        Terminal other = far.get(number - 1);
        if (asked(new Ask(pin, List.of(other))).filter(joined -> joined).isPresent()) {
            wires.put(pin, other);
        }
    }

    /** The measurement that is due; empty when all is known. */
    public Optional<Ask> next() {
        return next;
    }

    /** Measurements still to make: by halves exactly but for the last ones, by elimination at least. */
    public int left() {
        return left;
    }

    /** The wires found so far: near pin to far pin, in the order of the near ones. */
    public Map<Terminal, Terminal> wires() {
        return java.util.Collections.unmodifiableMap(wires);
    }

    /** Whether the far pins are linked by halves. */
    public boolean isLinked() {
        return linked;
    }

    /** The wires as a wire list: {@code wire,from,to}, a line each. */
    public String wireList() {
        StringBuilder list = new StringBuilder("wire,from,to\n");
        int number = 1;
        for (Map.Entry<Terminal, Terminal> wire : wires.entrySet()) {
            list.append("W%d,%s,%s%n".formatted(number++, wire.getKey(), wire.getValue()));
        }
        return list.toString();
    }
}
