package zestymarten.web.record;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Statements on what happens to units after their test; see ReleaseMapper.xml. */
@Mapper
interface ReleaseMapper {
    void insert(@Param("row") ReleaseRow row);

    /** The last decision on a run. */
    @Nullable
    ReleaseRow lastOf(long runId);

    /** The last test of each of some units, by serial. */
    List<LastTestRow> lastTests(@Param("units") List<Long> units);

    void insertSignOff(@Param("row") SignOffRow row);

    @Nullable
    SignOffRow signOffOf(long runId);
}
