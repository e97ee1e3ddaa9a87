package zestymarten.core.testrun;

import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import zestymarten.core.judgement.Judgement.Verdict;

/** How a step stands. Each has its own stroke and word on every screen. */
public enum StepState {
    NOT_TESTED("not-tested"),
    PASS("pass"),
    MARGINAL("marginal"),
    FAIL("fail"),
    DOUBTFUL("doubtful"),
    SKIPPED("skipped"),
    /** Nobody has to read it: it follows from what was read. */
    IMPLIED("implied");

    /** By which records of earlier versions know some. */
    private static final Map<String, StepState> FORMER =
            Map.of("good", PASS, "watch", MARGINAL, "fault", FAIL, "untested", NOT_TESTED);

    private final String code;

    /** How a step stands whose last reading was judged so. */
    public static StepState of(Verdict verdict) {
        return switch (verdict) {
            case PASS -> PASS;
            case MARGINAL -> MARGINAL;
            case FAIL -> FAIL;
            case UNDECIDED, DOUBTFUL -> DOUBTFUL;
        };
    }

    StepState(String code) {
        this.code = code;
    }

    /** By which styles and files know it. */
    public String code() {
        return code;
    }

    /**
     * The state of a code, also of one by which a record of an earlier version knows it.
     *
     * @throws IllegalArgumentException if there is none
     */
    public static StepState of(String code) {
        return known(code).orElseThrow(() -> new IllegalArgumentException("No state: " + code));
    }

    /** The same; empty if there is none. */
    public static Optional<StepState> known(String code) {
        return Arrays.stream(values())
                .filter(each -> each.code.equals(code))
                .findFirst()
                .or(() -> Optional.ofNullable(FORMER.get(code)));
    }
}
