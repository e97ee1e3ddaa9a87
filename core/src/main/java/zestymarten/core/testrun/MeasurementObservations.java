package zestymarten.core.testrun;

import java.util.ArrayList;
import java.util.List;
import zestymarten.core.analysis.Observation;
import zestymarten.core.analysis.Observation.Since;
import zestymarten.core.testplan.TestStep;

/** The readings of a run in ohms as the analysis takes them. */
final class MeasurementObservations {
    private MeasurementObservations() {}

    /** Every reading of a step is evidence. Who reads again in a run puts the probes on anew. */
    static List<Observation> of(TestStep.Measurement measurement, List<Entry> entries, RunReadings readings) {
        List<Observation> observations = new ArrayList<>();
        Since since = Since.NOTHING;
        for (Entry entry : entries) {
            Since before = since;
            readings.judgement(entry)
                    .ifPresent(judgement -> observations.add(new Observation(
                            entry.sequence(),
                            measurement.black(),
                            measurement.red(),
                            readings.state(measurement),
                            readings.expectation(measurement),
                            judgement,
                            RunReadings.meaning(entry),
                            measurement.links(),
                            before)));
            since = Since.PROBED_ANEW;
        }
        return observations;
    }
}
