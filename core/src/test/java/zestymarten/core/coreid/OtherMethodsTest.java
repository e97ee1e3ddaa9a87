package zestymarten.core.coreid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import zestymarten.core.quantity.English;
import zestymarten.core.quantity.Message;

class OtherMethodsTest {
    private static int[] cable(int cores, long seed) {
        List<Integer> ends =
                new ArrayList<>(IntStream.rangeClosed(1, cores).boxed().toList());
        Collections.shuffle(ends, new Random(seed));
        return IntStream.rangeClosed(0, cores)
                .map(i -> i == 0 ? 0 : ends.get(i - 1))
                .toArray();
    }

    private static int[] back(int[] there) {
        int[] here = new int[there.length];
        IntStream.range(1, there.length).forEach(i -> here[there[i]] = i);
        return here;
    }

    @Test
    void thePairChainTellsEveryCoreOfEveryOddBundle() {
        for (int cores = 3; cores <= 59; cores += 2) {
            int[] there = cable(cores, cores);
            GroupCodes found = PairChain.linkedHere(cores).seen(there);
            GroupCodes second = PairChain.linkedThere(found).orElseThrow();
            List<Integer> sorted = PairChain.sorted(found, second.seen(back(there)));
            assertThat(sorted)
                    .as(cores + " cores")
                    .isEqualTo(IntStream.range(1, there.length)
                            .map(i -> there[i])
                            .boxed()
                            .toList());
        }
        assertThatThrownBy(() -> PairChain.linkedHere(4)).hasMessage("pair_chain.chain_pairs_needs[4]");
    }

    @Test
    void aBrokenCoreStopsTheChainAndNothingWrongIsSaid() {
        int cores = 9;
        for (int broken = 1; broken <= cores; broken++) {
            int[] there = cable(cores, 3);
            GroupCodes found = PairChain.linkedHere(cores).without(broken).seen(there);
            if (broken > 1) {
                assertThat(PairChain.linkedThere(found)).as("core " + broken).isEmpty();
                continue;
            }
            // The single itself is broken: nothing shows it but the chain that does not begin.
            GroupCodes second = PairChain.linkedThere(found).orElseThrow();
            List<Integer> sorted =
                    PairChain.sorted(found, second.without(there[1]).seen(back(there)));
            assertThat(sorted.subList(1, cores)).containsOnly(0);
        }
    }

    @Test
    void methodsAreComparedByWalksThenWork() {
        List<IdentificationMethod> seventeen = IdentificationMethod.all(17, false, 0);
        assertThat(seventeen.get(0).kind())
                .isIn(IdentificationMethod.MethodKind.GROUPS, IdentificationMethod.MethodKind.PAIR_CHAIN);
        assertThat(seventeen.get(0).trips()).isEqualTo(2);
        assertThat(IdentificationMethod.all(17, true, 24).get(0))
                .isEqualTo(new IdentificationMethod(IdentificationMethod.MethodKind.TAGS, 1, 34, 17, Message.NONE));
        assertThat(IdentificationMethod.all(17, true, 0).stream()
                        .filter(each -> each.kind() == IdentificationMethod.MethodKind.ONE_BY_ONE)
                        .findFirst()
                        .orElseThrow()
                        .trips())
                .isEqualTo(32);
    }

    @Test
    void twoNeedAReturnAndFiveAndNineTakeThePairChain() {
        assertThat(IdentificationMethod.all(2, false, 0)).noneMatch(IdentificationMethod::isPossible);
        assertThat(IdentificationMethod.all(2, true, 0)).anyMatch(IdentificationMethod::isPossible);
        for (int cores : List.of(5, 9)) {
            List<IdentificationMethod> all = IdentificationMethod.all(cores, false, 0);
            assertThat(all.get(0).kind()).isEqualTo(IdentificationMethod.MethodKind.PAIR_CHAIN);
            assertThat(all)
                    .filteredOn(each -> each.kind() == IdentificationMethod.MethodKind.GROUPS)
                    .singleElement()
                    .satisfies(each -> assertThat(English.of(each.cannot()))
                            .isEqualTo(cores
                                    + " cores cannot be identified by the sizes of groups alone; a known return would help; the"
                                    + " pair chain can"));
        }
    }

