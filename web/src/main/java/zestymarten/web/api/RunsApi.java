package zestymarten.web.api;

import java.net.URI;
import java.security.Principal;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.Problem;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.RunFinding;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;
import zestymarten.web.testrun.RunEntries;
import zestymarten.web.testrun.RunSnapshot;
import zestymarten.web.testrun.TestOptionsForm;
import zestymarten.web.testrun.TestRuns;

/** Runs over HTTP: started, read into, asked what was found. */
@RestController
@RequestMapping("/api/v1/runs")
class RunsApi {
    private final TestRuns runs;
    private final RunEntries entries;
    private final Assemblies assemblies;

    RunsApi(TestRuns runs, RunEntries entries, Assemblies assemblies) {
        this.assemblies = assemblies;
        this.runs = runs;
        this.entries = entries;
    }

    /**
     * Which unit to test, and how warm it is; meter and rules are as in the account's last run, or as usual.
     *
     * @param approach how to go about it, by the fields of {@link TestOptionsForm}; resistance alone if it is absent
     */
    record StartPosted(
            @Nullable Long assemblyId,
            @Nullable String serial,
            @Nullable Double ambientC,
            @Nullable Map<String, String> approach) {}

    /**
     * A reading as posted.
     *
     * @param id made by the sender; posting it again stores it once
     * @param a the black probe's terminal; absent while the probes are held together, and for a manual step
     * @param meaning which of the candidates of a question is meant, from 0
     * @param deed something done or looked at, by its name as the due step gives it, with its subject; as_typed is then what
     *     is said of it, empty where it is done or as it should be
     * @param skipReason why the step is left out; as_typed is then absent
     */
    record PostedEntry(
            @Nullable UUID id,
            @Nullable String a,
            @Nullable String b,
            @Nullable String asTyped,
            @Nullable Integer meaning,
            @Nullable String deed,
            @Nullable String subject,
            @Nullable String skipReason) {}

    /** What became of a reading. */
    record KeptAnswer(
            UUID id, int sequence, String understood, OptionalDouble correctedOhm, String judgement, String reason) {}

    /** A run as it stands. */
    record RunState(
            long id,
            long assemblyId,
            int revision,
            String serial,
            String verdict,
            long touchesLeft,
            Optional<Due> due) {}

    /**
     * The step that is due, with everything that it takes to carry it out.
     *
     * @param setup groups of terminals that are linked for it
     * @param quantity what is read: resistance, insulation, leakage or forward_voltage
     */
    record Due(
            String stage,
            Optional<String> a,
            Optional<String> b,
            Optional<String> state,
            List<List<String>> setup,
            Optional<String> quantity,
            OptionalDouble testV,
            Optional<String> deed,
            Optional<String> subject) {}

    /** A finding in the open format. */
    record FindingAnswer(
            String kind,
            List<String> conductors,
            List<String> components,
            List<String> terminals,
            double probability,
            boolean certain,
            List<String> alternatives,
            String text,
            List<Integer> evidence,
            List<String> functionsLost) {}

    @PostMapping
    ResponseEntity<RunState> start(@RequestBody StartPosted start, Principal who) {
        if (start.assemblyId() == null || start.serial() == null) {
            throw new Refusal("assembly_id, serial", Message.of("runs_api.both_needed_which_assembly"));
        }
        double ambient = start.ambientC() == null ? TestRuns.USUAL.ambientC() : start.ambientC();
        if (!(ambient >= -80 && ambient <= 200)) {
            throw new Refusal("ambient_c", Message.of("runs_api.read_expected", Message.figure(ambient, "")));
        }
        TestConditions conditions =
                runs.lastConditions(who.getName()).orElse(TestRuns.USUAL).at(ambient);
        long id = runs.start(start.assemblyId(), start.serial(), conditions, approach(start), who.getName());
        return ResponseEntity.created(URI.create("/api/v1/runs/" + id)).body(runState(runs.find(id)));
    }

