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
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.TestStep;
import zestymarten.web.platform.Words;
import zestymarten.web.testrun.RunSnapshot;

/** Every way with what was typed for it. */
final class Ways {
    private static final String USUAL_DOUBT = "2";
    private static final double MAX_DOUBT = 50;
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
            trouble.add(Words.say("ways.length_not_accepted_expected", text));
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
                .filter(each -> each <= MAX_DOUBT / 100);
        if (said.isEmpty()) {
            trouble.add(Words.say(
                    "ways.uncertainty_not_accepted_expected", text, EngineeringFormat.figure(MAX_DOUBT), USUAL_DOUBT));
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
                    Words.say("ways.field", input.label(), unit.isEmpty(), unit, input.needed()),
                    input.such(),
                    text));
            Optional<Double> figure = LocateFigures.figure(text, input.measure());
            reads.add(figure.map(each -> new DistanceReading(each, doubt * each)));
            if (!text.isEmpty() && figure.isEmpty()) {
                wrong.add(Words.say("ways.not_accepted_expected_figure", text, input.such()));
            }
            ready &= figure.isPresent() || (!input.needed() && text.isEmpty());
        }
        if (ready && length.isEmpty()) {
            wrong.add(Words.say("ways.length_not_known_enter"));
        }
        return ready && length.isPresent()
                ? calculated(way, fields, reads)
                : new DistanceWayView(Words.say(way.title()), fields, "", List.of(), String.join(" ", wrong));
    }

    private DistanceWayView calculated(Calculation way, List<FieldView> fields, List<Optional<DistanceReading>> reads) {
        try {
            Distance distance = way.distance(new Calculation.CableRun(length.orElseThrow(), perMetre()), reads);
            found.add(new WayResult(way, distance));
            List<String> assumes = new ArrayList<>(Words.all(distance.assumes()));
            boolean byDesign = way.inputs().size() > 2 && reads.get(2).isEmpty();
            if (byDesign) {
                assumes.add(Words.say(
                        "ways.metre_has_as_designed",
                        Message.figure(perMetre().orElseThrow().value(), "Ω")));
            }
            return new DistanceWayView(Words.say(way.title()), fields, said(distance), assumes, "");
        } catch (NotAccepted e) {
            return new DistanceWayView(Words.say(way.title()), fields, "", List.of(), Words.say(e.what()));
        }
    }

    /** Where the wet core read well again, as it was entered in the test. */
    private String usual(Calculation way) {
        return way != Calculation.LIFT_OUT
                ? ""
                : Stream.of(wire.from(), wire.to())
                        .flatMap(end ->
                                run.test().entriesOf(new TestStep.ManualStep(ManualAction.LIFTED, end.name())).stream())
                        .map(entry -> Words.say(run.test().words(entry)))
                        .filter(words -> LocateFigures.figure(words, CalculationMeasure.METRE)
                                .isPresent())
                        .findFirst()
                        .orElse("");
    }

    /** Resistance per metre of the wire as designed, at the temperature of the test. */
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
            return List.of(Words.say("ways.these_ways_different_faults"));
        }
        if (found.size() > 1 && together().isEmpty()) {
            return List.of(Words.say("ways.these_ways_contradict_each"));
        }
        return together().stream().map(Ways::said).toList();
    }

    private static String said(Distance distance) {
        return Words.say(
                "ways.from_end_between",
                Message.figure(distance.metres(), "m"),
                Message.figure(distance.from(), "m"),
                Message.figure(distance.to(), "m"),
                distance.by());
    }
}
