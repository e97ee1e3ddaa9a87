package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.network.Groups;

/**
 * Which nets of a unit are explained together.
 *
 * <p>Rules: nets hang together by the parts between them, and by every observation that a good unit would not give, with all
 * that was linked for it. The frame joins nothing. Two wires that read open hang together until the ends that they may have
 * exchanged were read apart; a wire that reads open brings along the wires that nobody read yet. Cost: linear in conductors, parts and observations.
 */
final class SceneMap {
    private static final int MAX_FAILING = 12;

    private static final int PROOFS = 2;

    private final Design design;
    private final FaultPriors priors;
    private final List<Element> elements;
    private final List<Observation> observations;
    private final Map<Terminal, Integer> number = new HashMap<>();
    private final Groups together;
    private final Groups byParts;
    private Optional<Index> index = Optional.empty();

    SceneMap(Design design, List<Observation> observations, FaultPriors priors) {
        this.design = design;
        this.priors = priors;
        this.observations = observations;
        elements = Scene.elements(design);
        design.assembly().terminals().forEach(each -> number.put(each, number.size()));
        together = new Groups(number.size());
        byParts = new Groups(number.size());
        elements.forEach(each -> {
            join(together, each.a(), each.b());
            join(byParts, each.a(), each.b());
        });
        List<Observation> linked = new ArrayList<>();
        for (Observation each : observations) {
            if (each.isUnexpected()) {
                join(together, each.a(), each.b());
                if (each.linked() && each.expectation() instanceof Expectation.Apart) {
                    linked.add(each);
                }
            }
        }
        if (!linked.isEmpty()) {
            joinLinked(linked);
        }
        joinProofs();
    }

    /**
     * Over linked far ends a wire is read together with another one. What such a reading has shown of a wire that is suspected
     * by another counts for it: the wire read with it belongs to its scene. One proves it; a second settles the resistance.
     */
    private void joinProofs() {
        Map<Terminal, Integer> proofs = new HashMap<>();
        observations.stream()
                .filter(each -> each.isUnexpected() && each.linked())
                .forEach(each -> List.of(each.a(), each.b()).forEach(end -> proofs.put(end, 0)));
        if (proofs.isEmpty()) {
            return;
        }
        for (Observation each : observations) {
            boolean proves = each.linked()
                    && !each.isUnexpected()
                    && each.expectation() instanceof Expectation.Joined
                    && Stream.of(each.a(), each.b()).anyMatch(end -> proofs.getOrDefault(end, PROOFS) < PROOFS);
            if (proves) {
                List.of(each.a(), each.b()).forEach(end -> proofs.computeIfPresent(end, (any, count) -> count + 1));
                join(together, each.a(), each.b());
            }
        }
    }

    /**
     * What was linked for a path that should not be there may be at either end of it, until the pair itself was read; but for
     * what was read apart from all that is linked at the other end.
     */
    private void joinLinked(List<Observation> unexpected) {
        Groups read = new Groups(number.size());
        Set<Set<Terminal>> apart = new HashSet<>();
        for (Observation each : observations) {
            if (each.joins()) {
                join(read, each.a(), each.b());
            } else if (each.parts() && !each.linked()) {
                apart.add(Set.of(each.a(), each.b()));
            }
        }
        unexpected.forEach(each -> joinLinked(each, read, apart));
    }

    private void joinLinked(Observation unexpected, Groups read, Set<Set<Terminal>> apart) {
        Set<Terminal> near = unexpected.withLinks(unexpected.a());
        Set<Terminal> far = unexpected.withLinks(unexpected.b());
        Map<Integer, Terminal> nearGroups = new HashMap<>();
        near.forEach(each -> nearGroups.putIfAbsent(read.of(number.getOrDefault(each, 0)), each));
        Optional<Terminal> found = far.stream()
                .filter(each -> nearGroups.containsKey(read.of(number.getOrDefault(each, 0))))
                .findFirst();
        if (found.isPresent()) {
            int group = read.of(number.getOrDefault(found.get(), 0));
            join(together, unexpected.a(), found.get());
            join(together, unexpected.a(), nearGroups.getOrDefault(group, unexpected.a()));
        } else {
            possible(near, far, apart).forEach(each -> join(together, unexpected.a(), each));
            possible(far, near, apart).forEach(each -> join(together, unexpected.a(), each));
        }
    }

    private static Stream<Terminal> possible(Set<Terminal> ends, Set<Terminal> others, Set<Set<Terminal>> apart) {
        return ends.stream().filter(end -> others.stream().anyMatch(other -> !apart.contains(Set.of(end, other))));
    }

