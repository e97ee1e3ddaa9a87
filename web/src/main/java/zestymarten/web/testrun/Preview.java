package zestymarten.web.testrun;

import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.quantity.Celsius;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.StepState;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.drawing.BandDrawing;

/**
 * What the slot shows under the figure while it is typed: how it is understood and corrected, and how it would be judged.
 *
 * @param state the state stroke of the judgement, "refused" for what is no reading, empty for nothing
 */
record Preview(String state, String understood, String text, Optional<BandDrawing> band) {
    static final Preview NOTHING = new Preview("", "", "", Optional.empty());

    static Preview of(TestRun job, TestStep step, String typed) {
        if (step instanceof TestStep.ManualStep act && act.deed().answer() == ManualAction.AnswerKind.CELSIUS) {
            OptionalDouble celsius = Celsius.of(typed);
            return celsius.isPresent()
                    ? new Preview(
                            "good",
                            EngineeringFormat.figure(celsius.getAsDouble()) + " °C",
                            "understood",
                            Optional.empty())
                    : new Preview("refused", "", "expected " + Celsius.EXPECTED, Optional.empty());
        }
        if (step instanceof TestStep.ManualStep act && act.deed().answer() == ManualAction.AnswerKind.WORDS) {
            return new Preview(
                    "watch", "", "kept as a note; Enter on an empty slot says that nothing is wrong", Optional.empty());
        }
        MeterReading understood = job.understand(step, typed);
        if (understood instanceof MeterReading.Refused refused) {
            return new Preview("refused", "", refused.message(), band(job, step, OptionalDouble.empty()));
        }
        if (understood instanceof MeterReading.Ambiguous ambiguous) {
            return new Preview("doubtful", "", ambiguous.question(), band(job, step, OptionalDouble.empty()));
        }
        Judgement judgement = job.judge(step, understood);
        return new Preview(
                StepState.of(judgement.verdict()).code(),
                said(understood, judgement, job, step),
                judgement.verdict().word() + ": " + judgement.reason(),
                band(job, step, BandDrawing.place(judgement)));
    }

    private static String said(MeterReading understood, Judgement judgement, TestRun job, TestStep step) {
        boolean voltage = step instanceof TestStep.Measurement touch && touch.isUnderVoltage();
        double off = job.conditions().policy().share(job.conditions().leadsOhm().orElse(0));
        return judgement.correctedOhm().isEmpty() || off == 0 || voltage
                ? understood.text()
                : understood.text() + " − leads " + EngineeringFormat.text(off, "Ω") + " = "
                        + EngineeringFormat.text(judgement.correctedOhm().getAsDouble(), "Ω");
    }

    private static Optional<BandDrawing> band(TestRun job, TestStep step, OptionalDouble place) {
        return step instanceof TestStep.Measurement touch && !touch.isUnderVoltage()
                ? Optional.of(StepViews.band(job, touch, place))
                : Optional.empty();
    }
}
