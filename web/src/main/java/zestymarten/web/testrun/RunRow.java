package zestymarten.web.testrun;

import java.time.Instant;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.web.meter.Meters;

/** A run as stored, with its unit and, once it is ended, how. */
record RunRow(
        long id,
        long assemblyId,
        long unitId,
        long revisionId,
        String serial,
        double ambientC,
        String meterName,
        double meterAccuracy,
        double meterResolutionOhm,
        double meterToneBelowOhm,
        boolean meterOneIsOverRange,
        double meterTopOhm,
        String meterRanges,
        String leadPolicy,
        boolean guarded,
        ApproachRow approach,
        @Nullable Long learntId,
        String startedBy,
        Instant startedAt,
        @Nullable String outcome,
        @Nullable String endedBy,
        @Nullable Instant endedAt) {

    /** The conditions of the run; what the leads read stands among its entries. */
    TestConditions conditions() {
        return new TestConditions(
                ambientC,
                new MeterProfile(
                        meterName,
                        meterAccuracy,
                        meterResolutionOhm,
                        meterToneBelowOhm,
                        meterOneIsOverRange,
                        meterTopOhm,
                        Meters.ranges(meterRanges)),
                OptionalDouble.empty(),
                LeadPolicy.of(leadPolicy).orElseThrow(),
                guarded,
                TestConditions.JOINED_BELOW_OHM);
    }
}
