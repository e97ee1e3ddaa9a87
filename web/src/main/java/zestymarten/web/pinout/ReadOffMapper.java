package zestymarten.web.pinout;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Statements on read-offs; see ReadOffMapper.xml. */
@Mapper
interface ReadOffMapper {
    long insert(@Param("row") ReadOffRow row, @Param("at") Instant at);

    @Nullable
    ReadOffRow find(long id);

    @Nullable
    Long lock(long id);

    List<AnswerRow> answers(long id);

    void insertAnswer(
            @Param("id") long id, @Param("row") AnswerRow row, @Param("by") String by, @Param("at") Instant at);

    void deleteAnswer(@Param("id") long id, @Param("sequence") int sequence);

    void setAssembly(@Param("id") long id, @Param("assemblyId") long assemblyId);
}
