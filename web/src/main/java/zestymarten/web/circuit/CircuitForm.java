package zestymarten.web.circuit;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.circuit.CableStretch;
import zestymarten.core.circuit.Circuit;
import zestymarten.core.circuit.CircuitReadings;
import zestymarten.core.circuit.CircuitShape;
import zestymarten.core.circuit.ConductorRole;
import zestymarten.core.circuit.EndLink;
import zestymarten.core.circuit.Lengths;
import zestymarten.core.circuit.RecognisedPattern;
import zestymarten.core.circuit.Spot;
import zestymarten.core.circuit.Tests;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.ReadingParser;
import zestymarten.web.platform.TypedForm;

/** Reads the form of the desk: the circuit as drawn, and every reading by the name of its spot. */
final class CircuitForm {
    private static final double OPEN_FROM_OHM = 1e5;
    private static final Pattern OF_DRAWING =
            Pattern.compile("s\\d+|(?:n[23]?|p)_\\d+[s-z]?|end_[LNP]|i_LINES|more_.+");
    private static final String MORE = "more_";
    /** Two counts of a usual meter. */
    private static final double BELOW_LEADS_OHM = 0.02;

    private final TypedForm typed;

    CircuitForm(TypedForm typed) {
        this.typed = typed;
    }

    /** The name of the field of a spot: short for those of the dead tests, spelled out for any other. */
    static String field(Spot spot) {
        if (spot.equals(Spot.ends(ConductorRole.LINE))) {
            return "end_L";
        } else if (spot.equals(Spot.ends(ConductorRole.NEUTRAL))) {
            return "end_N";
        } else if (spot.equals(Spot.ends(ConductorRole.PROTECTIVE))) {
            return "end_P";
        } else if (!spot.linked().isAtA() && spot.equals(Spot.at(spot.linked(), spot.point()))) {
            return field(spot.linked()) + spot.point();
        }
        return MORE + spot.linked() + "." + spot.a().pin() + "." + spot.b().pin() + "." + spot.point();
    }

    /** What the name of a field begins with that holds a line and another conductor at a point. */
    static String field(EndLink linked) {
        return switch (linked.line()) {
            case LINE_2 -> "n2_";
            case LINE_3 -> "n3_";
            default -> linked.other() == ConductorRole.PROTECTIVE ? "p_" : "n_";
        };
    }

    int outlets() {
        double outlets = typed.figure("outlets", 6);
        if (outlets != Math.rint(outlets) || outlets < 1 || outlets > Circuit.MAX_OUTLETS) {
            typed.refuse(
                    "outlets",
                    Message.of("circuit_form.not_accepted_expected_whole", typed.text("outlets"), Circuit.MAX_OUTLETS));
            return 6;
        }
        return (int) outlets;
    }

    private CircuitShape shape() {
        return switch (typed.text("kind")) {
            case "radial" -> CircuitShape.RADIAL;
            case "three-phase" -> CircuitShape.THREE_PHASE;
            default -> CircuitShape.RING;
        };
    }

    /**
     * The circuit as drawn. What makes no sense is said at its field, and the usual figure is drawn instead, so that every
     * field stays on the page.
     */
    Circuit circuit() {
        CableForm cables = new CableForm(typed);
        CableStretch usual = cables.usual();
        List<CableStretch> stretches = new ArrayList<>();
        int outlets = outlets();
        CircuitShape shape = shape();
        for (int i = 1; i <= outlets + (shape == CircuitShape.RING ? 1 : 0); i++) {
            stretches.add(cables.stretch("s" + i, usual));
        }
        boolean known = IntStream.rangeClosed(1, stretches.size()).allMatch(i -> typed.has("s" + i));
        return new Circuit(
                shape, stretches, cables.spurs(outlets, usual), celsius(), known ? Lengths.DRAWN : Lengths.UNKNOWN);
    }

    private double celsius() {
        double celsius = typed.celsius("celsius", 20);
        if (!(celsius >= Circuit.MIN_C && celsius <= Circuit.MAX_C)) {
            typed.refuse(
                    "celsius",
                    Message.of(
                            "circuit_form.not_accepted_expected_cable",
                            typed.text("celsius"),
                            (int) Circuit.MIN_C,
                            (int) Circuit.MAX_C));
            return 20;
        }
        return celsius;
    }

