package zestymarten.web.worksheet;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;
import zestymarten.core.testrun.StepState;

/** Statements on kept sheets; see DeskMapper.xml. */
@Mapper
interface WorksheetMapper {
    long insert(
            @Param("desk") String desk,
            @Param("title") String title,
            @Param("unitId") @Nullable Long unitId,
            @Param("fields") String fields,
            @Param("says") String says,
            @Param("result") StepState result,
            @Param("by") String by,
            @Param("at") Instant at);

    @Nullable
    String fields(@Param("desk") String desk, @Param("id") long id);

    List<WorksheetLine> ofUnit(@Param("unitId") long unitId, @Param("limit") int limit);

    List<WorksheetLine> ofDesk(@Param("desk") String desk, @Param("limit") int limit);
}
