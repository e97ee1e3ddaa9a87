package zestymarten.core.judgement;

import java.util.List;
import java.util.Optional;
import zestymarten.core.limit.Limit;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;

/**
 * The doubts to raise before a reading is kept: what was typed makes sense, but something else was probably meant. A
 * doubt is a question with the meanings to choose from; the first is always what was typed.
 */
public final class PlausibilityCheck {
    /** A figure this near the top of the range may be its end rather than a reading. */
    private static final double NEAR_TOP = 0.99;

    private static final double THOUSAND = 1000;

    private static final double MIN_FAR_OHM = 10;

    private PlausibilityCheck() {}

    /** The reading as a question if there is a doubt about it, and about which meanings; else as it was. */
    public static MeterReading raise(MeterReading reading, Expectation expectation, TestConditions conditions) {
        if (!(reading instanceof MeterReading.Value value)) {
            return reading;
        }
        if (value.unit() != MeterReading.Unit.OHM) {
            return new MeterReading.Refused(Message.of("plausibility_check.read_but_this_step", value));
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
                .<MeterReading>flatMap(
                        each -> ask(Message.of("plausibility_check.not_what_this_wire", value, each.name()), value))
                .orElse(reading);
    }

    private static Optional<MeterReading> nearTop(MeterReading.Value value, TestConditions conditions) {
        double top = conditions.meter().topOhm();
        if (value.value() > top) {
            return Optional.of(new MeterReading.Refused(
                    Message.of("plausibility_check.read_but_this_meter", value, Message.figure(top, "Ω"))));
        }
        return value.value() < NEAR_TOP * top
                ? Optional.empty()
                : ask(
                        Message.of("plausibility_check.range_ends_that_reading", Message.figure(top, "Ω")),
                        value,
                        new MeterReading.OverRange());
    }

    /** Whether a zero is more likely to be a mistyped over-range mark than a resistance. */
    private static boolean isFarFromZero(Limit limit) {
        return limit.low().value() >= MIN_FAR_OHM;
    }

    private static Optional<MeterReading> zero(MeterReading.Value value) {
        return value.value() != 0
                ? Optional.empty()
                : ask(Message.of("plausibility_check.or_ol_zero_here"), value, new MeterReading.OverRange());
    }

    /** The joined probes already read more than this; a few counts are the meter's own unrest. */
    private static Optional<MeterReading> belowZero(MeterReading.Value value, TestConditions conditions) {
        double leads = conditions.leadsOhm().orElse(0);
        double unrest = 3 * conditions.meter().resolutionOhm();
        return value.value() == 0 || value.value() >= leads - unrest
                ? Optional.empty()
                : ask(
                        Message.of("plausibility_check.less_than_joined_probes", value, Message.figure(leads, "Ω")),
                        value);
    }

    /** A factor of 1000 would fit the limit and the value does not. */
    private static Optional<MeterReading> prefix(MeterReading.Value value, Limit limit, TestConditions conditions) {
        if (fits(value.value(), limit, conditions)) {
            return Optional.empty();
        }
        for (double factor : new double[] {1 / THOUSAND, THOUSAND}) {
            double other = value.value() * factor;
            boolean seen = other >= conditions.meter().resolutionOhm(); // no meter shows less than its last digit
            boolean like =
                    seen && limit.nominal().map(n -> other >= n.value() / 2).orElse(factor > 1);
            if (like && fits(other, limit, conditions)) {
                return ask(
                        Message.of("plausibility_check.or_second_would_fit", value, Message.figure(other, "Ω")),
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

    private static Optional<MeterReading> ask(Message question, MeterReading... meanings) {
        return Optional.of(new MeterReading.Ambiguous(List.of(meanings), question));
    }
}
