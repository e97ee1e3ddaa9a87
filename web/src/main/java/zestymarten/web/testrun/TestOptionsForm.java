package zestymarten.web.testrun;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.limit.InsulationRule;
import zestymarten.core.limit.WithstandRule;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.Problem;
import zestymarten.core.quantity.ReadingParser;
import zestymarten.core.testplan.Moisture;
import zestymarten.core.testplan.Order;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;

/**
 * How a run goes about its unit, as the fields of a form; and the fields that say a way that is known.
 *
 * @param fields by their names; what is not there is empty
 */
public record TestOptionsForm(Map<String, String> fields) {
    /** The fields that say an approach. */
    public static final Set<String> NAMES = Set.of(
            "method",
            "in_place",
            "quick",
            "test_v",
            "least",
            "least_by",
            "moisture",
            "withstand_v",
            "withstand_hz",
            "withstand_pf",
            "withstand_ma",
            "withstand_s",
            "order",
            "first");

    private static final double PICO = 1e-12;
    private static final double MILLI = 1e-3;

    /** The fields that say a known approach. */
    static TestOptionsForm of(TestOptions approach) {
        Optional<WithstandRule> withstand = approach.withstand();
        return new TestOptionsForm(Map.ofEntries(
                Map.entry("method", approach.method().code()),
                Map.entry("in_place", String.valueOf(approach.inPlace())),
                Map.entry("quick", String.valueOf(approach.quick())),
                Map.entry(
                        "test_v",
                        approach.insulation().map(each -> figure(each.testV())).orElse("")),
                Map.entry(
                        "least",
                        approach.insulation().map(TestOptionsForm::minimum).orElse("")),
                Map.entry("least_by", minBy(approach.insulation())),
                Map.entry("moisture", approach.moisture().code()),
                Map.entry(
                        "withstand_v",
                        withstand.map(each -> figure(each.volts())).orElse("")),
                Map.entry(
                        "withstand_hz",
                        withstand.map(each -> figure(each.hertz(), 1)).orElse("50")),
                Map.entry(
                        "withstand_pf",
                        withstand
                                .map(each -> figure(each.faradPerMetre(), PICO))
                                .orElse("")),
                Map.entry(
                        "withstand_ma",
                        withstand.map(each -> figure(each.maxA() / MILLI)).orElse("1")),
                Map.entry(
                        "withstand_s",
                        withstand.map(each -> figure(each.seconds())).orElse("60")),
                Map.entry(
                        "order",
                        approach.order().movable().stream().map(Stage::code).collect(Collectors.joining(" "))),
                Map.entry("first", String.join(" ", approach.order().first()))));
    }

    private static String minBy(Optional<InsulationRule> rule) {
        return rule.isPresent() && rule.get().minOhm().isPresent()
                ? "figure"
                : rule.isPresent() && rule.get().megohmKm().isPresent() ? "length" : "standard";
    }

    private static String minimum(InsulationRule rule) {
        return rule.minOhm().isPresent() ? figure(rule.minOhm(), 1e6) : figure(rule.megohmKm(), 1);
    }

    private static String figure(double value) {
        return EngineeringFormat.figure(value);
    }

    private static String figure(OptionalDouble value, double unit) {
        return value.isPresent() ? EngineeringFormat.figure(value.getAsDouble() / unit) : "";
    }

    /** What a field says; empty if it is not there. */
    public String field(String name) {
        return fields.getOrDefault(name, "").strip();
    }

    /** The stages in the order of the form, with their titles. */
    public List<Stage> stages() {
        return Arrays.stream(field("order").split(" ")).map(Stage::of).toList();
    }

    /**
     * The approach that the fields say.
     *
     * @param assembly whose wires may come first
     * @param problems gains what makes no sense
     */
    Optional<TestOptions> approach(Assembly assembly, List<Problem> problems) {
        int before = problems.size();
        String code = field("method").isEmpty() ? TestMethod.BOTH_ENDS.code() : field("method");
        Optional<TestMethod> method = TestMethod.of(code).filter(each -> each != TestMethod.INSULATION);
        if (method.isEmpty()) {
            problems.add(new Problem("method", Message.of("test_options_form.not_accepted_expected_way", code)));
        }
        Optional<InsulationRule> insulation = insulation(problems);
        Optional<WithstandRule> withstand = withstand(problems);
        Optional<Moisture> moisture = Stream.of(Moisture.values())
                .filter(each -> each.code().equals(field("moisture")))
                .findFirst();
        Optional<Order> order = order(assembly, problems);
        if (problems.size() > before) {
            return Optional.empty();
        }
        try {
            return Optional.of(new TestOptions(
                    method.orElseThrow(),
                    field("in_place").equals("true"),
                    field("quick").equals("true"),
                    insulation,
                    moisture.orElse(Moisture.NONE),
                    withstand,
                    order.orElse(Order.USUAL)));
        } catch (NotAccepted e) {
            problems.add(new Problem("method", e.what()));
            return Optional.empty();
        }
    }

