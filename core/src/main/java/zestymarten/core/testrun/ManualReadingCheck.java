package zestymarten.core.testrun;

import java.util.OptionalDouble;
import zestymarten.core.analysis.Design;
import zestymarten.core.judgement.InsulationJudge;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.Ohms;
import zestymarten.core.testplan.TestStep;

/** What is entered for a manual step, as understood and judged. */
final class ManualReadingCheck {
    /** A source that shows less than this does not prove that the tester works. */
    private static final double LIVE_FROM_V = 10;
    /** Bare metal against bare metal of one frame: a rule of thumb, named as such. */
    private static final double FRAME_UP_TO_OHM = 1;

    /** Tap water between two electrodes: a rule of thumb, named as such. */
    private static final double WATER_UP_TO_OHM = 100_000;

    private ManualReadingCheck() {}

    static MeterReading understand(TestStep.ManualStep manual, MeterReading plain) {
        return switch (manual.action().answer()) {
            case VOLTS -> volts(plain);
            case OHMS ->
                plain instanceof MeterReading.Value || plain instanceof MeterReading.OverRange || isSound(plain)
                        ? plain
                        : refused(Message.of("manual_reading_check.enter_resistance_such_as"));
            default -> refused(Message.of("manual_reading_check.no_reading_taken_here"));
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
                : refused(Message.of("manual_reading_check.type_volts_that_tester"));
    }

    private static MeterReading refused(Message message) {
        return new MeterReading.Refused(message);
    }

    static Judgement judge(Design design, TestStep.ManualStep manual, MeterReading meaning, TestConditions conditions) {
        return switch (manual.action()) {
            case LIVE_BEFORE, LIVE_AFTER -> live(meaning);
            case DEAD, DISCHARGED, DISCHARGED_WET, DISCHARGED_LAST ->
                InsulationJudge.judge(meaning, Quantity.VOLTAGE, 0, true);
            case FRAME_PROOF -> frame(meaning, conditions);
            case WATER -> water(meaning);
            case REMAINING -> remaining(design, RemainingLength.length(manual).conductor(), meaning, conditions);
            default -> said(Verdict.DOUBTFUL, Message.of("manual_reading_check.no_reading_taken_here_2"));
        };
    }

    private static Judgement live(MeterReading meaning) {
        boolean live = meaning instanceof MeterReading.Value value && value.value() >= LIVE_FROM_V;
        return live
                ? said(Verdict.PASS, Message.of("manual_reading_check.tester_works", meaning))
                : said(Verdict.DOUBTFUL, Message.of("manual_reading_check.on_source_that_known", meaning));
    }

    /** Two electrodes in one water read ohms between them; apart, one of them hangs dry. */
    private static Judgement water(MeterReading meaning) {
        boolean reaches = meaning instanceof MeterReading.Tone
                || (meaning instanceof MeterReading.Value value && value.value() <= WATER_UP_TO_OHM);
        return reaches
                ? said(Verdict.PASS, Message.of("manual_reading_check.through_water_electrode_reaches", meaning))
                : said(
                        Verdict.DOUBTFUL,
                        Message.of(
                                "manual_reading_check.more_than_rule_thumb",
                                meaning,
                                Message.figure(WATER_UP_TO_OHM, "Ω")));
    }

    /** A part of a wire may not have more than the whole. */
    private static Judgement remaining(Design design, String wire, MeterReading meaning, TestConditions conditions) {
        Ohms maximum = design.limits().of(design.conductor(wire)).high();
        if (meaning instanceof MeterReading.OverRange || meaning instanceof MeterReading.Silent) {
            return said(Verdict.FAIL, Message.of("manual_reading_check.this_length_broken_as"));
        }
        if (meaning instanceof MeterReading.Tone) {
            return said(Verdict.PASS, Message.of("manual_reading_check.meter_beeps_on_this"));
        }
        double ohm = meaning instanceof MeterReading.Value value
                ? conditions.corrected(value.value()).value()
                : Double.POSITIVE_INFINITY;
        return ohm <= maximum.value()
                ? said(Verdict.PASS, Message.of("manual_reading_check.no_more_than_whole", meaning))
                : said(Verdict.FAIL, Message.of("manual_reading_check.more_than_whole_wire", meaning, maximum));
    }

    private static Judgement frame(MeterReading meaning, TestConditions conditions) {
        if (meaning instanceof MeterReading.Tone) {
            return said(Verdict.PASS, Message.of("manual_reading_check.meter_beeps_between_two"));
        }
        boolean bare = meaning instanceof MeterReading.Value value
                && conditions.corrected(value.value()).value() <= FRAME_UP_TO_OHM;
        return bare
                ? said(Verdict.PASS, Message.of("manual_reading_check.between_two_spots_both", meaning))
                : said(
                        Verdict.DOUBTFUL,
                        Message.of(
                                "manual_reading_check.more_than_rule_thumb_2",
                                meaning,
                                Message.figure(FRAME_UP_TO_OHM, "Ω")));
    }

    private static Judgement said(Verdict verdict, Message reason) {
        return new Judgement(
                verdict,
                Contact.UNKNOWN,
                Judgement.Reason.CHECKED,
                reason,
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }
}
