package zestymarten.core.meter;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What is done about the resistance of the test leads. Raw and corrected figures are both kept whatever the policy. */
public enum LeadPolicy {
    /** All of it is taken off. */
    FULL("all of it is taken off"),
    /** Only what exceeds 1 ohm is taken off; misleading for limits below 5 ohm. */
    EXCESS("only what exceeds 1 Ω is taken off"),
    /** It is left in. */
    NONE("it is left in");

    private final String words;

    LeadPolicy(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** As written in files. */
    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }

    public static Optional<LeadPolicy> of(String code) {
        return Arrays.stream(values()).filter(each -> each.code().equals(code)).findFirst();
    }

    /** Ohms to take off a reading when the leads have that many. */
    public double share(double leadsOhm) {
        return switch (this) {
            case FULL -> leadsOhm;
            case EXCESS -> Math.max(0, leadsOhm - 1);
            case NONE -> 0;
        };
    }
}
