package zestymarten.core.analysis;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;

/** Readings given as {@code J1.1-J2.1=0.44}, at rest with free ends, the leads included. */
final class TypedReadings {
    private TypedReadings() {}

    static List<AnalysisReading> of(String... readings) {
        return Stream.of(readings)
                .map(each -> {
                    String[] parts = each.split("[-=]");
                    return new AnalysisReading(
                            Terminal.of(parts[0]),
                            Terminal.of(parts[1]),
                            parts[2],
                            SwitchState.REST,
                            List.of(),
                            OptionalDouble.empty());
                })
                .toList();
    }
}
