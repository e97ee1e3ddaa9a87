package zestymarten.core.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.limit.Derivation;
import zestymarten.core.limit.Limit;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.English;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.Ohms;
import zestymarten.core.quantity.ReadingParser;

/** One reading against what is expected: a limit of 0.50 Ω, expected 0.40 Ω, leads 0.30 Ω, U about 0.01 Ω. */
class ResistanceJudgeTest {
    private static final MeterProfile METER = new MeterProfile("bench meter", 0.008, 0.01, 30, false, 20e6);

    private static TestConditions conditions(boolean guarded) {
        return new TestConditions(
                20, METER, OptionalDouble.of(0.3), LeadPolicy.FULL, guarded, TestConditions.JOINED_BELOW_OHM);
    }

    private static Limit limit(boolean lowGiven) {
        return new Limit(
                Ohms.of(0.32),
                Optional.of(Ohms.of(0.4)),
                Ohms.of(0.5),
                lowGiven,
                Limit.Rule.GIVEN,
                Message.verbatim("Given."));
    }

    private static Judgement judge(String typed, Expectation expectation, boolean guarded) {
        return ResistanceJudge.judge(new ReadingParser(false).understand(typed), expectation, conditions(guarded));
    }

    @Test
    void aRoundFigureThatMakesAHeaterOfAWireIsNoCleanPass() {
        Limit round = new Limit(
                Ohms.of(0),
                Optional.empty(),
                Ohms.of(1),
                false,
                Derivation.plain(Limit.Rule.ROUND_FIGURE, Message.verbatim("custom"), Message.verbatim("Round.")),
                OptionalDouble.of(8));
        Judgement heater = judge("1.20", new Expectation.Joined(round, true), false);
        assertThat(heater.verdict()).isEqualTo(Verdict.MARGINAL);
        assertThat(heater.code()).isEqualTo(Judgement.Reason.HEATS);
        assertThat(English.of(heater.reason()))
                .startsWith("0.9 Ω is within the round figure of 1 Ω, but at 8 A it makes 57.6 W of heat");
        assertThat(judge("0.36", new Expectation.Joined(round, true), false).verdict())
                .isEqualTo(Verdict.PASS);
    }

