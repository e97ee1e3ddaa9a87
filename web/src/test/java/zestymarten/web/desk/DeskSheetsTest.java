package zestymarten.web.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import zestymarten.web.Site;
import zestymarten.web.Workshop;
import zestymarten.web.platform.NotFound;
import zestymarten.web.platform.Refused;

/** Kept sheets: with a unit or without, opened as they were typed, never altered. */
@ExtendWith(Workshop.class)
class DeskSheetsTest {
    private final Site site;
    private final DeskSheets sheets;

    DeskSheetsTest(Site site) {
        this.site = site;
        sheets = site.bean(DeskSheets.class);
    }

    private static Kept kept(String title) {
        return new Kept(Kept.Desk.FAMILY, title, Map.of("leads", "2 4 Zopf \"ä\"\n3 6"), "One is odd.", "fault");
    }

    @Test
    void aSheetIsOpenedAsItWasTypedAndStandsInItsUnitsRecord() {
        long id = sheets.keep(kept("Tails"), "PC-01", "bench");
        assertThat(sheets.fields(Kept.Desk.FAMILY, id)).containsEntry("leads", "2 4 Zopf \"ä\"\n3 6");
        DeskSheet sheet = sheets.ofUnit(1).get(0);
        assertThat(sheet.title()).isEqualTo("Tails");
        assertThat(sheet.serial()).isEqualTo("PC-01");
        assertThat(sheet.verdict()).isEqualTo("fault");
        assertThat(sheets.last(Kept.Desk.FAMILY)).extracting(DeskSheet::id).contains(id);
        assertThatThrownBy(() -> sheets.fields(Kept.Desk.BUNDLE, id))
                .isInstanceOf(NotFound.class)
                .hasMessage("There is no saved sheet number " + id + " of this tool.");
    }

    @Test
    void aUnitThatIsNotThereATitleThatIsNoneAndTooMuchAreRefused() {
        assertThatThrownBy(() -> sheets.keep(kept("Tails"), "PC-999", "bench"))
                .isInstanceOf(Refused.class)
                .hasMessageContaining(
                        "“PC-999” is not accepted; expected the serial of a unit that has been on the bench. There is none"
                                + " of that serial.");
        assertThatThrownBy(() -> kept(" "))
                .hasMessage(
                        "“ ” is not accepted; expected what the sheet is of, 1 to 80 characters, such as 'Depot ring 2'.");
        Kept much = new Kept(Kept.Desk.FAMILY, "Much", Map.of("leads", "x".repeat(60_001)), "", "good");
        assertThatThrownBy(() -> sheets.keep(much, "", "bench"))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("That is too much to save");
    }

    @Test
    void theDatabaseItselfRefusesToAlterARecord() throws SQLException {
        long id = sheets.keep(kept("Kept"), "", "bench");
        try (Connection database = site.database();
                Statement statement = database.createStatement()) {
            assertThatThrownBy(() -> statement.execute("update desk_sheet set says = 'x' where id = " + id))
                    .isInstanceOf(SQLException.class);
            assertThatThrownBy(() -> statement.execute("delete from desk_sheet where id = " + id))
                    .isInstanceOf(SQLException.class);
            assertThatThrownBy(() -> statement.execute("truncate test_day_result"))
                    .isInstanceOf(SQLException.class);
        }
    }
}
