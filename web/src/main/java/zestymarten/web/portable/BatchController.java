package zestymarten.web.portable;

import java.security.Principal;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.portable.CoupledLeads;
import zestymarten.core.portable.LeadVerdict;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.ReadingParser;
import zestymarten.core.testrun.UnitState;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.assembly.AssemblyLine;
import zestymarten.web.drawing.LeadDrawing;
import zestymarten.web.meter.Meters;
import zestymarten.web.platform.Prints;
import zestymarten.web.platform.ProblemView;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.TypedForm;
import zestymarten.web.unit.UnitLine;
import zestymarten.web.unit.UnitRow;
import zestymarten.web.unit.Units;

/** Test day: started with tags, then lead after lead by Enter alone. */
@Controller
class BatchController {
    private static final Pattern UNIT = Pattern.compile("/units/([0-9]{1,18})");

    private final BatchTests days;
    private final Assemblies assemblies;
    private final Meters meters;
    private final Units units;
    private final Prints prints;

    BatchController(BatchTests days, Assemblies assemblies, Meters meters, Units units, Prints prints) {
        this.days = days;
        this.assemblies = assemblies;
        this.meters = meters;
        this.units = units;
        this.prints = prints;
    }

    /** A coupling of a row with what was read behind it. */
    record Coupling(int lead, String typed, boolean asked, boolean suspect) {}

    @GetMapping("/batch-test")
    String start(
            @RequestParam(defaultValue = "0") long assembly, @RequestParam Map<String, String> fields, Model model) {
        if (fields.containsKey("sheet")) {
            Map<String, String> kept = days.kept(TypedForm.number(fields.get("sheet")));
            return "redirect:/batch-test/" + kept.get("day") + "?position=" + kept.get("position");
        }
        String search = fields.getOrDefault("search", "").strip();
        List<AssemblyLine> all = assemblies.page(search, 0).stream()
                .sorted(Comparator.comparing(each -> !each.kind().equals("lead")))
                .toList();
        boolean listed = all.stream().anyMatch(each -> each.id() == assembly);
        long chosen = listed || all.isEmpty() ? assembly : all.get(0).id();
        model.addAttribute("search", search);
        model.addAttribute("assemblies", all);
        model.addAttribute("meters", meters.all());
        model.addAttribute("days", days.last());
        model.addAttribute("assembly", chosen);
        model.addAttribute("tags", String.join("\n", tags(chosen)));
        coupled(new TypedForm(fields), model);
        return "portable/start";
    }

    /** The tags of all units of an assembly that are not scrapped. */
    private List<String> tags(long assembly) {
        return units.of(assembly).stream()
                .filter(each -> each.state() != UnitState.SCRAPPED)
                .map(UnitLine::serial)
                .toList();
    }

    private static void coupled(TypedForm typed, Model model) {
        Optional<CoupledLeads> row = Optional.empty();
        if (typed.has("row")) {
            int leads = (int) typed.figure("row", 5);
            Map<Integer, Double> read = new HashMap<>();
            for (int lead = 1; lead <= leads && lead <= CoupledLeads.MAX; lead++) {
                int behind = lead;
                ohm("k" + lead, typed).ifPresent(ohm -> read.put(behind, ohm));
            }
            try {
                row = Optional.of(CoupledLeads.of(leads, typed.figure("each", 0.5), read));
            } catch (NotAccepted e) {
                typed.refuse("row", e.what());
            }
        }
        model.addAttribute("typed", typed.fields());
        model.addAttribute("problems", ProblemView.all(typed.problems()));
        model.addAttribute("row", row);
        model.addAttribute("couplings", row.map(each -> couplings(each, typed)).orElse(List.of()));
    }

    private static OptionalDouble ohm(String field, TypedForm typed) {
        if (!typed.has(field)) {
            return OptionalDouble.empty();
        }
        MeterReading understood = new ReadingParser(false).understand(typed.text(field));
        if (understood instanceof MeterReading.Value value) {
            return OptionalDouble.of(value.value());
        } else if (understood instanceof MeterReading.OverRange || understood instanceof MeterReading.Silent) {
            return OptionalDouble.of(Double.POSITIVE_INFINITY);
        }
        typed.refuse(field, Message.of("batch_controller.not_accepted_expected_resistance", typed.text(field)));
        return OptionalDouble.empty();
    }

    private static List<Coupling> couplings(CoupledLeads row, TypedForm typed) {
        boolean sought = typed.has("k" + row.leads());
        return IntStream.rangeClosed(1, row.leads())
                .mapToObj(lead -> new Coupling(
                        lead,
                        typed.text("k" + lead),
                        row.next().filter(each -> each == lead).isPresent(),
                        sought && row.suspects().contains(lead)))
                .toList();
    }

