package zestymarten.web.record;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import zestymarten.core.job.Entry;
import zestymarten.core.job.Found;
import zestymarten.core.job.Job;
import zestymarten.core.job.Outcome;
import zestymarten.core.job.StepState;
import zestymarten.core.judge.Expectation;
import zestymarten.core.judge.Judgement;
import zestymarten.core.limit.Limit;
import zestymarten.core.meter.Conditions;
import zestymarten.core.meter.Meter;
import zestymarten.core.plan.Stage;
import zestymarten.core.plan.Step;
import zestymarten.core.quantity.Engineering;
import zestymarten.core.quantity.Understood;
import zestymarten.web.drawing.WiringDrawing;
import zestymarten.web.platform.Times;
import zestymarten.web.run.Run;

/** Puts a run into the words and figures of its certificate. */
@Component
class RecordViews {
    RecordView view(Run run) {
        Job job = run.job();
        List<Found> findings = job.findings();
        Outcome outcome = run.ended().map(Run.End::outcome).orElseGet(job::outcome);
        Conditions conditions = job.conditions();
        return new RecordView(
                run.id(),
                !run.isUnderWay(),
                run.serial(),
                run.assembly(),
                run.revision().assemblyId(),
                "revision " + run.revision().number() + " of "
                        + Times.minute(run.revision().createdAt()),
                meter(conditions.meter()),
                leads(conditions),
                conditions.guarded()
                        ? "guarded: reading + U within the limit passes, reading - U beyond it fails"
                        : "simple: up to the limit passes, within U of it is 'watch'",
                Engineering.figure(conditions.ambientC()) + " °C",
                Times.minute(run.startedAt()) + " by " + run.startedBy(),
                run.ended()
                        .map(end -> Times.minute(end.at()) + " by " + end.by())
                        .orElse("under way: not a certificate yet"),
                outcome.word(),
                outcome.state().word(),
                summary(outcome, findings.size(), job.left()),
                notShown(job),
                findings.stream().map(RecordViews::finding).toList(),
                job.entries().stream().map(entry -> reading(job, entry)).toList(),
                WiringDrawing.of(
                        run.revision().assembly(),
                        findings.stream().map(Found::finding).toList()));
    }

    private static String meter(Meter meter) {
        return meter.name() + ": " + Engineering.figure(meter.accuracy() * 100) + " % of reading, "
                + Engineering.text(meter.resolutionOhm(), "Ω") + " a count, tone below about "
                + Engineering.text(meter.toneBelowOhm(), "Ω") + ", up to " + Engineering.text(meter.topOhm(), "Ω");
    }

    private static String leads(Conditions conditions) {
        return conditions.leadsOhm().isEmpty()
                ? "not read"
                : Engineering.text(conditions.leadsOhm().getAsDouble(), "Ω") + "; "
                        + conditions.policy().words();
    }

    private static String summary(Outcome outcome, int findings, long left) {
        String untested = left == 0 ? "" : " " + left + (left == 1 ? " touch was" : " touches were") + " not made.";
        return switch (outcome) {
            case PASS -> "Everything was tested and nothing was found.";
            case WATCH -> "Everything was tested and passes; what to watch is marked below.";
            case FAIL -> (findings == 1 ? "One fault was found." : findings + " faults were found.") + untested;
            case INCOMPLETE -> "Nothing is known to be wrong, but not everything was tested." + untested;
        };
    }

