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
     * @param ohmPerMetre highest resistance at 20 °C
     * @param listedMm2 the section of the row, which may be the listed one just below the section asked for
     */
    record Row(double ohmPerMetre, double listedMm2, String source) {}

    /** The listed sections of a class and metal in mm², the thinnest first; none where there is no table. */
    static List<Double> sections(StrandClass strandClass, Metal metal) {
        NavigableMap<Double, Double> table = ROWS.get(strandClass.code() + "/" + metal.code());
        return table == null ? List.of() : List.copyOf(table.keySet());
    }

    /**
     * The row for a section: the listed one, else the next smaller listed one, which never asks for less resistance than
     * the true section has; below the smallest, that one scaled by the section. Empty where there is no table.
     */
    static Optional<Row> row(StrandClass strandClass, Metal metal, double areaMm2) {
        String key = strandClass.code() + "/" + metal.code();
        NavigableMap<Double, Double> table = ROWS.get(key);
        if (table == null) {
            return Optional.empty();
        }
        String source = strandClass == StrandClass.VEHICLE ? "ISO 6722-1" : "IEC 60228";
        Map.Entry<Double, Double> below = table.floorEntry(areaMm2 * (1 + 1e-9));
        if (below != null) {
            return Optional.of(new Row(below.getValue(), below.getKey(), source));
        }
        Map.Entry<Double, Double> smallest = table.firstEntry();
        return Optional.of(new Row(smallest.getValue() * smallest.getKey() / areaMm2, smallest.getKey(), source));
    }
}
