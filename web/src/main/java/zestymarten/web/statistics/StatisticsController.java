package zestymarten.web.statistics;

import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.assembly.Revision;

/** What the tests of an assembly come to. */
@Controller
class StatisticsController {
    /** Of how many tests, the last ones; more would say little of how it is built now. */
    private static final int LAST = 500;

    private static final int MAX_ROWS = 12;

    private final Assemblies assemblies;
    private final StatisticsMapper mapper;

    StatisticsController(Assemblies assemblies, StatisticsMapper mapper) {
        this.assemblies = assemblies;
        this.mapper = mapper;
    }

    @GetMapping("/assemblies/{id}/statistics")
    String page(@PathVariable long id, Model model) {
        Revision revision = assemblies.latest(id);
        TestCounts tests = mapper.tests(id, LAST);
        List<FaultCount> kinds = mapper.byKind(id, LAST, MAX_ROWS);
        List<FaultCount> places = mapper.byPlace(id, LAST, MAX_ROWS);
        model.addAttribute("assemblyId", id);
        model.addAttribute("name", revision.assembly().name());
        model.addAttribute("statistics", StatisticsView.of(tests, kinds, places, LAST));
        return "statistics/statistics";
    }
}
