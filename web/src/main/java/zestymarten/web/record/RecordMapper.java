package zestymarten.web.record;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Statements on the kept records of ended tests; see RecordMapper.xml. */
@Mapper
interface RecordMapper {
    void insert(@Param("runId") long runId, @Param("rules") String rules, @Param("document") String document);

    @Nullable
    String document(long runId);

    /** The seal of an ended test. */
    @Nullable
    String seal(long runId);

    /** What is not as it was recorded. */
    List<String> verify(long runId);

    /** The numbers of tests that ended and whose record is not kept yet, the oldest first. */
    List<Long> unsealed(int maximum);
}
