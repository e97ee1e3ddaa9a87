package zestymarten.core.judgement;

import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Reason;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.quantity.Message;

/**
 * What a reading on an ohm range says where a diode lies beside or on the way.
 *
 * <p>Rules: a diode that conducts can only lower what is read. So no path where one is expected without the diode is open
 * either way; a figure within the limits is shown by what lies beside the diode; a low resistance is less than any diode on an
 * ohm range reads. All else proves nothing either way: the forward voltage has to be read. Cost: constant.
 */
public final class DiodeRule {
    /** No diode on an ohm range reads less: some 0.2 V at the few milliamperes that a meter drives. */
    private static final double NO_DIODE_BELOW_OHM = 10;

    private DiodeRule() {}

    /**
     * The judgement of a reading, beside a diode.
     *
     * @param plain as it would be judged without the diode
     * @param expectation what a good unit shows with the diode blocking
     */
    public static Judgement applied(Judgement plain, Expectation expectation) {
        boolean tells = plain.correctedOhm().orElse(Double.MAX_VALUE) < NO_DIODE_BELOW_OHM;
        boolean decided = expectation.fold(joined -> isDecided(plain, joined), () -> isBlocked(plain));
        return decided || tells || plain.verdict() == Verdict.DOUBTFUL
                ? plain
                : plain.as(
                        Verdict.UNDECIDED,
                        Contact.UNKNOWN,
                        Reason.DIODE,
                        Message.of("diode_rule.diode_lies_between_ohm"));
    }

    private static boolean isDecided(Judgement plain, Expectation.Joined joined) {
        if (plain.contact() == Contact.APART) {
            return true;
        }
        double ohm = plain.correctedOhm().orElse(0);
        return ohm >= joined.limit().low().value() && ohm > 0;
    }

    private static boolean isBlocked(Judgement plain) {
        return plain.contact() == Contact.APART && plain.correctedOhm().isEmpty();
    }
}
