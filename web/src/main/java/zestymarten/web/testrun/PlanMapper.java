package zestymarten.web.testrun;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** Statements on the plans that are kept with assemblies; see PlanMapper.xml. */
@Mapper
interface PlanMapper {
    List<KeptPlan> of(long assemblyId);

    /** Keeps a plan; one of the same name is replaced. */
    long keep(
            @Param("assemblyId") long assemblyId,
            @Param("name") String name,
            @Param("approach") ApproachRow approach,
            @Param("by") String by,
            @Param("at") Instant at);
}
