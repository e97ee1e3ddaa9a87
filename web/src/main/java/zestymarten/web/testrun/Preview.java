package zestymarten.web.testrun;

import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.quantity.Celsius;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.StepState;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.drawing.BandDrawing;
import zestymarten.web.platform.Words;

/**
 * What the slot shows under the figure while it is typed: how it is understood and corrected, and how it would be judged.
 *
 * @param state the state stroke of the judgement, "refused" for what is no reading, empty for nothing
 */
record Preview(String state, String understood, String text, Optional<BandDrawing> band) {
    static final Preview NOTHING = new Preview("", "", "", Optional.empty());

    static Preview of(TestRun test, TestStep step, String typed) {
        if (step instanceof TestStep.ManualStep manual && manual.action().answer() == ManualAction.AnswerKind.CELSIUS) {
            OptionalDouble celsius = Celsius.of(typed);
            return celsius.isPresent()
                    ? new Preview(
                            "pass",
                            EngineeringFormat.figure(celsius.getAsDouble()) + " °C",
                            "understood",
                            Optional.empty())
                    : new Preview("refused", "", Words.say("preview.expected", Celsius.EXPECTED), Optional.empty());
        }
        if (step instanceof TestStep.ManualStep manual && manual.action().answer() == ManualAction.AnswerKind.WORDS) {
            return new Preview("marginal", "", Words.say("preview.kept_as_note_enter"), Optional.empty());
        }
        MeterReading understood = test.understand(step, typed);
        if (understood instanceof MeterReading.Refused refused) {
            return new Preview("refused", "", Words.say(refused.message()), band(test, step, OptionalDouble.empty()));
        }
        if (understood instanceof MeterReading.Ambiguous ambiguous) {
            return new Preview(
                    "doubtful", "", Words.say(ambiguous.question()), band(test, step, OptionalDouble.empty()));
        }
        Judgement judgement = test.judge(step, understood);
        return new Preview(
                StepState.of(judgement.verdict()).code(),
                said(understood, judgement, test, step),
                Words.say("preview.judged", judgement.verdict(), judgement.reason()),
                band(test, step, BandDrawing.place(judgement)));
    }

    private static String said(MeterReading understood, Judgement judgement, TestRun test, TestStep step) {
        boolean voltage = step instanceof TestStep.Measurement measurement && measurement.isUnderVoltage();
        double off =
                test.conditions().policy().share(test.conditions().leadsOhm().orElse(0));
        return judgement.correctedOhm().isEmpty() || off == 0 || voltage
                ? Words.say(understood.message())
                : Words.say(
                        "preview.less_leads",
                        understood,
                        Message.figure(off, "Ω"),
                        Message.figure(judgement.correctedOhm().getAsDouble(), "Ω"));
    }

    private static Optional<BandDrawing> band(TestRun test, TestStep step, OptionalDouble place) {
        return step instanceof TestStep.Measurement measurement && measurement.isInOhms()
                ? Optional.of(StepViews.band(test, measurement, place))
                : Optional.empty();
    }
}
