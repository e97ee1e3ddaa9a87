package zestymarten.web.today;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.testrun.RunLine;
import zestymarten.web.testrun.TestRuns;
import zestymarten.web.unit.UnitLine;
import zestymarten.web.unit.Units;

/** What to do next: runs under way, units in quarantine, what was found last, and the way to a new test. */
@Controller
class TodayController {
    private static final int SHOWN = 6;
    private static final int DAYS_AHEAD = 30;

    private final TestRuns runs;
    private final Units units;
    private final Assemblies assemblies;
    private final Clock clock;

    TodayController(TestRuns runs, Units units, Assemblies assemblies, Clock clock) {
        this.clock = clock;
        this.runs = runs;
        this.units = units;
        this.assemblies = assemblies;
    }

    @GetMapping("/")
    String today(Model model) {
        List<RunLine> underWay = runs.underWay(SHOWN);
        List<UnitLine> quarantined = units.quarantined(SHOWN);
        model.addAttribute("underWay", underWay);
        model.addAttribute("quarantined", quarantined);
        model.addAttribute("due", units.due(DAYS_AHEAD, SHOWN));
        model.addAttribute("today", LocalDate.now(clock));
        model.addAttribute("ended", runs.ended("", TestRuns.ALL, SHOWN));
        return "today/today";
    }

    /** Choosing what to test: an assembly that is there, or a new one in one form. */
    @GetMapping("/start")
    String start(Model model) {
        model.addAttribute("assemblies", assemblies.page("", 0));
        return "today/start";
    }
}