    /** What this test cannot have seen, so that a pass is not read for more than it is. */
    private static List<String> notShown(Job job) {
        List<String> said = new ArrayList<>();
        said.add(
                "Insulation was not tested: an ohmmeter shows no more than that there is no short at its own few volts.");
        long tones = job.entries().stream()
                .filter(entry -> entry.stands() && entry.step().stage() == Stage.ENDS)
                .filter(entry -> entry.content() instanceof Entry.Content.Reading reading
                        && reading.meaning() instanceof Understood.Tone)
                .count();
        if (tones > 0) {
            said.add("Passed on tone only: " + tones + (tones == 1 ? " wire" : " wires") + ". Ohms below about "
                    + Engineering.text(job.conditions().meter().toneBelowOhm(), "Ω") + " were not told apart there.");
        }
        long silent = job.entries().stream()
                .filter(entry -> entry.stands() && entry.step().stage() != Stage.METER)
                .filter(entry -> entry.content() instanceof Entry.Content.Reading reading
                        && reading.meaning() instanceof Understood.Silent)
                .count();
        if (silent > 0) {
            said.add("Silent on tone only: " + silent + (silent == 1 ? " pair" : " pairs")
                    + ". A connection above about "
                    + Engineering.text(job.conditions().meter().toneBelowOhm(), "Ω") + " would not have sounded.");
        }
        long small = job.entries().stream()
                .filter(entry -> entry.stands()
                        && entry.step() instanceof Step.Touch touch
                        && job.expectation(touch) instanceof Expectation.Joined joined
                        && job.conditions().leadsCaution(joined.limit().high()).isPresent())
                .count();
        if (small > 0) {
            said.add("Read with leads that have more ohms than the wire may: "
                    + small + (small == 1 ? " reading" : " readings")
                    + ". Contact pressure alone could hide or make a small excess there.");
        }
        List<String> skipped = job.entries().stream()
                .filter(entry -> entry.stands() && entry.content() instanceof Entry.Content.Skip)
                .map(entry -> where(entry.step()) + " (" + ((Entry.Content.Skip) entry.content()).reason() + ")")
                .toList();
        if (!skipped.isEmpty()) {
            said.add("Left out: " + String.join("; ", skipped) + ".");
        }
        return said;
    }

    private static String where(Step step) {
        return step.fold(
                probes -> probes.question() == Step.Probes.Question.TONE
                        ? "probes together, tone"
                        : "probes together, ohms",
                touch -> touch.black() + " – " + touch.red());
    }

    private static RecordView.FindingLine finding(Found found) {
        return new RecordView.FindingLine(
                found.finding().kind().replace('_', ' '),
                found.finding().text(),
                found.evidence().stream()
                        .map(entry -> "no. " + entry.sequence())
                        .collect(Collectors.joining(", ")),
                String.join(", ", found.functionsLost()));
    }

    private static RecordView.ReadingLine reading(Job job, Entry entry) {
        Optional<Judgement> judgement = job.judgement(entry);
        Optional<Limit> limit =
                entry.step() instanceof Step.Touch touch && job.expectation(touch) instanceof Expectation.Joined joined
                        ? Optional.of(joined.limit())
                        : Optional.empty();
        String corrected = judgement
                .filter(each -> each.correctedOhm().isPresent())
                .map(each -> Engineering.figure(each.correctedOhm().getAsDouble()))
                .orElse("");
        Optional<Entry.Content.Reading> typed =
                entry.content() instanceof Entry.Content.Reading reading ? Optional.of(reading) : Optional.empty();
        boolean apart = entry.step() instanceof Step.Touch && limit.isEmpty();
        return new RecordView.ReadingLine(
                entry.sequence(),
                entry.step().stage().title(),
                entry.step() instanceof Step.Touch touch ? touch.black().name() : "",
                entry.step() instanceof Step.Touch touch ? touch.red().name() : "",
                typed.map(Entry.Content.Reading::asTyped).orElse(""),
                job.told(entry),
                typed.map(each -> figure(each.meaning())).orElse(""),
                typed.map(each -> figure(each.meaning()).isEmpty() ? "" : "ohm").orElse(""),
                typed.map(each -> qualifier(each.meaning())).orElse("skipped"),
                corrected,
                judgement
                        .filter(each -> each.correctedOhm().isPresent())
                        .map(each -> Engineering.text(each.correctedOhm().getAsDouble(), "Ω"))
                        .orElse(""),
                limit.map(each -> Engineering.figure(each.low().value())).orElse(""),
                limit.map(each -> Engineering.figure(each.high().value())).orElse(""),
                limit.map(each -> "at most " + each.high().text()).orElse(apart ? "apart" : ""),
                limit.map(Limit::derivation).orElse(apart ? "The design joins them nowhere." : ""),
                judgement.map(each -> each.verdict().word()).orElse("skipped"),
                judgement.map(each -> StepState.of(each.verdict()).word()).orElse("skipped"),
                entry.takenBack(),
                entry.at().toString(),
                entry.by());
    }

    private static String figure(Understood meaning) {
        return meaning.figure().isPresent()
                ? Engineering.figure(meaning.figure().getAsDouble())
                : "";
    }

    private static String qualifier(Understood meaning) {
        return meaning instanceof Understood.Value ? "" : meaning.kind();
    }
}
