package zestymarten.web.worksheet;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import zestymarten.core.testrun.StepState;
import zestymarten.web.platform.Words;

/**
 * A saved sheet, without its form.
 *
 * @param desk code of its tool
 * @param serial of the unit that it belongs to; null for none
 */
public record WorksheetLine(
        long id,
        String desk,
        String title,
        @Nullable Long unitId,
        @Nullable String serial,
        String says,
        StepState result,
        String madeBy,
        Instant madeAt) {
    /** The result as a person reads it. */
    public String resultWord() {
        return result == StepState.NOT_TESTED ? Words.say("worksheet_line.not_finished") : Words.say(result);
    }

    /** The tool that it was saved with. */
    public SavedSheet.SavedTool tool() {
        return SavedSheet.SavedTool.ofCode(desk);
    }
}
