package zestymarten.web.run;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Colour;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.job.Entry;
import zestymarten.core.job.Found;
import zestymarten.core.job.Job;
import zestymarten.core.job.StepState;
import zestymarten.core.judge.Expectation;
import zestymarten.core.judge.Judgement;
import zestymarten.core.meter.Conditions;
import zestymarten.core.plan.Stage;
import zestymarten.core.plan.Step;
import zestymarten.core.quantity.Engineering;
import zestymarten.web.drawing.BandDrawing;
import zestymarten.web.drawing.FieldDrawing;
import zestymarten.web.drawing.StepDrawing;

/** Puts a run into words and drawings for its page. */
@Component
class RunViews {
    private static final int LAST_SHOWN = 5;
    private static final int NEIGHBOURS = 2;

    /**
     * The page of a run.
     *
     * @param at the step to show; the one that is due if empty
     * @param stays the entry whose result stays on the page
     */
    RunView view(Run run, Optional<Step> at, Optional<Entry> stays, boolean mating) {
        Job job = run.job();
        Optional<Step> current = run.isUnderWay() ? at.or(job::current) : Optional.empty();
        Optional<Step> shown = stays.map(Entry::step).or(() -> current);
        long left = job.left();
        long all = Stream.of(Stage.values()).mapToLong(job::size).sum();
        List<Found> findings = job.findings();
        return new RunView(
                run.id(),
                run.serial(),
                run.assembly(),
                run.revision().assemblyId(),
                run.revision().number(),
                meter(job.conditions()),
                Engineering.figure(job.conditions().ambientC()) + " °C",
                run.pulse(),
                run.isUnderWay(),
                job.current().isEmpty(),
                left == 1 ? "1 touch left" : left + " touches left",
                minutes(job.secondsLeft()),
                all == 0 ? 100 : (int) (100 * (all - left) / all),
                stages(job, shown),
                shown.map(step -> step(job, step, stays, mating)),
                stays.map(entry -> result(job, entry)),
                last(job),
                job.last().map(entry -> entry.id().toString()),
                findings.stream().map(Found::finding).map(Finding::text).toList(),
                proposals(job),
                run.ended().map(end -> end.outcome().word()).orElse(""));
    }

    private static String meter(Conditions conditions) {
        String leads = conditions.leadsOhm().isPresent()
                ? ", leads " + Engineering.text(conditions.leadsOhm().getAsDouble(), "Ω") + ": "
                        + conditions.policy().words()
                : ", leads not read yet";
        return conditions.meter().name() + leads;
    }

    private static String minutes(double seconds) {
        long minutes = (long) Math.ceil(seconds / 60);
        return minutes <= 1 ? (minutes == 0 ? "0 min" : "about 1 min") : "about " + minutes + " min";
    }

    private static List<RunView.StageView> stages(Job job, Optional<Step> shown) {
        List<RunView.StageView> views = new ArrayList<>();
        Optional<Stage> now = shown.map(Step::stage);
        for (Stage stage : Stage.values()) {
            long size = job.size(stage);
            long left = job.left(stage);
            boolean isNow = now.equals(Optional.of(stage));
            String state = isNow ? "now" : left == 0 ? "done" : "todo";
            views.add(new RunView.StageView(
                    stage.name(),
                    stage.title(),
                    (size - left) + " of " + size,
                    state,
                    isNow && stage != Stage.METER ? FieldDrawing.of(job, stage, shown) : Optional.empty()));
        }
        return views;
    }

    private static RunView.StepView step(Job job, Step step, Optional<Entry> stays, boolean mating) {
        return step.fold(probes -> probes(job, probes), touch -> touch(job, touch, stays, mating));
    }

    private static RunView.StepView probes(Job job, Step.Probes probes) {
        boolean tone = probes.question() == Step.Probes.Question.TONE;
        return new RunView.StepView(
                Stage.METER.name(),
                probes.question().name(),
                "",
                "",
                job.nextTouch(probes),
                tone
                        ? new RunView.Sentence("Hold the probes together. Does it sound?", "", "", "", "")
                        : new RunView.Sentence("Still together: what do the leads read?", "", "", "", ""),
                tone
                        ? "Press b if it sounds, n if it stays silent. A meter that is silent now would call every wire open."
                        : "The leads' own ohms are in every reading. In this run "
                                + job.conditions().policy().words() + ". Flex the leads: the figure must not move.",
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of());
    }

    private static RunView.StepView touch(Job job, Step.Touch touch, Optional<Entry> stays, boolean mating) {
        Assembly assembly = job.design().assembly();
        List<Conductor> route = job.design().nets().route(touch.black(), touch.red());
        OptionalDouble reading =
                stays.flatMap(job::judgement).map(BandDrawing::place).orElse(OptionalDouble.empty());
        return new RunView.StepView(
                touch.stage().name(),
                "",
                touch.black().name(),
                touch.red().name(),
                job.nextTouch(touch),
                new RunView.Sentence(
                        "Black on ",
                        touch.black().name(),
                        ", red on ",
                        touch.red().isFrame() ? "the frame" : touch.red().name(),
                        "."),
                why(job, touch, route),
                asks(job, touch),
                Optional.of(StepDrawing.of(assembly, touch, route, mating)),
                Optional.of(band(job, touch, reading)),
                Stream.of(pad(assembly, "black", touch.black()), pad(assembly, "red", touch.red()))
                        .toList());
    }

