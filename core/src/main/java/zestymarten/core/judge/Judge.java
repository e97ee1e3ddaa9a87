package zestymarten.core.judge;

import java.util.OptionalDouble;
import zestymarten.core.judge.Judgement.Contact;
import zestymarten.core.judge.Judgement.Verdict;
import zestymarten.core.limit.InsulationLimit;
import zestymarten.core.limit.Limit;
import zestymarten.core.meter.Conditions;
import zestymarten.core.quantity.Engineering;
import zestymarten.core.quantity.Understood;

/**
 * Judges one reading against one expectation.
 *
 * <p>Method: the reading is corrected for the leads; below {@link Conditions#joinedBelowOhm} it joins its terminals. The
 * simple rule passes up to the limit and says <em>watch</em> within the uncertainty U of it; the guarded rule passes only
 * if reading + U is within, fails only if reading - U is beyond, and is <em>undecided</em> between. Cost: constant.
 */
public final class Judge implements Understood.Cases<Judgement> {
    /** From here up a finite reading between points that should be apart is no leak any more. */
    private static final InsulationLimit INSULATION = InsulationLimit.ofCircuit(500, false);

    private final Expectation expectation;
    private final Conditions conditions;

    private Judge(Expectation expectation, Conditions conditions) {
        this.expectation = expectation;
        this.conditions = conditions;
    }

    public static Judgement judge(Understood reading, Expectation expectation, Conditions conditions) {
        return reading.fold(new Judge(expectation, conditions));
    }

    @Override
    public Judgement value(Understood.Value value) {
        double corrected = conditions.corrected(value.value()).value();
        double uncertainty = conditions.uncertaintyOhm(value.value());
        Outcome outcome = expectation.fold(
                joined -> againstJoined(corrected, uncertainty, joined), () -> againstNothing(corrected));
        return new Judgement(
                outcome.verdict(),
                outcome.contact(),
                outcome.reason(),
                OptionalDouble.of(corrected),
                OptionalDouble.of(uncertainty));
    }

    private record Outcome(Verdict verdict, Contact contact, String reason) {}

    private Outcome againstNothing(double corrected) {
        if (corrected < conditions.joinedBelowOhm()) {
            return new Outcome(
                    Verdict.FAIL,
                    Contact.JOINED,
                    ohms(corrected) + " between two points that should be apart: joined.");
        }
        if (corrected < INSULATION.least().value()) {
            return new Outcome(
                    Verdict.WATCH,
                    Contact.LEAK,
                    ohms(corrected) + " is no short, but no clean gap either. An insulation tester decides.");
        }
        return new Outcome(
                Verdict.WATCH,
                Contact.APART,
                ohms(corrected) + " is apart as far as an ohmmeter tells, which says little of insulation. "
                        + INSULATION.derivation() + " An insulation tester decides.");
    }

    private Outcome againstJoined(double corrected, double uncertainty, Expectation.Joined joined) {
        if (!joined.isBridged()) {
            return corrected >= conditions.joinedBelowOhm()
                    ? new Outcome(Verdict.FAIL, Contact.LEAK, ohms(corrected) + " is no connection any more.")
                    : againstLimit(corrected, uncertainty, joined.limit());
        }
        Outcome outcome = againstLimit(corrected, uncertainty, joined.limit());
        return new Outcome(outcome.verdict(), Contact.BRIDGED, outcome.reason());
    }

    private Outcome againstLimit(double corrected, double uncertainty, Limit limit) {
        double high = limit.high().value();
        if (conditions.guarded() && Math.abs(corrected - high) < uncertainty) {
            return new Outcome(
                    Verdict.UNDECIDED,
                    Contact.JOINED,
                    ohms(corrected) + " is within ± " + ohms(uncertainty) + " of the limit " + ohms(high)
                            + ": a four-wire reading, a lower range or a fresh zero would decide it. "
                            + limit.derivation());
        }
        if (corrected > high) {
            return new Outcome(
                    Verdict.FAIL,
                    Contact.JOINED,
                    ohms(corrected) + " is more than " + ohms(high) + ". " + limit.derivation());
        }
        if (corrected < limit.low().value()) {
            return low(corrected, limit);
        }
        if (corrected > high - uncertainty && corrected > 0) {
            return new Outcome(
                    Verdict.WATCH,
                    Contact.JOINED,
                    ohms(corrected) + " passes, but is within ± " + ohms(uncertainty) + " of the limit " + ohms(high)
                            + ".");
        }
        return new Outcome(
                Verdict.PASS,
                Contact.JOINED,
                ohms(corrected) + " is within the limit of " + ohms(high) + "."
                        + conditions
                                .leadsCaution(limit.high())
                                .map(caution -> " " + caution)
                                .orElse(""));
    }

