package zestymarten.core.assembly;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.quantity.Bounds;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;

/**
 * A two-terminal part on the way: fuse, contact, resistor, sensor, winding, diode.
 *
 * @param id its name, unique among the components
 * @param b for a diode the end to which it conducts
 * @param maxOhm the most that a fuse, a closed contact or a bond may have
 * @param ohm nominal resistance of a resistor, coil, heater, winding or lamp
 * @param tolerance fraction of the nominal value
 * @param r25Ohm resistance of an NTC sensor at 25 °C
 * @param betaK beta of an NTC sensor in kelvin
 * @param forwardV forward voltage of a diode
 */
public record Component(
        String id,
        ComponentKind kind,
        Terminal a,
        Terminal b,
        OptionalDouble maxOhm,
        OptionalDouble ohm,
        OptionalDouble tolerance,
        OptionalDouble r25Ohm,
        OptionalDouble betaK,
        OptionalDouble forwardV) {

    /** What sort of part it is. */
    public enum ComponentKind {
        FUSE,
        SWITCH,
        RELAY_CONTACT,
        BREAKER,
        COIL,
        RESISTOR,
        NTC,
        PT100,
        PT1000,
        HEATER,
        WINDING,
        LAMP,
        DIODE,
        BOND;

        /** As written in files. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }

        public static Optional<ComponentKind> of(String code) {
            return Arrays.stream(values())
                    .filter(each -> each.code().equals(code))
                    .findFirst();
        }

        /** Whether it conducts only in the states that name it. */
        public boolean isContact() {
            return this == SWITCH || this == RELAY_CONTACT || this == BREAKER;
        }

        /** Whether its resistance tells a temperature. */
        public boolean isSensor() {
            return this == NTC || this == PT100 || this == PT1000;
        }

        /** Whether its own resistance has to be given: nothing else says what it should read. */
        boolean needsOhm() {
            return this == RESISTOR || this == COIL || this == HEATER || this == WINDING || this == LAMP;
        }
    }

    public Component {
        if (id.isBlank()) {
            throw new NotAccepted("component.component_have_name");
        }
        if (a.equals(b)) {
            throw new NotAccepted("component.component_lies_between", id, a);
        }
        require(id, "component.what_highest_resistance", maxOhm, Conductor.MAX_OHM, "Ω");
        require(id, "component.what_resistance", ohm, Conductor.MAX_OHM, "Ω");
        require(id, "component.what_tolerance", tolerance, 1, "");
        require(id, "component.what_resistance_at_25_c", r25Ohm, Conductor.MAX_OHM, "Ω");
        require(id, "component.what_beta", betaK, 20_000, "K");
        require(id, "component.what_forward_voltage", forwardV, 100, "V");
        if (kind.needsOhm() && ohm.isEmpty()) {
            throw new NotAccepted("component.component_needs_its", id, kind.code());
        }
        if (kind == ComponentKind.NTC && (r25Ohm.isEmpty() || betaK.isEmpty())) {
            throw new NotAccepted("component.component_ntc_sensor", id);
        }
    }

    /** Whether it conducts in a state: a contact only where the state closes it, all else always. */
    public boolean conductsIn(SwitchState state) {
        return !kind.isContact() || state.closed().contains(id);
    }

    private static void require(String id, String what, OptionalDouble value, double maximum, String unit) {
        value.ifPresent(
                given -> Bounds.aboveZero(given, maximum, unit, "component.out_of_range", id, Message.of(what)));
    }
}