    private void join(Groups groups, Terminal a, Terminal b) {
        if (!a.isFrame() && !b.isFrame()) {
            groups.join(number.getOrDefault(a, 0), number.getOrDefault(b, 0));
        }
    }

    private int of(Terminal terminal) {
        return together.of(number.getOrDefault(terminal, 0));
    }

    /** Whether two terminals hang together by conductors and parts. */
    boolean areTogether(Terminal a, Terminal b) {
        return byParts.of(number.getOrDefault(a, 0)) == byParts.of(number.getOrDefault(b, 0));
    }

    /** The scene of a terminal that is not the frame. */
    Scene sceneOf(Terminal terminal) {
        return index().scene(Set.of(of(terminal)));
    }

    /** The scenes with something unexpected, or of a function that does not work. */
    List<Scene> suspicious(Connectivity seen, int maxPartners) {
        Set<Integer> suspicious = new TreeSet<>();
        for (Observation each : observations) {
            if (each.isUnexpected()) {
                List.of(each.a(), each.b()).stream()
                        .filter(end -> !end.isFrame())
                        .forEach(end -> suspicious.add(of(end)));
            }
        }
        if (priors.symptoms().isOfSomething()) {
            design.assembly().conductors().stream()
                    .filter(priors::fails)
                    .forEach(wire -> suspicious.add(of(wire.from().isFrame() ? wire.to() : wire.from())));
        }
        failTogether();
        List<Conductor> loose = design.assembly().conductors().stream()
                .filter(wire -> wire.from().isPin() && wire.to().isPin() && seen.isParted(wire.from(), wire.to()))
                .toList();
        exchange(loose, seen);
        Set<Integer> joined = new TreeSet<>();
        suspicious.forEach(each -> joined.add(together.of(each)));
        return scenes(joined, partners(loose, seen, maxPartners));
    }

    /** What one fault may make fail together: a joint between two of the wires explains two functions at once. */
    private void failTogether() {
        List<Conductor> failing = priors.symptoms().isOfSomething()
                ? design.assembly().conductors().stream().filter(priors::fails).toList()
                : List.of();
        if (failing.size() <= MAX_FAILING) {
            failing.stream().skip(1).forEach(wire -> {
                join(together, near(failing.get(0)), near(wire));
                index = Optional.empty();
            });
        }
    }

    private static Terminal near(Conductor wire) {
        return wire.from().isFrame() ? wire.to() : wire.from();
    }

    private void exchange(List<Conductor> loose, Connectivity seen) {
        for (int i = 0; i < loose.size(); i++) {
            for (Conductor other : loose.subList(i + 1, loose.size())) {
                Conductor one = loose.get(i);
                boolean open = one.to().connector().equals(other.to().connector())
                        && !seen.isParted(one.from(), other.to())
                        && !seen.isParted(other.from(), one.to());
                if (open) {
                    join(together, one.from(), other.from());
                    index = Optional.empty();
                }
            }
        }
    }

    /** For each scene with a loose wire the terminals of the wires and cavities that nobody read against it. */
    private Map<Integer, Set<Terminal>> partners(List<Conductor> loose, Connectivity seen, int maximum) {
        Map<Integer, Set<Terminal>> partners = new HashMap<>();
        if (loose.isEmpty()) {
            return partners;
        }
        List<Conductor> unread = design.assembly().conductors().stream()
                .filter(wire -> wire.from().isPin() && wire.to().isPin() && seen.isUnread(wire.from(), wire.to()))
                .toList();
        List<Terminal> cavities = design.assembly().emptyCavities();
        for (Conductor wire : loose) {
            Set<Terminal> own = partners.computeIfAbsent(of(wire.from()), any -> new LinkedHashSet<>());
            for (Conductor other : unread) {
                boolean open = other.to().connector().equals(wire.to().connector())
                        && !seen.isParted(wire.from(), other.to())
                        && !seen.isParted(other.from(), wire.to());
                if (open && own.size() < 2 * maximum) {
                    own.addAll(List.of(other.from(), other.to()));
                }
            }
            for (Terminal cavity : cavities) {
                boolean open = (cavity.connector().equals(wire.to().connector()) && seen.isUnread(wire.from(), cavity))
                        || (cavity.connector().equals(wire.from().connector()) && seen.isUnread(wire.to(), cavity));
                if (open && own.size() < 2 * maximum) {
                    own.add(cavity);
                }
            }
        }
        return partners;
    }

