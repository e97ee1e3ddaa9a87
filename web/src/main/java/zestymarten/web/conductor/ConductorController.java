package zestymarten.web.conductor;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.assembly.Metal;
import zestymarten.core.assembly.StrandClass;
import zestymarten.core.conductor.DeadShort;
import zestymarten.core.conductor.Feeder;
import zestymarten.core.conductor.FeederWire;
import zestymarten.core.conductor.Protection;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.testrun.StepState;
import zestymarten.web.drawing.ConductorDrawing;
import zestymarten.web.platform.ChoiceView;
import zestymarten.web.platform.ProblemView;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.TypedForm;
import zestymarten.web.platform.Words;
import zestymarten.web.worksheet.SavedSheet;
import zestymarten.web.worksheet.Worksheet;
import zestymarten.web.worksheet.WorksheetForm;
import zestymarten.web.worksheet.Worksheets;

/** One conductor: what was typed stands in the address, so that it can be kept and passed on. */
@Controller
class ConductorController implements Worksheet {
    /** A figure with its unit and where it comes from. */
    record Fact(String name, String value, String source) {}

    private final Worksheets sheets;

    ConductorController(Worksheets sheets) {
        this.sheets = sheets;
    }

    @GetMapping("/conductor")
    String page(@RequestParam Map<String, String> fields, @RequestParam Optional<Long> sheet, Model model) {
        TypedForm typed = WorksheetForm.typed(sheet.map(id -> sheets.fields(SavedSheet.SavedTool.CONDUCTOR, id))
                .orElse(fields));
        model.addAttribute("typed", typed.fields());
        model.addAttribute("metals", ChoiceView.metals());
        model.addAttribute("classes", StrandClass.values());
        Optional<Feeder> feeder = typed.fields().containsKey("length") ? feeder(typed) : Optional.empty();
        Optional<DeadShort> dead = feeder.flatMap(each -> dead(each, typed));
        model.addAttribute("says", feeder.map(each -> Words.say(each.says())).orElse(""));
        model.addAttribute("fit", feeder.map(each -> each.fit().name()).orElse(""));
        model.addAttribute("shortSays", dead.map(each -> Words.say(each.says())).orElse(""));
        model.addAttribute("cutOff", dead.map(DeadShort::isCutOff).orElse(true));
        model.addAttribute("facts", facts(feeder, dead, typed));
        model.addAttribute(
                "section", feeder.map(each -> ConductorDrawing.section(each.areaMm2(), each.effectiveMm2())));
        model.addAttribute("band", dead.flatMap(each -> each.protection().map(by -> ConductorDrawing.band(by, each))));
        model.addAttribute("trouble", ProblemView.all(typed.problems()));
        model.addAttribute("kept", sheets.last(SavedSheet.SavedTool.CONDUCTOR));
        return "conductor/conductor";
    }

    @Override
    public SavedSheet.SavedTool tool() {
        return SavedSheet.SavedTool.CONDUCTOR;
    }

    @Override
    public SavedSheet kept(TypedForm typed) {
        Optional<Feeder> feeder = feeder(typed);
        Optional<DeadShort> dead = feeder.flatMap(each -> dead(each, typed));
        if (!typed.isSound() || feeder.isEmpty()) {
            throw new Refusal(typed.problems());
        }
        boolean bad = feeder.get().fit() == Feeder.Fit.TOO_MANY_OHMS
                || dead.filter(each -> !each.isCutOff()).isPresent();
        StepState result = bad
                ? StepState.FAIL
                : feeder.get().fit() == Feeder.Fit.TOO_FEW_OHMS ? StepState.MARGINAL : StepState.PASS;
        String says = Words.say(Message.sentences(feeder.get().says(), dead.map(DeadShort::says)));
        return new SavedSheet(SavedSheet.SavedTool.CONDUCTOR, typed.text("name"), typed.fields(), says, result);
    }

    private static Optional<Feeder> feeder(TypedForm typed) {
        int before = typed.problems().size();
        OptionalDouble length = typed.metres("length");
        OptionalDouble area = typed.section("area");
        OptionalDouble ohm = typed.figure("ohm", Message.of("conductor_controller.resistance_such_as"));
        double celsius = typed.celsius("celsius", 20);
        if (typed.problems().size() > before) {
            return Optional.empty();
        }
        try {
            return Optional.of(new Feeder(
                    Metal.of(typed.text("metal", "copper")).orElse(Metal.COPPER),
                    StrandClass.of(typed.text("class", "5")).orElse(StrandClass.FIVE),
                    length,
                    area,
                    ohm,
                    "loop".equals(typed.text("of", "loop")),
                    celsius));
        } catch (NotAccepted e) {
            typed.refuse("length", e.what());
            return Optional.empty();
        }
    }

