package zestymarten.core.limit;

import java.util.List;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.Ohms;

/**
 * What several good units read at one conductor, calculated to 20 °C.
 *
 * @param units how many, at least 3
 * @param meanOhm their mean
 * @param spreadOhm their standard deviation
 */
public record LearntResistance(int units, Ohms meanOhm, Ohms spreadOhm) {
    private static final int MIN = 3;
    private static final double SPREADS = 3;
    private static final double MIN_SHARE = 0.1;

    public LearntResistance {
        if (units < MIN) {
            throw new NotAccepted("learnt.limit_learnt_least", MIN, units);
        }
    }

    /** From the readings of good units, corrected for the leads. */
    public static LearntResistance of(List<Ohms> readings) {
        double mean = readings.stream().mapToDouble(Ohms::value).average().orElse(0);
        double squares = readings.stream()
                .mapToDouble(each -> (each.value() - mean) * (each.value() - mean))
                .sum();
        double spread = readings.size() < 2 ? 0 : Math.sqrt(squares / (readings.size() - 1));
        return new LearntResistance(readings.size(), Ohms.of(mean), Ohms.of(spread));
    }

    /** Three standard deviations above the mean, but at least a tenth above it. */
    public Ohms maximum() {
        return Ohms.of(meanOhm.value() + Math.max(SPREADS * spreadOhm.value(), MIN_SHARE * meanOhm.value()));
    }
}
