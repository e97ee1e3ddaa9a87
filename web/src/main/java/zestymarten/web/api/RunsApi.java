package zestymarten.web.api;

import java.net.URI;
import java.security.Principal;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.UUID;
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
import zestymarten.core.job.Entry;
import zestymarten.core.job.Found;
import zestymarten.core.job.Job;
import zestymarten.core.judge.Judgement;
import zestymarten.core.meter.Conditions;
import zestymarten.core.plan.Approach;
import zestymarten.core.plan.Step;
import zestymarten.core.quantity.Understood;
import zestymarten.web.platform.Refused;
import zestymarten.web.run.Run;
import zestymarten.web.run.Runs;

/** Runs over HTTP: started, read into, asked what was found. */
@RestController
@RequestMapping("/api/v1/runs")
class RunsApi {
    private final Runs runs;

    RunsApi(Runs runs) {
        this.runs = runs;
    }

    /** Which unit to test, and how warm it is; all else is as in the account's last run, or as usual. */
    record Start(
            @Nullable Long assemblyId,
            @Nullable String serial,
            @Nullable Double ambientC) {}

    /**
     * A reading as posted.
     *
     * @param id made by the sender; posting it again stores it once
     * @param a the black probe's terminal; absent while the probes are held together
     * @param meaning which of the candidates of a question is meant, from 0
     */
    record Posted(
            @Nullable UUID id,
            @Nullable String a,
            @Nullable String b,
            @Nullable String asTyped,
            @Nullable Integer meaning) {}

    /** What became of a reading. */
    record Kept(
            UUID id, int sequence, String understood, OptionalDouble correctedOhm, String judgement, String reason) {}

    /** A run as it stands. */
    record Standing(
            long id,
            long assemblyId,
            int revision,
            String serial,
            String verdict,
            long touchesLeft,
            Optional<Due> due) {}

    /** The step that is due. */
    record Due(String stage, Optional<String> a, Optional<String> b, Optional<String> deed, Optional<String> subject) {}

    /** A finding in the open format. */
    record Told(
            String kind,
            List<String> conductors,
            List<String> terminals,
            String text,
            List<Integer> evidence,
            List<String> functionsLost) {}

    @PostMapping
    ResponseEntity<Standing> start(@RequestBody Start start, Principal who) {
        if (start.assemblyId() == null || start.serial() == null) {
            throw new Refused("assembly_id, serial", "Both are needed: which wiring, and the serial of the unit.");
        }
        double ambient = start.ambientC() == null ? Runs.USUAL.ambientC() : start.ambientC();
        if (!(ambient >= -80 && ambient <= 200)) {
            throw new Refused("ambient_c", "Read " + ambient + "; expected -80 to 200 °C.");
        }
        Conditions conditions =
                runs.lastConditions(who.getName()).orElse(Runs.USUAL).at(ambient);
        long id = runs.start(start.assemblyId(), start.serial(), conditions, Approach.QUICK, who.getName());
        return ResponseEntity.created(URI.create("/api/v1/runs/" + id)).body(standing(runs.find(id)));
    }

    @GetMapping("/{id}")
    ResponseEntity<Standing> one(@PathVariable long id) {
        Run run = runs.find(id);
        return ResponseEntity.ok().eTag("\"" + run.pulse() + "\"").body(standing(run));
    }

    private static Standing standing(Run run) {
        Job job = run.job();
        return new Standing(
                run.id(),
                run.revision().assemblyId(),
                run.revision().number(),
                run.serial(),
                job.outcome().word(),
                job.left(),
                job.current().map(RunsApi::due));
    }

    private static Due due(Step step) {
        return step.fold(
                probes -> new Due(code(probes.question().name()), none(), none(), none(), none()),
                touch -> new Due(
                        code(touch.stage().name()),
                        Optional.of(touch.black().name()),
                        Optional.of(touch.red().name()),
                        none(),
                        none()),
                act -> new Due(
                        code(act.stage().name()),
                        none(),
                        none(),
                        Optional.of(code(act.deed().name())),
                        Optional.of(act.subject())));
    }

    private static String code(String name) {
        return name.toLowerCase(Locale.ROOT);
    }

    private static Optional<String> none() {
        return Optional.empty();
    }

    @PostMapping("/{id}/readings")
    ResponseEntity<Kept> read(@PathVariable long id, @RequestBody Posted posted, Principal who) {
        if (posted.id() == null || posted.asTyped() == null) {
            throw new Refused("id, as_typed", "Both are needed: an identifier of your own making, and what was read.");
        }
        Job job = runs.find(id).job();
        Optional<Entry> before = job.entries().stream()
                .filter(entry -> entry.id().equals(posted.id()))
                .findFirst();
        Step step = before.map(Entry::step).orElseGet(() -> step(job, posted));
        int touch = before.map(Entry::touch).orElseGet(() -> job.nextTouch(step));
        OptionalInt meaning = posted.meaning() == null ? OptionalInt.empty() : OptionalInt.of(posted.meaning());
        Runs.Answer answer =
                runs.enter(id, new Runs.Sent(posted.id(), step, touch, posted.asTyped(), meaning), who.getName());
        if (answer instanceof Runs.Answer.Question question) {
            throw new Refused("as_typed", asked(question.ambiguous()));
        }
        Runs.Answer.Kept kept = (Runs.Answer.Kept) answer;
        return ResponseEntity.status(before.isPresent() ? 200 : 201)
                .body(kept(kept.run().job(), kept.entry()));
    }

    private static Step step(Job job, Posted posted) {
        if (posted.a() == null || posted.b() == null) {
            return job.current()
                    .filter(step -> !(step instanceof Step.Touch))
                    .orElseThrow(() -> new Refused("a, b", "Both are needed: the terminals of the two probes."));
        }
        return job.touch(terminal("a", posted.a()), terminal("b", posted.b()))
                .orElseThrow(() -> new Refused(
                        "a, b",
                        "Read '" + posted.a() + "' and '" + posted.b()
                                + "'; no step of this run touches those two together."));
    }

    private static Terminal terminal(String member, String name) {
        try {
            return Terminal.of(name);
        } catch (IllegalArgumentException e) {
            throw new Refused(member, String.valueOf(e.getMessage()));
        }
    }

    private static String asked(Understood.Ambiguous question) {
        return question.question() + " Post it again with 'meaning': "
                + String.join(
                        ", ",
                        java.util.stream.IntStream.range(
                                        0, question.candidates().size())
                                .mapToObj(i -> i + " for "
                                        + question.candidates().get(i).text())
                                .toList())
                + ".";
    }

    private static Kept kept(Job job, Entry entry) {
        Optional<Judgement> judgement = job.judgement(entry);
        return new Kept(
                entry.id(),
                entry.sequence(),
                job.told(entry),
                judgement.map(Judgement::correctedOhm).orElse(OptionalDouble.empty()),
                judgement.map(each -> each.verdict().word()).orElse("skipped"),
                judgement.map(Judgement::reason).orElse(""));
    }

    @GetMapping("/{id}/findings")
    List<Told> findings(@PathVariable long id) {
        return runs.find(id).job().findings().stream().map(RunsApi::told).toList();
    }

    private static Told told(Found found) {
        Finding finding = found.finding();
        return new Told(
                finding.kind(),
                finding.conductors(),
                finding.terminals().stream().map(Terminal::name).toList(),
                finding.text(),
                found.evidence().stream().map(Entry::sequence).toList(),
                found.functionsLost());
    }
}
