package zestymarten.web.unit;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** When a unit is to be tested again: by a day, by operating hours, by cycles, by several of them or by none. */
public record DueDate(
        @Nullable LocalDate on,
        @Nullable Double hours,
        @Nullable Integer cycles) {

    /** Whether anything is said. */
    public boolean isSaid() {
        return on != null || hours != null || cycles != null;
    }

    /** In words; empty if nothing is said. */
    public String text() {
        List<String> said = new ArrayList<>();
        if (on != null) {
            said.add("by " + on);
        }
        if (hours != null) {
            said.add("after " + Math.round(hours) + " h");
        }
        if (cycles != null) {
            said.add("after " + cycles + " cycles");
        }
        return String.join(" or ", said);
    }
}
