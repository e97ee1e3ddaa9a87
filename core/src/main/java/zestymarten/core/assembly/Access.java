package zestymarten.core.assembly;

import java.util.Locale;
import java.util.Optional;
import zestymarten.core.quantity.NotAccepted;

/**
 * What it takes to put a probe on the terminals of a connector.
 *
 * @param place where a technician stands for it; empty if that is not known
 * @param probing from which side it may be probed; empty if nothing is said
 * @param matesWith the connector that plugs into it, through which a reading passes the mating faces
 * @param minutes paid once to reach it, from 0 to a day
 * @param harm what reaching it may damage
 */
public record Access(String place, Optional<Probing> probing, Optional<String> matesWith, double minutes, Harm harm) {
    /** Nothing is said of it: at hand, harmless. */
    public static final Access AT_HAND = new Access("", Optional.empty(), Optional.empty(), 0, Harm.NONE);

    private static final double DAY = 24 * 60;

    /** From where a contact may be probed. */
    public enum Probing {
        /** The wire side only: a probe in the front spreads the contact. */
        BACK,
        /** The mating side is allowed. */
        FRONT,
        /** A screw terminal. */
        SCREW;

        /** As written in files. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** What reaching a terminal does to the wiring. */
    public enum Harm {
        NONE,
        PIERCE,
        OPEN,
        CUT;

        /** As written in files. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** Whether it takes time or may do harm, so that it needs consent. */
    public boolean isPriced() {
        return minutes > 0 || harm != Harm.NONE;
    }

    public Access {
        if (!(minutes >= 0 && minutes <= DAY)) {
            throw new NotAccepted("access.access_takes_minutes", (int) DAY, minutes);
        }
    }
}
