package zestymarten.web.desk;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A kept sheet, without its form.
 *
 * @param serial of the unit that it belongs to; null for none
 */
public record DeskSheet(
        long id,
        String desk,
        String title,
        @Nullable Long unitId,
        @Nullable String serial,
        String says,
        String verdict,
        String madeBy,
        Instant madeAt) {}
