package zestymarten.core.testplan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zestymarten.core.assembly.Terminal;

/**
 * The pieces of one run, and the measurements between them.
 *
 * <p>Method: each to each takes n (n - 1) / 2 measurements; each to the linked rest n - 1; by halves ceil(log2 n), one for every
 * bit of the pieces' numbers. Where a measurement of linked pieces finds a path, the pairs in it follow. Pairs are gone through,
 * never stored.
 */
public final class PlanPieces {
    /** The place of what reads well at the far end: before every stub. */
    private static final int WHOLE = -1;

    private final List<Terminal> pieces;
    private final List<TestStep.Measurement> cavities;
    private final FarStubs far;
    private final TestMethod method;
    private final Map<Terminal, Integer> place = new HashMap<>();
    /** At the far end each stub comes after those before it and after all that is whole. */
    private final Map<Terminal, Integer> farPlace = new HashMap<>();

    private final Set<TestStep.Measurement> cavitySet;
    private final Map<Terminal, Terminal> partOf;

    /** @param partOf for each piece that parts join with others one of them; pieces that stand alone are absent */
    PlanPieces(
            List<Terminal> pieces,
            List<TestStep.Measurement> cavities,
            FarStubs far,
            TestMethod method,
            Map<Terminal, Terminal> partOf) {
        this.partOf = Map.copyOf(partOf);
        this.pieces = pieces;
        this.cavities = List.copyOf(cavities);
        this.far = far;
        this.method = method;
        cavitySet = Set.copyOf(cavities);
        for (int i = 0; i < pieces.size(); i++) {
            place.put(pieces.get(i), i);
        }
        far.whole().forEach(each -> farPlace.put(each, WHOLE));
        for (int i = 0; i < far.stubs().size(); i++) {
            farPlace.put(far.stubs().get(i), i);
        }
    }

    /**
     * What wires that read open leave at the far end, where somebody is to unlink it: read there, on that one trip.
     *
     * @param stubs their far ends
     * @param whole where the wires that read well come out beside them
     */
    public record FarStubs(List<Terminal> stubs, List<Terminal> whole) {
        static final FarStubs NONE = new FarStubs(List.of(), List.of());

        public FarStubs {
            stubs = List.copyOf(stubs);
            whole = List.copyOf(whole);
        }

        /** Each stub against every whole wire and against the stubs before it. */
        public Stream<TestStep.Measurement> pairs() {
            return IntStream.range(0, stubs.size())
                    .boxed()
                    .flatMap(i -> Stream.concat(whole.stream(), stubs.subList(0, i).stream())
                            .map(other -> new TestStep.Measurement(Stage.SHORTS, other, stubs.get(i))));
        }

        /** How many {@link #pairs} there are. */
        public long count() {
            return (long) stubs.size() * whole.size() + (long) stubs.size() * (stubs.size() - 1) / 2;
        }
    }

    /** What is read at the far end before the trip back. */
    public FarStubs far() {
        return far;
    }

    public List<Terminal> all() {
        return pieces;
    }

    /** Measurements of near ends in empty cavities, after the pairs. */
    public List<TestStep.Measurement> cavities() {
        return cavities;
    }

    /** Whether pieces are linked for the shorts stage. */
    public boolean areLinked() {
        return pieces.size() > 2 && (method == TestMethod.EACH_TO_REST || method == TestMethod.BY_HALVES);
    }

    /**
     * How many measurements the shorts stage has.
     *
     * @param through whether a measurement of linked pieces found a path, so that its pairs follow
     */
    public long shortsCount(Predicate<TestStep.Measurement> through) {
        return areLinked() ? shorts(through).count() : pairs() + cavities.size();
    }

    /** How many pieces are read against the frame. */
    public int framed() {
        return pieces.size() + far.stubs().size();
    }

    /** How often a probe goes to another terminal for the pairs of free pieces, both for the first: without walking them. */
    public long pairMoves() {
        long n = pieces.size();
        long shared = n > 2 ? 1 : 0; // the last two pairs have the red one in common
        return n < 2 ? 0 : n * (n - 1) / 2 + (n - 1) - shared;
    }

    /** The measurements of the shorts stage in order, made as they are asked for; see {@link #shortsCount}. */
    public Stream<TestStep.Measurement> shorts(Predicate<TestStep.Measurement> through) {
        return areLinked() ? Stream.concat(linked(through), cavities.stream()) : pairsFrom(0);
    }

    /** How many pairs there are each to each, cavities aside. */
    public long pairs() {
        return (long) pieces.size() * (pieces.size() - 1) / 2;
    }

    /**
     * The measurements of free pieces without the first so many, in the order of {@link #shorts}. Cost: of the start linear in the
     * pieces.
     */
    public Stream<TestStep.Measurement> pairsFrom(long skipped) {
        long rest = skipped;
        int first = 0;
        while (first < pieces.size() && rest >= pieces.size() - 1 - first) {
            rest -= pieces.size() - 1 - first;
            first++;
        }
        int row = first;
        int column = (int) (row + 1 + rest);
        Stream<TestStep.Measurement> begun =
                IntStream.range(column, pieces.size()).mapToObj(j -> pair(row, j));
        Stream<TestStep.Measurement> others = IntStream.range(row + 1, pieces.size())
                .boxed()
                .flatMap(i -> IntStream.range(i + 1, pieces.size()).mapToObj(j -> pair(i, j)));
        return Stream.of(row < pieces.size() ? begun : Stream.<TestStep.Measurement>empty(), others, cavities.stream())
                .flatMap(each -> each);
    }

