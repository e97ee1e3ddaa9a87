package zestymarten.web.testrun;

/**
 * A row of the faults that tested units had.
 *
 * @param kind as findings have it
 * @param name of a wire or part
 * @param tests in how many tests
 */
record LearntFault(String kind, String name, int tests) {}
