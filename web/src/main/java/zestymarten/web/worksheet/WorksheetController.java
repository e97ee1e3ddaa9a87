package zestymarten.web.worksheet;

import java.security.Principal;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.web.platform.NotFound;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.TypedForm;

/** Keeps the sheet of any desk, with a unit where it belongs to one. */
@Controller
class WorksheetController {
    private final List<Worksheet> worksheets;
    private final Worksheets sheets;

    WorksheetController(List<Worksheet> worksheets, Worksheets sheets) {
        this.worksheets = worksheets;
        this.sheets = sheets;
    }

    @PostMapping("/{tool:circuit|conductor|identify-cores|compare-leads|check}/keep")
    String keep(@PathVariable String tool, @RequestParam Map<String, String> fields, Principal who) {
        TypedForm typed = WorksheetForm.typed(fields);
        Worksheet worksheet = worksheets.stream()
                .filter(each -> each.tool().path().equals(tool))
                .findFirst()
                .orElseThrow(() -> new NotFound(Message.of("worksheet_controller.there_no_tool", tool)));
        try {
            long kept = sheets.keep(worksheet.kept(typed), typed.text("serial"), who.getName());
            return "redirect:/" + tool + "?sheet=" + kept;
        } catch (NotAccepted e) {
            throw new Refusal("name", e.what());
        }
    }
}