    private List<Scene> scenes(Set<Integer> wanted, Map<Integer, Set<Terminal>> partners) {
        Index index = index();
        List<Scene> scenes = new ArrayList<>();
        for (int each : wanted) {
            Set<Terminal> more = partners.getOrDefault(each, Set.of());
            Set<Integer> groups = new LinkedHashSet<>(List.of(each));
            more.forEach(end -> groups.add(of(end)));
            scenes.add(index.scene(groups));
        }
        return scenes;
    }

    /** What belongs to each group of nets, sorted once for each way in which they hang together. */
    private Index index() {
        Index known = index.orElseGet(Index::new);
        index = Optional.of(known);
        return known;
    }

    private final class Index {
        private final Map<Integer, List<Terminal>> terminals = new HashMap<>();
        private final Map<Integer, List<Element>> edges = new HashMap<>();
        private final Map<Integer, List<Observation>> seen = new HashMap<>();

        private Index() {
            for (Terminal each : design.assembly().terminals()) {
                if (!each.isFrame()) {
                    terminals
                            .computeIfAbsent(of(each), any -> new ArrayList<>())
                            .add(each);
                }
            }
            for (Element each : elements) {
                edges.computeIfAbsent(of(each.a().isFrame() ? each.b() : each.a()), any -> new ArrayList<>())
                        .add(each);
            }
            for (Observation each : observations) {
                Terminal a = each.a().isFrame() ? each.b() : each.a();
                Terminal b = each.b().isFrame() ? each.a() : each.b();
                seen.computeIfAbsent(of(a), any -> new ArrayList<>()).add(each);
                if (of(a) != of(b)) {
                    seen.computeIfAbsent(of(b), any -> new ArrayList<>()).add(each);
                }
            }
        }

        /** The scene of some groups: what was read between two of them belongs to it too. */
        private Scene scene(Set<Integer> groups) {
            Set<Terminal> ends = new LinkedHashSet<>();
            List<Element> within = new ArrayList<>();
            Map<Integer, Observation> read = new TreeMap<>();
            for (int group : groups) {
                ends.addAll(terminals.getOrDefault(group, List.of()));
                within.addAll(edges.getOrDefault(group, List.of()));
                seen.getOrDefault(group, List.of()).stream()
                        .filter(each -> isIn(each.a(), groups) && isIn(each.b(), groups))
                        .forEach(each -> read.put(each.number(), each));
            }

            return new Scene(design, ends, within, List.copyOf(read.values()));
        }

        private boolean isIn(Terminal terminal, Set<Integer> groups) {
            return terminal.isFrame() || groups.contains(of(terminal));
        }
    }

    /** Every single fault of the wires and parts of a function that does not work. */
    List<List<Effect>> ofSymptoms(Scene scene) {
        List<List<Effect>> starts = new ArrayList<>();
        if (!priors.symptoms().isOfSomething()) {
            return starts;
        }
        for (Element element : scene.elements()) {
            boolean asked = element.part().isPresent()
                    || element.conductor()
                            .filter(wire -> priors.isFailing(wire.from()))
                            .isPresent();
            if (!asked) {
                continue;
            }
            if (element.isContact()) {
                starts.add(List.of(new Effect.Stuck(element, false)));
                starts.add(List.of(new Effect.Stuck(element, true)));
            } else {
                starts.add(List.of(new Effect.CutElement(element)));
            }
            if (element.conductor().isPresent()) {
                starts.add(List.of(new Effect.AlteredElement(element, Effect.AlteredElement.Side.ABOVE)));
                starts.add(List.of(new Effect.Jumping(element)));
            }
        }
        starts.addAll(joints(scene));
        return starts;
    }

    /** Every joint between two pieces of functions that do not work, and with the frame. */
    private List<List<Effect>> joints(Scene scene) {
        ObservedPieces pieces = new ObservedPieces(new Variation(scene, List.of(), Map.of(), 1, false));
        Map<Integer, Terminal> failing = new TreeMap<>();
        scene.elements().stream()
                .flatMap(each -> each.conductor().stream())
                .filter(priors::fails)
                .forEach(wire -> failing.putIfAbsent(pieces.number(near(wire)), near(wire)));
        List<Terminal> ends = new ArrayList<>(failing.values());
        ends.add(Terminal.FRAME);
        List<List<Effect>> joints = new ArrayList<>();
        for (int i = 0; i < Math.min(MAX_FAILING, ends.size()); i++) {
            for (int j = i + 1; j < Math.min(MAX_FAILING, ends.size()); j++) {
                if (pieces.number(ends.get(i)) != pieces.number(ends.get(j))) {
                    joints.add(List.of(new Effect.Bridged(List.of(pieces.of(ends.get(i)), pieces.of(ends.get(j))))));
                }
            }
        }
        return joints;
    }
}
