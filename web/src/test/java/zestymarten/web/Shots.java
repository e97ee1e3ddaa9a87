package zestymarten.web;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;

/** Takes the pictures in docs/screenshots from the demo data. Run by {@code ./marten shots}; no test. */
@ExtendWith(Workshop.class)
class Shots {
    private static final Path FOLDER = Path.of("..", "docs", "screenshots");
    private static final String SWAPPED = "/runs/3";
    private static final String WELL_UNDER_WAY = "/runs/13";
    private static final String HALF_FINISHED = "/runs/4";
    private static final String CHAIN = "/runs/16";

    private final Browser browser;

    Shots(Browser browser) {
        this.browser = browser;
    }

    private void take(String name) throws IOException {
        browser.run("return document.fonts.ready.then(() => true)");
        Files.write(FOLDER.resolve(name + ".png"), browser.picture());
    }

    @Test
    void everyMainView() throws IOException {
        Files.createDirectories(FOLDER);
        browser.desktop().signIn("bench").find(".cards");
        take("today");
        browser.open("/start").find(".quick");
        take("start");
        browser.open("/wirings/new").fill("input[name=name]", "Lamp lead");
        browser.run(
                "const f = document.getElementById('list'); f.value = arguments[0];"
                        + "f.dispatchEvent(new Event('input', {bubbles: true}));",
                "wire\tfrom\tto\tcolour\tfunction\tlength_m\tarea_mm2\n"
                        + "W1\tJ1.1\tJ2.1\tBN\tlamp\t4,5\t0,75\nW2\tJ1.2\tJ2.2\tBU\treturn\t4,5\t0,75\n"
                        + "W3\tJ1.3\tJ1.3\tGNYE\tprotective\t-4\t0,75\n");
        browser.see("#preview", "2 problems");
        take("paste");
        browser.open("/wirings/2").click("tr[data-wire=W6] td").find("g.strand.picked");
        take("wiring");
        browser.open("/wirings/1/test").find(".offer");
        take("ways");
        browser.open(WELL_UNDER_WAY + "/complaint").find("fieldset");
        take("complaint");
        browser.open("/meters/1").find("svg.trend");
        take("meter");
        browser.open(HALF_FINISHED + "/grid").find(".paper");
        take("from-paper");
        browser.open(WELL_UNDER_WAY).find("svg.step");
        take("run");
        browser.dark(true).open("/wirings/1").find("svg.wiring");
        take("wiring-dark");
        browser.dark(false).phone().open(HALF_FINISHED).find(".keypad");
        take("run-phone");
        browser.desktop().open(SWAPPED + "/wrong").find("svg.wiring");
        take("what-is-wrong");
        browser.open(SWAPPED + "/record").find(".certificate");
        take("record");
        browser.open(CHAIN + "/where?wire=core").find("svg.chain");
        take("where");
        browser.open(HALF_FINISHED + "/scan").find("svg.stave");
        take("scan");
        practice();
        browser.open("/units/2").find("h2.after");
        take("unit");
        browser.open("/records").find("tbody");
        take("records");
    }

    private void practice() throws IOException {
        browser.open("/practice");
        browser.run("document.querySelector(\"input[value='weak-valve']\").form.requestSubmit()");
        browser.waitForPath("/practice/\\d+");
        String session = browser.path();
        List<String> acts = List.of(
                "isolate",
                "join",
                "J1.2 J2.2",
                "J1.1 J2.1",
                "J1.1 J1.2",
                "say high_resistance W1",
                "mend W1 clean",
                "J1.1 J2.1",
                "done");
        for (int i = 0; i < acts.size(); i++) {
            browser.fill("#act", acts.get(i)).keys(Keys.ENTER).find("#bench[data-count='" + (i + 1) + "']");
            if (i == 3) {
                take("practice");
            }
        }
        browser.open(session + "/replay?at=5").find(".suspects");
        take("replay");
    }
}
