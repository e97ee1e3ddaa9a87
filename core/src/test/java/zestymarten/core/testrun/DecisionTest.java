package zestymarten.core.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import zestymarten.core.quantity.English;

class DecisionTest {
    @Test
    void followsFromTheOutcome() {
        assertThat(Decision.after(RunOutcome.PASS)).isEqualTo(Decision.RELEASE);
        assertThat(Decision.after(RunOutcome.MARGINAL)).isEqualTo(Decision.WATCH);
        assertThat(Decision.after(RunOutcome.FAIL)).isEqualTo(Decision.QUARANTINE);
        assertThat(Decision.after(RunOutcome.INCOMPLETE)).isEqualTo(Decision.QUARANTINE);
    }

    @Test
    void aFaultIsReleasedByNobody() {
        assertThat(Decision.RELEASE.refusal(RunOutcome.FAIL, true, true).map(English::of))
                .contains("A unit with a fault is not released. Repair it and test it again.");
        assertThat(Decision.WATCH.refusal(RunOutcome.FAIL, true, true).map(English::of))
                .isPresent();
        assertThat(Decision.QUARANTINE.refusal(RunOutcome.FAIL, false, false).map(English::of))
                .isEmpty();
    }

    @Test
    void whatIsNotWhollyTestedIsReleasedByALeadHandOnly() {
        assertThat(Decision.RELEASE.refusal(RunOutcome.INCOMPLETE, false, true).map(English::of))
                .isPresent();
        assertThat(Decision.RELEASE.refusal(RunOutcome.INCOMPLETE, true, false).map(English::of))
                .isEmpty();
    }

    @Test
    void whatIsWatchedIsDueAgain() {
        assertThat(Decision.WATCH.refusal(RunOutcome.MARGINAL, false, false).map(English::of))
                .contains("A unit that is watched needs a next test: a date, hours or cycles.");
        assertThat(Decision.WATCH.refusal(RunOutcome.MARGINAL, false, true).map(English::of))
                .isEmpty();
        assertThat(Decision.RELEASE.refusal(RunOutcome.PASS, false, false).map(English::of))
                .isEmpty();
    }
}
