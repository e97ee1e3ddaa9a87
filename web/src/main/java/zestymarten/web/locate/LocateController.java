package zestymarten.web.locate;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.quantity.Message;
import zestymarten.web.drawing.DistanceDrawing;
import zestymarten.web.platform.NotFound;
import zestymarten.web.testrun.RunSnapshot;
import zestymarten.web.testrun.TestRuns;

/** Where a fault is on one wire of a run. What was typed stands in the address, so that it can be kept and passed on. */
@Controller
class LocateController {
    private final TestRuns runs;

    LocateController(TestRuns runs) {
        this.runs = runs;
    }

    /** A field of this page that another form on it has to carry along. */
    record CarriedReadings(String name, String typed) {}

    @GetMapping("/runs/{id}/locate")
    String where(
            @PathVariable long id, @RequestParam String wire, @RequestParam Map<String, String> typed, Model model) {
        RunSnapshot run = runs.find(id);
        Conductor conductor = run.test().design().assembly().conductors().stream()
                .filter(each -> each.id().equals(wire))
                .findFirst()
                .orElseThrow(() -> new NotFound(Message.of("locate_controller.there_no_wire_this", wire)));
        Ways ways = new Ways(run, conductor, typed);
        model.addAttribute("run", run);
        model.addAttribute("chain", ChainViews.of(run.test(), conductor, typed));
        model.addAttribute("wire", conductor);
        model.addAttribute("length", ways.lengthText());
        model.addAttribute("doubt", ways.doubtText());
        model.addAttribute("trouble", ways.trouble());
        model.addAttribute("ways", ways.views());
        model.addAttribute("together", ways.said());
        model.addAttribute(
                "drawing", ways.length().map(metres -> DistanceDrawing.of(metres, ways.distances(), ways.together())));
        model.addAttribute("ofChain", carried(typed, true));
        model.addAttribute("ofWays", carried(typed, false));
        return "locate/locate";
    }

    /** What was typed in the form of the chain, or in that of the distances. */
    private static List<CarriedReadings> carried(Map<String, String> typed, boolean ofChain) {
        return typed.entrySet().stream()
                .filter(each ->
                        !each.getKey().equals("wire") && !each.getValue().isBlank())
                .filter(each -> ofChain
                        == (each.getKey().startsWith("at.") || each.getKey().equals("way")))
                .map(each -> new CarriedReadings(each.getKey(), each.getValue()))
                .sorted(Comparator.comparing(CarriedReadings::name))
                .toList();
    }
}
