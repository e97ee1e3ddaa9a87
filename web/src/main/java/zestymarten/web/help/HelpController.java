package zestymarten.web.help;

import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The guide by job, its keys, and the words that are used. */
@Controller
class HelpController {
    private final HelpText guide = HelpText.read("/help/guide.md", Set.of());
    private final HelpText glossary = HelpText.read("/help/glossary.md", Set.of("where it lives"));

    @GetMapping("/help")
    String page(Model model) {
        model.addAttribute("guide", guide);
        model.addAttribute("glossary", glossary);
        return "help/help";
    }
}
