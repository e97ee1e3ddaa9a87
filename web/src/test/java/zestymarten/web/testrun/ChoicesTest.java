package zestymarten.web.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;
import zestymarten.web.platform.ChoiceView;

/** Answers are offered in words, and kept as codes, whether they are pressed or typed. */
class ChoicesTest {
    @ParameterizedTest
    @CsvSource({
        "FUNCTION,works sometimes,sometimes",
        "FUNCTION,Works Sometimes,sometimes",
        "FUNCTION,sometimes,sometimes",
        "COMPLAINT,not tried,not tried",
        "SUBSTITUTED,'stays on, or trips',stays on",
        "LOOKED,pin pushed back,pushed back",
        "LOOKED,Pin pushed back: pin 3,pushed back: pin 3",
        "LOOKED,a scratch: old,a scratch: old",
        "LOCKED_OFF,works sometimes,works sometimes"
    })
    void aWordIsEnteredAsItsCode(String action, String typed, String code) {
        assertThat(ManualStepWords.entered(new TestStep.ManualStep(ManualAction.of(action), "J1"), typed))
                .isEqualTo(code);
    }

    @Test
    void aReadingStaysAsItWasTyped() {
        TestStep wire = new TestStep.Measurement(Stage.CONTINUITY, Terminal.of("J1.1"), Terminal.of("J2.1"));
        assertThat(ManualStepWords.entered(wire, "0.58")).isEqualTo("0.58");
    }

    @Test
    void onlyTheComplaintMayBeNotTried() {
        assertThat(ManualStepWords.choices(new TestStep.ManualStep(ManualAction.SYMPTOM, "horn")))
                .extracting(ChoiceView::code)
                .containsExactly("not tried", "works", "dead", "sometimes", "stays on");
        assertThat(ManualStepWords.choices(new TestStep.ManualStep(ManualAction.FUNCTION, "horn")))
                .extracting(ChoiceView::word)
                .containsExactly("works", "dead", "works sometimes", "stays on, or trips");
        assertThat(ManualStepWords.choices(new TestStep.ManualStep(ManualAction.LOCKED_OFF)))
                .isEmpty();
    }
}
