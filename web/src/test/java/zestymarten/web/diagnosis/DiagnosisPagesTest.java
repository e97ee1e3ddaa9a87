package zestymarten.web.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** What is wrong, in the browser: sentences, readings behind them, knots in the strands. */
@ExtendWith(Workshop.class)
class DiagnosisPagesTest {
    private static final String FOUR_CORES =
            "wire,from,to,function\nW1,J1.1,J2.1,up\nW2,J1.2,J2.2,down\n" + "W3,J1.3,J2.3,left\nW4,J1.4,J2.4,right\n";

    private final Site site;
    private final Browser browser;
    private long run;

    DiagnosisPagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
    }

    @BeforeEach
    void begin() {
        run = site.run(site.wiring(site.fresh("Four cores"), FOUR_CORES), "U-1");
        read("", "", "b");
        read("", "", "0.3");
        browser.desktop().signIn("bench");
    }

    private void read(String a, String b, String... typed) {
        for (String each : typed) {
            String ends = a.isEmpty() ? "" : ",\"a\":\"" + a + "\",\"b\":\"" + b + "\"";
            String body = "{\"id\":\"" + UUID.randomUUID() + "\",\"as_typed\":\"" + each + "\"" + ends + "}";
            assertThat(site.post("bench", "/api/v1/runs/" + run + "/readings", "application/json", body)
                            .statusCode())
                    .isEqualTo(201);
        }
    }

    private List<String> findings() {
        browser.open("/runs/" + run + "/diagnosis").find(".findings");
        return browser.texts(".findings h2");
    }

    @Test
    void twoOpensProposeWhatTellsASwapFromTwoBreaks() {
        read("J1.1", "J2.1", "OL", "OL");
        read("J1.2", "J2.2", "OL", "OL");
        assertThat(findings()).containsExactly("W1 and W2 are crossed: W1 goes to J2.2 and W2 goes to J2.1.");
        assertThat(browser.texts(".alternatives li"))
                .contains("Or: W1 is open between J1.1 and J2.1.", "Or: W2 is open between J1.2 and J2.2.");
        assertThat(browser.texts(".suspects li").get(0)).matches("\\d+ % W1 and W2 are crossed: .*");
        assertThat(browser.texts(".next a").get(0)).isIn("J1.1 – J2.2", "J1.2 – J2.1");
        browser.click(".next a").waitForPath("/runs/\\d+\\?.*");
        read("J1.1", "J2.2", "0.6");
        read("J1.2", "J2.1", "0.6");
        assertThat(findings()).containsExactly("W1 and W2 are crossed: W1 goes to J2.2 and W2 goes to J2.1.");
        assertThat(browser.text(".findings article"))
                .contains("Functions lost: up, down.")
                .contains("Shown by 6 readings");
        assertThat(browser.count("g.strand.crossed")).isEqualTo(2);
    }

    @Test
    void namesALongerCycleAShortAndAFrameShort() {
        for (int i = 1; i <= 3; i++) {
            read("J1." + i, "J2." + i, "OL", "OL");
        }
        read("J1.4", "J2.4", "0.5");
        read("J1.1", "J2.2", "0.5");
        read("J1.2", "J2.3", "0.5");
        read("J1.3", "J2.1", "0.5");
        read("J1.3", "J1.4", "2.2");
        read("J1.1", "FRAME", "1.9");
        assertThat(findings())
                .containsExactly(
                        "W1, W2 and W3 are crossed: W1 goes to J2.2, W2 goes to J2.3 and W3 goes to J2.1.",
                        "W1 is shorted to the frame.",
                        "Short circuit between W3 and W4.");
        assertThat(browser.count("svg.assembly-drawing .knot.short")).isEqualTo(1);
        assertThat(browser.count("svg.assembly-drawing .knot.frame_short")).isEqualTo(1);
        assertThat(browser.texts(".findings .kind")).containsExactly("crossed", "short to frame", "short circuit");
    }

    @Test
    void aFindingPickedIsPickedInTheDrawing() {
        read("J1.2", "J2.2", "7.5");
        findings();
        browser.click(".findings article h2").find("g.strand.picked[data-wire=W2]");
        assertThat(browser.count("svg.assembly-drawing .knot.high_resistance")).isEqualTo(1);
        assertThat(browser.text(".evidence"))
                .contains("no. 3 J1.2 – J2.2 7.5 Ω")
                .contains("7.2 Ω is more than 1 Ω");
    }
}
