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
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zestymarten.core.assembly.CrossSection;
import zestymarten.core.assembly.Metal;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.circuit.CableStretch;
import zestymarten.core.circuit.Circuit;
import zestymarten.core.circuit.CircuitReadings;
import zestymarten.core.circuit.CircuitShape;
import zestymarten.core.circuit.ConductorRole;
import zestymarten.core.circuit.EarthFault;
import zestymarten.core.circuit.Earthing;
import zestymarten.core.circuit.Lengths;
import zestymarten.core.circuit.Linked;
import zestymarten.core.circuit.RecognisedPattern;
import zestymarten.core.circuit.Spot;
import zestymarten.core.circuit.Spur;
import zestymarten.core.circuit.Supply;
import zestymarten.core.circuit.Tests;
import zestymarten.core.conductor.Protection;
import zestymarten.core.conductor.ResidualDevice;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.Metres;
import zestymarten.core.quantity.ReadingParser;
import zestymarten.web.platform.Typed;

/** Reads the form of the desk: the circuit as drawn, and every reading by the name of its spot. */
final class CircuitForm {
    private static final double USUAL_M = 6;
    private static final double OPEN_FROM_OHM = 1e5;
    private static final String SECTION = "#?[\\d.,/]*\\d(?: *(?:AWG|kcmil))?";
    private static final Pattern STRETCH = Pattern.compile(
            "([\\d.,]+(?: *(?:m|ft|'))?)(?: +(" + SECTION + ") */ *(" + SECTION + "))?", Pattern.CASE_INSENSITIVE);
    /** A section without a stroke of its own, as gauges such as 1/0 have. */
    private static final String PLAIN = "(#?[\\d.,]+(?: *(?:AWG|kcmil|mm²))?)";

    private static final Pattern THREE_SECTIONS =
            Pattern.compile(".* " + PLAIN + " */ *" + PLAIN + " */ *" + PLAIN, Pattern.CASE_INSENSITIVE);
    private static final Pattern SPUR = Pattern.compile("(\\d{1,2}) *: *(.+)");
    private static final Pattern OF_DRAWING =
            Pattern.compile("s\\d+|(?:n[23]?|p)_\\d+[s-z]?|end_[LNP]|i_LINES|more_.+");
    private static final String MORE = "more_";
    private static final double MOST_MM2 = 1000;
    /** Two counts of a usual meter. */
    private static final double BELOW_LEADS_OHM = 0.02;

    private final Typed typed;

