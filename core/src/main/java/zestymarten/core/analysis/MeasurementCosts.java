package zestymarten.core.analysis;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.NotAccepted;

/**
 * What a measurement costs beside the one before it, in seconds.
 *
 * @param measurement to put both probes on, read and type, above 0
 * @param move more for each probe that has to find another pin
 * @param link more for each clip that has to be put on or taken off
 * @param clips whether there are clips to link terminals with
 * @param assembly of which some connectors take minutes to reach, paid once for all their terminals
 */
public record MeasurementCosts(double measurement, double move, double link, boolean clips, Assembly assembly) {
    private static final double AGAIN = 1.5;

    public MeasurementCosts {
        if (!(measurement > 0 && move >= 0 && link >= 0)) {
            throw new NotAccepted(
                    "measurement_costs.costs_above",
                    NotAccepted.given(measurement, "s"),
                    NotAccepted.given(move, "s"),
                    NotAccepted.given(link, "s"));
        }
    }

    /** A bench with both ends in reach: two seconds a measurement, one and a half a probe, three a clip. */
    public static MeasurementCosts bench(Assembly assembly, boolean clips) {
        return new MeasurementCosts(2, 1.5, 3, clips, assembly);
    }

    /** What a measurement costs after those made already: asked for many, summed up once. */
    Pricing after(List<Observation> made) {
        return new Pricing(made);
    }

    /** The costs at one moment of a test. */
    final class Pricing {
        private final Optional<Observation> last;
        private final Set<String> reached = new HashSet<>();
        private final Set<List<Terminal>> pairs = new HashSet<>();

        private Pricing(List<Observation> made) {
            last = made.isEmpty() ? Optional.empty() : Optional.of(made.get(made.size() - 1));
            for (Observation each : made) {
                reached.add(each.a().connector());
                reached.add(each.b().connector());
                pairs.add(List.of(each.a(), each.b()));
            }
        }

        /** Seconds for a measurement with groups of terminals linked. */
        double seconds(Terminal black, Terminal red, List<List<Terminal>> links) {
            if (last.isEmpty()) {
                return measurement + 2 * move + clipped(links, List.of()) + reaching(black, red);
            }
            Observation before = last.get();
            double seconds = measurement + (black.equals(before.a()) ? 0 : move) + (red.equals(before.b()) ? 0 : move);
            boolean again = pairs.contains(List.of(black, red));
            return seconds * (again ? AGAIN : 1) + clipped(links, before.links()) + reaching(black, red);
        }

        private double reaching(Terminal black, Terminal red) {
            return Stream.of(black.connector(), red.connector())
                    .distinct()
                    .filter(each -> !reached.contains(each))
                    .mapToDouble(each -> assembly.connector(each)
                            .map(connector -> 60 * connector.reach().minutes())
                            .orElse(0.0))
                    .sum();
        }
    }

    private double clipped(List<List<Terminal>> wanted, List<List<Terminal>> there) {
        List<Terminal> now = there.stream().flatMap(List::stream).toList();
        List<Terminal> then = wanted.stream().flatMap(List::stream).toList();
        long on = then.stream().filter(each -> !now.contains(each)).count();
        long off = now.stream().filter(each -> !then.contains(each)).count();
        return link * (on + off);
    }
}
