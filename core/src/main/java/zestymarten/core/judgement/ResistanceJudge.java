package zestymarten.core.judgement;

import java.util.OptionalDouble;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Reason;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.limit.InsulationLimit;
import zestymarten.core.limit.Limit;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;
import zestymarten.core.quantity.MeterReading;

/**
 * Judges one reading against one expectation.
 *
 * <p>Method: the reading is corrected for the leads; below {@link TestConditions#joinedBelowOhm} it joins its terminals. The
 * simple rule passes up to the limit and says <em>watch</em> within the uncertainty U of it; the guarded rule passes only
 * if reading + U is within, fails only if reading - U is beyond, and is <em>undecided</em> between. Cost: constant.
 */
public final class ResistanceJudge implements MeterReading.ReadingCases<Judgement> {
    /** From here up a finite reading between points that should be apart is no leak any more. */
    private static final InsulationLimit INSULATION = InsulationLimit.ofCircuit(500, false);

    /** What leads that nobody nulled may add. */
    private static final double ASSUMED_LEADS_OHM = 0.5;

    /** So much heat in one place is more than a contact or a terminal gets rid of. */
    private static final double HEATER_W = 5;

    private static final double ROUNDING = 1e-9;

    private final Expectation expectation;
    private final TestConditions conditions;

    private ResistanceJudge(Expectation expectation, TestConditions conditions) {
        this.expectation = expectation;
        this.conditions = conditions;
    }

    public static Judgement judge(MeterReading reading, Expectation expectation, TestConditions conditions) {
        return reading.fold(new ResistanceJudge(expectation, conditions));
    }

    @Override
    public Judgement value(MeterReading.Value value) {
        if (isBelowLeads(value.value())) {
            return plain(
                    Verdict.DOUBTFUL,
                    Contact.UNKNOWN,
                    Reason.BELOW_LEADS,
                    Message.of(
                            "resistance_judge.less_than_test_leads",
                            value,
                            ohms(conditions.leadsOhm().orElse(0))));
        }
        double corrected = conditions.corrected(value.value()).value();
        double uncertainty = conditions.uncertaintyOhm(value.value());
        Outcome outcome = expectation.fold(
                joined -> againstJoined(corrected, uncertainty, joined), () -> againstNothing(corrected));
        return new Judgement(
                outcome.verdict(),
                outcome.contact(),
                outcome.code(),
                outcome.reason(),
                OptionalDouble.of(corrected),
                OptionalDouble.of(uncertainty));
    }

    /** Three counts are the meter's own unrest. */
    private boolean isBelowLeads(double readOhm) {
        return conditions.leadsOhm().orElse(0) - readOhm
                > 3 * conditions.meter().resolutionOhm() + ROUNDING;
    }

    private record Outcome(Verdict verdict, Contact contact, Reason code, Message reason) {}

    private Outcome againstNothing(double corrected) {
        if (corrected < conditions.joinedBelowOhm()) {
            return new Outcome(
                    Verdict.FAIL,
                    Contact.JOINED,
                    Reason.JOINED,
                    Message.of("resistance_judge.between_two_points_that", ohms(corrected)));
        }
        if (corrected < INSULATION.least().value()) {
            return new Outcome(
                    Verdict.WATCH,
                    Contact.LEAK,
                    Reason.LEAK,
                    Message.of("resistance_judge.no_short_but_no", ohms(corrected)));
        }
        return new Outcome(
                Verdict.WATCH,
                Contact.APART,
                Reason.WEAK_INSULATION,
                Message.of("resistance_judge.apart_as_far_as", ohms(corrected), INSULATION.derivation()));
    }

    private Outcome againstJoined(double corrected, double uncertainty, Expectation.Joined joined) {
        if (!joined.isBridged()) {
            return corrected >= conditions.joinedBelowOhm()
                    ? new Outcome(
                            Verdict.FAIL,
                            Contact.LEAK,
                            Reason.OPEN,
                            Message.of("resistance_judge.no_connection_any_more", ohms(corrected)))
                    : againstLimit(corrected, uncertainty, joined.limit());
        }
        Outcome outcome = againstLimit(corrected, uncertainty, joined.limit());
        return new Outcome(outcome.verdict(), Contact.BRIDGED, outcome.code(), outcome.reason());
    }

