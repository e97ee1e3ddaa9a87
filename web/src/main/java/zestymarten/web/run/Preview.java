package zestymarten.web.run;

import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.job.Job;
import zestymarten.core.job.StepState;
import zestymarten.core.judge.Judgement;
import zestymarten.core.plan.Deed;
import zestymarten.core.plan.Step;
import zestymarten.core.quantity.Celsius;
import zestymarten.core.quantity.Engineering;
import zestymarten.core.quantity.Understood;
import zestymarten.web.drawing.BandDrawing;

/**
 * What the slot shows under the figure while it is typed: how it is understood and corrected, and how it would be judged.
 *
 * @param state the state stroke of the judgement, "refused" for what is no reading, empty for nothing
 */
record Preview(String state, String understood, String text, Optional<BandDrawing> band) {
    static final Preview NOTHING = new Preview("", "", "", Optional.empty());

    static Preview of(Job job, Step step, String typed) {
        if (step instanceof Step.Act act && act.deed().answer() == Deed.Answer.CELSIUS) {
            OptionalDouble celsius = Celsius.of(typed);
            return celsius.isPresent()
                    ? new Preview(
                            "good", Engineering.figure(celsius.getAsDouble()) + " °C", "understood", Optional.empty())
                    : new Preview("refused", "", "expected " + Celsius.EXPECTED, Optional.empty());
        }
        if (step instanceof Step.Act act && act.deed().answer() == Deed.Answer.WORDS) {
            return new Preview(
                    "watch", "", "kept as a note; Enter on an empty slot says that nothing is wrong", Optional.empty());
        }
        Understood understood = job.understand(step, typed);
        if (understood instanceof Understood.Refused refused) {
            return new Preview("refused", "", refused.message(), band(job, step, OptionalDouble.empty()));
        }
        if (understood instanceof Understood.Ambiguous ambiguous) {
            return new Preview("doubtful", "", ambiguous.question(), band(job, step, OptionalDouble.empty()));
        }
        Judgement judgement = job.judge(step, understood);
        return new Preview(
                StepState.of(judgement.verdict()).code(),
                said(understood, judgement, job, step),
                judgement.verdict().word() + ": " + judgement.reason(),
                band(job, step, BandDrawing.place(judgement)));
    }

    private static String said(Understood understood, Judgement judgement, Job job, Step step) {
        boolean voltage = step instanceof Step.Touch touch && touch.isUnderVoltage();
        double off = job.conditions().policy().share(job.conditions().leadsOhm().orElse(0));
        return judgement.correctedOhm().isEmpty() || off == 0 || voltage
                ? understood.text()
                : understood.text() + " − leads " + Engineering.text(off, "Ω") + " = "
                        + Engineering.text(judgement.correctedOhm().getAsDouble(), "Ω");
    }

    private static Optional<BandDrawing> band(Job job, Step step, OptionalDouble place) {
        return step instanceof Step.Touch touch && !touch.isUnderVoltage()
                ? Optional.of(StepViews.band(job, touch, place))
                : Optional.empty();
    }
}