    /** The band of a touch with the like readings of its stage, and a reading on it. */
    static BandDrawing band(Job job, Step.Touch touch, OptionalDouble reading) {
        List<Double> like = job.entries().stream()
                .filter(entry -> entry.stands()
                        && entry.step().stage() == touch.stage()
                        && !entry.step().equals(touch))
                .flatMap(entry -> job.judgement(entry).stream())
                .filter(judgement -> judgement.correctedOhm().isPresent())
                .map(judgement -> judgement.correctedOhm().getAsDouble())
                .toList();
        return BandDrawing.of(
                job.expectation(touch),
                job.conditions().joinedBelowOhm(),
                like.subList(Math.max(0, like.size() - 60), like.size()),
                reading);
    }

    private static String why(Job job, Step.Touch touch, List<Conductor> route) {
        Expectation expectation = job.expectation(touch);
        if (expectation instanceof Expectation.Joined joined) {
            String expects = joined.limit()
                    .nominal()
                    .map(nominal -> " Expect about " + nominal.text() + ".")
                    .orElse("");
            return String.join(", ", route.stream().map(RunViews::described).toList()) + "." + expects + " "
                    + joined.limit().derivation()
                    + job.conditions()
                            .leadsCaution(joined.limit().high())
                            .map(caution -> " " + caution)
                            .orElse("");
        }
        if (touch.stage() == Stage.FRAME) {
            return described(job, touch.black())
                    + " must be clear of the frame. Use bare metal: paint passes everything.";
        }
        boolean stub = job.open().stream()
                .anyMatch(open -> List.of(touch.black(), touch.red()).stream()
                        .anyMatch(end -> open.black().equals(end) || open.red().equals(end)));
        return described(job, touch.black()) + " and " + described(job, touch.red()) + " must be apart."
                + (stub ? " One of them is a loose end of a wire that read open: did it go elsewhere?" : "");
    }

    private static String described(Job job, Terminal terminal) {
        return job.design().assembly().conductors().stream()
                .filter(each -> each.from().equals(terminal) || each.to().equals(terminal))
                .findFirst()
                .map(RunViews::described)
                .orElse("the empty cavity " + terminal);
    }

    private static String described(Conductor conductor) {
        StringBuilder text = new StringBuilder(conductor.id());
        conductor
                .colour()
                .map(Colour::words)
                .ifPresent(words -> text.append(" ").append(words));
        conductor
                .function()
                .ifPresent(function -> text.append(" (").append(function).append(")"));
        return text.toString();
    }

    private static Optional<String> asks(Job job, Step.Touch touch) {
        if (job.asksForCleanMetal(touch)) {
            return Optional.of("It read open. Scrape to clean metal and touch it once more; both readings are kept.");
        }
        boolean tone = job.state(touch) == StepState.DOUBTFUL && !job.isDone(touch);
        return tone
                ? Optional.of("That did not settle it: this wire needs a figure. Type the ohms.")
                : Optional.empty();
    }

    private static RunView.Pad pad(Assembly assembly, String probe, Terminal terminal) {
        List<String> pins = assembly.connector(terminal.connector())
                .map(connector -> connector.pins())
                .orElse(List.of(terminal.name()));
        int at = Math.max(0, pins.indexOf(terminal.isPin() ? terminal.pin() : terminal.name()));
        return new RunView.Pad(
                probe,
                terminal.isFrame() ? "frame" : terminal.connector(),
                pins.subList(Math.max(0, at - NEIGHBOURS), at),
                pins.get(at),
                pins.subList(at + 1, Math.min(pins.size(), at + 1 + NEIGHBOURS)));
    }

    private static RunView.ResultView result(Job job, Entry entry) {
        Optional<Judgement> judgement = job.judgement(entry);
        return new RunView.ResultView(
                entry.id().toString(),
                job.state(entry.step()).word(),
                judgement.map(each -> each.verdict().word()).orElse("skipped"),
                touchText(entry.step()),
                job.told(entry),
                judgement.map(Judgement::reason).orElse(job.told(entry)));
    }

    /** The two terminals of a step, shortly. */
    static String touchText(Step step) {
        return step.fold(
                probes -> probes.question() == Step.Probes.Question.TONE ? "probes, tone" : "probes, ohms",
                touch -> touch.black() + " – " + touch.red());
    }

    private static List<RunView.EntryView> last(Job job) {
        List<Entry> entries = job.entries();
        List<RunView.EntryView> views = new ArrayList<>();
        for (int i = entries.size() - 1; i >= Math.max(0, entries.size() - LAST_SHOWN); i--) {
            Entry entry = entries.get(i);
            Optional<Judgement> judgement = job.judgement(entry);
            views.add(new RunView.EntryView(
                    entry.sequence(),
                    touchText(entry.step()),
                    job.told(entry),
                    judgement
                            .filter(each -> each.correctedOhm().isPresent())
                            .map(each -> Engineering.text(each.correctedOhm().getAsDouble(), "Ω"))
                            .orElse(""),
                    judgement.map(each -> StepState.of(each.verdict()).word()).orElse("skipped"),
                    entry.takenBack(),
                    entry.by()));
        }
        return views;
    }

    private static List<RunView.Proposal> proposals(Job job) {
        if (job.open().size() < 2) {
            return List.of(); // one wire that reads open is what the next steps are for anyway
        }
        return job.diagnosis().map(diagnosis -> job.best(diagnosis, 2)).orElse(List.of()).stream()
                .map(best -> new RunView.Proposal(
                        best.touch().stage().name(),
                        best.touch().black().name(),
                        best.touch().red().name(),
                        best.touch().black() + " – " + best.touch().red() + ": "
                                + best.worth().why()))
                .toList();
    }
}
