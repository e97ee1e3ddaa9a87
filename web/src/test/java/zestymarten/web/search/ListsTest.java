package zestymarten.web.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import zestymarten.web.Site;
import zestymarten.web.Workshop;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.assembly.AssemblyLine;
import zestymarten.web.platform.Patterns;
import zestymarten.web.testrun.RunLine;
import zestymarten.web.testrun.TestRuns;
import zestymarten.web.unit.UnitLine;
import zestymarten.web.unit.Units;

/** What lists find: by a part of a name, of a serial, of a function, of a finding; few and many, page by page. */
@ExtendWith(Workshop.class)
class ListsTest {
    private static final int MANY = 620;

    private final Site site;

    ListsTest(Site site) {
        this.site = site;
    }

    private long withUnits(String prefix, int count) throws SQLException {
        long assembly = site.wiring(
                site.fresh("Rack " + prefix), "wire,from,to,function\nW1,J1.1,J2.1,lamp of " + prefix + "\n");
        try (Connection database = site.database();
                Statement statement = database.createStatement()) {
            statement.execute("insert into unit (assembly_id, serial, state, created_at) select " + assembly + ", '"
                    + prefix + "' || lpad(i::text, 4, '0'), 'in service', now() from generate_series(1, " + count
                    + ") i");
        }
        return assembly;
    }

    @Test
    void ofManyUnitsEachStandsOnOnePage() throws SQLException {
        withUnits("QX-", MANY);
        Units units = site.bean(Units.class);
        List<String> serials = new ArrayList<>();
        for (int page = 0; page * Units.PAGE < MANY; page++) {
            units.page("qx-", "", page).stream().map(UnitLine::serial).forEach(serials::add);
        }
        assertThat(serials).hasSize(MANY).isSorted().doesNotHaveDuplicates();
        assertThat(units.page("qx-", "", serials.size() / Units.PAGE + 1)).isEmpty();
        assertThat(units.page("QX-061", "in service", 0)).hasSize(10);
        assertThat(units.page("QX-061", "scrapped", 0)).isEmpty();
        assertThat(units.page("", "", -3)).hasSize(Units.PAGE);
    }

    @Test
    void anAssemblyIsFoundByAFunctionOfItsLatestRevisionAlone() throws SQLException {
        long assembly = withUnits("QF-", 1);
        Assemblies assemblies = site.bean(Assemblies.class);
        assertThat(assemblies.page("LAMP OF QF-", 0))
                .extracting(AssemblyLine::id)
                .containsExactly(assembly);
        assertThat(assemblies.page("lamp of QF%", 0)).isEmpty();
    }

    @Test
    void endedTestsAreFoundByUnitByAssemblyAndByFinding() throws SQLException {
        TestRuns runs = site.bean(TestRuns.class);
        assertThat(runs.ended("are crossed", TestRuns.ALL, 50))
                .isNotEmpty()
                .allSatisfy(each -> assertThat(each.findings()).contains("are crossed"));
        long assembly = withUnits("QR-", MANY);
        long run = site.run(assembly, "QR-0007");
        runs.end(run, "bench");
        for (String part : List.of("QR-0007", "QR-", "Rack QR")) {
            assertThat(runs.ended(part, TestRuns.ALL, 50))
                    .as(part)
                    .extracting(RunLine::id)
                    .containsExactly(run);
        }
    }

    @Test
    void signsOfPatternsAreFoundAsTheyStand() {
        assertThat(Patterns.containing(" 50%_\\ ")).isEqualTo("%50\\%\\_\\\\%");
        assertThat(Patterns.containing("  ")).isEmpty();
    }

    @Test
    void fewerThanThreeLettersAreLookedForAtTheBeginning() throws SQLException {
        withUnits("ZQ-", 3);
        Units units = site.bean(Units.class);
        assertThat(units.page("zq", "", 0)).hasSize(3);
        assertThat(units.page("q-", "", 0)).extracting(UnitLine::serial).noneMatch(each -> each.startsWith("ZQ"));
        assertThat(units.page("q-0", "", 0)).extracting(UnitLine::serial).contains("ZQ-0001");
        assertThat(Patterns.isShort("  ab ")).isTrue();
        assertThat(Patterns.isShort("")).isFalse();
    }
}
