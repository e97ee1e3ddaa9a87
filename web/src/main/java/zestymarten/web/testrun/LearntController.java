package zestymarten.web.testrun;

import java.security.Principal;
import java.util.ArrayList;
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
import zestymarten.core.limit.Learnt;
import zestymarten.web.assembly.Assemblies;

/** Limits learnt from good units of a wiring: what they teach, beside what is in force. */
@Controller
class LearntController {
    private final Learning learning;
    private final Assemblies assemblies;

    LearntController(Learning learning, Assemblies assemblies) {
        this.learning = learning;
        this.assemblies = assemblies;
    }

    /** A wire's figures as ready text; empty where there are none. */
    record LearntWireView(String wire, String units, String mean, String spread, String most, String inForce) {}

    @GetMapping("/assemblies/{id}/learnt")
    String learnt(@PathVariable long id, Model model) {
        Map<String, Learnt> taught = learning.taught(id);
        Map<String, Learnt> inForce = learning.inForce(id);
        Set<String> wires = new LinkedHashSet<>(taught.keySet());
        wires.addAll(inForce.keySet());
        List<LearntWireView> views = new ArrayList<>();
        for (String wire : wires) {
            views.add(view(wire, Optional.ofNullable(taught.get(wire)), Optional.ofNullable(inForce.get(wire))));
        }
        model.addAttribute("wiring", assemblies.latest(id));
        model.addAttribute("wires", views);
        model.addAttribute("teaches", !taught.isEmpty());
        return "testrun/learnt";
    }

    private static LearntWireView view(String wire, Optional<Learnt> taught, Optional<Learnt> inForce) {
        return new LearntWireView(
                wire,
                taught.map(each -> String.valueOf(each.units())).orElse(""),
                taught.map(each -> each.meanOhm().text()).orElse(""),
                taught.map(each -> each.spreadOhm().text()).orElse(""),
                taught.map(each -> each.most().text()).orElse(""),
                inForce.map(each -> each.most().text() + ", from " + each.units() + " units")
                        .orElse("none"));
    }

    @PostMapping("/assemblies/{id}/learnt")
    String learn(@PathVariable long id, Principal who) {
        learning.learn(id, who.getName());
        return "redirect:/assemblies/" + id + "/learnt";
    }
}