    @Test
    void tagsAreOnlyUsedWhereTheyStayApart() {
        Tags tags = new Tags(List.of(100.0, 110.0, 150.0, 220.0, 470.0), 0.05, 2);
        assertThat(tags.apart(0.01, true)).containsExactly(100.0, 150.0, 220.0, 470.0);
        assertThat(tags.of(Tags.OwnResistance.read(152, 0.01))).isEqualTo(2);
        assertThat(tags.of(Tags.OwnResistance.read(105, 0.01))).isEqualTo(-1);
        assertThat(tags.of(Tags.OwnResistance.read(300, 0.01))).isEqualTo(-1);
    }

    @Test
    void withoutAReturnThePairSumsGiveEveryTag() {
        List<Double> tags = List.of(100.0, 220.0, 470.0, 1000.0);
        List<OptionalDouble> sums = tags.subList(1, 4).stream()
                .map(each -> OptionalDouble.of(each + tags.get(0)))
                .toList();
        List<Optional<Tags.OwnResistance>> own = Tags.withoutReturn(sums, 690, 0.01);
        for (int i = 0; i < tags.size(); i++) {
            assertThat(own.get(i).orElseThrow().ohm()).isCloseTo(tags.get(i), within(1e-9));
        }
        assertThat(own.get(1).orElseThrow().doubtOhm())
                .as("a hundredth of all four readings: 320, half of 320 + 570 + 690")
                .isCloseTo(3.2 + 7.9, within(1e-9));
        assertThat(Tags.withoutReturn(List.of(OptionalDouble.empty(), OptionalDouble.of(5)), 3, 0.01))
                .containsOnly(Optional.empty());
    }

    @Test
    void whichCoreLeadsThroughAPart() {
        var expected = ContinuityMatching.expected(300, 320, 4);
        assertThat(ContinuityMatching.byOhms(
                        expected, List.of(OptionalDouble.of(311), OptionalDouble.empty(), OptionalDouble.of(12)), 0.01))
                .extracting(each -> each.core() + " " + each.answer() + ": " + English.of(each.why()))
                .containsExactly(
                        "1 THROUGH: 311 Ω, within 300 Ω to 324 Ω",
                        "2 NOT: no continuity",
                        "3 STRAY: 12 Ω, not within 300 Ω to 324 Ω: another path, or another part");
        assertThat(ContinuityMatching.byVolts(24, List.of(23.5, 7.0, 0.4), List.of(0.1, 0.2, 0.3)))
                .extracting(ContinuityMatching.CoreResult::answer)
                .containsExactly(
                        ContinuityMatching.CoreAnswer.THROUGH,
                        ContinuityMatching.CoreAnswer.STRAY,
                        ContinuityMatching.CoreAnswer.NOT);
    }

    private static MarkedVisits.MarkedCore found(MarkedVisits.Visit visit, int[] here) {
        return new MarkedVisits.MarkedCore(
                Optional.of(here[visit.toReturn()]),
                visit.together().stream().map(core -> here[core]).toList());
    }

    @Test
    void visitsTellEveryCoreAsOftenAsIsSaid() {
        for (IdentificationMethod.MethodKind kind :
                List.of(IdentificationMethod.MethodKind.PAIR_AND_EARTH, IdentificationMethod.MethodKind.ONE_BY_ONE)) {
            for (int cores = 2; cores <= 60; cores++) {
                int[] there = cable(cores, cores);
                int[] here = back(there);
                MarkedVisits visits = MarkedVisits.of(kind, cores);
                List<Integer> sorted = visits.sorted(
                        visits.visits().stream().map(each -> found(each, here)).toList());
                assertThat(sorted)
                        .as(kind + ", " + cores + " cores")
                        .isEqualTo(IntStream.range(1, there.length)
                                .map(i -> there[i])
                                .boxed()
                                .toList());
                IdentificationMethod method = IdentificationMethod.all(cores, true, 0).stream()
                        .filter(each -> each.kind() == kind)
                        .findFirst()
                        .orElseThrow();
                assertThat(method.trips()).isEqualTo(2 * visits.visits().size());
            }
        }
    }

