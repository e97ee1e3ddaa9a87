package zestymarten.core.circuit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import zestymarten.core.conductor.FeederWire;
import zestymarten.core.conductor.ResidualDevice;
import zestymarten.core.quantity.EngineeringFormat;

/**
 * Whether a fault to exposed metal at the farthest point is cut off in time, calculated from the dead tests and from what was
 * read live: nothing here is to be tried.
 *
 * <p>Rules: {@code Zs = Ze + (R1 + R2)} with the cable hot, and never less than a measured loop says; {@code I = c U0 / Zs}. It is
 * in time where the protective device or the residual-current device surely opens within the time that IEC 60364-4-41 allows, and
 * in TT where {@code Zs IΔn} is at most 50 V besides. What a fuse's maker has to say is not known here.
 */
final class Disconnection {
    private static final double HOT_C = 70;
    /** From so long on the heat of a short circuit stays in the core; below, the device's let-through decides. */
    private static final double ADIABATIC_S = 0.1;

    private static final double MOST_ADIABATIC_S = 5;
    /** A measured loop may be so much higher than calculated: contacts, the meter, the supply as it is just then. Rule of thumb. */
    private static final double MORE_SHARE = 0.2;

    private static final double MORE_OHM = 0.1;

    private static final int FIVE = 5;

    private final Supply supply;
    private final EarthFault fault;
    private final double supplyOhm;
    private final double coldOhm;
    private final double hotLoopOhm;
    private final double loopImpedanceOhm;
    private final double protectiveMm2;
    private final FeederWire.Insulation insulation;
    private final double mostSeconds;

    /** @param coldOhm R1 + R2 at the farthest point, at the temperature of the circuit as it was measured */
    Disconnection(Supply supply, double coldOhm, Circuit circuit) {
        this.supply = supply;
        fault = supply.fault();
        supplyOhm = supply.ohm().orElseThrow();
        this.coldOhm = coldOhm;
        protectiveMm2 = circuit.protectiveMm2();
        insulation = FeederWire.Insulation.pvc(circuit.metal());
        hotLoopOhm = FeederWire.ohmAt(circuit.metal(), coldOhm, circuit.celsius(), HOT_C);
        double measured = fault.loopOhm().orElse(0) + hotLoopOhm - coldOhm;
        loopImpedanceOhm = Math.max(supplyOhm + hotLoopOhm, measured);
        mostSeconds = fault.earthing().longestSeconds(supply.volts(), fault.finalCircuit());
    }

    private double leastFaultA() {
        return fault.factor() * supply.volts() / loopImpedanceOhm;
    }

    /** Seconds that a residual-current device that works takes; empty where there is none, or it does not count. */
    private OptionalDouble residualSeconds() {
        boolean slow = fault.residual().isPresent()
                && (trip(fault.residual().get(), 1, fault.ratedS()).state() == CircuitComparison.ComparisonState.FAULT
                        || trip(fault.residual().get(), FIVE, fault.fiveS()).state()
                                == CircuitComparison.ComparisonState.FAULT);
        return fault.residual().isEmpty() || slow || !isTouchable()
                ? OptionalDouble.empty()
                : fault.residual().get().longestSeconds(leastFaultA());
    }

    private boolean isResidualRead() {
        return fault.ratedS().isPresent() && fault.fiveS().isPresent();
    }

    private OptionalDouble protectionSeconds() {
        return supply.protection()
                .map(each -> each.longestSeconds(leastFaultA()))
                .orElse(OptionalDouble.empty());
    }

    private static boolean isWithin(OptionalDouble seconds, double most) {
        return seconds.isPresent() && seconds.getAsDouble() <= most;
    }

    /** Whether what stays on exposed metal is low enough until a residual-current device opens; asked in TT only. */
    private boolean isTouchable() {
        return fault.earthing() != Earthing.TT || touchV() <= Earthing.TOUCH_V;
    }

    private double touchV() {
        return loopImpedanceOhm
                * fault.residual().map(ResidualDevice::residualA).orElse(0.0);
    }

    CircuitComparison.ComparisonState state() {
        if (isWithin(protectionSeconds(), mostSeconds)) {
            return CircuitComparison.ComparisonState.GOOD;
        }
        if (isWithin(residualSeconds(), mostSeconds)) {
            return isResidualRead()
                    ? CircuitComparison.ComparisonState.GOOD
                    : CircuitComparison.ComparisonState.UNTESTED;
        }
        return isLeftToACurve() ? CircuitComparison.ComparisonState.UNTESTED : CircuitComparison.ComparisonState.FAULT;
    }

    private boolean isLeftToACurve() {
        return supply.protection()
                .filter(each -> each.fold(breaker -> false, fuse -> fuse.isLeftToItsCurve(leastFaultA(), mostSeconds)))
                .isPresent();
    }

