package zestymarten.web.coreid;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import zestymarten.web.Browser;
import zestymarten.web.Workshop;

/** A bundle sorted in the browser: linked, found there, linked there, found here, labelled, made an assembly. */
@ExtendWith(Workshop.class)
class CoreIdPagesTest {
    /** Core i here arrives there as the i-th of these. */
    private static final List<Integer> THERE = List.of(3, 6, 1, 5, 2, 4);

    private final Browser browser;

    CoreIdPagesTest(Browser browser) {
        this.browser = browser;
    }

    @BeforeEach
    void signIn() {
        browser.desktop().signIn("bench");
    }

    @AfterEach
    void nothingWasRefusedByTheBrowser() {
        assertThat(browser.complaints()).isEmpty();
    }

    /** Gives the cores of each linked group of a section the same mark at the other end. */
    private void find(int section, String prefix, boolean toThere) {
        List<String> linked = browser.texts(".place:nth-of-type(" + section + ") .together");
        for (int mark = 0; mark < linked.size(); mark++) {
            for (String core : linked.get(mark).replace("linked", "").strip().split("\\s+")) {
                int number = Integer.parseInt(core);
                browser.put(
                        prefix + (toThere ? THERE.get(number - 1) : THERE.indexOf(number) + 1), (char) ('a' + mark));
            }
        }
    }

    @Test
    void sixCoresAreSortedInOneRoundTripAndBecomeAWiring() {
        browser.open("/identify-cores?cores=6&name=Hut+to+platform").see(".place h2", "Here: link these");
        find(1, "f", true);
        browser.click("main .do").see("main", "There: link these, then go back");
        find(3, "g", false);
        browser.click("main .do").see("main", "Every core is identified, and none is open or shorted.");
        assertThat(browser.texts(".pair .card-no").stream().map(Integer::valueOf))
                .isEqualTo(THERE);
        String address = String.valueOf(browser.run("return location.search"));
        for (String print : List.of("cards", "labels")) {
            assertThat(browser.run(
                            "const r = new XMLHttpRequest(); r.open('GET', arguments[0], false); r.send(); return"
                                    + " r.status + ' ' + r.getResponseHeader('Content-Type')",
                            "/identify-cores/" + print + ".pdf" + address))
                    .isEqualTo("200 application/pdf");
        }
        browser.click("button[formaction$=wiring]").waitForPath("/assemblies/\\d+");
        assertThat(browser.text("main")).contains("Hut to platform", "HERE.1", "THERE.3");
    }

    @Test
    void aBrokenCoreIsNamed() {
        browser.open("/identify-cores?cores=17&name=Broken&method=GROUPS");
        String linked = browser.texts(".place:nth-of-type(1) .together").stream()
                .reduce((a, b) -> b)
                .orElseThrow();
        List<String> group = Arrays.asList(linked.replace("linked", "").strip().split("\\s+"));
        // Straight through, one core of the largest group open.
        List<String> all = browser.texts(".place:nth-of-type(1) .together");
        for (int mark = 0; mark < all.size(); mark++) {
            for (String core : all.get(mark).replace("linked", "").strip().split("\\s+")) {
                if (!core.equals(group.get(0))) {
                    browser.put("f" + core, (char) ('a' + mark));
                }
            }
        }
        browser.click("main .do").see("main", "a core is open, or two touch each other. Continue");
        List<String> second = browser.texts(".place:nth-of-type(3) .together");
        for (int mark = 0; mark < second.size(); mark++) {
            for (String core : second.get(mark).replace("linked", "").strip().split("\\s+")) {
                if (!core.equals(group.get(0))) {
                    browser.put("g" + core, (char) ('a' + mark));
                }
            }
        }
        browser.click("main .do").see(".verdict-line", "open");
        assertThat(browser.text(".verdict-line")).contains(group.get(0));
        browser.click("main form:last-of-type button.quiet").see("main", "Broken");
        assertThat(browser.text("main")).contains("Saved:");
    }

    @Test
    void methodsAreComparedAndTwoNineAndTagsAreSaid() {
        browser.open("/identify-cores?cores=9")
                .see(".methods", "9 cores cannot be identified by the sizes of groups alone");
        assertThat(browser.text(".methods tr:first-child")).contains("pair chain");
        browser.open("/identify-cores?cores=2").see(".methods", "needs a return: a frame, an armour or a marked core");
        browser.open("/identify-cores?cores=3&return=yes&tags=100+220+470&method=TAGS&r1=221&r2=470&r3=101")
                .see(".verdict-line", "Every core is identified by its tag.");
        assertThat(browser.texts(".pair .card-no")).containsExactly("2", "3", "1");
        browser.open("/identify-cores?cores=x")
                .see(".trouble", "cores: “x” is not accepted; expected a figure such as 17.");
    }

    @Test
    void pairAndEarthIsGuidedVisitByVisit() {
        browser.open("/identify-cores?cores=5&return=yes&method=PAIR_AND_EARTH")
                .see("main", "core 2 to the return, cores 4 and 5 together");
        browser.fill("[name=e1]", "3")
                .fill("[name=q1]", "1 5")
                .click("main .do")
                .see(".verdict-line", "4 of 5 cores are not identified yet");
        browser.fill("[name=e2]", "5")
                .fill("[name=q2]", "2 4")
                .click("main .do")
                .see(".pair:nth-child(1)", "3");
        browser.fill("[name=e3]", "4").click("main .do").see(".verdict-line", "Every core is identified.");
        assertThat(browser.texts(".pair .card-no")).containsExactly("3", "5", "1", "4", "2");
    }

    @Test
    void theCoreThroughAPartIsFound() {
        browser.open("/identify-cores?cores=3&part_low=300&part_high=320&w1=OL&w2=311&w3=12")
                .see(".through", "311 Ω, within 300 Ω to 322 Ω");
        assertThat(browser.texts(".through .state")).containsExactly("not", "through", "stray");
    }
}
