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
import zestymarten.core.assembly.Awg;
import zestymarten.core.assembly.Metal;
import zestymarten.core.assembly.StrandClass;
import zestymarten.core.conductor.Breaker;
import zestymarten.core.conductor.DeadShort;
import zestymarten.core.conductor.Feeder;
import zestymarten.core.conductor.Fuse;
import zestymarten.core.conductor.Protection;
import zestymarten.core.conductor.Wire;
import zestymarten.core.quantity.Celsius;
import zestymarten.core.quantity.Engineering;
import zestymarten.core.quantity.ReadingLanguage;
import zestymarten.core.quantity.Understood;
import zestymarten.web.drawing.ConductorDrawing;

/** One conductor: what was typed stands in the address, so that it can be kept and passed on. */
@Controller
class ConductorController {
    private static final String USUAL_C = "20";

    /** A figure with its unit and where it comes from. */
    record Fact(String name, String value, String source) {}

    @GetMapping("/conductor")
    String desk(@RequestParam Map<String, String> typed, Model model) {
        List<String> trouble = new ArrayList<>();
        model.addAttribute("typed", typed);
        model.addAttribute("metals", Metal.codes());
        model.addAttribute("classes", StrandClass.values());
        Optional<Feeder> feeder = typed.containsKey("length") ? feeder(typed, trouble) : Optional.empty();
        Optional<DeadShort> dead = feeder.flatMap(each -> dead(each, typed, trouble));
        model.addAttribute("trouble", trouble);
        model.addAttribute("says", feeder.map(Feeder::says).orElse(""));
        model.addAttribute("fit", feeder.map(each -> each.fit().name()).orElse(""));
        model.addAttribute("shortSays", dead.map(DeadShort::says).orElse(""));
        model.addAttribute("cutOff", dead.map(DeadShort::isCutOff).orElse(true));
        model.addAttribute("facts", facts(feeder, dead, typed, trouble));
        model.addAttribute(
                "section", feeder.map(each -> ConductorDrawing.section(each.areaMm2(), each.effectiveMm2())));
        model.addAttribute("band", dead.flatMap(each -> each.protection().map(by -> ConductorDrawing.band(by, each))));
        return "conductor/conductor";
    }

    private static Optional<Feeder> feeder(Map<String, String> typed, List<String> trouble) {
        int before = trouble.size();
        OptionalDouble length = figure("length", "the length in metres, such as 38", typed, trouble);
        OptionalDouble area = area(typed, trouble);
        OptionalDouble ohm = figure("ohm", "the ohms, such as 7.62", typed, trouble);
        OptionalDouble celsius = Celsius.of(typed.getOrDefault("celsius", USUAL_C));
        if (celsius.isEmpty()) {
            trouble.add("Read '" + typed.get("celsius") + "'; expected " + Celsius.EXPECTED + ".");
        }
        if (trouble.size() > before) {
            return Optional.empty();
        }
        try {
            return Optional.of(new Feeder(
                    Metal.of(typed.getOrDefault("metal", "copper")).orElse(Metal.COPPER),
                    StrandClass.of(typed.getOrDefault("class", "5")).orElse(StrandClass.FIVE),
                    length,
                    area,
                    ohm,
                    "loop".equals(typed.getOrDefault("of", "loop")),
                    celsius.getAsDouble()));
        } catch (IllegalArgumentException e) {
            trouble.add(String.valueOf(e.getMessage()));
            return Optional.empty();
        }
    }

    /** A section in mm², or AWG said as such. */
    private static OptionalDouble area(Map<String, String> typed, List<String> trouble) {
        String text = typed.getOrDefault("area", "").strip();
        if (text.toLowerCase(java.util.Locale.ROOT).contains("awg")) {
            var gauge = Awg.parse(text);
            if (gauge.isEmpty()) {
                trouble.add("Read '" + text + "'; expected a gauge such as 20 AWG or 2/0 AWG.");
                return OptionalDouble.empty();
            }
            return OptionalDouble.of(Awg.areaMm2(gauge.getAsInt()));
        }
        return figure("area", "the section in mm², such as 0.75, or a gauge such as 20 AWG", typed, trouble);
    }

    private static Optional<DeadShort> dead(Feeder feeder, Map<String, String> typed, List<String> trouble) {
        if (typed.getOrDefault("volts", "").isBlank()) {
            return Optional.empty();
        }
        int before = trouble.size();
        OptionalDouble volts = figure("volts", "the source's volts, such as 230", typed, trouble);
        OptionalDouble source = figure("source", "the ohms of the source, such as 0.4", typed, trouble);
        Optional<Protection> protection = protection(typed, trouble);
        if (source.isEmpty() && trouble.size() == before) {
            trouble.add("The ohms of the source are missing; 0.4 is usual for a house.");
        }
        if (trouble.size() > before) {
            return Optional.empty();
        }
        try {
            Wire.Insulation insulation =
                    DeadShort.insulation(feeder.metal(), "xlpe".equals(typed.getOrDefault("insulation", "pvc")));
            return Optional.of(
                    new DeadShort(feeder, volts.getAsDouble(), source.getAsDouble(), insulation, protection));
        } catch (IllegalArgumentException e) {
            trouble.add(String.valueOf(e.getMessage()));
            return Optional.empty();
        }
    }

