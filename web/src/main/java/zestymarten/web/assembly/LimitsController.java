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
import zestymarten.core.quantity.Message;
import zestymarten.web.platform.TypedForm;
import zestymarten.web.platform.Words;

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
        MAX("most", "Ω", "0.5"),
        HEAT("heat", "W", "5"),
        DROP("drop", "V", "0.4"),
        ROUND("round", "Ω", "1");

        private final String code;
        private final String unit;
        private final String example;

        LimitField(String code, String unit, String example) {
            this.code = code;
            this.unit = unit;
            this.example = example;
        }

        private String label() {
            return Words.say(this);
        }

        private String help() {
            return Words.say(Message.of(this).code() + "_help");
        }

        private OptionalDouble of(Allowances allowances) {
            return switch (this) {
                case MAX -> allowances.maxOhm();
                case HEAT -> allowances.heatW();
                case DROP -> allowances.dropV();
                case ROUND -> allowances.roundOhm();
            };
        }

        private OptionalDouble typed(TypedForm typed) {
            OptionalDouble figure = typed.figure(code, Message.of("limit_field.figure_above_such_as", unit, example));
            if (figure.isPresent() && !Allowances.isFigure(figure.getAsDouble())) {
                typed.refuse(code, Message.of("limit_field.not_accepted_expected_most", typed.text(code)));
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
        return page(revision, new TypedForm(fields), HttpStatus.OK);
    }

    private static ModelAndView page(Revision revision, TypedForm typed, HttpStatusCode status) {
        List<LimitView> views = List.of(LimitField.values()).stream()
                .map(field -> new LimitView(
                        field.code,
                        field.label(),
                        field.unit,
                        typed.text(field.code),
                        field.help(),
                        typed.problems().stream()
                                .filter(each -> each.where().equals(Message.verbatim(field.code)))
                                .map(each -> Words.say(each.what()))
                                .findFirst()
                                .orElse("")))
                .toList();
        ModelAndView page = new ModelAndView("assembly/limits", Map.of("revision", revision, "fields", views));
        page.setStatus(status);
        return page;
    }

    /** Saves changed limits as the next revision, so that earlier tests keep theirs. */
    @PostMapping("/assemblies/{id}/limits")
    ModelAndView change(@PathVariable long id, @RequestParam Map<String, String> fields, Principal who) {
        Revision before = assemblies.latest(id);
        TypedForm typed = new TypedForm(fields);
        Allowances allowances = new Allowances(
                LimitField.MAX.typed(typed),
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
