package zestymarten.web.scan;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.quantity.Message;
import zestymarten.core.scan.ScanAction;
import zestymarten.core.scan.ScanVoltage;
import zestymarten.web.meter.InstrumentReading;
import zestymarten.web.meter.Talk;
import zestymarten.web.platform.Refusal;

/** The test voltage of a scanner's tester: risen, held, read, off, and nothing left before anything is switched. */
final class ScannerVoltage {
    private static final long SECOND_MS = 1000;
    private static final double NANOS = 1e9;
    /** Less is no danger; the same as where a person reads it. */
    private static final double DEAD_UP_TO_V = 1;

    private final Talk talk;
    private final String address;
    private final ScanWatch watch;
    private final List<ScanReading> reads;

    /** @param reads what was read so far, of which the watch hears while the voltage is on */
    ScannerVoltage(Talk talk, String address, ScanWatch watch, List<ScanReading> reads) {
        this.talk = talk;
        this.address = address;
        this.watch = watch;
        this.reads = reads;
    }

    /**
     * Held shorted for four times as long as the voltage was on, and again if any is left: nothing is switched under it. What
     * is left; empty for a tester that does not say.
     */
    OptionalDouble discharge(double seconds) {
        wait(seconds, false);
        OptionalDouble left = voltsLeft();
        if (left.orElse(0) > DEAD_UP_TO_V) {
            wait(seconds, false);
            left = voltsLeft();
        }
        if (left.orElse(0) > DEAD_UP_TO_V) {
            throw new Refusal("", Message.of("pass.still_charged", Message.figure(left.getAsDouble(), "V")));
        }
        return left;
    }

    /** What is left on the probes; empty for a tester that does not say. */
    private OptionalDouble voltsLeft() {
        String answer = talk.answer("MEAS:VOLT?");
        try {
            return OptionalDouble.of(Math.abs(Double.parseDouble(answer)));
        } catch (NumberFormatException e) {
            return OptionalDouble.empty();
        }
    }

    /** A tester that cannot let the voltage rise switches it on at once, which is what a usual ramp stands for. */
    private void ramp(ScanVoltage voltage) {
        String answer = talk.answer("SOUR:VOLT:RAMP " + voltage.rampS());
        if (!answer.matches("[+]?0,.*") && voltage.rampS() > ScanVoltage.USUAL_RAMP_S) {
            throw new Refusal("", Message.of("pass.no_ramp", address, Message.figure(voltage.rampS(), "s"), answer));
        }
    }

    /** On, risen, held, read, off. */
    InstrumentReading read(ScanAction.MeasureContacts measure, ScanVoltage voltage) {
        boolean leaks = measure.quantity() == Quantity.LEAKAGE;
        // A tester that knows DC alone is never asked for a frequency.
        String frequency = voltage.alternates() ? ";SOUR:FREQ " + voltage.hertz() : "";
        ramp(voltage);
        long on = System.nanoTime();
        String answer;
        try {
            talk.command("SOUR:VOLT " + voltage.volts() + frequency + ";OUTP ON");
            wait(voltage.onS(), true);
            answer = talk.answer(leaks ? "MEAS:CURR?" : "MEAS:INS?");
        } catch (RuntimeException ended) { // whatever went wrong, no voltage is left on
            double seconds = talk.isStandIn() ? voltage.onS() : (System.nanoTime() - on) / NANOS;
            off(voltage);
            discharge(ScanVoltage.dischargeS(seconds));
            talk.command(ScanPass.ALL_OPEN);
            throw ended;
        }
        off(voltage);
        return InstrumentReading.ofTester(answer, leaks, voltage.dwellS(), address);
    }

    /** Lets the watch hear of it; it may end the scan where nothing would be left on. */
    void follow(boolean mayEnd) {
        Optional<Message> end = watch.endOf(reads);
        if (mayEnd && end.isPresent()) {
            throw new Refusal("", end.get());
        }
    }

    private void off(ScanVoltage voltage) {
        talk.command("OUTP OFF");
        if (voltage.alternates()) {
            talk.command("SOUR:FREQ 0");
        }
    }

    /** The time of a stand-in passes at once; a real one is followed second by second. */
    private void wait(double seconds, boolean mayEnd) {
        if (talk.isStandIn()) {
            talk.hands(List.of("SIM:WAIT " + seconds));
            follow(mayEnd);
            return;
        }
        try {
            for (long left = (long) Math.ceil(seconds * SECOND_MS); left > 0; left -= SECOND_MS) {
                Thread.sleep(Math.min(left, SECOND_MS));
                follow(mayEnd);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new Refusal("", Message.of("pass.scan_was_interrupted"));
        }
    }
}
