package zestymarten.web.testrun;

import java.nio.charset.StandardCharsets;
import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriUtils;
import zestymarten.core.quantity.Message;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.RecordedSymptoms;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.platform.Refusal;

/** What is entered beside the steps of a run: the symptoms, a repair, the list of what is to be restored. */
@Controller
@RequestMapping("/runs/{id}")
class AsideController {
    private static final int LONGEST_NAME = 60;

    /** What is entered with a name, and what is asked where the name is missing. */
    private static final Map<ManualAction, Message> NAMED = Map.of(
            ManualAction.ACCESSORIES,
            Message.of("aside_controller.accessories"),
            ManualAction.POSITION_NAMED,
            Message.of("aside_controller.position"));

    private final TestRuns runs;
    private final RunEntries entries;

    AsideController(TestRuns runs, RunEntries entries) {
        this.runs = runs;
        this.entries = entries;
    }

    /** A function of the machine with what was entered for it. */
    record FunctionView(String name, String field, String entered) {}

    @GetMapping("/complaint")
    String symptoms(@PathVariable long id, Model model) {
        RunSnapshot run = runs.find(id);
        model.addAttribute("run", run);
        model.addAttribute("answers", ManualStepWords.symptoms(0));
        model.addAttribute("functions", functions(run.test()));
        model.addAttribute("token", UUID.randomUUID());
        return "testrun/complaint";
    }

    private static List<FunctionView> functions(TestRun test) {
        List<FunctionView> views = new ArrayList<>();
        for (String function : test.plan().functions()) {
            views.add(new FunctionView(function, "f" + views.size(), entered(test, function)));
        }
        return views;
    }

    private static String entered(TestRun test, String function) {
        List<Entry> entered = test.entriesOf(new TestStep.ManualStep(ManualAction.SYMPTOM, function));
        return entered.isEmpty()
                ? RecordedSymptoms.codes().get(0)
                : entered.get(entered.size() - 1).content() instanceof Entry.Content.Done done ? done.words() : "";
    }

    /** Keeps what changed; the token of the form makes it harmless to send it twice. */
    @PostMapping("/complaint")
    String tell(
            @PathVariable long id, @RequestParam UUID token, @RequestParam Map<String, String> answers, Principal who) {
        TestRun test = runs.find(id).test();
        for (FunctionView function : functions(test)) {
            String word = answers.getOrDefault(function.field(), function.entered());
            if (!word.equals(function.entered())) {
                TestStep step = new TestStep.ManualStep(ManualAction.SYMPTOM, function.name());
                entries.enter(id, sent(token, step, test.nextAttempt(step), word), who.getName());
            }
        }
        return "redirect:/runs/" + id;
    }

    private static RunEntries.SentEntry sent(UUID token, TestStep step, int attempt, String words) {
        UUID entry = UUID.nameUUIDFromBytes((token + " " + step).getBytes(StandardCharsets.UTF_8));
        return new RunEntries.SentEntry(entry, step, attempt, words, OptionalInt.empty());
    }

    /** A repair, with the readings of what remains of a broken wire where they were taken for it. */
    @PostMapping("/repairs")
    String repair(
            @PathVariable long id,
            @RequestParam UUID token,
            @RequestParam String subject,
            @RequestParam Entry.Way way,
            @RequestParam(defaultValue = "") String cause,
            @RequestParam(defaultValue = "") String prevention,
            @RequestParam(defaultValue = "") String spare,
            @RequestParam(defaultValue = "") String colour,
            @RequestParam(defaultValue = "") List<String> length,
            @RequestParam(name = "length_ohm", defaultValue = "") List<String> lengthOhm,
            Principal who) {
        List<RunEntries.SentEntry> remains = new ArrayList<>();
        TestRun test = runs.find(id).test();
        for (int i = 0; i < Math.min(length.size(), lengthOhm.size()); i++) {
            if (!lengthOhm.get(i).isBlank()) {
                TestStep remaining = new TestStep.ManualStep(ManualAction.REMAINING, length.get(i));
                remains.add(sent(token, remaining, test.nextAttempt(remaining), lengthOhm.get(i)));
            }
        }
        String carries = way == Entry.Way.SPARE ? spare : "";
        String both = carries.isEmpty() ? subject : subject + " " + carries;
        TestStep step = new TestStep.ManualStep(ManualAction.REPAIR, both);
        int attempt = test.nextAttempt(step);
        Entry.Content.Repair repair =
                new Entry.Content.Repair(way, cause.strip(), prevention.strip(), carries, colour.strip());
        boolean kept = entries.repair(id, remains, sent(token, step, attempt, ""), repair, who.getName());
        return "redirect:/runs/" + id + (kept ? "" : "/diagnosis");
    }

    /** What changes the steps after it: other clips, a meter that drifts, a position, shorts by halves, the purpose. */
    @PostMapping("/asides")
    String aside(
            @PathVariable long id,
            @RequestParam UUID token,
            @RequestParam ManualAction action,
            @RequestParam(defaultValue = "") String what,
            Principal who) {
        String subject = what.strip();
        boolean purpose = action == ManualAction.PURPOSE;
        boolean named = NAMED.containsKey(action);
        if (!named && !purpose && action != ManualAction.ZERO_DRIFTS && action != ManualAction.HALVES) {
            throw new Refusal("", Message.of("aside_controller.page_sent_something_that"));
        }
        if (named && (subject.isEmpty() || subject.length() > LONGEST_NAME)) {
            throw new Refusal(
                    "",
                    Message.of(
                            "aside_controller.you_entered_characters_most",
                            NAMED.getOrDefault(action, Message.NONE),
                            subject.length(),
                            LONGEST_NAME));
        }
        TestStep step = new TestStep.ManualStep(action, named ? subject : "");
        int attempt = runs.find(id).test().nextAttempt(step);
        entries.enter(id, sent(token, step, attempt, purpose ? subject : ""), who.getName());
        return "redirect:/runs/" + id;
    }

    /** Another part is to be tried in the place of one. */
    @PostMapping("/substitutes")
    String substitute(
            @PathVariable long id,
            @RequestParam UUID token,
            @RequestParam String part,
            @RequestParam String minutes,
            Principal who) {
        TestStep step = new TestStep.ManualStep(ManualAction.SUBSTITUTE, part.strip());
        int attempt = runs.find(id).test().nextAttempt(step);
        entries.enter(id, sent(token, step, attempt, minutes.strip()), who.getName());
        String first = UriUtils.encodeQueryParam(part.strip(), StandardCharsets.UTF_8);
        return "redirect:/runs/" + id + "?stage=REPAIR&question=" + ManualAction.REPLUGGED + "&subject=" + first;
    }

    /** Something that was opened, taken off or linked, and has to be put back. */
    @PostMapping("/ledger")
    String open(@PathVariable long id, @RequestParam UUID token, @RequestParam String what, Principal who) {
        String subject = what.strip();
        if (subject.isEmpty() || subject.length() > 80) {
            throw new Refusal("", Message.of("aside_controller.enter_few_words_what"));
        }
        TestStep step = new TestStep.ManualStep(ManualAction.OPENED, FormerSubjects.now(ManualAction.OPENED, subject));
        int attempt = runs.find(id).test().nextAttempt(step);
        entries.enter(id, sent(token, step, attempt, ""), who.getName());
        return "redirect:/runs/" + id;
    }
}
