package zestymarten.core.testrun;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zestymarten.core.limit.InsulationRule;
import zestymarten.core.limit.WithstandRule;
import zestymarten.core.quantity.English;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Moisture;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;

/** Insulation by length, water and mist, withstand, discharge: what comes after continuity, in that order. */
class VoltageStagesTest {
    private static final String TWO_CORES = "wire,from,to,function,length_m,area_mm2,zone\n"
            + "W1,J1.1,J2.1,signal,350,1.5,wet\nW2,J1.2,J2.2,return,350,1.5,wet\n";
    private static final InsulationRule BY_LENGTH =
            new InsulationRule(500, OptionalDouble.empty(), OptionalDouble.of(20));
    private static final WithstandRule AC =
            new WithstandRule(1500, OptionalDouble.of(50), OptionalDouble.of(20e-12), 1e-3, 60);

    private static TestOptions approach(InsulationRule rule, Moisture moisture, Optional<WithstandRule> withstand) {
        return TestOptions.QUICK.with(rule, moisture, withstand);
    }

    private static Bench rungOut(TestOptions approach) {
        return Bench.of(TWO_CORES, approach)
                .type("b", "0.30", "4.3", "4.3", "n", "n", "n")
                .manual("");
    }

    private static String reason(Bench bench) {
        List<Entry> entries = bench.test().entries();
        return bench.test()
                .judgement(entries.get(entries.size() - 1))
                .map(each -> English.of(each.reason()))
                .orElseThrow();
    }

    @Test
    void aLongerCableMayHaveLess() {
        Bench bench =
                rungOut(approach(BY_LENGTH, Moisture.NONE, Optional.empty())).type("4.3", "57M");
        assertThat(reason(bench)).isEqualTo("57 MΩ is too little. At least 57.14 MΩ: 20 MΩ·km over 350 m.");
        bench.type("4.3", "58M", "0");
        assertThat(bench.test().findings())
                .singleElement()
                .satisfies(found -> assertThat(found.finding().kind()).isEqualTo("insulation_low"));
    }

    @Test
    void aFigureGivenForTheTestComesBeforeTheStandard() {
        TestOptions given = approach(
                new InsulationRule(500, OptionalDouble.of(100e6), OptionalDouble.empty()),
                Moisture.NONE,
                Optional.empty());
        Bench bench = rungOut(given).type("4.3", "90M");
        assertThat(reason(bench)).isEqualTo("90 MΩ is too little. At least 100 MΩ: the figure given for this test.");
    }

    @Test
    void insulationThatFallsWhileTheVoltageIsOnIsMarginal() {
        Bench bench =
                rungOut(approach(BY_LENGTH, Moisture.NONE, Optional.empty())).type("4.3");
        TestStep charged = bench.step();
        bench.type("300M@60").at(charged, "250M@600");
        assertThat(bench.test().state(charged)).isEqualTo(StepState.MARGINAL);
        assertThat(reason(bench)).startsWith("It falls while the voltage is on");
        bench.takeBack().at(charged, "700M@600");
        assertThat(bench.test().state(charged)).isEqualTo(StepState.PASS);
    }

