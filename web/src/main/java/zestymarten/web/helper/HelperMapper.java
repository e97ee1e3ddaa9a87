package zestymarten.web.helper;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Statements on helpers' links and on who is on a test; see HelperMapper.xml. */
@Mapper
interface HelperMapper {
    void insert(
            @Param("runId") long runId,
            @Param("digest") String digest,
            @Param("by") String by,
            @Param("at") Instant at);

    List<HelperLinks.HelperLinkLine> links(long runId);

    /** The test that a link is good for; nothing once it was revoked or the test has ended. */
    @Nullable
    Long runOf(String digest);

    int revoke(@Param("runId") long runId, @Param("id") long id, @Param("at") Instant at);

    void here(
            @Param("runId") long runId, @Param("who") String who, @Param("step") String step, @Param("at") Instant at);

    /** How tests stand, and who was on them since a moment. */
    List<FollowedTests.TestState> states(@Param("runs") List<Long> runs, @Param("since") Instant since);

    List<Presence.Other> others(@Param("runId") long runId, @Param("who") String who, @Param("since") Instant since);
}
