package zestymarten.web.testrun;

import zestymarten.core.finding.FaultHistory;

/**
 * A row of the faults that tested units had. Records have the kind in words, {@code high resistance}; findings have its code.
 *
 * @param kind with spaces where it comes from a record
 * @param name of a wire or part
 * @param tests in how many tests
 */
record LearntFault(String kind, String name, int tests) {
    FaultHistory.FaultOf fault() {
        return new FaultHistory.FaultOf(kind.replace(' ', '_'), name);
    }
}
