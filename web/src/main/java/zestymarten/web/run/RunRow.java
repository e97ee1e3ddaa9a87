package zestymarten.web.run;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

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
        String leadPolicy,
        boolean guarded,
        String startedBy,
        Instant startedAt,
        @Nullable String outcome,
        @Nullable String endedBy,
        @Nullable Instant endedAt) {}
