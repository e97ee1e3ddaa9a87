package zestymarten.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import zestymarten.core.testrun.RunOutcome;
import zestymarten.web.Site;
import zestymarten.web.Workshop;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.platform.Words;
import zestymarten.web.testrun.RunSnapshot;
import zestymarten.web.testrun.TestRuns;

/** The workshop that a demonstration begins with. */
@ExtendWith(Workshop.class)
class DemoDataTest {
    private final Site site;
    private final TestRuns runs;

    DemoDataTest(Site site) {
        this.site = site;
        runs = site.bean(TestRuns.class);
    }

    private String found(long id) {
        RunSnapshot run = runs.find(id);
        RunOutcome outcome = run.ended().map(RunSnapshot.RunEnd::outcome).orElseGet(run.test()::outcome);
        List<String> findings = run.test().findings().stream()
                .map(found -> Words.say(found.finding().message()))
                .toList();
        return run.serial() + " " + outcome.code() + " " + String.join(" ", findings);
    }

    @Test
    void hasSixWiringsWithGoodBadAndHalfFinishedUnits() {
        for (long id = 1; id <= 6; id++) {
            assertThat(site.bean(Assemblies.class).latest(id).assembly().conductors())
                    .hasSizeGreaterThan(4);
        }
        assertThat(java.util.stream.LongStream.rangeClosed(1, 12)
                        .mapToObj(this::found)
                        .map(String::strip))
                .containsExactly(
                        "PC-01 pass",
                        "PC-02 pass",
                        "PC-04 fail W4 and W7 are crossed: W4 goes to J2.7 and W7 goes to J2.4.",
                        "PC-07 incomplete",
                        "DH-21 marginal",
                        "DH-22 fail W6 has a high resistance: 1.95 Ω from J1.4 to J2.3, limit 0.0598 Ω.",
                        "SL-01 marginal",
                        "SL-02 marginal",
                        "SL-03 fail Short circuit between L2 and L3.",
                        "HP-A pass",
                        "TC-3 fail T4 is shorted to the frame.",
                        "PH-5 pass");
    }

    @Test
    void lieInThePastAndInOrder() {
        RunSnapshot last = runs.find(11);
        assertThat(last.startedAt()).isBefore(java.time.Instant.now().minusSeconds(3600));
        assertThat(last.test().entries()).isSortedAccordingTo(java.util.Comparator.comparing(entry -> entry.at()));
        assertThat(last.ended().orElseThrow().at())
                .isAfter(last.test().entries().get(3).at());
    }

    @Test
    void isLoadedOnceOnly() {
        int before = site.bean(Assemblies.class).page("", 0).size();
        site.bean(DemoData.class).afterSingletonsInstantiated();
        assertThat(site.bean(Assemblies.class).page("", 0)).hasSize(before);
    }
}
