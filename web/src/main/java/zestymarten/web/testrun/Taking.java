package zestymarten.web.testrun;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.limit.WithstandRule;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.meter.Instruments;
import zestymarten.web.meter.Meters;
import zestymarten.web.meter.Talk;
import zestymarten.web.platform.Refused;

/** Takes a reading from the run's meter, as it would be typed from its display. */
@Service
class Taking {
    /** From here on a figure stands for more than the range (SCPI-99). */
    private static final double OVER_RANGE = 9e37;

    private static final int FIGURES = 5;
    private static final double MINUTE_S = 60;
    private static final double TESTER_TOP_OHM = 2e9;

    private final TestRuns runs;
    private final Meters meters;
    private final Instruments instruments;

    Taking(TestRuns runs, Meters meters, Instruments instruments) {
        this.runs = runs;
        this.meters = meters;
        this.instruments = instruments;
    }

    /** Where the meter of a run answers; empty where its readings are typed. */
    Optional<String> address(RunSnapshot run) {
        return meters.address(run.test().conditions().meter().name());
    }

    /** Whether any of its readings can be taken from an instrument. */
    boolean takes(RunSnapshot run) {
        return address(run).isPresent()
                || (run.test().approach().insulation().isPresent()
                        && meters.testerAddress().isPresent());
    }

    /**
     * What the meter shows at a step.
     *
     * @throws Refused if this step takes no reading of this meter, or the meter does not answer
     */
    String taken(long runId, TestStep step) {
        RunSnapshot run = runs.find(runId);
        if (step instanceof TestStep.Measurement touch && touch.isUnderVoltage()) {
            return underVoltage(run, touch);
        }
        String address = address(run)
                .orElseThrow(
                        () -> new Refused(
                                "",
                                "This test's meter has no address. Type what it shows, or give it one under Meters before the next test."));
        return step.fold(
                probes -> probes.question() == TestStep.LeadCheck.LeadQuestion.TONE
                        ? tone(instruments.ask(address, joined(runId), "MEAS:CONT?"))
                        : shown(instruments.ask(address, joined(runId), "MEAS:RES?")),
                touch -> touch(run, touch, address),
                act -> {
                    throw new Refused("", "Nothing is taken from this meter here. Type it.");
                });
    }

    private String touch(RunSnapshot run, TestStep.Measurement touch, String address) {
        TestRun test = run.test();
        String range = test.range(touch).isPresent() ? " " + test.range(touch).getAsDouble() : "";
        return shown(instruments.ask(address, hands(run, touch), "MEAS:RES?" + range));
    }

    /**
     * What an insulation tester shows with the time under voltage. A stand-in is switched on, held as long as it takes without
     * anybody waiting, and switched off; on a real one that is done by hand, and what it shows now is taken.
     */
    private String underVoltage(RunSnapshot run, TestStep.Measurement touch) {
        String address = meters.testerAddress()
                .orElseThrow(() -> new Refused(
                        "", "No insulation tester has an address. Type what it shows, or give it one under Meters."));
        boolean high = touch.stage() == Stage.WITHSTAND;
        TestOptions approach = run.test().approach();
        Optional<WithstandRule> withstand = approach.withstand().filter(each -> high);
        double volts = withstand
                .map(WithstandRule::volts)
                .orElseGet(() -> approach.insulation().orElseThrow().testV());
        double hertz = withstand.map(each -> each.hertz().orElse(0)).orElse(0.0);
        double held = withstand.map(WithstandRule::seconds).orElse(MINUTE_S);
        try (Talk talk = instruments.open(address)) {
            talk.hands(hands(run, touch));
            talk.hands(List.of("SIM:WET " + (touch.stage() == Stage.WET ? "ON" : "OFF")));
            if (talk.isStandIn()) {
                talk.command("SOUR:VOLT " + volts + ";SOUR:FREQ " + hertz + ";OUTP ON");
                talk.hands(List.of("SIM:WAIT " + held));
            }
            try {
                return underVoltage(talk, address, high, held);
            } finally {
                talk.hands(List.of("OUTP OFF")); // whatever the answer was, no voltage is left on
            }
        }
    }

    private static String underVoltage(Talk talk, String address, boolean high, double held) {
        String answer = talk.answer(high ? "MEAS:CURR?" : "MEAS:INS?");
        if (answer.startsWith("301,")) {
            return "trip";
        }
        String seconds = "@" + Math.round(Math.max(1, talk.isStandIn() ? held : talk.figure("SENS:TIME?")));
        double value = figure(address, answer);
        if (high) {
            return shown(value) + "A" + seconds;
        }
        return (value >= OVER_RANGE ? ">" + shown(TESTER_TOP_OHM) : shown(value)) + seconds;
    }

    private static double figure(String address, String answer) {
        try {
            return Double.parseDouble(answer);
        } catch (NumberFormatException e) {
            throw new Refused(
                    "",
                    "The insulation tester at " + address + " said “" + answer
                            + "”; expected a figure. Type what it shows; the test goes on by hand.");
        }
    }

    private static List<String> joined(long runId) {
        return List.of("SIM:UNIT \"" + runId + "\"", "SIM:PROB:JOIN");
    }

    /** What a technician's hands do for a touch, as a stand-in is told it. */
    private static List<String> hands(RunSnapshot run, TestStep.Measurement touch) {
        List<String> hands = new ArrayList<>(List.of("SIM:UNIT \"" + run.id() + "\""));
        if (!touch.state().isEmpty()) {
            hands.add("SIM:STAT \"" + touch.state().replace('"', ' ') + "\"");
        }
        if (touch.isTied()) {
            hands.add("SIM:TIES \""
                    + touch.ties().stream()
                            .map(tie -> tie.stream().map(Terminal::name).collect(Collectors.joining(" ")))
                            .collect(Collectors.joining(";"))
                    + "\"");
        }
        hands.add("SIM:PROB \"" + touch.black() + "\",\"" + touch.red() + "\"");
        return hands;
    }

    private static String tone(double ohm) {
        return ohm >= OVER_RANGE ? "n" : "b";
    }

    private static String shown(double ohm) {
        return ohm >= OVER_RANGE
                ? "OL"
                : new BigDecimal(ohm, new MathContext(FIGURES, RoundingMode.HALF_UP))
                        .stripTrailingZeros()
                        .toPlainString();
    }
}
