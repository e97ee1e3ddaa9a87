package zestymarten.core.testplan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Subject;
import zestymarten.core.assembly.Terminal;

/** What lists call a step: codes with what it concerns, for every kind of step. */
class StepTitleTest {
    private static String title(ManualAction action, Subject subject) {
        return new TestStep.ManualStep(action, subject).title().toString();
    }

    @Test
    void aManualStepNamesWhatIsDoneToWhat() {
        assertThat(title(ManualAction.UNPLUGGED, new Subject.Named("J1")))
                .isEqualTo("manual_step.of[manual_action.unplugged, message.verbatim[J1]]");
        assertThat(title(ManualAction.RESTORE, new Subject.StandInFor("F1")))
                .isEqualTo("manual_step.of[manual_action.restore, subject.stand_in[F1]]");
        assertThat(title(ManualAction.FRAME_PROOF, Subject.nothing())).isEqualTo("manual_action.frame_proof");
        assertThat(title(ManualAction.FRAME_PROOF, Subject.Sole.FAR_END))
                .isEqualTo("manual_step.of[manual_action.frame_proof, sole.far_end]");
    }

    @Test
    void aTripSaysWhichWayAndAMovingPartThatItGoesBack() {
        assertThat(title(ManualAction.GO_TO_FAR_END, Subject.Sole.THERE)).isEqualTo("sole.there");
        assertThat(title(ManualAction.GO_TO_FAR_END_AGAIN, Subject.Sole.BACK)).isEqualTo("sole.back");
        assertThat(title(ManualAction.MOVED_TO, Subject.nothing())).isEqualTo("manual_step.moved_back");
        assertThat(title(ManualAction.MOVED_TO, new Subject.Named("door open")))
                .isEqualTo("manual_step.of[manual_action.moved_to, message.verbatim[door open]]");
    }

    @Test
    void aMeasurementNamesItsPointsAndACheckItsQuestion() {
        Terminal black = Terminal.of("J1.1");
        Terminal red = Terminal.of("J2.1");
        assertThat(new TestStep.Measurement(Stage.CONTINUITY, black, red).title())
                .hasToString("measurement.points[J1.1, J2.1]");
        assertThat(new TestStep.Measurement(Stage.PARTS, black, red, "held", List.of()).title())
                .hasToString("measurement.points_in[J1.1, J2.1, held]");
        assertThat(new TestStep.Measurement(Stage.SHORTS, black, red, "", List.of(List.of(red, Terminal.FRAME)))
                        .title())
                .hasToString("measurement.linked[measurement.points[J1.1, J2.1]]");
        assertThat(new TestStep.LeadCheck(TestStep.LeadCheck.LeadQuestion.TONE).title())
                .hasToString("lead_question.tone");
    }
}
