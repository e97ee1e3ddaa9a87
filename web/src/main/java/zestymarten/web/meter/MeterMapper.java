package zestymarten.web.meter;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Statements on meters; see MeterMapper.xml. */
@Mapper
interface MeterMapper {
    List<MeterRow> all(int limit);

    @Nullable
    MeterRow find(long id);

    /** Where the meter of that name answers. */
    @Nullable
    String addressOf(String name);

    @Nullable
    Long idOf(String name);

    void insert(@Param("row") MeterRow row);

    void update(@Param("row") MeterRow row);

    /** What the joined leads read in the last runs with a meter, the newest first. */
    List<ZeroRow> zeros(@Param("name") String name, @Param("limit") int limit);
}
