package zestymarten.web.testrun;

import java.nio.charset.StandardCharsets;
import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.quantity.Message;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.platform.Conflict;
import zestymarten.web.platform.Prints;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;

/** The run on paper: a job sheet with blanks, and the grid into which its readings are entered afterwards. */
@Controller
class GridController {
    /** More rows than this are entered a page at a time; a sheet of so many measurements is no help either. */
    private static final int MAX = 300;

    private final TestRuns runs;
    private final RunEntries entries;
    private final Assemblies assemblies;
    private final Plans plans;
    private final Prints prints;

    GridController(TestRuns runs, RunEntries entries, Assemblies assemblies, Plans plans, Prints prints) {
        this.runs = runs;
        this.entries = entries;
        this.assemblies = assemblies;
        this.plans = plans;
        this.prints = prints;
    }

    /**
     * A step that is still to do, with what was typed for it.
     *
     * @param key the step as it travels
     * @param meanings what the typed text may mean, where that was a question
     * @param trouble why it was not kept; empty if nothing was sent
     */
    record GridRow(
            String stage,
            String key,
            String step,
            String expects,
            String typed,
            List<String> meanings,
            String trouble) {}

    /** What was sent for a step and could not be kept. */
    private record GridLeft(String typed, List<String> meanings, String trouble) {
        static final GridLeft NOTHING = new GridLeft("", List.of(), "");
    }

    @GetMapping("/runs/{id}/grid")
    String grid(@PathVariable long id, Model model) {
        return shown(runs.find(id), Map.of(), 0, model);
    }

    @GetMapping("/runs/{id}/sheet.pdf")
    ResponseEntity<byte[]> sheet(@PathVariable long id) {
        RunSnapshot run = runs.find(id);
        return sheet(run.serial() + ", " + run.assembly(), run.test());
    }

    /** The sheet of a plan that is kept with an assembly, before there is a run of it. */
    @GetMapping("/assemblies/{id}/plans/{plan}/sheet.pdf")
    ResponseEntity<byte[]> sheet(@PathVariable long id, @PathVariable long plan) {
        KeptPlan kept = plans.find(id, plan);
        return sheet(assemblies.latest(id).assembly().name() + ", " + kept.name(), runs.planned(id, kept));
    }

    private ResponseEntity<byte[]> sheet(String title, TestRun test) {
        byte[] pdf = prints.pdf("testrun/sheet", Map.of("title", title, "rows", rows(test, Map.of())));
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_PDF).body(pdf);
    }

    /** Keeps what can be kept, in the order of the job; what cannot stays in its row with the reason. */
    @PostMapping("/runs/{id}/grid")
    String enter(
            @PathVariable long id,
            @RequestParam UUID token,
            @RequestParam List<String> key,
            @RequestParam List<String> typed,
            @RequestParam List<Integer> meaning,
            Principal who,
            Model model) {
        if (key.size() != typed.size() || key.size() != meaning.size()) {
            throw new Refusal("", Message.of("grid_controller.page_sent_grid_that"));
        }
        Map<String, GridLeft> left = new java.util.HashMap<>();
        int kept = 0;
        for (int i = 0; i < key.size(); i++) {
            String text = typed.get(i).strip();
            if (!text.isEmpty()) {
                GridLeft trouble = enter(id, token, key.get(i), text, meaning.get(i), who.getName());
                left.put(key.get(i), trouble);
                kept += trouble.trouble().isEmpty() ? 1 : 0;
            }
        }
        left.values().removeIf(each -> each.trouble().isEmpty());
        return shown(runs.find(id), left, kept, model);
    }

    private GridLeft enter(long id, UUID token, String key, String text, int meaning, String by) {
        TestStep step = StepForm.of(key).step();
        UUID entry = UUID.nameUUIDFromBytes((token + key + text + meaning).getBytes(StandardCharsets.UTF_8));
        boolean ticked =
                step instanceof TestStep.ManualStep manual && manual.action().isByWords() && isTick(text);
        try {
            int attempt = runs.find(id).test().nextAttempt(step);
            OptionalInt choice = meaning < 0 ? OptionalInt.empty() : OptionalInt.of(meaning);
            RunEntries.EntryAnswer answer =
                    entries.enter(id, new RunEntries.SentEntry(entry, step, attempt, ticked ? "" : text, choice), by);
            if (answer instanceof RunEntries.EntryAnswer.MeaningQuestion question) {
                return new GridLeft(
                        text,
                        question.ambiguous().candidates().stream()
                                .map(each -> Words.say(each.message()))
                                .toList(),
                        Words.say(question.ambiguous().question()));
            }
            return GridLeft.NOTHING;
        } catch (Refusal | Conflict e) {
            return new GridLeft(text, List.of(), String.valueOf(e.getMessage()));
        }
    }

    /** How a box is ticked on paper. */
    private static boolean isTick(String text) {
        return List.of("x", "ok", "done", "yes").contains(text.toLowerCase(java.util.Locale.ROOT));
    }

    private static String shown(RunSnapshot run, Map<String, GridLeft> left, int kept, Model model) {
        model.addAttribute("run", run);
        model.addAttribute("rows", rows(run.test(), left));
        model.addAttribute("kept", kept);
        model.addAttribute("all", run.test().left());
        model.addAttribute("token", UUID.randomUUID());
        return "testrun/grid";
    }

    private static List<GridRow> rows(TestRun test, Map<String, GridLeft> left) {
        List<GridRow> rows = new ArrayList<>();
        test.undone().limit(MAX).forEach(step -> {
            String key = StepForm.of(step).key();
            GridLeft here = left.getOrDefault(key, GridLeft.NOTHING);
            rows.add(new GridRow(
                    Words.say(step.stage().title()),
                    key,
                    words(test, step),
                    expects(test, step),
                    here.typed(),
                    here.meanings(),
                    here.trouble()));
        });
        return rows;
    }

    private static String words(TestRun test, TestStep step) {
        return step.fold(
                probes -> Words.say(probes.title()),
                measurement -> (measurement.state().isEmpty() ? "" : "'" + measurement.state() + "': ")
                        + Words.say(measurement.title()),
                manual -> ManualStepWords.of(test, manual).sentence());
    }

    private static String expects(TestRun test, TestStep step) {
        return step instanceof TestStep.Measurement measurement
                ? test.expectation(measurement)
                        .fold(
                                joined -> Words.say(
                                        "grid_controller.maximum",
                                        joined.limit().high()),
                                () -> Words.say("grid_controller.apart"))
                : "";
    }
}
