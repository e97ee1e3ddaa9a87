package zestymarten.core.insulation;

import java.util.OptionalDouble;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Reason;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.limit.WithstandRule;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;
import zestymarten.core.quantity.MeterReading;

/**
 * Judges the current that a withstand tester shows at the end of its time.
 *
 * <p>Rules: a trip or a jump is a breakdown. Under an alternating voltage the wire's own charging current
 * {@code Ic = 2 pi f C U} is no leakage: both add in quadrature, {@code I² = Ic² + Ir²}. Less than half of the predicted Ic
 * means that a clip is off. The predicted Ic is taken to be sure to a tenth: what that leaves open is undecided. Cost: constant.
 */
public final class WithstandJudge {
    private static final double CHARGING_DOUBT = 0.1;

    private WithstandJudge() {}

    /**
     * The judgement of a reading.
     *
     * @param lengthM metres of wire under voltage; empty where that is not known
     */
    public static Judgement judge(MeterReading reading, WithstandRule rule, OptionalDouble lengthM) {
        if (reading instanceof MeterReading.Unstable || reading instanceof MeterReading.OverRange) {
            return said(Verdict.FAIL, Reason.BROKE_DOWN, Message.of("withstand_judge.tester_tripped_or_jumped"));
        }
        if (reading instanceof MeterReading.Below below && below.unit() == MeterReading.Unit.AMPERE) {
            return current(below.value(), true, rule, lengthM);
        }
        return reading instanceof MeterReading.Value value && value.unit() == MeterReading.Unit.AMPERE
                ? current(Math.abs(value.value()), false, rule, lengthM)
                : said(
                        Verdict.DOUBTFUL,
                        Reason.WRONG_QUANTITY,
                        Message.of("withstand_judge.not_accepted_expected_amperes", reading));
    }

    /** The charging current that the length predicts, in amperes; empty for DC, or where length or capacitance are not known. */
    public static OptionalDouble charging(WithstandRule rule, OptionalDouble lengthM) {
        return rule.alternates() && rule.faradPerMetre().isPresent() && lengthM.isPresent()
                ? OptionalDouble.of(InsulationRules.chargingAmperes(
                        rule.volts(),
                        rule.hertz().getAsDouble(),
                        rule.faradPerMetre().getAsDouble(),
                        lengthM.getAsDouble()))
                : OptionalDouble.empty();
    }

    /** @param maximum whether the current is only known to be less than that */
    private static Judgement current(double total, boolean maximum, WithstandRule rule, OptionalDouble lengthM) {
        OptionalDouble charging = charging(rule, lengthM);
        if (charging.isEmpty()) {
            return against(total, total, maximum, rule, Message.of("withstand_judge.read", maximum, amperes(total)));
        }
        double predicted = charging.getAsDouble();
        if (!maximum && !InsulationRules.provesConnection(total, predicted)) {
            return said(
                    Verdict.DOUBTFUL,
                    Reason.NO_CONNECTION,
                    Message.of("withstand_judge.less_than_half_that", amperes(total), amperes(predicted)));
        }
        double minimum = maximum ? 0 : InsulationRules.leakageAmperes(total, predicted * (1 + CHARGING_DOUBT));
        double highest = InsulationRules.leakageAmperes(total, predicted * (1 - CHARGING_DOUBT));
        return against(
                minimum,
                highest,
                maximum,
                rule,
                Message.of(
                        "withstand_judge.charging_leaves",
                        amperes(total),
                        amperes(predicted),
                        minimum > 0,
                        amperes(minimum),
                        amperes(highest)));
    }

    private static Judgement against(
            double minimum, double highest, boolean maximum, WithstandRule rule, Message what) {
        Message limit = Message.of("withstand_judge.maximum_figure_given_this", amperes(rule.maxA()));
        if (highest <= rule.maxA()) {
            return said(Verdict.PASS, Reason.WITHSTOOD, Message.of("withstand_judge.withstood", what, limit));
        }
        boolean decided = !maximum && minimum > rule.maxA();
        return decided
                ? said(Verdict.FAIL, Reason.LEAKAGE_TOO_HIGH, Message.of("withstand_judge.too_much", what, limit))
                : said(
                        Verdict.UNDECIDED,
                        maximum ? Reason.NEXT_RANGE : Reason.LEAKAGE_HIDDEN,
                        Message.of("withstand_judge.which_does_not_settle", what, maximum, limit));
    }

    private static MessageArgument amperes(double value) {
        return Message.figure(value, "A");
    }

    private static Judgement said(Verdict verdict, Reason code, Message reason) {
        return new Judgement(
                verdict,
                verdict == Verdict.PASS ? Contact.APART : Contact.UNKNOWN,
                code,
                reason,
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }
}
