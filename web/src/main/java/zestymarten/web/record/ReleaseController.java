package zestymarten.web.record;

import jakarta.servlet.http.HttpServletRequest;
import java.security.Principal;
import java.util.List;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zestymarten.core.testrun.Decision;
import zestymarten.web.unit.ListPlace;

/** What happens to a unit after its test, and who signs for it. */
@Controller
class ReleaseController {
    private final Releases releases;

    ReleaseController(Releases releases) {
        this.releases = releases;
    }

    @PostMapping("/runs/{id}/release")
    ResponseEntity<Void> decide(
            @PathVariable long id,
            @RequestParam Decision decision,
            @RequestParam(name = "due_on", defaultValue = "") String on,
            @RequestParam(name = "due_hours", defaultValue = "") String hours,
            @RequestParam(name = "due_cycles", defaultValue = "") String cycles,
            @RequestParam(defaultValue = "") String note,
            Principal who,
            HttpServletRequest request) {
        releases.decide(
                id,
                decision,
                new Releases.DueForm(on, hours, cycles),
                note,
                who.getName(),
                request.isUserInRole("LEAD"));
        return ResponseEntity.ok()
                .header("HX-Redirect", "/runs/" + id + "/record")
                .build();
    }

    /** The chosen units of the list, each after its last test. */
    @PostMapping("/units/release")
    String release(
            @RequestParam(name = "unit", defaultValue = "") List<Long> chosen,
            @RequestParam(name = "due_on", defaultValue = "") String on,
            ListPlace place,
            Principal who,
            RedirectAttributes back) {
        back.addFlashAttribute("outcomes", releases.releaseChosen(chosen, on, who.getName()));
        return place.back(back);
    }

    /** Only a lead hand gets here: see the rules of the platform. */
    @PostMapping("/runs/{id}/sign-off")
    String sign(@PathVariable long id, @RequestParam(defaultValue = "") String note, Principal who) {
        releases.sign(id, note, who.getName());
        return "redirect:/runs/" + id + "/record";
    }
}
