package zestymarten.core.assembly;

import java.util.Arrays;
import java.util.Optional;
import zestymarten.core.quantity.Message;

/** How a conductor is made up: the classes of IEC 60228, or single-core road-vehicle wire to ISO 6722. */
public enum StrandClass {
    ONE("1"),
    TWO("2"),
    FIVE("5"),
    SIX("6"),
    VEHICLE("vehicle");

    private final String code;

    StrandClass(String code) {
        this.code = code;
    }

    /** As written in files. */
    public String code() {
        return code;
    }

    public Message words() {
        return Message.of(this);
    }

    public static Optional<StrandClass> of(String code) {
        return Arrays.stream(values()).filter(each -> each.code.equals(code)).findFirst();
    }
}
