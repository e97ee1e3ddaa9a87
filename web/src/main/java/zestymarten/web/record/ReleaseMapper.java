package zestymarten.web.record;

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

    void insertSignOff(@Param("row") SignOffRow row);

    @Nullable
    SignOffRow signOffOf(long runId);
}
