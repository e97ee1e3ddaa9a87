package zestymarten.web.coreid;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zestymarten.core.coreid.ContinuityMatching;
import zestymarten.core.coreid.IdentificationMethod;
import zestymarten.web.platform.TypedForm;
import zestymarten.web.platform.Words;

/** What a bundle's form makes of what is typed. */
class CoreIdFormTest {
    private static TypedForm typed(String... pairs) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        return new TypedForm(fields);
    }

    @Test
    void theFirstMethodThatCanBeUsedIsTakenUnlessOneIsChosen() {
        assertThat(CoreIdView.of(typed("cores", "6")).kind()).isEqualTo(IdentificationMethod.MethodKind.GROUPS);
        assertThat(CoreIdView.of(typed("cores", "9")).kind()).isEqualTo(IdentificationMethod.MethodKind.PAIR_CHAIN);
        assertThat(CoreIdView.of(typed("cores", "9", "return", "yes", "method", "GROUPS"))
                        .toFind())
                .as("the return counts where the bundle alone has no scheme")
                .hasSize(10)
                .endsWith("R");
        assertThat(CoreIdView.of(typed("cores", "6", "method", "ONE_BY_ONE")).kind())
                .as("it needs a return")
                .isEqualTo(IdentificationMethod.MethodKind.GROUPS);
    }

    @Test
    void aShortIsAFaultEvenWhereEveryCoreIsTold() {
        // Straight through, six cores: 1 | 2 3 | 4 5 6 here; cores 1 and 2 touch each other on the way.
        CoreIdView half =
                CoreIdView.of(typed("cores", "6", "f1", "a", "f2", "a", "f3", "a", "f4", "b", "f5", "b", "f6", "b"));
        assertThat(half.step()).isEqualTo("here");
        assertThat(half.says().get(0)).startsWith("The groups found there do not add up");
        assertThat(half.faulty()).isFalse();
        Map<String, String> fields = new LinkedHashMap<>(
                Map.of("cores", "6", "f1", "a", "f2", "a", "f3", "a", "f4", "b", "f5", "b", "f6", "b"));
        List<List<String>> linked =
                half.linkThere().stream().map(CoreIdView.LinkView::cores).toList();
        for (int i = 0; i < linked.size(); i++) {
            boolean measurements = linked.get(i).contains("1") || linked.get(i).contains("2");
            for (String core : linked.get(i)) {
                fields.put("g" + core, measurements ? "short" : "m" + i);
            }
        }
        CoreIdView whole = CoreIdView.of(new TypedForm(fields));
        assertThat(whole.step()).isEqualTo("done");
        assertThat(whole.faulty()).isTrue();
        assertThat(whole.says().get(0))
                .contains("touch each other")
                .contains("1")
                .contains("2");
    }

    @Test
    void tagsWithoutAReturnAreToldByPairSums() {
        CoreIdView view = CoreIdView.of(typed(
                "cores", "3", "tags", "100 220 470", "method", "TAGS", "r2", "571", "r3", "321", "closing", "691"));
        assertThat(view.kind()).isEqualTo(IdentificationMethod.MethodKind.TAGS);
        assertThat(view.pairs()).extracting(CoreIdView.CorePairView::there).containsExactly(1, 3, 2);
        assertThat(view.isIdentified()).isTrue();
    }

    @Test
    void tagsThatCannotBeToldApartAreNotUsed() {
        CoreIdView view = CoreIdView.of(typed("cores", "3", "tags", "100 101 102", "return", "yes"));
        assertThat(view.methods())
                .filteredOn(each -> each.kind() == IdentificationMethod.MethodKind.TAGS)
                .extracting(CoreIdView.MethodLine::cannot)
                .containsExactly("only 1 of the tags can be distinguished");
    }

    @Test
    void aStepOfTheVoltageIsJudgedFromTwoReadings() {
        List<ContinuityMatching.CoreResult> found = CoreIdView.of(
                        typed("cores", "3", "supply", "24", "w1", "23.5/0.1", "w2", "7"))
                .through();
        assertThat(found)
                .extracting(each -> Words.say(each.why()))
                .containsExactly("full: 23.4 V of 24 V", "stray: 7 V of 24 V; load it and read again");
    }

    @Test
    void whatMakesNoSenseIsSaid() {
        TypedForm typed = typed(
                "cores",
                "1.5",
                "tags",
                "red",
                "method",
                "PAIR_AND_EARTH",
                "return",
                "yes",
                "e1",
                "first",
                "part_low",
                "300",
                "part_high",
                "320",
                "w1",
                "b");
        CoreIdView.of(typed);
        assertThat(typed.problems())
                .extracting(each -> Words.say(each.what()))
                .containsExactly(
                        "“1.5” is not accepted; expected a whole number from 2 to 200.",
                        "“red” is not accepted; expected a resistance such as 100, 2k2, 15k.",
                        "No tags are named; expected their resistances, such as 100, 2k2, 15k.",
                        "“first” is not accepted; expected the number of a core here, or - for none.",
                        "“b” is not accepted; expected a resistance such as 312, or OL.");
    }
}
