package zestymarten.web.statistics;

/** How many tests found something: a kind of fault, or a wire or part that a fault names. */
record FaultCount(String name, int tests) {}