    @Test
    void whatTheExcessPolicyLeavesOfTheLeadsIsSaidWhereItMatters() {
        TestConditions excess = new TestConditions(
                20, METER, OptionalDouble.of(1.2), LeadPolicy.EXCESS, false, TestConditions.JOINED_BELOW_OHM);
        String warned = English.of(ResistanceJudge.judge(
                        new ReadingParser(false).understand("1.80"),
                        new Expectation.Joined(limit(false), false),
                        excess)
                .reason());
        assertThat(warned).contains("1 Ω of the test leads is still in the reading");
        assertThat(excess.leadsCaution(Ohms.of(6)).map(English::of)).isEmpty();
        assertThat(conditions(false).leadsCaution(Ohms.of(0.5)).map(English::of))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "0.70, PASS, JOINED",
        "0.796, MARGINAL, JOINED",
        "0.81, FAIL, JOINED",
        "0.55, MARGINAL, JOINED",
        "9k9, FAIL, JOINED",
        "11k, FAIL, LEAK",
        "OL, FAIL, APART",
        ">900k, FAIL, APART",
        ">5, UNDECIDED, UNKNOWN",
        "<0.4, PASS, JOINED",
        "<2, UNDECIDED, UNKNOWN",
        "beep, PASS, JOINED",
        "silent, FAIL, APART",
        "jumps, FAIL, UNSTABLE",
        "~0.4..OL, FAIL, UNSTABLE"
    })
    void whereAWireShouldBe(String typed, Verdict verdict, Contact contact) {
        Judgement judgement = judge(typed, new Expectation.Joined(limit(false), false), false);
        assertThat(judgement.verdict()).as(English.of(judgement.reason())).isEqualTo(verdict);
        assertThat(judgement.contact()).isEqualTo(contact);
    }

    @ParameterizedTest
    @CsvSource({
        "OL, PASS, APART",
        "silent, PASS, APART",
        ">20k, PASS, APART",
        ">300, UNDECIDED, UNKNOWN",
        "beep, FAIL, JOINED",
        "4k7, FAIL, JOINED",
        "0.4, FAIL, JOINED",
        "880k, MARGINAL, LEAK",
        "2M2, MARGINAL, APART",
        "<50, FAIL, JOINED",
        "<1M, UNDECIDED, UNKNOWN",
        "jumps, FAIL, UNSTABLE"
    })
    void whereNothingShouldBe(String typed, Verdict verdict, Contact contact) {
        Judgement judgement = judge(typed, new Expectation.Apart(), false);
        assertThat(judgement.verdict()).as(English.of(judgement.reason())).isEqualTo(verdict);
        assertThat(judgement.contact()).isEqualTo(contact);
    }

    @Test
    void theGuardedRuleDecidesOnlyWhereTheMeterCan() {
        Expectation wire = new Expectation.Joined(limit(false), false);
        assertThat(judge("0.78", wire, true).verdict()).isEqualTo(Verdict.PASS);
        Judgement between = judge("0.80", wire, true);
        assertThat(between.verdict()).isEqualTo(Verdict.UNDECIDED);
        assertThat(English.of(between.reason()))
                .contains("a four-wire measurement, a lower range or a fresh null would decide it");
        assertThat(judge("0.82", wire, true).verdict()).isEqualTo(Verdict.FAIL);
    }

    @Test
    void aToneIsNoReadingWhereACurrentFlows() {
        Judgement judgement = judge("b", new Expectation.Joined(limit(false), true), false);
        assertThat(judgement.verdict()).isEqualTo(Verdict.UNDECIDED);
        assertThat(English.of(judgement.reason()))
                .isEqualTo(
                        "A tone is not a reading: the meter beeps up to about 30 Ω, and this wire carries current. Enter the resistance.");
    }

    @Test
    void tooLittleIsOddUnlessALowLimitWasGiven() {
        assertThat(English.of(judge("0.55", new Expectation.Joined(limit(false), false), false)
                        .reason()))
                .isEqualTo("0.25 Ω is less than 0.32 Ω, 0.8 of what this wire should read: thicker or shorter than"
                        + " declared, or bridged.");
        assertThat(judge("0.55", new Expectation.Joined(limit(true), false), false)
                        .verdict())
                .isEqualTo(Verdict.FAIL);
    }

    @Test
    void rawAndCorrectedAreBothKnown() {
        Judgement judgement = judge("0.70", new Expectation.Joined(limit(false), false), false);
        assertThat(judgement.correctedOhm().orElseThrow()).isEqualTo(0.4, org.assertj.core.data.Offset.offset(1e-12));
        assertThat(judgement.uncertaintyOhm().orElseThrow()).isBetween(0.008, 0.01);
        assertThat(judge("OL", new Expectation.Apart(), false).correctedOhm()).isEmpty();
    }

    @Test
    void leadsLargerThanTheWireAreSaidWithThePass() {
        Limit small = new Limit(
                Ohms.of(0.1),
                Optional.of(Ohms.of(0.15)),
                Ohms.of(0.2),
                false,
                Limit.Rule.GIVEN,
                Message.verbatim("Given."));
        assertThat(English.of(judge("0.44", new Expectation.Joined(small, false), false)
                        .reason()))
                .isEqualTo(
                        "0.14 Ω is within the limit of 0.2 Ω. The leads (0.3 Ω) have more than the wire may: press hard"
                                + " and hold still, or the reading decides little.");
    }

    @ParameterizedTest
    @CsvSource({
        "INSULATION, 500, 800k, FAIL, '800 kΩ is too little. At least 1 MΩ at 500 V DC: IEC 60364-6, up to and including 500 V (and FELV).'",
        "INSULATION, 250, 800k, PASS, '800 kΩ is enough. At least 500 kΩ at 250 V DC: IEC 60364-6, SELV and PELV.'",
        "INSULATION, 500, >900M, PASS, 'More than 900 MΩ. At least 1 MΩ at 500 V DC: IEC 60364-6, up to and including 500 V (and FELV).'",
        "INSULATION, 500, jumps, FAIL, 'The insulation jumps: it breaks down now and then.'",
        "LEAKAGE, 1000, 2mA, FAIL, '2 mA at 1 kV: 500 kΩ is too little. At least 1 MΩ at 1 kV DC: IEC 60364-6, above 500 V.'",
        "LEAKAGE, 1000, 26uA, PASS, '26 μA at 1 kV: 38.46 MΩ is enough. At least 1 MΩ at 1 kV DC: IEC 60364-6, above 500 V.'",
        "LEAKAGE, 1000, OL, FAIL, 'The tester tripped or jumped: the insulation broke down.'",
        "VOLTAGE, 0, 0.3V, PASS, '0.3 V: dead.'",
        "VOLTAGE, 0, 48V, DOUBTFUL, '48 V is still there. Discharge it, and do not touch.'"
    })
    void insulationAndVoltage(Quantity quantity, double testV, String typed, Verdict verdict, String reason) {
        Judgement judgement = InsulationJudge.judge(new ReadingParser(false).understand(typed), quantity, testV, true);
        assertThat(English.of(judgement.reason())).isEqualTo(reason);
        assertThat(judgement.verdict()).isEqualTo(verdict);
    }

    @Test
    void insulationBetweenJoinedPointsMeansNothing() {
        Judgement judgement =
                InsulationJudge.judge(new ReadingParser(false).understand("5M"), Quantity.INSULATION, 500, false);
        assertThat(judgement.verdict()).isEqualTo(Verdict.DOUBTFUL);
    }

    @Test
    void asksAboutAReadingThatFitsTheNeighbour() {
        Expectation own = new Expectation.Joined(limit(true), true);
        Limit other = new Limit(
                Ohms.of(0.8),
                Optional.of(Ohms.of(0.9)),
                Ohms.of(1),
                false,
                Limit.Rule.GIVEN,
                Message.verbatim("Given."));
        List<PlausibilityCheck.Neighbour> neighbours = List.of(new PlausibilityCheck.Neighbour("W5", other));
        MeterReading typed = new ReadingParser(false).understand("1.2");
        MeterReading asked = PlausibilityCheck.raise(typed, own, conditions(false), neighbours);
        assertThat(asked).isInstanceOfSatisfying(MeterReading.Ambiguous.class, question -> {
            assertThat(question.candidates()).containsExactly(typed);
            assertThat(English.of(question.question()))
                    .isEqualTo(
                            "1.2 Ω is not what this wire should read, but what W5 should. Are both probes on the right pins?");
        });
        MeterReading good = new ReadingParser(false).understand("0.7");
        assertThat(PlausibilityCheck.raise(good, own, conditions(false), neighbours))
                .isEqualTo(good);
        MeterReading neither = new ReadingParser(false).understand("5.5");
        assertThat(PlausibilityCheck.raise(neither, own, conditions(false), neighbours))
                .isEqualTo(neither);
    }
}
