package zestymarten.web.statistics;

/**
 * How the last tests of an assembly ended.
 *
 * @param tests how many were ended
 * @param passed of them with a pass, marginal included
 * @param units how many units they are of
 * @param firstPassed how many of the units passed at the first of these tests
 * @param minutes median from start to end, 0 where there is none
 */
record TestCounts(int tests, int passed, int units, int firstPassed, double minutes) {}
