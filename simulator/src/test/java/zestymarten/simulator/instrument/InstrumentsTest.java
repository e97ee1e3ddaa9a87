package zestymarten.simulator.instrument;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static zestymarten.simulator.unit.Wirings.ONE_WIRE_OHM;
import static zestymarten.simulator.unit.Wirings.at;
import static zestymarten.simulator.unit.Wirings.bench;
import static zestymarten.simulator.unit.Wirings.three;

import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.assembly.WireList;
import zestymarten.core.fault.GoodUnit;
import zestymarten.core.fault.SeededFault;
import zestymarten.core.meter.MeterProfile;
import zestymarten.simulator.scpi.Commands;
import zestymarten.simulator.unit.BenchUnit;
import zestymarten.simulator.unit.Flaw;
import zestymarten.simulator.unit.Wirings;

/** What the instruments show of the unit on the bench, asked as a program asks them. */
class InstrumentsTest {
    private static final MeterProfile PROFILE = new MeterProfile("bench meter", 0.008, 0.01, 30, false, 20e6);
    private static final double OVER = 9.9e37;

    private final AtomicLong seconds = new AtomicLong();

    private static Commands meter(BenchUnit unit, double leads) {
        return new Multimeter(bench(unit, leads), PROFILE, new SplittableRandom(3)).commands();
    }

    private Commands tester(BenchUnit unit) {
        return new InsulationTester(bench(unit, 0), new SplittableRandom(3), () -> seconds.get() * 1_000_000_000L)
                .commands();
    }

    private static double ask(Commands commands, String line) {
        return Double.parseDouble(commands.line(line).orElseThrow());
    }

    private static String error(Commands commands) {
        return commands.line("SYST:ERR?").orElseThrow();
    }

    @Test
    void readsWithinItsAccuracyAndOneCountWhateverIsBetweenTheProbes() {
        SplittableRandom random = new SplittableRandom(11);
        for (int i = 0; i < 300; i++) {
            double ohm = Math.pow(10, -2 + 8 * random.nextDouble());
            BenchUnit unit = three(new Flaw.Wired(new SeededFault.Shorted(at("J1.1"), at("J1.2"), ohm)));
            Commands meter = meter(unit, 0);
            meter.line("SIM:PROB \"J1.1\",\"J1.2\"");
            double read = ask(meter, "MEAS:RES?");
            assertThat(read).as("of " + ohm).isCloseTo(ohm, within(0.008 * ohm + Math.max(0.005, ohm / 2000)));
        }
    }

    /** Chains, branches and meshes by chance: what is shown is what the network predicts, within accuracy and one count. */
    @Test
    void showsWhatTheNetworkPredictsOverRandomWirings() {
        SplittableRandom random = new SplittableRandom(17);
        for (int run = 0; run < 60; run++) {
            StringBuilder list = new StringBuilder("wire,from,to,length_m,area_mm2\n");
            int pins = 3 + random.nextInt(6);
            for (int wire = 0; wire < pins + random.nextInt(4); wire++) {
                int from = 1 + random.nextInt(pins);
                int to = 1 + (from + random.nextInt(pins - 1)) % pins;
                list.append("W" + wire + ",J1." + from + ",J1." + to + "," + (1 + random.nextInt(90)) + ",0.5\n");
            }
            Design design =
                    Design.of(WireList.read(list.toString()).assembly("Any", AssemblyKind.HARNESS, "", Map.of()), 20);
            Commands meter = meter(new BenchUnit(GoodUnit.nominal(design), List.of()), 0);
            List<Terminal> ends = design.assembly().terminals();
            for (Terminal a : ends) {
                for (Terminal b : ends) {
                    if (!a.equals(b)) {
                        meter.line("SIM:PROB \"" + a + "\",\"" + b + "\"");
                        double shown =
                                Double.parseDouble(meter.line("MEAS:RES?").orElseThrow());
                        double exact = design.path(a, b)
                                .fold(through -> through.nominal().value(), () -> OVER);
                        assertThat(shown)
                                .as(a + " " + b + " of " + list)
                                .isCloseTo(exact, within(Math.max(0.01, exact * PROFILE.accuracy()) * 1.01 + 0.01));
                    }
                }
            }
        }
    }

