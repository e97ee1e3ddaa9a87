package zestymarten.core.circuit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import zestymarten.core.assembly.Metal;
import zestymarten.core.conductor.ResidualDevice;
import zestymarten.core.conductor.Wire;
import zestymarten.core.quantity.Engineering;

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
    private final double mostSeconds;

    /**
     * @param coldOhm R1 + R2 at the farthest point, at {@code celsius}
     * @param protectiveMm2 the smallest section of the protective conductor
     */
    Disconnection(Supply supply, double coldOhm, double celsius, double protectiveMm2) {
        this.supply = supply;
        fault = supply.fault();
        supplyOhm = supply.ohm().orElseThrow();
        this.coldOhm = coldOhm;
        this.protectiveMm2 = protectiveMm2;
        hotLoopOhm = Wire.ohmAt(Metal.COPPER, coldOhm, celsius, HOT_C);
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
                && (trip(fault.residual().get(), 1, fault.ratedS()).state() == Compared.State.FAULT
                        || trip(fault.residual().get(), FIVE, fault.fiveS()).state() == Compared.State.FAULT);
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

    Compared.State state() {
        if (isWithin(protectionSeconds(), mostSeconds)) {
            return Compared.State.GOOD;
        }
        if (isWithin(residualSeconds(), mostSeconds)) {
            return isResidualRead() ? Compared.State.GOOD : Compared.State.UNTESTED;
        }
        return isLeftToACurve() ? Compared.State.UNTESTED : Compared.State.FAULT;
    }

    private boolean isLeftToACurve() {
        return supply.protection()
                .filter(each -> each.fold(breaker -> false, fuse -> fuse.isLeftToItsCurve(leastFaultA(), mostSeconds)))
                .isPresent();
    }

    /** What a fault at the farthest point does, for a person without formulas. */
    String says() {
        StringBuilder says = new StringBuilder("A fault to earth at the farthest point draws "
                + Engineering.text(leastFaultA(), "A") + " with the cable hot");
        supply.protection().ifPresent(each -> says.append(": the " + each.name() + " " + each.does(leastFaultA())));
        says.append(".");
        fault.residual().ifPresent(each -> says.append(" ").append(residualSays(each)));
        return switch (state()) {
            case GOOD -> says.toString();
            case UNTESTED ->
                says + " " + Engineering.text(mostSeconds, "s") + " are allowed; "
                        + (isWithin(residualSeconds(), mostSeconds)
                                ? "its trip times at once and at five times its current are to be read."
                                : "whether it melts in time is for its maker's curve to show.");
            default -> says + " That is not in time: " + Engineering.text(mostSeconds, "s") + " are allowed.";
        };
    }

    private String residualSays(ResidualDevice device) {
        if (!isTouchable()) {
            return "The " + device.name() + " leaves " + Engineering.text(touchV(), "V")
                    + " on exposed metal before it has to open; 50 V are allowed.";
        }
        OptionalDouble seconds = residualSeconds();
        return seconds.isEmpty()
                ? "The " + device.name() + " does not count: it was too slow, or need not open at that current."
                : "An " + device.name() + " that works opens within " + Engineering.text(seconds.getAsDouble(), "s")
                        + ".";
    }

    List<Sheet.Line> lines() {
        List<Sheet.Line> lines = new ArrayList<>();
        lines.add(loop());
        fault.loopOhm().ifPresent(read -> lines.add(measured(read)));
        lines.add(time());
        fault.residual().ifPresent(device -> residual(device, lines));
        lines.add(new Sheet.Line(
                "fault current",
                "least, at the farthest point, hot: it has to trip the device",
                Engineering.text(leastFaultA(), "A"),
                "",
                Compared.State.UNTESTED,
                Engineering.figure(fault.factor()) + " × U0 / Zs"));
        lines.add(breaking());
        heat().ifPresent(lines::add);
        return lines;
    }

    private Sheet.Line loop() {
        OptionalDouble enoughA = enoughA();
        boolean decides = enoughA.isPresent() && !isWithin(residualSeconds(), mostSeconds);
        String most = enoughA.isPresent()
                ? "maximum " + Engineering.text(fault.factor() * supply.volts() / enoughA.getAsDouble(), "Ω")
                : "";
        String source = enoughA.isEmpty()
                ? "Ze + (R1 + R2)"
                : Engineering.figure(fault.factor()) + " × " + Engineering.text(supply.volts(), "V") + " / "
                        + Engineering.text(enoughA.getAsDouble(), "A") + ": "
                        + supply.protection().orElseThrow().name() + ", "
                        + supply.protection()
                                .orElseThrow()
                                .fold(
                                        breaker -> "top of its band, IEC 60898-1",
                                        fuse -> "its gate, IEC 60269-1, table 3");
        return decides
                ? new Sheet.Line(
                        "loop impedance",
                        "at the farthest point, cable at 70 °C",
                        Engineering.text(loopImpedanceOhm, "Ω"),
                        most,
                        state(),
                        source)
                : new Sheet.Line(
                        "loop impedance",
                        "at the farthest point, cable at 70 °C",
                        Engineering.text(loopImpedanceOhm, "Ω"),
                        "",
                        Compared.State.UNTESTED,
                        most.isEmpty() ? source : "for the protective device alone " + most + ", " + source);
    }

    /** The current from which the protective device surely acts in time; empty where there is none, or no standard says. */
    private OptionalDouble enoughA() {
        Optional<OptionalDouble> enough = supply.protection()
                .map(each -> each.fold(
                        breaker -> OptionalDouble.of(breaker.atOnceA()), fuse -> fuse.meltsWithinA(mostSeconds)));
        return enough.orElse(OptionalDouble.empty());
    }

    private Sheet.Line time() {
        double[] shown = DoubleStream.of(
                        protectionSeconds().orElse(Double.POSITIVE_INFINITY),
                        residualSeconds().orElse(Double.POSITIVE_INFINITY))
                .filter(Double::isFinite)
                .toArray();
        return new Sheet.Line(
                "disconnection time",
                "of a fault to earth at the farthest point, at the longest",
                shown.length == 0
                        ? "not limited"
                        : Engineering.text(DoubleStream.of(shown).min().getAsDouble(), "s"),
                "maximum " + Engineering.text(mostSeconds, "s"),
                state(),
                "IEC 60364-4-41, "
                        + (fault.finalCircuit() ? "table 41.1: " : "411.3.2: ") + fault.earthing()
                        + (fault.finalCircuit()
                                ? ", final circuit at " + Engineering.text(supply.volts(), "V")
                                : ", distribution circuit"));
    }

    /** A loop read live beside the calculated one: well above it something is loose; below it other metal helps. */
    private Sheet.Line measured(double read) {
        double calculated = supplyOhm + coldOhm;
        boolean high = read > calculated * (1 + MORE_SHARE) + MORE_OHM;
        return new Sheet.Line(
                "loop impedance",
                "measured at the farthest point, cable as cold as in the dead tests",
                Engineering.text(read, "Ω"),
                "calculated " + Engineering.text(calculated, "Ω"),
                high ? Compared.State.WATCH : Compared.State.GOOD,
                high
                        ? "Ze + (R1 + R2); over 20 % and 0.1 Ω above it (rule of thumb): look for a loose joint"
                        : "Ze + (R1 + R2), within 20 % and 0.1 Ω above it (rule of thumb)");
    }

    private void residual(ResidualDevice device, List<Sheet.Line> lines) {
        lines.add(trip(device, 1, fault.ratedS()));
        lines.add(trip(device, FIVE, fault.fiveS()));
        if (fault.earthing() == Earthing.TT) {
            lines.add(new Sheet.Line(
                    "touch voltage",
                    "loop impedance × rated residual current",
                    Engineering.text(touchV(), "V"),
                    "maximum 50 V",
                    isTouchable() ? Compared.State.GOOD : Compared.State.FAULT,
                    "IEC 60364-4-41, 411.5.3; the whole loop instead of the electrode, which is not less"));
        }
    }

    private static Sheet.Line trip(ResidualDevice device, int times, OptionalDouble read) {
        double current = times * device.residualA();
        double most = device.longestSeconds(current).orElseThrow();
        double least = device.shortestSeconds(current);
        boolean right = read.isPresent() && read.getAsDouble() <= most && read.getAsDouble() >= least;
        return new Sheet.Line(
                "RCD",
                "trip time at " + Engineering.text(current, "A"),
                read.isPresent() ? Engineering.text(read.getAsDouble(), "s") : "",
                least > 0
                        ? Engineering.text(least, "s") + " to " + Engineering.text(most, "s")
                        : "maximum " + Engineering.text(most, "s"),
                read.isEmpty() ? Compared.State.UNTESTED : right ? Compared.State.GOOD : Compared.State.FAULT,
                ResidualDevice.SOURCE);
    }

    private Sheet.Line breaking() {
        double most = supply.volts() / supplyOhm;
        OptionalDouble breaks = fault.breakingA();
        return new Sheet.Line(
                "fault current",
                "most, at the origin: the device has to break it",
                Engineering.text(most, "A"),
                breaks.isPresent() ? "maximum " + Engineering.text(breaks.getAsDouble(), "A") : "",
                breaks.isEmpty()
                        ? Compared.State.UNTESTED
                        : most <= breaks.getAsDouble() ? Compared.State.GOOD : Compared.State.FAULT,
                "U0 / Ze");
    }

    /**
     * The section that stands the least fault current until it is cut off; nothing where that time is not known, and no verdict
     * where it is so short that the device's let-through decides.
     */
    private Optional<Sheet.Line> heat() {
        OptionalDouble seconds = protectionSeconds();
        if (seconds.isEmpty() || seconds.getAsDouble() > MOST_ADIABATIC_S) {
            return Optional.empty();
        }
        boolean atOnce = seconds.getAsDouble() <= ADIABATIC_S;
        double least = Wire.adiabaticMm2(Wire.Insulation.COPPER_PVC, leastFaultA(), seconds.getAsDouble());
        return Optional.of(
                new Sheet.Line(
                        "protective conductor",
                        "its section against the heat of that fault",
                        Engineering.text(protectiveMm2, "mm²"),
                        atOnce ? "" : "minimum " + Engineering.text(least, "mm²"),
                        atOnce
                                ? Compared.State.UNTESTED
                                : protectiveMm2 >= least ? Compared.State.GOOD : Compared.State.FAULT,
                        atOnce
                                ? "cut off within 0.1 s: the device's let-through decides, which its maker gives"
                                : "I √t / 115, IEC 60364-5-54, copper in PVC; nearer the origin the device's let-through decides"));
    }

    /** Whether anything can be said: the supply is known, and something that cuts off. */
    static boolean isKnown(Supply supply) {
        return supply.fault().earthing() != Earthing.SELV
                && supply.ohm().isPresent()
                && (supply.protection().isPresent() || supply.fault().residual().isPresent());
    }
}
