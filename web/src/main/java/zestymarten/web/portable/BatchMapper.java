package zestymarten.web.portable;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Statements on test days; see BatchMapper.xml. */
@Mapper
interface BatchMapper {
    long insert(@Param("row") DayRow row);

    void insertLeads(@Param("dayId") long dayId, @Param("tags") List<String> tags);

    @Nullable
    DayRow find(long id);

    List<DayRow> last(int limit);

    List<LeadRow> leads(long dayId);

    void insertResult(
            @Param("dayId") long dayId,
            @Param("position") int position,
            @Param("sheetId") long sheetId,
            @Param("unitId") long unitId,
            @Param("outcome") String outcome,
            @Param("at") Instant at);
}
