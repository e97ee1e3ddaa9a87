package zestymarten.web.coreid;

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
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.WireList;
import zestymarten.core.coreid.GroupScheme;
import zestymarten.core.coreid.IdentificationMethod;
import zestymarten.core.quantity.Message;
import zestymarten.core.testrun.StepState;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.platform.Prints;
import zestymarten.web.platform.ProblemView;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.TypedForm;
import zestymarten.web.platform.Words;
import zestymarten.web.worksheet.SavedSheet;
import zestymarten.web.worksheet.Worksheet;
import zestymarten.web.worksheet.WorksheetForm;
import zestymarten.web.worksheet.Worksheets;

/** The desk of a bundle. What was typed stands in the address, so that it goes along, or is handed to whoever is there. */
@Controller
class CoreIdController implements Worksheet {
    private final Worksheets sheets;
    private final Assemblies assemblies;
    private final Prints prints;

    CoreIdController(Worksheets sheets, Assemblies assemblies, Prints prints) {
        this.sheets = sheets;
        this.assemblies = assemblies;
        this.prints = prints;
    }

    @GetMapping("/identify-cores")
    String page(@RequestParam Map<String, String> fields, @RequestParam Optional<Long> sheet, Model model) {
        TypedForm typed = WorksheetForm.typed(
                sheet.map(id -> sheets.fields(SavedSheet.SavedTool.CORE_ID, id)).orElse(fields));
        model.addAttribute("view", CoreIdView.of(typed));
        model.addAttribute("typed", typed.fields());
        model.addAttribute("problems", ProblemView.all(typed.problems()));
        model.addAttribute("kept", sheets.last(SavedSheet.SavedTool.CORE_ID));
        return "coreid/coreid";
    }

    /** Cards for both places: the whole round trip on paper, for where there is no radio. */
    @GetMapping("/identify-cores/cards.pdf")
    ResponseEntity<byte[]> cards(@RequestParam Map<String, String> fields) {
        TypedForm typed = WorksheetForm.typed(fields);
        CoreIdView view = CoreIdView.of(typed);
        List<GroupScheme.CodeCell> cells = view.kind() == IdentificationMethod.MethodKind.GROUPS
                ? GroupScheme.of(view.toFind().size()).map(GroupScheme::cells).orElse(List.of())
                : List.of();
        Map<Integer, List<Integer>> rows = new LinkedHashMap<>();
        cells.forEach(cell -> rows.merge(
                cell.here(),
                List.of(cell.there()),
                (a, b) -> java.util.stream.Stream.concat(a.stream(), b.stream()).toList()));
        return pdf("coreid/cards", Map.of("view", view, "rows", rows, "typed", typed.fields()));
    }

    /** A label for each end of each core. */
    @GetMapping("/identify-cores/labels.pdf")
    ResponseEntity<byte[]> labels(@RequestParam Map<String, String> fields) {
        TypedForm typed = WorksheetForm.typed(fields);
        return pdf("coreid/labels", Map.of("view", CoreIdView.of(typed), "typed", typed.fields()));
    }

    private ResponseEntity<byte[]> pdf(String template, Map<String, Object> values) {
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_PDF).body(prints.pdf(template, values));
    }

    @PostMapping("/identify-cores/wiring")
    String wiring(@RequestParam Map<String, String> fields, Principal who) {
        TypedForm typed = WorksheetForm.typed(fields);
        CoreIdView view = sound(typed);
        if (view.pairs().stream().noneMatch(each -> each.there() > 0)) {
            throw new Refusal("bundle", Message.of("core_id_controller.no_core_identified_yet"));
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
                .assembly(
                        name(typed),
                        AssemblyKind.CABLE,
                        Words.say("core_id_controller.sorted", view.kind().words()),
                        Map.of());
        return "redirect:/assemblies/"
                + assemblies.create(assembly, who.getName()).assemblyId();
    }

    /** The view of a form in which everything makes sense; refused with what does not. */
    private static CoreIdView sound(TypedForm typed) {
        CoreIdView view = CoreIdView.of(typed);
        if (!typed.isSound()) {
            throw new Refusal(typed.problems());
        }
        return view;
    }

    private static String name(TypedForm typed) {
        if (!typed.has("name")) {
            throw new Refusal("name", Message.of("core_id_controller.nothing_was_typed_expected"));
        }
        return typed.text("name");
    }

    @Override
    public SavedSheet.SavedTool tool() {
        return SavedSheet.SavedTool.CORE_ID;
    }

    @Override
    public SavedSheet kept(TypedForm typed) {
        CoreIdView view = sound(typed);
        StepState result = view.faulty() ? StepState.FAIL : view.isIdentified() ? StepState.PASS : StepState.NOT_TESTED;
        return new SavedSheet(
                SavedSheet.SavedTool.CORE_ID,
                typed.text("name"),
                typed.fields(),
                String.join(" ", view.says()),
                result);
    }
}
