package zestymarten.web.assembly;

import java.time.Instant;

/** A revision in the list of its assembly: how many wires it has and how many tests were made to it. */
public record RevisionLine(long id, int number, String createdBy, Instant createdAt, int conductors, int tests) {}
