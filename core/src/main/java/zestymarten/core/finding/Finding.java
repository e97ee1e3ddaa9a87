package zestymarten.core.finding;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import zestymarten.core.assembly.Subject;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.limit.Limit;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Ohms;

/** A fault named in the wiring's own terms. A closed family: a new kind must be worded and drawn everywhere. */
public sealed interface Finding {
    /** Names of the conductors at fault, in design order. */
    List<String> conductors();

    /** The terminals that it is about. */
    List<Terminal> terminals();

    /** A conductor has no path from one terminal to the other. */
    record Open(String conductor, Terminal from, Terminal to) implements Finding {
        @Override
        public List<String> conductors() {
            return List.of(conductor);
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(from, to);
        }
    }

    /** A path with a higher resistance than it may have. */
    record HighResistance(List<String> conductors, Terminal from, Terminal to, Ohms ohm, Ohms limit)
            implements Finding {
        public HighResistance {
            conductors = List.copyOf(conductors);
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(from, to);
        }
    }

    /** A path with a lower resistance than the minimum that was given for it. */
    record LowResistance(List<String> conductors, Terminal from, Terminal to, Ohms ohm, Ohms limit) implements Finding {
        public LowResistance {
            conductors = List.copyOf(conductors);
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(from, to);
        }
    }

    /** A reading that jumped. */
    record Intermittent(List<String> conductors, Terminal from, Terminal to) implements Finding {
        public Intermittent {
            conductors = List.copyOf(conductors);
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(from, to);
        }
    }

    /** Two points that should be apart have a finite resistance that is no short. */
    record Leak(List<String> conductors, Terminal from, Terminal to, Ohms ohm) implements Finding {
        public Leak {
            conductors = List.copyOf(conductors);
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(from, to);
        }
    }

    /**
     * Something that hangs together by itself.
     *
     * @param conductors those it is made of; for a stub the one that it is left of; none for a cavity and the frame
     * @param terminal one of its terminals
     */
    record Piece(List<String> conductors, Terminal terminal, DeviationForm form) {
        /** What it is. */
        public enum DeviationForm {
            /** Whole conductors. */
            WIRES,
            /** The end of a broken conductor, on the side of its terminal. */
            STUB,
            /** A cavity in which no wire ends. */
            CAVITY,
            /** A pin of a part to which no wire leads. */
            PIN,
            /** The frame, and what is bonded to it on purpose. */
            FRAME
        }

        public Piece {
            conductors = List.copyOf(conductors);
        }
    }

    /** A fault that joins pieces. */
    sealed interface OfPieces extends Finding {
        List<Piece> pieces();

        @Override
        default List<String> conductors() {
            return pieces().stream()
                    .flatMap(piece -> piece.conductors().stream())
                    .distinct()
                    .toList();
        }

        @Override
        default List<Terminal> terminals() {
            return pieces().stream().map(Piece::terminal).toList();
        }
    }

    /** Pieces that should be apart are one point; at least two that are no empty cavities. */
    record Shorted(List<Piece> pieces) implements OfPieces {
        public Shorted {
            pieces = List.copyOf(pieces);
        }
    }

    /**
     * Pieces that should be clear of the frame are joined to it.
     *
     * @param pieces without the frame, at least one
     */
    record FrameShort(List<Piece> pieces) implements OfPieces {
        public FrameShort {
            pieces = List.copyOf(pieces);
        }
    }

    /**
     * A way to a cavity that should be empty, where no wire can have moved to it.
     *
     * @param pieces at most one that is no empty cavity, the frame included
     */
    record Extra(List<Piece> pieces) implements OfPieces {
        public Extra {
            pieces = List.copyOf(pieces);
        }
    }

    /** Insulation below its limit at a test voltage, in volts DC. */
    record InsulationLow(List<String> conductors, Terminal from, Terminal to, Ohms ohm, Ohms limit, double testV)
            implements Finding {
        public InsulationLow {
            conductors = List.copyOf(conductors);
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(from, to);
        }
    }

    /** Insulation that did not withstand its test voltage, in volts. */
    record Withstand(List<String> conductors, Terminal from, Terminal to, double testV, Message reason)
            implements Finding {
        public Withstand {
            conductors = List.copyOf(conductors);
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(from, to);
        }
    }

