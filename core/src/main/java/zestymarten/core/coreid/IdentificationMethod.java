package zestymarten.core.coreid;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;

/**
 * A way to sort a bundle, with what it takes.
 *
 * @param kind of the method
 * @param trips from one place to the other, one way each
 * @param links made and undone at both places
 * @param measurements at most
 * @param cannot why it cannot be used; empty where it can
 */
public record IdentificationMethod(MethodKind kind, int trips, int links, int measurements, Message cannot) {
    private static final double MEASUREMENT_S = 4;
    private static final double LINK_S = 20;

    /** The methods that are known. */
    public enum MethodKind {
        GROUPS,
        PAIR_CHAIN,
        TAGS,
        PAIR_AND_EARTH,
        ONE_BY_ONE;

        public Message words() {
            return Message.of(this);
        }

        /** What is done, in a sentence. */
        public Message does() {
            return Message.of(Message.of(this).code() + "_does");
        }
    }

    public boolean isPossible() {
        return cannot.isEmpty();
    }

    /** Minutes it takes, with so many for a trip one way: 4 s a measurement, 20 s a link, rules of thumb. */
    public double minutes(double tripMinutes) {
        return trips * tripMinutes + (links * LINK_S + measurements * MEASUREMENT_S) / 60;
    }

    /**
     * All methods for a bundle, the ones that can be used first, the fewest trips first, then the least work. Whoever starts
     * here ends here.
     *
     * @param cores to be sorted, from 2 to {@value GroupScheme#MOST}
     * @param hasReturn whether a frame, an armour or a marked core leads back
     * @param tags how many tags can be distinguished, 0 for none
     */
    public static List<IdentificationMethod> all(int cores, boolean hasReturn, int tags) {
        if (cores < 2 || cores > GroupScheme.MAX) {
            throw new NotAccepted("identification_method.bundle_cores_have", cores, GroupScheme.MAX);
        }
        List<IdentificationMethod> all =
                new ArrayList<>(List.of(groups(cores, hasReturn), chain(cores), tags(cores, hasReturn, tags)));
        Message needs = hasReturn ? Message.NONE : Message.of("identification_method.needs_return_frame_armour");
        int visits = MarkedVisits.of(MethodKind.PAIR_AND_EARTH, cores).visits().size();
        all.add(new IdentificationMethod(
                MethodKind.PAIR_AND_EARTH, 2 * visits, 4 * visits, visits * 3 * cores / 2, needs));
        all.add(new IdentificationMethod(
                MethodKind.ONE_BY_ONE, 2 * (cores - 1), 2 * (cores - 1), cores * (cores - 1) / 2, needs));
        all.sort(Comparator.comparing((IdentificationMethod each) -> !each.isPossible())
                .thenComparingInt(IdentificationMethod::trips)
                .thenComparingDouble(each -> each.minutes(0)));
        return all;
    }

    /** A return counts as one more core where the bundle alone has no scheme: it is linked and found like any other. */
    private static IdentificationMethod groups(int cores, boolean hasReturn) {
        int counted = Sorting.counted(MethodKind.GROUPS, cores, hasReturn);
        Optional<GroupScheme> scheme = counted <= GroupScheme.MAX ? GroupScheme.of(counted) : Optional.empty();
        if (scheme.isEmpty()) {
            return new IdentificationMethod(
                    MethodKind.GROUPS,
                    2,
                    0,
                    0,
                    Message.of(
                            "identification_method.cores_cannot_be_identified",
                            counted,
                            hasReturn,
                            counted % 2 == 1 && counted > 2));
        }
        GroupCodes here = scheme.get().linkedHere();
        return new IdentificationMethod(
                MethodKind.GROUPS, 2, 2 * (counted - here.groups().size()) * 2, 2 * here.measurements(), Message.NONE);
    }

    private static IdentificationMethod chain(int cores) {
        if (cores % 2 == 0 || cores < 3) {
            return new IdentificationMethod(
                    MethodKind.PAIR_CHAIN, 2, 0, 0, Message.of("identification_method.needs_odd_number_cores"));
        }
        int measurements = PairChain.linkedHere(cores).measurements();
        return new IdentificationMethod(MethodKind.PAIR_CHAIN, 2, 2 * (cores - 1), 2 * measurements, Message.NONE);
    }

    private static IdentificationMethod tags(int cores, boolean hasReturn, int tags) {
        Message cannot = tags < cores
                ? tags == 0
                        ? Message.of("identification_method.needs_resistors")
                        : Message.of("identification_method.only_tags_can_be", tags)
                : !hasReturn && cores < 3 ? Message.of("identification_method.two_cores_without_return") : Message.NONE;
        return new IdentificationMethod(MethodKind.TAGS, 1, 2 * cores, cores, cannot);
    }
}
