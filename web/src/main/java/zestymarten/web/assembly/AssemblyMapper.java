package zestymarten.web.assembly;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Statements on assemblies; see AssemblyMapper.xml. */
@Mapper
interface AssemblyMapper {
    List<AssemblyLine> page(
            @Param("pattern") String pattern,
            @Param("archived") boolean archived,
            @Param("limit") int limit,
            @Param("offset") int offset);

    boolean isArchived(long assemblyId);

    void setArchived(@Param("assemblyId") long assemblyId, @Param("at") @Nullable Instant at);

    void rename(@Param("assemblyId") long assemblyId, @Param("name") String name);

    @Nullable
    RevisionRow latest(long assemblyId);

    @Nullable
    RevisionRow revision(long revisionId);

    List<RevisionLine> revisions(@Param("assemblyId") long assemblyId, @Param("most") int maximum);

    List<ConnectorRow> connectors(long revisionId);

    List<TerminalRow> terminals(long revisionId);

    List<ConductorRow> conductors(long revisionId);

    @Nullable
    Long assemblyNamed(String name);

    long insertAssembly(@Param("name") String name, @Param("at") Instant at);

    /** Keeps others from adding revisions to this wiring until the transaction ends; absent if there is none. */
    @Nullable
    Long lock(long assemblyId);

    int latestNumber(long assemblyId);

    /** The newest revision of a unit of its own. */
    @Nullable
    RevisionRow ofUnit(long unitId);

    long insertRevision(
            @Param("assemblyId") long assemblyId,
            @Param("number") int number,
            @Param("unitId") @Nullable Long unitId,
            @Param("kind") String kind,
            @Param("note") String note,
            @Param("parts") @Nullable String parts,
            @Param("by") String by,
            @Param("at") Instant at);

    /** Rows as a JSON array of {@link ConnectorRow}s, in their order. */
    void insertConnectors(@Param("revisionId") long revisionId, @Param("rows") String rows);

    /** Rows as a JSON array of {@link TerminalRow}s, in their order. */
    void insertTerminals(@Param("revisionId") long revisionId, @Param("rows") String rows);

    /** Rows as a JSON array of {@link ConductorRow}s, in their order. */
    void insertConductors(@Param("revisionId") long revisionId, @Param("rows") String rows);

    boolean needsSignOff(long assemblyId);

    void setNeedsSignOff(@Param("assemblyId") long assemblyId, @Param("needed") boolean needed);
}