    private Outcome againstLimit(double corrected, double uncertainty, Limit limit) {
        double high = limit.high().value();
        double low = limit.low().value();
        boolean guardedLow = limit.lowGiven() && low > 0 && Math.abs(corrected - low) < uncertainty;
        if (conditions.guarded() && (Math.abs(corrected - high) < uncertainty || guardedLow)) {
            return new Outcome(
                    Verdict.UNDECIDED,
                    Contact.JOINED,
                    Reason.NEAR_LIMIT,
                    Message.of(
                            "resistance_judge.within_limit_four_wire",
                            ohms(corrected),
                            ohms(uncertainty),
                            ohms(guardedLow ? low : high),
                            limit.derivation()));
        }
        if (corrected > high) {
            return aboveLimit(corrected, limit);
        }
        if (corrected < low) {
            return low(corrected, limit);
        }
        if (corrected > high - uncertainty && corrected > 0) {
            return new Outcome(
                    Verdict.WATCH,
                    Contact.JOINED,
                    Reason.NEAR_LIMIT,
                    Message.of(
                            "resistance_judge.passes_but_within_limit",
                            ohms(corrected),
                            ohms(uncertainty),
                            ohms(high)));
        }
        double heatW = corrected * limit.carriesA().orElse(0) * limit.carriesA().orElse(0);
        if (heatW > HEATER_W) {
            return new Outcome(
                    Verdict.WATCH,
                    Contact.JOINED,
                    Reason.HEATS,
                    Message.of(
                            "resistance_judge.within_but_makes_heat",
                            ohms(corrected),
                            limit.rule().words(),
                            ohms(high),
                            Message.figure(limit.carriesA().getAsDouble(), "A"),
                            Message.figure(heatW, "W")));
        }
        return new Outcome(
                Verdict.PASS,
                Contact.JOINED,
                Reason.WITHIN_LIMIT,
                Message.of("resistance_judge.within_limit", ohms(corrected), ohms(high), caution(limit)));
    }

    /** Without a null the leads may be what is too much. */
    private Outcome aboveLimit(double corrected, Limit limit) {
        double high = limit.high().value();
        if (conditions.leadsOhm().isEmpty() && corrected - ASSUMED_LEADS_OHM <= high) {
            return new Outcome(
                    Verdict.UNDECIDED,
                    Contact.JOINED,
                    Reason.LEADS_UNKNOWN,
                    Message.of(
                            "resistance_judge.more_than_but_test",
                            ohms(corrected),
                            ohms(high),
                            ohms(ASSUMED_LEADS_OHM),
                            limit.derivation()));
        }
        return new Outcome(
                Verdict.FAIL,
                Contact.JOINED,
                Reason.ABOVE_LIMIT,
                Message.of(
                        "resistance_judge.more_than", ohms(corrected), ohms(high), limit.derivation(), caution(limit)));
    }

    private Message caution(Limit limit) {
        return conditions.leadsCaution(limit.high()).orElse(Message.NONE);
    }

    private static Outcome low(double corrected, Limit limit) {
        return limit.lowGiven()
                ? new Outcome(
                        Verdict.FAIL,
                        Contact.JOINED,
                        Reason.BELOW_MINIMUM,
                        Message.of("resistance_judge.below_minimum", ohms(corrected), limit.low(), limit.derivation()))
                : new Outcome(
                        Verdict.WATCH,
                        Contact.JOINED,
                        Reason.BELOW_EXPECTED,
                        Message.of("resistance_judge.below_expected", ohms(corrected), limit.low()));
    }

    @Override
    public Judgement overRange() {
        MessageArgument top = ohms(conditions.meter().topOhm());
        return expectation.fold(
                joined -> plain(
                        Verdict.FAIL,
                        Contact.APART,
                        Reason.OPEN,
                        Message.of("resistance_judge.open_more_than_where", top)),
                () -> plain(
                        Verdict.PASS,
                        Contact.APART,
                        Reason.APART,
                        Message.of("resistance_judge.apart_more_than", top)));
    }

