package zestymarten.core.coreid;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import zestymarten.core.quantity.English;

/** Groups in one round trip, played with cables of all sizes, whole, broken and shorted. */
class GroupsMethodTest {
    /** The real cable: core i here arrives there as {@code there[i]}. */
    private static int[] cable(int cores, Random random) {
        List<Integer> ends =
                new ArrayList<>(IntStream.rangeClosed(1, cores).boxed().toList());
        Collections.shuffle(ends, random);
        int[] there = new int[cores + 1];
        for (int i = 1; i <= cores; i++) {
            there[i] = ends.get(i - 1);
        }
        return there;
    }

    private static int[] back(int[] there) {
        int[] here = new int[there.length];
        for (int i = 1; i < there.length; i++) {
            here[there[i]] = i;
        }
        return here;
    }

    private static GroupCodes shorted(GroupCodes linked, int one, int other) {
        int[] numbers = linked.numbers();
        return linked.joined(numbers[one], numbers[other]);
    }

    private static List<Integer> truth(int[] there) {
        return IntStream.range(1, there.length).map(i -> there[i]).boxed().toList();
    }

    @Test
    void everyBundleFromThreeTo200HasASchemeButForFiveAndNine() {
        for (int cores = 1; cores <= GroupScheme.MAX; cores++) {
            boolean none = cores == 2 || cores == 5 || cores == 9;
            assertThat(GroupScheme.of(cores).isEmpty()).as(cores + " cores").isEqualTo(none);
            GroupScheme.of(cores).ifPresent(GroupsMethodTest::isAScheme);
        }
    }

    private static void isAScheme(GroupScheme scheme) {
        Map<Integer, Integer> rows = new HashMap<>();
        Map<Integer, Integer> columns = new HashMap<>();
        scheme.cells().forEach(cell -> {
            rows.merge(cell.here(), 1, Integer::sum);
            columns.merge(cell.there(), 1, Integer::sum);
        });
        assertThat(scheme.cells()).doesNotHaveDuplicates();
        rows.forEach((size, sum) -> assertThat(sum % size).isZero());
        columns.forEach((size, sum) -> assertThat(sum % size).isZero());
    }

    @Test
    void aCoreThatIsTiedNowhereIsAvoidedWhereverThatCanBe() {
        for (int cores = 3; cores <= 60; cores++) {
            if (GroupScheme.of(cores).isPresent() && cores != 4 && cores != 8) {
                assertThat(GroupScheme.of(cores).orElseThrow().cells())
                        .as(cores + " cores")
                        .doesNotContain(new GroupScheme.CodeCell(1, 1));
            }
        }
    }

    @Test
    void everyCoreOfAWholeCableIsTold() {
        for (int cores = 3; cores <= 60; cores++) {
            GroupScheme scheme = GroupScheme.of(cores).orElse(null);
            for (int seed = 0; scheme != null && seed < 5; seed++) {
                int[] there = cable(cores, new Random(1000L * cores + seed));
                GroupCodes found = scheme.linkedHere().seen(there);
                GroupCodes second = scheme.linkedThere(found);
                CoreMatching matched = CoreMatching.of(scheme.linkedHere(), found, second, second.seen(back(there)));
                assertThat(matched.isComplete())
                        .as(cores + " cores, seed " + seed)
                        .isTrue();
                assertThat(matched.sure()).isEqualTo(truth(there));
            }
        }
    }

    @Test
    void aBrokenCoreIsNamedAndEveryOtherThatIsSureIsRight() {
        int certain = 0;
        int all = 0;
        for (int cores = 3; cores <= 60; cores++) {
            GroupScheme scheme = GroupScheme.of(cores).orElse(null);
            for (int seed = 0; scheme != null && seed < 5; seed++) {
                Random random = new Random(1000L * cores + seed);
                int[] there = cable(cores, random);
                int broken = 1 + random.nextInt(cores);
                GroupCodes found = scheme.linkedHere().without(broken).seen(there);
                GroupCodes second = scheme.linkedThere(found);
                CoreMatching matched = CoreMatching.of(
                        scheme.linkedHere(),
                        found,
                        second,
                        second.without(there[broken]).seen(back(there)));
                isRight(matched, there, cores + " cores, seed " + seed, broken);
                boolean named = matched.explanations().stream()
                        .anyMatch(each -> each.fault().isPresent()
                                && each.fault()
                                        .get()
                                        .equals(new CoreMatching.CoreFault.CoreBroken(broken, there[broken])));
                boolean hidden = matched.explanations().stream()
                        .anyMatch(each -> each.fault().isEmpty());
                assertThat(named || hidden)
                        .as(cores + " cores, seed " + seed + " " + matched)
                        .isTrue();
                certain += named && matched.explanations().size() == 1 ? 1 : 0;
                all++;
            }
        }
        assertThat(certain).isGreaterThan(all * 6 / 10);
    }

