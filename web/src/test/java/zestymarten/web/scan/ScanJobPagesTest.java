package zestymarten.web.scan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import zestymarten.core.quantity.Problem;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;

/** Scans that go on, here or on another node, in the browser. */
@ExtendWith(Workshop.class)
class ScanJobPagesTest {
    private static final String TWO_CORES = "wire,from,to,length_m,area_mm2\nW1,J1.1,J2.1,8,0.5\nW2,J1.2,J2.2,8,0.5\n";

    private final Site site;
    private final Browser browser;
    private long run;

    ScanJobPagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
    }

    @BeforeEach
    void begin() {
        run = site.run(site.wiring(site.fresh("Two cores to scan"), TWO_CORES), "S-1");
        browser.desktop().signIn("bench");
    }

    @AfterEach
    void nothingWasRefusedByTheBrowser() {
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void twoTestsNeverSwitchOnTheSameTester() throws SQLException {
        long other = site.run(site.wiring(site.fresh("On the same tester"), TWO_CORES), "S-2");
        try (PlainTester tester = new PlainTester()) {
            started(other, tester.address());
            ScanJobs jobs = site.bean(ScanJobs.class);
            assertThatThrownBy(() ->
                            jobs.start(run, Optional.empty(), ScanNulls.of(""), tester.address(), 60, true, "bench"))
                    .isInstanceOf(Refusal.class)
                    .satisfies(each -> assertThat(Words.all(((Refusal) each)
                                    .problems().stream().map(Problem::what).toList()))
                            .singleElement()
                            .asString()
                            .startsWith("A scan of this test, or on this tester, is under way."));
            assertThat(jobs.last(run)).isEmpty();
            assertThat(jobs.last(other).orElseThrow().underWay()).isTrue();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            execute("update scan_job set ended_at = now() where run_id = " + other);
        }
    }

    @Test
    void ofALongScanWhatIsOutsideItsLimitsIsListedFirst() throws SQLException {
        started(run, "");
        execute("insert into scan_reading (job_id, line, reading, within) select j.id, i, jsonb_build_object("
                + "'a', '[\"J1.1\"]'::jsonb, 'b', '[\"J1.2\"]'::jsonb, 'live', false, 'shown', 'reads ' || i,"
                + " 'within', i <> 449, 'kept', true), i <> 449"
                + " from scan_job j, generate_series(1, 450) i where j.run_id = " + run);
        browser.open("/runs/" + run + "/scan").see("#scan-job", "450 measurements made so far; started by lead.");
        assertThat(browser.texts(".reads tbody tr"))
                .as("the last ones while it goes on")
                .hasSize(20)
                .first()
                .asString()
                .startsWith("450");
        execute("update scan_job set ended_at = now() where run_id = " + run);
        browser.open("/runs/" + run + "/scan")
                .see("#scan-job", "Listed are 400 of 450 measurements, those outside their limits first.");
        assertThat(browser.texts(".reads tbody tr"))
                .hasSize(400)
                .first()
                .asString()
                .contains("449", "fail");
    }

    /** A scan that is under way on another node. */
    private void started(long test, String address) throws SQLException {
        execute("insert into scan_job (run_id, address, started_by, started_at, alive_at) values (" + test
                + ", nullif('" + address + "', ''), 'lead', now(), now() + interval '1 minute')");
    }

    private void execute(String sql) throws SQLException {
        try (Connection database = site.database();
                Statement statement = database.createStatement()) {
            statement.execute(sql);
        }
    }

    @Test
    void aScanWhoseNodeIsGoneIsSaidToBeLost() throws SQLException {
        execute("insert into scan_job (run_id, started_by, started_at, alive_at) values (" + run
                + ", 'lead', now() - interval '5 minutes', now() - interval '1 minute')");
        browser.open("/runs/" + run + "/scan")
                .see(
                        "#scan-job",
                        "The scan ended without a word: the application was stopped, or its database was away.");
        browser.click("main form button:not([formaction])").see("#scan-job .reads", "J1.1 – J2.1");
    }
}
