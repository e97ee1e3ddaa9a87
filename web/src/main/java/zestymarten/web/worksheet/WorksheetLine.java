package zestymarten.web.worksheet;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
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
        String verdict,
        String madeBy,
        Instant madeAt) {
    /** The verdict as a person reads it. */
    public String verdictWord() {
        return switch (verdict) {
            case "good" -> "pass";
            case "watch" -> "marginal";
            case "fault" -> "fail";
            case "untested" -> Words.say("worksheet_line.not_finished");
            default -> verdict;
        };
    }

    /** The tool that it was saved with. */
    public SavedSheet.SavedTool tool() {
        return SavedSheet.SavedTool.ofCode(desk);
    }
}
