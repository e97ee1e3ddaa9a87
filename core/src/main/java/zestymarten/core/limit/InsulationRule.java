package zestymarten.core.limit;

import java.util.OptionalDouble;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.Ohms;

/**
 * At which voltage a run tests insulation, and what the least is that it may read.
 *
 * @param testV volts DC, above 0 and at most {@value #MOST_V}
 * @param leastOhm the figure given for it; empty for none
 * @param megohmKm what a kilometre has to have, in megohm; empty for none. Where neither is given, or the length is not
 *     known, the standard's least for the test voltage decides
 */
public record InsulationRule(double testV, OptionalDouble leastOhm, OptionalDouble megohmKm) {
    /** The highest test voltage, in volts DC. */
    public static final double MOST_V = 5000;

    private static final double MOST_MEGOHM_KM = 1e6;

    public InsulationRule {
        if (!(testV > 0 && testV <= MOST_V)) {
            throw new NotAccepted(
                    "insulation_rule.test_voltage_above",
                    NotAccepted.given(testV, "V"),
                    NotAccepted.given((int) MOST_V, "V"));
        }
        if (leastOhm.isPresent() && megohmKm.isPresent()) {
            throw new NotAccepted("insulation_rule.least_either_figure");
        }
        if (leastOhm.isPresent() && !(leastOhm.getAsDouble() > 0 && leastOhm.getAsDouble() <= Ohms.MAX)) {
            throw new NotAccepted(
                    "insulation_rule.least_insulation_above", NotAccepted.given(leastOhm.getAsDouble(), "Ω"));
        }
        if (megohmKm.isPresent() && !(megohmKm.getAsDouble() > 0 && megohmKm.getAsDouble() <= MOST_MEGOHM_KM)) {
            throw new NotAccepted(
                    "insulation_rule.insulation_by_length", NotAccepted.given(megohmKm.getAsDouble(), "MΩ·km"));
        }
    }

    /** By the standard's least for the test voltage, in volts DC. */
    public static InsulationRule ofVolts(double testV) {
        return new InsulationRule(testV, OptionalDouble.empty(), OptionalDouble.empty());
    }

    /** The least for wiring of a length in metres; empty where that is not known. */
    public InsulationLimit limit(OptionalDouble lengthM) {
        if (leastOhm.isPresent()) {
            Ohms least = Ohms.of(leastOhm.getAsDouble());
            return new InsulationLimit(least, testV, Message.of("insulation_rule.least_figure_given_this", least));
        }
        return megohmKm.isPresent() && lengthM.isPresent()
                ? InsulationLimit.ofLength(megohmKm.getAsDouble(), lengthM.getAsDouble())
                : InsulationLimit.ofTest(testV);
    }
}