    private static Optional<DeadShort> dead(Feeder feeder, TypedForm typed) {
        if (!typed.has("volts")) {
            return Optional.empty();
        }
        int before = typed.problems().size();
        OptionalDouble volts = typed.figure("volts", Message.of("conductor_controller.source_volts_such_as"));
        OptionalDouble source = typed.figure("source", Message.of("conductor_controller.resistance_source_such_as"));
        Optional<Protection> protection = protection(typed);
        if (source.isEmpty() && typed.problems().size() == before) {
            typed.refuse("source", Message.of("conductor_controller.resistance_source_missing_usual"));
        }
        if (typed.problems().size() > before) {
            return Optional.empty();
        }
        try {
            FeederWire.Insulation insulation =
                    DeadShort.insulation(feeder.metal(), "xlpe".equals(typed.text("insulation", "pvc")));
            return Optional.of(
                    new DeadShort(feeder, volts.getAsDouble(), source.getAsDouble(), insulation, protection));
        } catch (NotAccepted e) {
            typed.refuse("volts", e.what());
            return Optional.empty();
        }
    }

    private static Optional<Protection> protection(TypedForm typed) {
        String by = typed.text("protection", "none");
        if (by.equals("none")) {
            return Optional.empty();
        }
        OptionalDouble rated = typed.figure("rated", Message.of("conductor_controller.rated_amperes_such_as"));
        if (rated.isEmpty()) {
            typed.refuse("rated", Message.of("conductor_controller.rated_amperes_protection_missing"));
            return Optional.empty();
        }
        try {
            return Optional.of(Protection.of(by, rated.getAsDouble()));
        } catch (NotAccepted e) {
            typed.refuse("rated", e.what());
            return Optional.empty();
        }
    }

    private static List<Fact> facts(Optional<Feeder> feeder, Optional<DeadShort> dead, TypedForm typed) {
        List<Fact> facts = new ArrayList<>();
        feeder.ifPresent(each -> {
            facts.add(new Fact(
                    Words.say("conductor_controller.core_measured"),
                    Words.figure(each.pathM(), "m"),
                    each.loop()
                            ? Words.say("conductor_controller.there_back")
                            : Words.say("conductor_controller.one_way")));
            each.maxOhm()
                    .ifPresent(maximum -> facts.add(new Fact(
                            Words.say("conductor_controller.limit"),
                            Words.figure(maximum, "Ω"),
                            each.strandClass() == StrandClass.VEHICLE ? "ISO 6722-1" : "IEC 60228")));
            each.impliedCelsius()
                    .ifPresent(celsius -> facts.add(new Fact(
                            Words.say("conductor_controller.as_declared_would_be"),
                            Math.round(celsius) + " °C",
                            Words.say("conductor_controller.from_resistance_if_nothing"))));
            joint(typed).ifPresent(facts::add);
        });
        dead.ifPresent(each -> {
            facts.add(new Fact(
                    Words.say("conductor_controller.dead_short_cold"),
                    Words.figure(each.coldA(), "A"),
                    Words.say("conductor_controller.formula_cold")));
            facts.add(new Fact(
                    Words.say("conductor_controller.dead_short_core", Math.round(each.hotCelsius())),
                    Words.figure(each.hotA(), "A"),
                    Words.say("conductor_controller.loop", Message.figure(each.hotOhm(), "Ω"))));
            facts.add(new Fact(
                    Words.say("conductor_controller.heat"),
                    Words.say("conductor_controller.metre", Message.figure(each.wattsPerMetre(), "W")),
                    "I² R"));
            each.standsS()
                    .ifPresent(seconds -> facts.add(new Fact(
                            Words.say("conductor_controller.insulation_stands_that_about"),
                            Words.figure(seconds, "s"),
                            Words.say("conductor_controller.adiabatic_iec"))));
        });
        load(feeder, typed).ifPresent(facts::add);
        return facts;
    }

    /** Heat in a joint of such a resistance at the current in use. */
    private static Optional<Fact> joint(TypedForm typed) {
        OptionalDouble ohm = typed.figure("joint", Message.of("conductor_controller.resistance_joint_such_as"));
        OptionalDouble amperes = typed.figure("amperes", Message.of("conductor_controller.amperes_use_such_as"));
        return ohm.isPresent() && amperes.isPresent()
                ? Optional.of(new Fact(
                        Words.say("conductor_controller.heat_joint"),
                        Words.figure(FeederWire.watts(amperes.getAsDouble(), ohm.getAsDouble()), "W"),
                        "I² R"))
                : Optional.empty();
    }

    /** The voltage lost at the current in use. */
    private static Optional<Fact> load(Optional<Feeder> feeder, TypedForm typed) {
        OptionalDouble amperes = typed.figure("amperes", Message.of("conductor_controller.amperes_use_such_as"));
        OptionalDouble volts = typed.figure("volts", Message.of("conductor_controller.volts"));
        if (feeder.isEmpty() || amperes.isEmpty() || !typed.isSound()) {
            return Optional.empty();
        }
        double loop = feeder.get().ohms() * (feeder.get().loop() ? 1 : 2);
        double drop = FeederWire.dropVolts(amperes.getAsDouble(), loop);
        String share = volts.isPresent() && volts.getAsDouble() > 0
                ? Words.say(
                        "conductor_controller.load",
                        Message.figure(Math.round(1000 * drop / volts.getAsDouble()) / 10.0, ""),
                        Message.figure(volts.getAsDouble(), "V"))
                : Words.say("conductor_controller.there_back_2");
        return Optional.of(new Fact(Words.say("conductor_controller.voltage_lost"), Words.figure(drop, "V"), share));
    }
}
