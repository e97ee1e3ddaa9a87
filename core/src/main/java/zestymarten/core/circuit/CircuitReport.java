package zestymarten.core.circuit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zestymarten.core.limit.InsulationLimit;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;
import zestymarten.core.quantity.MeterReading;

/**
 * Everything that the desk says of a circuit, judged and said: page, PDF and CSV are made of it.
 *
 * @param tests what it is made of
 * @param verdict fault where something is, untested while something is missing
 * @param says what the pattern means and what follows from it, a sentence each
 * @param now what to do for the first that is missing, with the caution that belongs to it; empty once nothing is
 * @param next the reading that would tell more
 */
public record CircuitReport(
        Tests tests,
        List<CircuitComparison> compared,
        CircuitComparison.ComparisonState verdict,
        List<Message> says,
        Optional<Message> now,
        Optional<Spot> next,
        List<ReportLine> lines) {
    public CircuitReport {
        says = List.copyOf(says);
        lines = List.copyOf(lines);
        compared = List.copyOf(compared);
    }

    /** A line of the sheet: what, its figure, what it is held against and where that comes from, and how it is judged. */
    public record ReportLine(
            Message step,
            Message what,
            MessageArgument read,
            MessageArgument expected,
            CircuitComparison.ComparisonState state,
            Message source) {}

    /** Calculates the sheet. */
    public static CircuitReport of(Tests tests, Supply supply) {
        return new SheetCalculation(tests, supply).sheet();
    }

    /** One sheet being calculated. */
    private static final class SheetCalculation {
        private static final int LINES = 3;

        private final Tests tests;
        private final Supply supply;
        private final Circuit circuit;
        private final CircuitReadings readings;
        private final List<CircuitComparison> compared;
        private final List<Message> says = new ArrayList<>();
        private final List<ReportLine> lines = new ArrayList<>();

        SheetCalculation(Tests tests, Supply supply) {
            this.tests = tests;
            this.supply = supply;
            circuit = Lengths.sized(tests.circuit(), tests.readings());
            readings = tests.readings();
            compared = CircuitComparison.all(circuit, readings);
        }

        CircuitReport sheet() {
            RecognisedPattern recognised = RecognisedPattern.of(circuit, readings);
            says.addAll(PatternSays.of(recognised, circuit, supply, !readings.isEmpty()));
            compared.forEach(each -> lines.add(new ReportLine(
                    step(each.spot()),
                    each.spot().words(),
                    each.readText(),
                    each.expectedText(),
                    each.state(),
                    circuit.lengths() == Lengths.DRAWN ? CircuitComparison.SOURCE : CircuitComparison.UNKNOWN_SOURCE)));
            insulation();
            polarity();
            ServiceLines service = ServiceLines.of(recognised, supply, circuit, readings, compared);
            says.addAll(service.says());
            lines.addAll(service.lines());
            failing();
            return new CircuitReport(tests, compared, verdict(recognised), says, now(), next(recognised), lines);
        }

        /** What fails beside the readings of the conductors stands in the headline too. */
        private void failing() {
            List<Message> failing = lines.stream()
                    .filter(each -> each.state == CircuitComparison.ComparisonState.FAIL
                            && !each.source.equals(CircuitComparison.SOURCE)
                            && !each.source.equals(CircuitComparison.UNKNOWN_SOURCE))
                    .map(each -> Message.of("circuit_report.failing", each.step, each.read))
                    .distinct()
                    .toList();
            if (!failing.isEmpty()) {
                says.add(Message.of("circuit_report.fails", Message.list(MessageArgument.Listing.Link.COMMA, failing)));
            }
        }

        private Optional<Message> now() {
            Optional<Message> spot = compared.stream()
                    .filter(each -> each.state() == CircuitComparison.ComparisonState.NOT_TESTED)
                    .findFirst()
                    .map(each -> now(each.spot()));
            if (spot.isPresent()) {
                return spot;
            }
            if (!tests.insulation().keySet().containsAll(Tests.pairs(circuit))) {
                return Optional.of(Message.of("circuit_report.take_every_link_out"));
            }
            return tests.polarity().isEmpty()
                    ? Optional.of(Message.of("circuit_report.inspect_measure_every_point"))
                    : Optional.empty();
        }

        private Message now(Spot spot) {
            if (spot.point().isEmpty()) {
                return Message.of(
                        "circuit_report.both_ends_cable_apart",
                        Spot.role(spot.a()).words());
            }
            return Message.of(
                    "circuit_report.read_line_every_point",
                    circuit.ring(),
                    spot.linked().line().words(),
                    spot.linked().other().words());
        }

        private static Message step(Spot spot) {
            return spot.point().isEmpty()
                    ? Message.of("circuit_report.end_end")
                    : spot.linked().words();
        }

        private Optional<Spot> next(RecognisedPattern recognised) {
            return recognised.isExplained() ? recognised.next() : Optional.empty();
        }

        private void insulation() {
            boolean selv = supply.fault().earthing() == Earthing.SELV;
            for (Tests.TestPair pair : Tests.pairs(circuit)) {
                boolean between = pair == Tests.TestPair.LINES && !selv;
                double volts = between ? Math.sqrt(LINES) * supply.volts() : supply.volts();
                InsulationLimit limit = InsulationLimit.ofCircuit(volts, selv);
                MeterReading shown = tests.insulation().get(pair);
                lines.add(new ReportLine(
                        Message.of("circuit_report.insulation"),
                        pair.words(),
                        shown == null ? Message.NONE : shown.message(),
                        Message.of("circuit_report.minimum", limit.minimum()),
                        shown == null ? CircuitComparison.ComparisonState.NOT_TESTED : judged(shown, limit),
                        limit.derivation()));
            }
        }

        private static CircuitComparison.ComparisonState judged(MeterReading shown, InsulationLimit limit) {
            boolean enough =
                    shown.figure().orElse(0) >= limit.minimum().value() && !(shown instanceof MeterReading.Below);
            return enough ? CircuitComparison.ComparisonState.PASS : CircuitComparison.ComparisonState.FAIL;
        }

        private void polarity() {
            Optional<String> said = tests.polarity();
            boolean right = said.filter(Tests::isRight).isPresent();
            lines.add(new ReportLine(
                    Message.of("circuit_report.polarity"),
                    Message.of("circuit_report.line_neutral_protective_conductor", circuit.isThreePhase()),
                    right
                            ? Message.of("circuit_report.right")
                            : said.map(where -> Message.of("circuit_report.wrong", where))
                                    .orElse(Message.NONE),
                    Message.of("circuit_report.right"),
                    said.isEmpty()
                            ? CircuitComparison.ComparisonState.NOT_TESTED
                            : right ? CircuitComparison.ComparisonState.PASS : CircuitComparison.ComparisonState.FAIL,
                    Message.of("circuit_report.circuit_as_drawn")));
        }

        private CircuitComparison.ComparisonState verdict(RecognisedPattern recognised) {
            boolean wrongly = recognised
                    .best()
                    .filter(each -> each.pattern() instanceof Pattern.WrongWay
                            || each.pattern() instanceof Pattern.WrongWayTwice)
                    .isPresent();
            if (wrongly) {
                return CircuitComparison.ComparisonState
                        .NOT_TESTED; // the circuit is not at fault: it was not tested yet
            }
            boolean fault = lines.stream().anyMatch(each -> each.state == CircuitComparison.ComparisonState.FAIL)
                    || recognised
                            .best()
                            .filter(each -> !(each.pattern() instanceof Pattern.Good))
                            .isPresent();
            if (fault) {
                return CircuitComparison.ComparisonState.FAIL;
            }
            boolean missing = lines.stream()
                    .anyMatch(each -> each.state == CircuitComparison.ComparisonState.NOT_TESTED
                            && !each.expected.equals(Message.NONE));
            if (missing) {
                return CircuitComparison.ComparisonState.NOT_TESTED;
            }
            return lines.stream().anyMatch(each -> each.state == CircuitComparison.ComparisonState.MARGINAL)
                    ? CircuitComparison.ComparisonState.MARGINAL
                    : CircuitComparison.ComparisonState.PASS;
        }
    }
}
