package zestymarten.core.testrun;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;

/** What the wires of a run read by themselves, less the leads, calculated to 20 °C: comparable from test to test. */
final class WireOhms {
    private WireOhms() {}

    /**
     * A wire's reading.
     *
     * @param ohm at 20 °C
     * @param uncertaintyOhm expanded
     */
    record WireResistance(double ohm, double uncertaintyOhm) {}

    /** By conductor, in design order; only wires that were read end to end in ohms and alone on their way. */
    static Map<String, WireResistance> of(TestRun test) {
        Map<String, WireResistance> ohms = new LinkedHashMap<>();
        test.steps(Stage.CONTINUITY).forEach(step -> {
            if (step instanceof TestStep.Measurement measurement && !measurement.isLinked()) {
                List<Conductor> route = test.design().nets().route(measurement.black(), measurement.red());
                if (route.size() == 1) {
                    read(test, measurement, route.get(0))
                            .ifPresent(one -> ohms.put(route.get(0).id(), one));
                }
            }
        });
        return ohms;
    }

    private static Optional<WireResistance> read(TestRun test, TestStep.Measurement measurement, Conductor wire) {
        List<Entry> log = test.entriesOf(measurement);
        if (log.isEmpty()) {
            return Optional.empty();
        }
        double factor = wire.metal().factor(test.design().ambientC());
        return test.judgement(log.get(log.size() - 1))
                .filter(each -> each.correctedOhm().isPresent() && each.contact() == Judgement.Contact.JOINED)
                .map(each -> new WireResistance(
                        each.correctedOhm().getAsDouble() / factor,
                        each.uncertaintyOhm().orElse(0) / factor));
    }
}
