package zestymarten.web.where;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.limit.Limit;
import zestymarten.core.locate.Calculation;
import zestymarten.core.locate.Distance;
import zestymarten.core.locate.Distances;
import zestymarten.core.locate.Distances.Read;
import zestymarten.core.quantity.Engineering;
import zestymarten.web.drawing.DistanceDrawing;
import zestymarten.web.platform.NotFound;
import zestymarten.web.run.Run;
import zestymarten.web.run.Runs;

/** Where a fault is on one wire of a run. What was typed stands in the address, so that it can be kept and passed on. */
@Controller
class WhereController {
    private static final String USUAL_DOUBT = "2";
    private static final double MOST_DOUBT = 50;

    private final Runs runs;

    WhereController(Runs runs) {
        this.runs = runs;
    }

    /** A reading of a calculation as a field. */
    record FieldView(String name, String label, String such, String typed) {}

    /** A calculation with its fields, and what came of it. */
    record WayView(String title, List<FieldView> fields, String result, List<String> assumes, String trouble) {}

    @GetMapping("/runs/{id}/where")
    String where(
            @PathVariable long id, @RequestParam String wire, @RequestParam Map<String, String> typed, Model model) {
        Run run = runs.find(id);
        Conductor conductor = run.job().design().assembly().conductors().stream()
                .filter(each -> each.id().equals(wire))
                .findFirst()
                .orElseThrow(() -> new NotFound("There is no wire '" + wire + "' in this test."));
        model.addAttribute("run", run);
        model.addAttribute("chain", ChainViews.of(run.job(), conductor, typed));
        model.addAttribute("wire", conductor);
        Optional<Double> length = length(conductor, typed);
        model.addAttribute("length", length.map(Engineering::figure).orElse(""));
        String doubt = typed.getOrDefault("doubt", USUAL_DOUBT).strip();
        double share =
                Figures.figure(doubt).filter(each -> each <= MOST_DOUBT).orElse(Double.valueOf(USUAL_DOUBT)) / 100;
        model.addAttribute("doubt", Engineering.figure(100 * share));
        List<WayView> ways = new ArrayList<>();
        List<Distance> found = new ArrayList<>();
        for (Calculation each : Calculation.values()) {
            ways.add(view(run, conductor, each, typed, length, share, found));
        }
        List<Distance> together = found.size() < 2 ? found : List.of(Distances.together(found));
        model.addAttribute("ways", ways);
        model.addAttribute(
                "together", together.stream().map(WhereController::said).toList());
        model.addAttribute("drawing", length.map(metres -> DistanceDrawing.of(metres, found, together)));
        return "where/where";
    }

    private static Optional<Double> length(Conductor wire, Map<String, String> typed) {
        return Figures.figure(typed.getOrDefault("length", ""))
                .filter(each -> each > 0)
                .or(() ->
                        wire.lengthM().isPresent() ? Optional.of(wire.lengthM().getAsDouble()) : Optional.empty());
    }

    private static WayView view(
            Run run,
            Conductor wire,
            Calculation way,
            Map<String, String> typed,
            Optional<Double> length,
            double doubt,
            List<Distance> found) {
        List<FieldView> fields = new ArrayList<>();
        List<Read> reads = new ArrayList<>();
        List<String> trouble = new ArrayList<>();
        for (Calculation.Input input : way.inputs()) {
            String name = way.name() + fields.size();
            String text = typed.getOrDefault(name, "").strip();
            fields.add(new FieldView(
                    name,
                    input.unit().isEmpty() ? input.label() : input.label() + ", " + input.unit(),
                    input.such(),
                    text));
            Figures.figure(text).ifPresent(each -> reads.add(new Read(each, doubt * each)));
            if (!text.isEmpty() && Figures.figure(text).isEmpty()) {
                trouble.add("“" + text + "” is not accepted; expected a figure such as " + input.such() + ".");
            }
        }
        boolean ready = reads.size() == way.inputs().size();
        if (ready && length.isEmpty()) {
            trouble.add("Its length is not known. Type it above.");
        }
        if (!ready || length.isEmpty()) {
            return new WayView(way.title(), fields, "", List.of(), String.join(" ", trouble));
        }
        try {
            Distance distance = way.distance(new Calculation.Run(length.get(), perMetre(run, wire)), reads);
            found.add(distance);
            return new WayView(way.title(), fields, said(distance), distance.assumes(), "");
        } catch (IllegalArgumentException e) {
            return new WayView(way.title(), fields, "", List.of(), String.valueOf(e.getMessage()));
        }
    }

    /** Ohms per metre of the wire as designed, at the temperature of the run; 1 where nothing is known of it. */
    private static Read perMetre(Run run, Conductor wire) {
        Limit limit = run.job().design().limits().of(wire);
        boolean known = limit.nominal().isPresent() && wire.lengthM().isPresent();
        return Read.exact(
                known ? limit.nominal().orElseThrow().value() / wire.lengthM().getAsDouble() : 1);
    }

    private static String said(Distance distance) {
        return Engineering.text(distance.metres(), "m") + " from end 1, between "
                + Engineering.text(distance.from(), "m") + " and " + Engineering.text(distance.to(), "m") + ": "
                + distance.by() + ".";
    }
}
