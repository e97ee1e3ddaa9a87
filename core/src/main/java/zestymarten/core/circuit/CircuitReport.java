package zestymarten.core.circuit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import zestymarten.core.conductor.FeederWire;
import zestymarten.core.limit.InsulationLimit;
import zestymarten.core.quantity.EngineeringFormat;
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
        List<String> says,
        Optional<String> now,
        Optional<Spot> next,
        List<ReportLine> lines) {
    public CircuitReport {
        says = List.copyOf(says);
        lines = List.copyOf(lines);
        compared = List.copyOf(compared);
    }

    /** A line of the sheet: what, its figure, what it is held against and where that comes from, and how it is judged. */
    public record ReportLine(
            String step,
            String what,
            String read,
            String expected,
            CircuitComparison.ComparisonState state,
            String source) {}

    /** Reckons the sheet. */
    public static CircuitReport of(Tests tests, Supply supply) {
        return new Reckoning(tests, supply).sheet();
    }

    /** One sheet being reckoned. */
    private static final class Reckoning {
        private static final double HOT_C = 70;
        /** Two that are as near as that are told as one of the two. */
        private static final double ALIKE = 0.5;

        private final Tests tests;
        private final Supply supply;
        private final Circuit circuit;
        private final CircuitReadings readings;
        private final List<CircuitComparison> compared;
        private final List<String> says = new ArrayList<>();
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
            List<String> failing = lines.stream()
                    .filter(each -> each.state == CircuitComparison.ComparisonState.FAULT
                            && !each.source.equals(CircuitComparison.SOURCE)
                            && !each.source.equals(CircuitComparison.UNKNOWN_SOURCE))
                    .map(each -> each.step + " (" + each.read + ")")
                    .distinct()
                    .toList();
            if (!failing.isEmpty()) {
                says.add("Fails: " + String.join(", ", failing) + ".");
            }
        }

        private Optional<String> now() {
            Optional<String> spot = compared.stream()
                    .filter(each -> each.state() == CircuitComparison.ComparisonState.UNTESTED)
                    .findFirst()
                    .map(each -> now(each.spot()));
            if (spot.isPresent()) {
                return spot;
            }
            if (tests.insulation().size() < Tests.TestPair.values().length) {
                return Optional.of(
                        "Take every link out; electronics and lamps off the circuit, its switches closed, nobody at"
                                + " its ends. Then the insulation, each conductor against each, and discharge it after.");
            }
            return tests.polarity().isEmpty()
                    ? Optional.of(
                            "Inspect and measure every point: line, neutral and protective conductor each at its own terminal.")
                    : Optional.empty();
        }

        private String now(Spot spot) {
            String other = spot.linked().other().words();
            if (spot.point().isEmpty()) {
                return "Both ends of the cable apart: read the "
                        + Spot.role(spot.a()).words() + " from end A to end B.";
            }
            return (circuit.ring()
                            ? "Link the line of end A to the " + other + " of end B, and the line of end B to the "
                                    + other + " of end A."
                            : "Link line to " + other + " at the origin, or at the point and read at the origin.")
                    + " Read line to " + other + " at every point, in any order.";
        }

        private static String step(Spot spot) {
            return spot.point().isEmpty() ? "end to end" : spot.linked().words();
        }

        private void recognised(RecognisedPattern recognised) {
            Optional<RecognisedPattern.PatternMatch> best = recognised.best();
            if (best.isEmpty()) {
                return;
            }
            if (!recognised.isExplained()) {
                says.add("No single fault explains these readings. The nearest: "
                        + best.get().pattern().says(circuit) + " It leaves unexplained: "
                        + words(recognised.unexplained()) + ".");
                return;
            }
            if (!recognised.unexplained().isEmpty()) {
                says.add("One reading fits nothing, measure again: " + words(recognised.unexplained()) + ".");
            }
            pattern(recognised);
            if (circuit.lengths() == Lengths.UNKNOWN && !readings.isEmpty()) {
                says.add("No lengths are entered: by the readings it has about "
                        + EngineeringFormat.text(Math.rint(circuit.metres()), "m") + " of cable.");
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
                says.add("One of these: " + says(two.get(0)) + " Or: " + says(two.get(1))
                        + " These readings do not tell which.");
            } else if (isAnywhere(best)) {
                says.add(says(best));
            } else {
                says.add(best.pattern().says(circuit));
                beside(best).ifPresent(says::add);
            }
            told.stream()
                    .skip(open ? 2 : 1)
                    .limit(open ? 1 : 2)
                    .forEach(each -> says.add("Or, " + Math.round(100 * each.probability()) + " %: " + says(each)));
        }

        private String says(RecognisedPattern.PatternMatch told) {
            if (isAnywhere(told)) {
                return told.pattern() instanceof Pattern.ConductorBroken broken
                        ? "The " + broken.role().words() + " is open, somewhere in the "
                                + (circuit.ring() ? "ring." : "circuit.")
                        : "The whole cable is open in one place: line, neutral and protective conductor.";
            }
            return told.pattern().says(circuit)
                    + beside(told).map(each -> " " + each).orElse("");
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

        private static String words(List<Spot> spots) {
            return spots.stream().limit(3).map(Spot::words).collect(Collectors.joining("; "))
                    + (spots.size() > 3 ? " and " + (spots.size() - 3) + " more" : "");
        }

        /** Where else it may be, when several stretches read alike. */
        private Optional<String> beside(RecognisedPattern.PatternMatch told) {
            List<Integer> stretches = told.stretches();
            if (stretches.size() < 2) {
                return Optional.empty();
            }
            String from = stretches.get(0) == 0 ? "the origin" : "point " + stretches.get(0);
            int last = stretches.get(stretches.size() - 1) + 1;
            String to = last > circuit.outlets() ? "the origin" : "point " + last;
            return Optional.of(
                    "It may also be elsewhere from " + from + " on to " + to + ": these readings cannot tell.");
        }

        private Optional<Spot> next(RecognisedPattern recognised) {
            return recognised.isExplained() ? recognised.next() : Optional.empty();
        }

        private void insulation() {
            InsulationLimit limit =
                    InsulationLimit.ofCircuit(supply.volts(), supply.fault().earthing() == Earthing.SELV);
            for (Tests.TestPair pair : Tests.TestPair.values()) {
                MeterReading shown = tests.insulation().get(pair);
                lines.add(new ReportLine(
                        "insulation",
                        pair.words(),
                        shown == null ? "" : shown.text(),
                        "minimum " + limit.least().text(),
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
                    "polarity",
                    "line, neutral and protective conductor at every point, inspected and measured",
                    right ? Tests.RIGHT : said.map(where -> "wrong at " + where).orElse(""),
                    "right",
                    said.isEmpty()
                            ? CircuitComparison.ComparisonState.UNTESTED
                            : right ? CircuitComparison.ComparisonState.GOOD : CircuitComparison.ComparisonState.FAULT,
                    "the circuit as drawn"));
        }

        private void inService(RecognisedPattern recognised) {
            Worst worst = worst();
            lines.add(figure("R1 + R2", worst.words, EngineeringFormat.text(worst.ohm, "Ω"), worst.source));
            quarter();
            drop();
            if (!Disconnection.isKnown(supply)) {
                return;
            }
            Optional<String> unknown = unknown(recognised);
            if (unknown.isPresent()) {
                says.add("Disconnection is not known: " + unknown.get());
                lines.add(new ReportLine(
                        "loop impedance",
                        "at the farthest point, cable at 70 °C",
                        "",
                        "to be shown",
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
        private Optional<String> unknown(RecognisedPattern recognised) {
            List<CircuitComparison> loops = compared.stream()
                    .filter(each -> each.spot().linked() == Linked.LINE_PROTECTIVE
                            && each.state() != CircuitComparison.ComparisonState.UNTESTED
                            && !each.spot().point().isEmpty())
                    .toList();
            boolean good = recognised.best().isEmpty()
                    || (recognised.best().get().pattern() instanceof Pattern.Good
                            && recognised.isExplained()
                            && recognised.unexplained().isEmpty());
            if (!good || loops.stream().anyMatch(each -> each.readOhm().isEmpty())) {
                return Optional.of("the readings show a fault. Repair it and read line to protective conductor again.");
            }
            String farthest = farthest();
            return loops.stream().anyMatch(each -> each.spot().point().equals(farthest))
                    ? Optional.empty()
                    : Optional.of("line to protective conductor was not read at point " + farthest + ", the farthest.");
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
                lines.add(
                        figure(
                                "R1 + R2",
                                "a quarter of line and protective conductor end to end",
                                EngineeringFormat.text((line.getAsDouble() + protective.getAsDouble()) / 4, "Ω"),
                                "(r1 + r2) / 4: every point of a ring of one section; with unlike sections the middle, points near the origin read less"));
            }
        }

        /** A line that is reckoned and not judged. */
        private static ReportLine figure(String step, String what, String figure, String source) {
            return new ReportLine(step, what, figure, "", CircuitComparison.ComparisonState.UNTESTED, source);
        }

        private void drop() {
            if (supply.loadA().isEmpty()) {
                return;
            }
            double load = supply.loadA().getAsDouble();
            double hot = FeederWire.ohmAt(circuit.metal(), drawn(ConductorRole.NEUTRAL), circuit.celsius(), HOT_C);
            double drop = FeederWire.dropVolts(load, hot);
            double share = drop / supply.volts();
            lines.add(new ReportLine(
                    "voltage drop",
                    "all of " + EngineeringFormat.text(load, "A") + " taken at the farthest point, cable at 70 °C",
                    EngineeringFormat.text(drop, "V") + ", " + percent(share),
                    "maximum " + percent(supply.mostDrop()),
                    share <= supply.mostDrop()
                            ? CircuitComparison.ComparisonState.GOOD
                            : CircuitComparison.ComparisonState.FAULT,
                    "from the drawn lengths; the limit as typed, local codes decide"));
        }

        private static String percent(double share) {
            return EngineeringFormat.figure(Math.round(1000 * share) / 10.0) + " %";
        }

        /** The line and another conductor to the farthest point as drawn, both ends in service. */
        private double drawn(ConductorRole other) {
            CircuitPrediction predicted = new CircuitPrediction(circuit);
            return circuit.points().stream()
                    .mapToDouble(point -> predicted.inService(other, point))
                    .max()
                    .orElseThrow();
        }

        private record Worst(double ohm, String words, String source) {}

        /** R1 + R2 at the worst point: as read there; in a ring also by a quarter of its ends; else as drawn. */
        private Worst worst() {
            Optional<CircuitComparison> read = compared.stream()
                    .filter(each -> each.spot().linked() == Linked.LINE_PROTECTIVE
                            && each.readOhm().orElse(0) > 0)
                    .max(Comparator.comparingDouble(each -> each.readOhm().getAsDouble()));
            if (read.isPresent()) {
                return new Worst(
                        read.get().readOhm().getAsDouble(),
                        "the highest read, at point " + read.get().spot().point(),
                        "read with line to protective conductor linked");
            }
            double ends = readings.ohm(Spot.ends(ConductorRole.LINE)).orElse(0)
                    + readings.ohm(Spot.ends(ConductorRole.PROTECTIVE)).orElse(0);
            if (readings.ohm(Spot.ends(ConductorRole.LINE)).isPresent()
                    && readings.ohm(Spot.ends(ConductorRole.PROTECTIVE)).isPresent()
                    && ends > 0) {
                return new Worst(
                        ends / 4,
                        "a quarter of line and protective conductor end to end",
                        "(r1 + r2) / 4, spurs not in it");
            }
            return new Worst(drawn(ConductorRole.PROTECTIVE), "as drawn: not read yet", "IEC 60228, lengths as drawn");
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
                    .anyMatch(each ->
                            each.state == CircuitComparison.ComparisonState.UNTESTED && !each.expected.isEmpty());
            if (missing) {
                return CircuitComparison.ComparisonState.UNTESTED;
            }
            return lines.stream().anyMatch(each -> each.state == CircuitComparison.ComparisonState.WATCH)
                    ? CircuitComparison.ComparisonState.WATCH
                    : CircuitComparison.ComparisonState.GOOD;
        }
    }
}
