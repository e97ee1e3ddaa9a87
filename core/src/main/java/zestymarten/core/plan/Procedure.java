package zestymarten.core.plan;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.State;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.network.Net;
import zestymarten.core.network.Nets;

/**
 * The touches of a method for one assembly, in their order.
 *
 * <p>Method: a net of k probe points is rung out by k - 1 touches from its first one; n nets are parted by n (n - 1) / 2
 * touches each to each, n each to the tied rest, or ceil(log2(n + 1)) by halves, the frame counted as one more. Parts are read
 * once where they conduct, contacts once where they are open too. Order:
 * design order. Cost: proportional to the touches and what is tied for them.
 */
public final class Procedure {
    private final List<Net> nets;
    private final List<Terminal> heads;
    private final Method method;
    private final State rest;
    private final List<Touch> touches = new ArrayList<>();

    private Procedure(Assembly assembly, Nets all, Method method) {
        this.method = method;
        rest = assembly.states().get(0);
        nets = all.all().stream().filter(net -> !net.ends().isEmpty()).toList();
        heads = nets.stream()
                .filter(net -> !net.touchesFrame())
                .map(net -> net.ends().get(0))
                .toList();
        switch (method) {
            case BOTH_ENDS -> {
                ends();
                eachToEach();
            }
            case FAR_END_JOINED -> {
                farEndJoined(heads, Stream.empty());
                eachToEach();
            }
            case FAR_END_TO_FRAME -> {
                List<Terminal> read =
                        Stream.concat(Stream.of(Terminal.FRAME), heads.stream()).toList();
                farEndJoined(read, Stream.of(Terminal.FRAME));
                eachToEach();
            }
            case EACH_TO_REST -> {
                ends();
                eachToRest();
            }
            case BY_HALVES -> {
                ends();
                byHalves();
            }
            case INSULATION -> eachToRest();
        }
        if (method != Method.INSULATION) {
            assembly.terminals().stream()
                    .filter(assembly.bonded()::contains)
                    .forEach(terminal -> touches.add(Touch.free(terminal, Terminal.FRAME, rest)));
            parts(assembly);
        }
    }

    /**
     * Every part where it conducts, every contact where it is open as well, state by state so that each is set once: a
     * part in the first state that shows it.
     */
    private void parts(Assembly assembly) {
        Set<String> shown = new HashSet<>();
        for (State state : assembly.states()) {
            for (Component part : assembly.components()) {
                boolean told =
                        part.kind() != Component.Kind.DIODE && shown.add(part.id() + " " + part.conductsIn(state));
                if (told) {
                    touches.add(Touch.free(part.a(), part.b(), state));
                }
            }
        }
    }

    /** How often switches and relays are set to another state. */
    public int states() {
        int changes = 0;
        State now = rest;
        for (Touch touch : touches) {
            changes += touch.state().equals(now) ? 0 : 1;
            now = touch.state();
        }
        return changes;
    }

    /** How often a probe goes to another terminal, the first touch included. */
    public int moves() {
        int moves = 0;
        Optional<Touch> last = Optional.empty();
        for (Touch touch : touches) {
            moves += last.filter(each -> each.black().equals(touch.black())).isPresent() ? 0 : 1;
            moves += last.filter(each -> each.red().equals(touch.red())).isPresent() ? 0 : 1;
            last = Optional.of(touch);
        }
        return moves;
    }

    /** The procedure of a method. */
    public static Procedure of(Assembly assembly, Nets nets, Method method) {
        return new Procedure(assembly, nets, method);
    }

    public Method method() {
        return method;
    }

    public List<Touch> touches() {
        return List.copyOf(touches);
    }

    /** How often what is tied changes, the first tying included. */
    public int setups() {
        int changes = 0;
        List<List<Terminal>> tied = List.of();
        for (Touch touch : touches) {
            if (!touch.ties().equals(tied)) {
                changes++;
                tied = touch.ties();
            }
        }
        return changes;
    }

    private void ends() {
        for (Net net : nets) {
            net.ends().stream()
                    .skip(1)
                    .forEach(far -> touches.add(Touch.free(net.ends().get(0), far, rest)));
        }
    }

    private void eachToEach() {
        for (int i = 0; i < heads.size(); i++) {
            for (int j = i + 1; j < heads.size(); j++) {
                touches.add(Touch.free(heads.get(i), heads.get(j), rest));
            }
        }
        heads.forEach(head -> touches.add(Touch.free(head, Terminal.FRAME, rest)));
    }

    /**
     * All far ends tied; each near end against the first, and one closing pair that gives every wire its own ohms.
     *
     * @param read what is read against each other, a return at the head if there is one
     * @param returns what is tied to the far ends besides
     */
    private void farEndJoined(List<Terminal> read, Stream<Terminal> returns) {
        List<Terminal> far = Stream.concat(
                        nets.stream()
                                .flatMap(net -> net.ends().stream().skip(1))
                                .filter(end -> !end.isFrame()),
                        returns)
                .toList();
        for (int i = 1; i < read.size(); i++) {
            boolean isReturn = read.get(0).isFrame();
            touches.add(tied(read.get(isReturn ? i : 0), read.get(isReturn ? 0 : i), List.of(far)));
        }
        if (read.size() > 2) {
            touches.add(tied(read.get(1), read.get(2), List.of(far)));
        }
    }

    private void eachToRest() {
        for (int i = 0; i < heads.size(); i++) {
            List<Terminal> others = new ArrayList<>(heads.subList(i + 1, heads.size()));
            others.add(Terminal.FRAME);
            touches.add(tied(heads.get(i), Terminal.FRAME, others.size() < 2 ? List.of() : List.of(others)));
        }
    }

    private void byHalves() {
        List<Terminal> all = new ArrayList<>(heads);
        all.add(Terminal.FRAME);
        for (int bit = 1; bit < all.size(); bit <<= 1) {
            List<Terminal> zeros = new ArrayList<>();
            List<Terminal> ones = new ArrayList<>();
            for (int i = 0; i < all.size(); i++) {
                ((i & bit) == 0 ? zeros : ones).add(all.get(i));
            }
            List<List<Terminal>> ties = List.of(zeros, ones).stream()
                    .filter(half -> half.size() > 1)
                    .toList();
            touches.add(tied(zeros.get(0), ones.get(0), ties));
        }
    }

    private Touch tied(Terminal black, Terminal red, List<List<Terminal>> ties) {
        return new Touch(black, red, ties, rest, method == Method.INSULATION);
    }

    /**
     * Seconds that it takes at the given prices, in seconds for a touch, a probe that goes to another terminal, a change of
     * ties, and a walk there and back.
     */
    public double seconds(double touch, double move, double setup, double walk) {
        return touches.size() * touch + moves() * move + setups() * setup + method.walks() * walk;
    }
}
