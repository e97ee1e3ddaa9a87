package zestymarten.web.platform;

import java.util.List;
import zestymarten.core.quantity.Problem;

/**
 * A problem in words.
 *
 * @param where line, column or field; empty when it concerns the whole input
 */
public record ProblemView(String where, String text) {
    public static ProblemView of(Problem problem) {
        return new ProblemView(Words.say(problem.where()), Words.say(problem.what()));
    }

    public static List<ProblemView> all(List<Problem> problems) {
        return problems.stream().map(ProblemView::of).toList();
    }

    @Override
    public String toString() {
        return where.isEmpty() ? text : where + ": " + text;
    }
}