    /** A contact that read open as it was found and joined when it was measured again: dirt, oxide or paint. */
    record ContactSurface(List<String> conductors, Terminal from, Terminal to) implements Finding {
        public ContactSurface {
            conductors = List.copyOf(conductors);
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(from, to);
        }
    }

    /**
     * One end of a conductor that sits in another cavity than its own.
     *
     * @param designed the terminal where that end belongs
     * @param cavity where it is
     */
    record Move(String conductor, Terminal designed, Terminal cavity) {}

    /** A fault of several ends that sit in other cavities. */
    sealed interface OfMoves extends Finding {
        List<Move> moves();

        @Override
        default List<String> conductors() {
            return moves().stream().map(Move::conductor).toList();
        }

        @Override
        default List<Terminal> terminals() {
            return moves().stream().map(Move::cavity).toList();
        }
    }

    /** Ends of conductors that have changed places among themselves: each in the cavity of the next. */
    record Crossed(List<Move> moves) implements OfMoves {
        public Crossed {
            moves = List.copyOf(moves);
        }
    }

    /** A conductor with one end in the wrong cavity, without another in exchange. */
    record Misplaced(Move move) implements Finding {
        @Override
        public List<String> conductors() {
            return List.of(move.conductor());
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(move.cavity());
        }
    }

    /** A connector whose positions are reversed: the first used with the last, and so on. */
    record Mirrored(List<Move> moves) implements OfMoves {
        public Mirrored {
            moves = List.copyOf(moves);
        }
    }

    /**
     * A connector whose wires all sit the same number of cavities beside their own.
     *
     * @param by cavities towards the end of the face, negative towards its beginning
     */
    record Shifted(List<Move> moves, int by) implements OfMoves {
        public Shifted {
            moves = List.copyOf(moves);
        }
    }

    /** The ends that it says have moved; none for a finding of another kind. */
    default List<Move> moved() {
        if (this instanceof OfMoves several) {
            return several.moves();
        }
        return this instanceof Misplaced misplaced ? List.of(misplaced.move()) : List.of();
    }

    /** A defect that was seen by eye, chosen from a list: it stays a fault until it is repaired and inspected again. */
    enum Defect {
        MELTED("melted"),
        BURNT("burnt"),
        CHAFED("chafed"),
        PUSHED_BACK("pushed back"),
        LOOSE("loose");

        private static final String PUSHED_BACK_BEFORE = "pin stands back";

        private final String code;

        Defect(String code) {
            this.code = code;
        }

        /** As it is entered and stored. */
        public String code() {
            return code;
        }

        /** Whether it was hot enough to harm what it was plugged into. */
        public boolean isHot() {
            return this == MELTED || this == BURNT;
        }

        /** The defect that was chosen, with a note behind a colon or none; empty where a person wrote something else. */
        public static Optional<Defect> chosen(String words) {
            String choice = words.split(":", 2)[0].strip();
            return Arrays.stream(values())
                    .filter(each ->
                            each.code.equals(choice) || (each == PUSHED_BACK && choice.equals(PUSHED_BACK_BEFORE)))
                    .findFirst();
        }
    }

    /**
     * Something that was seen to be damaged.
     *
     * @param place a connector, a joint or a stretch, or what a connector was plugged into
     */
    record Damaged(Subject place, Defect defect) implements Finding {
        @Override
        public List<String> conductors() {
            return List.of();
        }

        @Override
        public List<Terminal> terminals() {
            return List.of();
        }
    }

    /**
     * A second fault of a wire that is broken, in one of the lengths that are left.
     *
     * @param from the end from which the length was read
     * @param broken whether it is broken again, else its resistance is too high
     */
    record SecondFault(String conductor, Terminal from, boolean broken) implements Finding {
        @Override
        public List<String> conductors() {
            return List.of(conductor);
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(from);
        }

        /** The length that its reading is entered for. */
        public Subject length() {
            return new Subject.LengthOf(conductor, from);
        }
    }

    /** What can be wrong with a component. */
    enum PartFault {
        OPEN("component_open"),
        SHORT("component_short"),
        VALUE("component_value"),
        STATE("component_state"),
        /** A diode that conducts the wrong way. */
        REVERSED("component_value");

        private final String code;

        PartFault(String code) {
            this.code = code;
        }

        String code() {
            return code;
        }

