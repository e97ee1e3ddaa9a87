package zestymarten.core.analysis;

import java.util.List;
import java.util.Optional;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;

/**
 * What to measure next, and whether there is anything left that would change the repair.
 *
 * @param certainty probability of the likeliest repair, 0 to 1
 * @param measurements the best first, also when it is finished: what would tell most of what nobody has read yet
 */
public record Recommendation(Status status, double certainty, List<RecommendedMeasurement> measurements) {
    public Recommendation {
        measurements = List.copyOf(measurements);
    }

    /** Where a diagnosis stands. */
    public enum Status {
        /** A measurement would tell. */
        GO_ON,
        /** One explanation is as good as certain, so that no measurement would change the repair. */
        FINISHED,
        /** Several explanations are left that no allowed measurement tells apart. */
        CANNOT_BE_TOLD
    }

    /** Why a measurement is proposed. */
    public enum MeasurementPurpose {
        /** Nobody has read these two points. */
        UNREAD,
        /** It tells one explanation from the others. */
        TELLS_APART,
        /** It was read once, and a probe may have made no contact. */
        READ_AGAIN
    }

    /**
     * A measurement that would tell something.
     *
     * @param links groups of terminals to link for it
     * @param bits expected drop of the entropy of what is wrong
     * @param seconds what it costs
     * @param asks the fault that it would show or rule out; empty where it reads what nobody has read
     */
    public record RecommendedMeasurement(
            Terminal black,
            Terminal red,
            SwitchState state,
            List<List<Terminal>> links,
            double bits,
            double seconds,
            MeasurementPurpose purpose,
            Optional<Finding> asks) {
        public RecommendedMeasurement {
            links = links.stream().map(List::copyOf).toList();
            if (!(seconds > 0)) {
                throw new IllegalArgumentException("A measurement (" + seconds + " s) takes some time.");
            }
        }

        double bitsPerSecond() {
            return bits / seconds;
        }
    }
}
