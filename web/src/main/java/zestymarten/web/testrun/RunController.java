package zestymarten.web.testrun;

import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import zestymarten.core.quantity.Message;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.StepState;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;

/** The run page and the fragments that keep it current. */
@Controller
@RequestMapping("/runs/{id}")
class RunController {
    private static final String WORK = "testrun/work";

    private final TestRuns runs;
    private final RunEntries entries;
    private final RunViews views;
    private final Speech speech;
    private final Taking taking;

    RunController(TestRuns runs, RunEntries entries, RunViews views, Speech speech, Taking taking) {
        this.speech = speech;
        this.taking = taking;
        this.runs = runs;
        this.entries = entries;
        this.views = views;
    }

    /** The step of a request, wherever one is named. */
    @ModelAttribute("stepForm")
    StepForm stepForm(
            @RequestParam(defaultValue = "") String stage,
            @RequestParam(defaultValue = "") String question,
            @RequestParam(defaultValue = "") String subject,
            @RequestParam(defaultValue = "") String black,
            @RequestParam(defaultValue = "") String red,
            @RequestParam(defaultValue = "") String state,
            @RequestParam(defaultValue = "") String ties) {
        return new StepForm(stage, question, subject, black, red, state, ties);
    }

    @GetMapping
    String page(
            @PathVariable long id,
            @ModelAttribute("stepForm") StepForm form,
            @CookieValue(name = "faces", defaultValue = "wire") String faces,
            Model model) {
        RunSnapshot run = runs.find(id);
        show(model, run, planned(run, form.named()), Optional.empty(), faces);
        model.addAttribute("token", UUID.randomUUID());
        model.addAttribute("takes", taking.takes(run));
        return "testrun/testrun";
    }

    /** Everything on the page but the slot, for the step that is due or the one that is named. */
    @GetMapping("/work")
    String work(
            @PathVariable long id,
            @ModelAttribute("stepForm") StepForm form,
            @CookieValue(name = "faces", defaultValue = "wire") String faces,
            Model model) {
        RunSnapshot run = runs.find(id);
        show(model, run, planned(run, form.named()), Optional.empty(), faces);
        return WORK;
    }

    /** The same for a mark of a measurement field, by its place in the stage. */
    @GetMapping("/mark")
    String mark(
            @PathVariable long id,
            @RequestParam Stage stage,
            @RequestParam int row,
            @RequestParam int column,
            @RequestParam int columns,
            @CookieValue(name = "faces", defaultValue = "wire") String faces,
            Model model) {
        RunSnapshot run = runs.find(id);
        long index = columns > 0
                ? (long) row * columns + column
                : triangleIndex(row, column, run.test().pieces().all().size());
        Optional<TestStep> step = run.test()
                .steps(stage)
                .filter(each -> columns > 0 || each instanceof TestStep.Measurement)
                .skip(Math.max(0, index))
                .findFirst();
        show(model, run, step, Optional.empty(), faces);
        return WORK;
    }

    /** The same for two terminals that the technician names, in whichever stage they are measured together. */
    @GetMapping("/touch")
    String measurement(
            @PathVariable long id,
            @RequestParam String black,
            @RequestParam String red,
            @CookieValue(name = "faces", defaultValue = "wire") String faces,
            Model model) {
        RunSnapshot run = runs.find(id);
        TestStep found = run.test()
                .between(StepForm.terminal(black), StepForm.terminal(red))
                .orElseThrow(() -> new Refusal("", Message.of("run_controller.no_step_this_test", black, red)));
        show(model, run, Optional.of(found), Optional.empty(), faces);
        return WORK;
    }

    /** The run as words and drawings, and as what is said aloud of it. */
    private void show(Model model, RunSnapshot run, Optional<TestStep> at, Optional<Entry> stays, String faces) {
        RunView view = views.view(run, at, stays, mating(faces));
        model.addAttribute("run", view);
        model.addAttribute("spoken", speech.of(view, run.test(), LocaleContextHolder.getLocale()));
    }

    private static long triangleIndex(int row, int column, int pieces) {
        long before = 0;
        for (int i = 0; i < row && i < pieces; i++) {
            before += pieces - 1 - i;
        }
        return before + column;
    }

    private static Optional<TestStep> planned(RunSnapshot run, Optional<TestStep> step) {
        return step.filter(run.test()::isPlanned);
    }

    private static boolean mating(String faces) {
        return faces.equals("mating");
    }

    /** 204 while nothing has changed since the page was made, 200 once something has. */
    @GetMapping("/pulse")
    ResponseEntity<Void> pulse(@PathVariable long id, @RequestParam String pulse) {
        return runs.hasChanged(id, pulse)
                ? ResponseEntity.ok().build()
                : ResponseEntity.noContent().build();
    }