    private TestOptions approach(StartPosted start) {
        if (start.approach() == null) {
            return TestOptions.QUICK;
        }
        List<Problem> problems = start.approach().keySet().stream()
                .filter(each -> !TestOptionsForm.NAMES.contains(each))
                .sorted()
                .map(each -> new Problem(
                        "approach." + each,
                        Message.of(
                                "runs_api.not_known_here_expected",
                                TestOptionsForm.NAMES.stream().sorted().collect(Collectors.joining(", ")))))
                .toList();
        if (!problems.isEmpty()) {
            throw new Refusal(problems);
        }
        return new TestOptionsForm(start.approach())
                .approach(assemblies
                        .latest(Objects.requireNonNull(start.assemblyId()))
                        .assembly());
    }

    @GetMapping("/{id}")
    ResponseEntity<RunState> one(@PathVariable long id) {
        RunSnapshot run = runs.find(id);
        return ResponseEntity.ok().eTag("\"" + run.pulse() + "\"").body(runState(run));
    }

    private static RunState runState(RunSnapshot run) {
        TestRun test = run.test();
        return new RunState(
                run.id(),
                run.revision().assemblyId(),
                run.revision().number(),
                run.serial(),
                test.outcome().code(),
                test.remaining().measurements(),
                test.current().map(step -> due(test, step)));
    }

    private static Due due(TestRun test, TestStep step) {
        return step.fold(
                probes -> withoutProbes(code(probes.question().name()), none(), none()),
                measurement -> new Due(
                        code(measurement.stage().code()),
                        Optional.of(measurement.black().name()),
                        Optional.of(measurement.red().name()),
                        Optional.of(
                                measurement.state().isEmpty()
                                        ? test.design()
                                                .assembly()
                                                .states()
                                                .get(0)
                                                .id()
                                        : measurement.state()),
                        measurement.links().stream()
                                .map(link -> link.stream().map(Terminal::name).toList())
                                .toList(),
                        Optional.of(test.quantity(measurement).code()),
                        test.testV(measurement),
                        none(),
                        none()),
                manual -> withoutProbes(
                        code(manual.stage().code()),
                        Optional.of(code(manual.action().code())),
                        Optional.of(manual.subject().code())));
    }

    private static Due withoutProbes(String stage, Optional<String> deed, Optional<String> subject) {
        return new Due(stage, none(), none(), none(), List.of(), none(), OptionalDouble.empty(), deed, subject);
    }

    private static String code(String name) {
        return name.toLowerCase(Locale.ROOT);
    }

    private static Optional<String> none() {
        return Optional.empty();
    }

    @PostMapping("/{id}/readings")
    ResponseEntity<KeptAnswer> read(@PathVariable long id, @RequestBody PostedEntry posted, Principal who) {
        if (posted.id() == null || (posted.asTyped() == null) == (posted.skipReason() == null)) {
            throw new Refusal("id, as_typed", Message.of("runs_api.both_needed_identifier_your"));
        }
        TestRun test = runs.find(id).test();
        Optional<Entry> before = test.entry(posted.id());
        TestStep step =
                before.map(Entry::step).filter(kept -> isOf(kept, posted)).orElseGet(() -> step(test, posted));
        int attempt = before.map(Entry::attempt).orElseGet(() -> test.nextAttempt(step));
        OptionalInt meaning = posted.meaning() == null ? OptionalInt.empty() : OptionalInt.of(posted.meaning());
        String said = posted.asTyped() == null ? Objects.requireNonNull(posted.skipReason()) : posted.asTyped();
        RunEntries.SentEntry sent = new RunEntries.SentEntry(posted.id(), step, attempt, said, meaning);
        RunEntries.EntryAnswer answer = posted.asTyped() == null
                ? entries.skip(id, sent, who.getName())
                : entries.enter(id, sent, who.getName());
        if (answer instanceof RunEntries.EntryAnswer.MeaningQuestion question) {
            throw new Refusal("as_typed", asked(question.ambiguous()));
        }
        RunEntries.EntryAnswer.EntryKept kept = (RunEntries.EntryAnswer.EntryKept) answer;
        return ResponseEntity.status(before.isPresent() ? 200 : 201)
                .body(kept(kept.run().test(), kept.entry()));
    }

