package zestymarten.core.conductor;

import java.util.Arrays;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Collectors;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.ResourceTable;

/**
 * A circuit-breaker to IEC 60898-1.
 *
 * @param ratedA rated current, above 0 and at most 125 A
 */
public record Breaker(Curve curve, double ratedA) implements Protection {
    /** The curves of the standard, by the band in which they trip at once. */
    public enum Curve {
        B,
        C,
        D
    }

    /** What the breaker does at a current. */
    public enum Reaction {
        /** It does not trip within the conventional time. */
        HOLDS,
        /** It may trip within the conventional time, or not. */
        MAY_TRIP,
        /** It trips by heat within the conventional time. */
        TRIPS_BY_HEAT,
        /** It trips by heat within 1 to 60 s, above 32 A within 1 to 120 s. */
        TRIPS_SOON,
        /** Inside the instantaneous band: by heat or at once. */
        BY_HEAT_OR_AT_ONCE,
        /** Above the band: at once. */
        AT_ONCE;

        public Message words() {
            return Message.of(this);
        }
    }

    /** "At once" is below a tenth of a second. */
    private static final double AT_ONCE_S = 0.1;

    private static final Map<Curve, ResourceTable.TableRow> ROWS =
            Arrays.stream(Curve.values()).collect(Collectors.toMap(Function.identity(), Breaker::row));

    public Breaker {
        if (!(ratedA > 0 && ratedA <= 125)) {
            throw new NotAccepted("breaker.breaker_rated_current", NotAccepted.given(ratedA, "A"));
        }
    }

    private static ResourceTable.TableRow row(Curve curve) {
        return ResourceTable.read(Breaker.class, "protective-device-iec60898.csv").stream()
                .filter(row -> row.cell("curve").equals(curve.name()))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("The table has no curve " + curve + "."));
    }

    @Override
    public Message does(double amperes) {
        return at(amperes).words();
    }

    @Override
    public boolean cutsOff(double amperes) {
        return at(amperes).compareTo(Reaction.MAY_TRIP) > 0;
    }

    @Override
    public boolean cutsOffSoon(double amperes) {
        return at(amperes).compareTo(Reaction.TRIPS_BY_HEAT) > 0;
    }

    @Override
    public OptionalDouble longestSeconds(double amperes) {
        return switch (at(amperes)) {
            case HOLDS, MAY_TRIP -> OptionalDouble.empty();
            case TRIPS_BY_HEAT -> OptionalDouble.of(3600.0 * conventionalHours());
            case TRIPS_SOON, BY_HEAT_OR_AT_ONCE -> OptionalDouble.of(ratedA <= 32 ? 60 : 120);
            case AT_ONCE -> OptionalDouble.of(AT_ONCE_S);
        };
    }

    @Override
    public String name() {
        return curve + EngineeringFormat.figure(ratedA);
    }

    /** Hours that a small overload may last: 1, above 63 A 2. */
    public int conventionalHours() {
        return ratedA > 63 ? 2 : 1;
    }

    /** Amperes from which it surely trips at once: the top of its band. */
    public double atOnceA() {
        return cell("instant_high") * ratedA;
    }

    /** What it does at a current in amperes, 0 or above. */
    public Reaction at(double amperes) {
        double times = amperes / ratedA;
        if (!(times >= 0)) {
            throw new NotAccepted("breaker.current_below", NotAccepted.given(amperes, "A"));
        }
        if (times > cell("instant_high")) {
            return Reaction.AT_ONCE;
        }
        if (times >= cell("instant_low")) {
            return Reaction.BY_HEAT_OR_AT_ONCE;
        }
        if (times >= cell(ratedA <= 32 ? "trip_1_to_60s_up_to_32A" : "trip_1_to_120s_above_32A")) {
            return Reaction.TRIPS_SOON;
        }
        if (times >= cell("trip_within_1h")) {
            return Reaction.TRIPS_BY_HEAT;
        }
        return times < cell("no_trip_1h") ? Reaction.HOLDS : Reaction.MAY_TRIP;
    }

    private double cell(String column) {
        ResourceTable.TableRow row = ROWS.get(curve);
        if (row == null) {
            throw new IllegalStateException("The table has no curve " + curve + ".");
        }
        return Double.parseDouble(row.cell(column));
    }
}
