package zestymarten.core.judgement;

import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Reason;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;

/**
 * Judges a diode by what the meter's diode range shows, both ways.
 *
 * <p>Rules: one way it conducts, with a forward voltage from {@value #MIN_V} V (Schottky) to {@value #MAX_V} V (silicon),
 * or within {@value #SPREAD} of the forward voltage that is declared; the other way the meter shows over-range. A bare
 * figure is volts. Cost: constant.
 */
public final class DiodeJudge {
    /** What a Schottky diode has at the milliampere that a meter drives. */
    public static final double MIN_V = 0.15;

    /** What a silicon diode has at most. */
    public static final double MAX_V = 0.9;

    private static final double SPREAD = 0.3;

    /** No meter drives a diode with more. */
    private static final double NO_METER_V = 10;

    private final double minimum;
    private final double maximum;

    private DiodeJudge(double minimum, double maximum) {
        this.minimum = minimum;
        this.maximum = maximum;
    }

    /** Any diode of silicon, or Schottky. */
    public static DiodeJudge usual() {
        return new DiodeJudge(MIN_V, MAX_V);
    }

    /**
     * A diode by its forward voltage.
     *
     * @param forwardV in volts, above 0; empty where it is not declared
     */
    public static DiodeJudge of(OptionalDouble forwardV) {
        return forwardV.isPresent()
                ? new DiodeJudge(forwardV.getAsDouble() * (1 - SPREAD), forwardV.getAsDouble() * (1 + SPREAD))
                : usual();
    }

    /** The least forward voltage of a good one, in volts. */
    public double minimum() {
        return minimum;
    }

    /** The highest forward voltage of a good one, in volts. */
    public double maximum() {
        return maximum;
    }

    /** What a reading means on the diode range, where a bare figure is volts. */
    public static MeterReading understood(MeterReading plain) {
        boolean bare = plain instanceof MeterReading.Value value
                && value.unit() == MeterReading.Unit.OHM
                && value.value() <= NO_METER_V;
        if (bare) {
            return new MeterReading.Value(((MeterReading.Value) plain).value(), MeterReading.Unit.VOLT);
        }
        boolean volts = plain instanceof MeterReading.Value value
                && value.unit() == MeterReading.Unit.VOLT
                && Math.abs(value.value()) <= NO_METER_V;
        boolean other = plain instanceof MeterReading.OverRange
                || plain instanceof MeterReading.Above
                || plain instanceof MeterReading.Unstable
                || plain instanceof MeterReading.Ambiguous
                || plain instanceof MeterReading.Refused;
        return volts || other
                ? plain
                : new MeterReading.Refused(Message.of("diode_judge.not_accepted_expected_volts", plain));
    }

    /**
     * The judgement of a reading.
     *
     * @param forwards whether the red probe is on the end from which the diode conducts
     */
    public Judgement judge(MeterReading reading, boolean forwards) {
        MeterReading understood = understood(reading);
        if (understood instanceof MeterReading.OverRange || understood instanceof MeterReading.Above) {
            return forwards
                    ? judgement(
                            Verdict.FAIL,
                            Contact.APART,
                            Reason.OPEN,
                            Message.of("diode_judge.does_not_conduct", band()))
                    : judgement(Verdict.PASS, Contact.APART, Reason.APART, Message.of("diode_judge.blocks"));
        }
        if (understood instanceof MeterReading.Unstable) {
            return judgement(Verdict.FAIL, Contact.UNSTABLE, Reason.UNSTABLE, Message.of("diode_judge.jumps"));
        }
        if (!(understood instanceof MeterReading.Value value)) {
            return judgement(
                    Verdict.DOUBTFUL,
                    Contact.UNKNOWN,
                    Reason.WRONG_QUANTITY,
                    Message.of("diode_judge.not_accepted_expected_volts", reading));
        }
        double volts = value.value();
        Message figure = Message.of("diode_judge.reads", Message.figure(volts, "V"));
        if (volts < MIN_V) {
            return judgement(
                    Verdict.FAIL,
                    Contact.BRIDGED,
                    Reason.BELOW_MINIMUM,
                    Message.sentences(figure, Message.of("diode_judge.conducts_like_wire")));
        }
        if (!forwards) {
            return judgement(
                    Verdict.FAIL,
                    Contact.BRIDGED,
                    Reason.JOINED,
                    Message.sentences(figure, Message.of("diode_judge.should_block")));
        }
        boolean good = volts >= minimum && volts <= maximum;
        return judgement(
                good ? Verdict.PASS : Verdict.FAIL,
                Contact.BRIDGED,
                good ? Reason.WITHIN_LIMIT : volts < minimum ? Reason.BELOW_MINIMUM : Reason.ABOVE_LIMIT,
                Message.sentences(figure, band()));
    }

    private Message band() {
        return Message.of("diode_judge.expected", Message.figure(minimum, "V"), Message.figure(maximum, "V"));
    }

    private static Judgement judgement(Verdict verdict, Contact contact, Reason code, Message reason) {
        return new Judgement(verdict, contact, code, reason, OptionalDouble.empty(), OptionalDouble.empty());
    }

    /** What a diode that was read both ways turns out to be. */
    public enum DiodeCondition {
        GOOD,
        OPEN,
        /** It conducts both ways like a wire. */
        SHORTED,
        /** It conducts where it should block. */
        REVERSED,
        /** Something else lies beside it, or it is another part. */
        ODD
    }

    /** What one reading shows by itself, as far as it tells: of the other one nothing is known. */
    public static Optional<DiodeCondition> alone(Judgement one, boolean forwards) {
        if (one.verdict() != Verdict.FAIL) {
            return Optional.empty();
        }
        return Optional.of(
                one.code() == Reason.OPEN
                        ? DiodeCondition.OPEN
                        : one.code() == Reason.BELOW_MINIMUM && !forwards
                                ? DiodeCondition.SHORTED
                                : DiodeCondition.ODD);
    }

    /** What two readings show together. */
    public static DiodeCondition both(Judgement forward, Judgement backward) {
        boolean conducts = forward.verdict() == Verdict.PASS;
        boolean blocks = backward.contact() == Contact.APART;
        if (conducts && blocks) {
            return DiodeCondition.GOOD;
        }
        if (forward.contact() == Contact.APART) {
            return blocks
                    ? DiodeCondition.OPEN
                    : backward.code() == Reason.JOINED ? DiodeCondition.REVERSED : DiodeCondition.ODD;
        }
        boolean like = forward.code() == Reason.BELOW_MINIMUM && backward.code() == Reason.BELOW_MINIMUM;
        return like ? DiodeCondition.SHORTED : DiodeCondition.ODD;
    }
}
