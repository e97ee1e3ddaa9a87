package zestymarten.core.finding;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zestymarten.core.finding.FaultHistory.FaultOf;

/** What a workshop's own units teach takes the place of the rule of thumb step by step. */
class FaultHistoryTest {
    private static final List<String> OPEN = List.of("open");

    @Test
    void withoutTestsTheRuleOfThumbStands() {
        assertThat(FaultHistory.NONE.odds(0.012, "W1", OPEN)).isEqualTo(0.012);
    }

    /**
     * (20 x 0.012 + 6) / (20 + 30) = 0.1248 for the wire that broke six times, 0.0048 for one that never did; of both three
     * quarters, and a quarter of 0.012.
     */
    @Test
    void whatBrokeOftenIsLikelierAndWhatNeverDidLess() {
        FaultHistory history = new FaultHistory(30, Map.of(new FaultOf("open", "W7"), 6));
        assertThat(history.odds(0.012, "W7", OPEN)).isCloseTo(0.0966, within(1e-12));
        assertThat(history.odds(0.012, "W1", OPEN)).isCloseTo(0.0066, within(1e-12));
        assertThat(history.odds(0.012, "W7", List.of("short"))).isCloseTo(0.0066, within(1e-12));
    }

    @Test
    void kindsThatBelongTogetherAreCountedTogether() {
        FaultHistory history = new FaultHistory(
                20, Map.of(new FaultOf("component_open", "K1"), 2, new FaultOf("component_state", "K1"), 3));
        assertThat(history.odds(0.015, "K1", List.of("component_open", "component_state")))
                .isCloseTo(0.75 * (0.3 + 5) / 40 + 0.25 * 0.015, within(1e-12));
    }

    @Test
    void aFaultIsNotCountedMoreOftenThanThereWereTests() {
        assertThatThrownBy(() -> new FaultHistory(2, Map.of(new FaultOf("open", "W1"), 3)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("counted 3 times in 2 tests");
    }
}
