package zestymarten.web.testrun;

/** A way of testing that is kept with a wiring under a name. */
record KeptPlan(long id, String name, ApproachRow approach) {}
