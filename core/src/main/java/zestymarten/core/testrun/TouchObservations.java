package zestymarten.core.testrun;

import java.util.ArrayList;
import java.util.List;
import zestymarten.core.analysis.Observation;
import zestymarten.core.analysis.Observation.Since;
import zestymarten.core.testplan.TestStep;

/** The readings of a run in ohms as the analysis takes them. */
final class TouchObservations {
    private TouchObservations() {}

    /** Every reading of a step is evidence. Who reads again in a run puts the probes on anew. */
    static List<Observation> of(TestStep.Measurement touch, List<Entry> entries, RunReadings readings) {
        List<Observation> observations = new ArrayList<>();
        Since since = Since.NOTHING;
        for (Entry entry : entries) {
            Since before = since;
            readings.judgement(entry)
                    .ifPresent(judgement -> observations.add(new Observation(
                            entry.sequence(),
                            touch.black(),
                            touch.red(),
                            readings.state(touch),
                            readings.expectation(touch),
                            judgement,
                            RunReadings.meaning(entry),
                            touch.ties(),
                            before)));
            since = Since.PROBED_ANEW;
        }
        return observations;
    }
}
