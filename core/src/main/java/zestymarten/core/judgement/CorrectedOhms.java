package zestymarten.core.judgement;

import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Reason;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.limit.InsulationLimit;
import zestymarten.core.limit.Limit;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;

/** What ohms, corrected for the leads, say of a place that should be joined or apart. */
record CorrectedOhms(double corrected, double uncertainty, TestConditions conditions) {
    /** From here up a finite reading between points that should be apart is no leak any more. */
    private static final InsulationLimit INSULATION = InsulationLimit.ofCircuit(500, false);

    /** What leads that nobody nulled may add. */
    private static final double ASSUMED_LEADS_OHM = 0.5;

    /** So much heat in one place is more than a contact or a terminal gets rid of. */
    private static final double HEATER_W = 5;

    /** What is said of them, and why. */
    record Outcome(Verdict verdict, Contact contact, Reason code, Message reason) {}

    Outcome againstNothing() {
        if (corrected < conditions.joinedBelowOhm()) {
            return new Outcome(
                    Verdict.FAIL,
                    Contact.JOINED,
                    Reason.JOINED,
                    Message.of("resistance_judge.between_two_points_that", ohms(corrected)));
        }
        if (corrected < INSULATION.minimum().value()) {
            return new Outcome(
                    Verdict.MARGINAL,
                    Contact.LEAK,
                    Reason.LEAK,
                    Message.of("resistance_judge.no_short_but_no", ohms(corrected)));
        }
        return new Outcome(
                Verdict.MARGINAL,
                Contact.APART,
                Reason.WEAK_INSULATION,
                Message.of("resistance_judge.apart_as_far_as", ohms(corrected), INSULATION.derivation()));
    }

    Outcome againstJoined(Expectation.Joined joined) {
        if (!joined.isBridged()) {
            return corrected >= conditions.joinedBelowOhm()
                    ? new Outcome(
                            Verdict.FAIL,
                            Contact.LEAK,
                            Reason.OPEN,
                            Message.of("resistance_judge.no_connection_any_more", ohms(corrected)))
                    : againstLimit(joined.limit());
        }
        Outcome outcome = againstLimit(joined.limit());
        return new Outcome(outcome.verdict(), Contact.BRIDGED, outcome.code(), outcome.reason());
    }

    private Outcome againstLimit(Limit limit) {
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
            return aboveLimit(limit);
        }
        if (corrected < low) {
            return low(limit);
        }
        if (corrected > high - uncertainty && corrected > 0) {
            return new Outcome(
                    Verdict.MARGINAL,
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
                    Verdict.MARGINAL,
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
    private Outcome aboveLimit(Limit limit) {
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

    private Outcome low(Limit limit) {
        return limit.lowGiven()
                ? new Outcome(
                        Verdict.FAIL,
                        Contact.JOINED,
                        Reason.BELOW_MINIMUM,
                        Message.of("resistance_judge.below_minimum", ohms(corrected), limit.low(), limit.derivation()))
                : new Outcome(
                        Verdict.MARGINAL,
                        Contact.JOINED,
                        Reason.BELOW_EXPECTED,
                        Message.of("resistance_judge.below_expected", ohms(corrected), limit.low()));
    }

    private static MessageArgument ohms(double value) {
        return Message.figure(value, "Ω");
    }
}
