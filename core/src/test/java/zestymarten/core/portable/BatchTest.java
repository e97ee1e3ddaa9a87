package zestymarten.core.portable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.WireList;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.English;

/** A day with shore leads: five cores, 18 m of 4 mm². */
class BatchTest {
    private static final Assembly LEAD = WireList.read(
                    "wire,from,to,colour,function,length_m,area_mm2,metal,class,zone,current_a\n"
                            + "L1,P1.1,P2.1,BN,phase 1,18,4,copper,5,flexing,25\n"
                            + "N,P1.4,P2.4,BU,neutral,18,4,copper,5,flexing,25\n"
                            + "PE,P1.5,P2.5,GNYE,protective,18,4,copper,5,flexing,25\n")
            .assembly("Shore lead", AssemblyKind.LEAD, "", Map.of());
    static final TestConditions CONDITIONS = new TestConditions(
            20,
            new MeterProfile("M", 0.005, 0.001, 30, false, 2e7),
            OptionalDouble.of(0.05),
            LeadPolicy.FULL,
            false,
            10_000);

    private static LeadTest check(boolean onScrews) {
        return new LeadTest(LEAD, CONDITIONS, 500, onScrews);
    }

    private static Map<String, String> good() {
        return new LinkedHashMap<>(Map.of(
                "look",
                "s",
                "core_PE",
                "0.13",
                "core_L1",
                "0.13",
                "core_N",
                "0.132",
                "apart_L1_N",
                "OL",
                "insulation",
                ">200M"));
    }

    private static Map<String, String> good(String item, String typed) {
        Map<String, String> changed = good();
        changed.put(item, typed);
        return changed;
    }

    @Test
    void theProtectiveConductorComesFirstAndInsulationLast() {
        assertThat(check(false).items())
                .extracting(LeadTest.Item::id)
                .containsExactly("look", "core_PE", "core_L1", "core_N", "apart_L1_N", "insulation");
        assertThat(English.of(check(false).expected(check(false).items().get(1))))
                .contains("IEC 60228")
                .contains("0.0891 Ω");
    }

    @Test
    void aGoodLeadPassesAndOneOnTheScrewsDoesNot() {
        LeadVerdict verdict = check(false).judge(good());
        assertThat(verdict.outcome()).isEqualTo(LeadVerdict.LeadOutcome.PASS);
        assertThat(English.all(verdict.says()))
                .containsExactly(
                        "Every core answers at its own pin and at no other: none is open, none is crossed, none is shorted.");
        LeadVerdict screws = check(true).judge(good());
        assertThat(screws.outcome()).isEqualTo(LeadVerdict.LeadOutcome.SCREWS_ONLY);
        assertThat(English.all(screws.says()))
                .containsExactly(
                        "Read on the screws: the contacts of plug and socket are not proved. Read once through the"
                                + " mated pair.");
    }

    @Test
    void anOpenProtectiveFailsAtOnceAndNoTestVoltageIsPutOnIt() {
        LeadVerdict verdict = check(false).judge(Map.of("look", "s", "core_PE", "OL"));
        assertThat(verdict.outcome()).isEqualTo(LeadVerdict.LeadOutcome.FAIL);
        assertThat(English.all(verdict.says()))
                .contains("The protective conductor comes first: no test voltage on this lead.");
    }

    @Test
    void twoOpenCoresMayHaveChangedPlaces() {
        Map<String, String> typed = good("core_L1", "OL");
        typed.put("core_N", "OL");
        assertThat(English.all(check(false).judge(typed).says()))
                .contains(
                        "Several cores do not answer, core L1, core N: they may be crossed. Measure across before you call"
                                + " them broken.");
    }

    @Test
    void whatIsSeenFailsAndWhatIsMissingLeavesItOpen() {
        assertThat(check(false).judge(good("look", "melted contact")).outcome())
                .isEqualTo(LeadVerdict.LeadOutcome.FAIL);
        assertThat(check(false).judge(good("core_N", "")).outcome()).isEqualTo(LeadVerdict.LeadOutcome.INCOMPLETE);
        assertThat(check(false).judge(good("core_N", "what")).outcome()).isEqualTo(LeadVerdict.LeadOutcome.INCOMPLETE);
        assertThat(check(false).judge(good("insulation", "0.3M")).outcome()).isEqualTo(LeadVerdict.LeadOutcome.FAIL);
        assertThat(check(false).judge(good("core_N", "b")).outcome()).isNotEqualTo(LeadVerdict.LeadOutcome.PASS);
    }

