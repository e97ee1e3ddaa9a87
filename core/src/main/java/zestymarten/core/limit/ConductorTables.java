package zestymarten.core.limit;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;
import zestymarten.core.assembly.Metal;
import zestymarten.core.assembly.StrandClass;
import zestymarten.core.quantity.ResourceTable;

/** Highest resistance per metre at 20 °C by class, metal and section: IEC 60228 and ISO 6722-1. */
final class ConductorTables {
    private static final Map<String, NavigableMap<Double, Double>> ROWS = new HashMap<>();
    private static final String VEHICLE = "vehicle/copper";
    private static final double SAME = 1e-9;

    static {
        ResourceTable.read(ConductorTables.class, "conductor-iec60228.csv")
                .forEach(row -> put(
                        row.cell("class") + "/" + row.cell("metal"),
                        row.cell("area_mm2"),
                        row.cell("r20_max_ohm_per_km")));
        ResourceTable.read(ConductorTables.class, "conductor-iso6722.csv")
                .forEach(row -> put(VEHICLE, row.cell("area_mm2"), row.cell("r20_max_mohm_per_m")));
    }

    private ConductorTables() {}

    private static void put(String key, String area, String milliohmPerMetre) {
        ROWS.computeIfAbsent(key, any -> new TreeMap<>())
                .put(Double.valueOf(area), Double.parseDouble(milliohmPerMetre) / 1000);
    }

    /**
     * A row of a table.
     *
     * @param ohmPerMetre highest resistance at 20 °C, scaled by the section where that is not listed
     * @param listedMm2 the section of the row
     */
    record TableEntry(double ohmPerMetre, double listedMm2, String source) {}

    /** The listed sections of a class and metal in mm², the thinnest first; none where there is no table. */
    static List<Double> sections(StrandClass strandClass, Metal metal) {
        NavigableMap<Double, Double> table = ROWS.get(strandClass.code() + "/" + metal.code());
        return table == null ? List.of() : List.copyOf(table.keySet());
    }

    /**
     * The row for a section: the listed one, else the nearest listed one by ratio, scaled by the two sections. Empty where
     * there is no table.
     */
    static Optional<TableEntry> row(StrandClass strandClass, Metal metal, double areaMm2) {
        String key = strandClass.code() + "/" + metal.code();
        NavigableMap<Double, Double> table = ROWS.get(key);
        if (table == null) {
            return Optional.empty();
        }
        String source = strandClass == StrandClass.VEHICLE ? "ISO 6722-1" : "IEC 60228";
        Map.Entry<Double, Double> below = table.floorEntry(areaMm2 * (1 + SAME));
        Map.Entry<Double, Double> above = table.ceilingEntry(areaMm2 * (1 - SAME));
        Map.Entry<Double, Double> nearest = below == null
                ? table.firstEntry()
                : above == null || areaMm2 / below.getKey() <= above.getKey() / areaMm2 ? below : above;
        double listed = nearest.getKey();
        boolean same = Math.abs(listed / areaMm2 - 1) <= SAME;
        return Optional.of(new TableEntry(nearest.getValue() * (same ? 1 : listed / areaMm2), listed, source));
    }
}
