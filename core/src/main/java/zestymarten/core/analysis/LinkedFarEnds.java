package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * What readings between near ends tell of each wire while all far ends are linked together.
 *
 * <p>Method: a path shows both its wires whole; a wire that is open against a whole one is broken, or not caught in
 * the link. Where nothing has shown a wire whole, an open reading does not tell which of the two is broken. Three wires read
 * in a triangle have their own resistance, {@code R1 = (m12 + m13 - m23) / 2}; from one that is known all others follow,
 * {@code R_i = m_1i - R_1}. The link is taken for 0 ohm. Cost: linear in the readings, and their product with the wires until
 * a triangle is found. Source: derivation.
 */
public final class LinkedFarEnds {
    /** What is known of one wire. */
    public enum FarEndState {
        WHOLE,
        BROKEN,
        UNKNOWN
    }

    /**
     * One reading.
     *
     * @param first number of a wire, from 0
     * @param second number of another
     * @param through whether there was a path
     * @param ohm the corrected resistance where it was read
     */
    public record LinkedReading(int first, int second, boolean through, OptionalDouble ohm) {}

    private final List<LinkedReading> reads;
    private final FarEndState[] states;
    private final Map<Integer, Double> own = new HashMap<>();

    private LinkedFarEnds(int wires, List<LinkedReading> reads) {
        this.reads = reads;
        states = new FarEndState[wires];
        java.util.Arrays.fill(states, FarEndState.UNKNOWN);
        reads.stream().filter(LinkedReading::through).forEach(read -> {
            states[read.first()] = FarEndState.WHOLE;
            states[read.second()] = FarEndState.WHOLE;
        });
        reads.stream().filter(read -> !read.through()).forEach(this::broken);
        triangle();
        spread();
    }

    public static LinkedFarEnds of(int wires, List<LinkedReading> reads) {
        return new LinkedFarEnds(wires, List.copyOf(reads));
    }

    private void broken(LinkedReading read) {
        boolean first = states[read.first()] == FarEndState.WHOLE;
        boolean second = states[read.second()] == FarEndState.WHOLE;
        if (first && !second) {
            states[read.second()] = FarEndState.BROKEN;
        } else if (second && !first) {
            states[read.first()] = FarEndState.BROKEN;
        }
    }

    /** The pairs that have to be read, given what was read so far: against a whole reference, then one pair to close. */
    public List<int[]> due() {
        List<int[]> due = new ArrayList<>();
        int last = reference();
        for (int reference = 0; reference <= last; reference++) {
            for (int other = reference + 1; other < states.length; other++) {
                due.add(new int[] {reference, other});
            }
        }
        List<Integer> whole = through(last);
        if (whole.size() >= 2) {
            due.add(new int[] {whole.get(0), whole.get(1)});
        }
        return due;
    }

    /** The first that did not read open against all later ones. */
    private int reference() {
        int reference = 0;
        while (reference < states.length - 1 && openAgainst(reference).size() == states.length - 1 - reference) {
            reference++;
        }
        return reference;
    }

    private Set<Integer> openAgainst(int reference) {
        return reads.stream()
                .filter(read -> read.first() == reference && !read.through())
                .map(LinkedReading::second)
                .collect(Collectors.toSet());
    }

    private List<Integer> through(int reference) {
        return reads.stream()
                .filter(read -> read.first() == reference && read.through())
                .map(LinkedReading::second)
                .sorted()
                .toList();
    }

    /** The pair that will close, as long as too little was read to name it: the first that may still be whole. */
    public Optional<int[]> expectedClosing() {
        int reference = reference();
        Set<Integer> open = openAgainst(reference);
        List<Integer> possible = IntStream.range(reference + 1, states.length)
                .filter(each -> !open.contains(each))
                .boxed()
                .toList();
        return through(reference).size() >= 2 || possible.size() < 2
                ? Optional.empty()
                : Optional.of(new int[] {possible.get(0), possible.get(1)});
    }

    private OptionalDouble ohm(int a, int b) {
        return reads.stream()
                .filter(read -> Set.of(read.first(), read.second()).equals(Set.of(a, b)))
                .filter(read -> read.ohm().isPresent())
                .mapToDouble(read -> read.ohm().getAsDouble())
                .findFirst();
    }

    private void triangle() {
        for (LinkedReading closing : reads) {
            Set<Integer> seen = new HashSet<>();
            for (LinkedReading read : reads) {
                int third = read.first() == closing.first() ? read.second() : read.first();
                boolean beside = read.second() == closing.first() || read.first() == closing.first();
                if (beside && third != closing.second() && third != closing.first() && seen.add(third)) {
                    OptionalDouble one = ohm(third, closing.first());
                    OptionalDouble two = ohm(third, closing.second());
                    if (one.isPresent() && two.isPresent() && closing.ohm().isPresent()) {
                        double sum = one.getAsDouble()
                                + two.getAsDouble()
                                - closing.ohm().getAsDouble();
                        own.put(third, Math.max(0, sum / 2));
                        return;
                    }
                }
            }
        }
    }

    private void spread() {
        boolean grown = !own.isEmpty();
        while (grown) {
            grown = false;
            for (LinkedReading read : reads) {
                boolean first = own.containsKey(read.first());
                if (read.ohm().isPresent() && first != own.containsKey(read.second())) {
                    int known = first ? read.first() : read.second();
                    int other = first ? read.second() : read.first();
                    own.put(other, Math.max(0, read.ohm().getAsDouble() - own.getOrDefault(known, 0.0)));
                    grown = true;
                }
            }
        }
    }

    /** What is known of a wire, by its number. */
    public FarEndState state(int wire) {
        return states[wire];
    }

    /** The wire's own resistance; empty until a triangle of readings gives it. */
    public OptionalDouble ohm(int wire) {
        Double ohm = own.get(wire);
        return ohm == null ? OptionalDouble.empty() : OptionalDouble.of(ohm);
    }
}
