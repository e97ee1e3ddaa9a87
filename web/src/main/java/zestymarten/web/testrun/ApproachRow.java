package zestymarten.web.testrun;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import zestymarten.core.limit.InsulationRule;
import zestymarten.core.limit.WithstandRule;
import zestymarten.core.testplan.Moisture;
import zestymarten.core.testplan.Order;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;

/** How a run goes about its unit, as stored with the run and with the plans of an assembly. */
record ApproachRow(
        String method,
        boolean inPlace,
        boolean quick,
        @Nullable Double testV,
        @Nullable Double insulationLeastOhm,
        @Nullable Double insulationMegohmKm,
        String moisture,
        @Nullable Double withstandV,
        @Nullable Double withstandHz,
        @Nullable Double withstandFPerM,
        @Nullable Double withstandMostA,
        @Nullable Double withstandS,
        String stageOrder,
        String firstWires) {

    static ApproachRow of(TestOptions approach) {
        Optional<InsulationRule> insulation = approach.insulation();
        Optional<WithstandRule> withstand = approach.withstand();
        return new ApproachRow(
                approach.method().code(),
                approach.inPlace(),
                approach.quick(),
                insulation.map(InsulationRule::testV).orElse(null),
                insulation.map(each -> cell(each.minOhm())).orElse(null),
                insulation.map(each -> cell(each.megohmKm())).orElse(null),
                approach.moisture().code(),
                withstand.map(WithstandRule::volts).orElse(null),
                withstand.map(each -> cell(each.hertz())).orElse(null),
                withstand.map(each -> cell(each.faradPerMetre())).orElse(null),
                withstand.map(WithstandRule::maxA).orElse(null),
                withstand.map(WithstandRule::seconds).orElse(null),
                approach.order().movable().stream().map(Stage::code).collect(Collectors.joining(" ")),
                String.join(" ", approach.order().first()));
    }

    TestOptions approach() {
        return new TestOptions(
                TestMethod.of(method).orElseThrow(),
                inPlace,
                quick,
                testV == null
                        ? Optional.empty()
                        : Optional.of(
                                new InsulationRule(testV, number(insulationLeastOhm), number(insulationMegohmKm))),
                Stream.of(Moisture.values())
                        .filter(each -> each.code().equals(moisture))
                        .findFirst()
                        .orElseThrow(),
                withstandV == null || withstandMostA == null || withstandS == null
                        ? Optional.empty()
                        : Optional.of(new WithstandRule(
                                withstandV, number(withstandHz), number(withstandFPerM), withstandMostA, withstandS)),
                new Order(Arrays.stream(stageOrder.split(" ")).map(Stage::of).toList(), words(firstWires)));
    }

    static List<String> words(String text) {
        return text.isBlank() ? List.of() : List.of(text.strip().split("[\\s,;]+"));
    }

    private static @Nullable Double cell(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    private static OptionalDouble number(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
