package zestymarten.web.comparison;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Workshop;

/** The desk of alike leads: pasted, compared, the odd one named. */
@ExtendWith(Workshop.class)
class ComparisonPagesTest {
    private final Browser browser;

    ComparisonPagesTest(Browser browser) {
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

    private void paste(String leads) {
        browser.open("/compare-leads").run("document.querySelector('textarea').value = arguments[0]", leads);
    }

    @Test
    void theOddTailIsNamedOnTheChartAndTheNextOnePredicted() {
        paste(
                "2.1 5.31 tail 1\n2.9 7.18 tail 2\n3.6 8.77 tail 3\n4.4 13.40 tail 4\n5.2 12.39 tail 5\n6.0 14.22 tail 6\n");
        browser.fill("input[name=next]", "7").keys(Keys.ENTER).see("main", "One is different.");
        assertThat(browser.text(".family-chart .outlier text")).isEqualTo("tail 4");
        assertThat(browser.text("main"))
                .contains("They have 2.28", "The next one, 7 m long, should read 16.5", "above the line")
                .contains("6 leads: the line holds");
        assertThat(browser.count(".family-chart .pass circle")).isEqualTo(5);
    }

    @Test
    void badLinesAndWeakEvidenceAreSaid() {
        paste("2 4\nlong\n");
        browser.click("main form .do")
                .see(".trouble", "line 2: “long” is not accepted; expected length and resistance");
        paste("2 4\n3 6 jumps\n4 8\n");
        browser.click("main form .do").see("main", "Fewer than four leads with continuity: no verdict by comparison.");
        assertThat(browser.text("tbody")).contains("condemned by hand and eye: jumps");
    }

    @Test
    void theSheetIsKeptWithAUnitAndOpenedAgain() {
        paste("2 4 t1\n3 6 t2\n4 8 t3\n5 10 t4\n6 12 t5\n");
        browser.click("main form .do").see("main", "None is different.");
        assertThat(browser.text("main details")).contains("Beside the standards");
        browser.fill("[name=name]", "Tails")
                .fill("[name=serial]", "PC-01")
                .click("button[formaction$=keep]")
                .waitForPath("/compare-leads.*sheet=\\d+");
        assertThat(browser.text("main")).contains("None is different.");
        browser.open("/units/1").see("main", "Compare leads: Tails");
    }
}
