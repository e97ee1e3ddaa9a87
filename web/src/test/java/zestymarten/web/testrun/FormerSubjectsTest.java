package zestymarten.web.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.TestStep;

/** What was stored while subjects were sentences is the same step today. */
class FormerSubjectsTest {
    @ParameterizedTest
    @CsvSource(
            quoteCharacter = '"',
            value = {
                "WALKED,1 there,@there",
                "WALKED_BACK,2 back,@back",
                "LOOKED,the mate of J3,@mate J3",
                "FRAME_PROOF,far end,@far_end",
                "ACCESSORIES,\"scanner, every point zeroed\",@scanner",
                "PUT_BACK,the cover of J2,@cover J2",
                "PUT_BACK,\"the pierced insulation at J2, to be sealed\",@pierced J2",
                "PUT_BACK,\"the cut at J2, to be made good\",@cut J2",
                "PUT_BACK,the stand-in for F1,@stand_in F1",
                "PUT_BACK,what stands in for F1,@stand_in F1",
                "PUT_BACK,\"the moving part, to where it usually stands\",@moving_part",
                "REMAINING,W1 from J2.1,@length W1 J2.1",
                "MENDED,W1 from J2.1,@length W1 J2.1",
                "MENDED,W1 W4,W1 W4",
                "UNPLUGGED,J1,J1",
                "OPENED,plate from J1,plate from J1",
                "POSITION_NAMED,far end,far end"
            })
    void aSentenceIsReadAsItsCode(String actionCode, String stored, String code) {
        ManualAction action = ManualAction.of(actionCode);
        assertThat(FormerSubjects.now(action, stored)).isEqualTo(code);
        assertThat(new StepForm(action.stage().code(), actionCode, stored, "", "", "", "").step())
                .isEqualTo(new TestStep.ManualStep(action, code));
    }
}
