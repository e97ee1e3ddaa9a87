package zestymarten.web.platform;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Problem;

/** What a person or a file gave cannot be taken: every problem at once. Nothing was changed. Shown as 422. */
public final class Refusal extends RuntimeException {
    private static final long serialVersionUID = 1;

    /** As many are listed as somebody would read. */
    private static final int MAX = 100;

    private final transient List<Problem> problems;

    public Refusal(List<Problem> problems) {
        super(problems.stream()
                .limit(MAX)
                .map(each -> Words.say(each.message()))
                .collect(Collectors.joining("\n")));
        this.problems = shortened(problems);
    }

    private static List<Problem> shortened(List<Problem> all) {
        if (all.size() <= MAX) {
            return List.copyOf(all);
        }
        List<Problem> first = new ArrayList<>(all.subList(0, MAX));
        first.add(new Problem("", Message.of("refused.more_problems", all.size() - MAX)));
        return List.copyOf(first);
    }

    public Refusal(String where, Message what) {
        this(List.of(new Problem(where, what)));
    }

    /** What is said of each, in values that a session can keep. */
    public List<String> texts() {
        return new ArrayList<>(
                problems.stream().map(each -> Words.say(each.what())).toList());
    }

    public List<Problem> problems() {
        return problems;
    }
}
