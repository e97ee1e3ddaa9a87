package zestymarten.core.conductor;

import zestymarten.core.assembly.Metal;
import zestymarten.core.quantity.Bounds;

/**
 * Formulas of one conductor. Lengths in metres, sections in mm², resistances in ohms, temperatures in °C, currents in
 * amperes, powers in watts. Every argument but temperatures must be above 0.
 */
public final class FeederWire {
    /** Constants k of the adiabatic equation in A·s^½/mm², by metal and insulation. Source: IEC 60364-5-54, table A.54.4. */
    public enum Insulation {
        /** Copper in PVC, 70 to 160 °C. */
        COPPER_PVC(115),
        /** Copper in XLPE or EPR, 90 to 250 °C. */
        COPPER_XLPE(143),
        /** Aluminium in PVC, 70 to 160 °C. */
        ALUMINIUM_PVC(76),
        /** Aluminium in XLPE, 90 to 250 °C. */
        ALUMINIUM_XLPE(94);

        private final double k;

        Insulation(double k) {
            this.k = k;
        }

        /** The metal in PVC: copper, or aluminium. */
        public static Insulation pvc(Metal metal) {
            return metal.equals(Metal.ALUMINIUM) ? ALUMINIUM_PVC : COPPER_PVC;
        }

        /** The constant k in A·s^½/mm². */
        public double k() {
            return k;
        }

        private boolean isPvc() {
            return this == COPPER_PVC || this == ALUMINIUM_PVC;
        }

        /** How hot the core may be in use, in °C. */
        public double inUseCelsius() {
            return isPvc() ? 70 : 90;
        }

        /** How hot the core may get in a short circuit before the insulation is lost, in °C. Source: IEC 60364-5-54. */
        public double endCelsius() {
            return isPvc() ? 160 : 250;
        }
    }

    private FeederWire() {}

    /** The section that a measured resistance implies: {@code A = rho20 (1 + a (t - 20)) L / R}, L the whole way measured. */
    public static double impliedMm2(Metal metal, double lengthM, double ohm, double celsius) {
        return metal.resistivity()
                * metal.factor(celsius)
                * Bounds.aboveZero("feeder_wire.what_length", lengthM)
                / Bounds.aboveZero("feeder_wire.what_resistance", ohm);
    }

    /** The same wire at another temperature, from its resistance at one. */
    public static double ohmAt(Metal metal, double ohm, double celsius, double otherCelsius) {
        return Bounds.aboveZero("feeder_wire.what_resistance", ohm)
                * metal.factor(otherCelsius)
                / metal.factor(celsius);
    }

    /** Current of a dead short at the far end: {@code I = U / (R_source + R_loop)}. */
    public static double shortAmperes(double volts, double sourceOhm, double loopOhm) {
        return Bounds.aboveZero("feeder_wire.what_voltage", volts)
                / (Bounds.aboveZero("feeder_wire.what_resistance_of_the_source", sourceOhm)
                        + Bounds.aboveZero("feeder_wire.what_loop", loopOhm));
    }

    /** Heat in a resistance: {@code P = I² R}. */
    public static double watts(double amperes, double ohm) {
        return amperes * amperes * Bounds.aboveZero("feeder_wire.what_resistance", ohm);
    }

    /** The highest resistance that makes no more than so much heat: {@code R = P / I²}. */
    public static double ohmForWatts(double watts, double amperes) {
        return Bounds.aboveZero("feeder_wire.what_heat", watts)
                / (Bounds.aboveZero("feeder_wire.what_current", amperes) * amperes);
    }

    /** Loss of voltage in a loop: {@code dU = I R}. */
    public static double dropVolts(double amperes, double loopOhm) {
        return Bounds.aboveZero("feeder_wire.what_current", amperes)
                * Bounds.aboveZero("feeder_wire.what_loop", loopOhm);
    }

    /**
     * About how long a section stands a current before its insulation is lost: {@code t = (k A / I)²}. Holds for 0.1 to
     * 5 s; shorter, the device's let-through decides; longer, heat gets away. Source: IEC 60364-5-54.
     */
    public static double adiabaticSeconds(Insulation insulation, double areaMm2, double amperes) {
        double root = insulation.k
                * Bounds.aboveZero("feeder_wire.what_section", areaMm2)
                / Bounds.aboveZero("feeder_wire.what_current", amperes);
        return root * root;
    }

    /** The section that stands a current for a time, {@code A = I √t / k}; see {@link #adiabaticSeconds}. */
    public static double adiabaticMm2(Insulation insulation, double amperes, double seconds) {
        return Bounds.aboveZero("feeder_wire.what_current", amperes)
                * Math.sqrt(Bounds.aboveZero("feeder_wire.what_time", seconds))
                / insulation.k;
    }
}
