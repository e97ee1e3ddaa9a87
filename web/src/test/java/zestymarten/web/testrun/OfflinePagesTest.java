package zestymarten.web.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.SplittableRandom;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.ReadingParser;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;
import zestymarten.web.platform.Words;

/** A test in a cellar: the network goes, the test goes on, and everything arrives once. */
@ExtendWith(Workshop.class)
class OfflinePagesTest {
    private final Site site;
    private Site.Ladder ladder;
    private Browser browser;

    OfflinePagesTest(Site site) {
        this.site = site;
        ladder = site.ladder();
        browser = ladder.browser();
    }

    @BeforeEach
    void up() {
        browser.phone().signIn("bench");
    }

    @AfterEach
    void down() {
        ladder.close();
    }

    private long run() {
        long wiring = site.wiring(site.fresh("Cellar"), "wire,from,to,max_ohm\nW1,J1.1,J2.1,0.5\nW2,J1.2,J2.2,0.5\n");
        return site.run(wiring, "C-1");
    }

    private String page(long run) {
        String path = "/runs/" + run;
        browser.open(path).keys("b").see(".sentence", "Still together").keys("0.2", Keys.ENTER);
        browser.see(".sentence", "Black on J1.1, red on J2.1.");
        browser.run("return navigator.serviceWorker.ready.then(() => 'ready')");
        browser.open(path).see(".sentence", "Black on J1.1, red on J2.1.");
        browser.run("return new Promise((done) => setTimeout(done, 1500))"); // the way ahead is on the device by now
        return path;
    }

    private List<String> typed(long run) {
        return site.bean(TestRuns.class).find(run).test().entries().stream()
                .filter(each -> !each.takenBack())
                .map(each -> Words.say(each.step().title()) + " "
                        + Words.say(site.bean(TestRuns.class).find(run).test().words(each)))
                .toList();
    }

    @Test
    void theTestGoesOnWithoutNetworkAndArrivesInItsOrderOverAReload() {
        long run = run();
        String path = page(run);
        ladder.line().cut();
        browser.keys("0.4", Keys.ENTER).see("#offline", "Waiting to be sent: 1.");
        browser.see("#last-away", "J1.1 – J2.1: 0.4 pass").see(".sentence", "Black on J1.2, red on J2.2.");
        assertThat(browser.attribute("#work", "data-say"))
                .isEqualTo("Black on J, Juliett one, pin two. Red on J, Juliett two, pin two.");
        browser.keys("9", Keys.ENTER)
                .see("#last-away", "J1.2 – J2.2: 9 fail")
                .see("#offline", "Waiting to be sent: 2.");
        browser.keys(Keys.BACK_SPACE).see("#offline", "Waiting to be sent: 1.").see(".sentence", "Black on J1.2");
        browser.keys("zap", Keys.ENTER).see("#say", "“zap” is not accepted; expected a figure");
        browser.keys(Keys.chord(Keys.CONTROL, "a"), "0.41", Keys.ENTER).see(".sentence", "Black on J1.1, red on J1.2.");
        browser.open(path).see("#offline", "Waiting to be sent: 2.").see(".sentence", "Black on J1.1, red on J1.2.");
        browser.keys("OL", Keys.ENTER).see("#offline", "Waiting to be sent: 3.");
        browser.open("/records").see("h1", "No network");
        browser.open(path).see("#offline", "Waiting to be sent: 3.");
        assertThat(typed(run)).as("nothing has arrived yet").hasSize(2);
        ladder.line().repair();
        browser.see("#offline", "").see(".entries", "J1.1 – J1.2");
        browser.run("return new Promise((done) => setTimeout(done, 3000))");
        assertThat(typed(run))
                .containsExactly(
                        "probes together, tone tone",
                        "probes together, resistance 0.2 Ω",
                        "J1.1 – J2.1 0.4 Ω",
                        "J1.2 – J2.2 0.41 Ω",
                        "J1.1 – J1.2 more than 20 MΩ");
    }

