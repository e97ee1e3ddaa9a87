package zestymarten.core.portable;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.WireList;

/**
 * A thousand simulated leads of a batch, each with one thing wrong, and a thousand sound ones. What the meter shows is computed
 * from the cores themselves, not from the product's limits: copper of 0.0182 Ω mm²/m in a fine strand, contacts of a few milliohms.
 */
class DangerousLeadTest {
    private static final double OHM_MM2_PER_M = 0.0182;

    private enum Danger {
        NONE,
        PROTECTIVE_OPEN,
        PROTECTIVE_HIGH,
        CORE_OPEN,
        CORES_SHORTED,
        INSULATION_LOW,
        MELTED,
        JUMPS
    }

    private static final List<Danger> WRONG = List.copyOf(EnumSet.complementOf(EnumSet.of(Danger.NONE)));

    private static LeadTest test(double metres, double mm2) {
        Assembly lead = WireList.read(String.format(
                        Locale.ROOT,
                        "wire,from,to,colour,function,length_m,area_mm2,metal,class,zone,current_a%n"
                                + "L1,P1.1,P2.1,BN,phase 1,%1$s,%2$s,copper,5,flexing,25%n"
                                + "N,P1.4,P2.4,BU,neutral,%1$s,%2$s,copper,5,flexing,25%n"
                                + "PE,P1.5,P2.5,GNYE,protective,%1$s,%2$s,copper,5,flexing,25%n",
                        metres,
                        mm2))
                .assembly("Lead", AssemblyKind.LEAD, "", Map.of());
        return new LeadTest(lead, BatchTest.CONDITIONS, 500, false);
    }

    private static String ohm(double core, double more) {
        return String.format(Locale.ROOT, "%.3f", core + more + 0.05);
    }

    private static Map<String, String> shown(Danger danger, double core, Random random) {
        Map<String, String> shown =
                new LinkedHashMap<>(Map.of("look", LeadTest.SOUND, "apart_L1_N", "OL", "insulation", ">200M"));
        for (String each : new String[] {"core_PE", "core_L1", "core_N"}) {
            shown.put(each, ohm(core, 0.008 * random.nextDouble()));
        }
        switch (danger) {
            case PROTECTIVE_OPEN -> shown.put("core_PE", "OL");
            case PROTECTIVE_HIGH -> shown.put("core_PE", ohm(core, core + 0.3 + 2 * random.nextDouble()));
            case CORE_OPEN -> shown.put(random.nextBoolean() ? "core_L1" : "core_N", "OL");
            case CORES_SHORTED -> shown.put("apart_L1_N", ohm(core * random.nextDouble(), 5 * random.nextDouble()));
            case INSULATION_LOW ->
                shown.put("insulation", String.format(Locale.ROOT, "%.3fM", 0.99 * random.nextDouble()));
            case MELTED -> shown.put("look", "melted contact");
            case JUMPS -> shown.put("core_PE", "jumps");
            case NONE -> {}
        }
        return shown;
    }

    @Test
    void noLeadWithSomethingWrongPassesAndNoSoundOneFails() {
        Random random = new Random(17);
        for (int i = 0; i < 1000; i++) {
            double metres = 1 + random.nextInt(50);
            double mm2 = new double[] {0.75, 1.5, 2.5, 4, 6}[random.nextInt(5)];
            double core = OHM_MM2_PER_M * metres / mm2;
            Danger danger = WRONG.get(random.nextInt(WRONG.size()));
            Map<String, String> wrong = shown(danger, core, random);
            assertThat(test(metres, mm2).judge(wrong).outcome())
                    .as("%s: %s m of %s mm², %s", danger, metres, mm2, wrong)
                    .isEqualTo(LeadVerdict.LeadOutcome.FAIL);
            Map<String, String> sound = shown(Danger.NONE, core, random);
            assertThat(test(metres, mm2).judge(sound).outcome())
                    .as("%s m of %s mm², %s", metres, mm2, sound)
                    .isIn(LeadVerdict.LeadOutcome.PASS, LeadVerdict.LeadOutcome.MARGINAL);
        }
    }
}
