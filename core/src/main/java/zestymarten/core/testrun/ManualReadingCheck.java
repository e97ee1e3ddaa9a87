package zestymarten.core.testrun;

import java.util.OptionalDouble;
import zestymarten.core.analysis.Design;
import zestymarten.core.judgement.InsulationJudge;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.Ohms;
import zestymarten.core.testplan.TestStep;

/** What is entered for a deed, as understood and judged. */
final class ManualReadingCheck {
    /** A source that shows less than this does not prove that the tester works. */
    private static final double LIVE_FROM_V = 10;
    /** Bare metal against bare metal of one frame: a rule of thumb, named as such. */
    private static final double FRAME_UP_TO_OHM = 1;

    /** Tap water between two electrodes: a rule of thumb, named as such. */
    private static final double WATER_UP_TO_OHM = 100_000;

    private ManualReadingCheck() {}

    static MeterReading understand(TestStep.ManualStep act, MeterReading plain) {
        return switch (act.action().answer()) {
            case VOLTS -> volts(plain);
            case OHMS ->
                plain instanceof MeterReading.Value || plain instanceof MeterReading.OverRange || isSound(plain)
                        ? plain
                        : refused("Enter the resistance, such as 0.4, or b if it beeps.");
            default -> refused("No reading is taken here. Press Enter when it is done.");
        };
    }

    private static boolean isSound(MeterReading plain) {
        return plain instanceof MeterReading.Tone || plain instanceof MeterReading.Silent;
    }

    /** A bare figure is volts where volts are asked for. */
    private static MeterReading volts(MeterReading plain) {
        if (plain instanceof MeterReading.Ambiguous ambiguous) {
            return volts(ambiguous.candidates().get(0));
        }
        boolean figure = plain instanceof MeterReading.Value value && value.unit() != MeterReading.Unit.AMPERE;
        return figure
                ? new MeterReading.Value(((MeterReading.Value) plain).value(), MeterReading.Unit.VOLT)
                : refused("Type the volts that the tester shows, such as 231 or 0.");
    }

    private static MeterReading refused(String message) {
        return new MeterReading.Refused(message);
    }

    static Judgement judge(Design design, TestStep.ManualStep act, MeterReading meaning, TestConditions conditions) {
        return switch (act.action()) {
            case LIVE_BEFORE, LIVE_AFTER -> live(meaning);
            case DEAD, DISCHARGED, DISCHARGED_WET, DISCHARGED_LAST ->
                InsulationJudge.judge(meaning, Quantity.VOLTAGE, 0, true);
            case FRAME_PROOF -> frame(meaning, conditions);
            case WATER -> water(meaning);
            case REMAINING -> remaining(design, act.subject(), meaning, conditions);
            default -> said(Verdict.DOUBTFUL, "No reading is taken here.");
        };
    }

    private static Judgement live(MeterReading meaning) {
        boolean live = meaning instanceof MeterReading.Value value && value.value() >= LIVE_FROM_V;
        return live
                ? said(Verdict.PASS, meaning.text() + ": the tester works.")
                : said(
                        Verdict.DOUBTFUL,
                        meaning.text()
                                + " on a source that is known to be live: this tester proves nothing. Repair or change it,"
                                + " and begin the proof again.");
    }

    /** Two electrodes in one water read ohms between them; apart, one of them hangs dry. */
    private static Judgement water(MeterReading meaning) {
        boolean reaches = meaning instanceof MeterReading.Tone
                || (meaning instanceof MeterReading.Value value && value.value() <= WATER_UP_TO_OHM);
        return reaches
                ? said(Verdict.PASS, meaning.text() + " through the water: the electrode reaches it.")
                : said(
                        Verdict.DOUBTFUL,
                        meaning.text() + " is more than " + EngineeringFormat.text(WATER_UP_TO_OHM, "Ω")
                                + " (rule of thumb): one electrode hangs dry, or the water is too pure. Everything would pass"
                                + " like this. Salt it or repair the contact.");
    }

    /** A part of a wire may not have more than the whole. */
    private static Judgement remaining(Design design, String subject, MeterReading meaning, TestConditions conditions) {
        Ohms most = design.limits()
                .of(design.conductor(RemainingLength.conductor(subject)))
                .high();
        if (meaning instanceof MeterReading.OverRange || meaning instanceof MeterReading.Silent) {
            return said(Verdict.FAIL, "This length is broken as well: repairing the break that is seen would not do.");
        }
        if (meaning instanceof MeterReading.Tone) {
            return said(Verdict.PASS, "The meter beeps on this length; its resistance was not measured.");
        }
        double ohm = meaning instanceof MeterReading.Value value
                ? conditions.corrected(value.value()).value()
                : Double.POSITIVE_INFINITY;
        return ohm <= most.value()
                ? said(Verdict.PASS, meaning.text() + " is no more than the whole wire may have.")
                : said(
                        Verdict.FAIL,
                        meaning.text() + " is more than the whole wire may have (" + most.text()
                                + "): there is a second fault in this length.");
    }

    private static Judgement frame(MeterReading meaning, TestConditions conditions) {
        if (meaning instanceof MeterReading.Tone) {
            return said(Verdict.PASS, "The meter beeps between the two spots: both are bare.");
        }
        boolean bare = meaning instanceof MeterReading.Value value
                && conditions.corrected(value.value()).value() <= FRAME_UP_TO_OHM;
        return bare
                ? said(Verdict.PASS, meaning.text() + " between the two spots: both are bare metal.")
                : said(
                        Verdict.DOUBTFUL,
                        meaning.text() + " is more than " + EngineeringFormat.text(FRAME_UP_TO_OHM, "Ω")
                                + " (rule of thumb): one spot is painted or oxidised, and would pass everything. Scrape it, or"
                                + " choose another.");
    }

    private static Judgement said(Verdict verdict, String reason) {
        return new Judgement(
                verdict,
                Contact.UNKNOWN,
                Judgement.Reason.CHECKED,
                reason,
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }
}
