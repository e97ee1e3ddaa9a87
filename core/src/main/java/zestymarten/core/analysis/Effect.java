package zestymarten.core.analysis;

import java.util.List;
import zestymarten.core.finding.Finding;

/** What a fault does to the network of a unit. A closed family: each is put into the network by {@link Variation}. */
sealed interface Effect {
    /** An edge is gone. */
    record CutElement(Element element) implements Effect {}

    /** Ends sit in other cavities than their own. */
    record Rewired(List<Finding.Move> moves) implements Effect {
        public Rewired {
            moves = List.copyOf(moves);
        }
    }

    /** A contact stays closed, or stays open, whatever the state. */
    record Stuck(Element element, boolean closed) implements Effect {}

    /** An edge has another resistance than it may have. */
    record AlteredElement(Element element, Side side) implements Effect {
        /** On which side of its bounds. */
        enum Side {
            ABOVE,
            BELOW,
            ANY
        }
    }

    /** Pieces that should be apart are joined at some place along each. */
    record Bridged(List<Finding.Piece> pieces) implements Effect {
        public Bridged {
            pieces = List.copyOf(pieces);
        }
    }

    /** Two pieces that should be apart have a finite resistance that is no joint. */
    record Leaking(Finding.Piece one, Finding.Piece other) implements Effect {}

    /** A conductor that is whole at one measurement and open at another. */
    record Jumping(Element element) implements Effect {}
}
