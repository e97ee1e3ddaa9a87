package zestymarten.web.assembly;

import java.time.Instant;

/** An assembly in a list. */
public record AssemblyLine(
        long id, String name, String kind, int number, int conductors, int units, Instant changedAt) {}
