package zestymarten.core.circuit;

/** How the exposed metal of an installation is connected with its supply. */
public enum Earthing {
    /** The protective conductor goes back to the supply's earthed point. */
    TN,
    /** The installation has an earth electrode of its own. */
    TT,
    /** Separated extra-low voltage: a fault to the protective conductor is not what is to be cut off. */
    SELV;

    /** The most that may stay on exposed metal in a TT system, in volts. Source: IEC 60364-4-41, 411.5.3. */
    static final double TOUCH_V = 50;

    private static final double[] UP_TO_V = {120, 230, 400, Double.POSITIVE_INFINITY};
    private static final double[] TN_S = {0.8, 0.4, 0.2, 0.1};
    private static final double[] TT_S = {0.3, 0.2, 0.07, 0.04};
    private static final double TN_OTHER_S = 5;
    private static final double TT_OTHER_S = 1;

    /**
     * The longest that a fault to exposed metal may last, alternating current. Source: IEC 60364-4-41, table 41.1, 411.3.2.3
     * and 411.3.2.4.
     *
     * @param volts to earth, above 0
     * @param finalCircuit whether it is a final circuit that the table covers; else a distribution circuit or a larger one
     * @return seconds; infinite for separated extra-low voltage
     */
    double longestSeconds(double volts, boolean finalCircuit) {
        if (this == SELV) {
            return Double.POSITIVE_INFINITY;
        }
        if (!finalCircuit) {
            return this == TN ? TN_OTHER_S : TT_OTHER_S;
        }
        int row = 0;
        while (volts > UP_TO_V[row]) {
            row++;
        }
        return (this == TN ? TN_S : TT_S)[row];
    }
}
