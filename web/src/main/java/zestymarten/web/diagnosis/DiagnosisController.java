package zestymarten.web.diagnosis;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Subject;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.RepairRules;
import zestymarten.core.testrun.RunFinding;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.drawing.AssemblyDrawing;
import zestymarten.web.drawing.BandDrawing;
import zestymarten.web.platform.RecommendationWords;
import zestymarten.web.platform.Words;
import zestymarten.web.testrun.RunSnapshot;
import zestymarten.web.testrun.TestRuns;

/** What is wrong with a unit, as far as its run tells: each finding with its readings, and the wiring with its knots. */
@Controller
class DiagnosisController {
    private static final int SUSPECTS = 3;
    private static final int NEXT = 2;
    private static final int ALTERNATIVES = 4;
    private static final double LIKELY = 0.05;

    private final TestRuns runs;

    DiagnosisController(TestRuns runs) {
        this.runs = runs;
    }

    /** A finding as ready text. */
    record FindingView(
            String kind,
            String text,
            String conductors,
            Optional<String> wire,
            List<String> functionsLost,
            List<String> explains,
            String sure,
            List<String> alternatives,
            List<EvidenceView> evidence,
            List<RepairWayView> ways,
            List<String> minds,
            List<LengthView> remains,
            List<String> spares) {}

    /** A length of a broken wire that is to be read before a splice. */
    record LengthView(String code, String words) {}

    /** A way to put it right. */
    record RepairWayView(String code, String word) {}

    /** A reading behind a finding, on its band. */
    record EvidenceView(int sequence, String measurement, String typed, String reason, Optional<BandDrawing> band) {}

    /** A measurement still to make that would tell much for its time. */
    record NextView(String stage, String black, String red, String state, String why) {}

    /** What was seen at a connector, a joint or a stretch. */
    record SeenView(String at, String place, String words) {}

    /** What may be wrong, with its share. */
    record ExplanationView(String share, String text) {}

    @GetMapping("/runs/{id}/diagnosis")
    String wrong(@PathVariable long id, Model model) {
        RunSnapshot run = runs.find(id);
        TestRun test = run.test();
        List<RunFinding> findings = test.findings();
        model.addAttribute("run", run);
        model.addAttribute("left", test.left());
        model.addAttribute("token", UUID.randomUUID());
        model.addAttribute("unexplained", test.unexplained());
        model.addAttribute("complained", test.symptoms().isOfSomething());
        model.addAttribute("outcome", Words.say(test.outcome()));
        List<SeenView> seen = seen(test);
        model.addAttribute("seen", seen);
        model.addAttribute("parts", parts(test));
        model.addAttribute(
                "findings", findings.stream().map(found -> view(test, found)).toList());
        boolean goesOn = run.isUnderWay() && test.left() > 0;
        model.addAttribute("suspects", goesOn ? suspects(test) : List.of());
        model.addAttribute("next", goesOn ? next(test) : List.of());
        model.addAttribute(
                "drawing",
                AssemblyDrawing.of(
                        test.design().assembly(),
                        findings.stream().map(RunFinding::finding).toList(),
                        seen.stream().map(SeenView::at).toList()));
        return "diagnosis/diagnosis";
    }

    /** What was seen by eye, place by place. */
    private static List<SeenView> seen(TestRun test) {
        return test.steps(Stage.INSPECTION)
                .flatMap(step -> test.entriesOf(step).stream())
                .filter(entry -> entry.content() instanceof Entry.Content.Done done
                        && !done.words().isEmpty())
                .map(entry -> seen(((TestStep.ManualStep) entry.step()).subject(), Words.say(test.words(entry))))
                .toList();
    }

    private static SeenView seen(Subject place, String words) {
        return new SeenView(place.code(), Words.say(place.words()), words);
    }

    /** What another one could be tried for: parts, then connectors, that were not planned yet. */
    private static List<String> parts(TestRun test) {
        return Stream.concat(
                        test.design().assembly().components().stream().map(Component::id),
                        test.design().assembly().connectors().stream().map(Connector::id))
                .filter(each -> test.entriesOf(new TestStep.ManualStep(ManualAction.SUBSTITUTE, each))
                        .isEmpty())
                .toList();
    }

    /** What may be wrong besides nothing, where that is likelier than one in twenty. */
    private static List<ExplanationView> suspects(TestRun test) {
        return test.explanations().stream()
                .limit(SUSPECTS)
                .filter(each -> !each.faults().isEmpty() && each.probability() > LIKELY)
                .map(each ->
                        new ExplanationView(Math.round(100 * each.probability()) + " %", Words.say(each.message())))
                .toList();
    }

    private static List<NextView> next(TestRun test) {
        return test.best(NEXT).stream()
                .map(each -> new NextView(
                        each.measurement().stage().code(),
                        each.measurement().black().name(),
                        each.measurement().red().name(),
                        each.measurement().state(),
                        RecommendationWords.why(each.worth())))
                .toList();
    }

    private static FindingView view(TestRun test, RunFinding found) {
        RepairRules fitting = RepairRules.of(test.design(), found.finding());
        return new FindingView(
                Words.say(found.finding().word()),
                Words.say(found.finding().message()),
                subject(found),
                found.finding().conductors().stream().findFirst(),
                found.functionsLost(),
                test.explainedBy(found),
                found.certain()
                        ? ""
                        : Words.say(
                                "diagnosis_controller.about_likely_from_what", Math.round(100 * found.probability())),
                found.alternatives().stream()
                        .limit(ALTERNATIVES)
                        .map(each -> Words.say(each.message()))
                        .toList(),
                found.evidence().stream().map(entry -> evidence(test, entry)).toList(),
                fitting.ways().stream()
                        .map(each -> new RepairWayView(each.name(), Words.say(each.word())))
                        .toList(),
                Words.all(fitting.minds()),
                test.remainders(found.finding()).stream()
                        .filter(each -> !test.isDone(each))
                        .map(each -> new LengthView(
                                each.subject().code(), Words.say(each.subject().words())))
                        .toList(),
                fitting.ways().contains(Entry.Way.SPARE)
                                && found.finding().conductors().size() == 1
                        ? test.spares().stream().map(Conductor::id).toList()
                        : List.of());
    }

    /** What a repair of it concerns: its conductors, a length of one, else its part, else its terminals. */
    private static String subject(RunFinding found) {
        Finding finding = found.finding();
        if (finding instanceof Finding.SecondFault second) {
            return second.length().code();
        }
        List<String> names = finding.named().isEmpty()
                ? finding.terminals().stream().map(Terminal::name).toList()
                : finding.named();
        return String.join(" ", names);
    }

    private static EvidenceView evidence(TestRun test, Entry entry) {
        Optional<Judgement> judgement = test.judgement(entry);
        boolean figure = judgement.map(each -> each.correctedOhm().isPresent()).orElse(false);
        Optional<BandDrawing> band = figure && entry.step() instanceof TestStep.Measurement measurement
                ? Optional.of(BandDrawing.of(
                        test.expectation(measurement),
                        test.conditions().joinedBelowOhm(),
                        List.of(),
                        judgement.map(BandDrawing::place).orElse(OptionalDouble.empty())))
                : Optional.empty();
        return new EvidenceView(
                entry.sequence(),
                Words.say(entry.step().title()),
                Words.say(test.words(entry)),
                judgement.map(each -> Words.say(each.reason())).orElse(""),
                band);
    }
}
