package zestymarten.web.family;

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
import zestymarten.core.conductor.Wire;
import zestymarten.core.family.Alike;
import zestymarten.core.family.Family;
import zestymarten.core.family.LeadList;
import zestymarten.core.limit.StandardSections;
import zestymarten.core.quantity.Engineering;
import zestymarten.web.desk.DeskForm;
import zestymarten.web.desk.DeskSheets;
import zestymarten.web.desk.Kept;
import zestymarten.web.desk.Reckons;
import zestymarten.web.drawing.FamilyDrawing;
import zestymarten.web.platform.Refused;
import zestymarten.web.platform.Typed;

/** Alike leads of different lengths whose papers are lost: typed or pasted, compared, the odd one named. */
@Controller
class FamilyController implements Reckons {
    private static final int LONGEST = 100_000;
    private static final double AMBIENT_C = 20;

    private static final String NEXT = "the length of the next one in metres, such as 7";

    /** What a standard allows a section beside what the leads have. */
    record ClassView(String strands, String section, String most, boolean meets, String source) {}

    /** A lead as ready text. */
    record LeadView(String name, String length, String ohms, String off, String state, String reason, String share) {}

    private final DeskSheets sheets;

    FamilyController(DeskSheets sheets) {
        this.sheets = sheets;
    }

    @GetMapping("/family")
    String page(@RequestParam Optional<Long> sheet, Model model) {
        return shown(
                DeskForm.typed(
                        sheet.map(id -> sheets.fields(Kept.Desk.FAMILY, id)).orElse(Map.of())),
                model);
    }

    @PostMapping("/family")
    String compare(@RequestParam Map<String, String> fields, Model model) {
        return shown(DeskForm.typed(fields), model);
    }

    @Override
    public Kept.Desk desk() {
        return Kept.Desk.FAMILY;
    }

    @Override
    public Kept kept(Typed typed) {
        Optional<Alike> alike = alike(typed);
        List<String> says =
                alike.map(each -> says(each, typed.figure("next", NEXT), typed)).orElse(List.of());
        if (!typed.isSound() || alike.isEmpty()) {
            throw new Refused(typed.problems());
        }
        boolean odd = alike.get().leads().stream().anyMatch(Alike.Told::isOdd);
        return new Kept(
                Kept.Desk.FAMILY,
                typed.text("name"),
                typed.fields(),
                String.join(" ", says) + " " + alike.get().trust(),
                odd ? "fault" : alike.get().isJudged() ? "good" : "untested");
    }

    /** The leads compared; empty where something that was typed makes no sense, which is then said, or nothing was. */
    private static Optional<Alike> alike(Typed typed) {
        String leads = typed.fields().getOrDefault("leads", "");
        if (leads.length() > LONGEST) {
            typed.refuse("leads", "That is longer than " + LONGEST + " characters.");
            return Optional.empty();
        }
        if (leads.isBlank()) {
            return Optional.empty();
        }
        List<LeadList.Line> lines = LeadList.read(leads, typed.problems());
        double accuracy = typed.figure("accuracy", 0.8) / 100;
        double doubt = typed.figure("doubt", 1) / 100;
        double step = typed.figure("step", 0.01);
        return typed.isSound() ? Optional.of(Alike.of(lines, accuracy, step, doubt)) : Optional.empty();
    }

    private String shown(Typed typed, Model model) {
        Optional<Alike> alike = alike(typed);
        OptionalDouble next = typed.figure("next", NEXT);
        model.addAttribute("leads", typed.fields().getOrDefault("leads", ""));
        model.addAttribute("typed", typed.fields());
        model.addAttribute("trust", alike.map(Alike::trust).orElse(""));
        model.addAttribute("says", alike.map(each -> says(each, next, typed)).orElse(List.of()));
        model.addAttribute("rows", alike.map(FamilyController::rows).orElse(List.of()));
        model.addAttribute(
                "drawing", alike.filter(each -> !each.leads().isEmpty()).map(each -> FamilyDrawing.of(each, next)));
        model.addAttribute(
                "classes",
                alike.flatMap(Alike::line).map(FamilyController::classes).orElse(List.of()));
        model.addAttribute("problems", typed.problems());
        model.addAttribute("kept", sheets.last(Kept.Desk.FAMILY));
        return "family/family";
    }

