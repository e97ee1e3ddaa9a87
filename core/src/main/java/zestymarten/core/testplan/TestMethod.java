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
    /** Alone, ends far apart: far ends linked and each read against the first, then freed and each read against each. */
    FAR_END_JOINED(true, 1),
    /** Alone, ends far apart, with a frame that both ends reach: far ends linked to it and each read against it, then freed. */
    FAR_END_TO_FRAME(true, 1),
    /** Both ends in reach: each wire end to end, then each net against all later ones and the frame, linked together. */
    EACH_TO_REST(true, 0),
    /** Both ends in reach: each wire end to end, then all nets in two linked halves, once for each bit of their number. */
    BY_HALVES(true, 0),
    /** After continuity has passed: each net against all others and the frame, linked together, under a test voltage. */
    INSULATION(true, 0);
    private final boolean links;
    private final int trips;

    TestMethod(boolean links, int trips) {
        this.links = links;
        this.trips = trips;
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

    /** Whether terminals have to be linked together, which takes clips. */
    public boolean needsLinks() {
        return links;
    }

    /** What it takes besides what it measures with. */
    public Set<Tool> tools() {
        Set<Tool> tools = EnumSet.noneOf(Tool.class);
        if (links) {
            tools.add(Tool.CLIPS);
        }
        if (this == FAR_END_TO_FRAME) {
            tools.add(Tool.FRAME_RETURN);
        }
        return tools;
    }

    /** Whether the far ends are linked while the wires are rung out. */
    public boolean linksFarEnds() {
        return this == FAR_END_JOINED || this == FAR_END_TO_FRAME;
    }

    /** How many trips the technician makes to the other end and back. */
    public int trips() {
        return trips;
    }
}
