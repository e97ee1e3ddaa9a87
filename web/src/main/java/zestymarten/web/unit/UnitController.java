package zestymarten.web.unit;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zestymarten.core.testrun.UnitState;
import zestymarten.web.platform.Csv;
import zestymarten.web.platform.Words;

/** All units, found by serial number or assembly and by where they stand. */
@Controller
class UnitController {
    private static final List<String> COLUMNS = List.of("serial", "assembly", "state", "next_test");

    private final Units units;

    UnitController(Units units) {
        this.units = units;
    }

    @GetMapping("/units")
    String list(
            @RequestParam(defaultValue = "") String search,
            @RequestParam(defaultValue = "") String state,
            @RequestParam(defaultValue = "0") int page,
            Model model) {
        int shown = Math.max(0, Math.min(page, Units.LAST_PAGE));
        List<UnitLine> lines = units.page(search.strip(), state, shown);
        model.addAttribute("lines", lines);
        model.addAttribute("search", search.strip());
        model.addAttribute("state", state);
        model.addAttribute("states", UnitState.values());
        model.addAttribute("page", shown);
        model.addAttribute("more", lines.size() == Units.PAGE && shown < Units.LAST_PAGE);
        model.addAttribute("last", lines.size() == Units.PAGE && shown == Units.LAST_PAGE);
        return "unit/list";
    }

    /** The next test of the chosen units. */
    @PostMapping("/units/due")
    String due(
            @RequestParam(name = "unit", defaultValue = "") List<Long> chosen,
            @RequestParam(name = "due_on", defaultValue = "") String on,
            ListPlace place,
            RedirectAttributes back) {
        units.setDue(chosen, on);
        return place.back(back);
    }

    /** The chosen units as a table. */
    @PostMapping("/units/units.csv")
    ResponseEntity<byte[]> csv(@RequestParam(name = "unit", defaultValue = "") List<Long> chosen) {
        List<List<String>> rows = units.chosen(chosen).stream()
                .map(each -> List.of(
                        each.serial(),
                        each.assembly(),
                        Words.say(each.state()),
                        each.due().text()))
                .toList();
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("units.csv")
                                .build()
                                .toString())
                .body(Csv.write(COLUMNS, rows).getBytes(StandardCharsets.UTF_8));
    }
}
