package zestymarten.core.check;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * One measurement of a thing.
 *
 * @param ask where the probes go, as a code
 * @param of what it concerns: a position, a lead, a temperature; none where there is only one
 * @param optional whether the check is complete without it
 */
public record CheckQuestion(CheckMeasurement ask, List<String> of, GoodReading expected, boolean optional) {
    /** Where the probes go and what is set. */
    public enum CheckMeasurement {
        FUSE,
        CONTACT,
        COIL,
        CONTACT_AT_REST,
        CONTACT_OPERATED,
        POLE_ON,
        POLE_OFF,
        WIRE,
        WIRE_TO_OTHERS,
        SENSOR,
        SENSOR_AGAIN,
        HEATER,
        ELEMENT_TO_FRAME,
        LEAD_TO_FRAME,
        WINDING,
        FORWARD,
        BACKWARD,
        POINTS;

        /** By which texts and forms know it. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    public CheckQuestion {
        of = List.copyOf(of);
    }

    /** One that has to be answered. */
    public CheckQuestion(CheckMeasurement ask, GoodReading expected, String... of) {
        this(ask, List.of(of), expected, false);
    }

    /** Its name within the thing, such as {@code contact.on}. */
    public String id() {
        return Stream.concat(Stream.of(ask.code()), of.stream()).collect(Collectors.joining("."));
    }
}
