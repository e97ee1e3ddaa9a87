package zestymarten.core.circuit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import zestymarten.core.conductor.FeederWire;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;

/** What a circuit comes to in service: R1 + R2 at its worst point, voltage drop, and whether a fault is disconnected in time. */
final class ServiceLines {
    private static final double HOT_C = 70;

    private final Supply supply;
    private final Circuit circuit;
    private final CircuitReadings readings;
    private final List<CircuitComparison> compared;
    private final List<Message> says = new ArrayList<>();
    private final List<CircuitReport.ReportLine> lines = new ArrayList<>();

    private ServiceLines(Supply supply, Circuit circuit, CircuitReadings readings, List<CircuitComparison> compared) {
        this.supply = supply;
        this.circuit = circuit;
        this.readings = readings;
        this.compared = compared;
    }

    static ServiceLines of(
            RecognisedPattern recognised,
            Supply supply,
            Circuit circuit,
            CircuitReadings readings,
            List<CircuitComparison> compared) {
        ServiceLines service = new ServiceLines(supply, circuit, readings, compared);
        service.inService(recognised);
        return service;
    }

    List<Message> says() {
        return says;
    }

    List<CircuitReport.ReportLine> lines() {
        return lines;
    }

    private record WorstPoint(double ohm, Message words, Message source) {}

    private void inService(RecognisedPattern recognised) {
        WorstPoint worst = worst();
        lines.add(figure(worst.words, worst.ohm, worst.source));
        quarter();
        drop();
        if (!Disconnection.isKnown(supply)) {
            return;
        }
        Optional<Message> unknown = unknown(recognised);
        if (unknown.isPresent()) {
            says.add(Message.of("circuit_report.disconnection_not_known", unknown.get()));
            lines.add(new CircuitReport.ReportLine(
                    Message.of("circuit_report.loop_impedance"),
                    Message.of("circuit_report.farthest_point_cable"),
                    Message.NONE,
                    Message.of("circuit_report.be_shown"),
                    CircuitComparison.ComparisonState.NOT_TESTED,
                    unknown.get()));
            return;
        }
        Disconnection disconnection = new Disconnection(supply, worst.ohm, circuit);
        says.add(disconnection.says());
        lines.addAll(disconnection.lines());
    }

    /**
     * Why nothing can be said of a fault to earth; empty where line to protective was read at the farthest point, joined at
     * every point that was read, and nothing else contradicts.
     */
    private Optional<Message> unknown(RecognisedPattern recognised) {
        List<CircuitComparison> loops = compared.stream()
                .filter(each -> isToProtective(each.spot())
                        && each.state() != CircuitComparison.ComparisonState.NOT_TESTED
                        && !each.spot().point().isEmpty())
                .toList();
        boolean good = recognised.best().isEmpty()
                || (recognised.best().get().pattern() instanceof Pattern.Good
                        && recognised.isExplained()
                        && recognised.unexplained().isEmpty());
        if (!good || loops.stream().anyMatch(each -> each.readOhm().isEmpty())) {
            return Optional.of(Message.of("circuit_report.readings_show_fault_repair"));
        }
        String farthest = farthest();
        return decisive().stream()
                .filter(linked -> !readings.has(Spot.at(linked, farthest)))
                .findFirst()
                .map(linked -> Message.of("circuit_report.line_protective_conductor_was", linked.words(), farthest));
    }

    private static boolean isToProtective(Spot spot) {
        return spot.linked().other() == ConductorRole.PROTECTIVE;
    }

    /** What has to be read at the farthest point: the protective conductor with one line, and every other line by the neutral. */
    private List<EndLink> decisive() {
        return circuit.linkedInTurn().stream()
                .filter(each -> each.other() == ConductorRole.PROTECTIVE || circuit.isThreePhase())
                .toList();
    }

    private String farthest() {
        CircuitPrediction predicted = new CircuitPrediction(circuit);
        return circuit.points().stream()
                .max(Comparator.comparingDouble(point -> predicted.inService(ConductorRole.PROTECTIVE, point)))
                .orElseThrow();
    }

    /** The quarter rule has its own figure beside what was read: points of a ring of unlike sections read below it. */
    private void quarter() {
        OptionalDouble line = readings.ohm(Spot.ends(ConductorRole.LINE));
        OptionalDouble protective = readings.ohm(Spot.ends(ConductorRole.PROTECTIVE));
        if (circuit.ring() && line.isPresent() && protective.isPresent()) {
            lines.add(figure(
                    Message.of("circuit_report.quarter_line_protective_conductor"),
                    (line.getAsDouble() + protective.getAsDouble()) / 4,
                    Message.of("circuit_report.every_point_ring_one")));
        }
    }

