package zestymarten.web.people;

import java.time.Clock;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zestymarten.core.quantity.Message;
import zestymarten.web.platform.Refusal;

/** The people of this installation, for an administrator. */
@Controller
@RequestMapping("/people")
class PeopleController {
    private static final String LIST = "redirect:/people";

    private final People people;
    private final Clock clock;

    PeopleController(People people, Clock clock) {
        this.people = people;
        this.clock = clock;
    }

    @GetMapping
    String list(Model model) {
        model.addAttribute("people", people.all());
        model.addAttribute("roles", PersonRole.values());
        model.addAttribute("now", clock.instant());
        return "people/people";
    }

    @PostMapping
    String add(@RequestParam String name, @RequestParam String role, RedirectAttributes once) {
        try {
            once.addFlashAttribute("password", people.add(name, role(role)));
            once.addFlashAttribute("whose", name.strip());
        } catch (Refusal refused) {
            once.addFlashAttribute("typed", name);
            once.addFlashAttribute("chosen", role);
            once.addFlashAttribute("problems", refused.texts());
        }
        return LIST;
    }

    @PostMapping("/{name}/role")
    String role(@PathVariable String name, @RequestParam String role, RedirectAttributes once) {
        return said(once, () -> people.setRole(name, role(role)));
    }

    @PostMapping("/{name}/disable")
    String disable(@PathVariable String name, RedirectAttributes once) {
        return said(once, () -> people.setDisabled(name, true));
    }

    @PostMapping("/{name}/enable")
    String enable(@PathVariable String name, RedirectAttributes once) {
        return said(once, () -> people.setDisabled(name, false));
    }

    @PostMapping("/{name}/password")
    String password(@PathVariable String name, RedirectAttributes once) {
        once.addFlashAttribute("password", people.oneTimePassword(name));
        once.addFlashAttribute("whose", name);
        return LIST;
    }

    private static String said(RedirectAttributes once, Runnable change) {
        try {
            change.run();
        } catch (Refusal refused) {
            once.addFlashAttribute("problems", refused.texts());
        }
        return LIST;
    }

    private static PersonRole role(String code) {
        return PersonRole.of(code)
                .orElseThrow(() -> new Refusal(
                        "role", Message.of("people_controller.not_accepted_expected_one", code, PersonRole.codes())));
    }
}
