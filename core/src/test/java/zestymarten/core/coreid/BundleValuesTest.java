package zestymarten.core.coreid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zestymarten.core.quantity.English;

/** The values of a bundle at the ends of their ranges. */
class BundleValuesTest {
    @Test
    void groupsHoldEveryCoreOnce() {
        GroupCodes groups = new GroupCodes(List.of(List.of(4, 2), List.of(1), List.of(3)));
        assertThat(groups.groups()).containsExactly(List.of(1), List.of(2, 4), List.of(3));
        assertThat(groups.cores()).isEqualTo(4);
        assertThat(groups.of(4)).containsExactly(2, 4);
        assertThat(groups.without(2).groups()).containsExactly(List.of(1), List.of(2), List.of(3), List.of(4));
        assertThat(groups.joined(0, 2).text()).isEqualTo("1+3, 2+4");
        assertThat(groups.joined(1, 1)).isEqualTo(groups);
        assertThatThrownBy(() -> new GroupCodes(List.of(List.of(1, 3))))
                .hasMessage("group_codes.groups_each_core[2, [1, 3]]");
        assertThatThrownBy(() -> groups.of(9)).hasMessage("There is no core 9.");
    }

    @Test
    void touchesAreThoseOfFindingTheGroupsAtWorst() {
        assertThat(GroupCodes.ofMarks(List.of("a", "a", "a")).measurements()).isEqualTo(2);
        assertThat(GroupCodes.ofMarks(List.of("", "", "")).measurements()).isEqualTo(3);
        assertThat(GroupCodes.ofMarks(List.of("", "a", "a")).measurements()).isEqualTo(3);
    }

    @Test
    void aBundleHasFromTwoTo200Cores() {
        assertThatThrownBy(() -> GroupScheme.of(201)).hasMessage("group_scheme.bundle_cores_have[201, 200]");
        assertThatThrownBy(() -> IdentificationMethod.all(1, false, 0))
                .hasMessage("identification_method.bundle_cores_have[1, 200]");
        assertThat(IdentificationMethod.all(200, true, 0))
                .filteredOn(IdentificationMethod::isPossible)
                .hasSize(3);
        assertThat(IdentificationMethod.all(3, false, 0).get(0).minutes(10)).isGreaterThan(20);
    }

    @Test
    void theTriangleIsTheSchemeOfItsNumbers() {
        assertThat(GroupScheme.of(6).orElseThrow().cells())
                .containsExactly(
                        new GroupScheme.CodeCell(1, 3),
                        new GroupScheme.CodeCell(2, 2),
                        new GroupScheme.CodeCell(2, 3),
                        new GroupScheme.CodeCell(3, 1),
                        new GroupScheme.CodeCell(3, 2),
                        new GroupScheme.CodeCell(3, 3));
        assertThat(GroupScheme.of(6).orElseThrow().linkedHere().text()).isEqualTo("2+3, 4+5+6");
    }

    @Test
    void onlyGroupsAndPairsAreSortedByGroups() {
        assertThatThrownBy(
                        () -> Sorting.of(IdentificationMethod.MethodKind.TAGS, 5, Optional.empty(), Optional.empty()))
                .hasMessage("Only groups and the pair chain are sorted by groups.");
        assertThatThrownBy(
                        () -> Sorting.of(IdentificationMethod.MethodKind.GROUPS, 9, Optional.empty(), Optional.empty()))
                .hasMessage("sorting.not_by_sizes[9]");
        GroupCodes one = GroupCodes.ofMarks(List.of("a", "a", "", ""));
        GroupCodes three = GroupCodes.ofMarks(List.of("", "", ""));
        assertThatThrownBy(() -> CoreMatching.of(one, three, one, one)).hasMessage("core_matching.all_four_groups[4]");
    }

    @Test
    void aBrokenChainIsSaidAndNotGuessed() {
        Sorting chain = Sorting.of(
                IdentificationMethod.MethodKind.PAIR_CHAIN,
                5,
                Optional.of(GroupCodes.ofMarks(List.of("", "", "", "a", "a"))),
                Optional.empty());
        assertThat(chain.linkedThere()).isEmpty();
        assertThat(English.of(chain.says().get(0))).startsWith("There should be one single and pairs.");
        Sorting half = Sorting.of(
                IdentificationMethod.MethodKind.PAIR_CHAIN,
                5,
                Optional.of(GroupCodes.ofMarks(List.of("", "b", "b", "a", "a"))),
                Optional.empty());
        assertThat(half.linkedThere().orElseThrow().text()).isEqualTo("1+2, 3+4");
        assertThat(English.all(half.says())).isEmpty();
    }

    @Test
    void tagsAndPartsRefuseWhatCannotBe() {
        assertThatThrownBy(() -> new Tags(List.of(), 0.05, 1)).hasMessage("tags.none");
        assertThatThrownBy(() -> new Tags(List.of(100.0), 1, 1)).hasMessage("tags.tags_tolerance_below[1, 1 Ω]");
        assertThatThrownBy(() -> Tags.withoutReturn(List.of(OptionalDouble.of(3)), 2, 0.01))
                .hasMessage("tags.without_return_least");
        assertThatThrownBy(() -> ContinuityMatching.byVolts(24, List.of(1.0), List.of()))
                .hasMessage("continuity_matching.supply_above_most[24 V]");
        assertThatThrownBy(() -> MarkedVisits.of(IdentificationMethod.MethodKind.ONE_BY_ONE, 1))
                .hasMessage("marked_visits.two_cores_least[1]");
    }
}
