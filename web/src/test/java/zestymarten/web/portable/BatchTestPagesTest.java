package zestymarten.web.portable;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Workshop;

/** A day with shore leads: by Enter alone, into service, into quarantine, labelled; and a row of coupled ones. */
@ExtendWith(Workshop.class)
class BatchTestPagesTest {
    private final Browser browser;

    BatchTestPagesTest(Browser browser) {
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

    private void begin(String tags, String at) {
        browser.open("/batch-test?search=Shore-supply")
                .run("document.querySelector('textarea').value = arguments[0]", tags);
        browser.run("document.querySelector('[name=at]').value = arguments[0]", at);
        browser.click("form[method=post] .do").waitForPath("/batch-test/\\d+");
    }

    private void lead(String protective, String insulation) {
        String[] typed = {
            "s", protective, "0.078", "0.079", "0.078", "0.08", "OL", "OL", "OL", "OL", "OL", "OL", insulation
        };
        for (int i = 0; i < typed.length; i++) {
            browser.run("document.querySelectorAll('.slot-in')[" + i + "].value = arguments[0]", typed[i]);
        }
        browser.click("main form .do");
    }

    @Test
    void theNextLeadIsTheOneWhoseLabelIsScanned() {
        begin("SC-1\nSC-2\nSC-3", "contacts");
        String batch = browser.path();
        browser.click("main a[href^='/code']").see("h1", "Scan the next lead");
        browser.run("document.getElementById('code-form').enctype = 'application/x-www-form-urlencoded';"
                + "const field = document.getElementById('picture'); field.type = 'text'; field.name = 'code';"
                + "field.value = 'sc-3'");
        browser.click("#code-form button").waitForPath("/batch-test/\\d+\\?position=.*");
        assertThat(browser.text("h1")).isEqualTo("SC-3");
        browser.open(batch + "/lead?code=SC-9")
                .see("main", "“SC-9” is not in this batch; expected one of its leads, such as SC-1.");
        browser.complaints();
        lead("0.078", ">200M", batch, 3);
        String unit = browser.attribute("[role=status] a", "href").replaceAll(".*(/units/\\d+)$", "$1");
        browser.open(batch + "/lead?code=" + unit);
        assertThat(browser.text("h1")).isEqualTo("SC-3");
    }

    private void lead(String protective, String insulation, String batch, int position) {
        browser.open(batch + "?position=" + position);
        lead(protective, insulation);
        browser.see("[role=status]", "Every core answers at its own pin");
    }

    @Test
    void leadsGoIntoServiceOrQuarantineAndGetLabels() {
        begin("TD-1\nTD-2", "contacts");
        assertThat(browser.text("h1")).isEqualTo("TD-1");
        assertThat(browser.run("return document.activeElement.name")).isEqualTo("look");
        lead("0.078", ">200M");
        browser.see("[role=status]", "Every core answers at its own pin");
        assertThat(browser.text("h1")).isEqualTo("TD-2");
        lead("OL", ">200M");
        browser.see("[role=status]", "no test voltage on this lead");
        assertThat(browser.text("h1")).isEqualTo("All done");
        assertThat(browser.texts(".tags .state")).containsExactly("pass", "fail");
        browser.click("[role=status] a").see("main", "quarantined");
        assertThat(browser.text("main")).contains("Batch test: TD-2", "fail");
        browser.click("a[href*='batch-test?sheet']").see("h1", "TD-2");
        assertThat(browser.attribute("[name=core_PE]", "value")).isEqualTo("OL");
        assertThat(browser.run(
                        "const r = new XMLHttpRequest(); r.open('GET', arguments[0], false); r.send(); return r.status",
                        browser.path().replaceAll("\\?.*", "") + "/labels.pdf"))
                .isEqualTo(200L);
    }

    @Test
    void aPassOnTheScrewsIsNoPassOfTheSocketAndWrongEntriesStay() {
        begin("TD-3", "screws");
        browser.fill("[name=core_PE]", "what").keys(Keys.ENTER).see(".trouble", "core PE: “what” is no reading.");
        assertThat(browser.attribute("[name=core_PE]", "value")).isEqualTo("what");
        lead("0.078", ">200M");
        browser.see("[role=status]", "the contacts of plug and socket are not proved");
        assertThat(browser.texts(".tags .state")).containsExactly("screws only");
    }

    @Test
    void theBadOneOfARowIsFound() {
        browser.open("/batch-test?row=6&each=0.2").see(".verdict-line", "Read the whole row first");
        browser.keys("OL", Keys.ENTER).see(".verdict-line", "It is one of leads 1 to 6: at most 3 more measurements.");
        browser.keys("0.5", Keys.ENTER).see(".verdict-line", "leads 4 to 6");
        browser.keys("OL", Keys.ENTER).see(".verdict-line", "Lead 4, or its coupling, is the bad one.");
        browser.open("/batch-test?row=1&each=0.2").see(".trouble", "A row has from 2 to 60 leads");
    }
}
