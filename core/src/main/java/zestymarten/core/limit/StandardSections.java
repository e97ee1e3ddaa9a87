package zestymarten.core.limit;

import java.util.List;
import java.util.OptionalDouble;
import zestymarten.core.assembly.Metal;
import zestymarten.core.assembly.StrandClass;

/** What the standards say of a section by itself, without a wire: IEC 60228 and ISO 6722-1. */
public final class StandardSections {
    private StandardSections() {}

    /** The highest resistance per metre at 20 °C; empty where the standards have no table for that class and metal. */
    public static OptionalDouble maxOhmPerMetre(StrandClass strandClass, Metal metal, double areaMm2) {
        return ConductorTables.row(strandClass, metal, areaMm2).stream()
                .mapToDouble(ConductorTables.TableEntry::ohmPerMetre)
                .findFirst();
    }

    /** The listed sections just below and just above one, in mm², one or both; none where there is no table. */
    public static List<Double> around(StrandClass strandClass, Metal metal, double areaMm2) {
        List<Double> all = ConductorTables.sections(strandClass, metal);
        double below = all.stream()
                .filter(each -> each <= areaMm2)
                .mapToDouble(each -> each)
                .max()
                .orElse(Double.NaN);
        double above = all.stream()
                .filter(each -> each > areaMm2)
                .mapToDouble(each -> each)
                .min()
                .orElse(Double.NaN);
        return List.of(below, above).stream()
                .filter(each -> !Double.isNaN(each))
                .toList();
    }
}
