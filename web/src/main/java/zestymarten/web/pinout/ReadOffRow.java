package zestymarten.web.pinout;

import org.jspecify.annotations.Nullable;

/** A read-off as stored. */
record ReadOffRow(
        long id,
        String name,
        String nearId,
        int nearPins,
        String farId,
        int farPins,
        boolean linked,
        String startedBy,
        @Nullable Long assemblyId) {}
