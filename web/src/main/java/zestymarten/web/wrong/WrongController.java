package zestymarten.web.wrong;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import zestymarten.core.job.Entry;
import zestymarten.core.job.Found;
import zestymarten.core.job.Job;
import zestymarten.core.judge.Judgement;
import zestymarten.core.plan.Step;
import zestymarten.web.drawing.BandDrawing;
import zestymarten.web.drawing.WiringDrawing;
import zestymarten.web.run.Run;
import zestymarten.web.run.Runs;

/** What is wrong with a unit, as far as its run tells: each finding with its readings, and the wiring with its knots. */
@Controller
class WrongController {
    private final Runs runs;

    WrongController(Runs runs) {
        this.runs = runs;
    }

    /** A finding as ready text. */
    record FindingView(
            String kind, String text, String conductors, List<String> functionsLost, List<EvidenceView> evidence) {}

    /** A reading behind a finding, on its band. */
    record EvidenceView(int sequence, String touch, String typed, String reason, Optional<BandDrawing> band) {}

    /** A touch that would tell a swap from two breaks. */
    record CrossView(String stage, String black, String red) {}

    @GetMapping("/runs/{id}/wrong")
    String wrong(@PathVariable long id, Model model) {
        Run run = runs.find(id);
        Job job = run.job();
        List<Found> findings = job.findings();
        model.addAttribute("run", run);
        model.addAttribute("left", job.left());
        model.addAttribute("outcome", job.outcome().word());
        model.addAttribute(
                "findings", findings.stream().map(found -> view(job, found)).toList());
        model.addAttribute(
                "cross",
                job.crosswise().stream()
                        .limit(6)
                        .map(touch -> new CrossView(
                                touch.stage().name(),
                                touch.black().name(),
                                touch.red().name()))
                        .toList());
        model.addAttribute(
                "drawing",
                WiringDrawing.of(
                        run.revision().assembly(),
                        findings.stream().map(Found::finding).toList()));
        return "wrong/wrong";
    }

    private static FindingView view(Job job, Found found) {
        return new FindingView(
                found.finding().kind().replace('_', ' '),
                found.finding().text(),
                String.join(" ", found.finding().conductors()),
                found.functionsLost(),
                found.evidence().stream().map(entry -> evidence(job, entry)).toList());
    }

    private static EvidenceView evidence(Job job, Entry entry) {
        Optional<Judgement> judgement = job.judgement(entry);
        boolean figure = judgement.map(each -> each.correctedOhm().isPresent()).orElse(false);
        Optional<BandDrawing> band = figure && entry.step() instanceof Step.Touch touch
                ? Optional.of(BandDrawing.of(
                        job.expectation(touch),
                        job.conditions().joinedBelowOhm(),
                        List.of(),
                        judgement.map(BandDrawing::place).orElse(OptionalDouble.empty())))
                : Optional.empty();
        return new EvidenceView(
                entry.sequence(),
                entry.step().fold(probes -> "probes", touch -> touch.black() + " – " + touch.red()),
                job.told(entry),
                judgement.map(Judgement::reason).orElse(""),
                band);
    }
}
