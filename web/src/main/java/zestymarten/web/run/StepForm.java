package zestymarten.web.run;

import java.util.Optional;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.plan.Stage;
import zestymarten.core.plan.Step;
import zestymarten.web.platform.Refused;

/** A step as it travels between page and server: its stage, and its question or its two terminals. */
record StepForm(String stage, String question, String black, String red) {

    /** The step that is meant; refused if it is none. */
    Step step() {
        try {
            return question.isEmpty()
                    ? new Step.Touch(Stage.valueOf(stage), Terminal.of(black), Terminal.of(red))
                    : new Step.Probes(Step.Probes.Question.valueOf(question));
        } catch (IllegalArgumentException e) {
            throw new Refused("", "The page sent a step that does not exist. Reload it; what you typed was not kept.");
        }
    }

    /** A terminal by its name; refused if no terminal can be called so. */
    static Terminal terminal(String name) {
        try {
            return Terminal.of(name.strip());
        } catch (IllegalArgumentException e) {
            throw new Refused("", String.valueOf(e.getMessage()));
        }
    }

    /** The step that is meant, if any is named. */
    Optional<Step> named() {
        return stage.isEmpty() ? Optional.empty() : Optional.of(step());
    }
}
