package zestymarten.core.finding;

import java.util.List;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.EngineeringFormat;

/** Findings in words: their kinds as written in files, and their sentences. */
final class FindingWords {
    static final Finding.FindingCases<String> KIND = new Kinds();
    static final Finding.FindingCases<String> SENTENCE = new Sentences();

    private FindingWords() {}

    private static final class Kinds implements Finding.FindingCases<String> {
        @Override
        public String open(Finding.Open open) {
            return "open";
        }

        @Override
        public String highResistance(Finding.HighResistance high) {
            return "high_resistance";
        }

        @Override
        public String lowResistance(Finding.LowResistance low) {
            return "low_resistance";
        }

        @Override
        public String intermittent(Finding.Intermittent intermittent) {
            return "intermittent";
        }

        @Override
        public String leak(Finding.Leak leak) {
            return "leak";
        }

        @Override
        public String shorted(Finding.Shorted shorted) {
            return "short";
        }

        @Override
        public String frameShort(Finding.FrameShort frameShort) {
            return "frame_short";
        }

        @Override
        public String crossed(Finding.Crossed crossed) {
            return "crossed";
        }

        @Override
        public String misplaced(Finding.Misplaced misplaced) {
            return "misplaced";
        }

        @Override
        public String mirrored(Finding.Mirrored mirrored) {
            return "mirrored";
        }

        @Override
        public String shifted(Finding.Shifted shifted) {
            return "shifted";
        }

        @Override
        public String partAtFault(Finding.PartAtFault part) {
            return part.fault().code();
        }

        @Override
        public String extra(Finding.Extra extra) {
            return "extra";
        }

        @Override
        public String insulationLow(Finding.InsulationLow low) {
            return "insulation_low";
        }

        @Override
        public String withstand(Finding.Withstand withstand) {
            return "withstand";
        }

        @Override
        public String contactSurface(Finding.ContactSurface surface) {
            return "contact_surface";
        }

        @Override
        public String damaged(Finding.Damaged damaged) {
            return "damaged";
        }

        @Override
        public String secondFault(Finding.SecondFault second) {
            return second.broken() ? "open" : "high_resistance";
        }
    }

    private static final class Sentences implements Finding.FindingCases<String> {
        @Override
        public String open(Finding.Open open) {
            return open.conductor() + " is open between " + open.from() + " and " + open.to() + ".";
        }

        @Override
        public String highResistance(Finding.HighResistance high) {
            return and(high.conductors()) + (high.conductors().size() == 1 ? " has" : " have together")
                    + " a high resistance: "
                    + high.ohm().text() + " from " + high.from() + " to " + high.to() + ", limit "
                    + high.limit().text() + ".";
        }

        @Override
        public String lowResistance(Finding.LowResistance low) {
            return and(low.conductors()) + (low.conductors().size() == 1 ? " has" : " have together")
                    + " a low resistance: "
                    + low.ohm().text() + " from " + low.from() + " to " + low.to() + ", minimum "
                    + low.limit().text() + ".";
        }

        @Override
        public String intermittent(Finding.Intermittent intermittent) {
            return and(intermittent.conductors()) + (intermittent.conductors().size() == 1 ? " is" : " are")
                    + " intermittent between " + intermittent.from() + " and " + intermittent.to()
                    + ": the conductor may be broken with its ends still touching.";
        }

        @Override
        public String leak(Finding.Leak leak) {
            return "Leakage between " + leak.from() + " and " + leak.to() + ": "
                    + leak.ohm().text() + ". It is not a short circuit; measure it with an insulation tester.";
        }

        @Override
        public String shorted(Finding.Shorted shorted) {
            return "Short circuit between " + and(names(shorted.pieces())) + ".";
        }

        @Override
        public String frameShort(Finding.FrameShort frameShort) {
            String are = frameShort.pieces().size() == 1 ? " is" : " are";
            return capital(and(names(frameShort.pieces()))) + are + " shorted to the frame.";
        }

