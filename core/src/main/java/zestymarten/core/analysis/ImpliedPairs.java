package zestymarten.core.analysis;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BiConsumer;
import org.pcollections.HashTreePMap;
import org.pcollections.HashTreePSet;
import org.pcollections.PMap;
import org.pcollections.PSet;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Partition;
import zestymarten.core.judgement.Judgement.Contact;

/**
 * What follows from readings of a unit at rest, so that nobody has to read it.
 *
 * <p>Rules: joined with joined is joined; joined with apart is apart, where apart means that nothing was read between the
 * two, not even by a part. Only readings with free ends take part, and only what stands without a doubt takes part: a reading
 * that jumps, or that another one of the same points contradicts, implies nothing. Cost: linear in the observations to make;
 * a pair is looked up at once, the readings that it follows from are searched for when they are asked for.
 */
public final class ImpliedPairs {
    private static final int MAX_PIECES = 200;

    private final Design design;
    private final Partition groups;
    private final PMap<Long, Observation> parting;
    private final Map<Terminal, List<Observation>> joinedAt;
    private final Set<Integer> unexpected;
    private final PSet<Set<Terminal>> read;

    /**
     * A pair that nobody has to read.
     *
     * @param joined whether the two are one point, rather than apart
     * @param from numbers of the readings that it follows from, ascending
     */
    public record ImpliedPair(Terminal a, Terminal b, boolean joined, List<Integer> from) {
        public ImpliedPair {
            from = List.copyOf(from);
        }
    }

    private ImpliedPairs(Design design, List<Observation> observations) {
        this.design = design;
        SwitchState rest = design.assembly().states().get(0);
        List<Observation> steady = new RepeatedReadings(
                        design,
                        observations.stream()
                                .filter(each -> each.state().equals(rest) && !each.linked())
                                .toList())
                .steady();
        groups = new Connectivity(design, steady).groups();
        joinedAt = new HashMap<>();
        unexpected = new HashSet<>();
        Map<Long, Observation> apart = new HashMap<>();
        Set<Set<Terminal>> ends = new HashSet<>();
        for (Observation each : steady) {
            ends.add(Set.of(each.a(), each.b()));
            if (each.isUnexpected()) {
                unexpected.add(groups.group(each.a()));
                unexpected.add(groups.group(each.b()));
            }
            if (isApart(each)) {
                apart.putIfAbsent(groupsOf(each.a(), each.b()), each);
            }
            if (each.joins() && groups.joins(each.a(), each.b())) {
                joinedAt.computeIfAbsent(each.a(), any -> new ArrayList<>()).add(each);
                joinedAt.computeIfAbsent(each.b(), any -> new ArrayList<>()).add(each);
            }
        }
        parting = HashTreePMap.from(apart);
        read = HashTreePSet.from(ends);
    }

    private ImpliedPairs(ImpliedPairs earlier, Observation added) {
        design = earlier.design;
        groups = earlier.groups;
        joinedAt = earlier.joinedAt;
        unexpected = earlier.unexpected;
        long pair = groupsOf(added.a(), added.b());
        parting = earlier.parting.containsKey(pair) ? earlier.parting : earlier.parting.plus(pair, added);
        read = earlier.read.plus(Set.of(added.a(), added.b()));
    }

    /**
     * The same with one observation more of a unit at rest with free ends. Cost: that of one entry in a map.
     *
     * @param first apart as expected, and the first of its pair
     */
    public ImpliedPairs with(Observation first) {
        return new ImpliedPairs(this, first);
    }

    /** What follows from observations of a unit, those that later ones repeat included. */
    public static ImpliedPairs of(Design design, List<Observation> observations) {
        return new ImpliedPairs(design, observations);
    }

    private static boolean isApart(Observation each) {
        return each.judgement().contact() == Contact.APART;
    }

    /** Whether two terminals were read to be one point. */
    public boolean areJoined(Terminal a, Terminal b) {
        return groups.joins(a, b);
    }

    /** Whether two terminals were read not to be one point. */
    public boolean areApart(Terminal a, Terminal b) {
        return !areJoined(a, b) && parting.containsKey(groupsOf(a, b));
    }

