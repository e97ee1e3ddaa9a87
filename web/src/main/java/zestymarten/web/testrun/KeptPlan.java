package zestymarten.web.testrun;

/** A way of testing that is kept with an assembly under a name. */
record KeptPlan(long id, String name, ApproachRow approach) {}
