package zestymarten.web.testrun;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.RunOutcome;
import zestymarten.web.Site;
import zestymarten.web.Workshop;
import zestymarten.web.platform.Conflict;

/** A reading that was acknowledged stays as it was, whoever tries what. */
@ExtendWith(Workshop.class)
class RecordsAreKeptTest {
    private final Site site;
    private final TestRuns runs;
    private final RunEntries entries;
    private long run;

    RecordsAreKeptTest(Site site) {
        this.site = site;
        runs = site.bean(TestRuns.class);
        entries = site.bean(RunEntries.class);
    }

    @BeforeEach
    void begin() {
        run = site.run(site.wiring(site.fresh("Kept cable"), "from,to\nJ1.1,J2.1\nJ1.2,J2.2\n"), "K-1");
    }

    private RunEntries.SentEntry sent(String typed) {
        TestStep step = runs.find(run).test().current().orElseThrow();
        return new RunEntries.SentEntry(
                UUID.randomUUID(), step, runs.find(run).test().nextAttempt(step), typed, OptionalInt.empty());
    }

    private Entry enter(String typed) {
        return ((RunEntries.EntryAnswer.EntryKept) entries.enter(run, sent(typed), "bench")).entry();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "revision",
                "connector",
                "terminal",
                "conductor",
                "run",
                "entry",
                "entry_taken_back",
                "run_end",
                "run_record"
            })
    void theDatabaseItselfRefusesToChangeARecord(String table) throws SQLException {
        entries.takeBack(run, enter("b").id(), "bench");
        runs.end(run, "bench");
        try (Connection connection = site.database();
                Statement statement = connection.createStatement()) {
            for (String attempt : List.of("delete from " + table, "truncate " + table + " cascade")) {
                assertThatThrownBy(() -> statement.execute(attempt))
                        .hasMessageContaining("is a record: rows are added, never changed or removed.");
            }
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "update entry set as_typed = 'n'",
                "delete from entry",
                "truncate entry cascade",
                "alter table entry disable trigger user",
                "drop trigger entry_is_a_record on entry",
                "create or replace function refuse_change() returns trigger language sql as 'select null'",
                "drop table entry",
                "update run_record set rules = 'x'",
                "delete from audit",
                "delete from flyway_schema_history",
                "set role marten_owner"
            })
    void theAccountOfTheApplicationMayNotEvenTryTo(String attempt) throws SQLException {
        enter("b");
        try (Connection connection = site.databaseAsApplication();
                Statement statement = connection.createStatement()) {
            assertThatThrownBy(() -> statement.execute(attempt))
                    .isInstanceOfSatisfying(
                            SQLException.class,
                            each -> assertThat(each.getSQLState())
                                    .as(each.getMessage())
                                    .isIn("42501", "2BP01"));
        }
    }

    @Test
    void aReadingCannotBeAltered() throws SQLException {
        Entry kept = enter("b");
        try (Connection connection = site.database();
                Statement statement = connection.createStatement()) {
            assertThatThrownBy(
                            () -> statement.execute("update entry set as_typed = 'n' where id = '" + kept.id() + "'"))
                    .hasMessageContaining("Table entry is a record");
        }
        assertThat(runs.find(run).test().entries()).containsExactly(kept);
    }

    @Test
    void theSchemaKnowsWhatBelongsTogether() throws SQLException {
        enter("b");
        try (Connection connection = site.database();
                Statement statement = connection.createStatement()) {
            String stranger =
                    "insert into entry (id, run_id, revision_id, sequence, stage, black, red, touch, as_typed,"
                            + " meaning, entered_by, entered_at) select gen_random_uuid(), id, revision_id, 9, 'ENDS', %s, 1, 'b',"
                            + " 'tone', 'bench', now() from run where id = " + run;
            assertThatThrownBy(() -> statement.execute(String.format(stranger, "'J1.1', 'J9.9'")))
                    .as("a terminal of another wiring")
                    .hasMessageContaining("foreign key");
            assertThatThrownBy(() -> statement.execute(String.format(stranger, "'J1.1', 'J1.1'")))
                    .as("both probes on one terminal")
                    .hasMessageContaining("check constraint");
        }
    }

    @Test
    void twoWhoSendTheSameTouchAtOnceAreNotBothKept() throws Exception {
        enter("b");
        enter("0.3");
        ExecutorService two = Executors.newFixedThreadPool(2);
        try {
            RunEntries.SentEntry one = sent("0.5");
            RunEntries.SentEntry other =
                    new RunEntries.SentEntry(UUID.randomUUID(), one.step(), one.attempt(), "0.6", OptionalInt.empty());
            List<Callable<RunEntries.EntryAnswer>> both =
                    List.of(() -> entries.enter(run, one, "bench"), () -> entries.enter(run, other, "lead"));
            int kept = 0;
            for (Future<RunEntries.EntryAnswer> each : two.invokeAll(both)) {
                try {
                    each.get();
                    kept++;
                } catch (java.util.concurrent.ExecutionException e) {
                    assertThat(e.getCause())
                            .isInstanceOf(Conflict.class)
                            .hasMessageStartingWith("This step was recorded meanwhile by ");
                }
            }
            assertThat(kept).isEqualTo(1);
            assertThat(runs.find(run).test().entries()).hasSize(3);
        } finally {
            two.shutdown();
        }
    }

    @Test
    void whatIsTakenBackStaysAndOnlyTheLastCanBe() {
        Entry tone = enter("b");
        Entry leads = enter("0.3");
        assertThatThrownBy(() -> entries.takeBack(run, tone.id(), "bench"))
                .hasMessage("Another reading was entered meanwhile. The page shows it; take that one back first.");
        entries.takeBack(run, leads.id(), "bench");
        assertThat(entries.takeBack(run, leads.id(), "bench").test().entries())
                .as("twice is once")
                .extracting(Entry::takenBack)
                .containsExactly(false, true);
    }

    @Test
    void anEndedRunTakesNothingMore() {
        enter("b");
        RunEntries.SentEntry late = sent("0.3");
        assertThat(runs.end(run, "bench").ended().orElseThrow().outcome()).isEqualTo(RunOutcome.INCOMPLETE);
        assertThatThrownBy(() -> entries.enter(run, late, "bench"))
                .hasMessage("This test was ended meanwhile. Nothing more can be entered in it.");
    }

    @Test
    void aUnitHasOneRunAtATime() {
        RunSnapshot before = runs.find(run);
        assertThat(site.run(before.revision().assemblyId(), "K-1")).isEqualTo(run);
        assertThat(site.run(before.revision().assemblyId(), "K-2")).isNotEqualTo(run);
    }

    @ParameterizedTest
    @ValueSource(strings = {"0.58", "OL", ">9M", "<0.05", "b", "n", "jumps", "~0.4..OL", "~0.4..0.9"})
    void everyKindOfReadingComesBackAsItWasUnderstood(String typed) {
        enter("b");
        enter("0.0");
        Entry kept = enter(typed);
        assertThat(runs.find(run).test().entries()).last().isEqualTo(kept);
    }
}
