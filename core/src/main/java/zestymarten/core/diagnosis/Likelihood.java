package zestymarten.core.diagnosis;

import java.util.OptionalDouble;
import zestymarten.core.meter.Conditions;
import zestymarten.core.quantity.Understood;

/**
 * How likely what the meter showed is, where the ohms that are there are known.
 *
 * <p>Method: a figure is log-normal around what is there with the leads, its spread from the meter's accuracy, its
 * counts, a contact of some hundredths of an ohm and the few percent by which no two wires are alike. Now and then a touch
 * makes no contact and reads open, or sits on a wrong pin and reads anything. The results are densities per unit of ln
 * ohm for figures and probabilities for all else, so that only ratios for one and the same reading mean something.
 */
final class Likelihood implements Understood.Cases<Double> {
    /** How often a touch makes no contact. */
    static final double BAD_TOUCH = 0.02;

    /** How often it is on a wrong pin. */
    static final double WRONG_PIN = 0.004;

    /** A wrong pin may read anything from a hundredth of an ohm to 10 megohm, evenly in ln ohm. */
    private static final double ANYTHING = 1 / Math.log(1e9);

    private static final double CONTACT_OHM = 0.08;
    private static final double UNLIKE = 0.08;
    private static final double WIDE_TO = 3000;
    private static final double TONE_WIDTH = 0.2;

    private final Conditions conditions;
    private final OptionalDouble ohm;
    private final Atom.Shape shape;

    private Likelihood(Conditions conditions, OptionalDouble ohm, Atom.Shape shape) {
        this.conditions = conditions;
        this.ohm = ohm;
        this.shape = shape;
    }

    /**
     * Natural logarithm of the likelihood of a reading.
     *
     * @param ohm what is there; empty where there is no way through
     */
    static double log(Understood reading, Conditions conditions, OptionalDouble ohm, Atom.Shape shape) {
        return Math.log(Math.max(1e-9, reading.fold(new Likelihood(conditions, ohm, shape))));
    }

    /** Chance that there is no way through for this touch, whatever is there. */
    private double open() {
        if (ohm.isEmpty() || ohm.getAsDouble() > conditions.meter().topOhm()) {
            return 1 - WRONG_PIN;
        }
        return shape == Atom.Shape.JUMPY ? 0.3 : BAD_TOUCH + WRONG_PIN;
    }

    @Override
    public Double value(Understood.Value value) {
        double anything = WRONG_PIN * ANYTHING;
        if (ohm.isEmpty() || value.value() <= 0) {
            return ohm.isEmpty() ? anything * 0.1 : 1 - open();
        }
        double leads = conditions.leadsOhm().orElse(0);
        double there = ohm.getAsDouble() + leads;
        double figure = shape == Atom.Shape.WIDE ? wide(value.value(), leads) : logNormal(value.value(), there);
        return (1 - open()) * figure + anything;
    }

    private double logNormal(double read, double there) {
        double resolution = conditions.meter().resolutionOhm();
        double spread = Math.sqrt(square(UNLIKE * ohm.orElse(0))
                + square(conditions.meter().accuracy() * there)
                + square(CONTACT_OHM)
                + square(resolution));
        double at = Math.max(there, resolution);
        double width = spread / at;
        double off = Math.log(read / at) / width;
        return Math.exp(-off * off / 2) / (width * Math.sqrt(2 * Math.PI));
    }

    /** Evenly in ln ohm from half an ohm above a good wire's own up to some kiloohms. */
    private double wide(double read, double leads) {
        double over = read - leads;
        double from = 0.5;
        return over > from && over < WIDE_TO ? 1 / Math.log(WIDE_TO / from) : 0.1 * ANYTHING;
    }

    private static double square(double value) {
        return value * value;
    }

    @Override
    public Double overRange() {
        return open();
    }

    @Override
    public Double above(Understood.Above above) {
        return more(above.value());
    }

    private double more(double figure) {
        double beyond = ohm.isPresent() ? 1 / (1 + Math.exp((figure - ohm.getAsDouble()) / (0.1 * figure))) : 0;
        return open() + (1 - open()) * beyond;
    }

    @Override
    public Double below(Understood.Below below) {
        return 1 - more(below.value());
    }

    @Override
    public Double tone() {
        return 1 - silent();
    }

    @Override
    public Double silent() {
        double threshold = conditions.meter().toneBelowOhm();
        double above =
                ohm.isPresent() ? 1 / (1 + Math.exp((threshold - ohm.getAsDouble()) / (TONE_WIDTH * threshold))) : 1;
        return Math.min(1 - WRONG_PIN, open() + (1 - open()) * above);
    }

    @Override
    public Double unstable(Understood.Unstable unstable) {
        return shape == Atom.Shape.JUMPY ? 0.5 : 0.005;
    }

    @Override
    public Double ambiguous(Understood.Ambiguous ambiguous) {
        return 1.0;
    }

    @Override
    public Double refused(Understood.Refused refused) {
        return 1.0;
    }
}
