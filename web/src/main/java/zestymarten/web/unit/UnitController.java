package zestymarten.web.unit;

import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** All units, found by serial number or assembly and by where they stand. */
@Controller
class UnitController {
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
        model.addAttribute("states", Units.STATES);
        model.addAttribute("page", shown);
        model.addAttribute("more", lines.size() == Units.PAGE);
        return "unit/list";
    }
}
