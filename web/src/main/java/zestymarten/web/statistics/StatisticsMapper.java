package zestymarten.web.statistics;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;

/** Counts over the last ended tests of an assembly. */
@Mapper
interface StatisticsMapper {
    /** How the last tests ended. */
    TestCounts tests(long assemblyId, int last);

    /** How often each kind of fault was found in the last tests, the most frequent first. */
    List<FaultCount> byKind(long assemblyId, int last, int maximum);

    /** How often each wire or part was named by a fault in the last tests, the most frequent first. */
    List<FaultCount> byPlace(long assemblyId, int last, int maximum);
}
