package zestymarten.web.record;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.testrun.Decision;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.platform.Csv;
import zestymarten.web.platform.Workbook;
import zestymarten.web.testrun.RunLine;
import zestymarten.web.testrun.RunSnapshot;
import zestymarten.web.testrun.TestRuns;
import zestymarten.web.unit.UnitRow;
import zestymarten.web.unit.Units;
import zestymarten.web.worksheet.Worksheets;

/** Records: past runs, the history of a unit, and one run's certificate as page, PDF and CSV. */
@Controller
class RecordController {
    /** Tests of a unit that are compared wire by wire. */
    private static final int COMPARED = 6;

    private final TestRuns runs;
    private final Assemblies assemblies;
    private final Units units;
    private final SealedRecords records;
    private final Certificates certificates;
    private final Releases releases;
    private final Worksheets sheets;

    RecordController(
            TestRuns runs,
            Units units,
            SealedRecords records,
            Certificates certificates,
            Releases releases,
            Assemblies assemblies,
            Worksheets sheets) {
        this.sheets = sheets;
        this.assemblies = assemblies;
        this.releases = releases;
        this.runs = runs;
        this.units = units;
        this.records = records;
        this.certificates = certificates;
    }

    @GetMapping("/records")
    String list(@RequestParam(defaultValue = "") String search, @RequestParam Optional<Instant> before, Model model) {
        List<RunLine> lines = runs.ended(search.strip(), before.orElse(TestRuns.ALL), TestRuns.PAGE);
        model.addAttribute("lines", lines);
        model.addAttribute("search", search.strip());
        model.addAttribute(
                "older",
                lines.size() == TestRuns.PAGE ? lines.get(lines.size() - 1).endedAt() : null);
        return "record/list";
    }

    @GetMapping("/units/{id}")
    String unit(@PathVariable long id, Model model) {
        UnitRow unit = units.find(id);
        model.addAttribute("unit", unit);
        model.addAttribute("lines", runs.ofUnit(id));
        model.addAttribute("history", HistoryView.of(runs.lastOf(id, COMPARED)));
        model.addAttribute("own", assemblies.ofUnit(id));
        model.addAttribute("sheets", sheets.ofUnit(id));
        return "record/unit";
    }

    @GetMapping("/runs/{id}/record")
    String page(@PathVariable long id, @RequestParam(name = "seal", defaultValue = "") String paper, Model model) {
        RunSnapshot run = runs.find(id);
        model.addAttribute("record", records.view(run));
        Optional<Seal> seal = records.seal(run);
        model.addAttribute("seal", seal);
        model.addAttribute("paper", paper);
        model.addAttribute("belongs", seal.filter(each -> each.isOf(paper)).isPresent());
        model.addAttribute("unitId", run.unitId());
        model.addAttribute("decided", releases.of(run));
        model.addAttribute("decisions", Decision.values());
        return "record/record";
    }

    @GetMapping("/runs/{id}/certificate.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable long id) {
        RunSnapshot run = runs.find(id);
        RecordView view = records.view(run);
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, named(view, ".pdf", false))
                .body(certificates.pdf(view, records.seal(run)));
    }

    /** Every reading of a test on paper: what a certificate of a long test leaves out. */
    @GetMapping("/runs/{id}/annex.pdf")
    void annex(@PathVariable long id, HttpServletResponse response) throws IOException {
        RunSnapshot run = runs.find(id);
        RecordView view = records.view(run);
        response.setContentType(MediaType.APPLICATION_PDF_VALUE);
        response.setHeader(HttpHeaders.CONTENT_DISPOSITION, named(view, " readings.pdf", false));
        Annex.write(view, records.seal(run), response.getOutputStream());
    }

    @GetMapping("/runs/{id}/readings.csv")
    ResponseEntity<String> csv(@PathVariable long id) {
        RecordView view = records.view(runs.find(id));
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, named(view, ".csv", true))
                .body(Csv.write(ReadingsTable.COLUMNS, ReadingsTable.rows(view)));
    }

    @GetMapping("/runs/{id}/readings.xlsx")
    ResponseEntity<byte[]> xlsx(@PathVariable long id) {
        RecordView view = records.view(runs.find(id));
        return ResponseEntity.ok()
                .contentType(Workbook.TYPE)
                .header(HttpHeaders.CONTENT_DISPOSITION, named(view, ".xlsx", true))
                .body(Workbook.write("Readings", ReadingsTable.COLUMNS, ReadingsTable.rows(view).stream()));
    }

    /** The run as a document: what stands on the certificate, and every reading. */
    @GetMapping(path = "/runs/{id}/run.json", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<RunDocument> json(@PathVariable long id) {
        RecordView view = records.view(runs.find(id));
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, named(view, ".json", true))
                .body(RunDocument.of(view));
    }

    private static String named(RecordView view, String ending, boolean attached) {
        String name = view.assembly() + " " + view.unit() + " test " + view.id() + ending;
        ContentDisposition.Builder builder = attached ? ContentDisposition.attachment() : ContentDisposition.inline();
        return builder.filename(name, StandardCharsets.UTF_8).build().toString();
    }
}