    @Test
    void theLeadsAreInEveryReadingAndAloneWhenTheProbesAreJoined() {
        Commands meter = meter(three(), 0.3);
        meter.line("SIM:PROB:JOIN");
        assertThat(ask(meter, "READ?")).isCloseTo(0.3, within(0.02));
        meter.line("SIM:PROB \"J1.1\",\"J2.1\"");
        assertThat(ask(meter, "READ?")).isCloseTo(0.3 + ONE_WIRE_OHM, within(0.03));
        meter.line("SIM:LEAD:BROK ON");
        assertThat(ask(meter, "READ?")).isEqualTo(OVER);
    }

    @Test
    void overRangeOfALowRangeAndTheToneSayOnlyWhatTheyCan() {
        Commands meter = meter(three(new Flaw.Wired(new SeededFault.High("W1", 150))), 0);
        meter.line("SIM:PROB \"J1.1\",\"J2.1\"");
        assertThat(ask(meter, "MEAS:CONT?")).as("silent").isEqualTo(OVER);
        assertThat(ask(meter, "MEAS:RES? 100")).isEqualTo(OVER);
        assertThat(ask(meter, "CONF:RES 1000;READ?")).isCloseTo(150.3, within(1.3));
        assertThat(ask(meter, "RES:RANG:AUTO ON;RES:RANG?")).isEqualTo(20e6);
        assertThat(ask(meter, "MEAS:RES?")).isCloseTo(150.3, within(1.3));
        assertThat(ask(meter, "SIM:PROB \"J1.2\",\"J2.2\";MEAS:CONT?"))
                .as("it sounds")
                .isLessThan(30);
    }

    @Test
    void aTerminalOrUnitThatIsNotThereIsRefused() {
        Commands meter = meter(three(), 0);
        meter.line("SIM:PROB \"J9.1\",\"J2.1\"");
        assertThat(error(meter)).startsWith("-224");
        meter.line("SIM:UNIT \"B\"");
        assertThat(error(meter)).startsWith("-224");
        assertThat(ask(meter, "READ?")).as("the probes hang in the air").isEqualTo(OVER);
    }

    @Test
    void whatIsTiedBentOrScrapedIsReadSo() {
        Commands meter = meter(three(new Flaw.LooseAt("W1", "flexing"), new Flaw.Oxide(at("J2.2"))), 0);
        meter.line("SIM:PROB \"J1.1\",\"J1.3\"");
        assertThat(ask(meter, "READ?")).isEqualTo(OVER);
        assertThat(ask(meter, "SIM:TIES \"J2.1 J2.2 J2.3\";READ?")).isCloseTo(2 * ONE_WIRE_OHM, within(0.02));
        assertThat(ask(meter, "SIM:BEND \"flexing\";READ?")).isEqualTo(OVER);
        assertThat(ask(meter, "SIM:BEND;SIM:PROB \"J1.2\",\"J2.2\";READ?")).isEqualTo(OVER);
        assertThat(ask(meter, "SIM:SCR \"J2.2\";READ?")).isCloseTo(ONE_WIRE_OHM, within(0.02));
    }

    @Test
    void insulationGrowsUnderVoltageAndIsReadOnlyWhileItIsOn() {
        Commands tester = tester(three(new Flaw.Weak(at("J1.1"), Terminal.FRAME, 30e6, 2, 0.1)));
        tester.line("SIM:PROB \"J1.1\",\"FRAME\";SOUR:VOLT 500");
        assertThat(tester.line("MEAS:INS?")).isEmpty();
        assertThat(error(tester)).isEqualTo("-221,\"Settings conflict\"");
        tester.line("OUTP ON");
        seconds.set(60);
        assertThat(ask(tester, "MEAS:INS?")).isCloseTo(30e6, within(1.6e6));
        assertThat(ask(tester, "MEAS:CURR?")).isCloseTo(500 / 30e6, within(1e-6));
        seconds.set(600);
        assertThat(ask(tester, "MEAS:INS?")).isCloseTo(60e6, within(3.2e6));
        tester.line("SOUR:VOLT 1000");
        assertThat(error(tester)).as("not while it is on").startsWith("-221");
        assertThat(ask(tester, "SIM:PROB \"J1.2\",\"FRAME\";MEAS:INS?"))
                .as("beyond its range")
                .isEqualTo(OVER);
    }

