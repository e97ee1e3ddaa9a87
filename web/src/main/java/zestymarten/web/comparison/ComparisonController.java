package zestymarten.web.comparison;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.assembly.Metal;
import zestymarten.core.assembly.StrandClass;
import zestymarten.core.comparison.LeadComparison;
import zestymarten.core.comparison.LeadLine;
import zestymarten.core.comparison.LeadList;
import zestymarten.core.conductor.FeederWire;
import zestymarten.core.limit.StandardSections;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.Message;
import zestymarten.core.testrun.StepState;
import zestymarten.web.drawing.ComparisonDrawing;
import zestymarten.web.platform.ProblemView;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.TypedForm;
import zestymarten.web.platform.Words;
import zestymarten.web.worksheet.SavedSheet;
import zestymarten.web.worksheet.Worksheet;
import zestymarten.web.worksheet.WorksheetForm;
import zestymarten.web.worksheet.Worksheets;

/** Alike leads of different lengths whose papers are lost: typed or pasted, compared, the odd one named. */
@Controller
class ComparisonController implements Worksheet {
    private static final int LONGEST = 100_000;
    private static final double AMBIENT_C = 20;

    private static final Message NEXT = Message.of("comparison_controller.length_next_one_metres");

    /** What a standard allows a section beside what the leads have. */
    record ClassView(String strands, String section, String maximum, boolean meets, String source) {}

    /** A lead as ready text. */
    record LeadView(String name, String length, String ohms, String off, String state, String reason, String share) {}

    private final Worksheets sheets;

    ComparisonController(Worksheets sheets) {
        this.sheets = sheets;
    }

    @GetMapping("/compare-leads")
    String page(@RequestParam Optional<Long> sheet, Model model) {
        return shown(
                WorksheetForm.typed(sheet.map(id -> sheets.fields(SavedSheet.SavedTool.COMPARISON, id))
                        .orElse(Map.of())),
                model);
    }

    @PostMapping("/compare-leads")
    String compare(@RequestParam Map<String, String> fields, Model model) {
        return shown(WorksheetForm.typed(fields), model);
    }

    @Override
    public SavedSheet.SavedTool tool() {
        return SavedSheet.SavedTool.COMPARISON;
    }

    @Override
    public SavedSheet kept(TypedForm typed) {
        Optional<LeadComparison> comparison = comparison(typed);
        List<String> says = comparison
                .map(each -> says(each, typed.figure("next", NEXT), typed))
                .orElse(List.of());
        if (!typed.isSound() || comparison.isEmpty()) {
            throw new Refusal(typed.problems());
        }
        boolean outlier = comparison.get().leads().stream().anyMatch(LeadComparison.ComparedLead::isOutlier);
        return new SavedSheet(
                SavedSheet.SavedTool.COMPARISON,
                typed.text("name"),
                typed.fields(),
                String.join(" ", says) + " " + Words.say(comparison.get().trust()),
                outlier ? StepState.FAIL : comparison.get().isJudged() ? StepState.PASS : StepState.NOT_TESTED);
    }

    /** The leads compared; empty where something that was typed makes no sense, which is then said, or nothing was. */
    private static Optional<LeadComparison> comparison(TypedForm typed) {
        String leads = typed.fields().getOrDefault("leads", "");
        if (leads.length() > LONGEST) {
            typed.refuse("leads", Message.of("comparison_controller.that_longer_than_characters", LONGEST));
            return Optional.empty();
        }
        if (leads.isBlank()) {
            return Optional.empty();
        }
        List<LeadList.LeadEntry> lines = LeadList.read(leads, typed.problems());
        double accuracy = typed.figure("accuracy", 0.8) / 100;
        double doubt = typed.figure("doubt", 1) / 100;
        double step = typed.figure("step", 0.01);
        return typed.isSound() ? Optional.of(LeadComparison.of(lines, accuracy, step, doubt)) : Optional.empty();
    }

    private String shown(TypedForm typed, Model model) {
        Optional<LeadComparison> comparison = comparison(typed);
        OptionalDouble next = typed.figure("next", NEXT);
        model.addAttribute("leads", typed.fields().getOrDefault("leads", ""));
        model.addAttribute("typed", typed.fields());
        model.addAttribute(
                "trust", comparison.map(each -> Words.say(each.trust())).orElse(""));
        model.addAttribute(
                "says", comparison.map(each -> says(each, next, typed)).orElse(List.of()));
        model.addAttribute("rows", comparison.map(ComparisonController::rows).orElse(List.of()));
        model.addAttribute(
                "drawing",
                comparison.filter(each -> !each.leads().isEmpty()).map(each -> ComparisonDrawing.of(each, next)));
        model.addAttribute(
                "classes",
                comparison
                        .flatMap(LeadComparison::line)
                        .map(ComparisonController::classes)
                        .orElse(List.of()));
        model.addAttribute("problems", ProblemView.all(typed.problems()));
        model.addAttribute("kept", sheets.last(SavedSheet.SavedTool.COMPARISON));
        return "comparison/comparison";
    }

