package zestymarten.core.check;

import java.util.List;
import java.util.OptionalDouble;
import zestymarten.core.check.Conclusion.Code;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.limit.Limit;
import zestymarten.core.quantity.Bounds;

/**
 * A fuse out of its holder. Limit: what loses {@value #DROP_V} V at the rated current, a rule of thumb for cartridge fuses;
 * without a rating {@value #UNRATED_OHM} ohm.
 *
 * @param ratedA above 0 to 10,000 A
 */
public record SingleFuse(OptionalDouble ratedA) implements CheckedItem {
    private static final double DROP_V = 0.5;
    private static final double UNRATED_OHM = 1;
    private static final double MIN_OHM = 0.05;
    private static final double MAX_A = 10_000;

    public SingleFuse {
        ratedA.ifPresent(each -> Bounds.aboveZero("check_figures.what_the_rated_current", each, MAX_A, "A"));
    }

    @Override
    public List<CheckQuestion> questions() {
        double maximum = ratedA.isPresent() ? Math.max(MIN_OHM, DROP_V / ratedA.getAsDouble()) : UNRATED_OHM;
        return List.of(new CheckQuestion(
                CheckQuestion.CheckMeasurement.FUSE,
                CheckFigures.atMost(maximum, ratedA.isPresent() ? Limit.Rule.DROP : Limit.Rule.ROUND_FIGURE)));
    }

    @Override
    public List<Conclusion> conclusions(CheckReadings answers) {
        return answers.all().stream()
                .filter(each -> each.verdict() == Verdict.FAIL || answers.isGood())
                .map(each -> each.verdict() != Verdict.FAIL
                        ? Conclusion.good(Code.FUSE_CONDUCTS)
                        : each.figure().isPresent() && !each.isOpen()
                                ? Conclusion.bad(Code.FUSE_HIGH, CheckFigures.ohms(each), CheckFigures.limit(each))
                                : Conclusion.bad(Code.FUSE_BLOWN))
                .toList();
    }
}