    @Test
    void theChargeThatIsLeftIsGoneAfterFourTimesAsLong() {
        Commands tester = tester(three());
        tester.line("SIM:PROB \"J1.1\",\"FRAME\";OUTP ON");
        seconds.set(60);
        assertThat(ask(tester, "MEAS:VOLT?")).isEqualTo(500);
        tester.line("OUTP OFF");
        assertThat(ask(tester, "MEAS:VOLT?")).isEqualTo(500);
        seconds.set(60 + 60);
        assertThat(ask(tester, "MEAS:VOLT?")).isBetween(1.0, 100.0);
        seconds.set(60 + 240);
        assertThat(ask(tester, "MEAS:VOLT?")).isZero();
    }

    @Test
    void tripsWhereTheInsulationBreaksDown() {
        Commands tester = tester(three(new Flaw.Breaks(at("J1.1"), at("J1.2"), 900)));
        tester.line("SIM:PROB \"J1.1\",\"J1.2\";SOUR:VOLT 500;OUTP ON");
        assertThat(ask(tester, "MEAS:INS?")).isEqualTo(OVER);
        tester.line("OUTP OFF;SOUR:VOLT 700;SOUR:FREQ 50;OUTP ON");
        assertThat(tester.line("MEAS:CURR?")).as("its peak is 990 V").isEmpty();
        assertThat(error(tester)).isEqualTo("301,\"Tripped: breakdown or overcurrent\"");
        assertThat(tester.line("OUTP?")).hasValue("0");
    }

    @Test
    void aRampRaisesTheVoltageInItsTimeAndItBreaksDownOnTheWay() {
        Commands tester = tester(three(new Flaw.Breaks(at("J1.1"), at("J1.2"), 900)));
        tester.line("SIM:PROB \"J1.1\",\"J1.2\";SOUR:VOLT 1000;SOUR:VOLT:RAMP 10;OUTP ON;SIM:WAIT 5");
        assertThat(ask(tester, "MEAS:VOLT?")).isEqualTo(500, within(1.0));
        assertThat(ask(tester, "MEAS:INS?")).isEqualTo(OVER);
        tester.line("SOUR:VOLT:RAMP 1");
        assertThat(error(tester)).as("not while it is on").startsWith("-221");
        tester.line("SIM:WAIT 4.5");
        assertThat(tester.line("MEAS:INS?")).as("950 V by now").isEmpty();
        assertThat(tester.line("OUTP?")).hasValue("0");
        tester.line("*RST");
        assertThat(ask(tester, "SOUR:VOLT:RAMP?")).isZero();
    }

    @Test
    void anAlternatingVoltageDrawsTheChargingCurrentOfTheLength() {
        Commands tester =
                tester(new BenchUnit(Wirings.good("wire,from,to,length_m,area_mm2\nW1,J1.1,J2.1,60,1.5\n"), List.of()));
        tester.line("SIM:PROB \"J1.1\",\"FRAME\";SOUR:VOLT 1500;SOUR:FREQ 50;OUTP ON");
        assertThat(ask(tester, "MEAS:CURR?"))
                .as("1500 V, 50 Hz, 120 pF/m, 60 m: 3.39 mA")
                .isCloseTo(3.39e-3, within(0.05 * 3.4e-3));
        tester.line("SIM:PROB:OFF");
        assertThat(ask(tester, "MEAS:CURR?")).as("a clip that fell off").isLessThan(1e-6);
    }
}
