package zestymarten.web.people;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import zestymarten.web.platform.AuditEvent;

/** Statements on the audit list; see AuditMapper.xml. */
@Mapper
interface AuditMapper {
    void insert(
            @Param("at") Instant at,
            @Param("who") String who,
            @Param("address") String address,
            @Param("kind") AuditEvent.AuditKind kind,
            @Param("subject") String subject,
            @Param("detail") String detail);

    List<Audit.AuditLine> before(@Param("id") long id, @Param("search") String search, @Param("most") int maximum);

    Audit.Failures failures(
            @Param("name") String name, @Param("address") String address, @Param("since") Instant since);
}
