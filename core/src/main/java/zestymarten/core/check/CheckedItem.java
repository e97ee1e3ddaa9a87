package zestymarten.core.check;

import java.util.List;
import zestymarten.core.judgement.Judgement.Verdict;

/** A thing that is checked by itself: what has to be measured on it, and what the readings together say. */
public sealed interface CheckedItem
        permits SingleFuse,
                SwitchContact,
                Relay,
                CircuitBreaker,
                SingleWire,
                Sensor,
                Heater,
                ThreeWindings,
                SingleDiode,
                PointPair {
    /** What to measure, in order. */
    List<CheckQuestion> questions();

    /** What the answers say, the worst first. What passes is said only where everything was answered. */
    List<Conclusion> conclusions(CheckReadings answers);

    /** The answers so far. */
    record CheckReadings(List<CheckReading> all, boolean complete) {
        public CheckReadings {
            all = List.copyOf(all);
        }

        /** Whether everything was measured and nothing is at fault or in doubt. */
        boolean isGood() {
            return complete
                    && all.stream()
                            .allMatch(each -> each.verdict() == Verdict.PASS || each.verdict() == Verdict.MARGINAL);
        }
    }
}
