package zestymarten.core.finding;

import java.util.List;
import java.util.stream.IntStream;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.Message;

/** Findings in words: their kinds as written in files, and their sentences. */
final class FindingWords {
    static final Finding.FindingCases<String> KIND = new Kinds();
    static final Finding.FindingCases<Message> SENTENCE = new Sentences();

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

    private static final class Sentences implements Finding.FindingCases<Message> {
        @Override
        public Message open(Finding.Open open) {
            return Message.of("finding.open", open.conductor(), open.from(), open.to());
        }

        @Override
        public Message highResistance(Finding.HighResistance high) {
            return Message.of(
                    "finding.high_resistance",
                    high.conductors(),
                    high.conductors().size(),
                    high.ohm(),
                    high.from(),
                    high.to(),
                    high.limit());
        }

        @Override
        public Message lowResistance(Finding.LowResistance low) {
            return Message.of(
                    "finding.low_resistance",
                    low.conductors(),
                    low.conductors().size(),
                    low.ohm(),
                    low.from(),
                    low.to(),
                    low.limit());
        }

        @Override
        public Message intermittent(Finding.Intermittent intermittent) {
            return Message.of(
                    "finding.intermittent",
                    intermittent.conductors(),
                    intermittent.conductors().size(),
                    intermittent.from(),
                    intermittent.to());
        }

        @Override
        public Message leak(Finding.Leak leak) {
            return Message.of("finding.leak", leak.from(), leak.to(), leak.ohm());
        }

        @Override
        public Message shorted(Finding.Shorted shorted) {
            return Message.of("finding.short", names(shorted.pieces()));
        }

        @Override
        public Message frameShort(Finding.FrameShort frameShort) {
            return Message.of(
                    "finding.frame_short",
                    beginning(frameShort.pieces()),
                    frameShort.pieces().size());
        }

        @Override
        public Message crossed(Finding.Crossed crossed) {
            List<Message> where = crossed.moves().stream()
                    .map(move -> Message.of("finding.goes", move.conductor(), move.cavity()))
                    .toList();
            return Message.of("finding.crossed", crossed.conductors(), where);
        }

        @Override
        public Message misplaced(Finding.Misplaced misplaced) {
            Finding.Move move = misplaced.move();
            return Message.of("finding.misplaced", move.conductor(), move.cavity(), move.designed());
        }

        @Override
        public Message mirrored(Finding.Mirrored mirrored) {
            return Message.of("finding.mirrored", mirrored.terminals().get(0).connector(), mirrored.conductors());
        }

        @Override
        public Message shifted(Finding.Shifted shifted) {
            return Message.of(
                    "finding.shifted",
                    shifted.terminals().get(0).connector(),
                    Math.abs(shifted.by()),
                    shifted.by() > 0,
                    shifted.conductors());
        }

        @Override
        public Message partAtFault(Finding.PartAtFault part) {
            return Message.of(
                    "finding.part",
                    part.component(),
                    part.fault().words(),
                    part.a(),
                    part.b(),
                    part.ohm().map(ohm -> Message.of("finding.reads", ohm)),
                    part.limit().map(limit -> Message.of("finding.expected", limit.low(), limit.high())));
        }

        @Override
        public Message extra(Finding.Extra extra) {
            return Message.of("finding.extra", names(extra.pieces()));
        }

        @Override
        public Message insulationLow(Finding.InsulationLow low) {
            return Message.of(
                    "finding.insulation_low",
                    low.ohm(),
                    tested(low.conductors(), low.from(), low.to()),
                    low.to(),
                    Message.figure(low.testV(), "V"),
                    low.limit());
        }

        @Override
        public Message withstand(Finding.Withstand withstand) {
            return Message.of(
                    "finding.withstand",
                    Message.figure(withstand.testV(), "V"),
                    tested(withstand.conductors(), withstand.from(), withstand.to()),
                    withstand.to(),
                    withstand.reason());
        }

        @Override
        public Message contactSurface(Finding.ContactSurface surface) {
            return Message.of("finding.contact_surface", surface.from(), surface.to());
        }

        @Override
        public Message damaged(Finding.Damaged damaged) {
            return Message.of("finding.damaged", damaged.place().words(), damaged.defect());
        }

        @Override
        public Message secondFault(Finding.SecondFault second) {
            return Message.of("finding.second_fault", second.conductor(), second.broken(), second.from());
        }

        /** One terminal, or the wires that were tested together against the frame. */
        private static Message tested(List<String> wires, Terminal from, Terminal to) {
            return wires.size() > 1 && to.isFrame()
                    ? Message.of("finding.together", wires)
                    : Message.verbatim(from.name());
        }
    }

    /** The pieces of a group, the first as a sentence begins with it. */
    private static List<Message> beginning(List<Finding.Piece> pieces) {
        return IntStream.range(0, pieces.size())
                .mapToObj(i -> name(pieces.get(i), i == 0))
                .toList();
    }

    private static List<Message> names(List<Finding.Piece> pieces) {
        return pieces.stream().map(each -> name(each, false)).toList();
    }

    private static Message name(Finding.Piece piece, boolean first) {
        Terminal at = piece.terminal();
        return switch (piece.form()) {
            case WIRES -> Message.of("finding.wires", piece.conductors());
            case STUB -> Message.of("finding.side", first, at.isPin() ? at.connector() : at.name(), piece.conductors());
            case CAVITY -> Message.of("finding.empty_cavity", first, at);
            case PIN -> Message.verbatim(at.name());
            case FRAME -> Message.of("finding.frame", first);
        };
    }
}
