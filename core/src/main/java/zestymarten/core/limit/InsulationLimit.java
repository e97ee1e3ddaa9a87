package zestymarten.core.limit;

import java.util.List;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.Ohms;
import zestymarten.core.quantity.ResourceTable;

/**
 * The least that insulation may read.
 *
 * @param testV test voltage in volts DC that goes with it; 0 where none is prescribed
 * @param derivation the rule, its inputs and its source in one sentence
 */
public record InsulationLimit(Ohms minimum, double testV, Message derivation) {
    private static final List<ResourceTable.TableRow> ROWS =
            ResourceTable.read(InsulationLimit.class, "insulation-iec60364-6.csv");
    private static final double EXTRA_LOW_V = 50;
    private static final double LOW_V = 500;

    /**
     * By the nominal voltage of the circuit.
     *
     * @param separated whether it is an extra-low voltage circuit (SELV or PELV), of at most 50 V
     */
    public static InsulationLimit ofCircuit(double nominalV, boolean separated) {
        if (!(nominalV > 0) || (separated && nominalV > EXTRA_LOW_V)) {
            throw new NotAccepted(
                    "insulation_limit.nominal_voltage_above", NotAccepted.given(nominalV, "V"), separated);
        }
        return row(separated ? 0 : nominalV <= LOW_V ? 1 : 2);
    }

    /** By the test voltage used, in volts DC above 0: the row with the highest test voltage that is not above it. */
    public static InsulationLimit ofTest(double testV) {
        if (!(testV > 0)) {
            throw new NotAccepted("insulation_limit.test_voltage_above", NotAccepted.given(testV, "V"));
        }
        int best = 0;
        for (int i = 0; i < ROWS.size(); i++) {
            best = volts(i) <= testV ? i : best;
        }
        return row(best);
    }

    /** By length: {@code R_min = K / L}, K in megohm·km: a longer cable may have less. */
    public static InsulationLimit ofLength(double megohmKm, double lengthM) {
        if (!(megohmKm > 0 && lengthM > 0)) {
            throw new NotAccepted(
                    "insulation_limit.k_length_above",
                    NotAccepted.given(megohmKm, "MΩ·km"),
                    NotAccepted.given(lengthM, "m"));
        }
        Ohms minimum = Ohms.of(megohmKm * 1e6 / (lengthM / 1000));
        return new InsulationLimit(
                minimum,
                0,
                Message.of(
                        "insulation_limit.least_km_over",
                        minimum,
                        Message.figure(megohmKm, ""),
                        Message.figure(lengthM, "m")));
    }

    private static double volts(int row) {
        return Double.parseDouble(ROWS.get(row).cell("test_voltage_dc"));
    }

    private static InsulationLimit row(int row) {
        Ohms minimum = Ohms.of(1e6 * Double.parseDouble(ROWS.get(row).cell("minimum_mohm")));
        return new InsulationLimit(
                minimum,
                volts(row),
                Message.of(
                        "insulation_limit.least_dc_iec",
                        minimum,
                        Message.figure(volts(row), "V"),
                        Message.of("insulation_limit.row_" + row)));
    }
}
