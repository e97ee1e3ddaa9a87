package zestymarten.web.testrun;

/** A test was ended; published within the transaction that ends it. */
public record RunEnded(RunSnapshot run) {}
