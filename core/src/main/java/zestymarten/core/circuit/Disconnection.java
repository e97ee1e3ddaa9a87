package zestymarten.core.circuit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import zestymarten.core.conductor.FeederWire;
import zestymarten.core.conductor.ResidualDevice;
import zestymarten.core.quantity.Message;

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

    private static final double MAX_ADIABATIC_S = 5;
    /** A measured loop may be so much higher than calculated: contacts, the meter, the supply as it is just then. Rule of thumb. */
    private static final double MORE_SHARE = 0.2;

    private static final double MORE_OHM = 0.1;

    private static final int FIVE = 5;
    /** A fault between three lines draws about twice what one to earth does: half of its loop falls away. Rule of thumb. */
    private static final int THREE_LINES = 2;

    private final Supply supply;
    private final EarthFault fault;
    private final double supplyOhm;
    private final double coldOhm;
    private final double hotLoopOhm;
    private final double loopImpedanceOhm;
    private final double protectiveMm2;
    private final boolean threePhase;
    private final FeederWire.Insulation insulation;
    private final double maxSeconds;

    /** @param coldOhm R1 + R2 at the farthest point, at the temperature of the circuit as it was measured */
    Disconnection(Supply supply, double coldOhm, Circuit circuit) {
        this.supply = supply;
        fault = supply.fault();
        supplyOhm = supply.ohm().orElseThrow();
        this.coldOhm = coldOhm;
        protectiveMm2 = circuit.protectiveMm2();
        threePhase = circuit.isThreePhase();
        insulation = FeederWire.Insulation.pvc(circuit.metal());
        hotLoopOhm = FeederWire.ohmAt(circuit.metal(), coldOhm, circuit.celsius(), HOT_C);
        double measured = fault.loopOhm().orElse(0) + hotLoopOhm - coldOhm;
        loopImpedanceOhm = Math.max(supplyOhm + hotLoopOhm, measured);
        maxSeconds = fault.earthing().longestSeconds(supply.volts(), fault.finalCircuit());
    }

    private double minFaultA() {
        return fault.factor() * supply.volts() / loopImpedanceOhm;
    }

    /** Seconds that a residual-current device that works takes; empty where there is none, or it does not count. */
    private OptionalDouble residualSeconds() {
        boolean slow = fault.residual().isPresent()
                && (trip(fault.residual().get(), 1, fault.ratedS()).state() == CircuitComparison.ComparisonState.FAIL
                        || trip(fault.residual().get(), FIVE, fault.fiveS()).state()
                                == CircuitComparison.ComparisonState.FAIL);
        return fault.residual().isEmpty() || slow || !isTouchable()
                ? OptionalDouble.empty()
                : fault.residual().get().longestSeconds(minFaultA());
    }

    private boolean isResidualRead() {
        return fault.ratedS().isPresent() && fault.fiveS().isPresent();
    }

    private OptionalDouble protectionSeconds() {
        return supply.protection().map(each -> each.longestSeconds(minFaultA())).orElse(OptionalDouble.empty());
    }

    private static boolean isWithin(OptionalDouble seconds, double maximum) {
        return seconds.isPresent() && seconds.getAsDouble() <= maximum;
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
        if (isWithin(protectionSeconds(), maxSeconds)) {
            return CircuitComparison.ComparisonState.PASS;
        }
        if (isWithin(residualSeconds(), maxSeconds)) {
            return isResidualRead()
                    ? CircuitComparison.ComparisonState.PASS
                    : CircuitComparison.ComparisonState.NOT_TESTED;
        }
        return isLeftToACurve() ? CircuitComparison.ComparisonState.NOT_TESTED : CircuitComparison.ComparisonState.FAIL;
    }

    private boolean isLeftToACurve() {
        return supply.protection()
                .filter(each -> each.fold(breaker -> false, fuse -> fuse.isLeftToItsCurve(minFaultA(), maxSeconds)))
                .isPresent();
    }

    /** What a fault at the farthest point does, for a person without formulas. */
    Message says() {
        Message draws = supply.protection()
                .map(each -> Message.of(
                        "disconnection.draws_and_does",
                        Message.figure(minFaultA(), "A"),
                        each.name(),
                        each.does(minFaultA())))
                .orElseGet(() -> Message.of("disconnection.draws", Message.figure(minFaultA(), "A")));
        Message says = Message.sentences(draws, fault.residual().map(this::residualSays));
        return switch (state()) {
            case PASS -> says;
            case NOT_TESTED ->
                Message.of(
                        "disconnection.allowed",
                        says,
                        Message.figure(maxSeconds, "s"),
                        isWithin(residualSeconds(), maxSeconds));
            default -> Message.of("disconnection.that_not_time_allowed", says, Message.figure(maxSeconds, "s"));
        };
    }

    private Message residualSays(ResidualDevice device) {
        if (!isTouchable()) {
            return Message.of("disconnection.leaves_on_exposed_metal", device.name(), Message.figure(touchV(), "V"));
        }
        OptionalDouble seconds = residualSeconds();
        return seconds.isEmpty()
                ? Message.of("disconnection.does_not_count_was", device.name())
                : Message.sentences(
                        Message.of(
                                "disconnection.that_works_opens_within",
                                device.name(),
                                Message.figure(seconds.getAsDouble(), "s")),
                        device.blindTo());
    }

    List<CircuitReport.ReportLine> lines() {
        List<CircuitReport.ReportLine> lines = new ArrayList<>();
        lines.add(loop());
        fault.loopOhm().ifPresent(read -> lines.add(measured(read)));
        lines.add(time());
        fault.residual().ifPresent(device -> residual(device, lines));
        lines.add(new CircuitReport.ReportLine(
                Message.of("disconnection.fault_current"),
                Message.of("disconnection.least_farthest_point_hot"),
                Message.figure(minFaultA(), "A"),
                Message.NONE,
                CircuitComparison.ComparisonState.NOT_TESTED,
                Message.of("disconnection.u0_by_zs", Message.figure(fault.factor(), ""))));
        lines.add(breaking());
        heat().ifPresent(lines::add);
        return lines;
    }

    private CircuitReport.ReportLine loop() {
        OptionalDouble enoughA = enoughA();
        boolean decides = enoughA.isPresent() && !isWithin(residualSeconds(), maxSeconds);
        Message maximum = enoughA.isPresent()
                ? Message.of(
                        "disconnection.maximum",
                        Message.figure(fault.factor() * supply.volts() / enoughA.getAsDouble(), "Ω"))
                : Message.NONE;
        Message source = enoughA.isEmpty()
                ? Message.of("disconnection.ze")
                : Message.of(
                        "disconnection.by_device",
                        Message.figure(fault.factor(), ""),
                        Message.figure(supply.volts(), "V"),
                        Message.figure(enoughA.getAsDouble(), "A"),
                        supply.protection().orElseThrow().name(),
                        supply.protection()
                                .orElseThrow()
                                .fold(
                                        breaker -> Message.of("disconnection.top_band_iec"),
                                        fuse -> Message.of("disconnection.gate_iec_table")));
        return decides
                ? new CircuitReport.ReportLine(
                        Message.of("disconnection.loop_impedance"),
                        Message.of("disconnection.farthest_point_cable"),
                        Message.figure(loopImpedanceOhm, "Ω"),
                        maximum,
                        state(),
                        source)
                : new CircuitReport.ReportLine(
                        Message.of("disconnection.loop_impedance"),
                        Message.of("disconnection.farthest_point_cable"),
                        Message.figure(loopImpedanceOhm, "Ω"),
                        Message.NONE,
                        CircuitComparison.ComparisonState.NOT_TESTED,
                        maximum.isEmpty()
                                ? source
                                : Message.of("disconnection.protective_device_alone", maximum, source));
    }

    /** The current from which the protective device surely acts in time; empty where there is none, or no standard says. */
    private OptionalDouble enoughA() {
        Optional<OptionalDouble> enough = supply.protection()
                .map(each -> each.fold(
                        breaker -> OptionalDouble.of(breaker.atOnceA()), fuse -> fuse.meltsWithinA(maxSeconds)));
        return enough.orElse(OptionalDouble.empty());
    }

    private CircuitReport.ReportLine time() {
        double[] shown = DoubleStream.of(
                        protectionSeconds().orElse(Double.POSITIVE_INFINITY),
                        residualSeconds().orElse(Double.POSITIVE_INFINITY))
                .filter(Double::isFinite)
                .toArray();
        return new CircuitReport.ReportLine(
                Message.of("disconnection.disconnection_time"),
                Message.of("disconnection.fault_earth_farthest_point_2"),
                shown.length == 0
                        ? Message.of("disconnection.not_limited")
                        : Message.figure(DoubleStream.of(shown).min().getAsDouble(), "s"),
                Message.of("disconnection.maximum", Message.figure(maxSeconds, "s")),
                state(),
                Message.of(
                        "disconnection.rule",
                        fault.finalCircuit(),
                        fault.earthing().toString(),
                        Message.figure(supply.volts(), "V")));
    }

    /** A loop read live beside the calculated one: well above it something is loose; below it other metal helps. */
    private CircuitReport.ReportLine measured(double read) {
        double calculated = supplyOhm + coldOhm;
        boolean high = read > calculated * (1 + MORE_SHARE) + MORE_OHM;
        return new CircuitReport.ReportLine(
                Message.of("disconnection.loop_impedance"),
                Message.of("disconnection.measured_farthest_point_cable"),
                Message.figure(read, "Ω"),
                Message.of("disconnection.calculated", Message.figure(calculated, "Ω")),
                high ? CircuitComparison.ComparisonState.MARGINAL : CircuitComparison.ComparisonState.PASS,
                high
                        ? Message.of("disconnection.ze_over_above_rule")
                        : Message.of("disconnection.ze_within_above_rule"));
    }

    private void residual(ResidualDevice device, List<CircuitReport.ReportLine> lines) {
        lines.add(trip(device, 1, fault.ratedS()));
        lines.add(trip(device, FIVE, fault.fiveS()));
        if (fault.earthing() == Earthing.TT) {
            lines.add(new CircuitReport.ReportLine(
                    Message.of("disconnection.touch_voltage"),
                    Message.of("disconnection.loop_impedance_rated_residual"),
                    Message.figure(touchV(), "V"),
                    Message.of("disconnection.maximum", Message.figure(Earthing.TOUCH_V, "V")),
                    isTouchable() ? CircuitComparison.ComparisonState.PASS : CircuitComparison.ComparisonState.FAIL,
                    Message.of("disconnection.iec_whole_loop_instead")));
        }
    }

    private static CircuitReport.ReportLine trip(ResidualDevice device, int times, OptionalDouble read) {
        double current = times * device.residualA();
        double maximum = device.longestSeconds(current).orElseThrow();
        double minimum = device.shortestSeconds(current);
        boolean right = read.isPresent() && read.getAsDouble() <= maximum && read.getAsDouble() >= minimum;
        return new CircuitReport.ReportLine(
                Message.of("disconnection.rcd"),
                Message.of("disconnection.trip_time", Message.figure(current, "A")),
                read.isPresent() ? Message.figure(read.getAsDouble(), "s") : Message.NONE,
                minimum > 0
                        ? Message.of("disconnection.trip", Message.figure(minimum, "s"), Message.figure(maximum, "s"))
                        : Message.of("disconnection.maximum", Message.figure(maximum, "s")),
                read.isEmpty()
                        ? CircuitComparison.ComparisonState.NOT_TESTED
                        : right ? CircuitComparison.ComparisonState.PASS : CircuitComparison.ComparisonState.FAIL,
                Message.verbatim(ResidualDevice.SOURCE));
    }

    private CircuitReport.ReportLine breaking() {
        double maximum = (threePhase ? THREE_LINES : 1) * supply.volts() / supplyOhm;
        OptionalDouble breaks = fault.breakingA();
        return new CircuitReport.ReportLine(
                Message.of("disconnection.fault_current"),
                Message.of("disconnection.most_origin_device_has"),
                Message.figure(maximum, "A"),
                breaks.isPresent()
                        ? Message.of("disconnection.maximum", Message.figure(breaks.getAsDouble(), "A"))
                        : Message.NONE,
                breaks.isEmpty()
                        ? CircuitComparison.ComparisonState.NOT_TESTED
                        : maximum <= breaks.getAsDouble()
                                ? CircuitComparison.ComparisonState.PASS
                                : CircuitComparison.ComparisonState.FAIL,
                Message.of("disconnection.u0_by_ze", threePhase));
    }

    /**
     * The section that stands the least fault current until it is cut off; nothing where that time is not known, and no verdict
     * where it is so short that the device's let-through decides.
     */
    private Optional<CircuitReport.ReportLine> heat() {
        OptionalDouble seconds = protectionSeconds();
        if (seconds.isEmpty() || seconds.getAsDouble() > MAX_ADIABATIC_S) {
            return Optional.empty();
        }
        boolean atOnce = seconds.getAsDouble() <= ADIABATIC_S;
        double minimum = FeederWire.adiabaticMm2(insulation, minFaultA(), seconds.getAsDouble());
        return Optional.of(new CircuitReport.ReportLine(
                Message.of("disconnection.protective_conductor"),
                Message.of("disconnection.section_against_heat_that"),
                Message.figure(protectiveMm2, "mm²"),
                atOnce ? Message.NONE : Message.of("disconnection.minimum", Message.figure(minimum, "mm²")),
                atOnce
                        ? CircuitComparison.ComparisonState.NOT_TESTED
                        : protectiveMm2 >= minimum
                                ? CircuitComparison.ComparisonState.PASS
                                : CircuitComparison.ComparisonState.FAIL,
                atOnce
                        ? Message.of("disconnection.cut_off_within_device")
                        : Message.of(
                                "disconnection.iec_nearer_origin_device",
                                Message.figure(insulation.k(), ""),
                                Message.of(insulation))));
    }

    /** Whether anything can be said: the supply is known, and something that cuts off. */
    static boolean isKnown(Supply supply) {
        return supply.fault().earthing() != Earthing.SELV
                && supply.ohm().isPresent()
                && (supply.protection().isPresent() || supply.fault().residual().isPresent());
    }
}
