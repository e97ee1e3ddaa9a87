package zestymarten.web.locate;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** From a finding to where it is, in the browser. */
@ExtendWith(Workshop.class)
class LocatePagesTest {
    private final Site site;
    private final Browser browser;

    LocatePagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
    }

    @AfterEach
    void nothingWasRefusedByTheBrowser() {
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void twoWaysAreDrawnOnTheWireAndPutTogetherAndNonsenseIsTold() {
        long wiring = site.wiring(site.fresh("Long core"), "wire,from,to,length_m,area_mm2\nW1,J1.1,J2.1,120,1.5\n");
        long run = site.run(wiring, "L-1");
        browser.desktop().signIn("bench").open("/runs/" + run + "/locate?wire=W1");
        assertThat(browser.attribute("input[name=length]", "value")).isEqualTo("120");
        browser.fill("input[name=OPEN_BOTH_ENDS0]", "3n")
                .fill("input[name=OPEN_BOTH_ENDS1]", "9n")
                .fill("input[name=OPEN_GOOD_CORE0]", "3n")
                .fill("input[name=OPEN_GOOD_CORE1]", "12.1n")
                .fill("input[name=VARLEY0]", "lots")
                .keys(Keys.ENTER)
                .see("main", "30 m from end 1, between 29.");
        assertThat(browser.count(".distance .way")).isEqualTo(2);
        assertThat(browser.text("main")).contains("2 ways together, weighed by how sure each is.");
        assertThat(browser.text(".ways-of")).contains("“lots” is not accepted; expected a figure such as 1.2.");
        assertThat(browser.text(".ways-of")).contains("Nothing leaks at the break.");
        browser.fill("input[name=OPEN_GOOD_CORE0]", "40n").keys(Keys.ENTER).see(".trouble", "of a run of 120 m");
        assertThat(browser.count(".distance .way")).isEqualTo(1);
    }

    @Test
    void aChainIsProbedPointByPointUntilTheStretchIsFound() {
        long wiring = site.wiring(
                site.fresh("Chain"),
                "wire,from,to,length_m,max_ohm,zone\nstrip,A1.1,A2.1,2,0.01,flexing\ncore,A2.1,A3.1,4,0.01,\n"
                        + "stud,A3.1,A4.1,1,0.01,hot\nbar,A4.1,A5.1,2,0.01,\n");
        long run = site.run(wiring, "CH-1");
        browser.desktop().signIn("bench").open("/runs/" + run + "/locate?wire=core");
        browser.see(".chain .sentence", "It is between A1.1 and A5.1. Probe next: black on A1.1, red on A3.1.");
        assertThat(browser.texts("svg.chain .mono"))
                .contains("strip", "core", "stud", "bar", "A1.1", "A2.1", "A3.1", "A4.1", "A5.1");
        assertThat(browser.text("select[name=way]")).contains("farthest first", "halving", "probes on average");
        browser.fill("input[name='at.A3.1']", "0.02")
                .keys(Keys.ENTER)
                .see(
                        ".chain .sentence",
                        "What was read is within its limits. If the whole has too much, it is between A3.1 and A5.1.")
                .see(".chain .sentence", "Probe next: black on A1.1, red on A4.1.");
        browser.fill("input[name='at.A4.1']", "0.3")
                .keys(Keys.ENTER)
                .see(".chain .sentence", "It is in stud, before A4.1: 0.28 Ω, at most 0.01 Ω. Not read: bar.");
        assertThat(browser.count("svg.chain rect.out"))
                .as("nothing by itself is cleared: strip and core were read together, the bar was not")
                .isZero();
        browser.fill("input[name='at.A4.1']", "hot")
                .keys(Keys.ENTER)
                .see(".chain .trouble", "At A4.1: “hot” is not accepted; expected a resistance such as 0.4, or OL.");
    }

    @Test
    void contradictionsTwoBadStretchesAndUnitsAsTheyAreWritten() {
        long wiring = site.wiring(
                site.fresh("Chain"),
                "wire,from,to,max_ohm\nS1,A1.1,A2.1,0.0266\nS2,A2.1,A3.1,0.0266\nS3,A3.1,A4.1,0.0266\n");
        long run = site.run(wiring, "CH-2");
        browser.desktop().signIn("bench").open("/runs/" + run + "/locate?wire=S2");
        browser.fill("input[name='at.A2.1']", "0.5")
                .fill("input[name='at.A4.1']", "0.05")
                .keys(Keys.ENTER)
                .see(".chain .sentence", "Contradiction: 0.5 Ω at A2.1, but 0.05 Ω at A4.1, farther on.");
        browser.fill("input[name='at.A3.1']", "0.52")
                .fill("input[name='at.A4.1']", "0.9")
                .keys(Keys.ENTER)
                .see(
                        ".chain .sentence",
                        "It is in S1, before A2.1: 0.5 Ω, at most 0.0266 Ω. It is in S3, before A4.1:");
        browser.fill(".grid input[name=length]", "328 ft")
                .fill(".ways-of input[name=EARTH_OHMS0]", "4.1")
                .fill(".ways-of input[name=EARTH_OHMS1]", "2.6")
                .keys(Keys.ENTER)
                .see(".ways-of", "The resistance of this core is not known");
        assertThat(browser.text(".chain .sentence"))
                .as("what was typed above stays")
                .contains("It is in S1");
        browser.fill(".ways-of input[name=EARTH_OHMS2]", "3.2")
                .fill(".ways-of input[name=OPEN_BOTH_ENDS0]", "7 nF")
                .fill(".ways-of input[name=OPEN_BOTH_ENDS1]", "3nF")
                .keys(Keys.ENTER)
                .see("main", "These ways are of different faults");
        browser.fill(".ways-of input[name=OPEN_BOTH_ENDS0]", "")
                .fill(".ways-of input[name=PULSE0]", "66%")
                .fill(".ways-of input[name=PULSE1]", "305 ns")
                .fill(".grid input[name=doubt]", "80")
                .keys(Keys.ENTER)
                .see("main", "These ways contradict each other");
        assertThat(browser.text("main")).contains("“80” is not accepted; expected percent from 0 to 50");
    }
}
