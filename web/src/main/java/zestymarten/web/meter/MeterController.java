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
import zestymarten.core.quantity.Message;
import zestymarten.web.drawing.TrendDrawing;
import zestymarten.web.platform.Times;
import zestymarten.web.platform.Words;

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
                ? Words.say("meter_controller.ranges", MeterForm.of(row).ranges())
                : Words.say("meter_controller.finds_range_up", Message.figure(row.topOhm(), "Ω"));
        return new MeterView(
                row.id(),
                row.name(),
                Words.say(
                        "meter_controller.reading_resolution_tone_below",
                        EngineeringFormat.figure(row.accuracy() * 100),
                        Message.figure(row.resolutionOhm(), "Ω"),
                        Message.figure(row.toneBelowOhm(), "Ω"),
                        row.oneIsOverRange()),
                row.testVoltages().isEmpty() ? ranges : Words.say("meter_controller.tests", ranges, row.testVoltages()),
                row.calibratedUntil() == null
                        ? Words.say("meter_controller.no_calibration_date")
                        : Words.say("meter_controller.calibrated_until", row.calibratedUntil()),
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
                                        Words.figure(zero.ohm(), "Ω") + ", " + Times.minute(zero.at())))
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
