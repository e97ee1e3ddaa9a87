package zestymarten.core.fault;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.random.RandomGenerator;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.meter.TestConditions;

/**
 * A technician's two probes on a unit: what is typed from the meter's display, with the meter's error, the leads, and now
 * and then a measurement that does not make contact.
 */
public final class Probe {
    private static final int SHOWN_FIGURES = 4;
    private static final double APART = 0.3;

    private final FaultyUnit unit;
    private final TestConditions conditions;
    private final RandomGenerator random;
    private final double badContact;

    /**
     * @param conditions the meter, and the resistance of its leads
     * @param badContact chance that a measurement reads open although there is a path, 0 to 1
     */
    public Probe(FaultyUnit unit, TestConditions conditions, RandomGenerator random, double badContact) {
        if (!(badContact >= 0 && badContact <= 1)) {
            throw new IllegalArgumentException("The chance of a bad contact (" + badContact + ") must be from 0 to 1.");
        }
        this.unit = unit;
        this.conditions = conditions;
        this.random = random;
        this.badContact = badContact;
    }

    /** What the meter shows, as it is typed. */
    public String shows(Terminal black, Terminal red, SwitchState state, List<List<Terminal>> links) {
        OptionalDouble ohms = asMeasured().ohms(black, red, state, links);
        if (ohms.isEmpty() || random.nextDouble() < badContact) {
            return "OL";
        }
        double error = conditions.meter().accuracy() * (2 * random.nextDouble() - 1);
        double read = ohms.getAsDouble() * (1 + error) + conditions.leadsOhm().orElse(0);
        return read > conditions.meter().topOhm() ? "OL" : typed(read);
    }

    /** What the meter's diode range shows, as it is typed. */
    public String showsOnDiodeRange(Terminal black, Terminal red, SwitchState state) {
        OptionalDouble volts = asMeasured().forwardV(black, red, state);
        return volts.isEmpty() ? "OL" : String.format(Locale.ROOT, "%.3f", volts.getAsDouble());
    }

    /** The unit as it is at this moment: a broken core whose ends touch mostly does so, but not at every measurement. */
    private FaultyUnit asMeasured() {
        return unit.faults().stream().noneMatch(fault -> fault instanceof SeededFault.Intermittent)
                ? unit
                : unit.with(unit.faults().stream()
                        .map(fault -> fault instanceof SeededFault.Intermittent broken && random.nextDouble() < APART
                                ? new SeededFault.Open(broken.conductor())
                                : fault)
                        .toList());
    }

    /** Rounded to the meter's resolution on its lowest range, to four figures on the others. */
    private String typed(double ohm) {
        double step = Math.max(
                conditions.meter().resolutionOhm(), Math.pow(10, Math.floor(Math.log10(ohm)) - SHOWN_FIGURES + 1));
        int decimals = Math.max(0, (int) Math.ceil(-Math.log10(step) - 1e-9));
        return BigDecimal.valueOf(Math.round(ohm / step) * step)
                .setScale(decimals, RoundingMode.HALF_UP)
                .toPlainString();
    }
}