    private static Optional<Protection> protection(Map<String, String> typed, List<String> trouble) {
        String by = typed.getOrDefault("protection", "none");
        if (by.equals("none")) {
            return Optional.empty();
        }
        OptionalDouble rated = figure("rated", "its rated amperes, such as 10", typed, trouble);
        if (rated.isEmpty()) {
            trouble.add("The rated amperes of the protection are missing.");
            return Optional.empty();
        }
        try {
            return Optional.of(
                    by.equals("gG")
                            ? new Fuse(rated.getAsDouble())
                            : new Breaker(Breaker.Curve.valueOf(by), rated.getAsDouble()));
        } catch (IllegalArgumentException e) {
            trouble.add(String.valueOf(e.getMessage()));
            return Optional.empty();
        }
    }

    private static List<Fact> facts(
            Optional<Feeder> feeder, Optional<DeadShort> dead, Map<String, String> typed, List<String> trouble) {
        List<Fact> facts = new ArrayList<>();
        feeder.ifPresent(each -> {
            facts.add(new Fact(
                    "core measured", Engineering.text(each.pathM(), "m"), each.loop() ? "there and back" : "one way"));
            each.mostOhm()
                    .ifPresent(most -> facts.add(new Fact(
                            "at most",
                            Engineering.text(most, "Ω"),
                            each.strandClass() == StrandClass.VEHICLE ? "ISO 6722-1" : "IEC 60228")));
            joint(typed, trouble).ifPresent(facts::add);
        });
        dead.ifPresent(each -> {
            facts.add(new Fact("dead short, cold", Engineering.text(each.coldA(), "A"), "U / (source + loop)"));
            facts.add(new Fact(
                    "dead short, core at " + Math.round(each.hotCelsius()) + " °C",
                    Engineering.text(each.hotA(), "A"),
                    "loop " + Engineering.text(each.hotOhm(), "Ω")));
            facts.add(new Fact("heat", Engineering.text(each.wattsPerMetre(), "W") + " a metre", "I² R"));
            each.standsS()
                    .ifPresent(seconds -> facts.add(new Fact(
                            "its insulation stands that for about",
                            Engineering.text(seconds, "s"),
                            "adiabatic, IEC 60364-5-54")));
        });
        load(feeder, typed, trouble).ifPresent(facts::add);
        return facts;
    }

    /** Heat in a joint of so many ohms at the current in use. */
    private static Optional<Fact> joint(Map<String, String> typed, List<String> trouble) {
        OptionalDouble ohm = figure("joint", "the ohms of a joint, such as 0.05", typed, trouble);
        OptionalDouble amperes = figure("amperes", "the amperes in use, such as 8", typed, trouble);
        return ohm.isPresent() && amperes.isPresent()
                ? Optional.of(new Fact(
                        "heat in the joint",
                        Engineering.text(Wire.watts(amperes.getAsDouble(), ohm.getAsDouble()), "W"),
                        "I² R"))
                : Optional.empty();
    }

    /** The voltage lost at the current in use. */
    private static Optional<Fact> load(Optional<Feeder> feeder, Map<String, String> typed, List<String> trouble) {
        OptionalDouble amperes = figure("amperes", "the amperes in use, such as 8", typed, new ArrayList<>());
        OptionalDouble volts = figure("volts", "volts", typed, new ArrayList<>());
        if (feeder.isEmpty() || amperes.isEmpty() || !trouble.isEmpty()) {
            return Optional.empty();
        }
        double loop = feeder.get().ohms() * (feeder.get().loop() ? 1 : 2);
        double drop = Wire.dropVolts(amperes.getAsDouble(), loop);
        String share = volts.isPresent() && volts.getAsDouble() > 0
                ? Math.round(1000 * drop / volts.getAsDouble()) / 10.0 + " % of "
                        + Engineering.text(volts.getAsDouble(), "V")
                : "I R, there and back";
        return Optional.of(new Fact("voltage lost", Engineering.text(drop, "V"), share));
    }

    private static OptionalDouble figure(
            String field, String expected, Map<String, String> typed, List<String> trouble) {
        String text = typed.getOrDefault(field, "").strip();
        if (text.isEmpty()) {
            return OptionalDouble.empty();
        }
        if (new ReadingLanguage(false).understand(text) instanceof Understood.Value value && value.value() > 0) {
            return OptionalDouble.of(value.value());
        }
        trouble.add("Read '" + text + "'; expected " + expected + ".");
        return OptionalDouble.empty();
    }
}
