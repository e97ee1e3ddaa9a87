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
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.web.drawing.ConductorDrawing;
import zestymarten.web.platform.Refused;
import zestymarten.web.platform.Typed;
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
        Typed typed = WorksheetForm.typed(sheet.map(id -> sheets.fields(SavedSheet.SavedTool.CONDUCTOR, id))
                .orElse(fields));
        model.addAttribute("typed", typed.fields());
        model.addAttribute("metals", Metal.codes());
        model.addAttribute("classes", StrandClass.values());
        Optional<Feeder> feeder = typed.fields().containsKey("length") ? feeder(typed) : Optional.empty();
        Optional<DeadShort> dead = feeder.flatMap(each -> dead(each, typed));
        model.addAttribute("says", feeder.map(Feeder::says).orElse(""));
        model.addAttribute("fit", feeder.map(each -> each.fit().name()).orElse(""));
        model.addAttribute("shortSays", dead.map(DeadShort::says).orElse(""));
        model.addAttribute("cutOff", dead.map(DeadShort::isCutOff).orElse(true));
        model.addAttribute("facts", facts(feeder, dead, typed));
        model.addAttribute(
                "section", feeder.map(each -> ConductorDrawing.section(each.areaMm2(), each.effectiveMm2())));
        model.addAttribute("band", dead.flatMap(each -> each.protection().map(by -> ConductorDrawing.band(by, each))));
        model.addAttribute("trouble", typed.problems());
        model.addAttribute("kept", sheets.last(SavedSheet.SavedTool.CONDUCTOR));
        return "conductor/conductor";
    }

    @Override
    public SavedSheet.SavedTool tool() {
        return SavedSheet.SavedTool.CONDUCTOR;
    }

    @Override
    public SavedSheet kept(Typed typed) {
        Optional<Feeder> feeder = feeder(typed);
        Optional<DeadShort> dead = feeder.flatMap(each -> dead(each, typed));
        if (!typed.isSound() || feeder.isEmpty()) {
            throw new Refused(typed.problems());
        }
        boolean bad = feeder.get().fit() == Feeder.Fit.TOO_MANY_OHMS
                || dead.filter(each -> !each.isCutOff()).isPresent();
        String verdict = bad ? "fault" : feeder.get().fit() == Feeder.Fit.TOO_FEW_OHMS ? "watch" : "good";
        String says = feeder.get().says() + dead.map(each -> " " + each.says()).orElse("");
        return new SavedSheet(SavedSheet.SavedTool.CONDUCTOR, typed.text("name"), typed.fields(), says, verdict);
    }

    private static Optional<Feeder> feeder(Typed typed) {
        int before = typed.problems().size();
        OptionalDouble length = typed.metres("length");
        OptionalDouble area = typed.section("area");
        OptionalDouble ohm = typed.figure("ohm", "the resistance, such as 7.62");
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
        } catch (IllegalArgumentException e) {
            typed.refuse("length", String.valueOf(e.getMessage()));
            return Optional.empty();
        }
    }

    private static Optional<DeadShort> dead(Feeder feeder, Typed typed) {
        if (!typed.has("volts")) {
            return Optional.empty();
        }
        int before = typed.problems().size();
        OptionalDouble volts = typed.figure("volts", "the source's volts, such as 230");
        OptionalDouble source = typed.figure("source", "the resistance of the source, such as 0.4");
        Optional<Protection> protection = protection(typed);
        if (source.isEmpty() && typed.problems().size() == before) {
            typed.refuse("source", "The resistance of the source is missing; 0.4 is usual for a house.");
        }
        if (typed.problems().size() > before) {
            return Optional.empty();
        }
        try {
            FeederWire.Insulation insulation =
                    DeadShort.insulation(feeder.metal(), "xlpe".equals(typed.text("insulation", "pvc")));
            return Optional.of(
                    new DeadShort(feeder, volts.getAsDouble(), source.getAsDouble(), insulation, protection));
        } catch (IllegalArgumentException e) {
            typed.refuse("volts", String.valueOf(e.getMessage()));
            return Optional.empty();
        }
    }

    private static Optional<Protection> protection(Typed typed) {
        String by = typed.text("protection", "none");
        if (by.equals("none")) {
            return Optional.empty();
        }
        OptionalDouble rated = typed.figure("rated", "its rated amperes, such as 10");
        if (rated.isEmpty()) {
            typed.refuse("rated", "The rated amperes of the protection are missing.");
            return Optional.empty();
        }
        try {
            return Optional.of(Protection.of(by, rated.getAsDouble()));
        } catch (IllegalArgumentException e) {
            typed.refuse("rated", String.valueOf(e.getMessage()));
            return Optional.empty();
        }
    }

    private static List<Fact> facts(Optional<Feeder> feeder, Optional<DeadShort> dead, Typed typed) {
        List<Fact> facts = new ArrayList<>();
        feeder.ifPresent(each -> {
            facts.add(new Fact(
                    "core measured",
                    EngineeringFormat.text(each.pathM(), "m"),
                    each.loop() ? "there and back" : "one way"));
            each.mostOhm()
                    .ifPresent(most -> facts.add(new Fact(
                            "limit",
                            EngineeringFormat.text(most, "Ω"),
                            each.strandClass() == StrandClass.VEHICLE ? "ISO 6722-1" : "IEC 60228")));
            each.impliedCelsius()
                    .ifPresent(celsius -> facts.add(new Fact(
                            "as declared it would be at",
                            Math.round(celsius) + " °C",
                            "from its resistance, if nothing else explains them")));
            joint(typed).ifPresent(facts::add);
        });
        dead.ifPresent(each -> {
            facts.add(new Fact("dead short, cold", EngineeringFormat.text(each.coldA(), "A"), "U / (source + loop)"));
            facts.add(new Fact(
                    "dead short, core at " + Math.round(each.hotCelsius()) + " °C",
                    EngineeringFormat.text(each.hotA(), "A"),
                    "loop " + EngineeringFormat.text(each.hotOhm(), "Ω")));
            facts.add(new Fact("heat", EngineeringFormat.text(each.wattsPerMetre(), "W") + " a metre", "I² R"));
            each.standsS()
                    .ifPresent(seconds -> facts.add(new Fact(
                            "its insulation stands that for about",
                            EngineeringFormat.text(seconds, "s"),
                            "adiabatic, IEC 60364-5-54")));
        });
        load(feeder, typed).ifPresent(facts::add);
        return facts;
    }

    /** Heat in a joint of so many ohms at the current in use. */
    private static Optional<Fact> joint(Typed typed) {
        OptionalDouble ohm = typed.figure("joint", "the resistance of a joint, such as 0.05");
        OptionalDouble amperes = typed.figure("amperes", "the amperes in use, such as 8");
        return ohm.isPresent() && amperes.isPresent()
                ? Optional.of(new Fact(
                        "heat in the joint",
                        EngineeringFormat.text(FeederWire.watts(amperes.getAsDouble(), ohm.getAsDouble()), "W"),
                        "I² R"))
                : Optional.empty();
    }

    /** The voltage lost at the current in use. */
    private static Optional<Fact> load(Optional<Feeder> feeder, Typed typed) {
        OptionalDouble amperes = typed.figure("amperes", "the amperes in use, such as 8");
        OptionalDouble volts = typed.figure("volts", "volts");
        if (feeder.isEmpty() || amperes.isEmpty() || !typed.isSound()) {
            return Optional.empty();
        }
        double loop = feeder.get().ohms() * (feeder.get().loop() ? 1 : 2);
        double drop = FeederWire.dropVolts(amperes.getAsDouble(), loop);
        String share = volts.isPresent() && volts.getAsDouble() > 0
                ? Math.round(1000 * drop / volts.getAsDouble()) / 10.0 + " % of "
                        + EngineeringFormat.text(volts.getAsDouble(), "V")
                : "I R, there and back";
        return Optional.of(new Fact("voltage lost", EngineeringFormat.text(drop, "V"), share));
    }
}
