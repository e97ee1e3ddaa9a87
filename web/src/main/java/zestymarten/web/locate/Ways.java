package zestymarten.web.locate;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.limit.Limit;
import zestymarten.core.locate.Calculation;
import zestymarten.core.locate.Calculation.CalculationMeasure;
import zestymarten.core.locate.Distance;
import zestymarten.core.locate.Distances;
import zestymarten.core.locate.Distances.DistanceReading;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.TestStep;
import zestymarten.web.testrun.RunSnapshot;

/** Every way with what was typed for it. */
final class Ways {
    private static final String USUAL_DOUBT = "2";
    private static final double MOST_DOUBT = 50;
    /** How far a cable's resistance may be from that of its section: what a metre has by design is worth no more. */
    private static final double DESIGN_DOUBT = 0.1;

    /** A reading of a calculation as a field. */
    record FieldView(String name, String label, String such, String typed) {}

    /** A calculation with its fields, and what came of it. */
    record DistanceWayView(String title, List<FieldView> fields, String result, List<String> assumes, String trouble) {}

    private record WayResult(Calculation way, Distance distance) {}

    private final RunSnapshot run;
    private final Conductor wire;
    private final Map<String, String> typed;
    private final Optional<Double> length;
    private final double doubt;
    private final List<String> trouble = new ArrayList<>();
    private final List<DistanceWayView> views = new ArrayList<>();
    private final List<WayResult> found = new ArrayList<>();

    Ways(RunSnapshot run, Conductor wire, Map<String, String> typed) {
        this.run = run;
        this.wire = wire;
        this.typed = typed;
        length = lengthM();
        doubt = doubt();
        for (Calculation each : Calculation.values()) {
            views.add(view(each));
        }
    }

    private Optional<Double> lengthM() {
        Optional<Double> own =
                wire.lengthM().isPresent() ? Optional.of(wire.lengthM().getAsDouble()) : Optional.empty();
        String text = typed.getOrDefault("length", "").strip();
        if (text.isEmpty()) {
            return own;
        }
        Optional<Double> said =
                LocateFigures.figure(text, CalculationMeasure.METRE).filter(each -> each > 0);
        if (said.isEmpty()) {
            trouble.add("Length: “" + text + "” is not accepted; expected a length such as 120 or 390 ft.");
        }
        return said;
    }

    List<String> trouble() {
        return trouble;
    }

    List<DistanceWayView> views() {
        return views;
    }

    Optional<Double> length() {
        return length;
    }

    String doubtText() {
        return typed.getOrDefault("doubt", USUAL_DOUBT);
    }

    String lengthText() {
        return typed.getOrDefault(
                "length", length.map(EngineeringFormat::figure).orElse(""));
    }

    private double doubt() {
        String text = typed.getOrDefault("doubt", USUAL_DOUBT).strip();
        Optional<Double> said = LocateFigures.figure(text.endsWith("%") ? text : text + "%", CalculationMeasure.RATIO)
                .filter(each -> each <= MOST_DOUBT / 100);
        if (said.isEmpty()) {
            trouble.add("Uncertainty: “" + text + "” is not accepted; expected percent from 0 to "
                    + EngineeringFormat.figure(MOST_DOUBT) + ", such as 2. " + USUAL_DOUBT + " % is used.");
        }
        return said.orElse(Double.parseDouble(USUAL_DOUBT) / 100);
    }

