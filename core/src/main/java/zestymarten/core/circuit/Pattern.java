package zestymarten.core.circuit;

import zestymarten.core.quantity.Message;

/** What may be the matter with a circuit: one thing at a time. Stretches are counted from 0, points go by name. */
public sealed interface Pattern {
    /** As it is meant to be. */
    record Good() implements Pattern {}

    /** The ends of the ring are linked each to its own instead of to the other's. */
    record WrongWay(EndLink linked) implements Pattern {}

    /** The ends of the ring are linked each to its own with either pair: whoever does it once does it twice. */
    record WrongWayTwice() implements Pattern {}

    /** All three conductors are open in a stretch. */
    record CableCut(int stretch) implements Pattern {}

    /** A conductor is open in a stretch. */
    record ConductorBroken(ConductorRole role, int stretch) implements Pattern {}

    /** A joint in or at the ends of a stretch has so much resistance too much. */
    record Loose(ConductorRole role, int stretch, double ohm) implements Pattern {}

    /** A point is not on the ring but hangs on it by so many metres. */
    record OnSpur(String point, double metres) implements Pattern {}

    /** Two points of the ring are joined by so many metres of cable that nobody drew: a figure of eight. */
    record Interconnected(int from, int to, double metres) implements Pattern {}

    /** Two conductors have changed places at a point. */
    record Swapped(String point, ConductorRole a, ConductorRole b) implements Pattern {}

    /** A conductor does not reach the accessory of a point. */
    record Missing(String point, ConductorRole role) implements Pattern {}

    /** The protective conductor has another section than drawn all along, in mm². */
    record OtherProtective(double mm2) implements Pattern {}

    /** Metal that is no part of the circuit joins the protective conductor of two points with such a resistance. */
    record ParallelEarth(int from, int to, double ohm) implements Pattern {}

    /** All of it is so many times as long as drawn. */
    record Longer(double factor) implements Pattern {}

    /** One answer for each member of the family. */
    interface PatternCases<T> {
        T good();

        T wrongWay(WrongWay pattern);

        T wrongWayTwice(WrongWayTwice pattern);

        T cut(CableCut pattern);

        T broken(ConductorBroken pattern);

        T loose(Loose pattern);

        T onSpur(OnSpur pattern);

        T interconnected(Interconnected pattern);

        T swapped(Swapped pattern);

        T missing(Missing pattern);

        T otherProtective(OtherProtective pattern);

        T parallelEarth(ParallelEarth pattern);

        T longer(Longer pattern);
    }

    /** Chooses the answer that fits this member. */
    default <T> T fold(PatternCases<T> cases) {
        if (this instanceof WrongWay way) {
            return cases.wrongWay(way);
        } else if (this instanceof WrongWayTwice twice) {
            return cases.wrongWayTwice(twice);
        } else if (this instanceof CableCut cut) {
            return cases.cut(cut);
        } else if (this instanceof ConductorBroken broken) {
            return cases.broken(broken);
        } else if (this instanceof Loose loose) {
            return cases.loose(loose);
        } else if (this instanceof OnSpur spur) {
            return cases.onSpur(spur);
        } else if (this instanceof Interconnected joined) {
            return cases.interconnected(joined);
        } else if (this instanceof Swapped swapped) {
            return cases.swapped(swapped);
        } else if (this instanceof Missing missing) {
            return cases.missing(missing);
        } else if (this instanceof OtherProtective other) {
            return cases.otherProtective(other);
        } else if (this instanceof ParallelEarth earth) {
            return cases.parallelEarth(earth);
        } else if (this instanceof Longer longer) {
            return cases.longer(longer);
        }
        return cases.good();
    }

    /** Its kind in a word or two, as the columns of a table are headed. */
    default String kind() {
        return fold(PatternWords.KINDS);
    }

    /** What it is and where, as a sentence. */
    default Message says(Circuit circuit) {
        return fold(new PatternWords(circuit));
    }
}
