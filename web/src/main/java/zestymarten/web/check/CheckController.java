package zestymarten.web.check;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.check.Check;
import zestymarten.core.check.CheckedItem;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Message;
import zestymarten.core.testrun.StepState;
import zestymarten.web.meter.MeterRow;
import zestymarten.web.meter.Meters;
import zestymarten.web.platform.ChoiceView;
import zestymarten.web.platform.ProblemView;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.TypedForm;
import zestymarten.web.worksheet.SavedSheet;
import zestymarten.web.worksheet.Worksheet;
import zestymarten.web.worksheet.WorksheetForm;
import zestymarten.web.worksheet.Worksheets;

/** One thing checked by itself. All that was typed stands in the address: a reload or a passed-on link loses nothing. */
@Controller
class CheckController implements Worksheet {
    private static final MeterProfile USUAL = new MeterProfile("meter", 0.01, 0.1, 30, false, 20e6);

    private static final double MAX_TAKEN_OHM = 500;

    private final Worksheets sheets;
    private final Meters meters;
    private final CheckWords words;

    CheckController(Worksheets sheets, Meters meters, CheckWords words) {
        this.sheets = sheets;
        this.meters = meters;
        this.words = words;
    }

    @GetMapping("/check")
    String page(@RequestParam Map<String, String> fields, @RequestParam Optional<Long> sheet, Model model) {
        TypedForm typed =
                WorksheetForm.typed(sheet.map(id -> sheets.fields(tool(), id)).orElse(fields));
        CheckForm form = new CheckForm(typed);
        List<MeterRow> known = meters.all();
        Optional<CheckView> view = view(form, typed, known, LocaleContextHolder.getLocale());
        model.addAttribute("typed", typed.fields());
        model.addAttribute("thing", form.thing().code());
        model.addAttribute(
                "things",
                List.of(CheckForm.Thing.values()).stream()
                        .map(CheckForm.Thing::code)
                        .toList());
        model.addAttribute("metals", ChoiceView.metals());
        model.addAttribute("meters", known.stream().map(MeterRow::name).toList());
        model.addAttribute("view", view);
        model.addAttribute("trouble", ProblemView.all(typed.problems()));
        model.addAttribute("kept", sheets.last(tool()));
        return "check/check";
    }

    private Optional<CheckView> view(CheckForm form, TypedForm typed, List<MeterRow> known, Locale locale) {
        TestConditions conditions = conditions(typed, known);
        Optional<CheckedItem> item = form.item();
        return item.map(each -> words.view(Check.of(each, readings(typed), conditions), readings(typed), locale));
    }

    /** The readings by their questions. */
    private static Map<String, String> readings(TypedForm typed) {
        Map<String, String> readings = new HashMap<>();
        typed.fields().forEach((name, text) -> {
            if (name.startsWith(CheckView.READING)) {
                readings.put(name.substring(CheckView.READING.length()), text);
            }
        });
        return readings;
    }

    private static TestConditions conditions(TypedForm typed, List<MeterRow> known) {
        MeterProfile meter = known.stream()
                .filter(each -> each.name().equals(typed.text("meter")))
                .findFirst()
                .or(() -> known.stream().findFirst())
                .map(MeterRow::meter)
                .orElse(USUAL);
        OptionalDouble leads = taken(typed, "leads", Message.of("check_controller.what_joined_test_leads"));
        OptionalDouble line = taken(typed, "line", Message.of("check_controller.resistance_line_sensor_such"));
        OptionalDouble taken = leads.isEmpty() && line.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(leads.orElse(0) + line.orElse(0));
        return new TestConditions(20, meter, taken, LeadPolicy.FULL, false, TestConditions.JOINED_BELOW_OHM);
    }

    /** A resistance that is taken off each reading. */
    private static OptionalDouble taken(TypedForm typed, String field, Message expected) {
        OptionalDouble ohm = typed.figure(field, expected);
        if (ohm.isPresent() && ohm.getAsDouble() > MAX_TAKEN_OHM) {
            typed.refuse(field, Message.of("check_controller.not_accepted_expected", typed.text(field), expected));
            return OptionalDouble.empty();
        }
        return ohm;
    }

    @Override
    public SavedSheet.SavedTool tool() {
        return SavedSheet.SavedTool.CHECK;
    }

    @Override
    public SavedSheet kept(TypedForm typed) {
        CheckForm form = new CheckForm(typed);
        CheckView view = view(form, typed, meters.all(), LocaleContextHolder.getLocale())
                .orElseThrow(() -> new Refusal(typed.problems()));
        StepState state = StepState.of(view.state());
        StepState result = state == StepState.DOUBTFUL ? StepState.NOT_TESTED : state;
        String says = view.word() + ". " + view.inOneText();
        return new SavedSheet(tool(), typed.text("name"), typed.fields(), says.strip(), result);
    }
}
