package zestymarten.core.check;

import java.util.List;
import zestymarten.core.check.Conclusion.Code;
import zestymarten.core.judge.Judgement.Verdict;
import zestymarten.core.limit.Limit;

/** Any two points, and what is expected between them. */
public record Points(Expected expected) implements Item {
    /** Points that should be one, with at most so many ohms between them. */
    public static Points joined(double mostOhm) {
        return new Points(Figures.atMost(Figures.required(mostOhm, 1e6, "The maximum in ohms"), Limit.Rule.GIVEN));
    }

    /** Points that should have nothing to do with each other. */
    public static Points apart() {
        return new Points(new Expected.NoContinuity());
    }

    /**
     * Points with a value between them.
     *
     * @param tolerance as a fraction, 0 to 1
     */
    public static Points value(double ohm, double tolerance) {
        if (!(tolerance >= 0 && tolerance <= 1)) {
            throw new IllegalArgumentException("A tolerance (" + tolerance + ") must be a fraction from 0 to 1.");
        }
        return new Points(Figures.around(Figures.required(ohm, 1e9, "The value in ohms"), tolerance, tolerance));
    }

    @Override
    public List<Question> questions() {
        return List.of(new Question(Question.Ask.POINTS, expected));
    }

    @Override
    public List<Conclusion> conclusions(Answers answers) {
        return answers.all().stream()
                .filter(each -> each.verdict() == Verdict.FAIL || answers.isGood())
                .map(each -> each.verdict() == Verdict.FAIL
                        ? Conclusion.bad(Code.POINTS_NOT_AS_EXPECTED, Figures.ohms(each))
                        : Conclusion.good(Code.POINTS_AS_EXPECTED, Figures.ohms(each)))
                .toList();
    }
}