    private static Outcome low(double corrected, Limit limit) {
        String reason = ohms(corrected) + " is less than " + ohms(limit.low().value());
        return limit.lowGiven()
                ? new Outcome(Verdict.FAIL, Contact.JOINED, reason + ". " + limit.derivation())
                : new Outcome(
                        Verdict.WATCH,
                        Contact.JOINED,
                        reason + ", 0.8 of what this wire should read: thicker or shorter than declared, or bridged.");
    }

    @Override
    public Judgement overRange() {
        String top = ohms(conditions.meter().topOhm());
        return expectation.fold(
                joined -> plain(Verdict.FAIL, Contact.APART, "Open: more than " + top + " where a wire should be."),
                () -> plain(Verdict.PASS, Contact.APART, "Apart: more than " + top + "."));
    }

    @Override
    public Judgement above(Understood.Above above) {
        String figure = ohms(above.value());
        boolean apart = above.value() >= conditions.joinedBelowOhm();
        return expectation.fold(
                joined -> apart
                        ? plain(Verdict.FAIL, Contact.APART, "Open: more than " + figure + " where a wire should be.")
                        : plain(
                                Verdict.UNDECIDED,
                                Contact.UNKNOWN,
                                "More than " + figure + " says only that. Read it on the next range."),
                () -> apart
                        ? plain(Verdict.PASS, Contact.APART, "Apart: more than " + figure + ".")
                        : plain(
                                Verdict.UNDECIDED,
                                Contact.UNKNOWN,
                                "More than " + figure + " does not rule a connection out. Read it on the next range."));
    }

    @Override
    public Judgement below(Understood.Below below) {
        String figure = ohms(below.value());
        return expectation.fold(
                joined -> below.value() <= joined.limit().high().value()
                        ? plain(
                                Verdict.PASS,
                                Contact.JOINED,
                                "Less than " + figure + " is within the limit of "
                                        + ohms(joined.limit().high().value()) + ".")
                        : plain(
                                Verdict.UNDECIDED,
                                Contact.UNKNOWN,
                                "Less than " + figure + " does not settle a limit of "
                                        + ohms(joined.limit().high().value()) + ". Read the figure."),
                () -> below.value() <= conditions.joinedBelowOhm()
                        ? plain(
                                Verdict.FAIL,
                                Contact.JOINED,
                                "Less than " + figure + " between two points that should be" + " apart: joined.")
                        : plain(
                                Verdict.UNDECIDED,
                                Contact.UNKNOWN,
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
                                "A tone is not a reading: it sounds up to about " + threshold
                                        + ", and this wire carries" + " current. Type the ohms.")
                        : plain(
                                Verdict.PASS,
                                Contact.JOINED,
                                "Tone: below about " + threshold + ". Enough for a signal; its ohms are not shown."),
                () -> plain(Verdict.FAIL, Contact.JOINED, "A tone between two points that should be apart: joined."));
    }

    @Override
    public Judgement silent() {
        String threshold = ohms(conditions.meter().toneBelowOhm());
        return expectation.fold(
                joined -> plain(
                        Verdict.FAIL, Contact.APART, "Silent: not below " + threshold + " where a wire should be."),
                () -> plain(
                        Verdict.PASS,
                        Contact.APART,
                        "Silent: nothing below " + threshold + ". A weaker connection is not ruled out."));
    }

    @Override
    public Judgement unstable(Understood.Unstable unstable) {
        return plain(
                Verdict.FAIL,
                Contact.UNSTABLE,
                "It " + unstable.text() + ": a broken core whose ends still touch, or a loose contact.");
    }

    @Override
    public Judgement ambiguous(Understood.Ambiguous ambiguous) {
        return plain(Verdict.DOUBTFUL, Contact.UNKNOWN, ambiguous.question());
    }

    @Override
    public Judgement refused(Understood.Refused refused) {
        return plain(Verdict.DOUBTFUL, Contact.UNKNOWN, refused.message());
    }

    private static Judgement plain(Verdict verdict, Contact contact, String reason) {
        return new Judgement(verdict, contact, reason, OptionalDouble.empty(), OptionalDouble.empty());
    }

    private static String ohms(double value) {
        return Engineering.text(value, "Ω");
    }
}
