package zestymarten.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.Ohms;

class WhatIfTest {
    private static final Terminal A = Terminal.of("A");
    private static final Terminal B = Terminal.of("B");
    private static final Terminal C = Terminal.of("C");
    private static final Terminal D = Terminal.of("D");

    private static Link link(Terminal a, Terminal b, double ohm) {
        return new Link(a, b, Ohms.of(ohm), Ohms.of(ohm), Ohms.of(ohm));
    }

    private static OptionalDouble read(List<Link> links, List<Change> changes, Terminal a, Terminal b) {
        return WhatIf.of(Network.of(links), changes).between(a, b);
    }

    @Test
    void aBrokenBridgeOpensWhatLiesOnEitherSideAndNothingElse() {
        List<Link> chain = List.of(link(A, B, 1), link(B, C, 2), link(C, D, 4));
        List<Change> broken = List.of(new Change.Removed(B, C, 2));
        assertThat(read(chain, broken, A, D)).isEmpty();
        assertThat(read(chain, broken, B, C)).isEmpty();
        assertThat(read(chain, broken, A, B)).hasValue(1);
        assertThat(read(chain, broken, C, D)).hasValue(4);
    }

    @Test
    void aShortBetweenTwoWiresJoinsThem() {
        List<Link> wires = List.of(link(A, B, 1), link(C, D, 2));
        assertThat(read(wires, List.of(new Change.Added(B, C, 0.5)), A, D)).hasValue(3.5);
        assertThat(read(wires, List.of(new Change.Added(B, C, 0)), B, C)).hasValue(0);
        assertThat(read(wires, List.of(new Change.Added(B, C, 0)), A, B)).hasValue(1);
    }

    @Test
    void aShortToATerminalThatNothingIsJoinedToReachesIt() {
        assertThat(read(List.of(link(A, B, 1)), List.of(new Change.Added(B, C, 0)), A, C))
                .hasValue(1);
    }

    @Test
    void twoWiresThatChangedPlacesReadCrosswise() {
        List<Link> wires = List.of(link(A, B, 1), link(C, D, 2));
        List<Change> crossed = List.of(
                new Change.Removed(A, B, 1),
                new Change.Removed(C, D, 2),
                new Change.Added(A, D, 1),
                new Change.Added(C, B, 2));
        assertThat(read(wires, crossed, A, D).orElseThrow()).isCloseTo(1, within(1e-9));
        assertThat(read(wires, crossed, C, B).orElseThrow()).isCloseTo(2, within(1e-9));
        assertThat(read(wires, crossed, A, B)).isEmpty();
        assertThat(read(wires, crossed, A, C)).isEmpty();
    }

    @Test
    void anEdgeOfNoOhmsCannotBeTakenOut() {
        assertThatThrownBy(() -> new Change.Removed(A, B, 0))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessage(
                        "An edge of 0 ohm merges its ends and cannot be taken out again: give it some resistance first.");
        assertThatThrownBy(() -> new Change.Added(A, B, Double.NaN)).isInstanceOf(IllegalArgumentException.class);
    }

    /** Random networks, some in several components, with bridges and loops: one to four changes against a full solve. */
    @Test
    void isTheSameAsSolvingTheChangedNetworkAnew() {
        Random random = new Random(5);
        for (int round = 0; round < 3000; round++) {
            List<Link> links = network(random);
            List<Link> changed = new ArrayList<>(links);
            List<Change> changes = new ArrayList<>();
            for (int i = random.nextInt(4); i >= 0; i--) {
                change(random, changed, changes);
            }
            Terminal a = node(random);
            Terminal b = node(random);
            OptionalDouble anew = Network.of(changed).nominal(a, b);
            OptionalDouble whatIf = read(links, changes, a, b);
            assertThat(whatIf.isPresent()).as("round %d", round).isEqualTo(anew.isPresent() || a.equals(b));
            if (anew.isPresent()) {
                assertThat(whatIf.getAsDouble())
                        .as("round %d", round)
                        .isCloseTo(anew.getAsDouble(), within(1e-7 * (1 + anew.getAsDouble())));
            }
        }
    }

    private static List<Link> network(Random random) {
        List<Link> links = new ArrayList<>();
        for (int i = random.nextInt(14); i >= 0; i--) {
            Terminal a = node(random);
            Terminal b = node(random);
            if (!a.equals(b)) {
                links.add(link(a, b, Math.exp(random.nextGaussian() * 2)));
            }
        }
        return links;
    }

    private static Terminal node(Random random) {
        return Terminal.of("N" + random.nextInt(10));
    }

    /** One change that is not yet made, noted in {@code changes} and made in {@code links}; edges new here are left alone. */
    private static void change(Random random, List<Link> links, List<Change> changes) {
        Terminal a = node(random);
        Terminal b = node(random);
        double ohm = Math.exp(random.nextGaussian());
        boolean touched = links.isEmpty() || changes.size() > 3;
        int pick = touched ? 0 : random.nextInt(links.size());
        boolean isOriginal = !touched
                && changes.stream()
                        .noneMatch(each -> each.a().equals(links.get(pick).a())
                                && each.b().equals(links.get(pick).b()));
        if (random.nextBoolean() || !isOriginal) {
            if (!a.equals(b)) {
                links.add(link(a, b, ohm));
                changes.add(new Change.Added(a, b, ohm));
            }
            return;
        }
        Link old = links.remove(pick);
        if (random.nextBoolean()) {
            changes.add(new Change.Removed(old.a(), old.b(), old.nominal().value()));
        } else {
            links.add(link(old.a(), old.b(), ohm));
            changes.add(new Change.Altered(old.a(), old.b(), old.nominal().value(), ohm));
        }
    }
}
