package zestymarten.core.circuit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import zestymarten.core.conductor.Breaker;
import zestymarten.core.quantity.English;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.Trials;

/** Seeded circuits whose protective conductor is not whole: none is called good, of none it is said that a fault is cut off. */
class CircuitSafetyTest {
    private static final int EACH = Trials.of(20);

    private static final Supply SUPPLY = new Supply(
            230,
            OptionalDouble.of(0.2),
            Optional.of(new Breaker(Breaker.Curve.B, 10)),
            OptionalDouble.empty(),
            0.05,
            OptionalDouble.empty());

    private static CircuitReport sheet(SeededCircuit seeded) {
        Map<Tests.TestPair, MeterReading> insulation = new EnumMap<>(Tests.TestPair.class);
        for (Tests.TestPair pair : Tests.TestPair.values()) {
            insulation.put(pair, MeterReading.Value.ohms(500e6));
        }
        return CircuitReport.of(
                new Tests(seeded.drawn(), seeded.readings(), insulation, Optional.of(Tests.RIGHT)), SUPPLY);
    }

    private static Stream<SeededCircuit> circuits(String kind, boolean ring) {
        return IntStream.range(0, EACH)
                .mapToObj(i -> SeededCircuit.of(7000L * kind.length() + i, ring, kind))
                .flatMap(each -> Stream.of(each, each.withoutLengths()));
    }

    private static boolean isOfProtective(Pattern pattern) {
        return pattern instanceof Pattern.CableCut
                || (pattern instanceof Pattern.Missing missing && missing.role() == ConductorRole.PROTECTIVE)
                || (pattern instanceof Pattern.ConductorBroken broken && broken.role() == ConductorRole.PROTECTIVE)
                || (pattern instanceof Pattern.Swapped swapped && swapped.b() == ConductorRole.PROTECTIVE);
    }

    @Test
    void noCircuitWithoutItsProtectiveConductorIsCalledGoodOrSaidToTrip() {
        List<SeededCircuit> dangerous = Stream.of(true, false)
                .flatMap(ring -> Stream.of("missing conductor", "broken leg", "swapped polarity", "cut cable")
                        .flatMap(kind -> circuits(kind, ring)))
                .filter(each -> isOfProtective(each.pattern()))
                .toList();
        assertThat(dangerous).hasSizeGreaterThan(6 * EACH);
        dangerous.parallelStream().forEach(each -> {
            CircuitReport sheet = sheet(each);
            assertThat(sheet.verdict()).as(each.pattern().toString()).isEqualTo(CircuitComparison.ComparisonState.FAIL);
            assertThat(English.all(sheet.says()))
                    .as(each.pattern().toString())
                    .noneMatch(said -> said.contains("trips at once"))
                    .anyMatch(said -> said.startsWith("Disconnection is not known"));
        });
    }

    @Test
    void aGoodCircuitIsNotCalledBad() {
        long bad = Stream.of(true, false)
                .flatMap(ring -> circuits("good", ring))
                .parallel()
                .filter(each -> sheet(each).verdict() == CircuitComparison.ComparisonState.FAIL)
                .count();
        assertThat(bad).as("of " + 4 * EACH).isZero();
    }
}
