package zestymarten.core.bundle;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Resistor tags: every core gets its own resistor there, to a common return or to each other, and is read here.
 *
 * @param ohms of the tags in ohms, ascending, above 0
 * @param tolerance of the tags as a fraction, from 0 to below 1
 * @param coreOhm the most that a core and the leads add
 */
public record Tags(List<Double> ohms, double tolerance, double coreOhm) {
    /** Without a return a tag's value comes out of three readings: half as much again as the doubt of one. */
    private static final double HUB = 1.5;

    public Tags {
        ohms = ohms.stream().sorted().toList();
        if (ohms.isEmpty() || !(ohms.get(0) > 0 && ohms.get(ohms.size() - 1) <= 1e7)) {
            throw new IllegalArgumentException("Tags must be above 0 and at most 10^7 ohm; read " + ohms + ".");
        }
        if (!(tolerance >= 0 && tolerance < 1 && coreOhm >= 0)) {
            throw new IllegalArgumentException("The tags' tolerance (" + tolerance
                    + ") must be from 0 to below 1, the core's resistance (" + coreOhm + ") not below 0.");
        }
    }

    /** Tags of which each can be told from all others, as many as there are, the smallest first. */
    public List<Double> apart(double accuracy, boolean hasReturn) {
        List<Double> apart = new ArrayList<>();
        double doubt = tolerance + accuracy * (hasReturn ? 1 : HUB);
        double beyond = -1;
        for (double ohm : ohms) {
            if (ohm * (1 - doubt) > beyond) {
                apart.add(ohm);
                beyond = ohm * (1 + doubt) + coreOhm;
            }
        }
        return List.copyOf(apart);
    }

    /** The place, from 0, of the tag that a reading is of; -1 where it is of none or of several. */
    public int of(double readOhm, double accuracy, boolean hasReturn) {
        double doubt = tolerance + accuracy * (hasReturn ? 1 : HUB);
        int found = -1;
        for (int i = 0; i < ohms.size(); i++) {
            double ohm = ohms.get(i);
            if (readOhm >= ohm * (1 - doubt) && readOhm <= ohm * (1 + doubt) + coreOhm) {
                if (found >= 0) {
                    return -1;
                }
                found = i;
            }
        }
        return found;
    }

    /**
     * Every core's own ohms without a return, the free ends of all tags tied together there: {@code R1 = (m12 + m13 - m23) / 2},
     * the others {@code m1i - R1}. Source: derivation.
     *
     * @param toFirst readings of core 1 to core 2, 3 ... in ohms, at least 2
     * @param closing the reading of core 2 to core 3
     * @return ohms of core 1, 2, 3 ...; empty where what was read cannot be: a tag would have none
     */
    public static List<OptionalDouble> withoutReturn(List<OptionalDouble> toFirst, double closing) {
        if (toFirst.size() < 2) {
            throw new IllegalArgumentException("Without a return at least three cores are needed.");
        }
        List<OptionalDouble> own = new ArrayList<>();
        if (toFirst.get(0).isEmpty() || toFirst.get(1).isEmpty()) {
            own.add(OptionalDouble.empty());
            toFirst.forEach(each -> own.add(OptionalDouble.empty()));
            return own;
        }
        double hub = (toFirst.get(0).getAsDouble() + toFirst.get(1).getAsDouble() - closing) / 2;
        own.add(hub > 0 ? OptionalDouble.of(hub) : OptionalDouble.empty());
        for (OptionalDouble each : toFirst) {
            own.add(
                    each.isPresent() && each.getAsDouble() - hub > 0
                            ? OptionalDouble.of(each.getAsDouble() - hub)
                            : OptionalDouble.empty());
        }
        return own;
    }
}
