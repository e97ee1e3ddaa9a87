package zestymarten.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.WireList;
import zestymarten.core.check.Check.CheckOutcome;
import zestymarten.core.check.Conclusion.Code;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.English;
import zestymarten.core.quantity.Message;

/** One thing by itself: what its readings say, and that nothing passes before everything was measured. */
class CheckTest {
    private static final TestConditions NULLED = new TestConditions(
            20,
            new MeterProfile("meter", 0.008, 0.01, 30, false, 20e6),
            OptionalDouble.of(0.2),
            LeadPolicy.FULL,
            false,
            TestConditions.JOINED_BELOW_OHM);

    /** Readings in the order of the questions; a dash leaves one out. */
    private static Check check(CheckedItem item, String readings) {
        Map<String, String> typed = new LinkedHashMap<>();
        String[] all = readings.split(" ");
        for (int i = 0; i < all.length; i++) {
            typed.put(item.questions().get(i).id(), all[i].equals("-") ? "" : all[i]);
        }
        return Check.of(item, typed, NULLED);
    }

    private static String said(Check check) {
        return check.outcome() + " "
                + String.join(
                        " ",
                        check.conclusions().stream()
                                .map(each -> each.code().code())
                                .toList());
    }

    @ParameterizedTest
    @CsvSource({
        "0.22, PASS fuse_conducts",
        "0.25, MARGINAL fuse_conducts",
        "0.30, FAIL fuse_high",
        "4.7, FAIL fuse_high",
        "OL, FAIL fuse_blown",
        ">20M, FAIL fuse_blown",
        "-, NOT_TESTED ''",
        "beep, UNDECIDED ''",
        "jumps, FAIL fuse_blown"
    })
    void aFuseOfTenAmperesMayLoseHalfAVolt(String reading, String expected) {
        assertThat(said(check(new SingleFuse(OptionalDouble.of(10)), reading)).strip())
                .isEqualTo(expected.replace("''", "").strip());
    }

