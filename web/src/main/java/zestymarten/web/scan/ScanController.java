package zestymarten.web.scan;

import java.nio.charset.StandardCharsets;
import java.security.Principal;
import java.util.ArrayList;
import java.util.Comparator;
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
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Problem;
import zestymarten.core.scan.Points;
import zestymarten.core.scan.ProgramText;
import zestymarten.core.scan.ScanProgram;
import zestymarten.core.testrun.StepState;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.drawing.StaveDrawing;
import zestymarten.web.meter.StandIns;
import zestymarten.web.platform.NotFound;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;
import zestymarten.web.testrun.RunSnapshot;
import zestymarten.web.testrun.TestRuns;

/** The scanning program of a run: shown, checked, changed as a file, carried out. */
@Controller
@RequestMapping("/runs/{id}/scan")
class ScanController {
    private static final int LONGEST = 2_000_000;
    private static final double DWELL_S = 60;

    private final TestRuns runs;
    private final Scans scans;
    private final ScanJobs jobs;

    ScanController(TestRuns runs, Scans scans, ScanJobs jobs) {
        this.runs = runs;
        this.scans = scans;
        this.jobs = jobs;
    }

    /** What a form of the page carries; each empty where it was not said. */
    record ScanForm(String program, String zeros, String address, String dwell, boolean barriers) {
        static ScanForm of(Map<String, String> fields) {
            return new ScanForm(
                    fields.getOrDefault("program", "").strip(),
                    fields.getOrDefault("zeros", "").strip(),
                    fields.getOrDefault("address", StandIns.SCANNER).strip(),
                    fields.getOrDefault("dwell", EngineeringFormat.figure(DWELL_S))
                            .strip(),
                    fields.containsKey("barriers"));
        }

        double dwellS() {
            double seconds = dwell.matches("[0-9]{1,4}(?:[.,][0-9]{1,2})?")
                    ? Double.parseDouble(dwell.replace(',', '.'))
                    : Double.NaN;
            if (!(seconds >= 1 && seconds <= 3600)) {
                throw new Refusal("dwell", Message.of("scan_form.not_accepted_expected_seconds", dwell));
            }
            return seconds;
        }

        Optional<ScanProgram> imported() {
            if (program.isEmpty()) {
                return Optional.empty();
            }
            if (program.length() > LONGEST) {
                throw new Refusal("program", Message.of("scan_form.program_longer_than_characters", LONGEST));
            }
            List<Problem> problems = new ArrayList<>();
            return Optional.of(ProgramText.read(program, problems).orElseThrow(() -> new Refusal(problems)));
        }
    }

    /** One reading that was taken. */
    record ReadView(int line, String sides, String shown, StepState state, boolean kept) {}

    /** The last scan of the test, or what its next one would do where there was none, or where that is asked for. */
    @GetMapping
    String page(@PathVariable long id, @RequestParam Map<String, String> fields, Model model) {
        return shown(
                runs.find(id),
                ScanForm.of(fields),
                fields.containsKey("next") ? Optional.empty() : jobs.last(id),
                model);
    }

    /** How far a scan is. */
    @GetMapping("/job")
    String job(@PathVariable long id, Model model) {
        RunSnapshot run = runs.find(id);
        model.addAttribute("run", run);
        ScanJobs.ScanJob last =
                jobs.last(id).orElseThrow(() -> new NotFound(Message.of("scan_controller.no_scan", id)));
        show(last, run.test(), model);
        return "scan/job";
    }

    @PostMapping("/stop")
    String stop(@PathVariable long id, Principal who, Model model) {
        jobs.stop(id, who.getName());
        return job(id, model);
    }

    @GetMapping("/program.csv")
    ResponseEntity<byte[]> program(@PathVariable long id, @RequestParam Map<String, String> fields) {
        RunSnapshot run = runs.find(id);
        String text =
                ProgramText.write(ScanProgram.of(run.test(), ScanForm.of(fields).dwellS()));
        String name = run.serial().replaceAll("[^A-Za-z0-9-]", "_") + "-program.csv";
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(text.getBytes(StandardCharsets.UTF_8));
    }