    @Test
    void aStepThatIsSkippedAndAPhotographWaitOnTheDeviceToo() throws IOException {
        long run = run();
        page(run);
        ladder.line().cut();
        browser.keys("x").find("#reason").sendKeys("J2 is behind the oven", Keys.ENTER);
        browser.see("#last-away", "J1.1 – J2.1: J2 is behind the oven skipped")
                .see("#offline", "Waiting to be sent: 1.")
                .see(".sentence", "Black on J1.2, red on J2.2.");
        Path picture = Files.createTempFile("as-found", ".png");
        ImageIO.write(new BufferedImage(3000, 1500, BufferedImage.TYPE_INT_RGB), "png", picture.toFile());
        browser.click("#photo-away summary")
                .find("#photo-away input[type=file]")
                .sendKeys(picture.toString());
        browser.fill("#photo-away label.grow input", "J2 and the oven").click("#photo-away button");
        browser.see("#offline", "Waiting to be sent: 2.");
        browser.keys("0.4", Keys.ENTER).see("#offline", "Waiting to be sent: 3.");
        ladder.line().repair();
        browser.see("#offline", "").see(".entries", "J1.2 – J2.2");
        browser.open("/runs/" + run + "/photos").see(".photos figcaption", "J2 and the oven");
        assertThat(browser.run("""
                const picture = document.querySelector('.photos img');
                picture.loading = 'eager';
                return picture.decode().then(() => picture.naturalWidth + ' ' + picture.naturalHeight);
                """)).isEqualTo("2000 1000");
        assertThat(typed(run)).anyMatch(each -> each.startsWith("J1.1 – J2.1 ") && each.contains("behind the oven"));
        Files.delete(picture);
    }

    @Test
    void whatSomebodyElseHasDoneMeanwhileIsShownAndNothingIsDropped() {
        long run = run();
        page(run);
        ladder.line().cut();
        browser.keys("0.4", Keys.ENTER).see("#offline", "Waiting to be sent: 1.");
        TestRuns runs = site.bean(TestRuns.class);
        TestStep step = runs.find(run).test().current().orElseThrow();
        site.bean(RunEntries.class)
                .enter(
                        run,
                        new RunEntries.SentEntry(
                                java.util.UUID.randomUUID(), step, 1, "0.31", java.util.OptionalInt.empty()),
                        "lead");
        ladder.line().repair();
        browser.see("#offline", "J1.1 – J2.1: 0.4 was not saved.").see("#offline", "recorded meanwhile by lead");
        browser.click("#offline .row-fields .button").see("#offline", "");
        browser.run("return new Promise((done) => setTimeout(done, 1500))");
        assertThat(typed(run)).contains("J1.1 – J2.1 0.31 Ω", "J1.1 – J2.1 0.4 Ω");
    }

    /** Random answers at every step of a test with tight and loose limits: the page says what the test itself says. */
    @Test
    @SuppressWarnings("unchecked")
    void everyVerdictWithoutNetworkIsThatOfTheTestItself() {
        long wiring = site.wiring(
                site.fresh("Same"),
                "wire,from,to,length_m,area_mm2,max_ohm\nW1,J1.1,J2.1,4,0.75,\nW2,J1.2,J2.2,,,0.5\nW3,J1.3,J2.3,80,0.5,\n");
        long run = site.run(wiring, "S-1");
        TestRun test = site.bean(TestRuns.class).find(run).test();
        SplittableRandom random = new SplittableRandom(41);
        List<String> texts = new java.util.ArrayList<>(
                List.of("b", "n", "OL", "0", "0R68", "15k8", "2.7M", "R33", ",5", "1.", "4m7"));
        for (int i = 0; i < 120; i++) {
            double ohm = Math.pow(10, -3 + 10 * random.nextDouble());
            texts.add(
                    String.valueOf((float) ohm).contains("E")
                            ? String.valueOf(Math.round(ohm))
                            : String.valueOf((float) ohm));
        }
        browser.open("/runs/" + run);
        List<Map<String, Object>> found =
                (List<Map<String, Object>>) Objects.requireNonNull(browser.run("""
                const texts = arguments[1];
                return Promise.all([fetch(arguments[0]).then((answer) => answer.json()), import("/scripts/offline-reading.js")])
                  .then(([ahead, { parseReading, verdictOf }]) => ahead.steps
                    .filter((step) => step.kind === "READING")
                    .flatMap((step) => texts.map((text) => ({
                      black: step.form.black, red: step.form.red, question: step.form.question, text,
                      word: verdictOf(step, parseReading(text, ahead.only_one_is_over_range))?.word ?? "",
                    }))));
                """, "/runs/" + run + "/ahead", texts));
        assertThat(found).hasSizeGreaterThan(1000);
        for (Map<String, Object> each : found) {
            TestStep step = test.steps()
                    .filter(one -> one instanceof TestStep.Measurement measurement
                            ? measurement.black().name().equals(each.get("black"))
                                    && measurement.red().name().equals(each.get("red"))
                                    && "".equals(each.get("question"))
                            : one instanceof TestStep.LeadCheck probes
                                    && probes.question().name().equals(each.get("question")))
                    .findFirst()
                    .orElseThrow();
            MeterReading understood = new ReadingParser(false).understand(String.valueOf(each.get("text")));
            assertThat(each.get("word"))
                    .as(each.toString())
                    .isEqualTo(test.judge(step, understood).verdict().code());
        }
    }
}
