package zestymarten.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zestymarten.web.Browser;
import zestymarten.web.Workshop;

/** Every main page at both sizes and in both lights: nothing refused, nothing hanging over, readable by everyone. */
@ExtendWith(Workshop.class)
class PagesTest {
    static final List<String> PAGES = List.of(
            "/",
            "/start",
            "/assemblies",
            "/assemblies/new",
            "/assemblies/1",
            "/assemblies/2",
            "/assemblies/1/change",
            "/assemblies/grid",
            "/assemblies/1/grid",
            "/assemblies/2/revisions",
            "/assemblies/1/statistics",
            "/help",
            "/units",
            "/search?q=pendant",
            "/account",
            "/people",
            "/audit",
            "/assemblies/1/test",
            "/runs/4",
            "/runs/3/diagnosis",
            "/runs/3/record",
            "/runs/4/complaint",
            "/runs/4/grid",
            "/runs/4/helper",
            "/code",
            "/away",
            "/runs/4/photos",
            "/runs/13",
            "/meters",
            "/meters/1",
            "/read-off/new",
            "/records",
            "/units/2",
            "/assemblies/1/learnt",
            "/assemblies/2/learnt",
            "/assemblies/1/limits",
            "/assemblies/2/connectors",
            "/runs/3/locate?wire=W4&VARLEY0=0.2&VARLEY1=0.55&MURRAY0=0.6",
            "/runs/16/locate?wire=core",
            "/runs/4/scan",
            "/practice",
            "/check?thing=relay&coil=96",
            "/check?thing=sensor&curve=table",
            "/conductor?length=38&area=0.75&ohm=7.62&class=2&volts=120&source=0.4&protection=C&rated=10",
            "/compare-leads",
            "/compare-leads?sheet=4",
            "/circuit",
            "/circuit?sheet=1",
            "/circuit?sheet=2",
            "/identify-cores?sheet=5",
            "/identify-cores?cores=3&return=yes&tags=100+220+470&method=TAGS&r1=221&part_low=300&part_high=320&w1=311",
            "/batch-test?row=6&each=0.2&k6=OL&k3=0.5");

    /** What axe finds wrong by rules of some tags, without the parts that selectors name. */
    private static final String FAULTS = """
            const [values, without] = arguments;
            return axe
              .run({ exclude: without.map((each) => [each]) }, { resultTypes: ['violations'], runOnly: { type: 'tag', values } })
              .then(({ violations }) =>
                violations.map(({ id, nodes }) =>
                  [id, ...nodes.slice(0, 3).map((node) => node.html + ' ' + node.failureSummary)].join(': ')));
            """;

    private static final String AXE = axe();

    private static String axe() {
        try (InputStream script = Objects.requireNonNull(PagesTest.class.getResourceAsStream("/axe.min.js"))) {
            return new String(script.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private final Browser browser;

    PagesTest(Browser browser) {
        this.browser = browser;
    }

    @AfterEach
    void backToDaylightOnTheBench() {
        browser.dark(false).desktop();
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void everyPageFitsIsReadableByEveryoneAndSpeaksTheWordsOfTheTrade(boolean dark) {
        // Two looks see both widths and both themes.
        (dark ? browser.phone() : browser.desktop()).dark(dark).signIn("admin");
        for (String page : PAGES) {
            browser.open(page).find("main");
            assertThat(browser.run("return document.compatMode")).as(page).isEqualTo("CSS1Compat");
            assertThat(browser.run("return document.documentElement.scrollWidth"))
                    .as("nothing hangs over: " + page)
                    .isEqualTo(dark ? 390L : 1280L);
            assertThat(PlainWords.forbiddenIn(String.valueOf(browser.run(TEXT))))
                    .as(page)
                    .isEmpty();
            // The dark is the same page in other colours.
            List<String> tags = dark ? List.of("wcag2aa") : List.of("wcag2a", "wcag2aa", "wcag21aa");
            browser.run(AXE);
            // The frame is the same on every page, and looked at on the first.
            assertThat((List<?>) browser.run(FAULTS, tags, page.equals("/") ? List.of() : List.of("header.top")))
                    .as(page)
                    .isEmpty();
        }
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void whatIsWrongIsFound() {
        browser.desktop().signIn("viewer").open("/records").find("main");
        browser.run("document.querySelector('main').append(document.createElement('button'));");
        browser.run(AXE);

        assertThat(String.valueOf(browser.run(FAULTS, List.of("wcag2a"), List.of("header.top"))))
                .contains("button-name", "<button></button>");
    }

    /** WCAG 1.4.11: the edge of a field has a contrast of 3:1 to what is around it, in both themes. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void theEdgeOfAFieldCanBeSeen(boolean dark) {
        browser.desktop().dark(dark).signIn("admin");
        for (String page : List.of(
                "/meters/1", "/check?thing=relay&coil=96", "/assemblies/1/test", "/assemblies/1/grid", "/people")) {
            browser.open(page).find("main");
            assertThat((List<?>) browser.run(FAINT_FIELDS)).as(page).isEmpty();
        }
    }

    private static final String FAINT_FIELDS = """
            const light = (colour) => {
              const [r, g, b] = colour.match(/[\\d.]+/g).map(Number).map((each) => {
                const c = each / 255;
                return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
              });
              return 0.2126 * r + 0.7152 * g + 0.0722 * b;
            };
            const ground = (element) => {
              for (let at = element; at; at = at.parentElement) {
                const colour = getComputedStyle(at).backgroundColor;
                if (!/, 0\\)$|transparent/.test(colour)) {
                  return colour;
                }
              }
              return 'rgb(255, 255, 255)';
            };
            return [...document.querySelectorAll('main input, main select, main textarea')]
              .filter((each) => each.offsetParent && !['checkbox', 'radio', 'file', 'hidden'].includes(each.type))
              .map((each) => (each.closest('.cells td') ? each.closest('td') : each))
              .filter((each) => {
                const edge = light(getComputedStyle(each).borderTopColor);
                const around = light(ground(each.parentElement));
                return (Math.max(edge, around) + 0.05) / (Math.min(edge, around) + 0.05) < 3;
              })
              .map((each) => each.outerHTML.slice(0, 120));
            """;

    private static final String TEXT = """
            const body = document.body.cloneNode(true);
            body.querySelectorAll('script, style').forEach((each) => each.remove());
            return body.textContent + [...body.querySelectorAll('[aria-label], [title], [placeholder]')]
              .map((each) => [each.ariaLabel, each.title, each.placeholder || ''].join(' ')).join(' ');
            """;

    @Test
    void whatIsNotHereIsSaid() {
        browser.desktop().signIn("viewer").open("/assemblies/987654");
        assertThat(browser.text("main")).contains("That is not here", "There is no assembly number 987654.");
        browser.open("/nowhere");
        assertThat(browser.text("main")).contains("That is not here", "The address leads nowhere.");
    }

    @Test
    void theChosenLightIsRemembered() {
        browser.desktop().signIn("viewer").click(".person summary").click(".person [data-theme-button]");
        browser.find("html[data-bs-theme=dark]");
        browser.open("/records").find("html[data-bs-theme=dark]");
        browser.click(".person summary").click(".person [data-theme-button]").find("html[data-bs-theme=light]");
    }
}