    /** Whether a good unit would have read otherwise at what is one point with a terminal. */
    public boolean isUnexpectedAt(Terminal terminal) {
        return unexpected.contains(groups.group(terminal));
    }

    /** What is known of two terminals, and from which readings; empty if they have to be read to know. */
    public Optional<ImpliedPair> between(Terminal a, Terminal b) {
        if (areJoined(a, b)) {
            return Optional.of(new ImpliedPair(a, b, true, List.copyOf(path(a, b))));
        }
        return Optional.ofNullable(parting.get(groupsOf(a, b)))
                .map(apart -> new ImpliedPair(a, b, false, from(apart, a, b)));
    }

    /** Two groups as one number, in whichever order. */
    private long groupsOf(Terminal a, Terminal b) {
        long one = groups.group(a);
        long other = groups.group(b);
        return (Math.min(one, other) << Integer.SIZE) + Math.max(one, other);
    }

    private List<Integer> from(Observation apart, Terminal a, Terminal b) {
        boolean inOrder = areJoined(apart.a(), a);
        Set<Integer> numbers = new TreeSet<>(Set.of(apart.number()));
        numbers.addAll(path(inOrder ? apart.a() : apart.b(), a));
        numbers.addAll(path(inOrder ? apart.b() : apart.a(), b));
        return List.copyOf(numbers);
    }

    /** The fewest joined readings that lead from one terminal to another. */
    private Set<Integer> path(Terminal from, Terminal to) {
        Map<Terminal, Observation> reachedBy = new HashMap<>();
        Set<Terminal> seen = new HashSet<>(Set.of(from));
        Deque<Terminal> due = new ArrayDeque<>(seen);
        while (!seen.contains(to) && !due.isEmpty()) {
            Terminal here = due.removeFirst();
            for (Observation each : joinedAt.getOrDefault(here, List.of())) {
                Terminal next = each.a().equals(here) ? each.b() : each.a();
                if (seen.add(next)) {
                    reachedBy.put(next, each);
                    due.addLast(next);
                }
            }
        }
        Set<Integer> numbers = new TreeSet<>();
        for (Terminal at = to; reachedBy.containsKey(at); ) {
            Observation by = reachedBy.get(at);
            numbers.add(by.number());
            at = by.a().equals(at) ? by.b() : by.a();
        }
        return numbers;
    }

    /**
     * The pairs that a test of the whole unit asks for and that follow from readings of other pairs: wires end to end that
     * are apart, the first {@value #MAX_PIECES} pieces against each other and against the frame.
     *
     * @param maximum how many to name at most
     */
    public List<ImpliedPair> unread(int maximum) {
        List<ImpliedPair> pairs = new ArrayList<>();
        eachPlanned((a, b) -> {
            if (pairs.size() < maximum && !read.contains(Set.of(a, b))) {
                boolean sameNet = design.same(a, b); // that it is joined says nothing of its resistance
                between(a, b).filter(pair -> !sameNet || !pair.joined()).ifPresent(pairs::add);
            }
        });
        return List.copyOf(pairs);
    }

    private void eachPlanned(BiConsumer<Terminal, Terminal> take) {
        Set<Terminal> pieces = new LinkedHashSet<>();
        design.nets().all().stream()
                .filter(net -> !net.ends().isEmpty())
                .forEach(net -> pieces.add(net.ends().get(0)));
        design.nets()
                .all()
                .forEach(net -> net.ends().stream().skip(1).forEach(far -> {
                    Terminal near = net.ends().get(0);
                    take.accept(near, far);
                    if (areApart(near, far)) {
                        pieces.add(far); // what is broken or ends elsewhere has two ends to be read
                    }
                }));
        pieces.remove(Terminal.FRAME);
        List<Terminal> all = List.copyOf(pieces).subList(0, Math.min(pieces.size(), MAX_PIECES));
        for (int i = 0; i < all.size(); i++) {
            for (int j = i + 1; j < all.size(); j++) {
                if (!design.same(all.get(i), all.get(j))) {
                    take.accept(all.get(i), all.get(j));
                }
            }
            take.accept(all.get(i), Terminal.FRAME);
        }
    }
}