    /** The next steps with how each answer would be judged, for a page that is without network. */
    @GetMapping(path = "/ahead", produces = "application/json")
    @ResponseBody
    Ahead ahead(@PathVariable long id) {
        return Ahead.of(runs.find(id), speech, LocaleContextHolder.getLocale());
    }

    /** What the meter shows at a step, as it would be typed. */
    @GetMapping(path = "/shown", produces = "text/plain")
    @ResponseBody
    String shown(@PathVariable long id, @ModelAttribute("stepForm") StepForm form) {
        return taking.taken(id, form.step());
    }

    /** How a text would be understood and judged, before it is kept. */
    @GetMapping("/understood")
    String understood(
            @PathVariable long id,
            @ModelAttribute("stepForm") StepForm form,
            @RequestParam(defaultValue = "") String typed,
            Model model) {
        RunSnapshot run = runs.find(id);
        TestStep step = form.step();
        boolean usable = !typed.isBlank() && run.test().isPlanned(step);
        model.addAttribute("preview", usable ? Preview.of(run.test(), step, typed) : Preview.NOTHING);
        return "testrun/understood";
    }

    @PostMapping("/entries")
    String enter(
            @PathVariable long id,
            @ModelAttribute("stepForm") StepForm form,
            @RequestParam UUID entry,
            @RequestParam("touch") int attempt,
            @RequestParam(defaultValue = "") String typed,
            @RequestParam(defaultValue = "-1") int meaning,
            @RequestParam(defaultValue = "") String where,
            @CookieValue(name = "faces", defaultValue = "wire") String faces,
            Principal who,
            HttpServletResponse response,
            Model model) {
        OptionalInt choice = meaning < 0 ? OptionalInt.empty() : OptionalInt.of(meaning);
        TestStep step = form.step();
        String answer = ManualStepWords.entered(step, typed);
        RunEntries.SentEntry sent = new RunEntries.SentEntry(entry, step, attempt, answer, choice, where);
        return answer(entries.enter(id, sent, who.getName()), faces, response, model);
    }

    @PostMapping("/skips")
    String skip(
            @PathVariable long id,
            @ModelAttribute("stepForm") StepForm form,
            @RequestParam UUID entry,
            @RequestParam("touch") int attempt,
            @RequestParam(defaultValue = "") String reason,
            @CookieValue(name = "faces", defaultValue = "wire") String faces,
            Principal who,
            HttpServletResponse response,
            Model model) {
        RunEntries.SentEntry sent = new RunEntries.SentEntry(entry, form.step(), attempt, reason, OptionalInt.empty());
        return answer(entries.skip(id, sent, who.getName()), faces, response, model);
    }

    private String answer(RunEntries.EntryAnswer answer, String faces, HttpServletResponse response, Model model) {
        if (answer instanceof RunEntries.EntryAnswer.MeaningQuestion question) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            response.setHeader("HX-Retarget", "#say");
            response.setHeader("HX-Reswap", "innerHTML");
            model.addAttribute("question", Words.say(question.ambiguous().question()));
            model.addAttribute(
                    "meanings",
                    question.ambiguous().candidates().stream()
                            .map(each -> Words.say(each.message()))
                            .toList());
            return "testrun/question";
        }
        RunEntries.EntryAnswer.EntryKept kept = (RunEntries.EntryAnswer.EntryKept) answer;
        RunSnapshot run = kept.run();
        boolean stays = run.test().isDone(kept.entry().step())
                && run.test().state(kept.entry().step()) != StepState.PASS
                && run.test().state(kept.entry().step()) != StepState.SKIPPED
                && kept.entry().content() instanceof Entry.Content.Reading;
        boolean again = !run.test().isDone(kept.entry().step());
        show(
                model,
                run,
                again ? Optional.of(kept.entry().step()) : Optional.empty(),
                stays ? Optional.of(kept.entry()) : Optional.empty(),
                faces);
        response.setHeader("HX-Trigger", "marten:kept");
        return WORK;
    }

    @PostMapping("/take-backs")
    String takeBack(
            @PathVariable long id,
            @RequestParam UUID entry,
            @CookieValue(name = "faces", defaultValue = "wire") String faces,
            Principal who,
            Model model) {
        RunSnapshot run = entries.takeBack(id, entry, who.getName());
        Optional<TestStep> step = run.test().entry(entry).map(Entry::step);
        show(model, run, planned(run, step), Optional.empty(), faces);
        return WORK;
    }

    @PostMapping("/end")
    ResponseEntity<Void> end(@PathVariable long id, Principal who) {
        runs.end(id, who.getName());
        return ResponseEntity.ok()
                .header("HX-Redirect", "/runs/" + id + "/record")
                .build();
    }
}
