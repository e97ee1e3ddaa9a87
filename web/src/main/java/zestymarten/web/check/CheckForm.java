package zestymarten.web.check;

import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Metal;
import zestymarten.core.assembly.StrandClass;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.check.CheckedItem;
import zestymarten.core.check.CircuitBreaker;
import zestymarten.core.check.Heater;
import zestymarten.core.check.PointPair;
import zestymarten.core.check.Relay;
import zestymarten.core.check.Sensor;
import zestymarten.core.check.SensorCurve;
import zestymarten.core.check.SingleDiode;
import zestymarten.core.check.SingleFuse;
import zestymarten.core.check.SingleWire;
import zestymarten.core.check.SwitchContact;
import zestymarten.core.check.ThreeWindings;
import zestymarten.core.quantity.Celsius;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.ReadingParser;
import zestymarten.web.platform.TypedForm;
import zestymarten.web.platform.Words;

/** What is checked, from the fields of the page. What makes no sense is said at its field; nothing typed is lost. */
final class CheckForm {
    private static final double PERCENT = 100;
    private static final int MAX_POLES = 4;
    private static final int MAX_ROWS = 200;

    /** The things that can be checked, in the order in which they are offered. */
    enum Thing {
        FUSE,
        SWITCH,
        RELAY,
        BREAKER,
        WIRE,
        SENSOR,
        HEATER,
        WINDING,
        DIODE,
        POINTS;

        String code() {
            return name().toLowerCase(Locale.ROOT);
        }

        static Thing of(String code) {
            return Stream.of(values())
                    .filter(each -> each.code().equals(code))
                    .findFirst()
                    .orElse(FUSE);
        }
    }

    private final TypedForm typed;
    private final Thing thing;

    CheckForm(TypedForm typed) {
        this.typed = typed;
        thing = Thing.of(typed.text("thing"));
    }

    Thing thing() {
        return thing;
    }

    /** The thing itself; empty where a field makes no sense, which is then said. */
    Optional<CheckedItem> item() {
        try {
            CheckedItem item = made();
            return typed.isSound() ? Optional.of(item) : Optional.empty();
        } catch (NotAccepted e) {
            typed.refuse(field(), e.what());
            return Optional.empty();
        }
    }

    /** At which field it is said that the figures do not make a thing. */
    private String field() {
        return switch (thing) {
            case FUSE -> "rated";
            case SWITCH -> "positions";
            case RELAY -> "coil";
            case BREAKER -> "poles";
            case WIRE -> "length";
            case SENSOR -> typed.text("curve").equals("table") ? "table" : "celsius";
            case HEATER -> "watts";
            case WINDING -> "ohm";
            case DIODE -> "thing";
            case POINTS -> "value";
        };
    }

    private CheckedItem made() {
        return switch (thing) {
            case FUSE -> new SingleFuse(typed.figure("rated", Message.of("check_form.rated_current_amperes_such")));
            case SWITCH -> contact();
            case RELAY ->
                new Relay(
                        typed.figure("coil", Message.of("check_form.coil_resistance_such_as")),
                        !typed.text("contacts", "both").equals("breaking"),
                        !typed.text("contacts", "both").equals("making"));
            case BREAKER -> new CircuitBreaker((int) Math.round(Math.min(MAX_POLES + 1.0, typed.figure("poles", 1))));
            case WIRE -> new SingleWire(wire(), typed.celsius("celsius", 20));
            case SENSOR -> sensor();
            case HEATER -> heater();
            case WINDING ->
                new ThreeWindings(typed.figure("ohm", Message.of("check_form.resistance_between_two_leads")));
            case DIODE -> new SingleDiode();
            case POINTS -> points();
        };
    }

    private static List<String> names(String text) {
        return Arrays.stream(text.split(","))
                .map(String::strip)
                .filter(each -> !each.isEmpty())
                .distinct()
                .toList();
    }

    private SwitchContact contact() {
        Set<String> closed = new LinkedHashSet<>(names(typed.text("closed", "on")));
        return new SwitchContact(names(typed.text("positions", "off, on")), closed);
    }

    private Conductor wire() {
        Optional<Metal> metal = Metal.of(typed.text("metal", "copper"));
        if (metal.isEmpty()) {
            typed.refuse("metal", Message.of("check_form.not_accepted_expected_one", typed.text("metal")));
        }
        return new Conductor(
                Words.say("check_form.wire"),
                Terminal.of("A.1"),
                Terminal.of("B.1"),
                Optional.empty(),
                Optional.empty(),
                typed.metres("length"),
                typed.section("area"),
                metal.orElse(Metal.COPPER),
                StrandClass.FIVE,
                Optional.empty(),
                typed.figure("amperes", Message.of("check_form.current_that_carries_amperes")),
                false,
                typed.figure("most", Message.of("check_form.maximum_ohms_such_as")),
                OptionalDouble.empty(),
                Optional.empty());
    }

    private Sensor sensor() {
        double celsius = typed.celsius("celsius", 20);
        OptionalDouble again =
                typed.has("again") ? OptionalDouble.of(typed.celsius("again", celsius)) : OptionalDouble.empty();
        SensorCurve curve = switch (typed.text("curve", "ntc")) {
            case "pt100" -> new SensorCurve.Platinum(100);
            case "pt1000" -> new SensorCurve.Platinum(1000);
            case "table" -> new SensorCurve.Table(rows());
            default -> new SensorCurve.Beta(typed.figure("r25", 10_000), typed.figure("beta", 3950));
        };
        return new Sensor(curve, celsius, again);
    }

    /** Lines such as "25 10k": temperature and resistance. */
    private NavigableMap<Double, Double> rows() {
        NavigableMap<Double, Double> rows = new TreeMap<>();
        for (String line : typed.text("table").split("\\R")) {
            String[] parts = line.strip().split("[\\s;]+");
            OptionalDouble celsius = parts.length == 2 ? Celsius.of(parts[0]) : OptionalDouble.empty();
            OptionalDouble ohm = parts.length == 2 ? ohm(parts[1]) : OptionalDouble.empty();
            if (celsius.isPresent() && ohm.isPresent() && rows.size() < MAX_ROWS) {
                rows.put(celsius.getAsDouble(), ohm.getAsDouble());
            } else if (!line.isBlank()) {
                typed.refuse("table", Message.of("check_form.not_accepted_expected_temperature", line.strip()));
            }
        }
        return rows;
    }

    private static OptionalDouble ohm(String text) {
        return new ReadingParser(false).understand(text) instanceof MeterReading.Value value && value.value() > 0
                ? OptionalDouble.of(value.value())
                : OptionalDouble.empty();
    }

    private Heater heater() {
        if (typed.has("ohm")) {
            return new Heater(typed.figure("ohm", 26.5));
        }
        return Heater.of(typed.figure("volts", 230), typed.figure("watts", 2000));
    }

    private PointPair points() {
        return switch (typed.text("expect", "joined")) {
            case "apart" -> PointPair.apart();
            case "value" -> PointPair.value(typed.figure("value", 100), typed.figure("tolerance", 5) / PERCENT);
            default -> PointPair.joined(typed.figure("most", 1));
        };
    }
}
