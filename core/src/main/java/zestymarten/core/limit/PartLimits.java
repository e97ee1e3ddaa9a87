package zestymarten.core.limit;

import java.util.Optional;
import zestymarten.core.assembly.Component;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Ohms;

/** What parts of the wiring may read at a temperature. */
record PartLimits(double ambientC) {
    private static final double USUAL_CONTACT_OHM = 0.2;
    private static final double USUAL_TOLERANCE = 0.1;
    private static final double PLATINUM_TOLERANCE = 0.005;

    /**
     * The limit of a part at this temperature. A fuse, closed contact or bond of which nothing is said may have
     * {@value #USUAL_CONTACT_OHM} ohm; a part without a tolerance gets {@value #USUAL_TOLERANCE} of its value, a platinum
     * sensor {@value #PLATINUM_TOLERANCE}.
     *
     * @throws IllegalArgumentException for a diode, which has no resistance
     */
    Limit of(Component component) {
        return switch (component.kind()) {
            case FUSE, SWITCH, RELAY_CONTACT, BREAKER, BOND -> {
                Ohms maximum = Ohms.of(component.maxOhm().orElse(USUAL_CONTACT_OHM));
                Message sentence = Message.of(
                        "limit_rules.maximum_3", maximum, component.maxOhm().isPresent(), component.id());
                yield new Limit(
                        Ohms.of(0),
                        Optional.of(Ohms.of(maximum.value() / 2)),
                        maximum,
                        false,
                        Limit.Rule.PART,
                        sentence);
            }
            case NTC ->
                around(
                        component,
                        Sensors.ntc(
                                component.r25Ohm().orElseThrow(),
                                component.betaK().orElseThrow(),
                                ambientC),
                        USUAL_TOLERANCE);
            case PT100 -> around(component, Sensors.platinum(100, ambientC), PLATINUM_TOLERANCE);
            case PT1000 -> around(component, Sensors.platinum(1000, ambientC), PLATINUM_TOLERANCE);
            case RESISTOR, COIL, HEATER, WINDING, LAMP ->
                around(component, component.ohm().orElseThrow(), USUAL_TOLERANCE);
            case DIODE ->
                throw new IllegalArgumentException(
                        "Diode '" + component.id() + "' is judged by its forward voltage, not by resistance.");
        };
    }

    private Limit around(Component component, double ohm, double usual) {
        double tolerance = component.tolerance().orElse(usual);
        Ohms low = Ohms.of(ohm * (1 - tolerance));
        Ohms high = Ohms.of(ohm * (1 + tolerance));
        Message sentence = Message.of(
                "limit_rules.around",
                low,
                high,
                component.kind(),
                component.id(),
                Message.figure(ohm, "Ω"),
                Message.figure(tolerance * 100, "%"),
                component.tolerance().isPresent());
        return new Limit(low, Optional.of(Ohms.of(ohm)), high, true, Limit.Rule.PART, sentence);
    }
}