    @Test
    void aShortBetweenLiveCoresFailsThoughEachCoreAnswers() {
        LeadVerdict verdict = check(false).judge(good("apart_L1_N", "0.14"));
        assertThat(verdict.outcome()).isEqualTo(LeadVerdict.LeadOutcome.FAIL);
        assertThat(English.all(verdict.says())).anyMatch(each -> each.startsWith("L1 to N: "));
        assertThat(check(false).judge(good("apart_L1_N", "")).outcome()).isEqualTo(LeadVerdict.LeadOutcome.INCOMPLETE);
    }

    @Test
    void aMainsLeadIsNotPassedByALowTestVoltageNorByHalfAMegohm() {
        LeadTest low = new LeadTest(LEAD, CONDITIONS, 250, false);
        assertThat(low.judge(good("insulation", "0.6M")).outcome()).isEqualTo(LeadVerdict.LeadOutcome.FAIL);
        assertThat(low.judge(good("insulation", "50M")).outcome()).isEqualTo(LeadVerdict.LeadOutcome.INCOMPLETE);
        assertThat(English.all(low.judge(good("insulation", "50M")).says()))
                .anyMatch(each -> each.contains("at that voltage"));
    }

    @Test
    void aFreeWordNeitherCondemnsNorPassesALead() {
        assertThat(check(false).judge(good("look", "none")).outcome()).isEqualTo(LeadVerdict.LeadOutcome.PASS);
        assertThat(check(false).judge(good("look", "not burnt")).outcome())
                .isEqualTo(LeadVerdict.LeadOutcome.INCOMPLETE);
        assertThat(check(false).judge(good("look", "sheath frayed")).outcome()).isEqualTo(LeadVerdict.LeadOutcome.FAIL);
    }

    @Test
    void aBadLeadDoesNotHideInTheSlackOfTheOthers() {
        Map<Integer, Double> read = new HashMap<>(Map.of(10, 1.8));
        CoupledLeads row = CoupledLeads.of(10, 0.2, read);
        assertThat(English.of(row.says()))
                .startsWith(
                        "The row as a whole is within its limit: 1.8 Ω, limit 2 Ω. A single lead of up to 1.8 Ω may hide");
        while (row.next().isPresent()) {
            int at = row.next().get();
            read.put(at, at * 0.1 + (at >= 7 ? 0.8 : 0));
            row = CoupledLeads.of(10, 0.2, read);
        }
        assertThat(row.suspects()).containsExactly(7);
        assertThat(English.of(row.says())).startsWith("Lead 7, or its coupling, is the bad one.");
    }

    @Test
    void theBadOneOfManyInARowIsFoundByHalving() {
        for (int leads = 2; leads <= 20; leads++) {
            for (int bad = 1; bad <= leads; bad++) {
                Map<Integer, Double> read = new HashMap<>();
                CoupledLeads row = CoupledLeads.of(leads, 0.1, read);
                int measurements = 0;
                while (row.next().isPresent()) {
                    int at = row.next().get();
                    read.put(at, at * 0.09 + (at >= bad ? 3 : 0));
                    row = CoupledLeads.of(leads, 0.1, read);
                    measurements++;
                }
                assertThat(row.suspects()).containsExactly(bad);
                assertThat(measurements).isLessThanOrEqualTo(1 + (int) Math.ceil(Math.log(leads) / Math.log(2)));
            }
        }
    }

    @Test
    void aSoundRowAndAContradictionAreSaid() {
        assertThat(English.of(CoupledLeads.of(5, 0.1, Map.of(1, 0.08, 2, 0.16, 3, 0.24, 4, 0.32, 5, 0.4))
                        .says()))
                .isEqualTo("The whole row reads 0.4 Ω, and no lead can have more than 0.1 Ω: none of them is bad.");
        assertThat(English.of(
                        CoupledLeads.of(5, 0.1, Map.of(5, 3.0, 2, 3.0, 3, 0.2)).says()))
                .isEqualTo(
                        "These readings contradict each other: a coupling farther on reads less. Measure both again.");
        assertThat(English.of(CoupledLeads.of(5, 0.1, Map.of(5, Double.POSITIVE_INFINITY))
                        .says()))
                .isEqualTo("It is one of leads 1 to 5: at most 3 more measurements. Measure behind lead 2.");
        assertThatThrownBy(() -> CoupledLeads.of(1, 0.1, Map.of()))
                .hasMessage("coupled_leads.row_leads_read[60, 1, 0.1 Ω]");
    }
}
