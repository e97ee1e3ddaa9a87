package zestymarten.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.assembly.WireList;
import zestymarten.core.quantity.Trials;

/** What follows from readings needs no reading, and what does not follow is never said to. */
class ImpliedPairsTest {
    private static final String FOUR = "wire,from,to\nW1,J1.1,J2.1\nW2,J1.2,J2.2\nW3,J1.3,J2.3\nW4,J1.4,J2.4\n";
    private static final int UNITS = Trials.of(60);
    private static final double THROUGH_OHM = 10_000;

    private static List<ImpliedPairs.ImpliedPair> implied(String... readings) {
        Assembly cable = WireList.read(FOUR).assembly("Cable", AssemblyKind.CABLE, "", Map.of());
        List<AnalysisReading> all = TypedReadings.of(readings);
        return Analysis.of(Design.of(cable, 20), RandomUnit.CONDITIONS, all).implied();
    }

    private static String said(ImpliedPairs.ImpliedPair pair) {
        return pair.a() + (pair.joined() ? " joined " : " apart ") + pair.b() + " " + pair.from();
    }

    @Test
    void theSecondWireOfACrossingIsOpenByWhatWasReadOfTheFirst() {
        assertThat(implied("J1.3-J2.3=OL", "J1.3-J2.4=0.6", "J1.4-J2.3=0.6"))
                .extracting(ImpliedPairsTest::said)
                .containsExactlyInAnyOrder(
                        "J1.3 apart J1.4 [0, 2]", "J2.3 apart J2.4 [0, 1]", "J1.4 apart J2.4 [0, 1, 2]");
    }

    @Test
    void whatIsShortedToOneOfTwoShortedWiresIsShortedToBoth() {
        assertThat(implied("J1.1-J1.2=0.6", "J1.2-J1.3=0.6", "J1.2-FRAME=OL"))
                .extracting(ImpliedPairsTest::said)
                .containsExactlyInAnyOrder(
                        "J1.1 joined J1.3 [0, 1]", "J1.1 apart FRAME [0, 2]", "J1.3 apart FRAME [1, 2]");
    }

    @Test
    void theResistanceOfAWireIsNotShownByTheWayRound() {
        assertThat(implied("J1.1-J1.2=0.6", "J1.2-J2.1=0.6"))
                .extracting(ImpliedPairsTest::said)
                .isEmpty();
    }

    @Test
    void whatJumpsOrContradictsItselfImpliesNothing() {
        assertThat(implied("J1.1-J1.2=~0.4..OL", "J1.2-J1.3=OL")).isEmpty();
        assertThat(implied("J1.1-J1.2=OL", "J1.1-J1.2=0.6", "J1.2-J1.3=OL")).isEmpty();
        assertThat(implied("J1.1-J1.2=more", "J1.2-J1.3=OL")).isEmpty();
    }

    @Test
    void aLeakIsNeitherJoinedNorApart() {
        assertThat(implied("J1.1-J1.2=80k", "J1.2-J2.2=0.6", "J2.2-J1.3=OL"))
                .extracting(ImpliedPairsTest::said)
                .containsExactly("J1.2 apart J1.3 [1, 2]");
    }

    @ParameterizedTest
    @EnumSource(RandomUnit.Family.class)
    void whatIsImpliedIsWhatTheMeterWouldHaveShown(RandomUnit.Family family) {
        Random random = new Random(family.name().hashCode());
        int seen = 0;
        for (int i = 0; i < UNITS; i++) {
            RandomUnit unit = RandomUnit.of(random, family).broken(random.nextInt(4));
            List<AnalysisReading> truth = unit.everyPair();
            List<AnalysisReading> some = new ArrayList<>(truth);
            Collections.shuffle(some, random);
            List<AnalysisReading> made = some.subList(0, some.size() / 2);
            Analysis analysis = Analysis.of(Design.of(unit.assembly(), 20), RandomUnit.CONDITIONS, made);
            for (ImpliedPairs.ImpliedPair pair : analysis.implied()) {
                assertThat(reads(truth, pair) < THROUGH_OHM)
                        .as("unit %d %s: %s", i, unit.truth(), said(pair))
                        .isEqualTo(pair.joined());
                assertThat(follows(pair.from().stream().map(made::get).toList(), pair))
                        .as("unit %d: %s follows from the readings that it names", i, said(pair))
                        .isTrue();
                seen++;
            }
        }
        assertThat(seen).isPositive();
    }

    /** By colouring: what is joined to the first terminal by the readings, and whether an open one leads from there. */
    private static boolean follows(List<AnalysisReading> readings, ImpliedPairs.ImpliedPair pair) {
        Set<Terminal> left = joinedTo(readings, pair.a());
        Set<Terminal> right = joinedTo(readings, pair.b());
        return pair.joined()
                ? left.contains(pair.b())
                : readings.stream()
                        .filter(each -> each.asTyped().equals("OL"))
                        .anyMatch(each -> (left.contains(each.a()) && right.contains(each.b()))
                                || (left.contains(each.b()) && right.contains(each.a())));
    }

    private static Set<Terminal> joinedTo(List<AnalysisReading> readings, Terminal start) {
        Set<Terminal> reached = new HashSet<>(Set.of(start));
        for (int i = 0; i < readings.size(); i++) {
            readings.stream()
                    .filter(each -> !each.asTyped().equals("OL"))
                    .filter(each -> reached.contains(each.a()) || reached.contains(each.b()))
                    .forEach(each -> reached.addAll(List.of(each.a(), each.b())));
        }
        return reached;
    }

    private static double reads(List<AnalysisReading> truth, ImpliedPairs.ImpliedPair pair) {
        AnalysisReading reading = truth.stream()
                .filter(each -> Set.of(each.a(), each.b()).equals(Set.of(pair.a(), pair.b())))
                .findFirst()
                .orElseThrow();
        return reading.asTyped().equals("OL") ? Double.POSITIVE_INFINITY : Double.parseDouble(reading.asTyped());
    }
}
