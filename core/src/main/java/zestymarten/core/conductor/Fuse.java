package zestymarten.core.conductor;

import java.util.List;
import java.util.OptionalDouble;
import zestymarten.core.quantity.Engineering;
import zestymarten.core.quantity.ResourceTable;

/**
 * A gG fuse-link by its conventional currents. Source: IEC 60269-1.
 *
 * @param ratedA rated current, above 0 and at most 1250 A
 */
public record Fuse(double ratedA) implements Protection {
    private static final double MOST_A = 1250;
    /** From so many times what surely melts it on, it melts within minutes: rule of thumb, the curves are the maker's. */
    private static final double SOON = 2;

    private static final List<ResourceTable.Row> ROWS = ResourceTable.read(Fuse.class, "fuse-gg-iec60269.csv");

    public Fuse {
        if (!(ratedA > 0 && ratedA <= MOST_A)) {
            throw new IllegalArgumentException(
                    "A fuse's rated current (" + ratedA + " A) must be above 0 and at most 1250 A.");
        }
    }

    private double cell(String column) {
        return ROWS.stream()
                .filter(row -> ratedA > Double.parseDouble(row.cell("in_above_a"))
                        && (row.cell("in_up_to_a").isEmpty() || ratedA <= Double.parseDouble(row.cell("in_up_to_a"))))
                .mapToDouble(row -> Double.parseDouble(row.cell(column)))
                .findFirst()
                .orElseThrow();
    }

    /** Amperes that it carries for the conventional time without melting. */
    public double holdsA() {
        return cell("no_melt") * ratedA;
    }

    /** Amperes that melt it within the conventional time. */
    public double meltsA() {
        return cell("melts_within") * ratedA;
    }

    /** The conventional time. */
    public int conventionalHours() {
        return (int) cell("time_h");
    }

    @Override
    public String does(double amperes) {
        String hours = conventionalHours() + " h";
        if (amperes < holdsA()) {
            return "does not melt within " + hours;
        }
        return amperes < meltsA()
                ? "may take over " + hours + ", or not melt at all"
                : cutsOffSoon(amperes) ? "melts within minutes or less" : "melts within " + hours;
    }

    @Override
    public boolean cutsOff(double amperes) {
        return amperes >= meltsA();
    }

    @Override
    public boolean cutsOffSoon(double amperes) {
        return amperes >= SOON * meltsA();
    }

    @Override
    public OptionalDouble longestSeconds(double amperes) {
        return cutsOff(amperes) ? OptionalDouble.of(3600.0 * conventionalHours()) : OptionalDouble.empty();
    }

    @Override
    public String name() {
        return Engineering.figure(ratedA) + " A gG";
    }
}
