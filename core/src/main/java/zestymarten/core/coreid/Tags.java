package zestymarten.core.coreid;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.quantity.NotAccepted;

/**
 * Resistor tags: every core gets its own resistor there, to a common return or to each other, and is read here.
 *
 * @param ohms of the tags in ohms, ascending, above 0
 * @param tolerance of the tags as a fraction, from 0 to below 1
 * @param coreOhm the most that a core and the leads add
 */
public record Tags(List<Double> ohms, double tolerance, double coreOhm) {
    public Tags {
        ohms = ohms.stream().sorted().toList();
        if (ohms.isEmpty()) {
            throw new NotAccepted("tags.none");
        }
        if (!(ohms.get(0) > 0 && ohms.get(ohms.size() - 1) <= 1e7)) {
            throw new NotAccepted(
                    "tags.tags_above_most",
                    ohms.stream().map(each -> NotAccepted.given(each, "Ω")).toList());
        }
        if (!(tolerance >= 0 && tolerance < 1 && coreOhm >= 0)) {
            throw new NotAccepted("tags.tags_tolerance_below", tolerance, NotAccepted.given(coreOhm, "Ω"));
        }
    }

    /**
     * Tags of which each can be distinguished from all others, as many as there are, the smallest first. Without a return the core that
     * all are read against is taken to have the smallest.
     */
    public List<Double> apart(double accuracy, boolean hasReturn) {
        List<Double> apart = new ArrayList<>();
        double hub = hasReturn ? 0 : 2 * ohms.get(0) + tag(1) + tag(2);
        double beyond = -1;
        for (double ohm : ohms) {
            double doubt = tolerance * ohm + accuracy * (ohm + hub);
            if (ohm - doubt > beyond) {
                apart.add(ohm);
                beyond = ohm + doubt + coreOhm;
            }
        }
        return List.copyOf(apart);
    }

    private double tag(int at) {
        return ohms.get(Math.min(at, ohms.size() - 1));
    }

    /** The place, from 0, of the tag that a core's own ohms are of; -1 where they are of none or may be of several. */
    public int of(OwnResistance own) {
        int found = -1;
        for (int i = 0; i < ohms.size(); i++) {
            double ohm = ohms.get(i);
            double doubt = tolerance * ohm + own.doubtOhm();
            if (own.ohm() >= ohm - doubt && own.ohm() <= ohm + doubt + coreOhm) {
                if (found >= 0) {
                    return -1;
                }
                found = i;
            }
        }
        return found;
    }

    /**
     * Resistance of one core with its tag.
     *
     * @param doubtOhm half of the interval that the meter leaves
     */
    public record OwnResistance(double ohm, double doubtOhm) {
        /** As read against a return. */
        public static OwnResistance read(double ohm, double accuracy) {
            return new OwnResistance(ohm, accuracy * ohm);
        }
    }

    /**
     * Every core's own resistance without a return, the free ends of all tags linked together there: {@code R1 = (m12 + m13 - m23) / 2},
     * the others {@code m1i - R1}. The doubt of each is that of all four readings, so that a small tag beside a large first one is
     * not identified by chance. Source: derivation.
     *
     * @param toFirst readings of core 1 to core 2, 3 ... in ohms, at least 2
     * @param closing the reading of core 2 to core 3
     * @param accuracy of the meter as a fraction
     * @return ohms of core 1, 2, 3 ...; empty where what was read cannot be: a tag would have none
     */
    public static List<Optional<OwnResistance>> withoutReturn(
            List<OptionalDouble> toFirst, double closing, double accuracy) {
        if (toFirst.size() < 2) {
            throw new NotAccepted("tags.without_return_least");
        }
        List<Optional<OwnResistance>> own = new ArrayList<>();
        if (toFirst.get(0).isEmpty() || toFirst.get(1).isEmpty()) {
            own.add(Optional.empty());
            toFirst.forEach(each -> own.add(Optional.empty()));
            return own;
        }
        double second = toFirst.get(0).getAsDouble();
        double third = toFirst.get(1).getAsDouble();
        double hub = (second + third - closing) / 2;
        double doubt = accuracy * (second + third + closing) / 2;
        own.add(hub > 0 ? Optional.of(new OwnResistance(hub, doubt)) : Optional.empty());
        for (OptionalDouble each : toFirst) {
            own.add(
                    each.isPresent() && each.getAsDouble() - hub > 0
                            ? Optional.of(
                                    new OwnResistance(each.getAsDouble() - hub, doubt + accuracy * each.getAsDouble()))
                            : Optional.empty());
        }
        return own;
    }
}
