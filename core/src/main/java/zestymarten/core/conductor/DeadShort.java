package zestymarten.core.conductor;

import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.assembly.Metal;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;

/**
 * A dead short at the far end of a feeder, there and back.
 *
 * <p>Rule: the core heats, its resistance rises and the current falls, so the hot current decides whether anything is cut off; the heat
 * is that of the cold one. Source: derivation; IEC 60364-5-54 for the time that the insulation stands it.
 *
 * @param feeder of one core or the loop; a single core is taken to have another like it for the way back
 * @param volts of the source, {@code sourceOhm} in it
 * @param protection empty for none
 */
public record DeadShort(
        Feeder feeder,
        double volts,
        double sourceOhm,
        FeederWire.Insulation insulation,
        Optional<Protection> protection) {
    private static final double MIN_S = 0.1;
    private static final double MAX_S = 5;

    public DeadShort {
        if (!(volts > 0 && volts <= 1000 && sourceOhm > 0 && sourceOhm <= 1000)) {
            throw new NotAccepted(
                    "dead_short.source_voltage_above",
                    NotAccepted.given(volts, "V"),
                    NotAccepted.given(sourceOhm, "Ω"));
        }
    }

    /** Ohms there and back, as measured. */
    public double coldOhm() {
        return feeder.loop() ? feeder.ohms() : 2 * feeder.ohms();
    }

    /** The same with the core as hot as its insulation may be in use: 70 °C in PVC, 90 °C in XLPE. */
    public double hotOhm() {
        return FeederWire.ohmAt(feeder.metal(), coldOhm(), feeder.celsius(), hotCelsius());
    }

    public double hotCelsius() {
        return insulation.inUseCelsius();
    }

    public double coldA() {
        return FeederWire.shortAmperes(volts, sourceOhm, coldOhm());
    }

    public double hotA() {
        return FeederWire.shortAmperes(volts, sourceOhm, hotOhm());
    }

    /** Watts in the whole feeder at first. */
    public double watts() {
        return FeederWire.watts(coldA(), coldOhm());
    }

    public double wattsPerMetre() {
        return watts() / feeder.metres();
    }

    /** About how many seconds its insulation stands that; empty outside 0.1 to 5 s, where the formula does not hold. */
    public OptionalDouble standsS() {
        double seconds = FeederWire.adiabaticSeconds(insulation, feeder.effectiveMm2(), coldA());
        return seconds >= MIN_S && seconds <= MAX_S ? OptionalDouble.of(seconds) : OptionalDouble.empty();
    }

    /** The current with the core as hot as its insulation stands in a short circuit: the least while it lasts. */
    public double endA() {
        double ohm = FeederWire.ohmAt(feeder.metal(), coldOhm(), feeder.celsius(), insulation.endCelsius());
        return FeederWire.shortAmperes(volts, sourceOhm, ohm);
    }

    /** Seconds after which it has surely been cut off, the core getting hotter all the time; empty where it may never be. */
    private OptionalDouble cutOffS() {
        return protection.map(each -> each.longestSeconds(endA())).orElse(OptionalDouble.empty());
    }

    /**
     * Whether it is surely cut off before the insulation is lost. Beyond 5 s the adiabatic time is shorter than the true one,
     * so that this errs on the safe side.
     */
    public boolean isCutOff() {
        return cutOffS().orElse(Double.POSITIVE_INFINITY)
                <= FeederWire.adiabaticSeconds(insulation, feeder.effectiveMm2(), coldA());
    }

    private Message stands() {
        return standsS().isPresent()
                ? Message.of(
                        "dead_short.insulation_stands_that_about",
                        Message.figure(standsS().getAsDouble(), "s"))
                : Message.of("dead_short.not_shown_that_insulation");
    }

    /** What happens, for a person without formulas. */
    public Message says() {
        Message heat = Message.of(
                "dead_short.heat_cable_metre",
                Message.figure(watts(), "W"),
                Message.figure(feeder.metres(), "m"),
                Message.figure(wattsPerMetre(), "W"));
        if (protection.isEmpty()) {
            return Message.of("dead_short.nothing_cuts_off", heat);
        }
        Protection by = protection.get();
        Message hot = Message.of("dead_short.times_what", Feeder.four(hotA() / by.ratedA()), by.name());
        if (cutOffS().isEmpty()) {
            return Message.of(
                    "dead_short.dead_short_draws_no",
                    Message.figure(coldA(), "A"),
                    Message.figure(hotA(), "A"),
                    hot,
                    by.does(hotA()),
                    heat);
        }
        Message draws =
                Message.of("dead_short.dead_short_draws_hot", Message.figure(coldA(), "A"), hot, by.does(hotA()));
        return isCutOff()
                ? Message.of("dead_short.draws", draws)
                : Message.of("dead_short.which_not_time_until", draws, stands(), heat);
    }

    /** The constant for a metal in PVC or XLPE. */
    public static FeederWire.Insulation insulation(Metal metal, boolean xlpe) {
        boolean copper = !metal.code().startsWith("alu");
        if (copper) {
            return xlpe ? FeederWire.Insulation.COPPER_XLPE : FeederWire.Insulation.COPPER_PVC;
        }
        return xlpe ? FeederWire.Insulation.ALUMINIUM_XLPE : FeederWire.Insulation.ALUMINIUM_PVC;
    }
}
