package zestymarten.web.testrun;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Statements on what good units have taught; see LearntMapper.xml. */
@Mapper
interface LearntMapper {
    /** The newest set of learnt figures of an assembly. */
    @Nullable
    Long latest(long assemblyId);

    List<LearntWire> wires(long learntId);

    /** The newest run of each unit of an assembly, where it passed, newest first. */
    List<Long> goodRuns(@Param("assemblyId") long assemblyId, @Param("limit") int limit);

    /** How many tests the faults of a set were counted in; 0 where they are left out. */
    int tests(long learntId);

    List<LearntFault> faults(long learntId);

    /** How many tests of an assembly were ended, of the last so many. */
    int endedTests(@Param("assemblyId") long assemblyId, @Param("limit") int limit);

    /** The faults that they had, each once a test, the most frequent first. */
    List<LearntFault> faultsFound(
            @Param("assemblyId") long assemblyId, @Param("limit") int limit, @Param("most") int maximum);

    long insert(
            @Param("assemblyId") long assemblyId,
            @Param("by") String by,
            @Param("at") Instant at,
            @Param("tests") int tests);

    void insertFaults(@Param("learntId") long learntId, @Param("faults") List<LearntFault> faults);

    void insertWires(@Param("learntId") long learntId, @Param("wires") List<LearntWire> wires);
}
