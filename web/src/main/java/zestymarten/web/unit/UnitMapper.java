package zestymarten.web.unit;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Statements on units; see UnitMapper.xml. */
@Mapper
interface UnitMapper {
    List<UnitLine> ofAssembly(@Param("assemblyId") long assemblyId, @Param("limit") int limit);

    List<UnitLine> quarantined(int limit);

    /** Units by assembly and serial whose serial or assembly fits a pattern, if there is one, in a state or in any. */
    List<UnitLine> page(
            @Param("pattern") String pattern,
            @Param("state") String state,
            @Param("limit") int limit,
            @Param("offset") int offset);

    /** Units that are due by a day, the most overdue first. */
    List<UnitLine> due(@Param("until") LocalDate until, @Param("limit") int limit);

    @Nullable
    UnitRow find(long id);

    /** Several units, by assembly and serial. */
    List<UnitRow> findAll(@Param("ids") List<Long> ids);

    List<UnitRow> bySerial(String serial);

    /** The unit of that serial, locked until the transaction ends. */
    @Nullable
    UnitRow lock(@Param("assemblyId") long assemblyId, @Param("serial") String serial);

    /** Holds a unit until the transaction ends. */
    Long hold(long id);

    void insert(@Param("assemblyId") long assemblyId, @Param("serial") String serial, @Param("at") Instant at);

    void setDue(@Param("id") long id, @Param("due") DueDate due);

    void setDueOn(@Param("ids") List<Long> ids, @Param("on") LocalDate on);

    void setState(@Param("id") long id, @Param("state") String state);
}
