package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.JsonMembers;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;

/** Reads conditions, readings and pairs of terminals in the open format; every problem is reported with its member's path. */
public final class AnalysisReader {
    /** The most readings that one call takes. */
    public static final int MAX_READINGS = 200_000;

    private static final MeterProfile USUAL = new MeterProfile("meter", 0.01, 0.1, 30, false, 20e6);

    private AnalysisReader() {}

    /** A pair of terminals in an arrangement. */
    public record TerminalPair(Terminal a, Terminal b, SwitchState state, List<List<Terminal>> links) {}

    /** The conditions of a document; the usual ones where a member is missing. */
    public static Optional<TestConditions> conditions(JsonMembers document) {
        Optional<JsonMembers> given = document.object("conditions");
        if (given.isEmpty()) {
            return Optional.of(new TestConditions(
                    20, USUAL, OptionalDouble.empty(), LeadPolicy.FULL, false, TestConditions.JOINED_BELOW_OHM));
        }
        JsonMembers conditions = given.get();
        double ambient = conditions.number("ambient_c").orElse(20);
        OptionalDouble leads = conditions.number("leads_ohm");
        String policy = conditions.text("lead_policy").orElse("full");
        String decision = conditions.text("decision").orElse("simple");
        double joined = conditions.number("joined_below_ohm").orElse(TestConditions.JOINED_BELOW_OHM);
        Optional<MeterProfile> meter = meter(conditions.object("meter"));
        conditions.done();
        if (!(ambient >= -80 && ambient <= 200)) {
            conditions.problem("ambient_c", Message.of("analysis_reader.read_expected", Message.figure(ambient, "")));
            return Optional.empty();
        }
        if (!Set.of("simple", "guarded").contains(decision)) {
            conditions.problem("decision", Message.of("analysis_reader.not_accepted_expected_simple", decision));
        }
        Optional<LeadPolicy> known = LeadPolicy.of(policy);
        if (known.isEmpty()) {
            conditions.problem("lead_policy", Message.of("analysis_reader.not_accepted_expected_full", policy));
        }
        if (known.isEmpty() || meter.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(
                    new TestConditions(ambient, meter.get(), leads, known.get(), decision.equals("guarded"), joined));
        } catch (NotAccepted e) {
            conditions.problem("", e.what());
            return Optional.empty();
        }
    }

    /** A meter's profile; the usual one if there is none, and its figures where a member is missing. */
    public static Optional<MeterProfile> meter(Optional<JsonMembers> given) {
        if (given.isEmpty()) {
            return Optional.of(USUAL);
        }
        JsonMembers meter = given.get();
        double accuracy = meter.number("accuracy").orElse(USUAL.accuracy());
        meter.number("counts");
        double resolution = meter.number("resolution_ohm").orElse(USUAL.resolutionOhm());
        double tone = meter.number("tone_below_ohm").orElse(USUAL.toneBelowOhm());
        String mark = meter.text("over_range").orElse("OL");
        double top = meter.number("top_ohm").orElse(USUAL.topOhm());
        meter.done();
        if (!Set.of("OL", "1").contains(mark)) {
            meter.problem("over_range", Message.of("analysis_reader.not_accepted_expected_ol", mark));
        }
        try {
            return Optional.of(new MeterProfile("meter", accuracy, resolution, tone, mark.equals("1"), top));
        } catch (NotAccepted e) {
            meter.problem("", e.what());
            return Optional.empty();
        }
    }

    /** The readings of a document, on the terminals and states of an assembly. */
    public static List<AnalysisReading> readings(JsonMembers document, Assembly assembly) {
        List<JsonMembers> all = document.objects("readings");
        if (all.size() > MAX_READINGS) {
            document.problem("readings", Message.of("analysis_reader.there_most_taken", all.size(), MAX_READINGS));
            return List.of();
        }
        Set<Terminal> terminals = new HashSet<>(assembly.terminals());
        List<AnalysisReading> readings = new ArrayList<>();
        for (JsonMembers each : all) {
            String typed = each.needed("as_typed");
            OptionalDouble top = each.number("range_top_ohm");
            String read = each.text("quantity").orElse("resistance");
            Optional<Quantity> quantity = Quantity.of(read);
            OptionalDouble testV = each.number("test_v");
            each.number("at_s");
            if (quantity.isEmpty()) {
                each.problem("quantity", Message.of("analysis_reader.not_accepted_expected_resistance", read));
            } else if (quantity.get().needsTestVoltage() && !(testV.orElse(0) > 0)) {
                each.problem("test_v", Message.of("analysis_reader.expected_test_voltage_reading", read));
                quantity = Optional.empty();
            }
            Optional<Observation.Since> since = since(each);
            Optional<Quantity> known = quantity;
            pair(each, assembly, terminals)
                    .flatMap(pair -> known.flatMap(of -> since.map(done -> new AnalysisReading(
                            pair.a(), pair.b(), typed, pair.state(), pair.links(), top, of, testV, done))))
                    .ifPresent(readings::add);
            each.done();
        }
        return readings;
    }

    private static Optional<Observation.Since> since(JsonMembers reading) {
        String read = reading.text("since").orElse("nothing");
        Optional<Observation.Since> since = Observation.Since.of(read);
        if (since.isEmpty()) {
            reading.problem("since", Message.of("analysis_reader.not_accepted_expected_nothing", read));
        }
        return since;
    }

    /** The pairs of a document. */
    public static List<TerminalPair> pairs(JsonMembers document, Assembly assembly) {
        Set<Terminal> terminals = new HashSet<>(assembly.terminals());
        List<TerminalPair> pairs = new ArrayList<>();
        for (JsonMembers each : document.objects("pairs")) {
            pair(each, assembly, terminals).ifPresent(pairs::add);
            each.done();
        }
        return pairs;
    }

    private static Optional<TerminalPair> pair(JsonMembers each, Assembly assembly, Set<Terminal> terminals) {
        Optional<Terminal> a = terminal(each, "a", each.needed("a"), terminals);
        Optional<Terminal> b = terminal(each, "b", each.needed("b"), terminals);
        Optional<String> named = each.text("state");
        Optional<SwitchState> state =
                named.isEmpty() ? Optional.of(assembly.states().get(0)) : named.flatMap(assembly::state);
        if (state.isEmpty()) {
            each.problem(
                    "state",
                    Message.of(
                            "analysis_reader.not_accepted_expected_one",
                            named.orElse(""),
                            String.join(
                                    ", ",
                                    assembly.states().stream()
                                            .map(SwitchState::id)
                                            .toList())));
        }
        List<List<Terminal>> links = new ArrayList<>();
        for (List<String> link : each.textLists("setup")) {
            links.add(link.stream()
                    .flatMap(name -> terminal(each, "setup", name, terminals).stream())
                    .toList());
        }
        if (a.isPresent() && a.equals(b)) {
            each.problem("b", Message.of("analysis_reader.both_probes_on_read", a.get()));
            return Optional.empty();
        }
        return a.isEmpty() || b.isEmpty() || state.isEmpty()
                ? Optional.empty()
                : Optional.of(new TerminalPair(a.get(), b.get(), state.get(), links));
    }

    private static Optional<Terminal> terminal(JsonMembers each, String member, String name, Set<Terminal> terminals) {
        Optional<Terminal> known = Terminal.parse(name).filter(terminals::contains);
        if (known.isEmpty() && !name.isEmpty()) {
            each.problem(member, Message.of("analysis_reader.no_terminal_assembly", name));
        }
        return known;
    }
}