    /** The same, refused with every problem where it makes no sense. */
    public TestOptions approach(Assembly assembly) {
        List<Problem> problems = new ArrayList<>();
        return approach(assembly, problems).orElseThrow(() -> new Refusal(problems));
    }

    private Optional<InsulationRule> insulation(List<Problem> problems) {
        OptionalDouble volts = number("test_v", Words.say("test_options_form.volts_dc_or_nothing"), 5000, problems);
        if (volts.isEmpty()) {
            return Optional.empty();
        }
        String by = field("least_by");
        boolean asked = by.equals("figure") || by.equals("length");
        OptionalDouble minimum = asked
                ? number(
                        "least",
                        by.equals("figure")
                                ? Words.say("test_options_form.megohm_such_as")
                                : Words.say("test_options_form.megohm_km_such_as"),
                        1e6,
                        problems)
                : OptionalDouble.empty();
        if (asked && minimum.isEmpty()) {
            problems.add(new Problem("least", Message.of("test_options_form.read_nothing_expected_minimum")));
            return Optional.empty();
        }
        return Optional.of(new InsulationRule(
                volts.getAsDouble(),
                by.equals("figure") ? OptionalDouble.of(minimum.orElse(0) * 1e6) : OptionalDouble.empty(),
                by.equals("length") ? minimum : OptionalDouble.empty()));
    }

    private Optional<WithstandRule> withstand(List<Problem> problems) {
        int before = problems.size();
        OptionalDouble volts =
                number("withstand_v", Words.say("test_options_form.volts_or_nothing_no"), 20_000, problems);
        if (volts.isEmpty()) {
            return Optional.empty();
        }
        OptionalDouble hertz =
                number("withstand_hz", Words.say("test_options_form.hertz_up_or_nothing"), 400, problems);
        OptionalDouble pico =
                number("withstand_pf", Words.say("test_options_form.picofarad_per_metre_or"), 1e6, problems);
        OptionalDouble maximum = number("withstand_ma", Words.say("test_options_form.milliampere_up"), 1000, problems);
        OptionalDouble seconds = number("withstand_s", Words.say("test_options_form.seconds_up"), 3600, problems);
        if (maximum.isEmpty() || seconds.isEmpty()) {
            problems.add(new Problem("withstand_ma", Message.of("test_options_form.withstand_test_needs_maximum")));
        }
        return problems.size() > before
                ? Optional.empty()
                : Optional.of(new WithstandRule(
                        volts.getAsDouble(),
                        hertz,
                        pico.isPresent() ? OptionalDouble.of(pico.getAsDouble() * PICO) : OptionalDouble.empty(),
                        maximum.orElse(0) * MILLI,
                        seconds.orElse(0)));
    }

    /** A bare figure above 0; nothing is no figure, anything else a problem. */
    private OptionalDouble number(String name, String expected, double maximum, List<Problem> problems) {
        String typed = field(name).toUpperCase(Locale.ROOT).replaceAll(" ?(V|HZ|MA|S)$", "");
        if (typed.isEmpty()) {
            return OptionalDouble.empty();
        }
        boolean figure = new ReadingParser(false).understand(typed) instanceof MeterReading.Value value
                && value.value() > 0
                && value.value() <= maximum;
        if (!figure) {
            problems.add(
                    new Problem(name, Message.of("test_options_form.not_accepted_expected", field(name), expected)));
            return OptionalDouble.empty();
        }
        return new ReadingParser(false).understand(typed).figure();
    }

    private Optional<Order> order(Assembly assembly, List<Problem> problems) {
        List<String> first = ApproachRow.words(field("first"));
        Set<String> wires = assembly.conductors().stream().map(Conductor::id).collect(Collectors.toSet());
        first.stream()
                .filter(each -> !wires.contains(each))
                .forEach(each -> problems.add(
                        new Problem("first", Message.of("test_options_form.not_accepted_expected_wires", each))));
        try {
            List<Stage> stages = field("order").isEmpty() ? Order.MOVABLE : stages();
            return Optional.of(new Order(stages, first));
        } catch (NotAccepted e) {
            problems.add(new Problem("order", e.what()));
            return Optional.empty();
        }
    }
}