    /** Whether what is posted may be the same again: between the same terminals, or of the same manual step. */
    private static boolean isOf(TestStep kept, PostedEntry posted) {
        if (posted.a() == null || posted.b() == null) {
            return posted.deed() == null || kept instanceof TestStep.ManualStep;
        }
        return kept instanceof TestStep.Measurement measurement
                && measurement.isOn(terminal("a", posted.a()))
                && measurement.isOn(terminal("b", posted.b()));
    }

    private static TestStep step(TestRun test, PostedEntry posted) {
        if (posted.deed() != null) {
            return manualStep(posted.deed(), posted.subject() == null ? "" : posted.subject());
        }
        if (posted.a() == null || posted.b() == null) {
            return test.current()
                    .filter(step -> !(step instanceof TestStep.Measurement))
                    .orElseThrow(() -> new Refusal("a, b", Message.of("runs_api.both_needed_terminals_two")));
        }
        Terminal a = terminal("a", posted.a());
        Terminal b = terminal("b", posted.b());
        return test.current()
                .filter(step -> step instanceof TestStep.Measurement due
                        && due.isOn(a)
                        && due.isOn(b)
                        && !a.equals(b)
                        && (!due.isOnDiodeRange() || due.black().equals(a)))
                .or(() -> test.between(a, b))
                .orElseThrow(() -> new Refusal(
                        "a, b",
                        Message.of(
                                "runs_api.no_step_this_test", String.valueOf(posted.a()), String.valueOf(posted.b()))));
    }

    private static TestStep manualStep(String name, String subject) {
        return Stream.of(ManualAction.values())
                .filter(each -> code(each.name()).equals(name) && each.answer() != ManualAction.AnswerKind.REPAIR)
                .findFirst()
                .map(each -> new TestStep.ManualStep(each, subject))
                .orElseThrow(() -> new Refusal("deed", Message.of("runs_api.not_accepted_expected_manual", name)));
    }

    private static Terminal terminal(String member, String name) {
        try {
            return Terminal.of(name);
        } catch (NotAccepted e) {
            throw new Refusal(member, e.what());
        }
    }

    private static Message asked(MeterReading.Ambiguous question) {
        List<Message> meanings = IntStream.range(0, question.candidates().size())
                .mapToObj(i ->
                        Message.of("runs_api.meaning", i, question.candidates().get(i)))
                .toList();
        return Message.of(
                "runs_api.asked", question.question(), Message.list(MessageArgument.Listing.Link.COMMA, meanings));
    }

    private static KeptAnswer kept(TestRun test, Entry entry) {
        Optional<Judgement> judgement = test.judgement(entry);
        return new KeptAnswer(
                entry.id(),
                entry.sequence(),
                Words.say(test.words(entry)),
                judgement.map(Judgement::correctedOhm).orElse(OptionalDouble.empty()),
                judgement.map(each -> each.verdict().code()).orElse("skipped"),
                judgement.map(each -> Words.say(each.reason())).orElse(""));
    }

    @GetMapping("/{id}/findings")
    List<FindingAnswer> findings(@PathVariable long id) {
        return runs.find(id).test().findings().stream().map(RunsApi::answer).toList();
    }

    private static FindingAnswer answer(RunFinding found) {
        Finding finding = found.finding();
        return new FindingAnswer(
                finding.kind(),
                finding.conductors(),
                finding instanceof Finding.PartAtFault ? finding.named() : List.of(),
                finding.terminals().stream().map(Terminal::name).toList(),
                found.probability(),
                found.certain(),
                found.alternatives().stream()
                        .map(each -> Words.say(each.message()))
                        .toList(),
                Words.say(finding.message()),
                found.evidence().stream().map(Entry::sequence).toList(),
                found.functionsLost());
    }
}
