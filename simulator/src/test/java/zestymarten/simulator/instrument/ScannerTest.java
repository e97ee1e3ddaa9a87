package zestymarten.simulator.instrument;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static zestymarten.simulator.unit.Wirings.ONE_WIRE_OHM;
import static zestymarten.simulator.unit.Wirings.at;
import static zestymarten.simulator.unit.Wirings.bench;
import static zestymarten.simulator.unit.Wirings.three;

import java.util.SplittableRandom;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import zestymarten.core.fault.SeededFault;
import zestymarten.core.meter.MeterProfile;
import zestymarten.simulator.scpi.Commands;
import zestymarten.simulator.unit.Flaw;
import zestymarten.simulator.unit.Workbench;

/** The scanning switch between the unit and the meters. */
class ScannerTest {
    private static final double OVER = 9.9e37;
    private static final double TWO_PATHS_OHM = 0.07 + 0.07;
    private static final double TWO_POINTS_OHM = 0.07 + 0.09;

    private final Workbench bench =
            bench(three(new Flaw.Wired(new SeededFault.Shorted(at("J1.1"), at("J1.3"), 0.5))), 0);
    private final Commands meter = new Multimeter(
                    bench, new MeterProfile("bench meter", 0.008, 0.01, 30, false, 20e6), new SplittableRandom(3))
            .commands();
    private final Commands tester = new InsulationTester(bench, new SplittableRandom(3), () -> 0L).commands();
    private final Commands scanner = new Scanner(bench).commands();

    @BeforeEach
    void wireTheAdapter() {
        scanner.line("SIM:MAP \"1 J1.1;2 J1.2;3 J1.3;11 J2.1;12 J2.2;13 J2.3\"");
    }

    private double read() {
        return Double.parseDouble(meter.line("MEAS:RES?").orElseThrow());
    }

    private String error() {
        return scanner.line("SYST:ERR?").orElseThrow();
    }

    @Test
    void anyPointGoesToEitherBus() {
        scanner.line("ROUT:CLOS (@A!1,B!11)");
        assertThat(read()).isCloseTo(ONE_WIRE_OHM + TWO_PATHS_OHM, within(0.02));
        scanner.line("ROUT:OPEN (@B!11);ROUT:CLOS (@B!12)");
        assertThat(read()).isEqualTo(OVER);
        assertThat(scanner.line("ROUT:CLOS? (@A!1,B!11,B!12)")).hasValue("1,0,1");
        scanner.line("ROUT:OPEN:ALL");
        assertThat(read()).as("nothing is connected").isEqualTo(OVER);
        assertThat(error()).startsWith("0,");
    }

    @Test
    void severalPointsOnABusAreTiedTogether() {
        scanner.line("ROUT:CLOS (@A!1,B!2,B!3)");
        assertThat(read()).as("the short from J1.1 to J1.3").isCloseTo(0.5 + TWO_POINTS_OHM, within(0.03));
        assertThat(scanner.line("ROUT:COUN?")).hasValue("3");
        scanner.line("*RST");
        assertThat(scanner.line("ROUT:COUN?;CLOS? (@A!1)"))
                .as("the second header is none")
                .hasValue("0");
        assertThat(error()).startsWith("-113");
    }

    @Test
    void aPointIsOnOneBusOnlyAndOnlyIfItIsWired() {
        scanner.line("ROUT:CLOS (@A!1)");
        scanner.line("ROUT:CLOS (@B!1)");
        assertThat(error()).isEqualTo("-221,\"Settings conflict\"");
        scanner.line("ROUT:CLOS (@A!7)");
        assertThat(error()).startsWith("-224");
        scanner.line("ROUT:CLOS (@C!1)");
        assertThat(error()).startsWith("-224");
        scanner.line("ROUT:CLOS A!1");
        assertThat(error()).startsWith("-224");
        scanner.line("ROUT:CLOS (@A!1");
        assertThat(error()).isEqualTo("-102,\"Syntax error\"");
        scanner.line("SIM:MAP \"one J1.1\"");
        assertThat(error()).startsWith("-224");
    }

    @Test
    void nothingIsSwitchedUnderVoltage() {
        scanner.line("ROUT:CLOS (@A!1,B!2)");
        tester.line("OUTP ON");
        scanner.line("ROUT:OPEN:ALL");
        assertThat(error()).isEqualTo("-221,\"Settings conflict\"");
        assertThat(scanner.line("ROUT:CLOS? (@A!1)")).as("nothing has moved").hasValue("1");
        tester.line("OUTP OFF");
        scanner.line("ROUT:OPEN:ALL");
        assertThat(error()).startsWith("0,");
    }

    @Test
    void aPlugThatJoinsAllPointsShowsTheOhmsOfEachPath() {
        scanner.line("SIM:PLUG ON;ROUT:CLOS (@A!1,B!2)");
        double first = read();
        scanner.line("ROUT:OPEN (@B!2);ROUT:CLOS (@B!3)");
        assertThat(read() - first).as("the wire of point 3 is longer").isCloseTo(0.02, within(0.011));
        scanner.line("SIM:PLUG OFF;ROUT:OPEN (@B!3);ROUT:CLOS (@B!2)");
        assertThat(read()).as("the unit again").isEqualTo(OVER);
    }

    @Test
    void instrumentsInOneCaseAnswerOnOneConnection() {
        Commands both = new Scanner(bench).commands().with(tester).with(meter);
        both.line("SIM:MAP \"1 J1.1;2 J1.2\"");
        both.line("ROUT:CLOS (@A!1,B!2);SOUR:VOLT 500;OUTP ON;SIM:WAIT 60");
        assertThat(Double.parseDouble(both.line("SENS:TIME?").orElseThrow())).isEqualTo(60);
        both.line("ROUT:OPEN:ALL");
        assertThat(both.line("SYST:ERR?").orElseThrow()).as("under voltage").startsWith("-221,");
        assertThat(both.line("*IDN?").orElseThrow()).contains("scanning switch");
    }
}
