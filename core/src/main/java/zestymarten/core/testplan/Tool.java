package zestymarten.core.testplan;

import java.util.Locale;

/** What may be at hand besides a meter, and decides how wiring can be tested. */
public enum Tool {
    CLIPS("clips to link ends"),
    FRAME_RETURN("a frame or earth that both ends reach"),
    LOW_OHM_METER("low-resistance meter, four wires"),
    INSULATION_TESTER("insulation tester");

    private final String words;

    Tool(String words) {
        this.words = words;
    }

    /** What a technician calls it. */
    public String words() {
        return words;
    }

    /** As written in forms and files. */
    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }
}
