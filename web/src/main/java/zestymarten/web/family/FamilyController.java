package zestymarten.web.family;

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
import zestymarten.core.quantity.Problem;
import zestymarten.core.quantity.ReadingLanguage;
import zestymarten.core.quantity.Understood;
import zestymarten.web.drawing.FamilyDrawing;

/** Alike leads of different lengths whose papers are lost: typed or pasted, compared, the odd one named. */
@Controller
class FamilyController {
    private static final int LONGEST = 100_000;
    private static final double AMBIENT_C = 20;

    /** A lead as ready text. */
    record LeadView(String name, String length, String ohms, String off, String state, String reason, String share) {}

    @GetMapping("/family")
    String desk(Model model) {
        return shown("", Map.of(), Optional.empty(), List.of(), model);
    }

    @PostMapping("/family")
    String compare(@RequestParam Map<String, String> typed, Model model) {
        String leads = typed.getOrDefault("leads", "");
        List<Problem> problems = new ArrayList<>();
        if (leads.length() > LONGEST) {
            problems.add(new Problem("leads", "That is longer than " + LONGEST + " characters."));
            return shown("", typed, Optional.empty(), problems, model);
        }
        List<LeadList.Line> lines = LeadList.read(leads, problems);
        double accuracy = share("accuracy", 0.8, typed, problems);
        double doubt = share("doubt", 1, typed, problems);
        double step = figure("step", 0.01, typed, problems);
        Optional<Alike> alike =
                problems.isEmpty() ? Optional.of(Alike.of(lines, accuracy, step, doubt)) : Optional.empty();
        return shown(leads, typed, alike, problems, model);
    }

    private static String shown(
            String leads, Map<String, String> typed, Optional<Alike> alike, List<Problem> problems, Model model) {
        List<Problem> all = new ArrayList<>(problems);
        OptionalDouble next = typed.getOrDefault("next", "").isBlank()
                ? OptionalDouble.empty()
                : OptionalDouble.of(figure("next", 1, typed, all));
        model.addAttribute("leads", leads);
        model.addAttribute("typed", typed);
        model.addAttribute("problems", all);
        model.addAttribute("trust", alike.map(Alike::trust).orElse(""));
        model.addAttribute(
                "says", alike.map(each -> says(each, next, typed, all)).orElse(List.of()));
        model.addAttribute("rows", alike.map(FamilyController::rows).orElse(List.of()));
        model.addAttribute(
                "drawing", alike.filter(each -> !each.leads().isEmpty()).map(each -> FamilyDrawing.of(each, next)));
        return "family/family";
    }

    private static List<LeadView> rows(Alike alike) {
        return alike.leads().stream()
                .map(each -> new LeadView(
                        each.lead().words().isEmpty()
                                ? "no. " + each.lead().number()
                                : each.lead().words(),
                        Engineering.text(each.lead().lengthM(), "m"),
                        Engineering.text(each.lead().ohm(), "Ω"),
                        alike.line().isEmpty()
                                ? ""
                                : (each.offOhm() < 0 ? "−" : "+") + Engineering.text(Math.abs(each.offOhm()), "Ω"),
                        each.isOdd() ? "fault" : alike.line().isEmpty() ? "untested" : "good",
                        each.reason(),
                        Math.round(100 * each.lengthShare()) + " %"))
                .toList();
    }

    private static List<String> says(
            Alike alike, OptionalDouble next, Map<String, String> typed, List<Problem> problems) {
        List<String> says = new ArrayList<>();
        long odd = alike.leads().stream().filter(Alike.Told::isOdd).count();
        alike.line().ifPresent(line -> {
            says.add(odd == 0 ? "None is odd." : odd == 1 ? "One is odd." : odd + " are odd.");
            says.add("They have " + Engineering.text(line.ohmPerMetre(), "Ω") + " a metre and "
                    + Engineering.text(Math.max(0, line.terminationOhm()), "Ω") + " in their terminations; "
                    + section(line));
            if (next.isPresent()) {
                says.add("The next one, " + Engineering.text(next.getAsDouble(), "m") + " long, should read "
                        + Engineering.text(Math.max(0, line.predicted(next.getAsDouble())), "Ω") + ", give or take "
                        + Engineering.text(3.5 * line.scaleOhm(), "Ω") + ".");
            }
            known(line, typed, problems).ifPresent(says::add);
        });
        return says;
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
    private static Optional<String> known(Family line, Map<String, String> typed, List<Problem> problems) {
        if (typed.getOrDefault("good_m", "").isBlank()
                || typed.getOrDefault("good_ohm", "").isBlank()) {
            return Optional.empty();
        }
        double metres = figure("good_m", 1, typed, problems);
        double ohm = figure("good_ohm", 1, typed, problems);
        double more = 100 * (line.predicted(metres) / ohm - 1);
        return Optional.of("A new one of " + Engineering.text(metres, "m") + " has " + Engineering.text(ohm, "Ω")
                + "; by this line it would have " + Engineering.text(Math.max(0, line.predicted(metres)), "Ω") + ", "
                + Math.abs(Math.round(more)) + " % " + (more >= 0 ? "more" : "less") + "."
                + (more > 10 ? " All of them have aged together." : ""));
    }

    private static double share(String field, double usual, Map<String, String> typed, List<Problem> problems) {
        return figure(field, usual, typed, problems) / 100;
    }

    private static double figure(String field, double usual, Map<String, String> typed, List<Problem> problems) {
        String text = typed.getOrDefault(field, "").strip();
        if (text.isEmpty()) {
            return usual;
        }
        if (new ReadingLanguage(false).understand(text) instanceof Understood.Value value) {
            return value.value();
        }
        problems.add(new Problem(field, "Read '" + text + "'; expected a figure such as " + usual + "."));
        return usual;
    }
}
