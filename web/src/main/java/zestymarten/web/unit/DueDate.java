package zestymarten.web.unit;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;
import zestymarten.web.platform.Words;

/** When a unit is to be tested again: by a day, by operating hours, by cycles, by several of them or by none. */
public record DueDate(
        @Nullable LocalDate on,
        @Nullable Double hours,
        @Nullable Integer cycles) {

    /** What is said of a day that cannot be the next one. */
    public static final Message EXPECTED = Message.of("due_date.day_come_such_as");

    private static final int MAX_YEARS = 50;

    /** A day as typed, if it is to come; empty for anything else. */
    public static Optional<LocalDate> day(String typed, LocalDate today) {
        try {
            return Optional.of(LocalDate.parse(typed.strip()))
                    .filter(each -> each.isAfter(today) && each.isBefore(today.plusYears(MAX_YEARS)));
        } catch (DateTimeParseException e) {
            return Optional.empty(); // said by whoever asked for it, with what was read
        }
    }

    /** Whether anything is said. */
    public boolean isSaid() {
        return on != null || hours != null || cycles != null;
    }

    /** In words; empty if nothing is said. */
    public String text() {
        List<String> said = new ArrayList<>();
        if (on != null) {
            said.add(Words.say("due_date.by", on));
        }
        if (hours != null) {
            said.add(Words.say("due_date.after", Math.round(hours)));
        }
        if (cycles != null) {
            said.add(Words.say("due_date.after_cycles", cycles));
        }
        return Words.say(Message.list(MessageArgument.Listing.Link.OR, said));
    }
}
