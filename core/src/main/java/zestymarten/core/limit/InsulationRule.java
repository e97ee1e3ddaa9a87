package zestymarten.core.limit;

import java.util.OptionalDouble;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.Ohms;

/**
 * At which voltage a run tests insulation, and what the least is that it may read.
 *
 * @param testV volts DC, above 0 and at most {@value #MAX_V}
 * @param minOhm the figure given for it; empty for none
 * @param megohmKm what a kilometre has to have, in megohm; empty for none. Where neither is given, or the length is not
 *     known, the standard's least for the test voltage decides
 */
public record InsulationRule(double testV, OptionalDouble minOhm, OptionalDouble megohmKm) {
    /** The highest test voltage, in volts DC. */
    public static final double MAX_V = 5000;

    private static final double MAX_MEGOHM_KM = 1e6;

    public InsulationRule {
        if (!(testV > 0 && testV <= MAX_V)) {
            throw new NotAccepted(
                    "insulation_rule.test_voltage_above",
                    NotAccepted.given(testV, "V"),
                    NotAccepted.given((int) MAX_V, "V"));
        }
        if (minOhm.isPresent() && megohmKm.isPresent()) {
            throw new NotAccepted("insulation_rule.least_either_figure");
        }
        if (minOhm.isPresent() && !(minOhm.getAsDouble() > 0 && minOhm.getAsDouble() <= Ohms.MAX)) {
            throw new NotAccepted(
                    "insulation_rule.least_insulation_above", NotAccepted.given(minOhm.getAsDouble(), "Ω"));
        }
        if (megohmKm.isPresent() && !(megohmKm.getAsDouble() > 0 && megohmKm.getAsDouble() <= MAX_MEGOHM_KM)) {
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
        if (minOhm.isPresent()) {
            Ohms minimum = Ohms.of(minOhm.getAsDouble());
            return new InsulationLimit(minimum, testV, Message.of("insulation_rule.least_figure_given_this", minimum));
        }
        return megohmKm.isPresent() && lengthM.isPresent()
                ? InsulationLimit.ofLength(megohmKm.getAsDouble(), lengthM.getAsDouble())
                : InsulationLimit.ofTest(testV);
    }
}
