package zestymarten.web.testrun;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Statements on what good units have taught; see LearntMapper.xml. */
@Mapper
interface LearntMapper {
    /** The newest set of learnt figures of a wiring. */
    @Nullable
    Long latest(long assemblyId);

    List<LearntWire> wires(long learntId);

    /** The newest run of each unit of a wiring, where it passed, newest first. */
    List<Long> goodRuns(@Param("assemblyId") long assemblyId, @Param("limit") int limit);

    long insert(@Param("assemblyId") long assemblyId, @Param("by") String by, @Param("at") Instant at);

    void insertWires(@Param("learntId") long learntId, @Param("wires") List<LearntWire> wires);
}