    /** What a fault at the farthest point does, for a person without formulas. */
    String says() {
        StringBuilder says = new StringBuilder("A fault to earth at the farthest point draws "
                + EngineeringFormat.text(leastFaultA(), "A") + " with the cable hot");
        supply.protection().ifPresent(each -> says.append(": the " + each.name() + " " + each.does(leastFaultA())));
        says.append(".");
        fault.residual().ifPresent(each -> says.append(" ").append(residualSays(each)));
        return switch (state()) {
            case GOOD -> says.toString();
            case UNTESTED ->
                says + " " + EngineeringFormat.text(mostSeconds, "s") + " are allowed; "
                        + (isWithin(residualSeconds(), mostSeconds)
                                ? "its trip times at once and at five times its current are to be read."
                                : "whether it melts in time is for its maker's curve to show.");
            default -> says + " That is not in time: " + EngineeringFormat.text(mostSeconds, "s") + " are allowed.";
        };
    }

    private String residualSays(ResidualDevice device) {
        if (!isTouchable()) {
            return "The " + device.name() + " leaves " + EngineeringFormat.text(touchV(), "V")
                    + " on exposed metal before it has to open; 50 V are allowed.";
        }
        OptionalDouble seconds = residualSeconds();
        return seconds.isEmpty()
                ? "The " + device.name() + " does not count: it was too slow, or need not open at that current."
                : "An " + device.name() + " that works opens within "
                        + EngineeringFormat.text(seconds.getAsDouble(), "s") + ".";
    }

    List<CircuitReport.ReportLine> lines() {
        List<CircuitReport.ReportLine> lines = new ArrayList<>();
        lines.add(loop());
        fault.loopOhm().ifPresent(read -> lines.add(measured(read)));
        lines.add(time());
        fault.residual().ifPresent(device -> residual(device, lines));
        lines.add(new CircuitReport.ReportLine(
                "fault current",
                "least, at the farthest point, hot: it has to trip the device",
                EngineeringFormat.text(leastFaultA(), "A"),
                "",
                CircuitComparison.ComparisonState.UNTESTED,
                EngineeringFormat.figure(fault.factor()) + " × U0 / Zs"));
        lines.add(breaking());
        heat().ifPresent(lines::add);
        return lines;
    }

    private CircuitReport.ReportLine loop() {
        OptionalDouble enoughA = enoughA();
        boolean decides = enoughA.isPresent() && !isWithin(residualSeconds(), mostSeconds);
        String most = enoughA.isPresent()
                ? "maximum " + EngineeringFormat.text(fault.factor() * supply.volts() / enoughA.getAsDouble(), "Ω")
                : "";
        String source = enoughA.isEmpty()
                ? "Ze + (R1 + R2)"
                : EngineeringFormat.figure(fault.factor()) + " × " + EngineeringFormat.text(supply.volts(), "V") + " / "
                        + EngineeringFormat.text(enoughA.getAsDouble(), "A") + ": "
                        + supply.protection().orElseThrow().name() + ", "
                        + supply.protection()
                                .orElseThrow()
                                .fold(
                                        breaker -> "top of its band, IEC 60898-1",
                                        fuse -> "its gate, IEC 60269-1, table 3");
        return decides
                ? new CircuitReport.ReportLine(
                        "loop impedance",
                        "at the farthest point, cable at 70 °C",
                        EngineeringFormat.text(loopImpedanceOhm, "Ω"),
                        most,
                        state(),
                        source)
                : new CircuitReport.ReportLine(
                        "loop impedance",
                        "at the farthest point, cable at 70 °C",
                        EngineeringFormat.text(loopImpedanceOhm, "Ω"),
                        "",
                        CircuitComparison.ComparisonState.UNTESTED,
                        most.isEmpty() ? source : "for the protective device alone " + most + ", " + source);
    }

    /** The current from which the protective device surely acts in time; empty where there is none, or no standard says. */
    private OptionalDouble enoughA() {
        Optional<OptionalDouble> enough = supply.protection()
                .map(each -> each.fold(
                        breaker -> OptionalDouble.of(breaker.atOnceA()), fuse -> fuse.meltsWithinA(mostSeconds)));
        return enough.orElse(OptionalDouble.empty());
    }

    private CircuitReport.ReportLine time() {
        double[] shown = DoubleStream.of(
                        protectionSeconds().orElse(Double.POSITIVE_INFINITY),
                        residualSeconds().orElse(Double.POSITIVE_INFINITY))
                .filter(Double::isFinite)
                .toArray();
        return new CircuitReport.ReportLine(
                "disconnection time",
                "of a fault to earth at the farthest point, at the longest",
                shown.length == 0
                        ? "not limited"
                        : EngineeringFormat.text(DoubleStream.of(shown).min().getAsDouble(), "s"),
                "maximum " + EngineeringFormat.text(mostSeconds, "s"),
                state(),
                "IEC 60364-4-41, "
                        + (fault.finalCircuit() ? "table 41.1: " : "411.3.2: ") + fault.earthing()
                        + (fault.finalCircuit()
                                ? ", final circuit at " + EngineeringFormat.text(supply.volts(), "V")
                                : ", distribution circuit"));
    }

