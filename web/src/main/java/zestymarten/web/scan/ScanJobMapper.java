package zestymarten.web.scan;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Statements on scans that are under way or have ended; see ScanJobMapper.xml. */
@Mapper
interface ScanJobMapper {
    /** The number of a new scan; nothing where one of the test, or on the tester, is under way. */
    @Nullable
    Long insert(
            @Param("runId") long runId,
            @Param("address") @Nullable String address,
            @Param("by") String by,
            @Param("at") Instant at);

    @Nullable
    ScanJobRow last(long runId);

    /** The last measurements of a scan, the last first. */
    List<ScanReadingRow> latest(@Param("id") long id, @Param("limit") int limit);

    /** The measurements of a scan, those outside their limits first. */
    List<ScanReadingRow> worst(@Param("id") long id, @Param("limit") int limit);

    /** Adds measurements after a line, as a JSON array of {@link ScanReading}s. */
    void add(@Param("id") long id, @Param("after") int after, @Param("readings") String readings);

    /** Who has asked for its end, empty if nobody has; nothing where it was given up as lost. */
    @Nullable
    String follow(@Param("id") long id, @Param("at") Instant at);

    void end(@Param("id") long id, @Param("stopped") String stopped, @Param("at") Instant at);

    /** Ends the scans of which nothing was heard since a moment. */
    void endLost(@Param("since") Instant since, @Param("stopped") String stopped);

    void stop(@Param("runId") long runId, @Param("by") String by);
}
