package zestymarten.core.testplan;

import java.util.Locale;
import zestymarten.core.quantity.Message;

/** What may be at hand besides a meter, and decides how wiring can be tested. */
public enum Tool {
    CLIPS,
    FRAME_RETURN,
    LOW_OHM_METER,
    INSULATION_TESTER;

    /** What a technician calls it. */
    public Message words() {
        return Message.of(this);
    }

    /** As written in forms and files. */
    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }
}
