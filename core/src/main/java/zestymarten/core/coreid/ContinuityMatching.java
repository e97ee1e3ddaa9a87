package zestymarten.core.coreid;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.network.Link;
import zestymarten.core.network.Network;
import zestymarten.core.network.Path;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.Ohms;

/** Which of several alike cores leads through a given part: dead, by the resistance; or by the step of a voltage in a state. */
public final class ContinuityMatching {
    /** Below that share of the supply nothing arrives, above the other all of it; between is stray. Rules of thumb. */
    private static final double ABSENT = 0.05;

    private static final double FULL = 0.8;

    private ContinuityMatching() {}

    /** What a core is. */
    public enum CoreAnswer {
        /** It leads through the part. */
        THROUGH,
        /** It leads elsewhere, or nowhere. */
        NOT,
        /** Something is there that does not decide: an induced voltage, or ohms of another path. */
        STRAY
    }

    /** A core with its answer and why. */
    public record CoreResult(int core, CoreAnswer answer, Message why) {}

    /**
     * Resistance that a core reads that leads through the part: core, part and return, one after the other, by the network.
     *
     * @param coreOhm of core and return together, from 0 to so many
     */
    public static Path.Ohmic expected(double minPartOhm, double maxPartOhm, double coreOhm) {
        Terminal here = Terminal.of("HERE.1");
        Terminal there = Terminal.of("THERE.1");
        Terminal back = Terminal.of("HERE.R");
        Network network = Network.of(List.of(
                new Link(here, there, Ohms.of(0), Ohms.of(coreOhm / 2), Ohms.of(coreOhm)),
                new Link(
                        there,
                        back,
                        Ohms.of(minPartOhm),
                        Ohms.of((minPartOhm + maxPartOhm) / 2),
                        Ohms.of(maxPartOhm))));
        return network.between(here, back).fold(ohmic -> ohmic, () -> {
            throw new IllegalStateException("There is continuity through core and part.");
        });
    }

    /** Each core by its resistance to the return; empty for no path. */
    public static List<CoreResult> byOhms(Path.Ohmic expected, List<OptionalDouble> read, double accuracy) {
        List<CoreResult> results = new ArrayList<>();
        for (int i = 0; i < read.size(); i++) {
            results.add(byOhms(i + 1, expected, read.get(i), accuracy));
        }
        return results;
    }

    private static CoreResult byOhms(int core, Path.Ohmic expected, OptionalDouble read, double accuracy) {
        if (read.isEmpty()) {
            return new CoreResult(core, CoreAnswer.NOT, Message.of("continuity_matching.no_continuity"));
        }
        double ohm = read.getAsDouble();
        boolean fits = ohm >= expected.low().value() * (1 - accuracy)
                && ohm <= expected.high().value() * (1 + accuracy);
        Message range = Message.of("continuity_matching.by_ohms", expected.low(), expected.high());
        return fits
                ? new CoreResult(
                        core,
                        CoreAnswer.THROUGH,
                        Message.of("continuity_matching.within", Message.figure(ohm, "Ω"), range))
                : new CoreResult(
                        core,
                        CoreAnswer.STRAY,
                        Message.of("continuity_matching.not_within_another_path", Message.figure(ohm, "Ω"), range));
    }

    /** Each core by the volts that arrive when the part is switched on, less those when it is off. */
    public static List<CoreResult> byVolts(double supplyV, List<Double> on, List<Double> off) {
        if (!(supplyV > 0 && supplyV <= 1000) || on.size() != off.size()) {
            throw new NotAccepted("continuity_matching.supply_above_most", NotAccepted.given(supplyV, "V"));
        }
        List<CoreResult> results = new ArrayList<>();
        for (int i = 0; i < on.size(); i++) {
            double step = Math.abs(on.get(i) - off.get(i));
            Message volts =
                    Message.of("continuity_matching.by_volts", Message.figure(step, "V"), Message.figure(supplyV, "V"));
            if (step >= FULL * supplyV) {
                results.add(new CoreResult(i + 1, CoreAnswer.THROUGH, Message.of("continuity_matching.full", volts)));
            } else if (step <= ABSENT * supplyV) {
                results.add(new CoreResult(i + 1, CoreAnswer.NOT, Message.of("continuity_matching.absent", volts)));
            } else {
                results.add(new CoreResult(
                        i + 1, CoreAnswer.STRAY, Message.of("continuity_matching.stray_load_read_again", volts)));
            }
        }
        return results;
    }
}
