package zestymarten.core.circuit;

import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.assembly.Metal;
import zestymarten.core.conductor.Protection;
import zestymarten.core.conductor.Wire;
import zestymarten.core.quantity.Engineering;

/**
 * What a circuit does when it is live, reckoned from its dead tests: nothing here is to be tried.
 *
 * <p>Source: {@code Zs = Ze + (R1 + R2)} and {@code I = U0 / Zs}, derivation; the band of the device from its standard, see
 * {@link Protection}. The hot conductor decides, as its ohms rise.
 *
 * @param volts of the supply to earth, above 0 and at most 1000
 * @param supplyOhm impedance of the supply, Ze, above 0
 * @param loopOhm R1 + R2 at the worst point in ohms, at {@code celsius}
 * @param hotCelsius temperature of the conductors in use, in °C
 */
public record InService(
        double volts, double supplyOhm, double loopOhm, double celsius, double hotCelsius, Protection protection) {
    public InService {
        if (!(volts > 0 && volts <= 1000 && supplyOhm > 0 && supplyOhm <= 1000 && loopOhm > 0)) {
            throw new IllegalArgumentException(
                    "The supply's volts (" + volts + " V) must be above 0 and at most 1000 V, its" + " resistance ("
                            + supplyOhm + ") and the loop's (" + loopOhm + ") above 0.");
        }
    }

    /** R1 + R2 with the conductors as hot as in use. */
    public double hotLoopOhm() {
        return Wire.ohmAt(Metal.COPPER, loopOhm, celsius, hotCelsius);
    }

    /** Loop impedance at the worst point, hot. */
    public double loopImpedanceOhm() {
        return supplyOhm + hotLoopOhm();
    }

    /** Prospective fault current at the worst point, hot: the least that has to cut it off. */
    public double leastFaultA() {
        return volts / loopImpedanceOhm();
    }

    /** Prospective fault current at the origin: the most that the device has to break. */
    public double mostFaultA() {
        return volts / supplyOhm;
    }

    /** Whether the least fault current surely cuts it off at once or within minutes. */
    public boolean disconnects() {
        return protection.cutsOffSoon(leastFaultA());
    }

    /** The largest loop impedance with which a breaker surely trips at once; empty for a fuse, whose curve is its maker's. */
    public OptionalDouble mostOhm() {
        Optional<Double> top = protection.fold(breaker -> Optional.of(breaker.atOnceA()), fuse -> Optional.empty());
        return top.map(amperes -> OptionalDouble.of(volts / amperes)).orElse(OptionalDouble.empty());
    }

    /** Whether a breaker surely trips at once; a fuse never counts as such here. */
    public boolean atOnce() {
        return mostOhm().isPresent() && loopImpedanceOhm() < mostOhm().getAsDouble();
    }

    /** What a fault at the far point does, for a person without formulas. */
    public String says() {
        String fault = "A fault to earth at the farthest point draws " + Engineering.text(leastFaultA(), "A")
                + " with the cable hot: the " + protection.name() + " " + protection.does(leastFaultA()) + ".";
        if (atOnce()) {
            return fault;
        }
        return mostOhm().isPresent()
                ? fault + " To trip at once the loop may have at most "
                        + Engineering.text(mostOhm().getAsDouble(), "Ω") + ", and it has "
                        + Engineering.text(loopImpedanceOhm(), "Ω") + "."
                : fault + " How soon is said by its maker's curve.";
    }
}
