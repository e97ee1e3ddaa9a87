package zestymarten.web.desk;

import java.security.Principal;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.web.platform.NotFound;
import zestymarten.web.platform.Refused;
import zestymarten.web.platform.Typed;

/** Keeps the sheet of any desk, with a unit where it belongs to one. */
@Controller
class DeskController {
    private final List<Reckons> desks;
    private final DeskSheets sheets;

    DeskController(List<Reckons> desks, DeskSheets sheets) {
        this.desks = desks;
        this.sheets = sheets;
    }

    @PostMapping("/{desk:circuit|conductor|bundle|family|check}/keep")
    String keep(@PathVariable String desk, @RequestParam Map<String, String> fields, Principal who) {
        Typed typed = DeskForm.typed(fields);
        Reckons reckons = desks.stream()
                .filter(each -> each.desk().word().equals(desk))
                .findFirst()
                .orElseThrow(() -> new NotFound("There is no tool '" + desk + "'."));
        try {
            long kept = sheets.keep(reckons.kept(typed), typed.text("serial"), who.getName());
            return "redirect:/" + desk + "?sheet=" + kept;
        } catch (IllegalArgumentException e) {
            throw new Refused("name", String.valueOf(e.getMessage()));
        }
    }
}
