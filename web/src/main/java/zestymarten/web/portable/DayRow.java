package zestymarten.web.portable;

import java.time.Instant;

/**
 * A test day as it was started.
 *
 * @param months until a lead that passes is due again
 */
record DayRow(
        long id,
        long revisionId,
        String assembly,
        long meterId,
        double leadsOhm,
        double ambientC,
        double testV,
        boolean onScrews,
        int months,
        String startedBy,
        Instant startedAt) {}
