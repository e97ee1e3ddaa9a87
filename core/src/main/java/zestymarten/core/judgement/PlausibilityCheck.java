package zestymarten.core.judgement;

import java.util.List;
import java.util.Optional;
import zestymarten.core.limit.Limit;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.MeterReading;

/**
 * The doubts to raise before a reading is kept: what was typed makes sense, but something else was probably meant. A
 * doubt is a question with the meanings to choose from; the first is always what was typed.
 */
public final class PlausibilityCheck {
    /** A figure this near the top of the range may be its end rather than a reading. */
    private static final double NEAR_TOP = 0.99;

    private static final double THOUSAND = 1000;

    private static final double LEAST_FAR_OHM = 10;

    private PlausibilityCheck() {}

    /** The reading as a question if there is a doubt about it, and about which meanings; else as it was. */
    public static MeterReading raise(MeterReading reading, Expectation expectation, TestConditions conditions) {
        if (!(reading instanceof MeterReading.Value value)) {
            return reading;
        }
        if (value.unit() != MeterReading.Unit.OHM) {
            return new MeterReading.Refused("Read " + value.text()
                    + ", but this step needs a resistance. Type what the meter shows on its resistance range.");
        }
        return nearTop(value, conditions)
                .or(() -> belowZero(value, conditions))
                .or(() -> expectation.fold(
                        joined -> isFarFromZero(joined.limit())
                                ? zero(value).or(() -> prefix(value, joined.limit(), conditions))
                                : prefix(value, joined.limit(), conditions),
                        () -> zero(value)))
                .orElse(reading);
    }

    /** What another wire near by should read. */
    public record Neighbour(String name, Limit limit) {}

    /** The same, and whether the reading would rather fit a neighbour: then a probe may be on the wrong pin. */
    public static MeterReading raise(
            MeterReading reading, Expectation expectation, TestConditions conditions, List<Neighbour> neighbours) {
        MeterReading raised = raise(reading, expectation, conditions);
        if (!raised.equals(reading)
                || !(reading instanceof MeterReading.Value value)
                || !(expectation instanceof Expectation.Joined joined)
                || fits(value.value(), joined.limit(), conditions)) {
            return raised;
        }
        return neighbours.stream()
                .filter(each -> fits(value.value(), each.limit(), conditions))
                .findFirst()
                .flatMap(each -> ask(
                        value.text() + " is not what this wire should read, but what " + each.name()
                                + " should. Are both probes on the right pins?",
                        value))
                .orElse(reading);
    }

    private static Optional<MeterReading> nearTop(MeterReading.Value value, TestConditions conditions) {
        double top = conditions.meter().topOhm();
        if (value.value() > top) {
            return Optional.of(new MeterReading.Refused("Read " + value.text() + ", but this meter ends at "
                    + EngineeringFormat.text(top, "Ω") + ". Type what it shows, or OL."));
        }
        return value.value() < NEAR_TOP * top
                ? Optional.empty()
                : ask(
                        "The range ends at " + EngineeringFormat.text(top, "Ω") + ". Is that a reading, or over-range?",
                        value,
                        new MeterReading.OverRange());
    }

    /** Whether a zero is more likely to be a mistyped over-range mark than a resistance. */
    private static boolean isFarFromZero(Limit limit) {
        return limit.low().value() >= LEAST_FAR_OHM;
    }

    private static Optional<MeterReading> zero(MeterReading.Value value) {
        return value.value() != 0
                ? Optional.empty()
                : ask("0.00 or OL? A zero here would be a dead short.", value, new MeterReading.OverRange());
    }

    /** The joined probes already read more than this; a few counts are the meter's own unrest. */
    private static Optional<MeterReading> belowZero(MeterReading.Value value, TestConditions conditions) {
        double leads = conditions.leadsOhm().orElse(0);
        double unrest = 3 * conditions.meter().resolutionOhm();
        return value.value() == 0 || value.value() >= leads - unrest
                ? Optional.empty()
                : ask(
                        value.text() + " is less than the joined probes read (" + EngineeringFormat.text(leads, "Ω")
                                + "). Keep it, or touch the probes together and measure again?",
                        value);
    }

    /** A factor of 1000 would fit the limit and the value does not. */
    private static Optional<MeterReading> prefix(MeterReading.Value value, Limit limit, TestConditions conditions) {
        if (fits(value.value(), limit, conditions)) {
            return Optional.empty();
        }
        for (double factor : new double[] {1 / THOUSAND, THOUSAND}) {
            double other = value.value() * factor;
            boolean like = limit.nominal().map(n -> other >= n.value() / 2).orElse(factor > 1);
            if (like && fits(other, limit, conditions)) {
                return ask(
                        value.text() + " or " + EngineeringFormat.text(other, "Ω")
                                + "? The second would fit what this wire should" + " read.",
                        value,
                        MeterReading.Value.ohms(other));
            }
        }
        return Optional.empty();
    }

    private static boolean fits(double readOhm, Limit limit, TestConditions conditions) {
        double corrected = conditions.corrected(readOhm).value();
        return corrected >= limit.low().value() && corrected <= limit.high().value();
    }

    private static Optional<MeterReading> ask(String question, MeterReading... meanings) {
        return Optional.of(new MeterReading.Ambiguous(List.of(meanings), question));
    }
}
