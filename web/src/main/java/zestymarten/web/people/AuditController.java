package zestymarten.web.people;

import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.web.platform.Csv;
import zestymarten.web.platform.Words;

/** The audit list, for an administrator: a page at a time, or as a table. */
@Controller
class AuditController {
    private static final int MAX_EXPORTED = 100_000;

    private final Audit audit;

    AuditController(Audit audit) {
        this.audit = audit;
    }

    @GetMapping("/audit")
    String list(
            @RequestParam(defaultValue = "") String search,
            @RequestParam(defaultValue = "" + Long.MAX_VALUE) long before,
            Model model) {
        List<Audit.AuditLine> lines = audit.before(before, search.strip(), Audit.PAGE + 1);
        boolean more = lines.size() > Audit.PAGE;
        model.addAttribute("search", search);
        model.addAttribute("lines", more ? lines.subList(0, Audit.PAGE) : lines);
        model.addAttribute("older", more ? lines.get(Audit.PAGE - 1).id() : 0);
        return "people/audit";
    }

    @GetMapping("/audit.csv")
    ResponseEntity<String> csv(@RequestParam(defaultValue = "") String search) {
        List<List<String>> rows = audit.before(Long.MAX_VALUE, search.strip(), MAX_EXPORTED).stream()
                .map(line -> List.of(
                        line.at().toString(),
                        line.who(),
                        line.address(),
                        Words.say(line.kind().words()),
                        line.subject(),
                        line.detail()))
                .toList();
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"audit.csv\"")
                .body(Csv.write(List.of("at", "person", "address", "what", "subject", "detail"), rows));
    }
}
