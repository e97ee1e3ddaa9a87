package zestymarten.web.meter;

import java.time.Instant;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import zestymarten.core.meter.MeterProfile;

/**
 * A meter as stored.
 *
 * @param ranges tops of the ranges turned by hand, in ohms with spaces between; empty for a meter that finds its range
 * @param testVoltages of an insulation tester, as typed
 * @param address where it answers, see {@link Instruments}; absent where its readings are typed
 */
public record MeterRow(
        long id,
        String name,
        double accuracy,
        double resolutionOhm,
        double toneBelowOhm,
        boolean oneIsOverRange,
        double topOhm,
        String ranges,
        String testVoltages,
        @Nullable String address,
        @Nullable LocalDate calibratedUntil,
        String note,
        String changedBy,
        Instant changedAt) {

    /** Its figures, as a run takes them over. */
    public MeterProfile meter() {
        return new MeterProfile(
                name, accuracy, resolutionOhm, toneBelowOhm, oneIsOverRange, topOhm, Meters.ranges(ranges));
    }
}
