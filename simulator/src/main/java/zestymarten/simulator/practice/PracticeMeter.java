package zestymarten.simulator.practice;

import java.util.OptionalDouble;
import java.util.random.RandomGenerator;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;

/** The two meters of the practice room: one for ohms, four figures and half a per cent, and an insulation tester. */
final class PracticeMeter {
    /** How long a test voltage is held before it is read. */
    static final double MINUTE_S = 60;

    private static final double LEADS_OHM = 0.3;
    private static final double ACCURACY = 0.005;
    private static final double STEP_OHM = 0.01;
    private static final double TOP_OHM = 20e6;
    private static final double INSULATION_TOP_OHM = 2e9;
    private static final int FIGURES = 4;

    private PracticeMeter() {}

    /** What the joined probes read. */
    static double leadsOhm(RandomGenerator random) {
        return shown(LEADS_OHM, random);
    }

    /** @param ohms between the probes; empty where there is no path */
    static MeterReading shown(OptionalDouble ohms, RandomGenerator random) {
        double shown = ohms.isPresent() ? shown(ohms.getAsDouble() + LEADS_OHM, random) : Double.POSITIVE_INFINITY;
        return shown > TOP_OHM ? new MeterReading.OverRange() : MeterReading.Value.ohms(shown);
    }

    static Message words(MeterReading shown) {
        return shown instanceof MeterReading.Value value
                ? Message.of("practice_meter.reads", value)
                : Message.of("practice_meter.more_than", Message.figure(TOP_OHM, "Ω"));
    }

    static Message insulation(double ohm) {
        return ohm > INSULATION_TOP_OHM
                ? Message.of("practice_meter.more_than", Message.figure(INSULATION_TOP_OHM, "Ω"))
                : Message.of("practice_meter.reads", Message.figure(ohm, "Ω"));
    }

    /** In whole steps of the meter, to four figures, within its accuracy. */
    private static double shown(double ohm, RandomGenerator random) {
        double read = ohm * (1 + ACCURACY * (2 * random.nextDouble() - 1));
        double step = Math.max(STEP_OHM, Math.pow(10, Math.floor(Math.log10(Math.max(read, 1e-9))) - FIGURES + 1));
        return Math.round(read / step) * step;
    }
}
