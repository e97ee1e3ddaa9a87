package zestymarten.core.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zestymarten.core.circuit.CircuitComparison.ComparisonState;
import zestymarten.core.conductor.FuseLink;
import zestymarten.core.conductor.Protection;
import zestymarten.core.conductor.ResidualDevice;
import zestymarten.core.quantity.English;

/**
 * Faults to exposed metal. The figures beside the cases are from a pocket calculator: hot factor of copper from 20 to 70 °C
 * {@code 1 + 0.00393 x 50 = 1.1965}.
 */
class DisconnectionTest {
    private static final double HOT = 1.1965;

    private static EarthFault fault(
            Earthing earthing, boolean last, Optional<ResidualDevice> rcd, double ms, double ms5) {
        return new EarthFault(
                earthing,
                last,
                0.95,
                rcd,
                ms > 0 ? OptionalDouble.of(ms / 1000) : OptionalDouble.empty(),
                ms5 > 0 ? OptionalDouble.of(ms5 / 1000) : OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    private static Disconnection of(double volts, double ze, double loop, Optional<Protection> by, EarthFault fault) {
        return new Disconnection(
                new Supply(
                        volts, OptionalDouble.of(ze), by, OptionalDouble.empty(), 0.05, OptionalDouble.empty(), fault),
                loop,
                new Circuit(CircuitShape.RADIAL, List.of(new CableStretch(10, 2.5, 1.5)), List.of(), 20));
    }

    private static Optional<ResidualDevice> rcd(double milliamperes, boolean delayed) {
        return Optional.of(new ResidualDevice(ResidualDevice.Wave.A, delayed, milliamperes / 1000));
    }

    private static CircuitReport.ReportLine line(Disconnection of, String step, String what) {
        return of.lines().stream()
                .filter(each -> English.of(each.step()).equals(step)
                        && English.of(each.what()).startsWith(what))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest(name = "{0} {1} A at {2} V, Ze {3}, R1+R2 {4}, final {5}: {6}")
    @CsvSource({
        // breakers: 0.95 x 230 / (5 x 32) = 1.3656 ohm; 1.3656 - 0.35 = 1.0156 hot, 0.8488 cold
        "B, 32, 230, 0.35, 0.848, true, PASS",
        "B, 32, 230, 0.35, 0.850, true, FAIL",
        // 0.95 x 230 / 160 for C16 as well
        "C, 16, 230, 0.35, 0.848, true, PASS",
        "C, 16, 230, 0.35, 0.850, true, FAIL",
        // a breaker that acts by heat takes up to a minute: not within 5 s either
        "C, 16, 230, 0.35, 0.850, false, FAIL",
        // D10: 0.95 x 230 / 200 = 1.0925; less 0.5 is 0.5925 hot, 0.4952 cold
        "D, 10, 230, 0.5, 0.494, true, PASS",
        "D, 10, 230, 0.5, 0.497, true, FAIL",
        // at 120 V half of it: B16 0.95 x 120 / 80 = 1.425; less 0.4 hot 1.025, cold 0.8567
        "B, 16, 120, 0.4, 0.855, true, PASS",
        "B, 16, 120, 0.4, 0.858, true, FAIL",
        // gG 16: 65 A in 5 s, 0.95 x 230 / 65 = 3.3615; less 0.8 hot 2.5615, cold 2.1408
        "gG, 16, 230, 0.8, 2.140, false, PASS",
        // between its gates at 33 and 65 A nobody but its maker knows
        "gG, 16, 230, 0.8, 2.143, false, NOT_TESTED",
        // 0.4 s: 150 A is sure, 1.4567 ohm; less 0.8 hot 0.6567, cold 0.5488
        "gG, 16, 230, 0.8, 0.548, true, PASS",
        "gG, 16, 230, 0.8, 0.550, true, NOT_TESTED",
        // below 33 A it surely lasts over 10 s: 0.95 x 230 / 33 = 6.6212; less 0.8 hot 5.8212, cold 4.8652
        "gG, 16, 230, 0.8, 4.870, true, FAIL",
        "gG, 16, 230, 0.8, 4.870, false, FAIL",
        // 63 A: 320 A in 5 s, 0.6828; less 0.2 hot 0.4828, cold 0.4035
        "gG, 63, 230, 0.2, 0.403, false, PASS",
        "gG, 63, 230, 0.2, 0.404, false, NOT_TESTED",
        // 10 A has no gate in the standard
        "gG, 10, 230, 0.8, 1.0, true, NOT_TESTED",
    })
    void aProtectiveDeviceIsInTimeOnlyWhereItsStandardSaysSo(
            String kind, double rated, double volts, double ze, double loop, boolean last, ComparisonState expected) {
        Disconnection of = of(
                volts,
                ze,
                loop,
                Optional.of(Protection.of(kind, rated)),
                fault(Earthing.TN, last, Optional.empty(), 0, 0));
        assertThat(of.state()).isEqualTo(expected);
        assertThat(line(of, "disconnection time", "").state()).isEqualTo(expected);
        assertThat(English.of(of.says()).contains("not in time")).isEqualTo(expected == ComparisonState.FAIL);
    }

    @ParameterizedTest(name = "{0}, {1} mA delayed {2}, Ze {3}, read {4} and {5} ms: {6}")
    @CsvSource({
        "TN, 30, false, 3, 25, 20, PASS",
        // never read: it is not known that it works
        "TN, 30, false, 3, 0, 0, NOT_TESTED",
        "TN, 30, false, 3, 25, 0, NOT_TESTED",
        // 300 ms and 40 ms are the most
        "TN, 30, false, 3, 300, 40, PASS",
        "TN, 30, false, 3, 301, 40, FAIL",
        "TN, 30, false, 3, 300, 41, FAIL",
        // the delayed kind must wait
        "TN, 300, true, 3, 200, 100, PASS",
        "TN, 300, true, 3, 120, 100, FAIL",
        "TN, 300, true, 3, 200, 151, FAIL",
        // TT: 50 V / 30 mA = 1666.7 ohm, current 0.95 x 230 / 1500 = 0.1457 A = 4.9 times: 150 ms, 200 are allowed
        "TT, 30, false, 1500, 25, 20, PASS",
        "TT, 30, false, 1670, 25, 20, FAIL",
        // 100 mA: 500 ohm at most; at 450 ohm 0.4856 A = 4.9 times
        "TT, 100, false, 450, 25, 20, PASS",
        "TT, 100, false, 501, 25, 20, FAIL",
        // delayed, 300 mA at 100 ohm: 2.185 A = 7.3 times: 150 ms
        "TT, 300, true, 100, 200, 100, PASS",
        "TT, 300, true, 170, 200, 100, FAIL",
    })
    void aResidualCurrentDeviceCountsWhereItsTimesWereReadAndTheTouchVoltageIsLow(
            Earthing earthing, double mA, boolean delayed, double ze, double ms, double ms5, ComparisonState expected) {
        Disconnection of =
                of(230, ze, 0.6, Optional.of(Protection.of("C", 20)), fault(earthing, true, rcd(mA, delayed), ms, ms5));
        assertThat(of.state()).isEqualTo(expected);
    }

    @ParameterizedTest(name = "{0} at {1} V, final {2}: {3} s")
    @CsvSource({
        "TN, 120, true, 0.8",
        "TN, 121, true, 0.4",
        "TN, 230, true, 0.4",
        "TN, 277, true, 0.2",
        "TN, 400, true, 0.2",
        "TN, 690, true, 0.1",
        "TN, 230, false, 5",
        "TT, 120, true, 0.3",
        "TT, 230, true, 0.2",
        "TT, 400, true, 0.07",
        "TT, 500, true, 0.04",
        "TT, 230, false, 1",
    })
    void theTimesAreThoseOfTheStandard(Earthing earthing, double volts, boolean last, double seconds) {
        assertThat(earthing.longestSeconds(volts, last)).isEqualTo(seconds);
    }

    @Test
    void theMeasuredLoopCountsWhereItIsWorseThanTheCalculatedOne() {
        EarthFault read = new EarthFault(
                Earthing.TN,
                true,
                0.95,
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.of(1.5),
                OptionalDouble.of(6000));
        Disconnection of = of(230, 0.35, 0.5, Optional.of(Protection.of("B", 32)), read);
        // 1.5 + 0.5 x 0.1965 = 1.598; 0.95 x 230 / 1.598 = 136.7 A, below 160
        assertThat(of.state()).isEqualTo(ComparisonState.FAIL);
        assertThat(English.of(line(of, "loop impedance", "at the farthest").read()))
                .isEqualTo("1.598 Ω");
        assertThat(line(of, "loop impedance", "measured").state()).isEqualTo(ComparisonState.MARGINAL);
        // 230 / 0.35 = 657 A
        assertThat(English.of(line(of, "fault current", "most").read())).isEqualTo("657.1 A");
        assertThat(line(of, "fault current", "most").state()).isEqualTo(ComparisonState.PASS);
    }

    @Test
    void aDeviceThatCannotBreakWhatTheSupplyCanDeliverIsAtFault() {
        EarthFault read = new EarthFault(
                Earthing.TN,
                true,
                1,
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.of(3000));
        Disconnection of = of(230, 0.07, 0.5, Optional.of(Protection.of("B", 32)), read);
        assertThat(line(of, "fault current", "most").state()).isEqualTo(ComparisonState.FAIL);
    }

    @Test
    void theProtectiveConductorHasToStandTheHeatUntilItIsCutOff() {
        // 0.95 x 230 / (0.2 + 0.5 x 1.1965) = 273.7 A for 5 s: 273.7 x 2.236 / 115 = 5.32 mm2
        Disconnection slow =
                of(230, 0.2, 0.5, Optional.of(new FuseLink(50)), fault(Earthing.TN, false, Optional.empty(), 0, 0));
        CircuitReport.ReportLine heat = line(slow, "protective conductor", "");
        double amperes = 0.95 * 230 / (0.2 + 0.5 * HOT);
        assertThat(amperes).isCloseTo(273.7, within(0.1));
        assertThat(English.of(heat.expected())).isEqualTo("minimum 5.322 mm²");
        assertThat(heat.state()).isEqualTo(ComparisonState.FAIL);
        Disconnection fast = of(
                230, 0.2, 0.5, Optional.of(Protection.of("B", 32)), fault(Earthing.TN, true, Optional.empty(), 0, 0));
        assertThat(line(fast, "protective conductor", "").state())
                .as("at once: its let-through decides, and nobody knows it here")
                .isEqualTo(ComparisonState.NOT_TESTED);
        assertThat(English.of(line(fast, "protective conductor", "").expected()))
                .isEmpty();
    }

    @Test
    void separatedExtraLowVoltageAsksForItsOwnInsulationAndForNoDisconnection() {
        Supply supply = new Supply(
                24,
                OptionalDouble.of(0.1),
                Optional.of(Protection.of("B", 10)),
                OptionalDouble.empty(),
                0.05,
                OptionalDouble.empty(),
                fault(Earthing.SELV, true, Optional.empty(), 0, 0));
        assertThat(Disconnection.isKnown(supply)).isFalse();
        assertThatThrownBy(() -> new Supply(
                        230,
                        OptionalDouble.of(0.1),
                        Optional.empty(),
                        OptionalDouble.empty(),
                        0.05,
                        OptionalDouble.empty(),
                        fault(Earthing.SELV, true, Optional.empty(), 0, 0)))
                .hasMessage("supply.supply_volts_most[230 V]");
    }

    @Test
    void sentencesSayWhatIsShownAndWhatIsNot() {
        Disconnection untried =
                of(230, 90, 0.6, Optional.of(Protection.of("C", 20)), fault(Earthing.TT, true, rcd(30, false), 0, 0));
        assertThat(English.of(untried.says()))
                .isEqualTo(
                        "A fault to earth at the farthest point draws 2.409 A with the cable hot: the C20 does not trip"
                                + " within the conventional time. An RCD of 30 mA (type A) that works opens within 40 ms."
                                + " What it may not see: mixed frequencies of drives, and smooth direct current above 6 mA, as of three-phase rectifiers"
                                + " and vehicle charging. Those need type F or B. 0.2 s are allowed;"
                                + " its trip times at once and at five times its current are to be read.");
        Disconnection high = of(230, 1800, 0.6, Optional.empty(), fault(Earthing.TT, true, rcd(30, false), 20, 10));
        assertThat(English.of(high.says()))
                .contains("leaves 54.02 V on exposed metal")
                .contains("not in time");
    }

    @ParameterizedTest
    @CsvSource({"AC, DC part", "A, type F or B", "F, Those need type B", "B, ''", "NOT_SAID, Its type was not said"})
    void whatAResidualDeviceMayNotSeeIsSaidWithItsType(ResidualDevice.Wave wave, String blind) {
        ResidualDevice device = new ResidualDevice(wave, false, 0.03);
        assertThat(English.of(device.name()))
                .isEqualTo("RCD of 30 mA" + (wave == ResidualDevice.Wave.NOT_SAID ? "" : " (type " + wave + ")"));
        assertThat(device.blindTo().map(English::of).orElse("")).contains(blind);
        assertThat(device.blindTo().isEmpty()).isEqualTo(wave == ResidualDevice.Wave.B);
    }
}
