package zestymarten.web.run;

import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.meter.Conditions;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.Meter;
import zestymarten.core.quantity.Engineering;
import zestymarten.core.quantity.Problem;
import zestymarten.core.quantity.ReadingLanguage;
import zestymarten.core.quantity.Understood;
import zestymarten.web.platform.Refused;
import zestymarten.web.unit.UnitLine;
import zestymarten.web.unit.Units;
import zestymarten.web.wiring.Wirings;

/** Starting a run: which unit, with which meter, how warm. */
@Controller
class StartController {
    private final Runs runs;
    private final Wirings wirings;
    private final Units units;

    StartController(Runs runs, Wirings wirings, Units units) {
        this.runs = runs;
        this.wirings = wirings;
        this.units = units;
    }

    /** The form's fields as ready text. */
    record Start(
            String ambient,
            String meter,
            String accuracy,
            String resolution,
            String tone,
            String top,
            boolean one,
            String policy,
            boolean guarded) {}

    @GetMapping("/wirings/{id}/test")
    String form(@PathVariable long id, @RequestParam(defaultValue = "") String serial, Principal who, Model model) {
        Conditions last = runs.lastConditions(who.getName()).orElse(Runs.USUAL);
        Meter meter = last.meter();
        model.addAttribute("wiring", wirings.latest(id));
        model.addAttribute(
                "serials", units.of(id).stream().map(UnitLine::serial).toList());
        model.addAttribute("serial", serial);
        model.addAttribute("policies", LeadPolicy.values());
        model.addAttribute(
                "start",
                new Start(
                        Engineering.figure(last.ambientC()),
                        meter.name(),
                        Engineering.figure(meter.accuracy() * 100),
                        Engineering.figure(meter.resolutionOhm()),
                        Engineering.figure(meter.toneBelowOhm()),
                        Engineering.figure(meter.topOhm() / 1e6) + "M",
                        meter.oneIsOverRange(),
                        last.policy().code(),
                        last.guarded()));
        return "run/start";
    }

    @PostMapping("/wirings/{id}/runs")
    ResponseEntity<Void> start(
            @PathVariable long id,
            @RequestParam String serial,
            @RequestParam String ambient,
            @RequestParam String meter,
            @RequestParam String accuracy,
            @RequestParam String resolution,
            @RequestParam String tone,
            @RequestParam String top,
            @RequestParam(defaultValue = "OL") String mark,
            @RequestParam String policy,
            @RequestParam(defaultValue = "simple") String decision,
            Principal who) {
        List<Problem> problems = new ArrayList<>();
        double temperature = celsius(ambient, problems);
        double share = ohms("accuracy", accuracy, problems) / 100;
        double step = ohms("resolution", resolution, problems);
        double sounds = ohms("tone", tone, problems);
        double highest = ohms("top", top, problems);
        Optional<LeadPolicy> leads = LeadPolicy.of(policy);
        if (leads.isEmpty()) {
            problems.add(new Problem("policy", "Read '" + policy + "'; expected full, excess or none."));
        }
        if (!problems.isEmpty()) {
            throw new Refused(problems);
        }
        try {
            Meter profile = new Meter(meter.strip(), share, step, sounds, mark.equals("1"), highest);
            Conditions conditions = new Conditions(
                    temperature,
                    profile,
                    OptionalDouble.empty(),
                    leads.orElse(LeadPolicy.FULL),
                    decision.equals("guarded"),
                    Conditions.JOINED_BELOW_OHM);
            long run = runs.start(id, serial, conditions, who.getName());
            return ResponseEntity.ok().header("HX-Redirect", "/runs/" + run).build();
        } catch (IllegalArgumentException e) {
            throw new Refused("meter", String.valueOf(e.getMessage()));
        }
    }

    /** A temperature; °F with an F behind it. */
    private static double celsius(String typed, List<Problem> problems) {
        String text = typed.strip().replace(',', '.').replace("°", "").toUpperCase(java.util.Locale.ROOT);
        boolean fahrenheit = text.endsWith("F");
        String figure = text.replaceAll("[CF]$", "").strip();
        double value = figure.matches("-?[0-9]{1,3}(?:\\.[0-9]{1,3})?") ? Double.parseDouble(figure) : Double.NaN;
        double celsius = fahrenheit ? (value - 32) / 1.8 : value;
        if (!(celsius >= -80 && celsius <= 200)) {
            problems.add(new Problem(
                    "ambient",
                    "Read '" + typed.strip() + "'; expected the wiring's temperature, -80 to 200 °C, or in °F with an"
                            + " F behind it."));
        }
        return celsius;
    }

    private static double ohms(String field, String typed, List<Problem> problems) {
        if (new ReadingLanguage(false).understand(typed) instanceof Understood.Value value) {
            return value.value();
        }
        problems.add(new Problem(field, "Read '" + typed.strip() + "'; expected a figure such as 0.01, 30 or 20M."));
        return Double.NaN;
    }
}
