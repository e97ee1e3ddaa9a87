package zestymarten.web.testrun;

import java.security.Principal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.finding.FaultHistory;
import zestymarten.core.finding.Finding;
import zestymarten.core.limit.LearntResistance;
import zestymarten.core.quantity.Ohms;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.platform.Words;

/** Limits learnt from good units of an assembly: what they teach, beside what is in force. */
@Controller
class LearntController {
    private static final int SHOWN = 40;

    private final Learning learning;
    private final Assemblies assemblies;

    LearntController(Learning learning, Assemblies assemblies) {
        this.learning = learning;
        this.assemblies = assemblies;
    }

    /** A wire's figures as ready text; empty where there are none. */
    record LearntWireView(String wire, String units, String mean, String spread, String maximum, String inForce) {}

    @GetMapping("/assemblies/{id}/learnt")
    String learnt(@PathVariable long id, Model model) {
        Map<String, LearntResistance> taught = learning.taught(id);
        Map<String, LearntResistance> inForce = learning.inForce(id);
        Set<String> wires = new LinkedHashSet<>(taught.keySet());
        wires.addAll(inForce.keySet());
        List<LearntWireView> views = new ArrayList<>();
        for (String wire : wires) {
            views.add(view(wire, Optional.ofNullable(taught.get(wire)), Optional.ofNullable(inForce.get(wire))));
        }
        model.addAttribute("revision", assemblies.latest(id));
        model.addAttribute("wires", views);
        FaultHistory found = learning.found(id);
        FaultHistory begins = learning.historyInForce(id);
        model.addAttribute("teaches", !taught.isEmpty() || found.tests() > 0 || begins.tests() > 0);
        model.addAttribute("tests", found.tests());
        model.addAttribute("begins", begins.tests());
        model.addAttribute("faults", faults(found, begins));
        return "testrun/learnt";
    }

    private static LearntWireView view(
            String wire, Optional<LearntResistance> taught, Optional<LearntResistance> inForce) {
        return new LearntWireView(
                wire,
                taught.map(each -> String.valueOf(each.units())).orElse(""),
                taught.map(each -> ohms(each.meanOhm())).orElse(""),
                taught.map(each -> ohms(each.spreadOhm())).orElse(""),
                taught.map(each -> ohms(each.maximum())).orElse(""),
                inForce.map(each -> Words.say("learnt_controller.from_units", each.maximum(), each.units()))
                        .orElse(Words.say("learnt_controller.none")));
    }

    private static String ohms(Ohms ohms) {
        return Words.figure(ohms.value(), "Ω");
    }

    /**
     * How often a fault was found.
     *
     * @param inForce in how many tests as it is in force; empty where it is not
     */
    record LearntFaultView(String kind, String name, int tests, String inForce) {}

    private static List<LearntFaultView> faults(FaultHistory found, FaultHistory begins) {
        return found.counts().entrySet().stream()
                .sorted(Comparator.comparing((Map.Entry<FaultHistory.FaultOf, Integer> each) -> -each.getValue())
                        .thenComparing(each -> each.getKey().name())
                        .thenComparing(each -> each.getKey().kind()))
                .limit(SHOWN)
                .map(each -> new LearntFaultView(
                        Words.say(Finding.wordOf(each.getKey().kind())),
                        each.getKey().name(),
                        each.getValue(),
                        begins.counts().containsKey(each.getKey())
                                ? begins.counts().get(each.getKey()) + " / " + begins.tests()
                                : ""))
                .toList();
    }

    /** @param faults whether the diagnosis is to begin with the faults that units had */
    @PostMapping("/assemblies/{id}/learnt")
    String learn(@PathVariable long id, @RequestParam(defaultValue = "false") boolean faults, Principal who) {
        learning.learn(id, faults, who.getName());
        return "redirect:/assemblies/" + id + "/learnt";
    }
}
