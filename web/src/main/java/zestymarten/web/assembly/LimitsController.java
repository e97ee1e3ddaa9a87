package zestymarten.web.assembly;

import java.security.Principal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import zestymarten.core.assembly.Allowances;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.Problem;
import zestymarten.web.platform.Typed;

/** What the wires of an assembly may read where neither the maker nor a standard says. */
@Controller
class LimitsController {
    private final Assemblies assemblies;

    LimitsController(Assemblies assemblies) {
        this.assemblies = assemblies;
    }

    /**
     * A field of the form.
     *
     * @param value as typed, or as it is in force
     * @param refused why it is not accepted; empty where it is
     */
    record LimitView(String name, String label, String unit, String value, String help, String refused) {}

    private enum LimitField {
        MOST(
                "most",
                "Every wire, maximum",
                "Ω",
                "0.5",
                "Before any standard; a maximum of the wire itself comes first."),
        HEAT("heat", "Allowed heat in a wire", "W", "5", "Where its current is known: P / I²."),
        DROP("drop", "Allowed voltage drop on a wire", "V", "0.4", "Where its current is known: dU / I."),
        ROUND("round", "Round figure", "Ω", "1", "For a wire of which nothing is known. Without one it is 1 Ω.");

        private final String code;
        private final String label;
        private final String unit;
        private final String example;
        private final String help;

        LimitField(String code, String label, String unit, String example, String help) {
            this.code = code;
            this.label = label;
            this.unit = unit;
            this.example = example;
            this.help = help;
        }

        private OptionalDouble of(Allowances allowances) {
            return switch (this) {
                case MOST -> allowances.mostOhm();
                case HEAT -> allowances.heatW();
                case DROP -> allowances.dropV();
                case ROUND -> allowances.roundOhm();
            };
        }

        private OptionalDouble typed(Typed typed) {
            OptionalDouble figure = typed.figure(code, "a figure above 0 " + unit + ", such as " + example);
            if (figure.isPresent() && !Allowances.isFigure(figure.getAsDouble())) {
                typed.refuse(code, "“" + typed.text(code) + "” is not accepted; expected at most a million.");
                return OptionalDouble.empty();
            }
            return figure;
        }
    }

    @GetMapping("/assemblies/{id}/limits")
    ModelAndView form(@PathVariable long id) {
        Revision revision = assemblies.latest(id);
        Map<String, String> fields = new LinkedHashMap<>();
        for (LimitField field : LimitField.values()) {
            field.of(revision.assembly().allowances())
                    .ifPresent(value -> fields.put(field.code, EngineeringFormat.figure(value)));
        }
        return page(revision, new Typed(fields), HttpStatus.OK);
    }

    private static ModelAndView page(Revision revision, Typed typed, HttpStatusCode status) {
        List<LimitView> views = List.of(LimitField.values()).stream()
                .map(field -> new LimitView(
                        field.code,
                        field.label,
                        field.unit,
                        typed.text(field.code),
                        field.help,
                        typed.problems().stream()
                                .filter(each -> each.where().equals(field.code))
                                .map(Problem::text)
                                .findFirst()
                                .orElse("")))
                .toList();
        ModelAndView page = new ModelAndView("assembly/limits", Map.of("wiring", revision, "fields", views));
        page.setStatus(status);
        return page;
    }

    /** Saves changed limits as the next revision, so that earlier tests keep theirs. */
    @PostMapping("/assemblies/{id}/limits")
    ModelAndView change(@PathVariable long id, @RequestParam Map<String, String> fields, Principal who) {
        Revision before = assemblies.latest(id);
        Typed typed = new Typed(fields);
        Allowances allowances = new Allowances(
                LimitField.MOST.typed(typed),
                LimitField.HEAT.typed(typed),
                LimitField.DROP.typed(typed),
                LimitField.ROUND.typed(typed));
        if (!typed.isSound()) {
            return page(before, typed, HttpStatus.UNPROCESSABLE_CONTENT);
        }
        assemblies.setAllowances(id, allowances, who.getName());
        return new ModelAndView("redirect:/assemblies/" + id);
    }
}
