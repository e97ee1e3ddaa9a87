package zestymarten.web.meter;

import java.security.Principal;
import java.util.List;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.web.drawing.TrendDrawing;
import zestymarten.web.platform.Times;

/** The meters of the workshop: the list, one of them with its zero over time, a new or changed one. */
@Controller
@RequestMapping("/meters")
class MeterController {
    private final Meters meters;
    private final Instruments instruments;

    MeterController(Meters meters, Instruments instruments) {
        this.instruments = instruments;
        this.meters = meters;
    }

    /** A meter in the list as ready text. */
    record MeterView(long id, String name, String figures, String ranges, String calibrated, boolean overdue) {}

    @GetMapping
    String list(Model model) {
        model.addAttribute("meters", meters.all().stream().map(this::view).toList());
        return "meter/list";
    }

    private MeterView view(MeterRow row) {
        String ranges = row.meter().hasRanges()
                ? "ranges " + MeterForm.of(row).ranges() + " Ω"
                : "finds its range, up to " + EngineeringFormat.text(row.topOhm(), "Ω");
        return new MeterView(
                row.id(),
                row.name(),
                EngineeringFormat.figure(row.accuracy() * 100) + " % of reading, "
                        + EngineeringFormat.text(row.resolutionOhm(), "Ω")
                        + " resolution, tone below " + EngineeringFormat.text(row.toneBelowOhm(), "Ω") + ", over-range "
                        + (row.oneIsOverRange() ? "1" : "OL"),
                row.testVoltages().isEmpty() ? ranges : ranges + ", tests at " + row.testVoltages() + " V",
                row.calibratedUntil() == null ? "no calibration date" : "calibrated until " + row.calibratedUntil(),
                meters.isOverdue(row));
    }

    @GetMapping("/new")
    String fresh(Model model) {
        model.addAttribute("id", 0);
        model.addAttribute("form", MeterForm.EMPTY);
        model.addAttribute("trend", TrendDrawing.of(List.of(), "Ω"));
        return "meter/meter";
    }

    @GetMapping("/{id}")
    String one(@PathVariable long id, Model model) {
        MeterRow row = meters.find(id);
        model.addAttribute("id", id);
        model.addAttribute("form", MeterForm.of(row));
        model.addAttribute(
                "trend",
                TrendDrawing.of(
                        meters.zeros(row.name()).stream()
                                .map(zero -> new TrendDrawing.TrendValue(
                                        zero.at().toEpochMilli(),
                                        zero.ohm(),
                                        EngineeringFormat.text(zero.ohm(), "Ω") + ", " + Times.minute(zero.at())))
                                .toList(),
                        "Ω"));
        return "meter/meter";
    }

    @PostMapping("/{id}")
    ResponseEntity<Void> keep(@PathVariable long id, MeterForm form, Principal who) {
        meters.keep(id, form.read(id, instruments, who.getName(), meters.now()));
        return ResponseEntity.ok().header("HX-Redirect", "/meters").build();
    }
}
