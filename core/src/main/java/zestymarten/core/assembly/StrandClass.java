package zestymarten.core.assembly;

import java.util.Arrays;
import java.util.Optional;

/** How a conductor is made up: the classes of IEC 60228, or single-core road-vehicle wire to ISO 6722. */
public enum StrandClass {
    ONE("1", "class 1 (solid)"),
    TWO("2", "class 2 (stranded)"),
    FIVE("5", "class 5 (flexible)"),
    SIX("6", "class 6 (very flexible)"),
    VEHICLE("vehicle", "road-vehicle wire");

    private final String code;
    private final String words;

    StrandClass(String code, String words) {
        this.code = code;
        this.words = words;
    }

    /** As written in files. */
    public String code() {
        return code;
    }

    public String words() {
        return words;
    }

    public static Optional<StrandClass> of(String code) {
        return Arrays.stream(values()).filter(each -> each.code.equals(code)).findFirst();
    }
}
