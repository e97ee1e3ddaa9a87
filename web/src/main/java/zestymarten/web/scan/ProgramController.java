package zestymarten.web.scan;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.scan.Points;
import zestymarten.core.scan.ProgramText;
import zestymarten.core.scan.ScanAction;
import zestymarten.core.scan.ScanProgram;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.assembly.Revision;
import zestymarten.web.drawing.StaveDrawing;
import zestymarten.web.platform.ProblemView;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.TypedForm;
import zestymarten.web.testrun.TestRuns;

/** The scanning program of an assembly before there is a test: chosen, checked, taken away with the map of the points. */
@Controller
@RequestMapping("/assemblies/{id}/scan-program")
class ProgramController {
    private final Assemblies assemblies;

    ProgramController(Assemblies assemblies) {
        this.assemblies = assemblies;
    }

    @GetMapping
    String page(@PathVariable long id, @RequestParam Map<String, String> fields, Model model) {
        TypedForm typed = new TypedForm(fields);
        Revision revision = assemblies.latest(id);
        List<ScanAction.MeasureContacts> voltages = new ProgramForm(typed).voltages();
        Design design = Design.of(revision.assembly(), TestRuns.USUAL.ambientC());
        ScanProgram program = ScanProgram.of(design, TestRuns.USUAL, voltages);
        Points points = Points.of(revision.assembly());
        model.addAttribute("assembly", revision);
        model.addAttribute("typed", typed.fields());
        model.addAttribute("problems", ProblemView.all(typed.problems()));
        model.addAttribute("stave", StaveDrawing.of(points, program));
        model.addAttribute("review", ReviewView.of(program, design));
        model.addAttribute("query", query(fields));
        return "scan/program";
    }

    /** The fields as the query of an address, to make the same program once more. */
    private static String query(Map<String, String> fields) {
        UriComponentsBuilder made = UriComponentsBuilder.newInstance();
        fields.forEach(made::queryParam);
        String query = made.build().encode().getQuery();
        return query == null ? "" : "?" + query;
    }

    @GetMapping("/program.csv")
    ResponseEntity<byte[]> program(@PathVariable long id, @RequestParam Map<String, String> fields) {
        TypedForm typed = new TypedForm(fields);
        Assembly assembly = assemblies.latest(id).assembly();
        List<ScanAction.MeasureContacts> voltages = new ProgramForm(typed).voltages();
        if (!typed.isSound()) {
            throw new Refusal(typed.problems());
        }
        ScanProgram program = ScanProgram.of(Design.of(assembly, TestRuns.USUAL.ambientC()), TestRuns.USUAL, voltages);
        return file(assembly, "program", ProgramText.write(program));
    }

    /** Which point of the switch is wired to which terminal. */
    @GetMapping("/points.csv")
    ResponseEntity<byte[]> points(@PathVariable long id) {
        Assembly assembly = assemblies.latest(id).assembly();
        return file(assembly, "points", Points.of(assembly).csv());
    }

    private static ResponseEntity<byte[]> file(Assembly assembly, String what, String text) {
        String name = assembly.name().replaceAll("[^A-Za-z0-9-]", "_") + "-" + what + ".csv";
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(text.getBytes(StandardCharsets.UTF_8));
    }
}