    /** Fields of the drawing that were typed and that the circuit as drawn has no place for. */
    List<String> beyond(Circuit circuit) {
        Set<String> places = new HashSet<>();
        for (int i = 1; i <= circuit.stretches().size(); i++) {
            places.add("s" + i);
        }
        circuit.linkedInTurn().forEach(linked -> circuit.points().forEach(point -> places.add(field(linked) + point)));
        if (circuit.ring()) {
            places.addAll(List.of("end_L", "end_N", "end_P"));
        }
        if (circuit.isThreePhase()) {
            places.add("i_LINES");
        }
        more(circuit).forEach(spot -> places.add(field(spot)));
        return typed.fields().keySet().stream()
                .filter(field -> OF_DRAWING.matcher(field).matches() && typed.has(field) && !places.contains(field))
                .sorted()
                .toList();
    }

    /** Everything that was read, the leads taken off. */
    CircuitReadings readings(Circuit circuit) {
        double leads = typed.figure("leads", 0);
        Map<Spot, OptionalDouble> ohms = new LinkedHashMap<>();
        List<Spot> spots = new ArrayList<>(RecognisedPattern.steps(circuit));
        spots.addAll(more(circuit));
        for (Spot spot : spots) {
            String field = field(spot);
            if (typed.has(field)) {
                read(field, leads).ifPresent(ohm -> ohms.put(spot, ohm));
            }
        }
        return new CircuitReadings(ohms);
    }

    /** Spots beside those of the dead tests for which the form has a field. */
    List<Spot> more(Circuit circuit) {
        List<Spot> more = new ArrayList<>();
        typed.fields().keySet().stream()
                .filter(each -> each.startsWith(MORE))
                .sorted()
                .forEach(field -> more(field.substring(MORE.length()).split("\\."), circuit)
                        .ifPresent(more::add));
        return more;
    }

    private static Optional<Spot> more(String[] parts, Circuit circuit) {
        if (parts.length != 4 || !circuit.points().contains(parts[3])) {
            return Optional.empty();
        }
        Set<String> letters =
                circuit.roles().stream().map(ConductorRole::letter).collect(Collectors.toSet());
        try {
            EndLink linked = EndLink.valueOf(parts[0]);
            if (!circuit.roles().contains(linked.line()) || !letters.containsAll(List.of(parts[1], parts[2]))) {
                return Optional.empty(); // of a circuit with other lines
            }
            return Optional.of(
                    new Spot(linked, Terminal.of("S" + parts[3], parts[1]), Terminal.of("S" + parts[3], parts[2])));
        } catch (IllegalArgumentException e) {
            return Optional.empty(); // a field that no page of ours has
        }
    }

    private Optional<OptionalDouble> read(String field, double leads) {
        MeterReading understood = new ReadingParser(false).understand(typed.text(field));
        if (understood instanceof MeterReading.Value value && value.unit() == MeterReading.Unit.OHM) {
            if (value.value() < leads - BELOW_LEADS_OHM) {
                typed.refuse(
                        field,
                        Message.of(
                                "circuit_form.not_accepted_expected_least",
                                typed.text(field),
                                Message.figure(leads, "Ω")));
                return Optional.empty();
            }
            return Optional.of(
                    value.value() >= OPEN_FROM_OHM
                            ? OptionalDouble.empty()
                            : OptionalDouble.of(Math.max(0, value.value() - leads)));
        }
        if (understood instanceof MeterReading.OverRange
                || understood instanceof MeterReading.Silent
                || (understood instanceof MeterReading.Above above && above.value() >= 100)) {
            return Optional.of(OptionalDouble.empty());
        }
        typed.refuse(
                field,
                understood instanceof MeterReading.Tone
                        ? Message.of("circuit_form.tone_not_reading_meter")
                        : Message.of("circuit_form.not_accepted_expected_resistance", typed.text(field)));
        return Optional.empty();
    }

    /** All dead tests as far as they were typed. */
    Tests tests(Circuit circuit) {
        Map<Tests.TestPair, MeterReading> insulation = new EnumMap<>(Tests.TestPair.class);
        for (Tests.TestPair pair : Tests.pairs(circuit)) {
            String field = "i_" + pair;
            MeterReading shown = new ReadingParser(false).understand(typed.text(field));
            if (shown.figure().isPresent()) {
                insulation.put(pair, shown);
            } else if (typed.has(field)) {
                typed.refuse(field, Message.of("circuit_form.not_accepted_expected_resistance_2", typed.text(field)));
            }
        }
        Optional<String> polarity = typed.has("polarity") ? Optional.of(typed.text("polarity")) : Optional.empty();
        return new Tests(circuit, readings(circuit), insulation, polarity);
    }
}
