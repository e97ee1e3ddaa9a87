package zestymarten.web.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.exception.FlywayValidateException;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import zestymarten.web.Workshop;

/** Data of every earlier program come along, each in a schema of its own. */
class UpgradeTest {
    private static final String SCHEMA = "upgraded";
    private final Upgrade upgrade = new Upgrade();

    private static Connection database() throws SQLException {
        return DriverManager.getConnection(
                Workshop.database() + "?currentSchema=" + SCHEMA,
                System.getenv("MARTEN_DB_OWNER"),
                System.getenv("MARTEN_DB_OWNER_PASSWORD"));
    }

    private static void run(String sql) throws SQLException {
        try (Connection database = database();
                Statement statement = database.createStatement()) {
            statement.execute(sql);
        }
    }

    private static List<String> ask(String sql) throws SQLException {
        try (Connection database = database();
                Statement statement = database.createStatement();
                ResultSet rows = statement.executeQuery(sql)) {
            List<String> all = new ArrayList<>();
            while (rows.next()) {
                all.add(rows.getString(1));
            }
            return all;
        }
    }

    private static Flyway to(String version) {
        return Flyway.configure()
                .dataSource(
                        Workshop.database(),
                        System.getenv("MARTEN_DB_OWNER"),
                        System.getenv("MARTEN_DB_OWNER_PASSWORD"))
                .schemas(SCHEMA)
                .placeholders(Map.of("application", System.getenv("MARTEN_DB_USER")))
                .target(version)
                .load();
    }

    @BeforeEach
    void begin() throws SQLException {
        run("drop schema if exists " + SCHEMA + " cascade");
    }

    @AfterEach
    void leaveNothing() throws SQLException {
        run("drop schema if exists " + SCHEMA + " cascade");
    }

    /** A workshop of the first program: two people, an assembly, a test with two readings, one of them taken back. */
    private static void aTestOfTheFirstProgram() throws SQLException {
        run("""
                insert into account (name, password_hash, role, demo, created_at)
                values ('wren', 'x', 'LEAD', false, now()), ('rook', 'x', 'TECHNICIAN', false, now());
                insert into assembly (name, created_at) values ('Old cable', now());
                insert into revision (assembly_id, number, kind, note, created_by, created_at)
                values (1, 1, 'cable', '', 'wren', now());
                insert into connector (revision_id, ordinal, id, name, face_shape, face_rows, face_columns)
                values (1, 0, 'J1', 'J1', 'line', 1, 1), (1, 1, 'J2', 'J2', 'line', 1, 1);
                insert into terminal (revision_id, ordinal, name, connector_id)
                values (1, 0, 'J1.1', 'J1'), (1, 1, 'J2.1', 'J2');
                insert into conductor (revision_id, ordinal, id, from_terminal, to_terminal, metal, strand_class, spare)
                values (1, 0, 'W1', 'J1.1', 'J2.1', 'copper', '5', false);
                insert into unit (assembly_id, serial, state, created_at) values (1, 'OC-1', 'on the bench', now());
                """);
        run("""
                insert into run (assembly_id, unit_id, revision_id, ambient_c, meter_name, meter_accuracy,
                  meter_resolution_ohm, meter_tone_below_ohm, meter_one_is_over_range, meter_top_ohm, lead_policy, guarded,
                  started_by, started_at)
                values (1, 1, 1, 20, 'bench meter', 0.008, 0.01, 30, false, 2e7, 'full', false, 'rook', now());
                insert into entry (id, run_id, revision_id, sequence, stage, black, red, touch, as_typed, meaning, value,
                  entered_by, entered_at)
                values (gen_random_uuid(), 1, 1, 1, 'ENDS', 'J1.1', 'J2.1', 1, '0.31', 'value', 0.31, 'rook', now()),
                       (gen_random_uuid(), 1, 1, 2, 'ENDS', 'J1.1', 'J2.1', 2, 'OL', 'over_range', null, 'rook', now());
                insert into entry_taken_back (entry_id, taken_by, taken_at)
                select id, 'rook', now() from entry where sequence = 2;
                """);
    }

    @Test
    void fromTheFirstProgramStepByStepNothingIsLostAndTheEntriesAreSealed() throws SQLException {
        to("1").migrate();
        aTestOfTheFirstProgram();
        for (MigrationInfo each : to("latest").info().pending()) {
            String version = String.valueOf(each.getVersion());
            to(version).migrate();
            assertThat(ask("select as_typed from entry order by sequence"))
                    .as("version " + version)
                    .containsExactly("0.31", "OL");
        }
        assertThat(ask("select role from account order by name")).containsExactly("TECHNICIAN", "ADMIN");
        assertThat(ask("select count(*) from entry_taken_back")).containsExactly("1");
        assertThat(ask("select verify_run(1)")).isEmpty();
        run("alter table entry disable trigger user; update entry set as_typed = '0.30' where sequence = 1");
        assertThat(ask("select verify_run(1)")).first().isEqualTo("entry 1 is not as it was recorded");
        run(
                "alter table entry_taken_back disable trigger user; delete from entry_taken_back; delete from entry where sequence = 1");
        assertThat(ask("select verify_run(1)")).first().isEqualTo("entry 1 is missing");
    }

    @Test
    void whatTwoMigrationsWereBeforeIsRecognisedAndNothingElse() throws SQLException {
        to("latest").migrate();
        run("update flyway_schema_history set checksum = 615606849 where version = '1'");
        run("update flyway_schema_history set checksum = -132862025 where version = '12'");
        upgrade.migrate(to("latest"));
        assertThat(ask("select checksum from flyway_schema_history where version = '1'"))
                .containsExactly("1930687212");
        run("update flyway_schema_history set checksum = 4711 where version = '3'");
        assertThatThrownBy(() -> upgrade.migrate(to("latest"))).isInstanceOf(FlywayValidateException.class);
        run("update flyway_schema_history set checksum = 615606849 where version = '1'");
        assertThatThrownBy(() -> upgrade.migrate(to("latest")))
                .as("one that is known does not excuse another")
                .isInstanceOf(FlywayValidateException.class);
    }

    @Test
    void dataOfANewerProgramAreLeftAlone() throws SQLException {
        to("latest").migrate();
        run(
                "insert into flyway_schema_history (installed_rank, version, description, type, script, checksum, installed_by,"
                        + " execution_time, success) values (999, '999', 'to come', 'SQL', 'V999__to_come.sql', 1, 'x', 1, true)");
        assertThatThrownBy(() -> upgrade.migrate(to("latest")))
                .hasMessageStartingWith("The database is newer than this program: its data are of version 999");
    }
}
