package zestymarten.web.testrun;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;
import zestymarten.web.platform.Refusal;

/**
 * A step as it travels between page, server and table; each part is empty where it does not apply.
 *
 * @param question of the joined probes, or the manual step
 * @param subject what a manual step concerns
 * @param ties groups of linked terminals, separated by semicolons, their terminals by spaces
 */
record StepForm(String stage, String question, String subject, String black, String red, String state, String ties) {
    private static final int PARTS = 7;

    static StepForm of(TestStep step) {
        return step.fold(
                probes -> new StepForm(probes.stage().code(), probes.question().name(), "", "", "", "", ""),
                measurement -> new StepForm(
                        measurement.stage().code(),
                        "",
                        "",
                        measurement.black().name(),
                        measurement.red().name(),
                        measurement.state(),
                        written(measurement.links())),
                act -> new StepForm(
                        act.stage().code(), act.action().code(), act.subject().code(), "", "", "", ""));
    }

    /** All parts in one text, as a grid sends them. */
    String key() {
        return String.join("\t", stage, question, subject, black, red, state, ties);
    }

    /** The parts of such a text; refused if they are not seven. */
    static StepForm of(String key) {
        String[] parts = key.split("\t", -1);
        if (parts.length != PARTS) {
            throw new Refusal("", Message.of("step_form.page_sent_step_that"));
        }
        return new StepForm(parts[0], parts[1], parts[2], parts[3], parts[4], parts[5], parts[6]);
    }

    private static String written(List<List<Terminal>> ties) {
        return ties.stream()
                .map(tie -> tie.stream().map(Terminal::name).collect(Collectors.joining(" ")))
                .collect(Collectors.joining(";"));
    }

    /** The step that is meant; refused if it is none. */
    TestStep step() {
        try {
            if (question.isEmpty()) {
                return new TestStep.Measurement(
                        Stage.of(stage), Terminal.of(black), Terminal.of(red), state, read(ties));
            }
            return question.equals("TONE") || question.equals("OHMS")
                    ? new TestStep.LeadCheck(Stage.of(stage), TestStep.LeadCheck.LeadQuestion.valueOf(question))
                    : new TestStep.ManualStep(
                            ManualAction.of(question), FormerSubjects.now(ManualAction.of(question), subject));
        } catch (IllegalArgumentException e) {
            throw new Refusal("", Message.of("step_form.page_sent_step_that_2"));
        }
    }

    private static List<List<Terminal>> read(String ties) {
        return ties.isEmpty()
                ? List.of()
                : Arrays.stream(ties.split(";", -1))
                        .map(tie -> Arrays.stream(tie.split(" ", -1))
                                .map(Terminal::of)
                                .toList())
                        .toList();
    }

    /** A terminal by its name; refused if no terminal can be called so. */
    static Terminal terminal(String name) {
        try {
            return Terminal.of(name.strip());
        } catch (NotAccepted e) {
            throw new Refusal("", e.what());
        }
    }

    /** The step that is meant, if any is named. */
    Optional<TestStep> named() {
        return stage.isEmpty() ? Optional.empty() : Optional.of(step());
    }
}