    @Override
    public Judgement above(MeterReading.Above above) {
        MessageArgument figure = ohms(above.value());
        boolean apart = above.value() >= conditions.joinedBelowOhm();
        return expectation.fold(
                joined -> apart
                        ? plain(
                                Verdict.FAIL,
                                Contact.APART,
                                Reason.OPEN,
                                Message.of("resistance_judge.open_more_than_where", figure))
                        : plain(
                                Verdict.UNDECIDED,
                                Contact.UNKNOWN,
                                Reason.NEXT_RANGE,
                                Message.of("resistance_judge.more_than_says_only", figure)),
                () -> apart
                        ? plain(
                                Verdict.PASS,
                                Contact.APART,
                                Reason.APART,
                                Message.of("resistance_judge.apart_more_than", figure))
                        : plain(
                                Verdict.UNDECIDED,
                                Contact.UNKNOWN,
                                Reason.NEXT_RANGE,
                                Message.of("resistance_judge.more_than_does_not", figure)));
    }

    @Override
    public Judgement below(MeterReading.Below below) {
        MessageArgument figure = ohms(below.value());
        return expectation.fold(
                joined -> below.value() <= joined.limit().high().value()
                        ? plain(
                                Verdict.PASS,
                                Contact.JOINED,
                                Reason.WITHIN_LIMIT,
                                Message.of(
                                        "resistance_judge.less_than_within_limit",
                                        figure,
                                        ohms(joined.limit().high().value())))
                        : plain(
                                Verdict.UNDECIDED,
                                Contact.UNKNOWN,
                                Reason.NEXT_RANGE,
                                Message.of(
                                        "resistance_judge.less_than_does_not",
                                        figure,
                                        ohms(joined.limit().high().value()))),
                () -> below.value() <= conditions.joinedBelowOhm()
                        ? plain(
                                Verdict.FAIL,
                                Contact.JOINED,
                                Reason.JOINED,
                                Message.of("resistance_judge.less_than_between_two", figure))
                        : plain(
                                Verdict.UNDECIDED,
                                Contact.UNKNOWN,
                                Reason.NEXT_RANGE,
                                Message.of("resistance_judge.less_than_settles_nothing", figure)));
    }

    @Override
    public Judgement tone() {
        MessageArgument threshold = ohms(conditions.meter().toneBelowOhm());
        return expectation.fold(
                joined -> joined.needsOhms()
                        ? plain(
                                Verdict.UNDECIDED,
                                Contact.JOINED,
                                Reason.TONE_ONLY,
                                Message.of("resistance_judge.tone_not_reading_meter", threshold))
                        : plain(
                                Verdict.PASS,
                                Contact.JOINED,
                                Reason.TONE,
                                Message.of("resistance_judge.tone_below_about_enough", threshold)),
                () -> plain(
                        Verdict.FAIL,
                        Contact.JOINED,
                        Reason.JOINED,
                        Message.of("resistance_judge.tone_between_two_points")));
    }

    @Override
    public Judgement silent() {
        MessageArgument threshold = ohms(conditions.meter().toneBelowOhm());
        boolean above = expectation instanceof Expectation.Joined joined
                && joined.limit().high().value() > conditions.meter().toneBelowOhm();
        if (above) {
            return plain(
                    Verdict.UNDECIDED,
                    Contact.UNKNOWN,
                    Reason.TONE_ONLY,
                    Message.of("resistance_judge.silent_not_below_which", threshold));
        }
        return expectation.fold(
                joined -> plain(
                        Verdict.FAIL,
                        Contact.APART,
                        Reason.OPEN,
                        Message.of("resistance_judge.silent_not_below_where", threshold)),
                () -> plain(
                        Verdict.PASS,
                        Contact.APART,
                        Reason.SILENT,
                        Message.of("resistance_judge.silent_nothing_below_weaker", threshold)));
    }

    @Override
    public Judgement unstable(MeterReading.Unstable unstable) {
        return plain(
                Verdict.FAIL,
                Contact.UNSTABLE,
                Reason.UNSTABLE,
                Message.of("resistance_judge.broken_core_whose_ends", unstable));
    }

    @Override
    public Judgement ambiguous(MeterReading.Ambiguous ambiguous) {
        return plain(Verdict.DOUBTFUL, Contact.UNKNOWN, Reason.ASKED, ambiguous.question());
    }

    @Override
    public Judgement refused(MeterReading.Refused refused) {
        return plain(Verdict.DOUBTFUL, Contact.UNKNOWN, Reason.REFUSED, refused.message());
    }

    private static Judgement plain(Verdict verdict, Contact contact, Reason code, Message reason) {
        return new Judgement(verdict, contact, code, reason, OptionalDouble.empty(), OptionalDouble.empty());
    }

    private static MessageArgument ohms(double value) {
        return Message.figure(value, "Ω");
    }
}
