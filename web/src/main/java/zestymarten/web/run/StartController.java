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
import zestymarten.core.job.Offer;
import zestymarten.core.meter.Conditions;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.Meter;
import zestymarten.core.plan.Approach;
import zestymarten.core.plan.Method;
import zestymarten.core.quantity.Engineering;
import zestymarten.core.quantity.Problem;
import zestymarten.core.quantity.ReadingLanguage;
import zestymarten.core.quantity.Understood;
import zestymarten.web.meter.MeterRow;
import zestymarten.web.meter.Meters;
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
    private final Meters meters;

    StartController(Runs runs, Wirings wirings, Units units, Meters meters) {
        this.meters = meters;
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

    /** One way of testing, with its price and what it would miss, as ready text. */
    record OfferView(String code, String title, String price, List<String> misses) {}

    @GetMapping("/wirings/{id}/test")
    String form(@PathVariable long id, @RequestParam(defaultValue = "") String serial, Principal who, Model model) {
        Conditions last = runs.lastConditions(who.getName()).orElse(Runs.USUAL);
        offers(id, Offer.Pace.USUAL, model);
        Meter meter = last.meter();
        List<MeterRow> kept = meters.all();
        model.addAttribute("meters", kept);
        model.addAttribute("known", kept.stream().anyMatch(each -> each.name().equals(meter.name())));
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

    /** The ways of testing at other prices. */
    @GetMapping("/wirings/{id}/offers")
    String offers(
            @PathVariable long id,
            @RequestParam String touch,
            @RequestParam String setup,
            @RequestParam String walk,
            Model model) {
        List<Problem> problems = new ArrayList<>();
        double[] seconds = {
            seconds("touch", touch, problems), seconds("setup", setup, problems), seconds("walk", walk, problems)
        };
        if (!problems.isEmpty()) {
            throw new Refused(problems);
        }
        offers(id, new Offer.Pace(seconds[0], seconds[1], seconds[2]), model);
        return "run/offers";
    }

    private void offers(long id, Offer.Pace pace, Model model) {
        model.addAttribute(
                "offers",
                runs.offers(id, pace).stream().map(StartController::view).toList());
        model.addAttribute("pace", pace);
    }

    private static OfferView view(Offer offer) {
        String walks = offer.walks() == 0 ? "" : ", " + offer.walks() + " walks";
        String setups = offer.setups() == 0 ? "" : ", ties changed " + offer.setups() + " times";
        List<String> misses = new ArrayList<>(offer.misses());
        if (offer.setups() > 0 && offer.walks() == 0) {
            misses.add(0, "Where a way through is found, its pairs follow to tell which it is.");
        }
        return new OfferView(
                offer.method().code(),
                offer.method().title(),
                offer.touches() + " touches" + setups + walks + ", about "
                        + Math.max(1, Math.round(offer.seconds() / 60)) + " min",
                misses);
    }

    private static double seconds(String field, String typed, List<Problem> problems) {
        String text = typed.strip().replace(',', '.');
        double value = text.matches("[0-9]{1,4}(?:\\.[0-9]{1,2})?") ? Double.parseDouble(text) : Double.NaN;
        if (!(value >= 0 && value <= 3600)) {
            problems.add(new Problem(field, "Read '" + typed.strip() + "'; expected 0 to 3600 seconds."));
        }
        return value;
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
            @RequestParam(defaultValue = "both_ends") String method,
            @RequestParam(name = "in_place", defaultValue = "false") boolean inPlace,
            @RequestParam(defaultValue = "false") boolean quick,
            @RequestParam(name = "test_v", defaultValue = "") String testV,
            @RequestParam(name = "kept_meter") Optional<Long> keptMeter,
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
        Optional<Method> way = Method.of(method).filter(each -> each != Method.INSULATION);
        if (way.isEmpty()) {
            problems.add(new Problem("method", "Read '" + method + "'; expected a way of testing from the list."));
        }
        OptionalDouble volts = volts(testV, problems);
        if (!problems.isEmpty()) {
            throw new Refused(problems);
        }
        try {
            Approach approach = new Approach(way.orElse(Method.BOTH_ENDS), inPlace, quick, volts);
            Meter profile = keptMeter
                    .map(each -> meters.find(each).meter())
                    .orElseGet(() -> new Meter(meter.strip(), share, step, sounds, mark.equals("1"), highest));
            Conditions conditions = new Conditions(
                    temperature,
                    profile,
                    OptionalDouble.empty(),
                    leads.orElse(LeadPolicy.FULL),
                    decision.equals("guarded"),
                    Conditions.JOINED_BELOW_OHM);
            long run = runs.start(id, serial, conditions, approach, who.getName());
            return ResponseEntity.ok().header("HX-Redirect", "/runs/" + run).build();
        } catch (IllegalArgumentException e) {
            throw new Refused("meter", String.valueOf(e.getMessage()));
        }
    }

    /** Volts of the insulation test; nothing for none. */
    private static OptionalDouble volts(String typed, List<Problem> problems) {
        String text = typed.strip().toUpperCase(java.util.Locale.ROOT).replaceAll(" ?V$", "");
        if (text.isEmpty()) {
            return OptionalDouble.empty();
        }
        double value = text.matches("[0-9]{1,4}") ? Double.parseDouble(text) : Double.NaN;
        if (!(value > 0 && value <= Approach.MOST_V)) {
            problems.add(new Problem(
                    "test_v", "Read '" + typed.strip() + "'; expected 1 to 5000 volts DC, or nothing for no test."));
        }
        return OptionalDouble.of(value);
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