    @ParameterizedTest
    @CsvSource({
        "OL 0.25, PASS contact_good",
        "OL -, NOT_TESTED",
        "OL OL, FAIL contact_stays_open",
        "0.25 0.25, FAIL contact_stays_closed",
        "OL 3.2, FAIL contact_high",
        "OL jumps, FAIL contact_jumps",
        "0.25 OL, FAIL contact_stays_closed contact_stays_open"
    })
    void aSwitchIsReadInEachPosition(String readings, String expected) {
        CheckedItem item = new SwitchContact(List.of("off", "on"), Set.of("on"));
        assertThat(said(check(item, readings)).strip()).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({
        "96.2 OL 0.3 0.3 OL, PASS relay_good",
        "OL OL - 0.3 -, FAIL coil_open",
        "30.2 OL 0.3 0.3 OL, FAIL coil_wrong",
        "96.2 OL OL 0.3 OL, FAIL contact_stays_open",
        "96.2 OL 0.3 0.3 0.3, FAIL contact_stays_closed",
        "96.2 OL 0.3 0.3 -, NOT_TESTED"
    })
    void aRelayIsReadAtRestAndOperated(String readings, String expected) {
        CheckedItem item = new Relay(OptionalDouble.of(96), true, true);
        assertThat(said(check(item, readings)).strip()).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({
        "0.22 OL 0.22 OL, PASS breaker_conducts",
        "0.22 OL 0.62 OL, FAIL contact_high",
        "0.22 0.22 0.22 OL, FAIL contact_stays_closed",
        "0.22 OL 0.22 -, NOT_TESTED"
    })
    void aBreakerIsReadPoleByPole(String readings, String expected) {
        assertThat(said(check(new CircuitBreaker(2), readings)).strip()).isEqualTo(expected);
    }

    private static Conductor wire(String fields, String values) {
        return WireList.read("wire,from,to," + fields + "\nW,A.1,B.1," + values + "\n")
                .conductors()
                .get(0);
    }

    @ParameterizedTest
    @CsvSource({
        "0.45, PASS wire_good", // 0.28 ohm of copper and 0.2 of leads
        "0.21, MARGINAL wire_low",
        "0.90, FAIL wire_high",
        "OL, FAIL wire_open",
        "80k, FAIL wire_open",
        "jumps, FAIL wire_jumps",
        "0.45 0.9, FAIL wire_shorted",
        "0.45 OL, PASS wire_good"
    })
    void aWireIsJudgedByItsLengthAndSection(String readings, String expected) {
        CheckedItem item = new SingleWire(wire("length_m,area_mm2", "8,0.5"), 20);
        assertThat(said(check(item, readings)).strip()).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({
        "12.5k 10.0k, PASS sensor_good", // beta 3950: 12.46 k at 20 °C, 10 k at 25 °C
        "12.5k -, NOT_TESTED",
        "12.5k 13.9k, FAIL sensor_wrong_way sensor_off",
        "15.9k 12.8k, FAIL sensor_off sensor_off",
        "OL OL, FAIL sensor_open sensor_open",
        "0.5 0.5, FAIL sensor_wrong_way sensor_shorted sensor_shorted"
    })
    void anNtcIsReadAtTwoTemperatures(String readings, String expected) {
        CheckedItem item = new Sensor(new SensorCurve.Beta(10_000, 3950), 20, OptionalDouble.of(25));
        assertThat(said(check(item, readings)).strip()).isEqualTo(expected);
    }

    @Test
    void aForgottenKiloIsAskedAndFailsNoSensor() {
        Check check = check(new Sensor(new SensorCurve.Beta(10_000, 3950), 20, OptionalDouble.empty()), "12.5");
        assertThat(check.outcome()).isEqualTo(CheckOutcome.DOUBTFUL);
        assertThat(check.conclusions()).isEmpty();
    }

    @Test
    void aSensorThatIsOffIsToldByTheTemperatureItShows() {
        Check check = check(new Sensor(new SensorCurve.Platinum(100), 20, OptionalDouble.empty()), "117.67");
        assertThat(check.conclusions())
                .containsExactly(Conclusion.bad(Code.SENSOR_OFF, Message.figure(117.47, "Ω"), "45 °C", "20 °C"));
        Check good = check(new Sensor(new SensorCurve.Platinum(100), 20, OptionalDouble.empty()), "108.0");
        assertThat(said(good))
                .as("0.8 % of the meter is more than the 0.5 % of the sensor")
                .isEqualTo("MARGINAL sensor_one_point");
    }

    @Test
    void aTableFindsTheTemperatureOfAResistanceAndItsOwnAgain() {
        TreeMap<Double, Double> rows = new TreeMap<>(Map.of(0.0, 32_650.0, 25.0, 10_000.0, 50.0, 3_600.0));
        SensorCurve curve = new SensorCurve.Table(rows);
        for (double celsius = 0; celsius <= 50; celsius += 5) {
            assertThat(curve.celsiusAt(curve.ohmAt(celsius)).orElseThrow()).isCloseTo(celsius, within(1e-6));
        }
        assertThat(curve.celsiusAt(40_000)).isEmpty();
        rows.put(30.0, 11_000.0);
        assertThatThrownBy(() -> new SensorCurve.Table(rows)).hasMessage("sensor_curve.sensor_table_needs");
    }

    @ParameterizedTest
    @CsvSource({
        "26.6 OL, PASS heater_good", // 230 V, 2 kW: 26.45 ohm hot
        "24.0 OL, PASS heater_good",
        "13.5 OL, FAIL heater_wrong",
        "33.0 OL, FAIL heater_wrong",
        "OL OL, FAIL heater_open",
        "26.6 120, FAIL short_to_frame",
        "26.6 -, NOT_TESTED"
    })
    void aHeaterIsJudgedByItsPlate(String readings, String expected) {
        assertThat(said(check(Heater.of(230, 2000), readings)).strip()).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({
        "2.50 2.51 2.49 OL OL OL, PASS windings_balanced",
        "2.50 2.51 2.49 OL OL -, NOT_TESTED",
        "2.50 2.51 1.90 OL OL OL, FAIL windings_unlike",
        "OL 2.51 OL OL OL OL, FAIL phase_open",
        "OL OL OL OL OL OL, FAIL windings_open",
        "4.80 2.50 2.50 OL OL OL, FAIL delta_open",
        "2.50 2.51 2.49 OL 30 OL, FAIL lead_to_frame"
    })
    void threeWindingsNeedNoNominalFigure(String readings, String expected) {
        assertThat(said(check(new ThreeWindings(OptionalDouble.empty()), readings))
                        .strip())
                .isEqualTo(expected);
    }

    @Test
    void theOpenPhaseOfAStarAndTheOpenWindingOfADeltaAreNamed() {
        assertThat(check(new ThreeWindings(OptionalDouble.empty()), "OL 2.51 OL OL OL OL")
                        .conclusions())
                .containsExactly(Conclusion.bad(Code.PHASE_OPEN, "U"));
        assertThat(check(new ThreeWindings(OptionalDouble.empty()), "2.5 4.8 2.5 OL OL OL")
                        .conclusions()
                        .get(0)
                        .at()
                        .orElseThrow()
                        .of())
                .containsExactly("V–W");
        assertThat(English.all(check(new ThreeWindings(OptionalDouble.empty()), "2.50 2.51 1.90 OL OL OL")
                        .conclusions()
                        .get(0)
                        .of()))
                .containsExactly("1.7 Ω", "26 %", "low");
    }

    @ParameterizedTest
    @CsvSource({
        "0.58 OL, PASS diode_good",
        "0.21 OL, PASS diode_good",
        "OL OL, FAIL diode_open",
        "0.00 0.00, FAIL diode_shorted",
        "OL 0.58, FAIL diode_reversed",
        "0.58 0.61, FAIL diode_odd",
        "1.9 OL, FAIL diode_odd",
        "0.58 -, NOT_TESTED",
        "3A OL, DOUBTFUL"
    })
    void aDiodeIsReadBothWays(String readings, String expected) {
        assertThat(said(check(new SingleDiode(), readings)).strip()).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({
        "joined, 0.9, PASS points_as_expected",
        "joined, 1.9, FAIL points_not_as_expected",
        "joined, OL, FAIL points_not_as_expected",
        "apart, OL, PASS points_as_expected",
        "apart, 40, FAIL points_not_as_expected",
        "value, 121.3, PASS points_as_expected",
        "value, 140, FAIL points_not_as_expected"
    })
    void anyTwoPoints(String kind, String reading, String expected) {
        CheckedItem item = kind.equals("joined")
                ? PointPair.joined(1)
                : kind.equals("apart") ? PointPair.apart() : PointPair.value(120, 0.02);
        assertThat(said(check(item, reading))).isEqualTo(expected);
    }

    @Test
    void whatCannotBeIsRefusedWithItsRange() {
        assertThatThrownBy(() -> new SingleFuse(OptionalDouble.of(-3)))
                .hasMessage("bounds.above_zero[check_figures.what_the_rated_current, -3 A, 10 kA]");
        assertThatThrownBy(() -> new SwitchContact(List.of(), Set.of()))
                .hasMessage("switch_contact.switch_positions[12, 0]");
        assertThatThrownBy(() -> new SwitchContact(List.of("off"), Set.of("on")))
                .hasMessage("switch_contact.contact_closed_in[[on], [off]]");
        assertThatThrownBy(() -> new Relay(OptionalDouble.empty(), false, false))
                .hasMessage("relay.relay_contact_that");
        assertThatThrownBy(() -> new CircuitBreaker(5)).hasMessage("circuit_breaker.breaker_poles[4, 5]");
        assertThatThrownBy(() -> new Sensor(new SensorCurve.Platinum(100), 900, OptionalDouble.empty()))
                .hasMessage("sensor.sensor_temperature_within[900 °C, -200 °C, 850 °C]");
        assertThatThrownBy(() -> new Sensor(new SensorCurve.Platinum(100), 20, OptionalDouble.of(22)))
                .hasMessage("sensor.second_temperature_least[22 °C, 5 K]");
        assertThatThrownBy(() -> Heater.of(0, 100)).hasMessageContaining("voltage");
        assertThatThrownBy(() -> PointPair.value(100, 2)).hasMessageContaining("fraction");
        assertThatThrownBy(() -> new SensorCurve.Beta(10_000, 12)).hasMessage("sensor_curve.beta_out_of_range[12 K]");
        assertThatThrownBy(() -> new GoodReading.Forward(0.9, 0.2))
                .hasMessage("good_reading.forward_voltage_above[0.9 V, 0.2 V]");
    }
}
