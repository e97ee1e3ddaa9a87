package zestymarten.web.api;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.Members;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.network.Nets;
import zestymarten.core.plan.Coverage;
import zestymarten.core.plan.Method;
import zestymarten.core.plan.Procedure;
import zestymarten.core.plan.Touch;
import zestymarten.core.quantity.Problem;
import zestymarten.web.platform.Refused;

/** What a method costs on an assembly and what it would miss, over HTTP; nothing is kept. */
@RestController
@RequestMapping(path = "/api/v1/analysis/plan", consumes = MediaType.APPLICATION_JSON_VALUE)
class PlanApi {
    /** The most nets that are planned touch by touch in one answer. */
    private static final int MOST_NETS = 200;

    private static final double TOUCH_S = 5;
    private static final double SETUP_S = 20;
    private static final double WALK_S = 120;

    /** A touch of the plan. */
    record Step(String a, String b, List<List<String>> setup, String state, String quantity) {}

    /** How many faults of a kind there are, and how many would be seen. */
    record Covered(String kind, int all, int seen) {}

    /** A plan with its price and its blind spots. */
    record Planned(
            String method,
            int touches,
            int moves,
            int setups,
            int states,
            int walks,
            double seconds,
            List<Step> steps,
            List<Covered> coverage,
            List<String> indistinguishable,
            List<String> blindSpots) {}

    /** Prices in seconds; the moves of the probes are in the touch's, unless they have one of their own. */
    private record Prices(double touch, double move, double setup, double walk) {
        static Prices of(Members document) {
            Optional<Members> given = document.object("prices");
            Prices prices = new Prices(
                    price(given, "touch_s", TOUCH_S),
                    price(given, "move_s", 0),
                    price(given, "setup_s", SETUP_S),
                    price(given, "walk_s", WALK_S));
            given.ifPresent(Members::done);
            return prices;
        }

        private static double price(Optional<Members> given, String name, double usual) {
            double seconds =
                    given.map(members -> members.number(name).orElse(usual)).orElse(usual);
            if (!(seconds >= 0 && seconds <= 86_400)) {
                given.ifPresent(members -> members.problem(name, "Read " + seconds + "; expected 0 to 86400 seconds."));
            }
            return seconds;
        }
    }

    @PostMapping
    Planned plan(@RequestBody String body) {
        List<Problem> problems = new ArrayList<>();
        Members document = Members.read(body, problems).orElseThrow(() -> new Refused(problems));
        Method method = method(document);
        Prices prices = Prices.of(document);
        Optional<Members> given = document.object("assembly");
        if (given.isEmpty()) {
            document.problem("assembly", "Expected an assembly; it is missing.");
        }
        Optional<Assembly> assembly = given.flatMap(each -> AssemblyReader.read(each, problems));
        document.done();
        if (!problems.isEmpty() || assembly.isEmpty()) {
            throw new Refused(problems);
        }
        return planned(assembly.get(), method, prices);
    }

    private static Method method(Members document) {
        String code = document.text("method").orElse(Method.BOTH_ENDS.code());
        Optional<Method> method = Method.of(code);
        if (method.isEmpty()) {
            String known = Arrays.stream(Method.values()).map(Method::code).collect(Collectors.joining(", "));
            document.problem("method", "Read '" + code + "'; expected one of " + known + ".");
        }
        List<String> tools = document.texts("tools");
        if (!tools.isEmpty()) {
            method.map(Method::tools).orElse(Set.of()).stream()
                    .filter(tool -> !tools.contains(tool.code()))
                    .forEach(tool -> document.problem(
                            "tools", "The method " + code + " takes '" + tool.code() + "': " + tool.words() + "."));
        }
        return method.orElse(Method.BOTH_ENDS);
    }

    private static Planned planned(Assembly assembly, Method method, Prices prices) {
        Nets nets = Nets.of(assembly);
        if (nets.all().size() > MOST_NETS) {
            throw new Refused(
                    "assembly",
                    "There are " + nets.all().size() + " nets; a plan is given touch by touch for at most " + MOST_NETS
                            + ". Plan a connector at a time.");
        }
        Procedure procedure = Procedure.of(assembly, nets, method);
        Coverage coverage = Coverage.of(assembly, nets, method);
        return new Planned(
                method.code(),
                procedure.touches().size(),
                procedure.moves(),
                procedure.setups(),
                procedure.states(),
                method.walks(),
                procedure.seconds(prices.touch(), prices.move(), prices.setup(), prices.walk()),
                procedure.touches().stream().map(PlanApi::step).toList(),
                Arrays.stream(Coverage.Fault.values())
                        .filter(coverage.counts()::containsKey)
                        .map(kind -> covered(kind, coverage))
                        .toList(),
                coverage.alike(),
                coverage.blindSpots());
    }

    private static Covered covered(Coverage.Fault kind, Coverage coverage) {
        Coverage.Count count = coverage.counts().getOrDefault(kind, new Coverage.Count(0, 0));
        return new Covered(kind.code(), count.all(), count.seen());
    }

    private static Step step(Touch touch) {
        return new Step(
                touch.black().name(),
                touch.red().name(),
                touch.ties().stream()
                        .map(tie -> tie.stream().map(Terminal::name).toList())
                        .toList(),
                touch.state().id(),
                touch.insulation() ? "insulation" : "resistance");
    }
}
