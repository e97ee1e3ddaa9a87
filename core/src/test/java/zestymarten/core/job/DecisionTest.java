package zestymarten.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class DecisionTest {
    @Test
    void followsFromTheOutcome() {
        assertThat(Decision.after(Outcome.PASS)).isEqualTo(Decision.RELEASE);
        assertThat(Decision.after(Outcome.WATCH)).isEqualTo(Decision.WATCH);
        assertThat(Decision.after(Outcome.FAIL)).isEqualTo(Decision.QUARANTINE);
        assertThat(Decision.after(Outcome.INCOMPLETE)).isEqualTo(Decision.QUARANTINE);
    }

    @Test
    void aFaultIsReleasedByNobody() {
        assertThat(Decision.RELEASE.refusal(Outcome.FAIL, true, true))
                .contains("A unit with a fault is not released. Repair it and test it again.");
        assertThat(Decision.WATCH.refusal(Outcome.FAIL, true, true)).isPresent();
        assertThat(Decision.QUARANTINE.refusal(Outcome.FAIL, false, false)).isEmpty();
    }

    @Test
    void whatIsNotWhollyTestedIsReleasedByALeadHandOnly() {
        assertThat(Decision.RELEASE.refusal(Outcome.INCOMPLETE, false, true)).isPresent();
        assertThat(Decision.RELEASE.refusal(Outcome.INCOMPLETE, true, false)).isEmpty();
    }

    @Test
    void whatIsWatchedIsDueAgain() {
        assertThat(Decision.WATCH.refusal(Outcome.WATCH, false, false))
                .contains("A unit that is watched needs a next test: a date, hours or cycles.");
        assertThat(Decision.WATCH.refusal(Outcome.WATCH, false, true)).isEmpty();
        assertThat(Decision.RELEASE.refusal(Outcome.PASS, false, false)).isEmpty();
    }
}
