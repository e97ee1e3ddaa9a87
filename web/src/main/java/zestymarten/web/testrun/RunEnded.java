package zestymarten.web.testrun;

/** A test was ended; told within the transaction that ends it. */
public record RunEnded(RunSnapshot run) {}
