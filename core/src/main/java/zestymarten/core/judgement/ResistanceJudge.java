package zestymarten.core.judgement;

import java.util.OptionalDouble;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Reason;
import zestymarten.core.judgement.Judgement.Verdict;
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
        CorrectedOhms ohms = new CorrectedOhms(corrected, uncertainty, conditions);
        CorrectedOhms.Outcome outcome = expectation.fold(ohms::againstJoined, ohms::againstNothing);
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
