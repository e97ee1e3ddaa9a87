package zestymarten.web.record;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import zestymarten.core.testrun.Rules;
import zestymarten.web.Site;
import zestymarten.web.Workshop;
import zestymarten.web.testrun.TestRuns;

/** The record of an ended test says what it said when the test ended. */
@ExtendWith(Workshop.class)
class SealedRecordsTest {
    private final Site site;
    private final TestRuns runs;
    private final SealedRecords records;
    private long run;

    SealedRecordsTest(Site site) {
        this.site = site;
        runs = site.bean(TestRuns.class);
        records = site.bean(SealedRecords.class);
    }

    @BeforeEach
    void begin() {
        run = site.run(site.wiring(site.fresh("Sealed cable"), "from,to\nJ1.1,J2.1\n"), "S-1");
    }

    private void inDatabase(String... statements) throws SQLException {
        try (Connection connection = site.database();
                Statement statement = connection.createStatement()) {
            for (String each : statements) {
                statement.execute(each);
            }
        }
    }

    private void endAsBefore() throws SQLException {
        inDatabase("insert into run_end (run_id, outcome, findings, ended_by, ended_at) values (" + run
                + ", 'INCOMPLETE', '', 'bench', now())");
    }

    @Test
    void whatIsFoundIsKeptWithTheVersionOfTheRules() {
        runs.end(run, "bench");
        RecordResult kept = records.view(runs.find(run)).result();
        assertThat(kept.rules()).isEqualTo(Rules.VERSION);
        assertThat(kept.summary()).startsWith("Nothing is known to be wrong, but not everything was tested.");
        assertThat(kept.notShown()).isNotEmpty();
    }

    @Test
    void aRecordKeptByOtherRulesIsReadAsItWasKept() throws SQLException {
        endAsBefore();
        inDatabase("insert into run_record (run_id, rules, document) values (" + run + ", '2019-04', "
                + "'{\"rules\": \"2019-04\", \"summary\": \"As it was.\", \"symptoms\": \"none\", \"more\": 1,"
                + " \"findings\": [{\"kind\": \"open\", \"text\": \"W1 is open.\"}]}')");
        RecordResult kept = records.view(runs.find(run)).result();
        assertThat(kept.rules()).isEqualTo("2019-04");
        assertThat(kept.summary()).isEqualTo("As it was.");
        assertThat(kept.findings()).extracting(RecordResult.FindingLine::text).containsExactly("W1 is open.");
        assertThat(kept.readings()).isEmpty();
    }

    @Test
    void aTestThatEndedBeforeRecordsWereKeptIsKeptOnceAtTheStart() throws SQLException {
        endAsBefore();
        records.keepEarlier();
        try (Connection connection = site.database();
                Statement statement = connection.createStatement();
                ResultSet kept = statement.executeQuery("select rules from run_record where run_id = " + run)) {
            assertThat(kept.next()).isTrue();
            assertThat(kept.getString(1)).isEqualTo(Rules.VERSION);
        }
        records.keepEarlier();
        assertThat(records.view(runs.find(run)).result().rules()).isEqualTo(Rules.VERSION);
    }
}