    private Stream<TestStep.Measurement> linked(Predicate<TestStep.Measurement> through) {
        if (method == TestMethod.EACH_TO_REST) {
            return eachToRest(through);
        }
        List<TestStep.Measurement> halves = halves();
        boolean clean = halves.stream().noneMatch(through);
        return clean ? halves.stream() : Stream.concat(halves.stream(), eachToRest(through));
    }

    private Stream<TestStep.Measurement> eachToRest(Predicate<TestStep.Measurement> through) {
        return IntStream.range(0, pieces.size() - 1).boxed().flatMap(i -> {
            TestStep.Measurement measurement = toRest(i);
            return !measurement.isLinked() || !through.test(measurement)
                    ? Stream.of(measurement)
                    : Stream.concat(
                            Stream.of(measurement),
                            IntStream.range(i + 1, pieces.size()).mapToObj(j -> pair(i, j)));
        });
    }

    /** A piece against all later ones, linked together. */
    private TestStep.Measurement toRest(int first) {
        List<Terminal> rest = pieces.subList(first + 1, pieces.size());
        return new TestStep.Measurement(
                Stage.SHORTS, pieces.get(first), rest.get(0), "", rest.size() < 2 ? List.of() : List.of(rest));
    }

    private List<TestStep.Measurement> halves() {
        List<TestStep.Measurement> halves = new ArrayList<>();
        for (int bit = 1; bit < pieces.size(); bit <<= 1) {
            List<Terminal> zeros = new ArrayList<>();
            List<Terminal> ones = new ArrayList<>();
            for (int i = 0; i < pieces.size(); i++) {
                ((i & bit) == 0 ? zeros : ones).add(pieces.get(i));
            }
            List<List<Terminal>> links =
                    Stream.of(zeros, ones).filter(half -> half.size() > 1).toList();
            halves.add(new TestStep.Measurement(Stage.SHORTS, zeros.get(0), ones.get(0), "", links));
        }
        return halves;
    }

    /** The measurement of two pieces by their places in {@link #all}; the earlier gets the black probe. */
    public TestStep.Measurement pair(int first, int second) {
        return new TestStep.Measurement(
                Stage.SHORTS, pieces.get(Math.min(first, second)), pieces.get(Math.max(first, second)));
    }

    /** The measurements of the frame stage in order. */
    public Stream<TestStep.Measurement> frame() {
        return Stream.concat(pieces.stream(), far.stubs().stream())
                .map(piece -> new TestStep.Measurement(Stage.FRAME, piece, Terminal.FRAME));
    }

    /**
     * The measurements under the test voltage: of each piece through its own clips, to prove them, and then against all others
     * and the frame, linked together.
     *
     * @param stage the insulation or the withstand test
     * @param farEnd where the piece's own wire comes out
     */
    /** What parts join is one group: no test voltage ever lies across a part. */
    private List<List<Terminal>> groups() {
        Map<Terminal, List<Terminal>> groups = new LinkedHashMap<>();
        pieces.forEach(each -> groups.computeIfAbsent(partOf.getOrDefault(each, each), any -> new ArrayList<>())
                .add(each));
        return List.copyOf(groups.values());
    }

    public Stream<TestStep.Measurement> underVoltage(Stage stage, Function<Terminal, Optional<Terminal>> farEnd) {
        return groups().stream().flatMap(group -> {
            Terminal first = group.get(0);
            List<Terminal> others = Stream.concat(
                            pieces.stream().filter(each -> !group.contains(each)), Stream.of(Terminal.FRAME))
                    .toList();
            List<List<Terminal>> links =
                    Stream.of(group, others).filter(each -> each.size() > 1).toList();
            Stream<TestStep.Measurement> connected = group.stream()
                    .flatMap(piece ->
                            farEnd.apply(piece).map(far -> new TestStep.Measurement(stage, piece, far)).stream());
            return Stream.concat(
                    connected, Stream.of(new TestStep.Measurement(stage, first, Terminal.FRAME, "", links)));
        });
    }

    /** The measurements in the water: each piece against it, all others free. */
    public Stream<TestStep.Measurement> inWater() {
        return pieces.stream().map(piece -> new TestStep.Measurement(Stage.WET, piece, Terminal.FRAME));
    }

    /** All pieces together against the frame, while the mist goes from zone to zone. */
    public Stream<TestStep.Measurement> inMist() {
        return pieces.isEmpty()
                ? Stream.empty()
                : Stream.of(new TestStep.Measurement(
                        Stage.WET, pieces.get(0), Terminal.FRAME, "", pieces.size() < 2 ? List.of() : List.of(pieces)));
    }

    /** Whether a measurement with free ends is one of the shorts or frame measurements, or may become one. */
    boolean isBetween(TestStep.Measurement measurement) {
        if (measurement.stage() == Stage.FRAME) {
            return measurement.red().isFrame()
                    && (place.containsKey(measurement.black()) || far.stubs().contains(measurement.black()));
        }
        return measurement.stage() == Stage.SHORTS
                && (cavitySet.contains(measurement)
                        || isInOrder(measurement, place)
                        || isInOrder(measurement, farPlace));
    }

    private static boolean isInOrder(TestStep.Measurement measurement, Map<Terminal, Integer> places) {
        Integer first = places.get(measurement.black());
        Integer second = places.get(measurement.red());
        return first != null && second != null && first < second;
    }

    /** Whether a measurement is one of the shorts or frame measurements; see {@link #shorts}. */
    public boolean contains(TestStep.Measurement measurement, Predicate<TestStep.Measurement> through) {
        if (!measurement.state().isEmpty()) {
            return false;
        }
        if (measurement.stage() == Stage.SHORTS && areLinked()) {
            return shorts(through).anyMatch(measurement::equals);
        }
        return !measurement.isLinked() && isBetween(measurement);
    }
}
