package zestymarten.web.testrun;

import zestymarten.core.finding.FaultHistory;

/**
 * A row of the faults that tested units had.
 *
 * @param kind its code
 * @param name of a wire or part
 * @param tests in how many tests
 */
record LearntFault(String kind, String name, int tests) {
    FaultHistory.FaultOf fault() {
        return new FaultHistory.FaultOf(kind, name);
    }
}
