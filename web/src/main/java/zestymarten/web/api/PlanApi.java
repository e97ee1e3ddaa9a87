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
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.JsonMembers;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.network.Nets;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Problem;
import zestymarten.core.testplan.CoverageAnalysis;
import zestymarten.core.testplan.ProbePlacement;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testrun.EffortModel;
import zestymarten.core.testrun.MeasurementPlan;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;
import zestymarten.web.testrun.TestRuns;

/** What a method costs on an assembly and what it would miss, over HTTP; nothing is kept. */
@RestController
@RequestMapping(path = "/api/v1/analysis/plan", consumes = MediaType.APPLICATION_JSON_VALUE)
class PlanApi {
    /** The most nets that are planned measurement by measurement in one answer. */
    private static final int MAX_NETS = 200;

    private static final double MAX_S = 3600;

    /** A measurement of the plan. */
    record Step(String a, String b, List<List<String>> setup, String state, String quantity) {}

    /** How many faults of a kind there are, and how many would be seen. */
    record CoverageOut(String kind, int all, int seen) {}

    /** A plan with its price and its blind spots. */
    record PlanOut(
            String method,
            long touches,
            long checks,
            long moves,
            long setups,
            int states,
            long walks,
            double seconds,
            List<Step> steps,
            List<CoverageOut> coverage,
            List<String> indistinguishable,
            List<String> blindSpots) {}

    private static EffortModel.Pace pace(JsonMembers document) {
        Optional<JsonMembers> given = document.object("prices");
        EffortModel.Pace usual = EffortModel.Pace.USUAL;
        EffortModel.Pace pace = new EffortModel.Pace(
                price(given, "touch_s", usual.measurement()),
                price(given, "move_s", usual.move()),
                price(given, "setup_s", usual.setup()),
                price(given, "walk_s", usual.trip()));
        given.ifPresent(JsonMembers::done);
        return pace;
    }

    private static double price(Optional<JsonMembers> given, String name, double usual) {
        double seconds =
                given.map(members -> members.number(name).orElse(usual)).orElse(usual);
        if (!(seconds >= 0 && seconds <= MAX_S)) {
            given.ifPresent(members ->
                    members.problem(name, Message.of("plan_api.read_expected_seconds", Message.figure(seconds, ""))));
            return usual;
        }
        return seconds;
    }

    @PostMapping
    PlanOut plan(@RequestBody String body) {
        List<Problem> problems = new ArrayList<>();
        JsonMembers document = JsonMembers.read(body, problems).orElseThrow(() -> new Refusal(problems));
        TestMethod method = method(document);
        EffortModel.Pace pace = pace(document);
        Optional<JsonMembers> given = document.object("assembly");
        if (given.isEmpty()) {
            document.problem("assembly", Message.of("plan_api.expected_assembly_missing"));
        }
        Optional<Assembly> assembly = given.flatMap(each -> AssemblyReader.read(each, problems));
        document.done();
        if (!problems.isEmpty() || assembly.isEmpty()) {
            throw new Refusal(problems);
        }
        return planned(assembly.get(), method, pace);
    }

    private static TestMethod method(JsonMembers document) {
        String code = document.text("method").orElse(TestMethod.BOTH_ENDS.code());
        Optional<TestMethod> method = TestMethod.of(code);
        if (method.isEmpty()) {
            String known =
                    Arrays.stream(TestMethod.values()).map(TestMethod::code).collect(Collectors.joining(", "));
            document.problem("method", Message.of("plan_api.not_accepted_expected_one", code, known));
        }
        List<String> tools = document.texts("tools");
        if (!tools.isEmpty()) {
            method.map(TestMethod::tools).orElse(Set.of()).stream()
                    .filter(tool -> !tools.contains(tool.code()))
                    .forEach(tool -> document.problem(
                            "tools", Message.of("plan_api.method_takes", code, tool.code(), tool.words())));
        }
        return method.orElse(TestMethod.BOTH_ENDS);
    }

    private static PlanOut planned(Assembly assembly, TestMethod method, EffortModel.Pace pace) {
        Nets nets = Nets.of(assembly);
        if (nets.all().size() > MAX_NETS) {
            throw new Refusal(
                    "assembly",
                    Message.of("plan_api.there_nets_plan_given", nets.all().size(), MAX_NETS));
        }
        MeasurementPlan plan =
                MeasurementPlan.of(Design.of(assembly, TestRuns.USUAL.ambientC()), method, TestRuns.USUAL);
        CoverageAnalysis coverage = plan.coverage();
        return new PlanOut(
                method.code(),
                plan.effort().measurements(),
                plan.effort().checks(),
                plan.effort().moves(),
                plan.effort().setups(),
                plan.positions(),
                plan.effort().trips(),
                plan.effort().seconds(pace),
                plan.measurements().stream().map(PlanApi::step).toList(),
                Arrays.stream(CoverageAnalysis.PossibleFault.values())
                        .filter(coverage.counts()::containsKey)
                        .map(kind -> covered(kind, coverage))
                        .toList(),
                Words.all(coverage.indistinguishable()),
                Words.all(coverage.blindSpots()));
    }

    private static CoverageOut covered(CoverageAnalysis.PossibleFault kind, CoverageAnalysis coverage) {
        CoverageAnalysis.Count count = coverage.counts().getOrDefault(kind, new CoverageAnalysis.Count(0, 0));
        return new CoverageOut(kind.code(), count.all(), count.seen());
    }

    private static Step step(ProbePlacement measurement) {
        return new Step(
                measurement.black().name(),
                measurement.red().name(),
                measurement.links().stream()
                        .map(link -> link.stream().map(Terminal::name).toList())
                        .toList(),
                measurement.state().id(),
                measurement.quantity().code());
    }
}
