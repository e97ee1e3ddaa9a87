package zestymarten.core.judgement;

import java.util.OptionalDouble;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Reason;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.limit.InsulationLimit;
import zestymarten.core.limit.Limit;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.EngineeringFormat;
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
                    value.text() + " is less than the test leads alone ("
                            + ohms(conditions.leadsOhm().orElse(0))
                            + "). Touch the probes together, null them again and repeat the measurement.");
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

    private record Outcome(Verdict verdict, Contact contact, Reason code, String reason) {}

    private Outcome againstNothing(double corrected) {
        if (corrected < conditions.joinedBelowOhm()) {
            return new Outcome(
                    Verdict.FAIL,
                    Contact.JOINED,
                    Reason.JOINED,
                    ohms(corrected) + " between two points that should be apart: joined.");
        }
        if (corrected < INSULATION.least().value()) {
            return new Outcome(
                    Verdict.WATCH,
                    Contact.LEAK,
                    Reason.LEAK,
                    ohms(corrected) + " is no short, but no clean gap either. An insulation tester decides.");
        }
        return new Outcome(
                Verdict.WATCH,
                Contact.APART,
                Reason.WEAK_INSULATION,
                ohms(corrected) + " is apart as far as an ohmmeter tells, which says little of insulation. "
                        + INSULATION.derivation() + " An insulation tester decides.");
    }

    private Outcome againstJoined(double corrected, double uncertainty, Expectation.Joined joined) {
        if (!joined.isBridged()) {
            return corrected >= conditions.joinedBelowOhm()
                    ? new Outcome(
                            Verdict.FAIL, Contact.LEAK, Reason.OPEN, ohms(corrected) + " is no connection any more.")
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
                    ohms(corrected) + " is within ± " + ohms(uncertainty) + " of the limit "
                            + ohms(guardedLow ? low : high)
                            + ": a four-wire measurement, a lower range or a fresh null would decide it. "
                            + limit.derivation());
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
                    ohms(corrected) + " passes, but is within ± " + ohms(uncertainty) + " of the limit " + ohms(high)
                            + ".");
        }
        double heatW = corrected * limit.carriesA().orElse(0) * limit.carriesA().orElse(0);
        if (heatW > HEATER_W) {
            return new Outcome(
                    Verdict.WATCH,
                    Contact.JOINED,
                    Reason.HEATS,
                    ohms(corrected) + " is within the " + limit.rule().words() + " of " + ohms(high) + ", but at "
                            + EngineeringFormat.text(limit.carriesA().getAsDouble(), "A") + " it makes "
                            + EngineeringFormat.text(heatW, "W")
                            + " of heat: a fire if that is in one place. Enter the length and section of this wire, or the"
                            + " heat or drop that is allowed.");
        }
        return new Outcome(
                Verdict.PASS,
                Contact.JOINED,
                Reason.WITHIN_LIMIT,
                ohms(corrected) + " is within the limit of " + ohms(high) + "." + caution(limit));
    }

    /** Without a null the leads may be what is too much. */
    private Outcome aboveLimit(double corrected, Limit limit) {
        double high = limit.high().value();
        if (conditions.leadsOhm().isEmpty() && corrected - ASSUMED_LEADS_OHM <= high) {
            return new Outcome(
                    Verdict.UNDECIDED,
                    Contact.JOINED,
                    Reason.LEADS_UNKNOWN,
                    ohms(corrected) + " is more than " + ohms(high)
                            + ", but the test leads were not nulled and may add up to " + ohms(ASSUMED_LEADS_OHM)
                            + ". Null them and measure again. " + limit.derivation());
        }
        return new Outcome(
                Verdict.FAIL,
                Contact.JOINED,
                Reason.ABOVE_LIMIT,
                ohms(corrected) + " is more than " + ohms(high) + ". " + limit.derivation() + caution(limit));
    }

    private String caution(Limit limit) {
        return conditions.leadsCaution(limit.high()).map(each -> " " + each).orElse("");
    }

    private static Outcome low(double corrected, Limit limit) {
        String reason = ohms(corrected) + " is less than " + ohms(limit.low().value());
        return limit.lowGiven()
                ? new Outcome(Verdict.FAIL, Contact.JOINED, Reason.BELOW_MINIMUM, reason + ". " + limit.derivation())
                : new Outcome(
                        Verdict.WATCH,
                        Contact.JOINED,
                        Reason.BELOW_EXPECTED,
                        reason + ", 0.8 of what this wire should read: thicker or shorter than declared, or bridged.");
    }

    @Override
    public Judgement overRange() {
        String top = ohms(conditions.meter().topOhm());
        return expectation.fold(
                joined -> plain(
                        Verdict.FAIL,
                        Contact.APART,
                        Reason.OPEN,
                        "Open: more than " + top + " where a wire should be."),
                () -> plain(Verdict.PASS, Contact.APART, Reason.APART, "Apart: more than " + top + "."));
    }

    @Override
    public Judgement above(MeterReading.Above above) {
        String figure = ohms(above.value());
        boolean apart = above.value() >= conditions.joinedBelowOhm();
        return expectation.fold(
                joined -> apart
                        ? plain(
                                Verdict.FAIL,
                                Contact.APART,
                                Reason.OPEN,
                                "Open: more than " + figure + " where a wire should be.")
                        : plain(
                                Verdict.UNDECIDED,
                                Contact.UNKNOWN,
                                Reason.NEXT_RANGE,
                                "More than " + figure + " says only that. Read it on the next range."),
                () -> apart
                        ? plain(Verdict.PASS, Contact.APART, Reason.APART, "Apart: more than " + figure + ".")
                        : plain(
                                Verdict.UNDECIDED,
                                Contact.UNKNOWN,
                                Reason.NEXT_RANGE,
                                "More than " + figure + " does not rule a connection out. Read it on the next range."));
    }

    @Override
    public Judgement below(MeterReading.Below below) {
        String figure = ohms(below.value());
        return expectation.fold(
                joined -> below.value() <= joined.limit().high().value()
                        ? plain(
                                Verdict.PASS,
                                Contact.JOINED,
                                Reason.WITHIN_LIMIT,
                                "Less than " + figure + " is within the limit of "
                                        + ohms(joined.limit().high().value()) + ".")
                        : plain(
                                Verdict.UNDECIDED,
                                Contact.UNKNOWN,
                                Reason.NEXT_RANGE,
                                "Less than " + figure + " does not settle a limit of "
                                        + ohms(joined.limit().high().value()) + ". Read the figure."),
                () -> below.value() <= conditions.joinedBelowOhm()
                        ? plain(
                                Verdict.FAIL,
                                Contact.JOINED,
                                Reason.JOINED,
                                "Less than " + figure + " between two points that should be" + " apart: joined.")
                        : plain(
                                Verdict.UNDECIDED,
                                Contact.UNKNOWN,
                                Reason.NEXT_RANGE,
                                "Less than " + figure + " settles nothing. Read the" + " figure."));
    }

    @Override
    public Judgement tone() {
        String threshold = ohms(conditions.meter().toneBelowOhm());
        return expectation.fold(
                joined -> joined.needsOhms()
                        ? plain(
                                Verdict.UNDECIDED,
                                Contact.JOINED,
                                Reason.TONE_ONLY,
                                "A tone is not a reading: the meter beeps up to about " + threshold
                                        + ", and this wire carries" + " current. Enter the resistance.")
                        : plain(
                                Verdict.PASS,
                                Contact.JOINED,
                                Reason.TONE,
                                "Tone: below about " + threshold
                                        + ". Enough for a signal; its resistance is not shown."),
                () -> plain(
                        Verdict.FAIL,
                        Contact.JOINED,
                        Reason.JOINED,
                        "A tone between two points that should be apart: joined."));
    }

    @Override
    public Judgement silent() {
        String threshold = ohms(conditions.meter().toneBelowOhm());
        boolean above = expectation instanceof Expectation.Joined joined
                && joined.limit().high().value() > conditions.meter().toneBelowOhm();
        if (above) {
            return plain(
                    Verdict.UNDECIDED,
                    Contact.UNKNOWN,
                    Reason.TONE_ONLY,
                    "Silent: not below " + threshold + ", which a good one may not be either. Type the resistance.");
        }
        return expectation.fold(
                joined -> plain(
                        Verdict.FAIL,
                        Contact.APART,
                        Reason.OPEN,
                        "Silent: not below " + threshold + " where a wire should be."),
                () -> plain(
                        Verdict.PASS,
                        Contact.APART,
                        Reason.SILENT,
                        "Silent: nothing below " + threshold + ". A weaker connection is not ruled out."));
    }

    @Override
    public Judgement unstable(MeterReading.Unstable unstable) {
        return plain(
                Verdict.FAIL,
                Contact.UNSTABLE,
                Reason.UNSTABLE,
                "It " + unstable.text() + ": a broken core whose ends still touch, or a loose contact.");
    }

    @Override
    public Judgement ambiguous(MeterReading.Ambiguous ambiguous) {
        return plain(Verdict.DOUBTFUL, Contact.UNKNOWN, Reason.ASKED, ambiguous.question());
    }

    @Override
    public Judgement refused(MeterReading.Refused refused) {
        return plain(Verdict.DOUBTFUL, Contact.UNKNOWN, Reason.REFUSED, refused.message());
    }

    private static Judgement plain(Verdict verdict, Contact contact, Reason code, String reason) {
        return new Judgement(verdict, contact, code, reason, OptionalDouble.empty(), OptionalDouble.empty());
    }

    private static String ohms(double value) {
        return EngineeringFormat.text(value, "Ω");
    }
}
