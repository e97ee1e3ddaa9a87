package zestymarten.web.worksheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import zestymarten.core.testrun.StepState;
import zestymarten.web.Site;
import zestymarten.web.Workshop;
import zestymarten.web.platform.NotFound;
import zestymarten.web.platform.Refusal;

/** Kept sheets: with a unit or without, opened as they were typed, never altered. */
@ExtendWith(Workshop.class)
class WorksheetsTest {
    private final Site site;
    private final Worksheets sheets;

    WorksheetsTest(Site site) {
        this.site = site;
        sheets = site.bean(Worksheets.class);
    }

    private static SavedSheet kept(String title) {
        return new SavedSheet(
                SavedSheet.SavedTool.COMPARISON,
                title,
                Map.of("leads", "2 4 Zopf \"ä\"\n3 6"),
                "One is odd.",
                StepState.FAIL);
    }

    @Test
    void aSheetIsOpenedAsItWasTypedAndStandsInItsUnitsRecord() {
        long id = sheets.keep(kept("Tails"), "PC-01", "bench");
        assertThat(sheets.fields(SavedSheet.SavedTool.COMPARISON, id)).containsEntry("leads", "2 4 Zopf \"ä\"\n3 6");
        WorksheetLine sheet = sheets.ofUnit(1).get(0);
        assertThat(sheet.title()).isEqualTo("Tails");
        assertThat(sheet.serial()).isEqualTo("PC-01");
        assertThat(sheet.result()).isEqualTo(StepState.FAIL);
        assertThat(sheets.last(SavedSheet.SavedTool.COMPARISON))
                .extracting(WorksheetLine::id)
                .contains(id);
        assertThatThrownBy(() -> sheets.fields(SavedSheet.SavedTool.CORE_ID, id))
                .isInstanceOf(NotFound.class)
                .hasMessage("There is no saved sheet number " + id + " of this tool.");
    }

    @Test
    void aUnitThatIsNotThereATitleThatIsNoneAndTooMuchAreRefused() {
        assertThatThrownBy(() -> sheets.keep(kept("Tails"), "PC-999", "bench"))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining(
                        "“PC-999” is not accepted; expected the serial of a unit that has been on the bench. There is none"
                                + " of that serial.");
        assertThatThrownBy(() -> kept(" ")).hasMessage("saved_sheet.title[ , 80]");
        SavedSheet much = new SavedSheet(
                SavedSheet.SavedTool.COMPARISON, "Much", Map.of("leads", "x".repeat(60_001)), "", StepState.PASS);
        assertThatThrownBy(() -> sheets.keep(much, "", "bench"))
                .isInstanceOf(Refusal.class)
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