        Message words() {
            return Message.of(this);
        }
    }

    /**
     * A component that does not read as it should.
     *
     * @param ohm what its own resistance is, where it follows from the readings
     * @param limit what it may have; empty for a contact that is in the wrong state
     */
    record PartAtFault(
            PartFault fault, String component, Terminal a, Terminal b, Optional<Ohms> ohm, Optional<Limit> limit)
            implements Finding {
        @Override
        public List<String> conductors() {
            return List.of();
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(a, b);
        }
    }

    /** What would be repaired, by its names: the conductors, a place, or the component. */
    default List<String> named() {
        if (this instanceof Damaged damaged) {
            return List.of(
                    damaged.place() instanceof Subject.MateOf mate
                            ? mate.connector()
                            : damaged.place().code());
        }
        return this instanceof PartAtFault part ? List.of(part.component()) : conductors();
    }

    /** The resistance that was read where the finding is, if it is one of a figure. */
    default Optional<Ohms> ohms() {
        if (this instanceof HighResistance high) {
            return Optional.of(high.ohm());
        } else if (this instanceof LowResistance low) {
            return Optional.of(low.ohm());
        } else if (this instanceof InsulationLow low) {
            return Optional.of(low.ohm());
        } else if (this instanceof PartAtFault part) {
            return part.ohm();
        }
        return this instanceof Leak leak ? Optional.of(leak.ohm()) : Optional.empty();
    }

    /** One answer for each kind. */
    interface FindingCases<T> {
        T open(Open open);

        T highResistance(HighResistance high);

        T lowResistance(LowResistance low);

        T intermittent(Intermittent intermittent);

        T leak(Leak leak);

        T shorted(Shorted shorted);

        T frameShort(FrameShort frameShort);

        T crossed(Crossed crossed);

        T misplaced(Misplaced misplaced);

        T mirrored(Mirrored mirrored);

        T shifted(Shifted shifted);

        T partAtFault(PartAtFault part);

        T extra(Extra extra);

        T insulationLow(InsulationLow low);

        T withstand(Withstand withstand);

        T contactSurface(ContactSurface surface);

        T damaged(Damaged damaged);

        T secondFault(SecondFault second);
    }

    /** Chooses the answer for this kind. */
    default <T> T fold(FindingCases<T> cases) {
        if (this instanceof Open open) {
            return cases.open(open);
        } else if (this instanceof HighResistance high) {
            return cases.highResistance(high);
        } else if (this instanceof LowResistance low) {
            return cases.lowResistance(low);
        } else if (this instanceof Intermittent intermittent) {
            return cases.intermittent(intermittent);
        } else if (this instanceof Leak leak) {
            return cases.leak(leak);
        } else if (this instanceof Shorted shorted) {
            return cases.shorted(shorted);
        } else if (this instanceof FrameShort frameShort) {
            return cases.frameShort(frameShort);
        } else if (this instanceof Crossed crossed) {
            return cases.crossed(crossed);
        } else if (this instanceof Misplaced misplaced) {
            return cases.misplaced(misplaced);
        } else if (this instanceof Mirrored mirrored) {
            return cases.mirrored(mirrored);
        } else if (this instanceof Shifted shifted) {
            return cases.shifted(shifted);
        } else if (this instanceof Extra extra) {
            return cases.extra(extra);
        } else if (this instanceof InsulationLow low) {
            return cases.insulationLow(low);
        } else if (this instanceof Withstand withstand) {
            return cases.withstand(withstand);
        } else if (this instanceof ContactSurface surface) {
            return cases.contactSurface(surface);
        } else if (this instanceof Damaged damaged) {
            return cases.damaged(damaged);
        } else if (this instanceof SecondFault second) {
            return cases.secondFault(second);
        } else {
            return cases.partAtFault((PartAtFault) this);
        }
    }

    /** The kind as written in files: {@code open}, {@code frame_short}. */
    default String kind() {
        return fold(FindingWords.KIND);
    }

    /** The kind as a person reads it. */
    default Message word() {
        return wordOf(kind());
    }

    /** The words of a {@link #kind}. */
    static Message wordOf(String kind) {
        return Message.of("finding_kind." + kind);
    }

    /** The finding in one sentence. */
    default Message message() {
        return fold(FindingWords.SENTENCE);
    }
}
