package zestymarten.web.people;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Statements on tokens; see TokenMapper.xml. */
@Mapper
interface TokenMapper {
    List<Tokens.TokenLine> of(String person);

    Tokens.@Nullable Holder holder(String digest);

    void insert(
            @Param("person") String person,
            @Param("name") String name,
            @Param("digest") String digest,
            @Param("writes") boolean writes,
            @Param("at") Instant at);

    /** Answers the name of the token; nothing if there is none to revoke. */
    @Nullable
    String revoke(@Param("person") String person, @Param("id") long id, @Param("at") Instant at);

    void used(@Param("id") long id, @Param("at") Instant at);
}
