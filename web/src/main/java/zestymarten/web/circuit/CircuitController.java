package zestymarten.web.circuit;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.circuit.Circuit;
import zestymarten.core.circuit.CircuitComparison;
import zestymarten.core.circuit.CircuitReport;
import zestymarten.core.circuit.EndLink;
import zestymarten.core.circuit.Spot;
import zestymarten.core.testrun.StepState;
import zestymarten.web.drawing.CircuitDrawing;
import zestymarten.web.platform.Csv;
import zestymarten.web.platform.Prints;
import zestymarten.web.platform.ProblemView;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.TypedForm;
import zestymarten.web.platform.Words;
import zestymarten.web.worksheet.SavedSheet;
import zestymarten.web.worksheet.Worksheet;
import zestymarten.web.worksheet.WorksheetForm;
import zestymarten.web.worksheet.Worksheets;

/** The desk of one circuit: everything stands in its form; the drawing carries the fields. */
@Controller
class CircuitController implements Worksheet {
    private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);

    private final Worksheets sheets;
    private final Prints prints;

    CircuitController(Worksheets sheets, Prints prints) {
        this.sheets = sheets;
        this.prints = prints;
    }

    @Override
    public SavedSheet.SavedTool tool() {
        return SavedSheet.SavedTool.CIRCUIT;
    }

    /** A field beside those of the drawing: a reading that is asked for, or was. */
    record More(String field, String words) {}

    /** The fields that stand at every point: what their names begin with, and what is read there. */
    record PerPoint(String field, String letters, String words) {
        static PerPoint of(EndLink linked) {
            return new PerPoint(
                    CircuitForm.field(linked),
                    linked.line().letter() + "–" + linked.other().letter(),
                    Words.say(linked.words()));
        }
    }

    @GetMapping("/circuit")
    String page(@RequestParam Optional<Long> sheet, Model model) {
        return shown(
                sheet.map(id -> sheets.fields(SavedSheet.SavedTool.CIRCUIT, id)).orElse(Map.of()), model);
    }

    @PostMapping("/circuit")
    String reckon(@RequestParam Map<String, String> fields, Model model) {
        return shown(fields, model);
    }

    @Override
    public SavedSheet kept(TypedForm typed) {
        CircuitReport sheet = sheet(typed);
        return new SavedSheet(
                SavedSheet.SavedTool.CIRCUIT,
                typed.text("name"),
                typed.fields(),
                String.join(" ", Words.all(sheet.says())),
                StepState.of(sheet.verdict().code()));
    }

    @PostMapping("/circuit/sheet.pdf")
    ResponseEntity<byte[]> pdf(@RequestParam Map<String, String> fields) {
        TypedForm typed = WorksheetForm.typed(fields);
        CircuitReport sheet = sheet(typed);
        return named(typed, ".pdf")
                .contentType(MediaType.APPLICATION_PDF)
                .body(prints.pdf("circuit/print", Map.of("sheet", ReportView.of(sheet), "typed", typed.fields())));
    }

    @PostMapping("/circuit/sheet.csv")
    ResponseEntity<String> csv(@RequestParam Map<String, String> fields) {
        TypedForm typed = WorksheetForm.typed(fields);
        CircuitReport sheet = sheet(typed);
        List<List<String>> rows = ReportView.of(sheet).lines().stream()
                .map(ReportView.ReportLineView::cells)
                .toList();
        return named(typed, ".csv")
                .contentType(CSV)
                .body(Csv.write(List.of("step", "what", "read", "expected", "judgement", "source"), rows));
    }

    private static ResponseEntity.BodyBuilder named(TypedForm typed, String ending) {
        String name = (typed.has("name") ? typed.text("name") : "circuit") + ending;
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name, StandardCharsets.UTF_8)
                                .build()
                                .toString());
    }

    /** The sheet of a sound form; refused with everything that is wrong with it. */
    private static CircuitReport sheet(TypedForm typed) {
        CircuitForm form = new CircuitForm(typed);
        Circuit circuit = form.circuit();
        CircuitReport sheet = CircuitReport.of(form.tests(circuit), new SupplyForm(typed).supply());
        if (!typed.isSound()) {
            throw new Refusal(typed.problems());
        }
        return sheet;
    }

    private String shown(Map<String, String> fields, Model model) {
        TypedForm typed = WorksheetForm.typed(fields);
        CircuitForm form = new CircuitForm(typed);
        Circuit circuit = form.circuit();
        boolean asDrawn = typed.isSound(); // nothing is concluded of a circuit that is not the one that was meant
        CircuitReport sheet = CircuitReport.of(form.tests(circuit), new SupplyForm(typed).supply());
        List<More> more = new ArrayList<>();
        form.more(circuit).stream()
                .filter(spot -> typed.has(CircuitForm.field(spot)))
                .forEach(spot -> more.add(more(spot)));
        Optional<Spot> next = asDrawn ? sheet.next() : Optional.empty();
        next.filter(spot -> isBeside(CircuitForm.field(spot))).ifPresent(spot -> more.add(more(spot)));
        model.addAttribute("typed", typed.fields());
        model.addAttribute("problems", ProblemView.all(typed.problems()));
        model.addAttribute("shape", circuit.shape().name());
        model.addAttribute(
                "perPoint", circuit.linkedInTurn().stream().map(PerPoint::of).toList());
        model.addAttribute("sheet", ReportView.of(sheet));
        model.addAttribute("begun", asDrawn && !sheet.says().isEmpty());
        model.addAttribute("drawing", CircuitDrawing.of(circuit, sheet.compared()));
        model.addAttribute("beyond", form.beyond(circuit));
        model.addAttribute("more", more);
        model.addAttribute("next", next.map(CircuitController::more));
        model.addAttribute("focus", focus(typed, sheet, next));
        model.addAttribute("kept", sheets.last(SavedSheet.SavedTool.CIRCUIT));
        return "circuit/circuit";
    }

    private static More more(Spot spot) {
        return new More(CircuitForm.field(spot), Words.say(spot.words()));
    }

    private static boolean isBeside(String field) {
        return field.startsWith("more_");
    }

    /** Where to type next: what was refused, else the reading that tells most, else the first that is missing. */
    private static String focus(TypedForm typed, CircuitReport sheet, Optional<Spot> next) {
        if (!typed.isSound()) {
            return Words.say(typed.problems().get(0).where());
        }
        return next.map(CircuitForm::field)
                .or(() -> sheet.compared().stream()
                        .filter(one -> one.state() == CircuitComparison.ComparisonState.NOT_TESTED)
                        .findFirst()
                        .map(one -> CircuitForm.field(one.spot())))
                .orElse("");
    }
}
