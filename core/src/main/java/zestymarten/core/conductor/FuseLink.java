package zestymarten.core.conductor;

import java.util.List;
import java.util.OptionalDouble;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.ResourceTable;

/**
 * A gG fuse-link by its conventional currents and its gates. Source: IEC 60269-1.
 * The standard has gates for the usual sizes from 16 A on; for others only the conventional time is certain.
 *
 * @param ratedA rated current, above 0 and at most 1250 A
 */
public record FuseLink(double ratedA) implements Protection {
    private static final double MAX_A = 1250;
    /** From so many times what surely melts it on, it melts within minutes: rule of thumb, the curves are the maker's. */
    private static final double SOON = 2;

    private static final double WITHIN_S = 5;
    private static final double FAST_S = 0.1;

    private static final List<ResourceTable.TableRow> ROWS = ResourceTable.read(FuseLink.class, "fuse-gg-iec60269.csv");
    private static final List<ResourceTable.TableRow> GATES =
            ResourceTable.read(FuseLink.class, "fuse-gates-gg-iec60269.csv");

    public FuseLink {
        if (!(ratedA > 0 && ratedA <= MAX_A)) {
            throw new NotAccepted("fuse_link.fuse_rated_current", NotAccepted.given(ratedA, "A"));
        }
    }

    private double cell(String column) {
        return ROWS.stream()
                .filter(row -> ratedA > Double.parseDouble(row.cell("in_above_a"))
                        && (row.cell("in_up_to_a").isEmpty() || ratedA <= Double.parseDouble(row.cell("in_up_to_a"))))
                .mapToDouble(row -> Double.parseDouble(row.cell(column)))
                .findFirst()
                .orElseThrow();
    }

    /** Amperes that it carries for the conventional time without melting. */
    public double holdsA() {
        return cell("no_melt") * ratedA;
    }

    /** Amperes that melt it within the conventional time. */
    public double meltsA() {
        return cell("melts_within") * ratedA;
    }

    /** The conventional time. */
    public int conventionalHours() {
        return (int) cell("time_h");
    }

    /**
     * The current from which it surely melts within a time, by the gates of the standard; empty where the standard has no gate
     * for its size.
     *
     * @param seconds that it may take, 0.1 or above; between two gates the shorter one is asked for
     */
    public OptionalDouble meltsWithinA(double seconds) {
        return seconds < FAST_S ? OptionalDouble.empty() : gate(seconds < WITHIN_S ? "melts_0_1s" : "melts_5s");
    }

    private OptionalDouble gate(String column) {
        return GATES.stream()
                .filter(row -> Double.parseDouble(row.cell("rated_a")) == ratedA)
                .mapToDouble(row -> Double.parseDouble(row.cell(column)))
                .findFirst();
    }

    private boolean isAtLeast(OptionalDouble gateA, double amperes) {
        return gateA.isPresent() && amperes >= gateA.getAsDouble();
    }

    @Override
    public Message does(double amperes) {
        int hours = conventionalHours();
        if (amperes < holdsA()) {
            return Message.of("fuse_link.does_not_melt_within", hours);
        }
        if (isAtLeast(meltsWithinA(FAST_S), amperes)) {
            return Message.of("fuse_link.melts_within");
        }
        if (isAtLeast(meltsWithinA(WITHIN_S), amperes)) {
            return Message.of("fuse_link.melts_within_2");
        }
        return amperes < meltsA()
                ? Message.of("fuse_link.may_take_over_or", hours)
                : cutsOffSoon(amperes)
                        ? Message.of("fuse_link.melts_within_minutes_or")
                        : Message.of("fuse_link.melts_within_3", hours);
    }

    @Override
    public boolean cutsOff(double amperes) {
        return amperes >= meltsA();
    }

    @Override
    public boolean cutsOffSoon(double amperes) {
        return amperes >= SOON * meltsA();
    }

    @Override
    public OptionalDouble longestSeconds(double amperes) {
        if (isAtLeast(meltsWithinA(WITHIN_S), amperes)) {
            return OptionalDouble.of(isAtLeast(meltsWithinA(FAST_S), amperes) ? FAST_S : WITHIN_S);
        }
        return cutsOff(amperes) ? OptionalDouble.of(3600.0 * conventionalHours()) : OptionalDouble.empty();
    }

    /**
     * Whether its curve, which the maker gives, decides whether it melts within a time: the current is above the gate at which
     * it surely lasts longer, and below that from which it surely melts in time.
     */
    public boolean isLeftToItsCurve(double amperes, double seconds) {
        OptionalDouble melts = meltsWithinA(seconds);
        if (melts.isEmpty()) {
            return cutsOffSoon(amperes);
        }
        return amperes < melts.getAsDouble() && isAtLeast(gate("holds_10s"), amperes);
    }

    @Override
    public String name() {
        return EngineeringFormat.figure(ratedA) + " A gG";
    }
}