    /** A line that is calculated and not judged. */
    private static CircuitReport.ReportLine figure(Message what, double ohm, Message source) {
        return new CircuitReport.ReportLine(
                Message.of("circuit_report.r1_r2"),
                what,
                Message.figure(ohm, "Ω"),
                Message.NONE,
                CircuitComparison.ComparisonState.NOT_TESTED,
                source);
    }

    private void drop() {
        if (supply.loadA().isEmpty()) {
            return;
        }
        double load = supply.loadA().getAsDouble();
        boolean balanced = circuit.isThreePhase();
        double ohm = balanced ? drawn(new CircuitPrediction(circuit)::line) : drawn(ConductorRole.NEUTRAL);
        double hot = FeederWire.ohmAt(circuit.metal(), ohm, circuit.celsius(), HOT_C);
        double drop = FeederWire.dropVolts(load, hot);
        double share = drop / supply.volts();
        lines.add(new CircuitReport.ReportLine(
                Message.of("circuit_report.voltage_drop"),
                Message.of("circuit_report.all_taken_farthest_point", Message.figure(load, "A"), balanced),
                Message.of("circuit_report.drop", Message.figure(drop, "V"), percent(share)),
                Message.of("circuit_report.maximum", percent(supply.maxDrop())),
                share <= supply.maxDrop()
                        ? CircuitComparison.ComparisonState.PASS
                        : CircuitComparison.ComparisonState.FAIL,
                Message.of("circuit_report.from_drawn_lengths_limit")));
    }

    private static MessageArgument percent(double share) {
        return Message.figure(Math.round(1000 * share) / 10.0, "%");
    }

    /** The line and another conductor to the farthest point as drawn, both ends in service. */
    private double drawn(ConductorRole other) {
        CircuitPrediction predicted = new CircuitPrediction(circuit);
        return drawn(point -> predicted.inService(other, point));
    }

    private double drawn(ToDoubleFunction<String> ohm) {
        return circuit.points().stream().mapToDouble(ohm).max().orElseThrow();
    }

    /** R1 + R2 at the worst point: as read there; in a ring also by a quarter of its ends; else as drawn. */
    private WorstPoint worst() {
        Optional<CircuitComparison> read = compared.stream()
                .filter(each -> isToProtective(each.spot()) && each.readOhm().orElse(0) > 0)
                .max(Comparator.comparingDouble(this::withItsWorstLine));
        if (read.isPresent()) {
            return new WorstPoint(
                    withItsWorstLine(read.get()),
                    Message.of(
                            "circuit_report.highest_read_point",
                            read.get().spot().point()),
                    Message.of("circuit_report.read_line_protective_conductor"));
        }
        double ends = readings.ohm(Spot.ends(ConductorRole.LINE)).orElse(0)
                + readings.ohm(Spot.ends(ConductorRole.PROTECTIVE)).orElse(0);
        if (readings.ohm(Spot.ends(ConductorRole.LINE)).isPresent()
                && readings.ohm(Spot.ends(ConductorRole.PROTECTIVE)).isPresent()
                && ends > 0) {
            return new WorstPoint(
                    ends / 4,
                    Message.of("circuit_report.quarter_line_protective_conductor"),
                    Message.of("circuit_report.spurs_not"));
        }
        return new WorstPoint(
                drawn(ConductorRole.PROTECTIVE),
                Message.of("circuit_report.as_drawn_not_read"),
                Message.of("circuit_report.iec_lengths_as_drawn"));
    }

    /** Line and protective conductor as read, and by how much another line reads above the first. */
    private double withItsWorstLine(CircuitComparison read) {
        String point = read.spot().point();
        OptionalDouble first = readings.ohm(Spot.at(circuit.linked(ConductorRole.NEUTRAL), point));
        double more = first.isEmpty() || circuit.ring()
                ? 0
                : circuit.linkedInTurn().stream()
                        .filter(each -> each.other() != ConductorRole.PROTECTIVE)
                        .map(each -> readings.ohm(Spot.at(each, point)))
                        .filter(OptionalDouble::isPresent)
                        .mapToDouble(each -> each.getAsDouble() - first.getAsDouble())
                        .max()
                        .orElse(0);
        return read.readOhm().orElse(0) + Math.max(0, more);
    }
}
