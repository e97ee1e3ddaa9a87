package zestymarten.core.circuit;

import java.util.OptionalDouble;
import zestymarten.core.assembly.Metal;
import zestymarten.core.assembly.StrandClass;
import zestymarten.core.limit.StandardSections;

/**
 * Cable between two points of a circuit: line and neutral of one section, the protective conductor of its own.
 *
 * @param metres above 0, at most 1000
 * @param lineMm2 section of line and neutral in mm², above 0, at most 1000
 * @param protectiveMm2 section of the protective conductor in mm², above 0, at most 1000
 */
public record CableStretch(double metres, double lineMm2, double protectiveMm2) {
    private static final double MOST = 1000;

    public CableStretch {
        require(metres, "length", "m");
        require(lineMm2, "section of the line", "mm²");
        require(protectiveMm2, "section of the protective conductor", "mm²");
    }

    private static void require(double value, String what, String unit) {
        if (!(value > 0 && value <= MOST)) {
            throw new IllegalArgumentException("A stretch's " + what + " (" + value + " " + unit
                    + ") must be above 0 and at most 1000 " + unit + ".");
        }
    }

    /** The same with a protective conductor of another section. */
    CableStretch withProtective(double mm2) {
        return new CableStretch(metres, lineMm2, mm2);
    }

    /** Ohms of one of its conductors, at most by IEC 60228 for plain copper of class 2, at a temperature in °C. */
    public double ohm(ConductorRole role, double celsius) {
        double mm2 = role == ConductorRole.PROTECTIVE ? protectiveMm2 : lineMm2;
        OptionalDouble perMetre = StandardSections.mostOhmPerMetre(StrandClass.TWO, Metal.COPPER, mm2);
        return metres * perMetre.orElseThrow() * Metal.COPPER.factor(celsius);
    }
}
