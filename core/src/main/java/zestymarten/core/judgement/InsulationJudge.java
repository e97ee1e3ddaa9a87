package zestymarten.core.judgement;

import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Reason;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.limit.InsulationLimit;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;
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
                    Message.of("insulation_judge.these_two_points_joined"));
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
                            ? Message.of("insulation_judge.not_accepted_expected_current", reading)
                            : Message.of("insulation_judge.not_accepted_expected_resistance", reading));
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
            return against(value.value(), limit, Message.NONE);
        }
        if (reading instanceof MeterReading.Above above) {
            return above.value() >= limit.minimum().value()
                    ? plain(
                            Verdict.PASS,
                            Contact.APART,
                            Reason.INSULATION_ENOUGH,
                            Message.of("insulation_judge.more_than", ohms(above.value()), limit.derivation()))
                    : plain(
                            Verdict.UNDECIDED,
                            Contact.UNKNOWN,
                            Reason.NEXT_RANGE,
                            Message.of("insulation_judge.more_than_does_not", ohms(above.value()), limit.derivation()));
        }
        if (reading instanceof MeterReading.OverRange) {
            return plain(
                    Verdict.PASS,
                    Contact.APART,
                    Reason.INSULATION_ENOUGH,
                    Message.of("insulation_judge.beyond_tester_range_if", limit.derivation()));
        }
        if (reading instanceof MeterReading.Below below) {
            return below.value() <= limit.minimum().value()
                    ? figure(
                            Verdict.FAIL,
                            Reason.INSULATION_LOW,
                            below.value(),
                            Message.of("insulation_judge.less_than", ohms(below.value()), limit.derivation()))
                    : plain(
                            Verdict.UNDECIDED,
                            Contact.UNKNOWN,
                            Reason.NEXT_RANGE,
                            Message.of("insulation_judge.less_than_does_not", ohms(below.value()), limit.derivation()));
        }
        return reading instanceof MeterReading.Unstable
                ? plain(
                        Verdict.FAIL,
                        Contact.UNKNOWN,
                        Reason.BROKE_DOWN,
                        Message.of("insulation_judge.insulation_jumps_breaks_down"))
                : plain(
                        Verdict.DOUBTFUL,
                        Contact.UNKNOWN,
                        Reason.WRONG_QUANTITY,
                        Message.of("insulation_judge.not_accepted_expected_resistance", reading));
    }

    private static Judgement leakage(MeterReading reading, double testV, InsulationLimit limit) {
        if (reading instanceof MeterReading.Value value && value.value() != 0) {
            double ohm = Math.min(Ohms.MAX, testV / Math.abs(value.value()));
            return against(
                    ohm,
                    limit,
                    Message.of(
                            "insulation_judge.leakage",
                            Message.figure(value.value(), "A"),
                            Message.figure(testV, "V")));
        }
        if (reading instanceof MeterReading.Below below
                && testV / below.value() < limit.minimum().value()) {
            return plain(
                    Verdict.UNDECIDED,
                    Contact.UNKNOWN,
                    Reason.NEXT_RANGE,
                    Message.of(
                            "insulation_judge.less_than_does_not_2",
                            Message.figure(below.value(), "A"),
                            Message.figure(testV / limit.minimum().value(), "A"),
                            limit.derivation()));
        }
        boolean none = reading instanceof MeterReading.Value || reading instanceof MeterReading.Below;
        return none
                ? plain(
                        Verdict.PASS,
                        Contact.APART,
                        Reason.WITHSTOOD,
                        Message.of("insulation_judge.no_leakage_if_clips"))
                : plain(
                        Verdict.FAIL,
                        Contact.UNKNOWN,
                        Reason.BROKE_DOWN,
                        Message.of("insulation_judge.tester_tripped_or_jumped"));
    }

    private static Judgement volts(MeterReading reading) {
        if (reading instanceof MeterReading.Value value && value.unit() != MeterReading.Unit.AMPERE) {
            boolean dead = Math.abs(value.value()) <= DEAD_UP_TO_V;
            return plain(
                    dead ? Verdict.PASS : Verdict.DOUBTFUL,
                    Contact.UNKNOWN,
                    dead ? Reason.DEAD : Reason.LIVE,
                    Message.of("insulation_judge.volts", Message.figure(value.value(), "V"), dead));
        }
        return plain(
                Verdict.DOUBTFUL,
                Contact.UNKNOWN,
                Reason.WRONG_QUANTITY,
                Message.of("insulation_judge.not_accepted_expected_voltage", reading));
    }

    private static Judgement against(double ohm, InsulationLimit limit, Message before) {
        boolean enough = ohm >= limit.minimum().value();
        return figure(
                enough ? Verdict.PASS : Verdict.FAIL,
                enough ? Reason.INSULATION_ENOUGH : Reason.INSULATION_LOW,
                ohm,
                Message.sentences(
                        Message.of("insulation_judge.against", before, ohms(ohm), enough), limit.derivation()));
    }

    private static Judgement figure(Verdict verdict, Reason code, double ohm, Message reason) {
        Contact contact = verdict == Verdict.PASS ? Contact.APART : Contact.UNKNOWN;
        return new Judgement(verdict, contact, code, reason, OptionalDouble.of(ohm), OptionalDouble.empty());
    }

    private static Judgement plain(Verdict verdict, Contact contact, Reason code, Message reason) {
        return new Judgement(verdict, contact, code, reason, OptionalDouble.empty(), OptionalDouble.empty());
    }

    private static MessageArgument ohms(double value) {
        return Message.figure(value, "Ω");
    }
}
