package zestymarten.web.testrun;

import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Celsius;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.Problem;
import zestymarten.core.quantity.ReadingParser;
import zestymarten.core.testplan.Purpose;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.Tool;
import zestymarten.core.testrun.EffortModel;
import zestymarten.core.testrun.PlanEstimate;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.meter.MeterRow;
import zestymarten.web.meter.Meters;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.TypedForm;
import zestymarten.web.platform.Words;
import zestymarten.web.unit.UnitLine;
import zestymarten.web.unit.Units;

/** Starting a run: which unit, with which meter, how warm. */
@Controller
class StartController {
    private static final TestOptions WHOLE =
            new TestOptions(TestMethod.BOTH_ENDS, false, false, OptionalDouble.empty());

    private static final Set<Tool> USUAL_TOOLS = EnumSet.complementOf(EnumSet.of(Tool.LOW_OHM_METER));

    private final TestRuns runs;
    private final RunEntries entries;
    private final Assemblies assemblies;
    private final Units units;
    private final Meters meters;
    private final Plans plans;

    StartController(TestRuns runs, RunEntries entries, Assemblies assemblies, Units units, Meters meters, Plans plans) {
        this.plans = plans;
        this.meters = meters;
        this.runs = runs;
        this.entries = entries;
        this.assemblies = assemblies;
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
    record OfferView(String code, String title, String price, String lacks, List<String> misses) {}

    @GetMapping("/assemblies/{id}/test")
    String form(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String serial,
            @RequestParam Optional<Long> plan,
            Principal who,
            Model model) {
        TestConditions last = runs.lastConditions(who.getName()).orElse(TestRuns.USUAL);
        List<KeptPlan> kept = plans.of(id);
        Optional<KeptPlan> taken = kept.stream()
                .filter(each -> plan.equals(Optional.of(each.id())))
                .findFirst();
        TestOptions approach = taken.map(each -> each.approach().approach()).orElse(WHOLE);
        offers(id, EffortModel.Pace.USUAL, USUAL_TOOLS, approach.method().code(), model);
        model.addAttribute("plans", kept);
        model.addAttribute("taken", taken.map(KeptPlan::name).orElse(""));
        model.addAttribute("way", TestOptionsForm.of(approach));
        MeterProfile meter = last.meter();
        List<MeterRow> meters = this.meters.all();
        model.addAttribute("meters", meters);
        model.addAttribute("known", meters.stream().anyMatch(each -> each.name().equals(meter.name())));
        model.addAttribute("revision", assemblies.latest(id));
        model.addAttribute(
                "serials", units.of(id).stream().map(UnitLine::serial).toList());
        model.addAttribute("serial", serial);
        model.addAttribute("policies", LeadPolicy.values());
        model.addAttribute(
                "start",
                new Start(
                        EngineeringFormat.figure(last.ambientC()),
                        meter.name(),
                        EngineeringFormat.figure(meter.accuracy() * 100),
                        EngineeringFormat.figure(meter.resolutionOhm()),
                        EngineeringFormat.figure(meter.toneBelowOhm()),
                        EngineeringFormat.figure(meter.topOhm() / 1e6) + "M",
                        meter.oneIsOverRange(),
                        last.policy().code(),
                        last.guarded()));
        return "testrun/start";
    }

    /** The ways of testing at other prices. */
    @GetMapping("/assemblies/{id}/offers")
    String offers(
            @PathVariable long id,
            @RequestParam String measurement,
            @RequestParam String move,
            @RequestParam String setup,
            @RequestParam String trip,
            @RequestParam(defaultValue = "both_ends") String method,
            @RequestParam(name = "tool", defaultValue = "") List<String> codes,
            Model model) {
        List<Problem> problems = new ArrayList<>();
        double[] seconds = {
            seconds("measurement", measurement, problems),
            seconds("move", move, problems),
            seconds("setup", setup, problems),
            seconds("trip", trip, problems)
        };
        if (!problems.isEmpty()) {
            throw new Refusal(problems);
        }
        EffortModel.Pace pace = new EffortModel.Pace(seconds[0], seconds[1], seconds[2], seconds[3]);
        offers(id, pace, tools(codes), method, model);
        return "testrun/offers";
    }

    private static Set<Tool> tools(List<String> codes) {
        return Stream.of(Tool.values())
                .filter(each -> codes.contains(each.code()))
                .collect(Collectors.toSet());
    }

    /** One that is chosen and cannot be done with these tools gives way to the first that can. */
    private void offers(long id, EffortModel.Pace pace, Set<Tool> tools, String chosen, Model model) {
        List<OfferView> views =
                runs.offers(id, pace, tools).stream().map(StartController::view).toList();
        Optional<OfferView> possible = views.stream()
                .filter(each -> each.lacks().isEmpty() && each.code().equals(chosen))
                .findFirst()
                .or(() -> views.stream().filter(each -> each.lacks().isEmpty()).findFirst());
        model.addAttribute("chosen", possible.map(OfferView::code).orElse(""));
        model.addAttribute("offers", views);
        model.addAttribute("tools", Tool.values());
        model.addAttribute("atHand", tools);
        model.addAttribute("pace", pace);
    }

    private static OfferView view(PlanEstimate offer) {
        String trips = offer.effort().trips() == 0
                ? ""
                : Words.say("start_controller.trips", offer.effort().trips());
        String access = offer.effort().accessMinutes() == 0
                ? ""
                : Words.say(
                        "start_controller.which_covers_that_need",
                        Math.round(offer.effort().accessMinutes()));
        String setups = offer.effort().setups() == 0
                ? ""
                : Words.say(
                        "start_controller.links_changed_times", offer.effort().setups());
        List<String> misses = new ArrayList<>(Words.all(offer.misses()));
        if (offer.effort().setups() > 0 && offer.effort().trips() == 0) {
            misses.add(0, Words.say("start_controller.where_continuity_found_pairs"));
        }
        return new OfferView(
                offer.method().code(),
                Words.say(offer.method().title()),
                Words.say(
                        "start_controller.measurements_moves_probe_about",
                        offer.effort().measurements(),
                        offer.effort().moves(),
                        setups,
                        trips,
                        Math.max(1, Math.round(offer.seconds() / 60)),
                        access),
                offer.lacks().stream().map(each -> Words.say(each.words())).collect(Collectors.joining(", ")),
                misses);
    }

    private static double seconds(String field, String typed, List<Problem> problems) {
        String text = typed.strip().replace(',', '.');
        double value = text.matches("[0-9]{1,4}(?:\\.[0-9]{1,2})?") ? Double.parseDouble(text) : Double.NaN;
        if (!(value >= 0 && value <= 3600)) {
            problems.add(
                    new Problem(field, Message.of("start_controller.not_accepted_expected_seconds", typed.strip())));
        }
        return value;
    }

    /** Starts a test; where one is under way on that unit it is asked first whether that one goes on. */
    @PostMapping("/assemblies/{id}/runs")
    String start(
            @PathVariable long id,
            @RequestParam Map<String, String> fields,
            @RequestParam(name = "tool", defaultValue = "") List<String> codes,
            Principal who,
            HttpServletResponse response,
            Model model) {
        TestOptionsForm form = new TestOptionsForm(fields);
        List<Problem> problems = new ArrayList<>();
        OptionalDouble celsius = Celsius.of(form.field("ambient"));
        if (celsius.isEmpty()) {
            problems.add(new Problem(
                    "ambient",
                    Message.of(
                            "start_controller.not_accepted_expected_wiring", form.field("ambient"), Celsius.EXPECTED)));
        }
        Optional<MeterProfile> meter = meter(form, problems);
        Optional<LeadPolicy> leads = LeadPolicy.of(form.field("policy"));
        if (leads.isEmpty()) {
            problems.add(new Problem(
                    "policy", Message.of("start_controller.not_accepted_expected_full", form.field("policy"))));
        }
        boolean tester = !fields.containsKey("tools_asked") || tools(codes).contains(Tool.INSULATION_TESTER);
        if (!tester && !form.field("test_v").isEmpty()) {
            problems.add(new Problem("test_v", Message.of("start_controller.insulation_test_needs_insulation")));
        }
        Optional<TestOptions> approach = form.approach(assemblies.latest(id).assembly(), problems);
        if (!problems.isEmpty() || approach.isEmpty() || meter.isEmpty()) {
            throw new Refusal(problems);
        }
        TestConditions conditions = new TestConditions(
                celsius.orElse(TestRuns.USUAL.ambientC()),
                meter.get(),
                OptionalDouble.empty(),
                leads.orElse(LeadPolicy.FULL),
                form.field("decision").equals("guarded"),
                TestConditions.JOINED_BELOW_OHM);
        Optional<RunSnapshot> open = runs.underWay(id, form.field("serial"));
        if (open.isPresent() && !form.field("under_way").equals("new")) {
            response.setStatus(HttpStatus.CONFLICT.value());
            model.addAttribute("open", open.get());
            return "testrun/under-way";
        }
        open.ifPresent(each -> runs.end(each.id(), who.getName()));
        Purpose purpose = Purpose.of(form.field("purpose")).orElse(Purpose.EVERYTHING);
        long run = entries.start(id, form.field("serial"), conditions, approach.get(), purpose, who.getName());
        boolean symptoms = purpose == Purpose.FIND_FAULT
                && !runs.find(run).test().plan().functions().isEmpty();
        response.setHeader("HX-Redirect", "/runs/" + run + (symptoms ? "/complaint" : ""));
        return "testrun/started";
    }

    /** Keeps the way of testing of the form with the wiring, under a name. */
    @PostMapping("/assemblies/{id}/plans")
    ResponseEntity<Void> keep(@PathVariable long id, @RequestParam Map<String, String> fields, Principal who) {
        TestOptionsForm form = new TestOptionsForm(fields);
        TestOptions approach = form.approach(assemblies.latest(id).assembly());
        long plan = plans.keep(id, form.field("plan_name"), approach, who.getName());
        return ResponseEntity.ok()
                .header("HX-Redirect", "/assemblies/" + id + "/test?plan=" + plan)
                .build();
    }

    /** One of the workshop's meters, or another by the figures of the form. */
    private Optional<MeterProfile> meter(TestOptionsForm form, List<Problem> problems) {
        if (form.field("kept_meter").matches("[0-9]{1,18}")) {
            return Optional.of(
                    meters.find(TypedForm.number(form.field("kept_meter"))).meter());
        }
        int before = problems.size();
        double share = ohms("accuracy", form, problems) / 100;
        double step = ohms("resolution", form, problems);
        double sounds = ohms("tone", form, problems);
        double highest = ohms("top", form, problems);
        if (problems.size() > before) {
            return Optional.empty();
        }
        try {
            boolean one = form.field("mark").equals("1");
            return Optional.of(new MeterProfile(form.field("meter"), share, step, sounds, one, highest));
        } catch (NotAccepted e) {
            problems.add(new Problem("meter", e.what()));
            return Optional.empty();
        }
    }

    private static double ohms(String field, TestOptionsForm form, List<Problem> problems) {
        String typed = form.field(field);
        if (new ReadingParser(false).understand(typed) instanceof MeterReading.Value value) {
            return value.value();
        }
        problems.add(new Problem(field, Message.of("start_controller.not_accepted_expected_figure", typed)));
        return Double.NaN;
    }
}
