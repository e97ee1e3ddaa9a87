package zestymarten.web.testrun;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Statements on runs and their entries; see RunMapper.xml. */
@Mapper
interface RunMapper {
    long insert(@Param("run") RunRow run, @Param("approach") ApproachRow approach);

    @Nullable
    RunRow find(long id);

    /** Holds the run until the transaction ends, so that entries are numbered one after the other. */
    @Nullable
    Long lock(long id);

    @Nullable
    Long openRunOf(long unitId);

    /** The test under way on a unit by its serial; nothing where there is none. */
    @Nullable
    Long openRunAt(@Param("assemblyId") long assemblyId, @Param("serial") String serial);

    @Nullable
    RunRow lastOf(String startedBy);

    List<EntryRow> entries(long runId);

    /** The entries of several runs, run by run. */
    List<RunEntryRow> entriesOf(@Param("runIds") List<Long> runIds);

    /** Several runs, by their numbers. */
    List<RunRow> findAll(@Param("ids") List<Long> ids);

    /** The last runs of a unit that were ended, the newest first. */
    List<Long> lastOfUnit(@Param("unitId") long unitId, @Param("limit") int limit);

    /** The number of the last entry and how many were taken back: changes whenever anything does. */
    @Nullable
    String pulse(long runId);

    @Nullable
    Long runOfEntry(UUID id);

    void insertEntry(@Param("runId") long runId, @Param("revisionId") long revisionId, @Param("entry") EntryRow entry);

    void insertTakenBack(@Param("entryId") UUID entryId, @Param("by") String by, @Param("at") Instant at);

    void insertEnd(
            @Param("runId") long runId,
            @Param("outcome") String outcome,
            @Param("findings") String findings,
            @Param("by") String by,
            @Param("at") Instant at);

    List<RunLine> underWay(int limit);

    /** Units whose serial fits a pattern, so many at most. */
    List<Long> unitsMatching(@Param("pattern") String pattern, @Param("limit") int limit);

    /** Assemblies whose name fits a pattern, so many at most. */
    List<Long> assembliesMatching(@Param("pattern") String pattern, @Param("limit") int limit);

    List<RunLine> ended(
            @Param("search") RecordSearch search, @Param("before") Instant before, @Param("limit") int limit);

    List<RunLine> ofUnit(@Param("unitId") long unitId, @Param("limit") int limit);

    /** The photographs of a run, the first first. */
    List<PhotoRow> photos(long runId);

    void insertPhoto(@Param("runId") long runId, @Param("photo") PhotoRow photo, @Param("content") byte[] content);

    /** The content of a photograph; empty if it is not one of that run. */
    List<PhotoContent> photo(@Param("runId") long runId, @Param("id") UUID id);
}