    @Test
    void twoShortedCoresAreAmongThoseNamed() {
        int certain = 0;
        int all = 0;
        for (int cores = 3; cores <= 60; cores++) {
            GroupScheme scheme = GroupScheme.of(cores).orElse(null);
            for (int seed = 0; scheme != null && seed < 5; seed++) {
                Random random = new Random(1000L * cores + seed);
                int[] there = cable(cores, random);
                int one = 1 + random.nextInt(cores);
                int other = 1 + (one + random.nextInt(cores - 1)) % cores;
                GroupCodes found = shorted(scheme.linkedHere(), one, other).seen(there);
                GroupCodes second = scheme.linkedThere(found);
                CoreMatching matched = CoreMatching.of(
                        scheme.linkedHere(),
                        found,
                        second,
                        shorted(second, there[one], there[other]).seen(back(there)));
                isRight(matched, there, cores + " cores, seed " + seed, 0);
                boolean named = matched.explanations().stream()
                        .anyMatch(each -> each.fault().isPresent()
                                && each.fault().get() instanceof CoreMatching.CoreFault.CoresShorted pair
                                && pair.here().containsAll(List.of(one, other)));
                assertThat(named)
                        .as(cores + " cores, seed " + seed + " " + matched)
                        .isTrue();
                certain += matched.explanations().size() == 1 ? 1 : 0;
                all++;
            }
        }
        assertThat(certain).isGreaterThan(all / 2);
    }

    /** Whatever all explanations agree in is what the cable is. */
    private static void isRight(CoreMatching matched, int[] there, String what, int broken) {
        List<Integer> sure = matched.sure();
        assertThat(sure).as(what).hasSize(there.length - 1);
        for (int i = 1; i < there.length; i++) {
            if (sure.get(i - 1) != 0 && i != broken) {
                assertThat(sure.get(i - 1)).as(what + ", core " + i).isEqualTo(there[i]);
            }
        }
    }

    @Test
    void theSortingSaysWhatItMeans() {
        int[] there = cable(17, new Random(4));
        GroupScheme scheme = GroupScheme.of(17).orElseThrow();
        GroupCodes found = scheme.linkedHere().without(9).seen(there);
        Sorting half = Sorting.of(IdentificationMethod.MethodKind.GROUPS, 17, Optional.of(found), Optional.empty());
        assertThat(English.all(half.says()))
                .containsExactly(
                        "The groups found there do not add up to those linked here: a core is open, or two touch each"
                                + " other. Continue: the second finding says which.");
        GroupCodes second = half.linkedThere().orElseThrow();
        Sorting whole = Sorting.of(
                IdentificationMethod.MethodKind.GROUPS,
                17,
                Optional.of(found),
                Optional.of(second.without(there[9]).seen(back(there))));
        assertThat(English.of(whole.says().get(0))).contains("open").contains("9");
        assertThat(whole.whole()).isFalse();
        Sorting wrong = Sorting.of(
                IdentificationMethod.MethodKind.GROUPS,
                17,
                Optional.of(GroupCodes.ofMarks(Collections.nCopies(17, "a"))),
                Optional.of(GroupCodes.ofMarks(Collections.nCopies(17, ""))));
        assertThat(English.of(wrong.says().get(0))).startsWith("These groups fit neither");
        assertThat(wrong.there()).isEmpty();
    }

    @Test
    void aReturnIsCountedOnlyWhereItIsNeeded() {
        assertThat(Sorting.counted(IdentificationMethod.MethodKind.GROUPS, 17, true))
                .isEqualTo(17);
        assertThat(Sorting.counted(IdentificationMethod.MethodKind.GROUPS, 9, true))
                .isEqualTo(10);
        assertThat(Sorting.counted(IdentificationMethod.MethodKind.GROUPS, 2, true))
                .isEqualTo(3);
        assertThat(GroupCodes.ofMarks(List.of("a", "", "a", "b", "")).text()).isEqualTo("1+3");
    }
}
