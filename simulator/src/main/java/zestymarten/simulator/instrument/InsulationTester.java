package zestymarten.simulator.instrument;

import java.util.OptionalDouble;
import java.util.function.LongSupplier;
import java.util.random.RandomGenerator;
import zestymarten.simulator.scpi.Commands;
import zestymarten.simulator.scpi.ScpiError;
import zestymarten.simulator.unit.Workbench;

/**
 * An insulation and withstand tester: a test voltage that is switched on and off, ohms that grow while the insulation takes its
 * charge, a current of leakage and, where the voltage alternates, of charging; a trip where it breaks down; and a charge that is
 * left until it has been discharged for four times as long.
 *
 * <p>Commands: {@code SOURce:VOLTage <volts>}, {@code SOURce:FREQuency <hertz>} (0 for DC),
 * {@code SOURce:VOLTage:RAMP <seconds>} in which it rises, {@code OUTPut ON|OFF},
 * {@code OUTPut?}, {@code MEASure:INSulation?} in ohms, {@code MEASure:CURRent?} in amperes, {@code MEASure:VOLTage?} what is
 * left on the probes, {@code SENSe:TIME?} seconds under voltage, {@code *RST}, {@code SIMulation:WAIT <seconds>} for time that nobody has to spend; and those of the bench, see {@link Hands}.
 * After a trip the output is off, the current reads {@code +9.900000E+37} and error 301 is in the queue.
 */
public final class InsulationTester {
    private static final ScpiError TRIPPED = new ScpiError(301, "Tripped: breakdown or overcurrent");
    private static final double TOP_OHM = 2e9;
    private static final double ACCURACY = 0.05;
    private static final double MAX_V = 5000;
    private static final double MIN_V = 10;
    private static final double MAX_HZ = 400;
    private static final double MAX_RAMP_S = 120;
    private static final double TRIP_A = 0.02;
    private static final double FARAD_PER_METRE = 120e-12;
    private static final double NANOS = 1e9;
    private static final double WAITS = 4;
    private static final double MAX_WAIT_S = 36_000;

    private final Workbench bench;
    private final RandomGenerator random;
    private final LongSupplier nanos;
    private double volts = 500;
    private double hertz;
    private double rampS;
    private boolean on;
    private long switched;
    private double heldS;
    private double heldV;
    private long skipped;

    /** @param nanos the time, in nanoseconds from anywhere */
    public InsulationTester(Workbench bench, RandomGenerator random, LongSupplier nanos) {
        this.bench = bench;
        this.random = random;
        this.nanos = nanos;
    }

    private long now() {
        return nanos.getAsLong() + skipped;
    }

    private synchronized void skip(double seconds) {
        skipped += Math.round(seconds * NANOS);
    }

    private double since() {
        return (now() - switched) / NANOS;
    }

    private synchronized void reset() {
        output(false);
        volts = 500;
        hertz = 0;
        rampS = 0;
    }

    private synchronized void output(boolean wanted) {
        if (wanted == on) {
            return;
        }
        if (!wanted) {
            heldS = since();
            heldV = hertz == 0 && bench.metres() > 0 ? risen() : 0;
        }
        on = wanted;
        bench.live(on);
        switched = now();
    }

    private synchronized void set(double newVolts, double newHertz) {
        if (on) {
            throw new ScpiError.Refused(ScpiError.CONFLICT);
        }
        volts = newVolts;
        hertz = newHertz;
    }

    private synchronized void ramp(double seconds) {
        if (on) {
            throw new ScpiError.Refused(ScpiError.CONFLICT);
        }
        rampS = seconds;
    }

    /** The volts to which it has risen by now. */
    private double risen() {
        return rampS <= 0 ? volts : volts * Math.min(1, since() / rampS);
    }

    private synchronized boolean breaks() {
        OptionalDouble breakdown = bench.breakdownV();
        double peak = hertz == 0 ? risen() : risen() * Math.sqrt(2);
        return breakdown.isPresent() && breakdown.getAsDouble() <= peak;
    }

    private synchronized String ohms() {
        double ohm = reading(bench.insulationOhm(mustBeOn()));
        return Figures.written(ohm > TOP_OHM ? Figures.OVER_RANGE : ohm);
    }

    private synchronized String amperes() {
        double seconds = mustBeOn();
        double leakage = risen() / Math.max(1, bench.insulationOhm(seconds));
        double charging = hertz == 0 ? 0 : 2 * Math.PI * hertz * FARAD_PER_METRE * bench.metres() * risen();
        double total = reading(Math.sqrt(leakage * leakage + charging * charging));
        if (total > TRIP_A) {
            output(false);
            throw new ScpiError.Refused(TRIPPED);
        }
        return Figures.written(total);
    }

    /** Seconds under the whole voltage; refused while it is off, and where it has just broken down. */
    private double mustBeOn() {
        if (!on) {
            throw new ScpiError.Refused(ScpiError.CONFLICT);
        }
        if (breaks()) {
            output(false);
            throw new ScpiError.Refused(TRIPPED);
        }
        return Math.max(0, since() - rampS);
    }

    private double reading(double exact) {
        return exact * (1 + ACCURACY * (2 * random.nextDouble() - 1));
    }

    /** What is left: everything while it is on, and a charge that halves with every time under voltage afterwards. */
    private synchronized String left() {
        if (on) {
            return Figures.written(risen());
        }
        double times = heldS <= 0 ? Double.POSITIVE_INFINITY : since() / heldS;
        double left = times >= WAITS ? 0 : heldV * Math.pow(2, -3 * times);
        return Figures.written(left < 1 ? 0 : left);
    }

    /** The commands of a connection; the output is the instrument's, whoever switches it. */
    public Commands commands() {
        Commands commands = new Commands("Zesty Marten,simulated insulation tester,0,1");
        commands.command("*RST", any -> reset())
                .command("SOURce:VOLTage", with -> set(with.figure(MIN_V, MAX_V), hertz))
                .query("SOURce:VOLTage?", any -> Figures.written(volts))
                .command("SOURce:FREQuency", with -> set(volts, with.figure(0, MAX_HZ)))
                .command("SOURce:VOLTage:RAMP", with -> ramp(with.figure(0, MAX_RAMP_S)))
                .query("SOURce:VOLTage:RAMP?", any -> Figures.written(rampS))
                .command("OUTPut", with -> output(with.isOn()))
                .query("OUTPut?", any -> on ? "1" : "0")
                .query("MEASure:INSulation?", any -> ohms())
                .query("MEASure:CURRent?", any -> amperes())
                .query("MEASure:VOLTage?", any -> left())
                .command("SIMulation:WAIT", with -> skip(with.figure(0, MAX_WAIT_S)))
                .query("SENSe:TIME?", any -> Figures.written(on ? since() : 0));
        Hands.on(bench, commands);
        return commands;
    }
}
