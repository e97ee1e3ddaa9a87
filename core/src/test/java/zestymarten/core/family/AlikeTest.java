package zestymarten.core.family;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import zestymarten.core.quantity.Problem;

class AlikeTest {
    private static final String TAILS =
            "2.1 5.31 first\n2.9\t7.18\tsecond\n3,6; 8,77\n4.4 13.40 fourth\n5.2 12.39\n6.0 14.22\n";

    private static List<LeadList.Line> read(String text) {
        List<Problem> problems = new ArrayList<>();
        List<LeadList.Line> lines = LeadList.read(text, problems);
        assertThat(problems).isEmpty();
        return lines;
    }

    private static Alike alike(String text) {
        return Alike.of(read(text), 0.005, 0.01, 0.01);
    }

    @Test
    void theOddTailIsNamedWithItsReason() {
        Alike alike = alike(TAILS);
        assertThat(alike.leads().stream().filter(Alike.Told::isOdd))
                .singleElement()
                .satisfies(odd -> {
                    assertThat(odd.lead().words()).isEqualTo("fourth");
                    assertThat(odd.reason())
                            .startsWith("2.8")
                            .contains(
                                    " above the line, ", "its length would have to be 5.6", "or a termination is bad");
                });
        assertThat(alike.trust()).isEqualTo("6 leads: the line holds as long as fewer than half of them are odd.");
    }

    @Test
    void weakAndMissingEvidenceIsSaid() {
        assertThat(alike("1 1\n2 2\n3 3\n").trust()).isEqualTo("Fewer than four leads: no verdict by comparison.");
        assertThat(alike("1 1\n2 2\n3 3\n4 4\n").trust()).isEqualTo("Four leads only: the evidence is weak.");
        assertThat(alike("2 1\n2 2\n2 3\n2 4\n").trust())
                .isEqualTo("All have one length: no line can be drawn through them.");
    }

    @Test
    void whatJumpsOrIsSeenCondemnsWhateverItReads() {
        Alike alike = alike("1 1\n2 2 tail jumps\n3 3\n4 4\n5 5 chafed at the clamp\n");
        assertThat(alike.leads().stream().map(Alike.Told::reason))
                .containsExactly(
                        "",
                        "condemned by hand and eye: tail jumps",
                        "",
                        "",
                        "condemned by hand and eye: chafed at the clamp");
    }

    @Test
    void theShareOfTheLengthInTheDoubtGrowsWithItsTolerance() {
        double little = Alike.of(read(TAILS), 0.005, 0.01, 0.001).leads().get(0).lengthShare();
        double much = Alike.of(read(TAILS), 0.005, 0.01, 0.05).leads().get(0).lengthShare();
        assertThat(little).isLessThan(0.1);
        assertThat(much).isGreaterThan(0.9);
    }

    @Test
    void badLinesAreNamed() {
        List<Problem> problems = new ArrayList<>();
        LeadList.read("2.1 5.31\nlong 4\n3\n", problems);
        assertThat(problems.stream().map(each -> each.where() + ": " + each.text()))
                .containsExactly(
                        "line 2: Read 'long 4'; expected length in metres and ohms, such as 2.1 5.31, then its name.",
                        "line 3: Read '3'; expected length in metres and ohms, such as 2.1 5.31, then its name.");
    }
}