    CircuitForm(Typed typed) {
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
    static String field(Linked linked) {
        return switch (linked.line()) {
            case LINE_2 -> "n2_";
            case LINE_3 -> "n3_";
            default -> linked.other() == ConductorRole.PROTECTIVE ? "p_" : "n_";
        };
    }

    int outlets() {
        double outlets = typed.figure("outlets", 6);
        if (outlets != Math.rint(outlets) || outlets < 1 || outlets > Circuit.MOST_OUTLETS) {
            typed.refuse(
                    "outlets",
                    Message.of(
                            "circuit_form.not_accepted_expected_whole", typed.text("outlets"), Circuit.MOST_OUTLETS));
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
        CableStretch usual = usual();
        List<CableStretch> stretches = new ArrayList<>();
        int outlets = outlets();
        CircuitShape shape = shape();
        for (int i = 1; i <= outlets + (shape == CircuitShape.RING ? 1 : 0); i++) {
            stretches.add(stretch("s" + i, usual));
        }
        boolean known = IntStream.rangeClosed(1, stretches.size()).allMatch(i -> typed.has("s" + i));
        return new Circuit(shape, stretches, spurs(outlets, usual), celsius(), known ? Lengths.DRAWN : Lengths.UNKNOWN);
    }

    /** The cable of every stretch for which nothing else is said. */
    private CableStretch usual() {
        double line = section("line", 2.5);
        return new CableStretch(USUAL_M, line, section("neutral", line), section("protective", 1.5), metal());
    }

    private Metal metal() {
        String said = typed.text("metal", Metal.COPPER.code());
        return Stream.of(Metal.COPPER, Metal.ALUMINIUM)
                .filter(each -> each.code().equals(said))
                .findFirst()
                .orElseGet(() -> {
                    typed.refuse("metal", Message.of("circuit_form.not_accepted_expected_copper", said));
                    return Metal.COPPER;
                });
    }

    private double section(String field, double usual) {
        double mm2 = typed.section(field).orElse(usual);
        if (!(mm2 > 0 && mm2 <= MOST_MM2)) {
            typed.refuse(
                    field, Message.of("circuit_form.not_accepted_expected_section", typed.text(field), (int) MOST_MM2));
            return usual;
        }
        return mm2;
    }

    private double celsius() {
        double celsius = typed.celsius("celsius", 20);
        if (!(celsius >= Circuit.LEAST_C && celsius <= Circuit.MOST_C)) {
            typed.refuse(
                    "celsius",
                    Message.of(
                            "circuit_form.not_accepted_expected_cable",
                            typed.text("celsius"),
                            (int) Circuit.LEAST_C,
                            (int) Circuit.MOST_C));
            return 20;
        }
        return celsius;
    }

    private CableStretch stretch(String field, CableStretch usual) {
        if (!typed.has(field)) {
            return usual;
        }
        return cable(field, typed.text(field), usual).orElseGet(() -> {
            typed.refuse(field, Message.of("circuit_form.not_accepted_expected_length", typed.text(field)));
            return usual;
        });
    }

    /** Metres, and sections where they differ from the circuit's: {@code 6 4/2.5}, or with a neutral of its own {@code 6 4/2.5/2.5}. */
    private Optional<CableStretch> cable(String field, String text, CableStretch usual) {
        Matcher stretch = STRETCH.matcher(text);
        if (!stretch.matches()) {
            return Optional.empty();
        }
        try {
            double metres = Metres.of(stretch.group(1)).orElse(Double.NaN);
            if (stretch.group(2) == null) {
                return Optional.of(usual.withMetres(metres));
            }
            Matcher three = THREE_SECTIONS.matcher(text);
            boolean ofThree =
                    three.matches() && CrossSection.mm2(stretch.group(2)).isEmpty();
            List<String> sections = ofThree
                    ? List.of(three.group(1), three.group(2), three.group(3))
                    : List.of(stretch.group(2), stretch.group(2), stretch.group(3));
            return Optional.of(new CableStretch(
                    metres, mm2(sections.get(0)), mm2(sections.get(1)), mm2(sections.get(2)), usual.metal()));
        } catch (IllegalArgumentException e) {
            typed.refuse(field, Message.of("circuit_form.not_accepted", text, String.valueOf(e.getMessage())));
            return Optional.of(usual);
        }
    }

    private List<Spur> spurs(int outlets, CableStretch usual) {
        List<Spur> spurs = new ArrayList<>();
        for (String each : typed.text("spurs").split("[;]|, +")) {
            Matcher spur = SPUR.matcher(each.strip());
            Optional<CableStretch> cable = spur.matches() ? cable("spurs", spur.group(2), usual) : Optional.empty();
            int from = cable.isPresent() ? Integer.parseInt(spur.group(1)) : 0;
            long beside = spurs.stream().filter(one -> one.from() == from).count();
            if (cable.isPresent() && from >= 1 && from <= outlets && beside < Circuit.MOST_SPURS) {
                spurs.add(new Spur(from, cable.get()));
            } else if (cable.isPresent()) {
                typed.refuse(
                        "spurs",
                        Message.of(
                                "circuit_form.not_accepted_expected_outlet",
                                each.strip(),
                                outlets,
                                Circuit.MOST_SPURS));
            } else if (!each.isBlank()) {
                typed.refuse("spurs", Message.of("circuit_form.not_accepted_expected_point", each.strip()));
            }
        }
        return spurs;
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

    /** A section; what is none is refused by the stretch with its range. */
    private static double mm2(String text) {
        return CrossSection.mm2(text).orElse(Double.NaN);
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
            Linked linked = Linked.valueOf(parts[0]);
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

    /** What feeds it; the usual figures where something makes no sense, which is then said. */
    Supply supply() {
        double volts = typed.figure("volts", 230);
        double drop = typed.figure("most_drop", 5) / 100;
        OptionalDouble ohm = typed.figure("ze", Message.of("circuit_form.supply_impedance_such_as"));
        OptionalDouble load = typed.figure("load", Message.of("circuit_form.load_amperes_such_as"));
        OptionalDouble leg = typed.figure("leg", Message.of("circuit_form.what_one_leg_may"));
        Optional<Protection> protection = protection();
        EarthFault fault = fault();
        try {
            return new Supply(volts, ohm, protection, load, drop, leg, fault);
        } catch (IllegalArgumentException e) {
            typed.refuse("volts", Message.verbatim(String.valueOf(e.getMessage())));
            return new Supply(230, ohm, protection, load, 0.05, leg, EarthFault.plain());
        }
    }

    /** What is asked of a fault to exposed metal, and what was read of it. */
    private EarthFault fault() {
        double factor = typed.figure("factor", EarthFault.USUAL_FACTOR);
        if (!(factor > 0 && factor <= 1)) {
            typed.refuse("factor", Message.of("circuit_form.not_accepted_expected_factor", typed.text("factor")));
            factor = EarthFault.USUAL_FACTOR;
        }
        return new EarthFault(
                earthing(),
                !typed.text("rule").equals("distribution"),
                factor,
                residual(),
                thousandth("rcd_ms", Message.of("circuit_form.trip_time_ms_rated")),
                thousandth("rcd5_ms", Message.of("circuit_form.trip_time_ms_five")),
                typed.figure("zs", Message.of("circuit_form.loop_impedance_such_as")),
                times(1000, typed.figure("breaking", Message.of("circuit_form.breaking_capacity_ka_such"))));
    }

    private Earthing earthing() {
        String said = typed.text("earthing", Earthing.TN.name());
        return Stream.of(Earthing.values())
                .filter(each -> each.name().equals(said))
                .findFirst()
                .orElseGet(() -> {
                    typed.refuse("earthing", Message.of("circuit_form.not_accepted_expected_tn", said));
                    return Earthing.TN;
                });
    }

    private Optional<ResidualDevice> residual() {
        String kind = typed.text("rcd");
        OptionalDouble rated = thousandth("rcd_ma", Message.of("circuit_form.rated_residual_current_ma"));
        if (kind.isEmpty() || kind.equals("none") || rated.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(new ResidualDevice(wave(), kind.equals("S"), rated.getAsDouble()));
        } catch (IllegalArgumentException e) {
            typed.refuse("rcd_ma", Message.verbatim(String.valueOf(e.getMessage())));
            return Optional.empty();
        }
    }

    private ResidualDevice.Wave wave() {
        String said = typed.text("rcd_wave", ResidualDevice.Wave.NOT_SAID.name());
        return Stream.of(ResidualDevice.Wave.values())
                .filter(each -> each.name().equals(said))
                .findFirst()
                .orElseGet(() -> {
                    typed.refuse("rcd_wave", Message.of("circuit_form.not_accepted_expected_wave", said));
                    return ResidualDevice.Wave.NOT_SAID;
                });
    }

    private OptionalDouble thousandth(String field, Message expected) {
        return times(0.001, typed.figure(field, expected));
    }

    private static OptionalDouble times(double factor, OptionalDouble figure) {
        return figure.isPresent() ? OptionalDouble.of(factor * figure.getAsDouble()) : figure;
    }

    /** The protective device; empty where none is said. */
    private Optional<Protection> protection() {
        String by = typed.text("device");
        OptionalDouble rated = typed.figure("rated", Message.of("circuit_form.rated_amperes_such_as"));
        if (by.isEmpty() || by.equals("none") || rated.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(Protection.of(by, rated.getAsDouble()));
        } catch (IllegalArgumentException e) {
            typed.refuse("rated", Message.verbatim(String.valueOf(e.getMessage())));
            return Optional.empty();
        }
    }
}
