package zestymarten.web.unit;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Statements on units; see UnitMapper.xml. */
@Mapper
interface UnitMapper {
    List<UnitLine> ofAssembly(@Param("assemblyId") long assemblyId, @Param("limit") int limit);

    List<UnitLine> quarantined(int limit);

    @Nullable
    UnitRow find(long id);

    /** The unit of that serial, locked until the transaction ends. */
    @Nullable
    UnitRow lock(@Param("assemblyId") long assemblyId, @Param("serial") String serial);

    void insert(@Param("assemblyId") long assemblyId, @Param("serial") String serial, @Param("at") Instant at);

    void setState(@Param("id") long id, @Param("state") String state);
}
