package zestymarten.web.bundle;

import java.security.Principal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Kind;
import zestymarten.core.assembly.WireList;
import zestymarten.core.bundle.Method;
import zestymarten.core.bundle.Scheme;
import zestymarten.web.desk.DeskForm;
import zestymarten.web.desk.DeskSheets;
import zestymarten.web.desk.Kept;
import zestymarten.web.desk.Reckons;
import zestymarten.web.platform.Prints;
import zestymarten.web.platform.Refused;
import zestymarten.web.platform.Typed;
import zestymarten.web.wiring.Wirings;

/** The desk of a bundle. What was typed stands in the address, so that it walks along, or is handed to whoever is there. */
@Controller
class BundleController implements Reckons {
    private final DeskSheets sheets;
    private final Wirings wirings;
    private final Prints prints;

    BundleController(DeskSheets sheets, Wirings wirings, Prints prints) {
        this.sheets = sheets;
        this.wirings = wirings;
        this.prints = prints;
    }

    @GetMapping("/bundle")
    String page(@RequestParam Map<String, String> fields, @RequestParam Optional<Long> sheet, Model model) {
        Typed typed = DeskForm.typed(
                sheet.map(id -> sheets.fields(Kept.Desk.BUNDLE, id)).orElse(fields));
        model.addAttribute("view", BundleView.of(typed));
        model.addAttribute("typed", typed.fields());
        model.addAttribute("problems", typed.problems());
        model.addAttribute("kept", sheets.last(Kept.Desk.BUNDLE));
        return "bundle/bundle";
    }

    /** Cards for both places: the whole round trip on paper, for where there is no radio. */
    @GetMapping("/bundle/cards.pdf")
    ResponseEntity<byte[]> cards(@RequestParam Map<String, String> fields) {
        Typed typed = DeskForm.typed(fields);
        BundleView view = BundleView.of(typed);
        List<Scheme.Cell> cells = view.kind() == Method.Kind.GROUPS
                ? Scheme.of(view.toFind().size()).map(Scheme::cells).orElse(List.of())
                : List.of();
        Map<Integer, List<Integer>> rows = new LinkedHashMap<>();
        cells.forEach(cell -> rows.merge(
                cell.here(),
                List.of(cell.there()),
                (a, b) -> java.util.stream.Stream.concat(a.stream(), b.stream()).toList()));
        return pdf("bundle/cards", Map.of("view", view, "rows", rows, "typed", typed.fields()));
    }

    /** A label for each end of each core. */
    @GetMapping("/bundle/labels.pdf")
    ResponseEntity<byte[]> labels(@RequestParam Map<String, String> fields) {
        Typed typed = DeskForm.typed(fields);
        return pdf("bundle/labels", Map.of("view", BundleView.of(typed), "typed", typed.fields()));
    }

    private ResponseEntity<byte[]> pdf(String template, Map<String, Object> values) {
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_PDF).body(prints.pdf(template, values));
    }

    @PostMapping("/bundle/wiring")
    String wiring(@RequestParam Map<String, String> fields, Principal who) {
        Typed typed = DeskForm.typed(fields);
        BundleView view = sound(typed);
        if (view.pairs().stream().noneMatch(each -> each.there() > 0)) {
            throw new Refused("bundle", "No core is identified yet: find the groups at both ends first.");
        }
        StringBuilder list = new StringBuilder("wire,from,to\n");
        view.pairs().stream()
                .filter(each -> each.there() > 0)
                .forEach(each -> list.append('C')
                        .append(each.there())
                        .append(",HERE.")
                        .append(each.here())
                        .append(",THERE.")
                        .append(each.there())
                        .append('\n'));
        Assembly assembly = WireList.read(list.toString())
                .assembly(name(typed), Kind.CABLE, "Sorted: " + view.kind().words() + ".", Map.of());
        return "redirect:/wirings/" + wirings.create(assembly, who.getName()).assemblyId();
    }

    /** The view of a form in which everything makes sense; refused with what does not. */
    private static BundleView sound(Typed typed) {
        BundleView view = BundleView.of(typed);
        if (!typed.isSound()) {
            throw new Refused(typed.problems());
        }
        return view;
    }

    private static String name(Typed typed) {
        if (!typed.has("name")) {
            throw new Refused("name", "Nothing was typed; expected a name, such as 'Hut to platform'.");
        }
        return typed.text("name");
    }

    @Override
    public Kept.Desk desk() {
        return Kept.Desk.BUNDLE;
    }

    @Override
    public Kept kept(Typed typed) {
        BundleView view = sound(typed);
        String verdict = view.faulty() ? "fault" : view.isTold() ? "good" : "untested";
        return new Kept(Kept.Desk.BUNDLE, typed.text("name"), typed.fields(), String.join(" ", view.says()), verdict);
    }
}
