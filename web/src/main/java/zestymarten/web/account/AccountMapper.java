package zestymarten.web.account;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Statements on accounts; see AccountMapper.xml. */
@Mapper
interface AccountMapper {
    @Nullable
    AccountRow find(String name);

    int count();

    List<String> demoNames();

    /** Keeps others from adding accounts until the transaction ends. */
    void lock();

    void insert(@Param("account") AccountRow account, @Param("at") Instant at);
}
