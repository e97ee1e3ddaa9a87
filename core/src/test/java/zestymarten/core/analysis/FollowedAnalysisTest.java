package zestymarten.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zestymarten.core.finding.Priors;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.quantity.Trials;

/** An analysis that takes over what an earlier one has found answers as one that is made anew, in whatever order was read. */
class FollowedAnalysisTest {
    private static final int UNITS = Trials.of(8);

    /** An analysis that is made anew costs a search among the faults. */
    private static final int COMPARED_EVERY = Trials.ALL ? 1 : 3;

    private static List<Observation> observations(RandomUnit unit, Design design, Random random) {
        List<Observation> all = new ArrayList<>();
        for (Analysis.JudgedReading each :
                Analysis.of(design, RandomUnit.CONDITIONS, unit.everyPair()).judgements()) {
            all.add(new Observation(
                    all.size(),
                    each.reading().a(),
                    each.reading().b(),
                    each.reading().state(),
                    each.expectation(),
                    each.judgement(),
                    each.understood(),
                    each.reading().links(),
                    each.reading().since()));
        }
        Collections.shuffle(all, random);
        return all;
    }

    private static UnitAnalysis anew(Design design, List<Observation> made) {
        return UnitAnalysis.of(design, RandomUnit.CONDITIONS, Priors.usual(), Symptoms.NONE, made);
    }

    /** Each finding with its probability and its alternatives. */
    private static List<String> found(UnitAnalysis analysis) {
        return analysis.findings().stream()
                .map(each -> "%s %.4f %s".formatted(each.finding(), each.probability(), each.alternatives()))
                .toList();
    }

    private static int followed(RandomUnit unit, Random random, String which) {
        Design design = Design.of(unit.assembly(), 20);
        List<Observation> made = new ArrayList<>();
        UnitAnalysis kept = anew(design, made);
        int followed = 0;
        for (Observation next : observations(unit, design, random)) {
            made.add(next);
            Optional<UnitAnalysis> more = kept.with(next);
            if (more.isPresent() && followed++ % COMPARED_EVERY > 0) {
                kept = more.get();
                continue;
            }
            UnitAnalysis whole = anew(design, made);
            if (more.isPresent()) {
                assertThat(found(more.get()))
                        .as("%s: %s, after %d readings", which, unit.truth(), made.size())
                        .isEqualTo(found(whole));
                assertThat(more.get().untested(20)).isEqualTo(whole.untested(20));
            }
            kept = more.orElse(whole);
        }
        return followed;
    }

    @ParameterizedTest
    @EnumSource(RandomUnit.Family.class)
    void whatAReadingLeavesAsItIsNeedNotBeFoundAgain(RandomUnit.Family family) {
        Random random = new Random(3 + family.name().hashCode());
        int followed = 0;
        int units = family == RandomUnit.Family.RING ? UNITS / 2 : UNITS; // a ring takes as long as all others
        for (int i = 0; i < units; i++) {
            followed += followed(RandomUnit.of(random, family).broken(1 + random.nextInt(3)), random, family + " " + i);
        }
        assertThat(followed).as("readings that changed nothing").isPositive();
    }

    /** What is apart as designed may speak against a plug that is turned. */
    @ParameterizedTest
    @EnumSource(
            value = RandomUnit.Family.class,
            names = {"PLAIN", "LENGTHS"})
    void aTurnedPlugIsDoubtedByWhatReadsApartWhereItShouldJoin(RandomUnit.Family family) {
        Random random = new Random(17 + family.name().hashCode());
        for (int i = 0; i < UNITS; i++) {
            followed(RandomUnit.of(random, family).patterned().broken(1), random, family + " " + i);
        }
    }
}
