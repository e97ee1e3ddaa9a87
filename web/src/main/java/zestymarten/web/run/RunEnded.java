package zestymarten.web.run;

/** A test was ended; told within the transaction that ends it. */
public record RunEnded(Run run) {}
