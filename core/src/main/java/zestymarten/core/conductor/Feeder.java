package zestymarten.core.conductor;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.OptionalDouble;
import zestymarten.core.assembly.Metal;
import zestymarten.core.assembly.StrandClass;
import zestymarten.core.limit.StandardSections;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;
import zestymarten.core.quantity.NotAccepted;

/**
 * A conductor, or two in a loop, of which two of length, section and ohms are known: the third follows, and where all three are
 * known, whether they can be true together.
 *
 * @param lengthM of the cable, above 0; a loop goes there and back
 * @param areaMm2 declared; empty where nobody says
 * @param ohm measured; empty where nobody has
 * @param loop whether the resistance is of both cores, joined at the far end
 * @param celsius temperature at which it was measured
 */
public record Feeder(
        Metal metal,
        StrandClass strandClass,
        OptionalDouble lengthM,
        OptionalDouble areaMm2,
        OptionalDouble ohm,
        boolean loop,
        double celsius) {
    /** Below this share of what it should have, something else carries the current, or it is thicker. */
    private static final double TOO_GOOD = 0.8;

    private static final Metal ALUMINIUM = Metal.of("aluminium").orElseThrow();

    public Feeder {
        long known = List.of(lengthM, areaMm2, ohm).stream()
                .filter(OptionalDouble::isPresent)
                .count();
        if (known < 2) {
            throw new NotAccepted("feeder.two_length_section");
        }
        for (OptionalDouble each : List.of(lengthM, areaMm2, ohm)) {
            if (each.isPresent() && !(each.getAsDouble() > 0 && each.getAsDouble() < 1e7)) {
                throw new NotAccepted("feeder.length_section_resistance", each.getAsDouble());
            }
        }
    }

    /** Whether what is declared and what was measured fit each other. */
    public enum Fit {
        /** Only two figures are known. */
        NOT_ASKED,
        FITS,
        /** More ohms than the standard allows for it: thinner, of another metal, or with bad joints. */
        TOO_MANY_OHMS,
        /** Far fewer than it should have: thicker, shorter, or something beside it carries the current. */
        TOO_FEW_OHMS
    }

    private double ways() {
        return loop ? 2 : 1;
    }

    private double perMetreAndMm2() {
        return metal.resistivity() * metal.factor(celsius);
    }

    /** Metres of cable, known or implied. */
    public double metres() {
        return lengthM.isPresent()
                ? lengthM.getAsDouble()
                : ohm.orElseThrow() * areaMm2.orElseThrow() / perMetreAndMm2() / ways();
    }

    /** Metres of core that the resistance is of. */
    public double pathM() {
        return metres() * ways();
    }

    /** Resistance that was measured, else that to be expected at that temperature. */
    public double ohms() {
        return ohm.orElseGet(this::nominalOhm);
    }

    private double nominalOhm() {
        return perMetreAndMm2() * pathM() / areaMm2.orElseThrow();
    }

    /** The section that the resistance implies in a metal, in mm²; the declared one where nothing was measured. */
    public double impliedMm2(Metal other) {
        return ohm.isPresent()
                ? FeederWire.impliedMm2(other, pathM(), ohm.getAsDouble(), celsius)
                : areaMm2.orElseThrow();
    }

    /**
     * The temperature in °C at which the declared section would have the measured ohms; empty unless length, section and ohms
     * are known, and where it is outside -50 to 150 °C: then something else explains them.
     */
    public OptionalDouble impliedCelsius() {
        if (fit() == Fit.NOT_ASKED) {
            return OptionalDouble.empty();
        }
        double times = ohm.orElseThrow() * areaMm2.orElseThrow() / (metal.resistivity() * pathM());
        double implied = 20 + (times - 1) / metal.coefficient();
        return implied >= -50 && implied <= 150 ? OptionalDouble.of(implied) : OptionalDouble.empty();
    }

    /** The section to calculate with: what the resistance implies where it was measured. */
    public double effectiveMm2() {
        return impliedMm2(metal);
    }

    /** The highest resistance that the standard allows; empty without a declared section, or without a table. */
    public OptionalDouble maxOhm() {
        if (areaMm2.isEmpty()) {
            return OptionalDouble.empty();
        }
        OptionalDouble perMetre = StandardSections.maxOhmPerMetre(strandClass, metal, areaMm2.getAsDouble());
        return perMetre.isPresent()
                ? OptionalDouble.of(perMetre.getAsDouble() * pathM() * metal.factor(celsius))
                : OptionalDouble.empty();
    }

    public Fit fit() {
        if (areaMm2.isEmpty() || ohm.isEmpty() || lengthM.isEmpty()) {
            return Fit.NOT_ASKED;
        }
        double maximum = maxOhm().orElse(nominalOhm() / TOO_GOOD);
        if (ohm.getAsDouble() > maximum) {
            return Fit.TOO_MANY_OHMS;
        }
        return ohm.getAsDouble() < TOO_GOOD * nominalOhm() ? Fit.TOO_FEW_OHMS : Fit.FITS;
    }

    /** What it is, for a person without formulas. */
    public Message says() {
        MessageArgument ohms = Message.figure(ohms(), "Ω");
        return switch (fit()) {
            case NOT_ASKED ->
                areaMm2.isEmpty()
                        ? Message.of("feeder.resistance_fits", section(metal))
                        : lengthM.isEmpty()
                                ? Message.of("feeder.this_resistance_gives_about", Message.figure(metres(), "m"))
                                : Message.of("feeder.should_read_about", ohms, maximum());
            case FITS -> Message.of("feeder.what_says", ohms, maximum());
            case TOO_MANY_OHMS ->
                Message.of(
                        "feeder.not_what_says_resistance",
                        ohms,
                        maximum(),
                        section(metal),
                        four(impliedMm2(other())),
                        other().words());
            case TOO_FEW_OHMS ->
                Message.of("feeder.resistance_lower_than_copper", ohms, Message.figure(nominalOhm(), "Ω"));
        };
    }

    private Metal other() {
        return metal.equals(ALUMINIUM) ? Metal.COPPER : ALUMINIUM;
    }

    private Message maximum() {
        OptionalDouble maximum = maxOhm();
        return maximum.isPresent()
                ? Message.of(
                        "feeder.most_by",
                        Message.figure(maximum.getAsDouble(), "Ω"),
                        strandClass == StrandClass.VEHICLE)
                : Message.NONE;
    }

    private Message section(Metal of) {
        List<Double> around = StandardSections.around(strandClass, of, impliedMm2(of));
        Message nearest = around.isEmpty()
                ? Message.NONE
                : Message.of(
                        "feeder.listed_mm",
                        around.stream().map(each -> Message.figure(each, "")).toList());
        return Message.of("feeder.mm", four(impliedMm2(of)), of.words(), nearest);
    }

    /** Four figures of it, without a prefix. */
    static String four(double value) {
        return new BigDecimal(value, new MathContext(4)).stripTrailingZeros().toPlainString();
    }
}
