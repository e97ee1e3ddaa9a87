package zestymarten.web.testrun;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.TestRun;

/** Puts the step at hand and what was kept last into words to be said aloud, from {@code messages/speech.properties}. */
@Component
public class Speech {
    private final MessageSource messages;

    Speech(MessageSource messages) {
        this.messages = messages;
    }

    /**
     * What a test says aloud.
     *
     * @param heard what was kept last
     * @param say the step, or the result that stays
     * @param beeps whether a tone is an answer here: a step that needs a resistance is never passed on one
     * @param silences whether no tone, the probes held on, is an answer here
     */
    record SpokenStep(String heard, String say, boolean beeps, boolean silences) {}

    SpokenStep of(RunView view, TestRun test, Locale locale) {
        String heard = view.last().isEmpty() ? "" : heard(view.last().get(0), locale);
        if (view.result().isPresent()) {
            RunView.ResultView result = view.result().get();
            return new SpokenStep(
                    heard,
                    message("result", locale, spelt(result.step(), locale), result.word(), result.reason()),
                    false,
                    false);
        }
        if (view.step().isEmpty()) {
            return new SpokenStep(heard, view.purpose().ending(), false, false);
        }
        TestStep step = view.step().get().form().step();
        return new SpokenStep(
                heard,
                say(step, plain(view), locale),
                isAnswer(test, step, new MeterReading.Tone()),
                isAnswer(test, step, new MeterReading.Silent()));
    }

    /**
     * A step aloud, its terminals letter by letter.
     *
     * @param plain the sentence of a step that names no terminals
     */
    String say(TestStep step, String plain, Locale locale) {
        return step.fold(probes -> plain, measurement -> sentence(measurement, locale), manual -> plain);
    }

    /** What the far end has to do, its pins letter by letter. */
    public String of(FarEndPresence end, Locale locale) {
        return end.pins().stream()
                .map(Terminal::of)
                .map(each -> pin(each, locale))
                .collect(Collectors.joining("; ", end.sentence() + " ", "."));
    }

    private static String plain(RunView view) {
        return view.step().orElseThrow().sentence().before();
    }

    private static boolean isAnswer(TestRun test, TestStep step, MeterReading said) {
        return step.fold(
                probes -> probes.question() == TestStep.LeadCheck.LeadQuestion.TONE,
                measurement -> !measurement.isUnderVoltage()
                        && isClear(test.judge(measurement, said).verdict()),
                manual -> false);
    }

    private static boolean isClear(Verdict verdict) {
        return verdict == Verdict.PASS || verdict == Verdict.FAIL;
    }

    private String heard(RunView.EntryView entry, Locale locale) {
        return entry.takenBack()
                ? message("taken_back", locale, spelt(entry.step(), locale))
                : message("result", locale, spelt(entry.step(), locale), entry.typed(), entry.word() + ".");
    }

    private String sentence(TestStep.Measurement measurement, Locale locale) {
        String state = measurement.state().isEmpty() ? "" : message("state", locale, measurement.state()) + " ";
        String linked = measurement.links().stream()
                .map(link -> " "
                        + message(
                                "linked",
                                locale,
                                link.stream().map(each -> pin(each, locale)).collect(Collectors.joining("; "))))
                .collect(Collectors.joining());
        return state
                + message("step", locale, pin(measurement.black(), locale), pin(measurement.red(), locale))
                + linked;
    }

    /** A terminal letter by letter, so that it cannot be taken for another. */
    String pin(Terminal terminal, Locale locale) {
        if (terminal.isFrame()) {
            return message("frame", locale);
        }
        return terminal.isPin()
                ? message("pin", locale, spelt(terminal.connector(), locale), spelt(terminal.pin(), locale))
                : spelt(terminal.name(), locale);
    }

    private String spelt(String name, Locale locale) {
        return List.of(name.split(" – |, ")).stream()
                .map(each -> letters(each, locale))
                .collect(Collectors.joining("; "));
    }

    private String letters(String name, Locale locale) {
        if (Terminal.parse(name).isEmpty()) {
            return name;
        }
        return name.codePoints()
                .mapToObj(each -> letter(Character.toString(each), locale))
                .filter(each -> !each.isBlank())
                .collect(Collectors.joining(" "));
    }

    private String letter(String letter, Locale locale) {
        String key = letter.toUpperCase(Locale.ROOT);
        if (key.matches("[A-Z]")) {
            return message("letter." + key, locale);
        }
        return key.matches("[0-9]") ? message("digit." + key, locale) : letter.replaceAll("[._-]", " ");
    }

    private String message(String key, Locale locale, Object... arguments) {
        return messages.getMessage("speech." + key, arguments, locale);
    }
}
