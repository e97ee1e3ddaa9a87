package zestymarten.core.meter;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import zestymarten.core.quantity.Message;

/** What is done about the resistance of the test leads. Raw and corrected figures are both kept whatever the policy. */
public enum LeadPolicy {
    /** All of it is taken off. */
    FULL,
    /** Only what exceeds 1 ohm is taken off; misleading for limits below 5 ohm. */
    EXCESS,
    /** It is left in. */
    NONE;

    public Message words() {
        return Message.of(this);
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