    /** A loop read live beside the calculated one: well above it something is loose; below it other metal helps. */
    private CircuitReport.ReportLine measured(double read) {
        double calculated = supplyOhm + coldOhm;
        boolean high = read > calculated * (1 + MORE_SHARE) + MORE_OHM;
        return new CircuitReport.ReportLine(
                "loop impedance",
                "measured at the farthest point, cable as cold as in the dead tests",
                EngineeringFormat.text(read, "Ω"),
                "calculated " + EngineeringFormat.text(calculated, "Ω"),
                high ? CircuitComparison.ComparisonState.WATCH : CircuitComparison.ComparisonState.GOOD,
                high
                        ? "Ze + (R1 + R2); over 20 % and 0.1 Ω above it (rule of thumb): look for a loose joint"
                        : "Ze + (R1 + R2), within 20 % and 0.1 Ω above it (rule of thumb)");
    }

    private void residual(ResidualDevice device, List<CircuitReport.ReportLine> lines) {
        lines.add(trip(device, 1, fault.ratedS()));
        lines.add(trip(device, FIVE, fault.fiveS()));
        if (fault.earthing() == Earthing.TT) {
            lines.add(new CircuitReport.ReportLine(
                    "touch voltage",
                    "loop impedance × rated residual current",
                    EngineeringFormat.text(touchV(), "V"),
                    "maximum 50 V",
                    isTouchable() ? CircuitComparison.ComparisonState.GOOD : CircuitComparison.ComparisonState.FAULT,
                    "IEC 60364-4-41, 411.5.3; the whole loop instead of the electrode, which is not less"));
        }
    }

    private static CircuitReport.ReportLine trip(ResidualDevice device, int times, OptionalDouble read) {
        double current = times * device.residualA();
        double most = device.longestSeconds(current).orElseThrow();
        double least = device.shortestSeconds(current);
        boolean right = read.isPresent() && read.getAsDouble() <= most && read.getAsDouble() >= least;
        return new CircuitReport.ReportLine(
                "RCD",
                "trip time at " + EngineeringFormat.text(current, "A"),
                read.isPresent() ? EngineeringFormat.text(read.getAsDouble(), "s") : "",
                least > 0
                        ? EngineeringFormat.text(least, "s") + " to " + EngineeringFormat.text(most, "s")
                        : "maximum " + EngineeringFormat.text(most, "s"),
                read.isEmpty()
                        ? CircuitComparison.ComparisonState.UNTESTED
                        : right ? CircuitComparison.ComparisonState.GOOD : CircuitComparison.ComparisonState.FAULT,
                ResidualDevice.SOURCE);
    }

    private CircuitReport.ReportLine breaking() {
        double most = supply.volts() / supplyOhm;
        OptionalDouble breaks = fault.breakingA();
        return new CircuitReport.ReportLine(
                "fault current",
                "most, at the origin: the device has to break it",
                EngineeringFormat.text(most, "A"),
                breaks.isPresent() ? "maximum " + EngineeringFormat.text(breaks.getAsDouble(), "A") : "",
                breaks.isEmpty()
                        ? CircuitComparison.ComparisonState.UNTESTED
                        : most <= breaks.getAsDouble()
                                ? CircuitComparison.ComparisonState.GOOD
                                : CircuitComparison.ComparisonState.FAULT,
                "U0 / Ze");
    }

    /**
     * The section that stands the least fault current until it is cut off; nothing where that time is not known, and no verdict
     * where it is so short that the device's let-through decides.
     */
    private Optional<CircuitReport.ReportLine> heat() {
        OptionalDouble seconds = protectionSeconds();
        if (seconds.isEmpty() || seconds.getAsDouble() > MOST_ADIABATIC_S) {
            return Optional.empty();
        }
        boolean atOnce = seconds.getAsDouble() <= ADIABATIC_S;
        double least = FeederWire.adiabaticMm2(insulation, leastFaultA(), seconds.getAsDouble());
        return Optional.of(new CircuitReport.ReportLine(
                "protective conductor",
                "its section against the heat of that fault",
                EngineeringFormat.text(protectiveMm2, "mm²"),
                atOnce ? "" : "minimum " + EngineeringFormat.text(least, "mm²"),
                atOnce
                        ? CircuitComparison.ComparisonState.UNTESTED
                        : protectiveMm2 >= least
                                ? CircuitComparison.ComparisonState.GOOD
                                : CircuitComparison.ComparisonState.FAULT,
                atOnce
                        ? "cut off within 0.1 s: the device's let-through decides, which its maker gives"
                        : "I √t / " + EngineeringFormat.figure(insulation.k()) + ", IEC 60364-5-54, "
                                + insulation.words() + "; nearer the origin the device's let-through decides"));
    }

    /** Whether anything can be said: the supply is known, and something that cuts off. */
    static boolean isKnown(Supply supply) {
        return supply.fault().earthing() != Earthing.SELV
                && supply.ohm().isPresent()
                && (supply.protection().isPresent() || supply.fault().residual().isPresent());
    }
}
