package zestymarten.core.judge;

import java.util.OptionalDouble;
import zestymarten.core.judge.Judgement.Contact;
import zestymarten.core.judge.Judgement.Verdict;
import zestymarten.core.limit.InsulationLimit;
import zestymarten.core.quantity.Engineering;
import zestymarten.core.quantity.Ohms;
import zestymarten.core.quantity.Understood;

/**
 * Judges readings of insulation testers and the proof of no voltage.
 *
 * <p>Rules: insulation fails below the least for its test voltage; a reading beyond the tester's range, or {@code >} so
 * much, passes if that much is enough. A leakage current is judged by the resistance that it means, {@code R = U / I}; where
 * the tester tripped or jumped, the insulation has not withstood. Volts pass up to {@value #DEAD_UP_TO_V}. Between points
 * that are joined by design an insulation reading says nothing. Cost: constant.
 */
public final class InsulationJudge {
    private static final double DEAD_UP_TO_V = 1;

    private InsulationJudge() {}

    /**
     * The judgement of a reading.
     *
     * @param testV test voltage in volts, for insulation and leakage
     * @param apart whether the two terminals should be apart
     */
    public static Judgement judge(Understood reading, Quantity quantity, double testV, boolean apart) {
        if (reading instanceof Understood.Refused refused) {
            return plain(Verdict.DOUBTFUL, Contact.UNKNOWN, refused.message());
        }
        if (quantity == Quantity.VOLTAGE) {
            return volts(reading);
        }
        if (!apart) {
            return plain(
                    Verdict.DOUBTFUL,
                    Contact.UNKNOWN,
                    "These two points are joined by design: there is no insulation between them to test.");
        }
        return judge(reading, quantity, testV, InsulationLimit.ofTest(testV));
    }

    /** The judgement of a reading of insulation or leakage between two points that should be apart, by a limit. */
    public static Judgement judge(Understood reading, Quantity quantity, double testV, InsulationLimit limit) {
        return quantity == Quantity.LEAKAGE ? leakage(reading, testV, limit) : insulation(reading, limit);
    }

    private static Judgement insulation(Understood reading, InsulationLimit limit) {
        if (reading instanceof Understood.Value value) {
            return against(value.value(), limit, "");
        }
        if (reading instanceof Understood.Above above) {
            return above.value() >= limit.least().value()
                    ? plain(Verdict.PASS, Contact.APART, "More than " + ohms(above.value()) + ". " + limit.derivation())
                    : plain(
                            Verdict.UNDECIDED,
                            Contact.UNKNOWN,
                            "More than " + ohms(above.value()) + " does not settle it: read on the next range. "
                                    + limit.derivation());
        }
        if (reading instanceof Understood.OverRange) {
            return plain(
                    Verdict.PASS,
                    Contact.APART,
                    "Beyond the tester's range, if the clips were on: prove the connection. " + limit.derivation());
        }
        if (reading instanceof Understood.Below below
                && below.value() <= limit.least().value()) {
            return figure(Verdict.FAIL, below.value(), "Less than " + ohms(below.value()) + ". " + limit.derivation());
        }
        return reading instanceof Understood.Unstable
                ? plain(Verdict.FAIL, Contact.UNKNOWN, "The insulation jumps: it breaks down now and then.")
                : plain(Verdict.DOUBTFUL, Contact.UNKNOWN, "Read '" + reading.text() + "'; expected ohms.");
    }

    private static Judgement leakage(Understood reading, double testV, InsulationLimit limit) {
        if (reading instanceof Understood.Value value && value.value() > 0) {
            double ohm = Math.min(Ohms.MAX, testV / value.value());
            return against(
                    ohm, limit, Engineering.text(value.value(), "A") + " at " + Engineering.text(testV, "V") + ": ");
        }
        boolean none = reading instanceof Understood.Value || reading instanceof Understood.Below;
        return none
                ? plain(
                        Verdict.PASS,
                        Contact.APART,
                        "No leakage, if the clips were on: prove the connection by the charging current.")
                : plain(Verdict.FAIL, Contact.UNKNOWN, "The tester tripped or jumped: the insulation broke down.");
    }

    private static Judgement volts(Understood reading) {
        if (reading instanceof Understood.Value value) {
            boolean dead = value.value() <= DEAD_UP_TO_V;
            return plain(
                    dead ? Verdict.PASS : Verdict.DOUBTFUL,
                    Contact.UNKNOWN,
                    Engineering.text(value.value(), "V")
                            + (dead ? ": dead." : " is still there. Discharge it, and do not touch."));
        }
        return plain(Verdict.DOUBTFUL, Contact.UNKNOWN, "Read '" + reading.text() + "'; expected volts.");
    }

    private static Judgement against(double ohm, InsulationLimit limit, String before) {
        boolean enough = ohm >= limit.least().value();
        return figure(
                enough ? Verdict.PASS : Verdict.FAIL,
                ohm,
                before + ohms(ohm) + (enough ? " is enough. " : " is too little. ") + limit.derivation());
    }

    private static Judgement figure(Verdict verdict, double ohm, String reason) {
        Contact contact = verdict == Verdict.PASS ? Contact.APART : Contact.UNKNOWN;
        return new Judgement(verdict, contact, reason, OptionalDouble.of(ohm), OptionalDouble.empty());
    }

    private static Judgement plain(Verdict verdict, Contact contact, String reason) {
        return new Judgement(verdict, contact, reason, OptionalDouble.empty(), OptionalDouble.empty());
    }

    private static String ohms(double value) {
        return Engineering.text(value, "Ω");
    }
}