    /** What each class of the standard allows a metre for the listed sections beside what the line has. */
    private static List<ClassView> classes(LeadLine line) {
        if (!(line.ohmPerMetre() > 0)) {
            return List.of();
        }
        double mm2 = FeederWire.impliedMm2(Metal.COPPER, 1, line.ohmPerMetre(), AMBIENT_C);
        List<ClassView> views = new ArrayList<>();
        for (StrandClass strands : StrandClass.values()) {
            for (double listed : StandardSections.around(strands, Metal.COPPER, mm2)) {
                double maximum = StandardSections.maxOhmPerMetre(strands, Metal.COPPER, listed)
                        .orElseThrow();
                views.add(new ClassView(
                        Words.say(strands.words()),
                        Words.say("comparison_controller.mm", EngineeringFormat.figure(listed)),
                        Words.say("comparison_controller.metre", Message.figure(maximum, "Ω")),
                        line.ohmPerMetre() <= maximum,
                        strands == StrandClass.VEHICLE ? "ISO 6722-1" : "IEC 60228"));
            }
        }
        return views;
    }

    private static List<LeadView> rows(LeadComparison comparison) {
        return comparison.leads().stream()
                .map(each -> new LeadView(
                        each.lead().words().isEmpty()
                                ? Words.say("lead_list.no", each.lead().number())
                                : each.lead().words(),
                        Words.figure(each.lead().lengthM(), "m"),
                        Words.say(each.lead().resistance()),
                        comparison.line().isEmpty()
                                ? ""
                                : (each.offOhm() < 0 ? "−" : "+") + Words.figure(Math.abs(each.offOhm()), "Ω"),
                        each.isOutlier() ? "fail" : comparison.line().isEmpty() ? "not-tested" : "pass",
                        Words.say(each.reason()),
                        Math.round(100 * each.lengthShare()) + " %"))
                .toList();
    }

    private static List<String> says(LeadComparison comparison, OptionalDouble next, TypedForm typed) {
        List<String> says = new ArrayList<>();
        long outlier = comparison.leads().stream()
                .filter(LeadComparison.ComparedLead::isOutlier)
                .count();
        comparison.line().ifPresent(line -> {
            says.add(Words.say("comparison_controller.different", outlier));
            says.add(set(line));
            if (next.isPresent() && line.hasSlope() && line.predicted(next.getAsDouble()) > 0) {
                says.add(Words.say(
                        "comparison_controller.next_one_long_should",
                        Message.figure(next.getAsDouble(), "m"),
                        Message.figure(line.predicted(next.getAsDouble()), "Ω"),
                        Message.figure(rounded(3.5 * line.scaleOhm()), "Ω")));
            }
            known(line, typed).ifPresent(says::add);
        });
        return says;
    }

    /** An uncertainty to two figures: more are not known. */
    private static double rounded(double value) {
        return value == 0 ? 0 : new BigDecimal(value).round(new MathContext(2)).doubleValue();
    }

    /** What the set has in common. */
    private static String set(LeadLine line) {
        if (!line.hasSlope()) {
            return Words.say(
                    "comparison_controller.median_spread",
                    Message.figure(line.terminationOhm(), "Ω"),
                    Message.figure(line.scaleOhm(), "Ω"));
        }
        String ends = line.terminationOhm() < 0
                ? Words.say("comparison_controller.less_than_nothing_their")
                : Words.say("comparison_controller.their_terminations", Message.figure(line.terminationOhm(), "Ω"));
        return Words.say(
                "comparison_controller.they_have_metre",
                line.ohmPerMetre() < 0,
                Message.figure(Math.abs(line.ohmPerMetre()), "Ω"),
                ends,
                section(line));
    }

    /** What section of copper the slope is, and the listed ones beside it. */
    private static String section(LeadLine line) {
        if (!(line.ohmPerMetre() > 0)) {
            return Words.say("comparison_controller.which_no_metal_explains");
        }
        double mm2 = FeederWire.impliedMm2(Metal.COPPER, 1, line.ohmPerMetre(), AMBIENT_C);
        List<Double> around = StandardSections.around(StrandClass.FIVE, Metal.COPPER, mm2);
        String listed = around.size() < 2
                ? ""
                : Words.say(
                        "comparison_controller.iec_lists",
                        around.stream().map(each -> Message.figure(each, "")).toList());
        return Words.say(
                "comparison_controller.as_mm_copper_would",
                EngineeringFormat.figure(Math.round(mm2 * 10_000) / 10_000.0),
                listed);
    }

    /** A new one that is surely good, of the same type. */
    private static Optional<String> known(LeadLine line, TypedForm typed) {
        OptionalDouble length = typed.metres("good_m");
        OptionalDouble ohms = typed.figure("good_ohm", Message.of("comparison_controller.resistance_new_good_one"));
        if (length.isEmpty() || ohms.isEmpty()) {
            return Optional.empty();
        }
        double metres = length.getAsDouble();
        double ohm = ohms.getAsDouble();
        double more = 100 * (line.predicted(metres) / ohm - 1);
        return Optional.of(Words.say(
                "comparison_controller.new_one_has_by",
                Message.figure(metres, "m"),
                Message.figure(ohm, "Ω"),
                Message.figure(Math.max(0, line.predicted(metres)), "Ω"),
                Math.abs(Math.round(more)),
                more >= 0,
                more > 10));
    }
}
