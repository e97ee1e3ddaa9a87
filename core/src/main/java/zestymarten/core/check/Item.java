package zestymarten.core.check;

import java.util.List;
import zestymarten.core.judge.Judgement.Verdict;

/** A thing that is checked by itself: what has to be measured on it, and what the readings together say. */
public sealed interface Item
        permits Fuse, Contact, Relay, CircuitBreaker, Lead, Sensor, Heater, ThreeWindings, SingleDiode, Points {
    /** What to measure, in order. */
    List<Question> questions();

    /** What the answers say, the worst first. What passes is said only where everything was answered. */
    List<Conclusion> conclusions(Answers answers);

    /** The answers so far. */
    record Answers(List<Answer> all, boolean complete) {
        public Answers {
            all = List.copyOf(all);
        }

        /** Whether everything was measured and nothing is at fault or in doubt. */
        boolean isGood() {
            return complete
                    && all.stream().allMatch(each -> each.verdict() == Verdict.PASS || each.verdict() == Verdict.WATCH);
        }
    }
}
