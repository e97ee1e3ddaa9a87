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
        browser.open("/assemblies/2").click("tr[data-wire=W6] td").find("g.strand.picked");
        take("assembly");
        browser.open("/assemblies/1/test").find(".offer");
        take("methods");
        browser.open("/check?thing=relay&coil=96&leads=0.2&read.coil=96.2&read.contact_at_rest.making=OL"
                        + "&read.contact_operated.making=4.7")
                .find("#said .state.fail");
        take("check");
        browser.open("/meters/1").find("svg.trend");
        take("meter");
        browser.open(WELL_UNDER_WAY).find("svg.step");
        take("test");
        browser.dark(true).open("/assemblies/8/grid").see("output[data-row='wires.0']", "max");
        take("grid-dark");
        browser.dark(false).phone().open(HALF_FINISHED).find(".keypad");
        take("test-phone");
        browser.desktop().open(SWAPPED + "/diagnosis").find("svg.assembly-drawing");
        take("diagnosis");
        browser.open(SWAPPED + "/record").find(".certificate");
        take("record");
        browser.open(CHAIN + "/locate?wire=core").find("svg.chain");
        take("locate");
        browser.open(HALF_FINISHED + "/scan").find("svg.stave");
        take("scan");
        practice();
        browser.open("/units/2").find("h2.after");
        take("unit");
        desks();
    }

    private void desks() throws IOException {
        browser.open("/circuit?sheet=1").find("svg.loop");
        take("circuit");
        browser.open("/conductor?sheet=3").find("svg.protection");
        take("conductor");
        browser.open("/compare-leads?sheet=4").find("svg.family-chart");
        take("compare-leads");
        browser.open("/identify-cores?sheet=5").find(".both-places");
        take("identify-cores");
        browser.open("/batch-test?search=Shore");
        browser.run("document.querySelector('form[method=post] .do').click()");
        browser.waitForPath("/batch-test/\\d+");
        browser.run(
                "const typed = ['s', '0.078', '0.079', '0.078', '0.08', '0.079', 'OL', 'OL', 'OL', 'OL', 'OL', 'OL', '>200M'];"
                        + "document.querySelectorAll('.slot-in').forEach((each, i) => { each.value = typed[i]; });"
                        + "document.querySelector('main form .do').click()");
        browser.see("[role=status]", "SL-01");
        take("batch-test");
    }

    private void practice() throws IOException {
        browser.open("/practice");
        browser.run("document.querySelector(\"input[value='weak-valve']\").form.requestSubmit()");
        browser.waitForPath("/practice/\\d+");
        List<String> manualSteps = List.of(
                "isolate",
                "join",
                "J1.2 J2.2",
                "J1.1 J2.1",
                "J1.1 J1.2",
                "say high_resistance W1",
                "repair W1 clean",
                "J1.1 J2.1",
                "done");
        for (int i = 0; i < manualSteps.size(); i++) {
            browser.fill("#action", manualSteps.get(i)).keys(Keys.ENTER).find("#bench[data-count='" + (i + 1) + "']");
            if (i == 3) {
                take("practice");
            }
        }
    }
}
