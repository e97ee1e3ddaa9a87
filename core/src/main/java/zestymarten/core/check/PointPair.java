package zestymarten.core.check;

import java.util.List;
import zestymarten.core.check.Conclusion.Code;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.limit.Limit;
import zestymarten.core.quantity.Bounds;
import zestymarten.core.quantity.NotAccepted;

/** Any two points, and what is expected between them. */
public record PointPair(GoodReading expected) implements CheckedItem {
    /** Two points that should be one, with at most so much resistance between them. */
    public static PointPair joined(double maxOhm) {
        return new PointPair(CheckFigures.atMost(
                Bounds.aboveZero("check_figures.what_the_maximum", maxOhm, 1e6, "Ω"), Limit.Rule.GIVEN));
    }

    /** PointPair that should have nothing to do with each other. */
    public static PointPair apart() {
        return new PointPair(new GoodReading.NoContinuity());
    }

    /**
     * PointPair with a value between them.
     *
     * @param tolerance as a fraction, 0 to 1
     */
    public static PointPair value(double ohm, double tolerance) {
        if (!(tolerance >= 0 && tolerance <= 1)) {
            throw new NotAccepted("point_pair.tolerance_fraction", tolerance);
        }
        return new PointPair(CheckFigures.around(
                Bounds.aboveZero("check_figures.what_the_value", ohm, 1e9, "Ω"), tolerance, tolerance));
    }

    @Override
    public List<CheckQuestion> questions() {
        return List.of(new CheckQuestion(CheckQuestion.CheckMeasurement.POINTS, expected));
    }

    @Override
    public List<Conclusion> conclusions(CheckReadings answers) {
        return answers.all().stream()
                .filter(each -> each.verdict() == Verdict.FAIL || answers.isGood())
                .map(each -> each.verdict() == Verdict.FAIL
                        ? Conclusion.bad(Code.POINTS_NOT_AS_EXPECTED, CheckFigures.ohms(each))
                        : Conclusion.good(Code.POINTS_AS_EXPECTED, CheckFigures.ohms(each)))
                .toList();
    }
}