    @Test
    void anOpenCoreIsNotToldAndTheOthersAreRight() {
        int[] there = cable(7, 1);
        int[] here = back(there);
        MarkedVisits visits = MarkedVisits.of(IdentificationMethod.MethodKind.ONE_BY_ONE, 7);
        List<Integer> sorted = visits.sorted(visits.visits().stream()
                .map(each -> each.toReturn() == 3
                        ? new MarkedVisits.MarkedCore(Optional.empty(), List.of())
                        : found(each, here))
                .toList());
        assertThat(sorted.get(here[3] - 1)).isZero();
        assertThat(sorted.stream().filter(each -> each > 0)).hasSize(5);
        assertThat(sorted.get(here[1] - 1)).isEqualTo(1);
    }

    @Test
    void aCoreKnownByWhatIsLeftIsNamedAndNotFilledInWhereOneIsMissing() {
        MarkedVisits visits = MarkedVisits.of(IdentificationMethod.MethodKind.ONE_BY_ONE, 3);
        assertThat(visits.unproved()).containsExactly(3);
        MarkedVisits.MarkedCore second = new MarkedVisits.MarkedCore(Optional.of(2), List.of());
        MarkedVisits.MarkedCore none = new MarkedVisits.MarkedCore(Optional.empty(), List.of());
        MarkedVisits.MarkedCore first = new MarkedVisits.MarkedCore(Optional.of(1), List.of());
        assertThat(visits.sorted(List.of(first, second))).containsExactly(1, 2, 3);
        assertThat(visits.sorted(List.of(none, second))).containsExactly(0, 2, 0);
    }

    @Test
    void aCoreThatWasLinkedToNothingAtEitherEndMayBeOpen() {
        GroupScheme scheme = GroupScheme.of(4).orElseThrow();
        GroupCodes there = scheme.linkedHere();
        Sorting sorted = Sorting.of(
                IdentificationMethod.MethodKind.GROUPS, 4, Optional.of(there), Optional.of(scheme.linkedThere(there)));
        assertThat(English.all(sorted.says())).anyMatch(each -> each.contains("it may be open"));
        assertThat(English.all(sorted.says())).noneMatch(each -> each.contains("none is open"));
    }

    /** Seventeen tags of the E12 series on cores in any order, without a return, each reading within a hundredth. */
    @Test
    void noTagIsToldWronglyWhateverTheMeterAndTheTagsAreWithinTheirLimits() {
        List<Double> series = List.of(
                100.0, 150.0, 220.0, 330.0, 470.0, 680.0, 1000.0, 1500.0, 2200.0, 3300.0, 4700.0, 6800.0, 10e3, 15e3,
                22e3, 33e3, 47e3);
        for (double tolerance : new double[] {0.01, 0.05}) {
            Tags tags = new Tags(series, tolerance, 2);
            SplittableRandom random = new SplittableRandom(99);
            int found = 0;
            for (int bundle = 0; bundle < 500; bundle++) {
                List<Integer> order =
                        new ArrayList<>(IntStream.range(0, 17).boxed().toList());
                Collections.shuffle(order, new java.util.Random(bundle));
                double[] real = order.stream()
                        .mapToDouble(each -> series.get(each) * (1 + tolerance * (2 * random.nextDouble() - 1)) + 0.5)
                        .toArray();
                List<OptionalDouble> toFirst = new ArrayList<>();
                for (int i = 1; i < 17; i++) {
                    toFirst.add(OptionalDouble.of((real[0] + real[i]) * (1 + 0.01 * (2 * random.nextDouble() - 1))));
                }
                double closing = (real[1] + real[2]) * (1 + 0.01 * (2 * random.nextDouble() - 1));
                List<Optional<Tags.OwnResistance>> own = Tags.withoutReturn(toFirst, closing, 0.01);
                for (int i = 0; i < 17; i++) {
                    int of = own.get(i).map(tags::of).orElse(-1);
                    assertThat(of).as("bundle " + bundle + " core " + i).isIn(-1, order.get(i));
                    found += of >= 0 ? 1 : 0;
                }
            }
            assertThat(found).as("of 8500").isGreaterThan(3000);
        }
    }
}
