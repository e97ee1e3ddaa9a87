package zestymarten.web.practice;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Statements on practice sessions; see PracticeMapper.xml. */
@Mapper
interface PracticeMapper {
    long insert(@Param("row") PracticeRow row, @Param("at") Instant at);

    @Nullable
    PracticeRow find(long id);

    @Nullable
    Long lock(long id);

    List<String> actions(long id);

    void insertAction(
            @Param("id") long id,
            @Param("sequence") int sequence,
            @Param("action") String action,
            @Param("at") Instant at);

    void finish(@Param("id") long id, @Param("points") int points, @Param("at") Instant at);

    List<PracticeRow> underWay(String trainee);

    List<PracticeRow> last(String trainee);

    List<BestRow> best(String trainee);

    List<BestRow> everybody();
}
