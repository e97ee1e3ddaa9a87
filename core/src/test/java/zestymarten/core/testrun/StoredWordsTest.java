package zestymarten.core.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import zestymarten.core.portable.LeadVerdict.LeadOutcome;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;

/** What was recorded by an earlier word is read by it for ever: seals are over these words. */
class StoredWordsTest {
    @ParameterizedTest
    @EnumSource(ManualAction.class)
    void everyActionIsReadFromItsCode(ManualAction action) {
        assertThat(ManualAction.of(action.code())).isEqualTo(action);
        assertThat(Stage.of(action.stage().code())).isEqualTo(action.stage());
    }

    @ParameterizedTest
    @CsvSource({
        "COMPLAINT, SYMPTOM",
        "LOOKED, INSPECT",
        "WALKED, GO_TO_FAR_END",
        "WALKED_BACK, GO_TO_FAR_END_AGAIN",
        "TIED, LINK_FAR_ENDS",
        "FREED, UNLINK_FAR_ENDS",
        "MENDED, REPAIR",
        "PUT_BACK, RESTORE",
        "WANDERS, ZERO_DRIFTS",
        "ACCESS, ACCESS"
    })
    void actionsAreStoredAsTheyFirstWere(String stored, ManualAction action) {
        assertThat(action.code()).isEqualTo(stored);
    }

    @ParameterizedTest
    @CsvSource({
        "COMPLAINT, SYMPTOMS",
        "LOOK, INSPECTION",
        "ENDS, CONTINUITY",
        "BEND, WIGGLE",
        "CLOSE, RESTORE",
        "SHORTS, SHORTS"
    })
    void stagesAreStoredAsTheyFirstWere(String stored, Stage stage) {
        assertThat(stage.code()).isEqualTo(stored);
    }

    @ParameterizedTest
    @CsvSource({
        "good, PASS",
        "watch, MARGINAL",
        "fault, FAIL",
        "untested, NOT_TESTED",
        "doubtful, DOUBTFUL",
        "pass, PASS"
    })
    void statesAreReadByEveryWordTheyEverHad(String code, StepState state) {
        assertThat(StepState.of(code)).isEqualTo(state);
    }

    @Test
    void aMarginalResultIsStoredAsItFirstWas() {
        assertThat(RunOutcome.MARGINAL.stored()).isEqualTo("WATCH");
        assertThat(RunOutcome.ofStored("WATCH")).isEqualTo(RunOutcome.MARGINAL);
        assertThat(RunOutcome.ofStored("FAIL")).isEqualTo(RunOutcome.FAIL);
        assertThat(LeadOutcome.MARGINAL.code()).isEqualTo("watch");
        assertThat(LeadOutcome.of("watch")).isEqualTo(LeadOutcome.MARGINAL);
        assertThat(LeadOutcome.of("screws only")).isEqualTo(LeadOutcome.SCREWS_ONLY);
    }
}
