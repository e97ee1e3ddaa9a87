package zestymarten.core.testrun;

import java.util.Optional;
import org.pcollections.HashTreePSet;
import org.pcollections.PSet;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.testplan.TestStep;

/**
 * What the pairs of the shorts stage come to, so that one reading more of thousands is work for one pair.
 *
 * <p>Method: a pair is settled when every reading of it has a verdict for good; settled pairs are counted, the others are
 * named and looked at each time. Holds for: pairs each to each, while the pieces stay the same.
 *
 * @param pass settled pairs whose last reading is as it should be
 * @param marginal settled pairs whose last reading is marginal
 * @param fail settled pairs whose last reading is at fault
 * @param unlike settled pairs of which any reading was not as expected
 * @param open pairs that were read and are not settled
 */
record PairTally(int pass, int marginal, int fail, int unlike, PSet<TestStep> open) {
    static final PairTally NONE = new PairTally(0, 0, 0, 0, HashTreePSet.empty());

    /** How a pair is settled: by the verdict of its last reading, and whether any reading was not as expected. */
    record SettledPair(Verdict verdict, boolean isUnlike) {}

    /** Whether a reading is just what a good unit gives. */
    static boolean isAsDesigned(Judgement judgement) {
        return judgement.verdict() == Verdict.PASS
                && judgement.contact() != Contact.UNSTABLE
                && judgement.contact() != Contact.LEAK;
    }

    int settled() {
        return pass + marginal + fail;
    }

    int count(StepState state) {
        return switch (state) {
            case PASS -> pass;
            case MARGINAL -> marginal;
            case FAIL -> fail;
            case NOT_TESTED, DOUBTFUL, SKIPPED, IMPLIED -> 0;
        };
    }

    /** The same with a pair as it is now, settled or open. */
    PairTally with(TestStep pair, Optional<SettledPair> now) {
        return now.map(settled -> counted(settled, 1).withOpen(open.minus(pair)))
                .orElseGet(() -> withOpen(open.plus(pair)));
    }

    /** The same without a pair as it was. */
    PairTally without(TestStep pair, Optional<SettledPair> before) {
        return before.map(settled -> counted(settled, -1)).orElseGet(() -> withOpen(open.minus(pair)));
    }

    private PairTally withOpen(PSet<TestStep> others) {
        return new PairTally(pass, marginal, fail, unlike, others);
    }

    private PairTally counted(SettledPair settled, int by) {
        return new PairTally(
                pass + (settled.verdict() == Verdict.PASS ? by : 0),
                marginal + (settled.verdict() == Verdict.MARGINAL ? by : 0),
                fail + (settled.verdict() == Verdict.FAIL ? by : 0),
                unlike + (settled.isUnlike() ? by : 0),
                open);
    }
}
