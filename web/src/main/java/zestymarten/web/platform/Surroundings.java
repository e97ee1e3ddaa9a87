package zestymarten.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.ModelAttribute;
import zestymarten.core.quantity.Message;
import zestymarten.core.testrun.Decision;
import zestymarten.core.testrun.RunOutcome;
import zestymarten.core.testrun.StepState;

/** What every page may ask for: the chosen theme, its place in the navigation, and the words for outcomes and moments. */
@ControllerAdvice(annotations = Controller.class)
class Surroundings {
    private static final PageWords WORDS = new PageWords();

    /** {@code light} or {@code dark} if it was chosen; empty to follow the system. */
    @ModelAttribute("theme")
    String theme(@CookieValue(name = "theme", defaultValue = "") String theme) {
        return theme.equals("light") || theme.equals("dark") ? theme : "";
    }

    @ModelAttribute("navigation")
    Navigation navigation(HttpServletRequest request) {
        return new Navigation(request.getRequestURI());
    }

    @ModelAttribute("words")
    PageWords words() {
        return WORDS;
    }

    /** Where in the navigation a page is. */
    public record Navigation(String path) {
        private static final List<String> TOOLS =
                List.of("/check", "/circuit", "/identify-cores", "/conductor", "/compare-leads", "/batch-test");

        /** For {@code aria-current}: {@code page} at an address, {@code true} below it, empty elsewhere. */
        public String at(String address) {
            return path.equals(address) ? "page" : path.startsWith(address + "/") ? "true" : "";
        }

        /** Whether it is a tool, or a sheet of one. */
        public boolean atTool() {
            return TOOLS.stream().anyMatch(tool -> !at(tool).isEmpty());
        }
    }

    /** Words for values that lists carry as they are stored. */
    public static final class PageWords {
        /** The outcome of a run in words; empty while it is under way. */
        public String outcome(@Nullable String outcome) {
            return outcome == null ? Words.say("run_outcome.under_way") : Words.say(RunOutcome.ofStored(outcome));
        }

        /** The state stroke of an outcome. */
        public String state(@Nullable String outcome) {
            return outcome == null
                    ? StepState.NOT_TESTED.code()
                    : RunOutcome.ofStored(outcome).state().code();
        }

        /** Whether so short a text is looked for at the beginning alone. */
        public boolean atBeginning(String search) {
            return Patterns.isShort(search);
        }

        /** The word of a constant. */
        public String say(Enum<?> constant) {
            return Words.say(constant);
        }

        /** Any message of the core. */
        public String say(Message message) {
            return Words.say(message);
        }

        /** What was decided on a unit. */
        public String decision(String decision) {
            return Words.say(Decision.valueOf(decision));
        }

        /** A moment to the minute; empty if there is none. */
        public String minute(@Nullable Instant at) {
            return at == null ? "" : Times.minute(at);
        }
    }
}
