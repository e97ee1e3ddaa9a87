package zestymarten.core.insulation;

import java.util.OptionalDouble;
import zestymarten.core.judge.Judgement;
import zestymarten.core.judge.Judgement.Contact;
import zestymarten.core.judge.Judgement.Verdict;
import zestymarten.core.limit.WithstandRule;
import zestymarten.core.quantity.Engineering;
import zestymarten.core.quantity.Understood;

/**
 * Judges the current that a withstand tester shows at the end of its time.
 *
 * <p>Rules: a trip or a jump is a breakdown. Under an alternating voltage the wire's own charging current
 * {@code Ic = 2 pi f C U} is no leakage: both add in quadrature, {@code I² = Ic² + Ir²}. Less than half of the predicted Ic
 * means that a clip is off. Where Ic makes nine tenths of what is read, the leakage cannot be told from it, and the pass
 * says so. Cost: constant.
 */
public final class WithstandJudge {
    private static final double DOMINATES = 0.9;

    private WithstandJudge() {}

    /**
     * The judgement of a reading.
     *
     * @param lengthM metres of wire under voltage; empty where that is not known
     */
    public static Judgement judge(Understood reading, WithstandRule rule, OptionalDouble lengthM) {
        if (reading instanceof Understood.Unstable || reading instanceof Understood.OverRange) {
            return said(Verdict.FAIL, "The tester tripped or jumped: the insulation broke down.");
        }
        if (reading instanceof Understood.Below below && below.unit() == Understood.Unit.AMPERE) {
            return current(below.value(), rule, lengthM);
        }
        return reading instanceof Understood.Value value && value.unit() == Understood.Unit.AMPERE
                ? current(value.value(), rule, lengthM)
                : said(Verdict.DOUBTFUL, "Read '" + reading.text() + "'; expected amperes, or that it tripped.");
    }

    /** The charging current that the length predicts, in amperes; empty for DC, or where length or capacitance are not known. */
    public static OptionalDouble charging(WithstandRule rule, OptionalDouble lengthM) {
        return rule.alternates() && rule.faradPerMetre().isPresent() && lengthM.isPresent()
                ? OptionalDouble.of(Insulation.chargingAmperes(
                        rule.volts(),
                        rule.hertz().getAsDouble(),
                        rule.faradPerMetre().getAsDouble(),
                        lengthM.getAsDouble()))
                : OptionalDouble.empty();
    }

    private static Judgement current(double total, WithstandRule rule, OptionalDouble lengthM) {
        OptionalDouble charging = charging(rule, lengthM);
        if (charging.isEmpty()) {
            return against(total, rule, amperes(total));
        }
        double predicted = charging.getAsDouble();
        if (!Insulation.provesConnection(total, predicted)) {
            return said(
                    Verdict.DOUBTFUL,
                    amperes(total) + " is less than half of the " + amperes(predicted)
                            + " that the length alone takes to charge: a clip is off.");
        }
        if (predicted >= DOMINATES * total) {
            return said(
                    Verdict.PASS,
                    amperes(total) + " is what the length takes to charge (" + amperes(predicted)
                            + "): withstood, but leakage cannot be told from it. Use DC for that.");
        }
        double leakage = Insulation.leakageAmperes(total, predicted);
        return against(
                leakage,
                rule,
                amperes(total) + " with " + amperes(predicted) + " of charging leaves " + amperes(leakage));
    }

    private static Judgement against(double leakage, WithstandRule rule, String what) {
        boolean passes = leakage <= rule.mostA();
        return said(
                passes ? Verdict.PASS : Verdict.FAIL,
                what + (passes ? ": withstood" : ": too much") + ". At most " + amperes(rule.mostA())
                        + ": the figure given for this test.");
    }

    private static String amperes(double value) {
        return Engineering.text(value, "A");
    }

    private static Judgement said(Verdict verdict, String reason) {
        return new Judgement(
                verdict,
                verdict == Verdict.PASS ? Contact.APART : Contact.UNKNOWN,
                reason,
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }
}
