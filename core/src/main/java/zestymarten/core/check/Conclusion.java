package zestymarten.core.check;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.quantity.MessageArgument;

/**
 * What the readings say of a thing, and what they do not show.
 *
 * @param of arguments of its sentence, with their units
 * @param verdict what it makes of the thing
 * @param at the measurement that it is about, where it is about one
 */
public record Conclusion(Code code, List<MessageArgument> of, Verdict verdict, Optional<CheckQuestion> at) {
    /** What can be concluded. */
    public enum Code {
        FUSE_CONDUCTS,
        FUSE_BLOWN,
        FUSE_HIGH,
        CONTACT_GOOD,
        CONTACT_STAYS_OPEN,
        CONTACT_STAYS_CLOSED,
        CONTACT_HIGH,
        CONTACT_JUMPS,
        RELAY_GOOD,
        COIL_OPEN,
        COIL_WRONG,
        BREAKER_CONDUCTS,
        WIRE_GOOD,
        WIRE_OPEN,
        WIRE_HIGH,
        WIRE_LOW,
        WIRE_SHORTED,
        WIRE_JUMPS,
        SENSOR_GOOD,
        SENSOR_ONE_POINT,
        SENSOR_OPEN,
        SENSOR_SHORTED,
        SENSOR_OFF,
        SENSOR_WRONG_WAY,
        HEATER_GOOD,
        HEATER_OPEN,
        HEATER_WRONG,
        SHORT_TO_FRAME,
        LEAD_TO_FRAME,
        WINDINGS_BALANCED,
        WINDINGS_UNLIKE,
        PHASE_OPEN,
        DELTA_OPEN,
        WINDINGS_OPEN,
        DIODE_GOOD,
        DIODE_OPEN,
        DIODE_SHORTED,
        DIODE_REVERSED,
        DIODE_ODD,
        POINTS_AS_EXPECTED,
        POINTS_NOT_AS_EXPECTED;

        /** By which texts know it. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    public Conclusion {
        of = List.copyOf(of);
    }

    /** One about the thing as a whole. */
    Conclusion(Code code, List<MessageArgument> of, Verdict verdict) {
        this(code, of, verdict, Optional.empty());
    }

    /** What is wrong at one measurement. */
    static Conclusion bad(Code code, CheckReading answer, Object... of) {
        return new Conclusion(code, arguments(of), Verdict.FAIL, Optional.of(answer.question()));
    }

    static Conclusion good(Code code, Object... of) {
        return new Conclusion(code, arguments(of), Verdict.PASS);
    }

    static Conclusion bad(Code code, Object... of) {
        return new Conclusion(code, arguments(of), Verdict.FAIL);
    }

    private static List<MessageArgument> arguments(Object... of) {
        return Arrays.stream(of).map(MessageArgument::of).toList();
    }
}
