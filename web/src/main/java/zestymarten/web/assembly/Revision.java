package zestymarten.web.assembly;

import java.time.Instant;
import zestymarten.core.assembly.Assembly;

/** One state of an assembly, which never changes. */
public record Revision(long id, long assemblyId, int number, String createdBy, Instant createdAt, Assembly assembly) {}
