package zestymarten.web.assembly;

import org.jspecify.annotations.Nullable;

/** A conductor as stored. */
record ConductorRow(
        String id,
        String fromTerminal,
        String toTerminal,
        @Nullable String colour,
        @Nullable String function,
        @Nullable Double lengthM,
        @Nullable Double areaMm2,
        String metal,
        String strandClass,
        @Nullable String zone,
        @Nullable Double currentA,
        boolean spare,
        @Nullable Double maxOhm,
        @Nullable Double minOhm,
        @Nullable String note) {}
