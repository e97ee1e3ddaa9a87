package zestymarten.core.judgement;

import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Reason;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.limit.InsulationLimit;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.Ohms;

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
    public static Judgement judge(MeterReading reading, Quantity quantity, double testV, boolean apart) {
        if (reading instanceof MeterReading.Refused refused) {
            return plain(Verdict.DOUBTFUL, Contact.UNKNOWN, Reason.REFUSED, refused.message());
        }
        if (quantity == Quantity.VOLTAGE) {
            return volts(reading);
        }
        if (!apart) {
            return plain(
                    Verdict.DOUBTFUL,
                    Contact.UNKNOWN,
                    Reason.JOINED_BY_DESIGN,
                    "These two points are joined by design: there is no insulation between them to test.");
        }
        return judge(reading, quantity, testV, InsulationLimit.ofTest(testV));
    }

    /** The judgement of a reading of insulation or leakage between two points that should be apart, by a limit. */
    public static Judgement judge(MeterReading reading, Quantity quantity, double testV, InsulationLimit limit) {
        MeterReading.Unit unit = quantity == Quantity.LEAKAGE ? MeterReading.Unit.AMPERE : MeterReading.Unit.OHM;
        Optional<MeterReading.Unit> read = unitOf(reading);
        if (read.isPresent() && read.get() != unit) {
            return plain(
                    Verdict.DOUBTFUL,
                    Contact.UNKNOWN,
                    Reason.WRONG_QUANTITY,
                    quantity == Quantity.LEAKAGE
                            ? "“" + reading.text()
                                    + "” is not accepted; expected a current with its unit, such as 3.4mA, or that it tripped."
                            : "“" + reading.text() + "” is not accepted; expected a resistance, such as 320M or >2G.");
        }
        return quantity == Quantity.LEAKAGE ? leakage(reading, testV, limit) : insulation(reading, limit);
    }

    private static Optional<MeterReading.Unit> unitOf(MeterReading reading) {
        if (reading instanceof MeterReading.Value value) {
            return Optional.of(value.unit());
        } else if (reading instanceof MeterReading.Above above) {
            return Optional.of(above.unit());
        }
        return reading instanceof MeterReading.Below below ? Optional.of(below.unit()) : Optional.empty();
    }

    private static Judgement insulation(MeterReading reading, InsulationLimit limit) {
        if (reading instanceof MeterReading.Value value) {
            return against(value.value(), limit, "");
        }
        if (reading instanceof MeterReading.Above above) {
            return above.value() >= limit.least().value()
                    ? plain(
                            Verdict.PASS,
                            Contact.APART,
                            Reason.INSULATION_ENOUGH,
                            "More than " + ohms(above.value()) + ". " + limit.derivation())
                    : plain(
                            Verdict.UNDECIDED,
                            Contact.UNKNOWN,
                            Reason.NEXT_RANGE,
                            "More than " + ohms(above.value()) + " does not settle it: read on the next range. "
                                    + limit.derivation());
        }
        if (reading instanceof MeterReading.OverRange) {
            return plain(
                    Verdict.PASS,
                    Contact.APART,
                    Reason.INSULATION_ENOUGH,
                    "Beyond the tester's range, if the clips were on: prove the connection. " + limit.derivation());
        }
        if (reading instanceof MeterReading.Below below) {
            return below.value() <= limit.least().value()
                    ? figure(
                            Verdict.FAIL,
                            Reason.INSULATION_LOW,
                            below.value(),
                            "Less than " + ohms(below.value()) + ". " + limit.derivation())
                    : plain(
                            Verdict.UNDECIDED,
                            Contact.UNKNOWN,
                            Reason.NEXT_RANGE,
                            "Less than " + ohms(below.value()) + " does not settle it: read the figure. "
                                    + limit.derivation());
        }
        return reading instanceof MeterReading.Unstable
                ? plain(
                        Verdict.FAIL,
                        Contact.UNKNOWN,
                        Reason.BROKE_DOWN,
                        "The insulation jumps: it breaks down now and then.")
                : plain(
                        Verdict.DOUBTFUL,
                        Contact.UNKNOWN,
                        Reason.WRONG_QUANTITY,
                        "“" + reading.text() + "” is not accepted; expected a resistance, such as 320M or >2G.");
    }

    private static Judgement leakage(MeterReading reading, double testV, InsulationLimit limit) {
        if (reading instanceof MeterReading.Value value && value.value() != 0) {
            double ohm = Math.min(Ohms.MAX, testV / Math.abs(value.value()));
            return against(
                    ohm,
                    limit,
                    EngineeringFormat.text(value.value(), "A") + " at " + EngineeringFormat.text(testV, "V") + ": ");
        }
        if (reading instanceof MeterReading.Below below
                && testV / below.value() < limit.least().value()) {
            return plain(
                    Verdict.UNDECIDED,
                    Contact.UNKNOWN,
                    Reason.NEXT_RANGE,
                    "Less than " + EngineeringFormat.text(below.value(), "A") + " does not settle a limit of "
                            + EngineeringFormat.text(testV / limit.least().value(), "A") + ": read the figure. "
                            + limit.derivation());
        }
        boolean none = reading instanceof MeterReading.Value || reading instanceof MeterReading.Below;
        return none
                ? plain(
                        Verdict.PASS,
                        Contact.APART,
                        Reason.WITHSTOOD,
                        "No leakage, if the clips were on: prove the connection by the charging current.")
                : plain(
                        Verdict.FAIL,
                        Contact.UNKNOWN,
                        Reason.BROKE_DOWN,
                        "The tester tripped or jumped: the insulation broke down.");
    }

    private static Judgement volts(MeterReading reading) {
        if (reading instanceof MeterReading.Value value && value.unit() != MeterReading.Unit.AMPERE) {
            boolean dead = Math.abs(value.value()) <= DEAD_UP_TO_V;
            return plain(
                    dead ? Verdict.PASS : Verdict.DOUBTFUL,
                    Contact.UNKNOWN,
                    dead ? Reason.DEAD : Reason.LIVE,
                    EngineeringFormat.text(value.value(), "V")
                            + (dead ? ": dead." : " is still there. Discharge it, and do not touch."));
        }
        return plain(
                Verdict.DOUBTFUL,
                Contact.UNKNOWN,
                Reason.WRONG_QUANTITY,
                "“" + reading.text() + "” is not accepted; expected a voltage, such as 0.2 or -48 V.");
    }

    private static Judgement against(double ohm, InsulationLimit limit, String before) {
        boolean enough = ohm >= limit.least().value();
        return figure(
                enough ? Verdict.PASS : Verdict.FAIL,
                enough ? Reason.INSULATION_ENOUGH : Reason.INSULATION_LOW,
                ohm,
                before + ohms(ohm) + (enough ? " is enough. " : " is too little. ") + limit.derivation());
    }

    private static Judgement figure(Verdict verdict, Reason code, double ohm, String reason) {
        Contact contact = verdict == Verdict.PASS ? Contact.APART : Contact.UNKNOWN;
        return new Judgement(verdict, contact, code, reason, OptionalDouble.of(ohm), OptionalDouble.empty());
    }

    private static Judgement plain(Verdict verdict, Contact contact, Reason code, String reason) {
        return new Judgement(verdict, contact, code, reason, OptionalDouble.empty(), OptionalDouble.empty());
    }

    private static String ohms(double value) {
        return EngineeringFormat.text(value, "Ω");
    }
}
