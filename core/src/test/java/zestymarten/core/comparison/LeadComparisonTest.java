package zestymarten.core.comparison;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import zestymarten.core.quantity.English;
import zestymarten.core.quantity.Problem;

class LeadComparisonTest {
    private static final String TAILS =
            "2.1 5.31 first\n2.9\t7.18\tsecond\n3,6; 8,77\n4.4 13.40 fourth\n5.2 12.39\n6.0 14.22\n";

    private static List<LeadList.LeadEntry> read(String text) {
        List<Problem> problems = new ArrayList<>();
        List<LeadList.LeadEntry> lines = LeadList.read(text, problems);
        assertThat(problems).isEmpty();
        return lines;
    }

    private static LeadComparison alike(String text) {
        return LeadComparison.of(read(text), 0.005, 0.01, 0.01);
    }

    @Test
    void theOddTailIsNamedWithItsReason() {
        LeadComparison alike = alike(TAILS);
        assertThat(alike.leads().stream().filter(LeadComparison.ComparedLead::isOutlier))
                .singleElement()
                .satisfies(odd -> {
                    assertThat(odd.lead().words()).isEqualTo("fourth");
                    assertThat(English.of(odd.reason()))
                            .startsWith("2.8")
                            .contains(
                                    " above the line; ", "its length would have to be 5.6", "or a termination is bad");
                });
        assertThat(English.of(alike.trust()))
                .isEqualTo("6 leads: the line holds as long as fewer than half of them are different.");
    }

    @Test
    void weakAndMissingEvidenceIsSaid() {
        assertThat(English.of(alike("1 1\n2 2\n3 3\n").trust()))
                .isEqualTo("Fewer than four leads with continuity: no verdict by comparison.");
        assertThat(English.of(alike("1 1\n2 2\n3 3\n4 4\n").trust()))
                .isEqualTo("Four leads only: the evidence is weak.");
        assertThat(English.of(alike("2 1\n2 2\n2 3\n2 4\n").trust()))
                .isEqualTo("All have one length, or none adds resistance: each is compared with the median of all.");
        assertThat(English.of(alike("1 5\n2 4\n3 3\n4 2\n5 1\n").trust())).startsWith("Longer leads read less");
        assertThat(alike("1 5\n2 4\n3 3\n4 2\n5 1\n").isJudged()).isFalse();
    }

    @Test
    void whatJumpsOrIsSeenCondemnsWhateverItReads() {
        LeadComparison alike = alike("1 1\n2 2 tail jumps\n3 3\n4 4\n5 5 chafed at the clamp\n");
        assertThat(alike.leads().stream()
                        .map(LeadComparison.ComparedLead::reason)
                        .map(English::of))
                .containsExactly(
                        "",
                        "condemned by hand and eye: tail jumps",
                        "",
                        "",
                        "condemned by hand and eye: chafed at the clamp");
    }

    private static List<String> odd(String text) {
        return alike(text).leads().stream()
                .filter(LeadComparison.ComparedLead::isOutlier)
                .map(each -> each.lead().words())
                .toList();
    }

    @Test
    void leadsOfOneLengthAreComparedWithTheirMedian() {
        assertThat(odd("2 1.00 a\n2 1.01 b\n2 0.99 c\n2 1.00 d\n2 3.00 e\n2 1.02 f\n"))
                .containsExactly("e");
        assertThat(odd("1 0.1 a\n1.5 0.1 b\n2 0.1 c\n2.5 0.9 d\n3 0.1 e\n")).containsExactly("d");
    }

    @Test
    void anOpenLeadIsTheOddest() {
        assertThat(odd("1 1 a\n2 2 b\n3 OL c\n4 4 d\n5 5 e\n")).containsExactly("c");
    }

    @Test
    void whatIsDeniedCondemnsNothing() {
        assertThat(odd("1 1 not burnt\n2 2 no cut\n3 3 frayed\n4 4 d\n5 5 e\n")).containsExactly("frayed");
    }

    @Test
    void theShareOfTheLengthInTheDoubtGrowsWithItsTolerance() {
        double little = LeadComparison.of(read(TAILS), 0.005, 0.01, 0.001)
                .leads()
                .get(0)
                .lengthShare();
        double much =
                LeadComparison.of(read(TAILS), 0.005, 0.01, 0.05).leads().get(0).lengthShare();
        assertThat(little).isLessThan(0.1);
        assertThat(much).isGreaterThan(0.9);
    }

    @Test
    void badLinesAreNamed() {
        List<Problem> problems = new ArrayList<>();
        LeadList.read("2.1 5.31\nlong 4\n3\n", problems);
        assertThat(problems.stream().map(each -> English.of(each.message())))
                .containsExactly(
                        "line 2: “long 4” is not accepted; expected length and resistance, such as 2.1 5.31 or 7 ft 5.31, then its name.",
                        "line 3: “3” is not accepted; expected length and resistance, such as 2.1 5.31 or 7 ft 5.31, then its name.");
    }

    @Test
    void leadsArePastedWithUnitsAHeadLineAndASpreadsheetsCommas() {
        List<zestymarten.core.quantity.Problem> problems = new java.util.ArrayList<>();
        List<LeadList.LeadEntry> lines = LeadList.read(
                "length, resistance, name\n4.4 m 13.40 Ω brown\n10 ft\t5.31 ohm\n2.1,5.31,third\n3.5; OL; cut\n",
                problems);
        assertThat(problems).isEmpty();
        assertThat(lines.stream().map(LeadList.LeadEntry::lengthM)).containsExactly(4.4, 3.048, 2.1, 3.5);
        assertThat(lines.stream().map(LeadList.LeadEntry::ohm))
                .containsExactly(13.4, 5.31, 5.31, Double.POSITIVE_INFINITY);
        assertThat(lines.stream().map(LeadList.LeadEntry::words)).containsExactly("brown", "", "third", "cut");
    }
}