    /** A program of a file, or changed by hand, before it is carried out. */
    @PostMapping("/check")
    String check(@PathVariable long id, @RequestParam Map<String, String> fields, Model model) {
        return shown(runs.find(id), ScanForm.of(fields), Optional.empty(), model);
    }

    @PostMapping("/zeros")
    String zeros(@PathVariable long id, @RequestParam Map<String, String> fields, Model model) {
        ScanForm form = ScanForm.of(fields);
        ScanNulls zeros = scans.zeros(id, form.address());
        return shown(
                runs.find(id),
                new ScanForm(form.program(), zeros.text(), form.address(), form.dwell(), form.barriers()),
                Optional.empty(),
                model);
    }

    @PostMapping("/go")
    String go(@PathVariable long id, @RequestParam Map<String, String> fields, Principal who, Model model) {
        ScanForm form = ScanForm.of(fields);
        jobs.start(
                id,
                form.imported(),
                ScanNulls.of(form.zeros()),
                form.address(),
                form.dwellS(),
                form.barriers(),
                who.getName());
        return shown(runs.find(id), form, jobs.last(id), model);
    }

    private static String shown(RunSnapshot run, ScanForm form, Optional<ScanJobs.ScanJob> job, Model model) {
        TestRun test = run.test();
        Points points = Points.of(test.design().assembly());
        ScanProgram program = form.imported().orElseGet(() -> ScanProgram.of(test, form.dwellS()));
        model.addAttribute("run", run);
        model.addAttribute("form", form);
        model.addAttribute("secured", form.barriers() || Scans.isSecured(test));
        model.addAttribute("zeroed", zeroed(ScanNulls.of(form.zeros())));
        model.addAttribute("review", ReviewView.of(program, test.design()));
        model.addAttribute("empty", program.actions().isEmpty());
        model.addAttribute("text", ProgramText.write(program));
        model.addAttribute("stave", StaveDrawing.of(points, program));
        model.addAttribute("scanned", job.isPresent());
        job.ifPresent(each -> show(each, test, model));
        return "scan/scan";
    }

    private static void show(ScanJobs.ScanJob job, TestRun test, Model model) {
        String maximum = Words.say(
                "scan_controller.more_than",
                Message.figure(test.conditions().meter().topOhm(), "Ω"));
        model.addAttribute("job", job);
        model.addAttribute("left", test.left());
        model.addAttribute(
                "reads", job.reads().stream().map(each -> read(each, maximum)).toList());
        model.addAttribute(
                "made",
                StaveDrawing.of(
                        Points.of(test.design().assembly()),
                        job.reads().stream()
                                .sorted(Comparator.comparingInt(ScanJobs.NumberedReading::line))
                                .map(each -> each.reading().note())
                                .toList(),
                        job.count()));
    }

    private static String zeroed(ScanNulls zeros) {
        return zeros.areRead()
                ? Words.say(
                        "scan_controller.points_zeroed_what_left",
                        zeros.ohms().size(),
                        Message.figure(
                                zeros.ohms().stream()
                                        .mapToDouble(each -> each)
                                        .min()
                                        .orElse(0),
                                "Ω"),
                        Message.figure(
                                zeros.ohms().stream()
                                        .mapToDouble(each -> each)
                                        .max()
                                        .orElse(0),
                                "Ω"),
                        Message.figure(zeros.residual(), "Ω"))
                : "";
    }

    /** A row of the page; {@code maximum} is what an over-range mark says. */
    private static ReadView read(ScanJobs.NumberedReading numbered, String maximum) {
        ScanReading reading = numbered.reading();
        return new ReadView(
                numbered.line(),
                side(reading.a()) + " – " + side(reading.b()),
                reading.shown().equals("OL") ? maximum : reading.shown(),
                reading.within() ? StepState.PASS : StepState.FAIL,
                reading.kept());
    }

    private static String side(List<String> names) {
        return names.size() <= 3
                ? String.join(" ", names)
                : Words.say("scan_controller.more", names.get(0), names.size() - 1);
    }
}