    @Test
    void dischargeWaitsFourTimesAsLongAsTheVoltageWasOn() {
        Bench bench = rungOut(approach(BY_LENGTH, Moisture.NONE, Optional.empty()))
                .type("4.3", "300M@60", "4.3")
                .wait(70)
                .type("310M@60");
        assertThat(bench.sentence()).isEqualTo("DISCHARGED");
        bench.wait(100).type("0");
        assertThat(bench.sentence()).as("too early").isEqualTo("DISCHARGED");
        assertThat(reason(bench)).startsWith("Too early: what was charged so long is discharged after another 140 s.");
        bench.wait(140).type("48");
        assertThat(bench.sentence()).as("still charged").isEqualTo("DISCHARGED");
        bench.type("0");
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.PASS);
    }

    @Test
    void withstandComesLastAndOnlyAfterInsulationHasPassed() {
        Bench bench = rungOut(approach(BY_LENGTH, Moisture.NONE, Optional.of(AC)));
        assertThat(bench.test().size(Stage.WITHSTAND)).isZero();
        bench.type("4.3", "300M", "4.3", "300M", "0");
        assertThat(bench.test().steps(Stage.WITHSTAND).map(Bench::say))
                .containsExactly(
                        "WITHSTAND J1.1 J2.1",
                        "WITHSTAND J1.1 FRAME linked",
                        "WITHSTAND J1.2 J2.2",
                        "WITHSTAND J1.2 FRAME linked",
                        "DISCHARGED_LAST");
        bench.type("4.3", "1.5mA");
        assertThat(reason(bench))
                .isEqualTo(
                        "1.5 mA is less than half of the 3.299 mA that the length alone takes to charge: a clip is off.");
        assertThat(bench.sentence()).as("the clip goes back on").isEqualTo("WITHSTAND J1.1 FRAME linked");
        bench.type("3.31mA");
        assertThat(reason(bench)).contains("which does not settle it: the charging current hides it. Use DC for that.");
        bench.type("4.3", "trip");
        assertThat(bench.test().findings())
                .singleElement()
                .satisfies(found -> assertThat(found.finding().kind()).isEqualTo("withstand"));
    }

    @Test
    void chargingCurrentAndLeakageAddInQuadrature() {
        Bench bench = rungOut(approach(BY_LENGTH, Moisture.NONE, Optional.of(AC)))
                .type("4.3", "300M", "4.3", "300M", "0", "4.3", "4mA");
        assertThat(reason(bench)).startsWith("4 mA with 3.299 mA of charging leaves 1.683 mA to 2.681 mA: too much.");
        WithstandRule dc = new WithstandRule(2121, OptionalDouble.empty(), OptionalDouble.empty(), 1e-3, 60);
        Bench direct = rungOut(approach(BY_LENGTH, Moisture.NONE, Optional.of(dc)))
                .type("4.3", "300M", "4.3", "300M", "0", "4.3", "26uA");
        assertThat(reason(direct)).isEqualTo("26 μA: withstood. Maximum 1 mA: the figure given for this test.");
    }

    @Test
    void ohmsOfAWithstandTesterAndAmperesOfAnInsulationTesterAreRefused() {
        Bench bench =
                rungOut(approach(BY_LENGTH, Moisture.NONE, Optional.of(AC))).type("4.3");
        assertThat(bench.understood("3mA"))
                .isEqualTo("Enter the resistance that the insulation tester shows, such as 320M or >2G.");
        bench.type("300M", "4.3", "300M", "0", "4.3");
        assertThat(bench.understood("320M"))
                .isEqualTo("Type the current with its unit, such as 3.4mA, or trip if it tripped.");
    }

    @Test
    void theWaterIsProvedBeforeItProvesAnythingAndALiftSaysWhereTheDamageIs() {
        Bench bench =
                rungOut(approach(BY_LENGTH, Moisture.WATER, Optional.empty())).type("4.3", "300M", "4.3", "300M", "0");
        assertThat(bench.test().steps(Stage.WET).map(Bench::say))
                .containsExactly("WATER", "DRY_ENDS", "WET J1.1 FRAME", "WET J1.2 FRAME", "DISCHARGED_WET");
        bench.type("OL");
        assertThat(bench.sentence()).as("an electrode that hangs dry").isEqualTo("WATER");
        bench.type("4k").manual("").type("2M");
        assertThat(bench.sentence()).isEqualTo("LIFTED J1.1");
        bench.manual("well again with 212 m out of the water").type("300M", "0");
        RunFinding found = bench.test().findings().get(0);
        assertThat(found.finding().kind()).isEqualTo("insulation_low");
        assertThat(found.evidence().stream().map(bench.test()::words).map(English::of))
                .containsExactly("2 MΩ", "well again with 212 m out of the water");
    }

    @Test
    void mistGoesFromZoneToZoneWithAllWiresTogether() {
        Bench bench =
                rungOut(approach(BY_LENGTH, Moisture.MIST, Optional.empty())).type("4.3", "300M", "4.3", "300M", "0");
        assertThat(bench.test().steps(Stage.WET).map(Bench::say))
                .containsExactly("WET J1.1 FRAME linked", "DISCHARGED_WET");
        bench.type("2M");
        assertThat(English.of(bench.test().findings().get(0).finding().message()))
                .startsWith("Low insulation resistance: 2 MΩ between W1 and W2 together and FRAME at 500 V");
        bench.takeBack().type("300M", "0");
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.PASS);
    }

    @Test
    void wetAndWithstandTestsNeedAnInsulationTestBeforeThem() {
        assertThatThrownBy(() -> new TestOptions(
                        TestOptions.QUICK.method(),
                        false,
                        true,
                        Optional.empty(),
                        Moisture.MIST,
                        Optional.empty(),
                        TestOptions.QUICK.order()))
                .hasMessage("test_options.withstand_or_wet");
    }

    @Test
    void rulesThatMakeNoSenseAreRefused() {
        assertThatThrownBy(() -> InsulationRule.ofVolts(6000))
                .hasMessage("insulation_rule.test_voltage_above[6 kV, 5 kV]");
        assertThatThrownBy(() -> new InsulationRule(500, OptionalDouble.of(1e6), OptionalDouble.of(20)))
                .hasMessage("insulation_rule.least_either_figure");
        assertThatThrownBy(() -> new WithstandRule(1500, OptionalDouble.of(0), OptionalDouble.empty(), 1e-3, 60))
                .hasMessage("bounds.above_zero[withstand_rule.what_frequency, 0 Hz, 400 Hz]");
        assertThatThrownBy(
                        () -> new WithstandRule(Double.NaN, OptionalDouble.empty(), OptionalDouble.empty(), 1e-3, 60))
                .hasMessage("bounds.above_zero[withstand_rule.what_voltage, NaN, 20 kV]");
    }

    @Test
    void whatDischargesHasATimeOnlyWhereTimesWereGiven() {
        Bench bench =
                rungOut(approach(BY_LENGTH, Moisture.NONE, Optional.empty())).type("4.3", "300M");
        assertThat(bench.test().dischargedAt(ManualAction.DISCHARGED)).isEmpty();
    }
}