        @Override
        public String crossed(Finding.Crossed crossed) {
            List<String> where = crossed.moves().stream()
                    .map(move -> move.conductor() + " goes to " + move.cavity())
                    .toList();
            return and(crossed.conductors()) + " are crossed: " + and(where) + ".";
        }

        @Override
        public String misplaced(Finding.Misplaced misplaced) {
            Finding.Move move = misplaced.move();
            return move.conductor() + " is in the wrong cavity: " + move.cavity() + " instead of " + move.designed()
                    + ".";
        }

        @Override
        public String mirrored(Finding.Mirrored mirrored) {
            return mirrored.terminals().get(0).connector() + " is mirrored: its positions are reversed for "
                    + and(mirrored.conductors()) + ".";
        }

        @Override
        public String shifted(Finding.Shifted shifted) {
            int by = Math.abs(shifted.by());
            return shifted.terminals().get(0).connector() + " is shifted by " + by + (by == 1 ? " cavity" : " cavities")
                    + (shifted.by() > 0 ? " towards its end: " : " towards its beginning: ")
                    + and(shifted.conductors()) + ".";
        }

        @Override
        public String partAtFault(Finding.PartAtFault part) {
            String figures = part.ohm().map(ohm -> ": " + ohm.text()).orElse("")
                    + part.limit()
                            .map(limit -> ", expected " + limit.low().text() + " to "
                                    + limit.high().text())
                            .orElse("");
            return part.component() + " " + part.fault().words() + " between " + part.a() + " and " + part.b() + figures
                    + ".";
        }

        @Override
        public String extra(Finding.Extra extra) {
            return "An extra connection joins " + and(names(extra.pieces())) + ", where the assembly has no wire.";
        }

        @Override
        public String insulationLow(Finding.InsulationLow low) {
            return "Low insulation resistance: " + low.ohm().text() + " between "
                    + tested(low.conductors(), low.from(), low.to())
                    + " and " + low.to() + " at "
                    + EngineeringFormat.text(low.testV(), "V") + ", minimum "
                    + low.limit().text() + ".";
        }

        @Override
        public String withstand(Finding.Withstand withstand) {
            return "Insulation does not withstand " + EngineeringFormat.text(withstand.testV(), "V") + " between "
                    + tested(withstand.conductors(), withstand.from(), withstand.to()) + " and " + withstand.to() + ". "
                    + withstand.reason();
        }

        @Override
        public String contactSurface(Finding.ContactSurface surface) {
            return "A contact surface between " + surface.from() + " and " + surface.to()
                    + " read open as found and is good on clean metal: dirt, oxide or paint, and it will come back.";
        }

        @Override
        public String damaged(Finding.Damaged damaged) {
            return damaged.place() + " is damaged: " + damaged.defect().word() + ". Repair it and inspect it again.";
        }

        @Override
        public String secondFault(Finding.SecondFault second) {
            return second.conductor() + (second.broken() ? " is open a second time" : " has a second high resistance")
                    + " between " + second.from() + " and the break that is seen.";
        }

        /** One terminal, or the wires that were tested together against the frame. */
        private static String tested(List<String> wires, Terminal from, Terminal to) {
            return wires.size() > 1 && to.isFrame() ? and(wires) + " together" : from.name();
        }
    }

    private static List<String> names(List<Finding.Piece> pieces) {
        return pieces.stream().map(FindingWords::name).toList();
    }

    private static String name(Finding.Piece piece) {
        Terminal at = piece.terminal();
        return switch (piece.form()) {
            case WIRES -> and(piece.conductors());
            case STUB -> "the " + (at.isPin() ? at.connector() : at.name()) + " side of " + and(piece.conductors());
            case CAVITY -> "the empty cavity " + at;
            case PIN -> at.name();
            case FRAME -> "the frame";
        };
    }

    /** {@code W1, W2 and W3}. */
    static String and(List<String> names) {
        int last = names.size() - 1;
        return last <= 0
                ? String.join("", names)
                : String.join(", ", names.subList(0, last)) + " and " + names.get(last);
    }

    private static String capital(String text) {
        return text.isEmpty() ? text : Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }
}