    /** What each class of the standard allows a metre for the listed sections beside what the line has. */
    private static List<ClassView> classes(Family line) {
        if (!(line.ohmPerMetre() > 0)) {
            return List.of();
        }
        double mm2 = Wire.impliedMm2(Metal.COPPER, 1, line.ohmPerMetre(), AMBIENT_C);
        List<ClassView> views = new ArrayList<>();
        for (StrandClass strands : StrandClass.values()) {
            for (double listed : StandardSections.around(strands, Metal.COPPER, mm2)) {
                double most = StandardSections.mostOhmPerMetre(strands, Metal.COPPER, listed)
                        .orElseThrow();
                views.add(new ClassView(
                        strands.words(),
                        Engineering.figure(listed) + " mm²",
                        Engineering.text(most, "Ω") + " a metre",
                        line.ohmPerMetre() <= most,
                        strands == StrandClass.VEHICLE ? "ISO 6722-1" : "IEC 60228"));
            }
        }
        return views;
    }

    private static List<LeadView> rows(Alike alike) {
        return alike.leads().stream()
                .map(each -> new LeadView(
                        each.lead().words().isEmpty()
                                ? "no. " + each.lead().number()
                                : each.lead().words(),
                        Engineering.text(each.lead().lengthM(), "m"),
                        each.lead().text(),
                        alike.line().isEmpty()
                                ? ""
                                : (each.offOhm() < 0 ? "−" : "+") + Engineering.text(Math.abs(each.offOhm()), "Ω"),
                        each.isOdd() ? "fault" : alike.line().isEmpty() ? "untested" : "good",
                        each.reason(),
                        Math.round(100 * each.lengthShare()) + " %"))
                .toList();
    }

    private static List<String> says(Alike alike, OptionalDouble next, Typed typed) {
        List<String> says = new ArrayList<>();
        long odd = alike.leads().stream().filter(Alike.Told::isOdd).count();
        alike.line().ifPresent(line -> {
            says.add(odd == 0 ? "None is different." : odd == 1 ? "One is different." : odd + " are different.");
            says.add(set(line));
            if (next.isPresent() && line.hasSlope() && line.predicted(next.getAsDouble()) > 0) {
                says.add("The next one, " + Engineering.text(next.getAsDouble(), "m") + " long, should read "
                        + Engineering.text(line.predicted(next.getAsDouble()), "Ω") + " ± "
                        + Engineering.text(rounded(3.5 * line.scaleOhm()), "Ω") + ".");
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
    private static String set(Family line) {
        if (!line.hasSlope()) {
            return "The median is " + Engineering.text(line.terminationOhm(), "Ω") + ", the spread "
                    + Engineering.text(line.scaleOhm(), "Ω") + ".";
        }
        String ends = line.terminationOhm() < 0
                ? ", and less than nothing in their terminations: the test-lead resistance was subtracted twice, or the"
                        + " lengths are wrong; "
                : " and " + Engineering.text(line.terminationOhm(), "Ω") + " in their terminations; ";
        return "They have " + (line.ohmPerMetre() < 0 ? "−" : "") + Engineering.text(Math.abs(line.ohmPerMetre()), "Ω")
                + " a metre" + ends + section(line);
    }

    /** What section of copper the slope is, and the listed ones beside it. */
    private static String section(Family line) {
        if (!(line.ohmPerMetre() > 0)) {
            return "which no metal explains.";
        }
        double mm2 = Wire.impliedMm2(Metal.COPPER, 1, line.ohmPerMetre(), AMBIENT_C);
        List<Double> around = StandardSections.around(StrandClass.FIVE, Metal.COPPER, mm2);
        String listed = around.size() < 2
                ? ""
                : " (IEC 60228 lists "
                        + String.join(
                                " and ",
                                around.stream().map(Engineering::figure).toList())
                        + ")";
        return "as " + Engineering.figure(Math.round(mm2 * 10_000) / 10_000.0) + " mm² of copper would" + listed + ".";
    }

    /** A new one that is surely good, of the same type. */
    private static Optional<String> known(Family line, Typed typed) {
        OptionalDouble length = typed.metres("good_m");
        OptionalDouble ohms = typed.figure("good_ohm", "the resistance of a new good one, such as 9.3");
        if (length.isEmpty() || ohms.isEmpty()) {
            return Optional.empty();
        }
        double metres = length.getAsDouble();
        double ohm = ohms.getAsDouble();
        double more = 100 * (line.predicted(metres) / ohm - 1);
        return Optional.of("A new one of " + Engineering.text(metres, "m") + " has " + Engineering.text(ohm, "Ω")
                + "; by this line it would have " + Engineering.text(Math.max(0, line.predicted(metres)), "Ω") + ", "
                + Math.abs(Math.round(more)) + " % " + (more >= 0 ? "more" : "less") + "."
                + (more > 10 ? " All of them have aged together." : ""));
    }
}