    private DistanceWayView view(Calculation way) {
        List<FieldView> fields = new ArrayList<>();
        List<Optional<DistanceReading>> reads = new ArrayList<>();
        List<String> wrong = new ArrayList<>();
        boolean ready = true;
        for (Calculation.CalculationInput input : way.inputs()) {
            String name = way.name() + fields.size();
            String text = typed.getOrDefault(name, usual(way)).strip();
            String unit = input.measure().unit();
            fields.add(new FieldView(
                    name,
                    (unit.isEmpty() ? input.label() : input.label() + ", " + unit)
                            + (input.needed() ? "" : " (if read)"),
                    input.such(),
                    text));
            Optional<Double> figure = LocateFigures.figure(text, input.measure());
            reads.add(figure.map(each -> new DistanceReading(each, doubt * each)));
            if (!text.isEmpty() && figure.isEmpty()) {
                wrong.add("“" + text + "” is not accepted; expected a figure such as " + input.such() + ".");
            }
            ready &= figure.isPresent() || (!input.needed() && text.isEmpty());
        }
        if (ready && length.isEmpty()) {
            wrong.add("The length is not known. Enter it above.");
        }
        return ready && length.isPresent()
                ? calculated(way, fields, reads)
                : new DistanceWayView(way.title(), fields, "", List.of(), String.join(" ", wrong));
    }

    private DistanceWayView calculated(Calculation way, List<FieldView> fields, List<Optional<DistanceReading>> reads) {
        try {
            Distance distance = way.distance(new Calculation.CableRun(length.orElseThrow(), perMetre()), reads);
            found.add(new WayResult(way, distance));
            List<String> assumes = new ArrayList<>(distance.assumes());
            boolean byDesign = way.inputs().size() > 2 && reads.get(2).isEmpty();
            if (byDesign) {
                assumes.add(
                        "A metre of it has "
                                + EngineeringFormat.text(
                                        perMetre().orElseThrow().value(), "Ω")
                                + " as designed, within 10 %. Read the whole loop instead: cables differ by more than a good meter.");
            }
            return new DistanceWayView(way.title(), fields, said(distance), assumes, "");
        } catch (IllegalArgumentException e) {
            return new DistanceWayView(way.title(), fields, "", List.of(), String.valueOf(e.getMessage()));
        }
    }

    /** Where the wet core read well again, as it was entered in the test. */
    private String usual(Calculation way) {
        return way != Calculation.LIFT_OUT
                ? ""
                : Stream.of(wire.from(), wire.to())
                        .flatMap(end ->
                                run.test().standing(new TestStep.ManualStep(ManualAction.LIFTED, end.name())).stream())
                        .map(entry -> run.test().told(entry))
                        .filter(words -> LocateFigures.figure(words, CalculationMeasure.METRE)
                                .isPresent())
                        .findFirst()
                        .orElse("");
    }

    /** Ohms per metre of the wire as designed, at the temperature of the test. */
    private Optional<DistanceReading> perMetre() {
        Limit limit = run.test().design().limits().of(wire);
        return limit.nominal().isPresent() && wire.lengthM().isPresent()
                ? Optional.of(limit.nominal().orElseThrow().value()
                                / wire.lengthM().getAsDouble())
                        .map(each -> new DistanceReading(each, DESIGN_DOUBT * each))
                : Optional.empty();
    }

    List<Distance> distances() {
        return found.stream().map(WayResult::distance).toList();
    }

    private boolean isOneFault() {
        return found.stream()
                .allMatch(one -> found.stream()
                        .allMatch(other -> one.way().fault().canBe(other.way().fault())));
    }

    /** What all ways say together; none where they contradict each other, or are not of one fault. */
    List<Distance> together() {
        if (found.size() < 2) {
            return distances();
        }
        return isOneFault() && Distances.areConsistent(distances())
                ? List.of(Distances.together(distances()))
                : List.of();
    }

    List<String> said() {
        if (found.size() > 1 && !isOneFault()) {
            return List.of(
                    "These ways are of different faults, an open, a short or one to earth: each stands for itself.");
        }
        if (found.size() > 1 && together().isEmpty()) {
            return List.of(
                    "These ways contradict each other: they are of two faults, or a reading, the length or an assumption is"
                            + " wrong. Measure again before you cut.");
        }
        return together().stream().map(Ways::said).toList();
    }

    private static String said(Distance distance) {
        return EngineeringFormat.text(distance.metres(), "m") + " from end 1, between "
                + EngineeringFormat.text(distance.from(), "m") + " and " + EngineeringFormat.text(distance.to(), "m")
                + ": "
                + distance.by() + ".";
    }
}
