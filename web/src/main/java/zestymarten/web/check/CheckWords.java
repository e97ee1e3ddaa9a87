package zestymarten.web.check;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import zestymarten.core.check.Check;
import zestymarten.core.check.CheckQuestion;
import zestymarten.core.check.CheckReading;
import zestymarten.core.check.Conclusion;
import zestymarten.core.check.GoodReading;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.Ohms;
import zestymarten.core.testrun.StepState;
import zestymarten.web.platform.Words;

/** Puts a check into the words of {@code messages/check.properties}. */
@Component
class CheckWords {
    private final MessageSource messages;

    CheckWords(MessageSource messages) {
        this.messages = messages;
    }

    CheckView view(Check check, Map<String, String> typed, Locale locale) {
        Optional<CheckQuestion> due = check.due();
        List<CheckView.RowView> rows = check.item().questions().stream()
                .map(each -> row(check, each, typed, locale))
                .toList();
        return new CheckView(
                state(check.outcome()).code(),
                Words.say(check.outcome()),
                check.conclusions().stream().map(each -> said(each, locale)).toList(),
                due.map(each -> ask(each, locale)).orElse(""),
                rows);
    }

    private static StepState state(Check.CheckOutcome outcome) {
        return switch (outcome) {
            case PASS -> StepState.PASS;
            case MARGINAL -> StepState.MARGINAL;
            case FAIL -> StepState.FAIL;
            case UNDECIDED, DOUBTFUL -> StepState.DOUBTFUL;
            case NOT_TESTED -> StepState.NOT_TESTED;
        };
    }

    private CheckView.RowView row(Check check, CheckQuestion question, Map<String, String> typed, Locale locale) {
        Optional<CheckReading> answer = check.answer(question);
        Optional<Verdict> verdict = answer.flatMap(each -> verdict(check, each));
        StepState state = verdict.map(StepState::of).orElse(StepState.NOT_TESTED);
        return new CheckView.RowView(
                CheckView.READING + question.id(),
                ask(question, locale) + (question.optional() ? " " + message("optional", locale) : ""),
                message("setting." + setting(question.expected()), locale),
                expected(question, locale),
                typed.getOrDefault(question.id(), ""),
                state.code(),
                verdict.map(Words::say).orElse(""),
                answer.map(each -> read(each, locale)).orElse(""),
                check.due().filter(question::equals).isPresent());
    }

    /** What is compared with others of its kind has no result before all of them were measured. */
    private static Optional<Verdict> verdict(Check check, CheckReading answer) {
        if (answer.verdict() != Verdict.PASS || !(answer.question().expected() instanceof GoodReading.AnyResistance)) {
            return Optional.of(answer.verdict());
        }
        return check.conclusions().stream()
                .filter(each -> each.at().isEmpty() || each.at().get().equals(answer.question()))
                .map(Conclusion::verdict)
                .findFirst();
    }

    private String ask(CheckQuestion question, Locale locale) {
        return message(
                "ask." + question.ask().code(),
                locale,
                question.of().stream().map(each -> named(each, locale)).toArray());
    }

    /** A making or breaking contact has a word of its own; positions and leads are named by the person. */
    private String named(String subject, Locale locale) {
        return Objects.requireNonNullElse(
                messages.getMessage("check.subject." + subject, null, subject, locale), subject);
    }

    private static String setting(GoodReading expected) {
        return expected instanceof GoodReading.Forward || expected instanceof GoodReading.Blocks
                ? "diode"
                : "resistance";
    }

    private String expected(CheckQuestion question, Locale locale) {
        if (question.expected() instanceof GoodReading.Resistance known) {
            String high = ohms(known.limit().high());
            String source = message("source." + question.ask().code(), locale);
            return (known.limit().lowGiven()
                            ? message(
                                    "expect.between", locale, ohms(known.limit().low()), high)
                            : message("expect.most", locale, high))
                    + " " + source;
        }
        if (question.expected() instanceof GoodReading.Forward forward) {
            return message(
                    "expect.forward",
                    locale,
                    Words.figure(forward.minimum(), "V"),
                    Words.figure(forward.maximum(), "V"));
        }
        return message(
                question.expected() instanceof GoodReading.Blocks
                        ? "expect.blocks"
                        : question.expected() instanceof GoodReading.AnyResistance ? "expect.any" : "expect.apart",
                locale);
    }

    private static String ohms(Ohms ohms) {
        return Words.figure(ohms.value(), "Ω");
    }

    private String read(CheckReading answer, Locale locale) {
        if (answer.meaning() instanceof MeterReading.Ambiguous ambiguous) {
            return Words.say(ambiguous.question());
        }
        if (answer.meaning() instanceof MeterReading.Refused refused) {
            return Words.say(refused.message());
        }
        String figure = answer.meaning() instanceof MeterReading.OverRange
                ? message("over_range", locale)
                : Words.say(answer.meaning().message());
        boolean corrected = answer.figure().isPresent()
                && !answer.figure().equals(answer.meaning().figure());
        String less = corrected
                ? message("less_leads", locale, Words.figure(answer.figure().getAsDouble(), "Ω"))
                : "";
        String why = answer.verdict() == Verdict.PASS
                ? ""
                : message("reason." + answer.reason().code(), locale);
        return why.isEmpty() ? figure + less : figure + less + ". " + why;
    }

    private String said(Conclusion conclusion, Locale locale) {
        Stream<String> at = conclusion.at().map(each -> ask(each, locale)).stream();
        return message(
                "says." + conclusion.code().code(),
                locale,
                Stream.concat(at, conclusion.of().stream().map(each -> named(Words.say(each), locale)))
                        .toArray());
    }

    private String message(String code, Locale locale, Object... arguments) {
        return messages.getMessage("check." + code, arguments, locale);
    }
}
