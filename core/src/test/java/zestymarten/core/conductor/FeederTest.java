package zestymarten.core.conductor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zestymarten.core.assembly.Metal;
import zestymarten.core.assembly.StrandClass;
import zestymarten.core.quantity.English;

class FeederTest {
    private static OptionalDouble figure(double value) {
        return value > 0 ? OptionalDouble.of(value) : OptionalDouble.empty();
    }

    private static Feeder feeder(double metres, double mm2, double ohm) {
        return new Feeder(
                Metal.COPPER, StrandClass.TWO, figure(metres), figure(mm2), figure(ohm), true, ohm > 0 ? 12 : 20);
    }

    private static DeadShort at(Feeder feeder, double volts, double sourceOhm, Protection protection) {
        return new DeadShort(feeder, volts, sourceOhm, FeederWire.Insulation.COPPER_PVC, Optional.of(protection));
    }

    @Test
    void theFeederThatIsNotWhatItSaysIsToldInASentence() {
        Feeder feeder = feeder(38, 0.75, 7.62);
        assertThat(feeder.fit()).isEqualTo(Feeder.Fit.TOO_MANY_OHMS);
        assertThat(English.of(feeder.says()))
                .isEqualTo(
                        "It is not what it says: 7.62 Ω, at most 1.803 Ω by IEC 60228. The resistance fits 0.1666 mm² of annealed copper"
                                + " (listed: 0.5 mm²), or 0.2728 mm² of electrical aluminium; or a joint on the way is bad.");
    }

    @Test
    void itsDeadShortIsReckonedColdAndHot() {
        DeadShort dead = at(feeder(38, 0.75, 7.62), 120, 0.4, new Breaker(Breaker.Curve.C, 10));
        assertThat(dead.coldA()).isCloseTo(14.96, within(0.005));
        assertThat(dead.hotOhm()).isCloseTo(9.413, within(0.0005));
        assertThat(dead.hotA()).isCloseTo(12.23, within(0.005));
        assertThat(dead.wattsPerMetre()).isCloseTo(44.9, within(0.05));
        assertThat(dead.standsS().orElseThrow()).isCloseTo(1.64, within(0.005));
        assertThat(dead.isCutOff()).isFalse();
        assertThat(English.of(dead.says()))
                .isEqualTo(
                        "A dead short draws 14.96 A, and no more than 12.23 A once the core is hot, 1.223 times what the"
                                + " C10 is for: it may take over the conventional time, or not trip at all. Meanwhile 1.706 kW heat"
                                + " 38 m of cable, 44.89 W a metre.");
    }

    @Test
    void aGoodFeederIsWhatItSaysAndItsShortIsCutOffAtOnce() {
        Feeder feeder = feeder(38, 2.5, 0.53);
        assertThat(feeder.fit()).isEqualTo(Feeder.Fit.FITS);
        DeadShort dead = at(feeder, 230, 0.4, new Breaker(Breaker.Curve.C, 16));
        assertThat(dead.isCutOff()).isTrue();
        assertThat(English.of(dead.says()))
                .startsWith("A dead short draws 247.3 A, hot ")
                .endsWith(": it trips at once.");
        assertThat(feeder(38, 2.5, 0.2).fit()).isEqualTo(Feeder.Fit.TOO_FEW_OHMS);
    }

    @Test
    void theOhmsOfAKnownConductorTellHowWarmItIs() {
        Feeder warm = new Feeder(Metal.COPPER, StrandClass.TWO, figure(50), figure(1.5), figure(1.2), true, 20);
        assertThat(warm.impliedCelsius().orElseThrow()).isCloseTo(31.2, within(0.05));
        assertThat(feeder(38, 0.75, 7.62).impliedCelsius()).isEmpty();
        assertThat(feeder(38, 0.75, 0).impliedCelsius()).isEmpty();
    }

    @Test
    void whatTripsAfterTheInsulationIsLostIsNotCutOff() {
        DeadShort slow = at(feeder(45, 0.75, 1.17), 230, 0.5, new Breaker(Breaker.Curve.C, 16));
        assertThat(slow.standsS().orElseThrow()).isLessThan(2);
        assertThat(slow.isCutOff()).isFalse();
        assertThat(English.of(slow.says())).contains("which is not in time: its insulation stands that for about");
    }

    @Test
    void aTripByHeatCountsOnlyIfTheCurrentIsEnoughOnceTheCoreIsHot() {
        DeadShort fading = at(feeder(110, 0.5, 7.5), 230, 0.4, new Breaker(Breaker.Curve.B, 16));
        assertThat(fading.hotA() / 16).isGreaterThan(1.45);
        assertThat(fading.endA() / 16).isLessThan(1.45);
        assertThat(fading.isCutOff()).isFalse();
        assertThat(English.of(fading.says())).contains("no more than");
    }

    @Test
    void twoOfLengthSectionAndOhmsGiveTheThird() {
        assertThat(feeder(0, 0.75, 1).metres()).isCloseTo(22.46, within(0.01));
        assertThat(feeder(100, 1.5, 0).ohms()).isCloseTo(2.299, within(0.001));
        assertThat(feeder(38, 0, 7.62).effectiveMm2()).isCloseTo(0.1666, within(0.00005));
        assertThat(English.of(feeder(38, 0, 7.62).says()))
                .startsWith("The resistance fits 0.1666 mm² of annealed copper");
        assertThatThrownBy(() -> feeder(38, 0, 0)).hasMessage("feeder.two_length_section");
    }

    @ParameterizedTest
    @CsvSource({
        "2, 2.9, does not melt within 1 h",
        "2, 3.5, 'may take over 1 h, or not melt at all'",
        "2, 4.3, melts within 1 h",
        "10, 18, 'may take over 1 h, or not melt at all'",
        "10, 19, melts within 1 h",
        "16, 19.9, does not melt within 1 h",
        "80, 128, melts within 2 h",
        "16, 60, melts within minutes or less",
        "500, 700, 'may take over 4 h, or not melt at all'"
    })
    void aFuseActsByItsConventionalCurrents(double rated, double amperes, String does) {
        assertThat(English.of(new FuseLink(rated).does(amperes))).isEqualTo(does);
    }
}
