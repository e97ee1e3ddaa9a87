package zestymarten.core.circuit;

import java.util.stream.Stream;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.Message;

/**
 * One reading of the dead tests: what is linked, and which two terminals are measured. At a point these are the terminals of its
 * accessory ({@code S3.L}), at the origin the ends of the cable ({@code L.A}, {@code L.B}).
 */
public record Spot(EndLink linked, Terminal a, Terminal b) {
    /** One conductor of a ring from end to end, nothing linked. */
    public static Spot ends(ConductorRole role) {
        return new Spot(EndLink.APART, Circuit.end(role, 'A'), Circuit.end(role, 'B'));
    }

    /** The two linked conductors, read at a point such as {@code 3} or the end of a spur, {@code 3s}. */
    public static Spot at(EndLink linked, String point) {
        return between(linked, point, linked.line(), linked.other());
    }

    /** Any two conductors at a point. */
    public static Spot between(EndLink linked, String point, ConductorRole a, ConductorRole b) {
        return new Spot(linked, Circuit.at(a, point), Circuit.at(b, point));
    }

    /** The point at which it is taken; empty at the origin. */
    public String point() {
        return a.connector().startsWith("S") ? a.connector().substring(1) : "";
    }

    /** Such as {@code line to protective at point 3, line to protective linked}. */
    public Message words() {
        if (point().isEmpty()) {
            return Message.of("spot.from_end_end", role(a).words());
        }
        return Message.of("spot.point_linked_origin", role(a).words(), role(b).words(), point(), linked.words());
    }

    /** What the conductor of a terminal is for. */
    static ConductorRole role(Terminal terminal) {
        String letter = terminal.connector().startsWith("S") ? terminal.pin() : terminal.connector();
        return Stream.of(ConductorRole.values())
                .filter(each -> each.letter().equals(letter))
                .findFirst()
                .orElseThrow();
    }
}
