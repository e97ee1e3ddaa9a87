package zestymarten.core.testplan;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import zestymarten.core.quantity.Message;

/** Ways to test for opens and shorts, by what is at hand. */
public enum TestMethod {
    /** Both ends in reach, all ends free: each wire end to end, each net against each later one, each against the frame. */
    BOTH_ENDS(false, 0),
    /** Alone, ends far apart: far ends tied and each read against the first, then freed and each read against each. */
    FAR_END_JOINED(true, 1),
    /** Alone, ends far apart, with a frame that both ends reach: far ends tied to it and each read against it, then freed. */
    FAR_END_TO_FRAME(true, 1),
    /** Both ends in reach: each wire end to end, then each net against all later ones and the frame, tied together. */
    EACH_TO_REST(true, 0),
    /** Both ends in reach: each wire end to end, then all nets in two tied halves, once for each bit of their number. */
    BY_HALVES(true, 0),
    /** After continuity has passed: each net against all others and the frame, tied together, under a test voltage. */
    INSULATION(true, 0);
    private final boolean ties;
    private final int walks;

    TestMethod(boolean ties, int walks) {
        this.ties = ties;
        this.walks = walks;
    }

    /** What a technician calls it. */
    public Message title() {
        return Message.of(this);
    }

    /** As written in files. */
    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }

    public static Optional<TestMethod> of(String code) {
        return Arrays.stream(values()).filter(each -> each.code().equals(code)).findFirst();
    }

    /** Whether terminals have to be tied together, which takes clips. */
    public boolean needsTies() {
        return ties;
    }

    /** What it takes besides what it measures with. */
    public Set<Tool> tools() {
        Set<Tool> tools = EnumSet.noneOf(Tool.class);
        if (ties) {
            tools.add(Tool.CLIPS);
        }
        if (this == FAR_END_TO_FRAME) {
            tools.add(Tool.FRAME_RETURN);
        }
        return tools;
    }

    /** Whether the far ends are tied while the wires are rung out. */
    public boolean tiesFarEnds() {
        return this == FAR_END_JOINED || this == FAR_END_TO_FRAME;
    }

    /** How often the technician walks to the other end and back. */
    public int walks() {
        return walks;
    }
}
