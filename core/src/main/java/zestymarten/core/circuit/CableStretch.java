package zestymarten.core.circuit;

import zestymarten.core.assembly.Metal;
import zestymarten.core.assembly.StrandClass;
import zestymarten.core.limit.StandardSections;
import zestymarten.core.quantity.Bounds;
import zestymarten.core.quantity.NotAccepted;

/**
 * Cable between two points of a circuit: each of its conductors of a section of its own, all of one metal.
 *
 * @param metres above 0, at most 1000
 * @param lineMm2 section of the line in mm², above 0, at most 1000
 * @param neutralMm2 section of the neutral in mm², above 0, at most 1000
 * @param protectiveMm2 section of the protective conductor in mm², above 0, at most 1000
 * @param metal copper or aluminium
 */
public record CableStretch(double metres, double lineMm2, double neutralMm2, double protectiveMm2, Metal metal) {
    private static final double MAX = 1000;

    public CableStretch {
        Bounds.aboveZero("cable_stretch.what_length", metres, MAX, "m");
        Bounds.aboveZero("cable_stretch.what_section_of_the_line", lineMm2, MAX, "mm²");
        Bounds.aboveZero("cable_stretch.what_section_of_the_neutral", neutralMm2, MAX, "mm²");
        Bounds.aboveZero("cable_stretch.what_section_of_the_protective_conductor", protectiveMm2, MAX, "mm²");
        if (!metal.equals(Metal.COPPER) && !metal.equals(Metal.ALUMINIUM)) {
            throw new NotAccepted("cable_stretch.cable_building_copper", metal.code());
        }
    }

    /** Copper, its neutral of the section of the line. */
    public CableStretch(double metres, double lineMm2, double protectiveMm2) {
        this(metres, lineMm2, lineMm2, protectiveMm2, Metal.COPPER);
    }

    /** The same cable over another length. */
    public CableStretch withMetres(double other) {
        return new CableStretch(other, lineMm2, neutralMm2, protectiveMm2, metal);
    }

    /** The same with a protective conductor of another section. */
    CableStretch withProtective(double mm2) {
        return new CableStretch(metres, lineMm2, neutralMm2, mm2, metal);
    }

    /** Whether it is another length of the same cable. */
    boolean isLike(CableStretch other) {
        return withMetres(1).equals(other.withMetres(1));
    }

    /** Resistance of one of its conductors, at most by IEC 60228 for plain conductors of class 2, at a temperature in °C. */
    public double ohm(ConductorRole role, double celsius) {
        double mm2 = switch (role) {
            case LINE, LINE_1, LINE_2, LINE_3 -> lineMm2;
            case NEUTRAL -> neutralMm2;
            case PROTECTIVE -> protectiveMm2;
        };
        double perMetre =
                StandardSections.maxOhmPerMetre(StrandClass.TWO, metal, mm2).orElseThrow();
        return metres * perMetre * metal.factor(celsius);
    }
}
