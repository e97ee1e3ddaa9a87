package zestymarten.web.assembly;

import java.security.Principal;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.assembly.AssemblyChanges;
import zestymarten.core.quantity.Message;
import zestymarten.web.platform.NotFound;

/** The revisions of an assembly: the list, what differs between two, an old one made the newest again. */
@Controller
@RequestMapping("/assemblies/{id}/revisions")
class RevisionController {
    private final Assemblies assemblies;

    RevisionController(Assemblies assemblies) {
        this.assemblies = assemblies;
    }

    /** Compares the two newest unless others are asked for. */
    @GetMapping
    String list(
            @PathVariable long id,
            @RequestParam(defaultValue = "0") int from,
            @RequestParam(defaultValue = "0") int to,
            Model model) {
        List<RevisionLine> lines = assemblies.revisions(id);
        int newest = lines.get(0).number();
        int before = lines.get(Math.min(1, lines.size() - 1)).number();
        RevisionLine first = numbered(lines, from == 0 ? before : from);
        RevisionLine last = numbered(lines, to == 0 ? newest : to);
        Revision shown = assemblies.latest(id);
        model.addAttribute("revision", shown);
        model.addAttribute("lines", lines);
        model.addAttribute("from", first.number());
        model.addAttribute("to", last.number());
        model.addAttribute(
                "changes",
                AssemblyChanges.between(
                                assemblies.revision(first.id()).assembly(),
                                assemblies.revision(last.id()).assembly())
                        .lines());
        return "assembly/revisions";
    }

    private static RevisionLine numbered(List<RevisionLine> lines, int number) {
        return lines.stream()
                .filter(each -> each.number() == number)
                .findFirst()
                .orElseThrow(() -> new NotFound(Message.of("revision_controller.this_assembly_has_no", number)));
    }

    /** What a revision said becomes the newest one; nothing where it is that already. */
    @PostMapping("/{number}/restore")
    String restore(@PathVariable long id, @PathVariable int number, Principal who) {
        Revision old =
                assemblies.revision(numbered(assemblies.revisions(id), number).id());
        Optional.of(old.assembly())
                .filter(each -> !each.equals(assemblies.latest(id).assembly()))
                .ifPresent(each -> assemblies.revise(id, each, who.getName()));
        return "redirect:/assemblies/" + id + "/revisions";
    }
}
