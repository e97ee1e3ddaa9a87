package zestymarten.web.people;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Statements on people; see PeopleMapper.xml. */
@Mapper
interface PeopleMapper {
    @Nullable
    PersonRow find(String name);

    int count();

    /** How many may sign in as administrators. */
    int administrators();

    List<String> demoNames();

    /** Everybody, with the last sign-in, by name. */
    List<PersonLine> all();

    /** Keeps others from adding or changing people until the transaction ends. */
    void lock();

    void insert(@Param("person") PersonRow person, @Param("at") Instant at);

    void setRole(@Param("name") String name, @Param("role") PersonRole role);

    void setDisabled(@Param("name") String name, @Param("at") @Nullable Instant at);

    void setPassword(
            @Param("name") String name,
            @Param("hash") String hash,
            @Param("oneTimeUntil") @Nullable Instant oneTimeUntil);
}
