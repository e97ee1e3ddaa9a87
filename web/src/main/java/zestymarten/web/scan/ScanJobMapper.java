package zestymarten.web.scan;

import java.time.Instant;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Statements on scans that are under way or have ended; see ScanJobMapper.xml. */
@Mapper
interface ScanJobMapper {
    /** The number of a new scan; nothing where one of the test is under way. */
    @Nullable
    Long insert(@Param("runId") long runId, @Param("by") String by, @Param("at") Instant at);

    @Nullable
    ScanJobRow last(long runId);

    /** Who has asked for its end, with what was read so far saved; empty if nobody has. */
    String follow(@Param("id") long id, @Param("reads") String reads, @Param("at") Instant at);

    void end(
            @Param("id") long id,
            @Param("reads") String reads,
            @Param("stopped") String stopped,
            @Param("at") Instant at);

    /** Ends a scan of which nothing was heard since a moment. */
    void endLost(@Param("runId") long runId, @Param("since") Instant since, @Param("stopped") String stopped);

    void stop(@Param("runId") long runId, @Param("by") String by);
}
