package zestymarten.web.testrun;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.limit.WithstandRule;
import zestymarten.core.quantity.Message;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.meter.InstrumentReading;
import zestymarten.web.meter.Instruments;
import zestymarten.web.meter.Meters;
import zestymarten.web.meter.Talk;
import zestymarten.web.platform.Refusal;

/** Takes a reading from the run's meter, as it would be typed from its display. */
@Service
class Taking {
    private static final double MINUTE_S = 60;

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
     * @throws Refusal if this step takes no reading of this meter, or the meter does not answer
     */
    String taken(long runId, TestStep step) {
        RunSnapshot run = runs.find(runId);
        if (step instanceof TestStep.Measurement measurement && measurement.isUnderVoltage()) {
            return underVoltage(run, measurement);
        }
        String address = address(run).orElseThrow(() -> new Refusal("", Message.of("taking.this_test_meter_has")));
        return step.fold(
                probes -> probes.question() == TestStep.LeadCheck.LeadQuestion.TONE
                        ? tone(instruments.ask(address, joined(runId), "MEAS:CONT?"))
                        : InstrumentReading.shown(instruments.ask(address, joined(runId), "MEAS:RES?")),
                measurement -> resistance(run, measurement, address),
                manual -> {
                    throw new Refusal("", Message.of("taking.nothing_taken_from_this"));
                });
    }

    private String resistance(RunSnapshot run, TestStep.Measurement measurement, String address) {
        TestRun test = run.test();
        if (measurement.isOnDiodeRange()) {
            return InstrumentReading.shown(instruments.ask(address, hands(run, measurement), "MEAS:DIOD?"));
        }
        String range = test.range(measurement).isPresent()
                ? " " + test.range(measurement).getAsDouble()
                : "";
        return InstrumentReading.shown(instruments.ask(address, hands(run, measurement), "MEAS:RES?" + range));
    }

    /**
     * What an insulation tester shows with the time under voltage. A stand-in is switched on, held as long as it takes without
     * anybody waiting, and switched off; on a real one that is done by hand, and what it shows now is taken.
     */
    private String underVoltage(RunSnapshot run, TestStep.Measurement measurement) {
        String address = meters.testerAddress()
                .orElseThrow(() -> new Refusal("", Message.of("taking.no_insulation_tester_has")));
        boolean high = measurement.stage() == Stage.WITHSTAND;
        TestOptions approach = run.test().approach();
        Optional<WithstandRule> withstand = approach.withstand().filter(each -> high);
        double volts = withstand
                .map(WithstandRule::volts)
                .orElseGet(() -> approach.insulation().orElseThrow().testV());
        double hertz = withstand.map(each -> each.hertz().orElse(0)).orElse(0.0);
        double held = withstand.map(WithstandRule::seconds).orElse(MINUTE_S);
        try (Talk talk = instruments.open(address)) {
            talk.hands(hands(run, measurement));
            talk.hands(List.of("SIM:WET " + (measurement.stage() == Stage.WET ? "ON" : "OFF")));
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
        boolean timed = talk.isStandIn() || InstrumentReading.isTrip(answer);
        double seconds = timed ? held : talk.figure("SENS:TIME?");
        return InstrumentReading.ofTester(answer, high, seconds, address).shown();
    }

    private static List<String> joined(long runId) {
        return List.of("SIM:UNIT \"" + runId + "\"", "SIM:PROB:JOIN");
    }

    /** What a technician's hands do for a measurement, as a stand-in is sent it. */
    private static List<String> hands(RunSnapshot run, TestStep.Measurement measurement) {
        List<String> hands = new ArrayList<>(List.of("SIM:UNIT \"" + run.id() + "\""));
        if (!measurement.state().isEmpty()) {
            hands.add("SIM:STAT \"" + measurement.state().replace('"', ' ') + "\"");
        }
        if (measurement.isLinked()) {
            hands.add("SIM:TIES \""
                    + measurement.links().stream()
                            .map(link -> link.stream().map(Terminal::name).collect(Collectors.joining(" ")))
                            .collect(Collectors.joining(";"))
                    + "\"");
        }
        hands.add("SIM:PROB \"" + measurement.black() + "\",\"" + measurement.red() + "\"");
        return hands;
    }

    private static String tone(double ohm) {
        return ohm >= InstrumentReading.OVER_RANGE ? "n" : "b";
    }
}
