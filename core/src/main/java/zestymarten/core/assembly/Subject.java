package zestymarten.core.assembly;

import java.util.Arrays;
import java.util.Locale;
import zestymarten.core.quantity.Message;

/**
 * What of a unit a manual step or a finding concerns. Equality is that of kind and reference.
 *
 * <p>It is stored and sent as its {@link #code}, which is no sentence: a name by itself, anything else as its kind behind an
 * {@code @}, with what it refers to. Its {@link #words} are for people.
 */
public sealed interface Subject {
    /** As it is stored and sent; {@link #of} reads it back. */
    String code();

    /** What a person is to read. */
    Message words();

    /** Whether there is nothing to name. */
    default boolean isNothing() {
        return code().isEmpty();
    }

    /** A connector, conductor, part, zone, function, state or position by its name, or what a person called it. */
    record Named(String name) implements Subject {
        @Override
        public String code() {
            return name;
        }

        @Override
        public Message words() {
            return Message.verbatim(name);
        }
    }

    /** One of those that a test has but once. */
    enum Sole implements Subject {
        /** The links that join all far ends. */
        FAR_END_LINKS,
        /** The machine's moving part, back where it usually is. */
        MOVING_PART,
        /** The other end of the assembly, where somebody has to go for it. */
        FAR_END,
        /** The trip to the other end. */
        THERE,
        /** The trip back. */
        BACK,
        /** The scanner, with the resistance of its path to every point known. */
        SCANNER;

        @Override
        public String code() {
            return "@" + name().toLowerCase(Locale.ROOT);
        }

        @Override
        public Message words() {
            return Message.of(this);
        }
    }

    /** What a connector was plugged into, where that is no part of the assembly. */
    record MateOf(String connector) implements Subject {
        static final String KIND = "@mate ";

        @Override
        public String code() {
            return KIND + connector;
        }

        @Override
        public Message words() {
            return Message.of("subject.mate", connector);
        }
    }

    /** What was opened, pierced or cut to reach a connector, by the harm that it did. */
    record WayTo(String connector, Access.Harm harm) implements Subject {
        static final String COVER = "@cover ";
        static final String PIERCED = "@pierced ";
        static final String CUT = "@cut ";

        public WayTo {
            harm = harm == Access.Harm.NONE ? Access.Harm.OPEN : harm;
        }

        @Override
        public String code() {
            return kind() + connector;
        }

        private String kind() {
            return switch (harm) {
                case NONE, OPEN -> COVER;
                case PIERCE -> PIERCED;
                case CUT -> CUT;
            };
        }

        @Override
        public Message words() {
            return switch (harm) {
                case NONE, OPEN -> Message.of("subject.cover", connector);
                case PIERCE -> Message.of("subject.pierced", connector);
                case CUT -> Message.of("subject.cut", connector);
            };
        }
    }

    /** What is in the place of a part for a trial. */
    record StandInFor(String part) implements Subject {
        static final String KIND = "@stand_in ";

        @Override
        public String code() {
            return KIND + part;
        }

        @Override
        public Message words() {
            return Message.of("subject.stand_in", part);
        }
    }

    /** What is left of a broken conductor, as read from one of its ends. */
    record LengthOf(String conductor, Terminal end) implements Subject {
        static final String KIND = "@length ";

        @Override
        public String code() {
            return KIND + conductor + " " + end;
        }

        @Override
        public Message words() {
            return Message.of("subject.length", conductor, end);
        }
    }

    /** The subject where there is only one of its kind. */
    static Subject nothing() {
        return new Named("");
    }

    /** The subject of a code; what is none of the kinds is a name. */
    static Subject of(String code) {
        if (!code.startsWith("@")) {
            return new Named(code); // most are names, and every reading asks for some
        }
        int space = code.indexOf(' ');
        String kind = code.substring(0, space + 1);
        String reference = code.substring(space + 1);
        return switch (kind) {
            case MateOf.KIND -> new MateOf(reference);
            case WayTo.COVER -> new WayTo(reference, Access.Harm.OPEN);
            case WayTo.PIERCED -> new WayTo(reference, Access.Harm.PIERCE);
            case WayTo.CUT -> new WayTo(reference, Access.Harm.CUT);
            case StandInFor.KIND -> new StandInFor(reference);
            case LengthOf.KIND -> length(code, reference);
            default -> sole(code);
        };
    }

    private static Subject length(String code, String reference) {
        int space = reference.lastIndexOf(' ');
        String end = reference.substring(space + 1);
        return space < 1 || !Terminal.isName(end)
                ? new Named(code)
                : new LengthOf(reference.substring(0, space), Terminal.of(end));
    }

    private static Subject sole(String code) {
        return Arrays.stream(Sole.values())
                .filter(each -> each.code().equals(code))
                .findFirst()
                .<Subject>map(each -> each)
                .orElseGet(() -> new Named(code));
    }
}
