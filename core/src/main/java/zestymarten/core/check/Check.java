package zestymarten.core.check;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import zestymarten.core.judgement.DiodeJudge;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.judgement.PlausibilityCheck;
import zestymarten.core.judgement.ResistanceJudge;
import zestymarten.core.limit.Limit;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.Ohms;
import zestymarten.core.quantity.ReadingParser;

/**
 * A thing with the readings made of it.
 *
 * <p>Rules: each reading is judged by what a good one shows there; then the thing says what they mean together. Nothing
 * passes before everything that is not optional was measured. Cost: constant.
 *
 * @param answers what was read, in the order of the questions; questions without a reading are absent
 * @param conclusions what the readings say together
 */
public record Check(CheckedItem item, List<CheckReading> answers, List<Conclusion> conclusions) {
    private static final double MAX_OHM = 1e13;
    private static final List<String> PART = List.of("part");

    public Check {
        answers = List.copyOf(answers);
        conclusions = List.copyOf(conclusions);
    }

    /** Where the thing stands. */
    public enum CheckOutcome {
        PASS,
        MARGINAL,
        FAIL,
        UNDECIDED,
        DOUBTFUL,
        NOT_TESTED
    }

    /**
     * Takes the readings of a thing.
     *
     * @param typed readings by the names of their questions; blank ones were not made
     */
    public static Check of(CheckedItem item, Map<String, String> typed, TestConditions conditions) {
        List<CheckReading> answers = new ArrayList<>();
        for (CheckQuestion question : item.questions()) {
            String text = typed.getOrDefault(question.id(), "").strip();
            if (!text.isEmpty()) {
                answers.add(answer(question, text, conditions));
            }
        }
        boolean complete = item.questions().stream()
                .filter(each -> !each.optional())
                .allMatch(each ->
                        answers.stream().anyMatch(answer -> answer.question().equals(each)));
        return new Check(item, answers, item.conclusions(new CheckedItem.CheckReadings(answers, complete)));
    }

    private static CheckReading answer(CheckQuestion question, String text, TestConditions conditions) {
        MeterReading plain = new ReadingParser(conditions.meter().oneIsOverRange()).understand(text);
        if (question.expected() instanceof GoodReading.Forward || question.expected() instanceof GoodReading.Blocks) {
            return onDiodeRange(question, plain, question.expected() instanceof GoodReading.Forward);
        }
        Expectation expectation = question.expected() instanceof GoodReading.Resistance known
                ? new Expectation.Joined(known.limit(), true, judgedBy(known.limit(), conditions))
                : question.expected() instanceof GoodReading.AnyResistance
                        ? new Expectation.Joined(any(), true, PART)
                        : new Expectation.Apart();
        MeterReading meaning = PlausibilityCheck.raise(plain, expectation, conditions);
        Judgement judgement = ResistanceJudge.judge(meaning, expectation, conditions);
        Contact contact = judgement.contact() == Contact.BRIDGED ? Contact.JOINED : judgement.contact();
        return new CheckReading(
                question, meaning, judgement.verdict(), contact, judgement.code(), judgement.correctedOhm());
    }

    /** A wire or contact is one point; what has a resistance of its own is judged by it, as a part. */
    private static List<String> judgedBy(Limit limit, TestConditions conditions) {
        return limit.high().value() < conditions.joinedBelowOhm() / 10 && !limit.lowGiven() ? List.of() : PART;
    }

    private static Limit any() {
        return new Limit(
                Ohms.of(0), Optional.empty(), Ohms.of(MAX_OHM), false, Limit.Rule.PART, Limit.Rule.PART.words());
    }

    private static CheckReading onDiodeRange(CheckQuestion question, MeterReading plain, boolean forwards) {
        MeterReading understood = DiodeJudge.understood(plain);
        MeterReading meaning = understood instanceof MeterReading.Refused ? plain : understood;
        Judgement judgement = DiodeJudge.usual().judge(meaning, forwards);
        OptionalDouble figure =
                meaning instanceof MeterReading.Value value ? OptionalDouble.of(value.value()) : OptionalDouble.empty();
        return new CheckReading(question, meaning, judgement.verdict(), judgement.contact(), judgement.code(), figure);
    }

    /** The answer to a question; empty while it was not measured. */
    public Optional<CheckReading> answer(CheckQuestion question) {
        return answers.stream().filter(each -> each.question().equals(question)).findFirst();
    }

    /** The first question that has to be answered and is not; empty when the check is complete. */
    public Optional<CheckQuestion> due() {
        return item.questions().stream()
                .filter(each -> !each.optional() && answer(each).isEmpty())
                .findFirst();
    }

    /** Where the thing stands: a fault is a fault at once, a pass needs every measurement. */
    public CheckOutcome outcome() {
        Set<Verdict> verdicts = EnumSet.noneOf(Verdict.class);
        answers.forEach(each -> verdicts.add(each.verdict()));
        conclusions.forEach(each -> verdicts.add(each.verdict()));
        if (verdicts.contains(Verdict.FAIL)) {
            return CheckOutcome.FAIL;
        }
        if (verdicts.contains(Verdict.DOUBTFUL)) {
            return CheckOutcome.DOUBTFUL;
        }
        if (verdicts.contains(Verdict.UNDECIDED)) {
            return CheckOutcome.UNDECIDED;
        }
        if (due().isPresent()) {
            return CheckOutcome.NOT_TESTED;
        }
        return verdicts.contains(Verdict.MARGINAL) ? CheckOutcome.MARGINAL : CheckOutcome.PASS;
    }
}