    @PostMapping("/batch-test")
    String begin(@RequestParam Map<String, String> fields, Principal who) {
        TypedForm typed = new TypedForm(fields);
        long assembly = (long) typed.figure("assembly", 0);
        long meter = (long) typed.figure("meter", 0);
        DayRow row = new DayRow(
                0,
                assemblies.latest(assembly).id(),
                "",
                meters.find(meter).id(),
                typed.figure("leads_ohm", 0),
                typed.celsius("ambient_c", 20),
                typed.figure("test_v", 500),
                typed.text("at").equals("screws"),
                (int) typed.figure("months", 12),
                "",
                Instant.EPOCH);
        boolean inRange = row.leadsOhm() <= 1000
                && row.ambientC() >= -80
                && row.ambientC() <= 200
                && row.testV() > 0
                && row.testV() <= 5000
                && row.months() >= 1
                && row.months() <= 120;
        if (!inRange) {
            typed.refuse("batch test", Message.of("batch_controller.expected_leads_most_test"));
        }
        if (!typed.isSound()) {
            throw new Refusal(typed.problems());
        }
        return "redirect:/batch-test/" + days.begin(row, typed.text("tags"), who.getName());
    }

    @GetMapping("/batch-test/{id}")
    String day(
            @PathVariable long id,
            @RequestParam Optional<Integer> position,
            @RequestParam Optional<Integer> done,
            Model model) {
        BatchTests.Day day = days.find(id);
        Optional<LeadRow> lead = position.map(day::lead).or(day::next);
        Map<String, String> typed = lead.map(LeadRow::sheetId).map(days::kept).orElse(Map.of());
        return shown(day, lead, typed, done.map(day::lead), model);
    }

    /** The lead whose label was scanned: by the address of its unit, or by its tag. */
    @GetMapping("/batch-test/{id}/lead")
    String scanned(@PathVariable long id, @RequestParam String code) {
        BatchTests.Day day = days.find(id);
        Matcher address = UNIT.matcher(code);
        Optional<UnitRow> unit =
                address.matches() ? Optional.of(units.find(Long.parseLong(address.group(1)))) : Optional.empty();
        String tag = unit.map(UnitRow::serial).orElse(code.strip());
        boolean ours =
                unit.isEmpty() || unit.get().assemblyId() == day.revision().assemblyId();
        return day.leads().stream()
                .filter(each -> ours && each.tag().equalsIgnoreCase(tag))
                .findFirst()
                .map(each -> "redirect:/batch-test/" + id + "?position=" + each.position())
                .orElseThrow(() -> new Refusal(
                        "code",
                        Message.of(
                                "batch_controller.not_this_batch_expected",
                                tag,
                                day.leads().get(0).tag())));
    }

    @PostMapping("/batch-test/{id}/{position}")
    String enter(
            @PathVariable long id,
            @PathVariable int position,
            @RequestParam Map<String, String> fields,
            Principal who,
            Model model) {
        BatchTests.Day day = days.find(id);
        LeadVerdict verdict = days.enter(day, position, fields, who.getName());
        return verdict.outcome().isFinal()
                ? "redirect:/batch-test/" + id + "?done=" + position
                : shown(day, Optional.of(day.lead(position)), fields, Optional.empty(), model);
    }

    private static String shown(
            BatchTests.Day day,
            Optional<LeadRow> lead,
            Map<String, String> typed,
            Optional<LeadRow> done,
            Model model) {
        LeadVerdict verdict = day.check().judge(typed);
        model.addAttribute("day", day.row());
        model.addAttribute("leads", day.leads());
        model.addAttribute("lead", lead);
        model.addAttribute("verdict", verdict);
        model.addAttribute("drawing", LeadDrawing.of(day.check(), verdict));
        model.addAttribute("done", done);
        model.addAttribute(
                "focus",
                verdict.answers().stream()
                        .filter(each -> each.judgement().isEmpty())
                        .map(each -> each.item().id())
                        .findFirst()
                        .orElse("look"));
        model.addAttribute(
                "left", day.leads().stream().filter(each -> !each.isDone()).count());
        return "portable/day";
    }

    /** A label for each lead that passed, with the day it is due again. */
    @GetMapping("/batch-test/{id}/labels.pdf")
    ResponseEntity<byte[]> labels(@PathVariable long id) {
        BatchTests.Day day = days.find(id);
        record LeadLabel(String tag, boolean marginal, String due) {}
        List<LeadLabel> labels = day.leads().stream()
                .filter(each -> each.isIn(LeadVerdict.LeadOutcome.PASS) || each.isIn(LeadVerdict.LeadOutcome.MARGINAL))
                .map(each -> new LeadLabel(
                        each.tag(),
                        each.isIn(LeadVerdict.LeadOutcome.MARGINAL),
                        units.find(java.util.Objects.requireNonNull(each.unitId()))
                                .due()
                                .text()))
                .toList();
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .body(prints.pdf("portable/labels", Map.of("labels", labels, "day", day.row())));
    }
}
