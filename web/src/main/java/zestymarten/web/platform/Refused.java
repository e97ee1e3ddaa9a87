package zestymarten.web.platform;

import java.util.List;
import zestymarten.core.quantity.Problem;

/** What a person or a file gave cannot be taken: every problem at once. Nothing was changed. Shown as 422. */
public final class Refused extends RuntimeException {
    private static final long serialVersionUID = 1;

    private final transient List<Problem> problems;

    public Refused(List<Problem> problems) {
        super(problems.stream()
                .map(Problem::toString)
                .reduce((a, b) -> a + "\n" + b)
                .orElse("Refused."));
        this.problems = List.copyOf(problems);
    }

    public Refused(String where, String text) {
        this(List.of(new Problem(where, text)));
    }

    public List<Problem> problems() {
        return problems;
    }
}
