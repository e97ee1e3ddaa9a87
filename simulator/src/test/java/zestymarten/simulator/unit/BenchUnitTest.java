package zestymarten.simulator.unit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zestymarten.simulator.unit.Wirings.ONE_WIRE_OHM;
import static zestymarten.simulator.unit.Wirings.at;
import static zestymarten.simulator.unit.Wirings.three;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.fault.SeededFault;

/** What a unit with flaws does when something is done to it. */
class BenchUnitTest {
    private final SplittableRandom random = new SplittableRandom(1);

    private OptionalDouble ohms(BenchUnit unit, String black, String red, Setting setting) {
        return unit.ohms(at(black), at(red), setting, random);
    }

    @Test
    void severalFaultsShowAtOnce() {
        BenchUnit unit = three(
                new Flaw.Wired(new SeededFault.Open("W1")),
                new Flaw.Wired(new SeededFault.Shorted(at("J1.2"), at("J1.3"), 0.5)));
        assertThat(ohms(unit, "J1.1", "J2.1", Setting.AS_FOUND)).isEmpty();
        assertThat(ohms(unit, "J1.2", "J1.3", Setting.AS_FOUND)).hasValue(0.5);
        assertThat(ohms(unit, "J1.2", "J2.2", Setting.AS_FOUND).orElseThrow()).isCloseTo(ONE_WIRE_OHM, within(1e-9));
    }

    @Test
    void oxideReadsOpenAtItsOwnContactUntilItIsScraped() {
        BenchUnit unit = three(new Flaw.Oxide(at("J2.1")));
        assertThat(ohms(unit, "J1.1", "J2.1", Setting.AS_FOUND)).isEmpty();
        assertThat(ohms(unit, "J1.2", "J2.2", Setting.AS_FOUND)).isPresent();
        assertThat(ohms(unit, "J1.1", "J2.1", Setting.AS_FOUND.scrapedAt(at("J2.1"))))
                .isPresent();
    }

    @Test
    void aBrokenCoreComesApartWhereItIsBentAndNowhereElse() {
        BenchUnit unit = three(new Flaw.LooseAt("W1", "flexing"));
        assertThat(ohms(unit, "J1.1", "J2.1", Setting.AS_FOUND)).isPresent();
        assertThat(ohms(unit, "J1.1", "J2.1", Setting.AS_FOUND.bentAt(Optional.of("J1"))))
                .isPresent();
        assertThat(ohms(unit, "J1.1", "J2.1", Setting.AS_FOUND.bentAt(Optional.of("flexing"))))
                .isEmpty();
    }

    @Test
    void aCoreCanComeApartInOnePositionOnly() {
        BenchUnit unit = three(new Flaw.OpenIn("W2", "rest"));
        assertThat(ohms(unit, "J1.2", "J2.2", Setting.AS_FOUND)).isEmpty();
        assertThat(three(new Flaw.OpenIn("W2", "raised")).ohms(at("J1.2"), at("J2.2"), Setting.AS_FOUND, random))
                .isPresent();
    }

    @Test
    void aDriftingContactReadsAnotherFigureEachTimeAndNeverLess() {
        BenchUnit unit = three(new Flaw.Drifting("W1", 2));
        List<Double> read = java.util.stream.Stream.generate(
                        () -> ohms(unit, "J1.1", "J2.1", Setting.AS_FOUND).orElseThrow())
                .limit(20)
                .toList();
        assertThat(read).doesNotHaveDuplicates().allMatch(each -> each > ONE_WIRE_OHM && each < ONE_WIRE_OHM + 2);
    }

    @Test
    void leakageFallsWithTheTimeUnderVoltageByTheAbsorptionOfTheInsulation() {
        BenchUnit unit = three(new Flaw.Weak(at("J1.1"), Terminal.FRAME, 30e6, 2.5, 0.1));
        double minute = unit.insulation(at("J1.1"), Terminal.FRAME, Setting.AS_FOUND, 60, random);
        double ten = unit.insulation(at("J1.1"), Terminal.FRAME, Setting.AS_FOUND, 600, random);
        assertThat(minute).isCloseTo(30e6, within(0.1e6));
        assertThat(ten / minute).as("polarisation index").isCloseTo(2.5, within(0.01));
        assertThat(unit.insulation(at("J2.1"), Terminal.FRAME, Setting.AS_FOUND, 60, random))
                .as("the same wire from its other end")
                .isCloseTo(minute, within(1.0));
        assertThat(unit.insulation(at("J1.2"), Terminal.FRAME, Setting.AS_FOUND, 60, random))
                .as("another wire")
                .isGreaterThan(4e10);
        assertThat(unit.insulation(at("J1.1"), Terminal.FRAME, Setting.AS_FOUND.wet(true), 60, random))
                .isCloseTo(3e6, within(0.1e6));
    }

    @Test
    void tiedWiresLeakTogetherAndAWayThroughIsNoInsulation() {
        BenchUnit unit = three(
                new Flaw.Weak(at("J1.1"), Terminal.FRAME, 30e6, 1, 1),
                new Flaw.Weak(at("J1.2"), Terminal.FRAME, 30e6, 1, 1));
        Setting linked = Setting.AS_FOUND.linked(List.of(List.of(at("J1.1"), at("J1.2"))));
        assertThat(unit.insulation(at("J1.1"), Terminal.FRAME, linked, 60, random))
                .isCloseTo(15e6, within(0.1e6));
        assertThat(unit.insulation(at("J1.1"), at("J2.1"), Setting.AS_FOUND, 60, random))
                .isCloseTo(ONE_WIRE_OHM, within(1e-9));
        assertThat(unit.metres(at("J1.1"), linked)).isEqualTo(16);
    }

    @Test
    void insulationBreaksDownFromItsVoltageOn() {
        BenchUnit unit = three(new Flaw.Breaks(at("J1.1"), at("J1.2"), 900));
        assertThat(unit.breakdownV(at("J2.2"), at("J2.1"), Setting.AS_FOUND, random))
                .hasValue(900);
        assertThat(unit.breakdownV(at("J1.1"), at("J1.3"), Setting.AS_FOUND, random))
                .isEmpty();
    }

    @Test
    void aRepairTakesAFlawAway() {
        BenchUnit unit = three(new Flaw.Wired(new SeededFault.Open("W1")));
        assertThat(ohms(unit.with(List.of()), "J1.1", "J2.1", Setting.AS_FOUND)).isPresent();
    }

    @Test
    void flawsWithoutMeaningAreRefused() {
        assertThatThrownBy(() -> new Flaw.Drifting("W1", 0))
                .hasMessage("A flaw's figure (0.0) must be above 0 and finite.");
        assertThatThrownBy(() -> new Flaw.Weak(at("J1.1"), Terminal.FRAME, 1e6, 0.5, 1))
                .hasMessage(
                        "Absorption (0.5) must be from 1 to 100, and what is left when wet (1.0) above 0 and at most 1.");
    }
}
