package zestymarten.core.circuit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import zestymarten.core.conductor.FeederWire;
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

    /** Reckons the sheet. */
    public static CircuitReport of(Tests tests, Supply supply) {
        return new Reckoning(tests, supply).sheet();
    }

    /** One sheet being reckoned. */
    private static final class Reckoning {
        private static final double HOT_C = 70;
        private static final int LINES = 3;
        /** Two that are as near as that are told as one of the two. */
        private static final double ALIKE = 0.5;

        private final Tests tests;
        private final Supply supply;
        private final Circuit circuit;
        private final CircuitReadings readings;
        private final List<CircuitComparison> compared;
        private final List<Message> says = new ArrayList<>();
        private final List<ReportLine> lines = new ArrayList<>();

        Reckoning(Tests tests, Supply supply) {
            this.tests = tests;
            this.supply = supply;
            circuit = Lengths.sized(tests.circuit(), tests.readings());
            readings = tests.readings();
            compared = CircuitComparison.all(circuit, readings);
        }

        CircuitReport sheet() {
            RecognisedPattern recognised = RecognisedPattern.of(circuit, readings);
            recognised(recognised);
            compared.forEach(each -> lines.add(new ReportLine(
                    step(each.spot()),
                    each.spot().words(),
                    each.readText(),
                    each.expectedText(),
                    each.state(),
                    circuit.lengths() == Lengths.DRAWN ? CircuitComparison.SOURCE : CircuitComparison.UNKNOWN_SOURCE)));
            insulation();
            polarity();
            inService(recognised);
            failing();
            return new CircuitReport(tests, compared, verdict(recognised), says, now(), next(recognised), lines);
        }

        /** What fails beside the readings of the conductors stands in the headline too. */
        private void failing() {
            List<Message> failing = lines.stream()
                    .filter(each -> each.state == CircuitComparison.ComparisonState.FAULT
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
                    .filter(each -> each.state() == CircuitComparison.ComparisonState.UNTESTED)
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

        private void recognised(RecognisedPattern recognised) {
            Optional<RecognisedPattern.PatternMatch> best = recognised.best();
            if (best.isEmpty()) {
                return;
            }
            if (!recognised.isExplained()) {
                says.add(Message.of(
                        "circuit_report.no_single_fault_explains",
                        best.get().pattern().says(circuit),
                        words(recognised.unexplained())));
                return;
            }
            if (!recognised.unexplained().isEmpty()) {
                says.add(Message.of("circuit_report.one_reading_fits_nothing", words(recognised.unexplained())));
            }
            pattern(recognised);
            if (circuit.lengths() == Lengths.UNKNOWN && !readings.isEmpty()) {
                says.add(Message.of(
                        "circuit_report.no_lengths_entered_by", Message.figure(Math.rint(circuit.metres()), "m")));
            }
            if (best.get().pattern() instanceof Pattern.ConductorBroken broken
                    && circuit.ring()
                    && broken.role() != ConductorRole.PROTECTIVE
                    && !isAnywhere(best.get())) {
                supply.protection()
                        .ifPresent(by ->
                                says.add(Legs.of(circuit, broken.stretch()).says(by, supply.legA())));
            }
        }

        /** The likeliest and what else it may be; of two that these readings hardly tell apart the more dangerous stands first. */
        private void pattern(RecognisedPattern recognised) {
            List<RecognisedPattern.PatternMatch> told = recognised.told();
            RecognisedPattern.PatternMatch best = told.get(0);
            boolean open = told.size() > 1 && told.get(1).probability() > ALIKE * best.probability();
            if (open) {
                List<RecognisedPattern.PatternMatch> two = told.subList(0, 2).stream()
                        .sorted(Comparator.comparing(each -> !isWithoutProtection(each.pattern())))
                        .toList();
                says.add(Message.of("circuit_report.one_these_or_these", says(two.get(0)), says(two.get(1))));
            } else if (isAnywhere(best)) {
                says.add(says(best));
            } else {
                says.add(best.pattern().says(circuit));
                beside(best).ifPresent(says::add);
            }
            told.stream()
                    .skip(open ? 2 : 1)
                    .limit(open ? 1 : 2)
                    .forEach(each -> says.add(
                            Message.of("circuit_report.or", Math.round(100 * each.probability()), says(each))));
        }

        private Message says(RecognisedPattern.PatternMatch told) {
            if (isAnywhere(told)) {
                return told.pattern() instanceof Pattern.ConductorBroken broken
                        ? Message.of(
                                "circuit_report.open_somewhere", broken.role().words(), circuit.ring())
                        : Message.of("circuit_report.whole_cable_open_one");
            }
            return Message.sentences(told.pattern().says(circuit), beside(told));
        }

        /** Whether an open conductor may be open nearly anywhere. */
        private boolean isAnywhere(RecognisedPattern.PatternMatch told) {
            boolean open =
                    told.pattern() instanceof Pattern.ConductorBroken || told.pattern() instanceof Pattern.CableCut;
            return open
                    && told.stretches().size() > circuit.stretches().size() / 2
                    && told.stretches().size() > 2;
        }

        /** Whether a point would be without its protective conductor. */
        private static boolean isWithoutProtection(Pattern pattern) {
            return (pattern instanceof Pattern.Missing missing && missing.role() == ConductorRole.PROTECTIVE)
                    || (pattern instanceof Pattern.ConductorBroken broken && broken.role() == ConductorRole.PROTECTIVE)
                    || (pattern instanceof Pattern.Swapped swapped && swapped.b() == ConductorRole.PROTECTIVE);
        }

        private static Message words(List<Spot> spots) {
            List<Message> first = spots.stream().limit(3).map(Spot::words).toList();
            return Message.of(
                    "circuit_report.more",
                    Message.list(MessageArgument.Listing.Link.SEMICOLON, first),
                    spots.size() - first.size());
        }

        /** Where else it may be, when several stretches read alike. */
        private Optional<Message> beside(RecognisedPattern.PatternMatch told) {
            List<Integer> stretches = told.stretches();
            if (stretches.size() < 2) {
                return Optional.empty();
            }
            Message from = stretches.get(0) == 0
                    ? Message.of("circuit_report.origin")
                    : Message.of("circuit_report.point", stretches.get(0));
            int last = stretches.get(stretches.size() - 1) + 1;
            Message to = last > circuit.outlets()
                    ? Message.of("circuit_report.origin")
                    : Message.of("circuit_report.point", last);
            return Optional.of(Message.of("circuit_report.may_also_be_elsewhere", from, to));
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
                        Message.of("circuit_report.minimum", limit.least()),
                        shown == null ? CircuitComparison.ComparisonState.UNTESTED : judged(shown, limit),
                        limit.derivation()));
            }
        }

        private static CircuitComparison.ComparisonState judged(MeterReading shown, InsulationLimit limit) {
            boolean enough =
                    shown.figure().orElse(0) >= limit.least().value() && !(shown instanceof MeterReading.Below);
            return enough ? CircuitComparison.ComparisonState.GOOD : CircuitComparison.ComparisonState.FAULT;
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
                            ? CircuitComparison.ComparisonState.UNTESTED
                            : right ? CircuitComparison.ComparisonState.GOOD : CircuitComparison.ComparisonState.FAULT,
                    Message.of("circuit_report.circuit_as_drawn")));
        }

        private void inService(RecognisedPattern recognised) {
            Worst worst = worst();
            lines.add(figure(worst.words, worst.ohm, worst.source));
            quarter();
            drop();
            if (!Disconnection.isKnown(supply)) {
                return;
            }
            Optional<Message> unknown = unknown(recognised);
            if (unknown.isPresent()) {
                says.add(Message.of("circuit_report.disconnection_not_known", unknown.get()));
                lines.add(new ReportLine(
                        Message.of("circuit_report.loop_impedance"),
                        Message.of("circuit_report.farthest_point_cable"),
                        Message.NONE,
                        Message.of("circuit_report.be_shown"),
                        CircuitComparison.ComparisonState.UNTESTED,
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
                            && each.state() != CircuitComparison.ComparisonState.UNTESTED
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
                    .map(linked ->
                            Message.of("circuit_report.line_protective_conductor_was", linked.words(), farthest));
        }

        private static boolean isToProtective(Spot spot) {
            return spot.linked().other() == ConductorRole.PROTECTIVE;
        }

        /** What has to be read at the farthest point: the protective conductor with one line, and every other line by the neutral. */
        private List<Linked> decisive() {
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

        /** A line that is reckoned and not judged. */
        private static ReportLine figure(Message what, double ohm, Message source) {
            return new ReportLine(
                    Message.of("circuit_report.r1_r2"),
                    what,
                    Message.figure(ohm, "Ω"),
                    Message.NONE,
                    CircuitComparison.ComparisonState.UNTESTED,
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
            lines.add(new ReportLine(
                    Message.of("circuit_report.voltage_drop"),
                    Message.of("circuit_report.all_taken_farthest_point", Message.figure(load, "A"), balanced),
                    Message.of("circuit_report.drop", Message.figure(drop, "V"), percent(share)),
                    Message.of("circuit_report.maximum", percent(supply.mostDrop())),
                    share <= supply.mostDrop()
                            ? CircuitComparison.ComparisonState.GOOD
                            : CircuitComparison.ComparisonState.FAULT,
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

        private record Worst(double ohm, Message words, Message source) {}

        /** R1 + R2 at the worst point: as read there; in a ring also by a quarter of its ends; else as drawn. */
        private Worst worst() {
            Optional<CircuitComparison> read = compared.stream()
                    .filter(each ->
                            isToProtective(each.spot()) && each.readOhm().orElse(0) > 0)
                    .max(Comparator.comparingDouble(this::withItsWorstLine));
            if (read.isPresent()) {
                return new Worst(
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
                return new Worst(
                        ends / 4,
                        Message.of("circuit_report.quarter_line_protective_conductor"),
                        Message.of("circuit_report.spurs_not"));
            }
            return new Worst(
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

        private CircuitComparison.ComparisonState verdict(RecognisedPattern recognised) {
            boolean wrongly = recognised
                    .best()
                    .filter(each -> each.pattern() instanceof Pattern.WrongWay
                            || each.pattern() instanceof Pattern.WrongWayTwice)
                    .isPresent();
            if (wrongly) {
                return CircuitComparison.ComparisonState.UNTESTED; // the circuit is not at fault: it was not tested yet
            }
            boolean fault = lines.stream().anyMatch(each -> each.state == CircuitComparison.ComparisonState.FAULT)
                    || recognised
                            .best()
                            .filter(each -> !(each.pattern() instanceof Pattern.Good))
                            .isPresent();
            if (fault) {
                return CircuitComparison.ComparisonState.FAULT;
            }
            boolean missing = lines.stream()
                    .anyMatch(each -> each.state == CircuitComparison.ComparisonState.UNTESTED
                            && !each.expected.equals(Message.NONE));
            if (missing) {
                return CircuitComparison.ComparisonState.UNTESTED;
            }
            return lines.stream().anyMatch(each -> each.state == CircuitComparison.ComparisonState.WATCH)
                    ? CircuitComparison.ComparisonState.WATCH
                    : CircuitComparison.ComparisonState.GOOD;
        }
    }
}
