package zestymarten.web.testrun;

import org.openqa.selenium.Keys;
import zestymarten.web.Browser;

/** A technician's hands on the keys of a run: each press waits until the page shows what became of it. */
final class Hands {
    private final Browser browser;

    Hands(Browser browser) {
        this.browser = browser;
    }

    /** Begins a run at 20 °C, with the choices of its form that are clicked. */
    Hands begin(long wiring, String serial, String... choices) {
        browser.open("/assemblies/" + wiring + "/test").fill("input[name=ambient]", "20");
        for (String choice : choices) {
            browser.click(choice);
        }
        browser.fill("input[name=serial]", serial).keys(Keys.ENTER).waitForPath("/runs/\\d+(/complaint)?");
        return this;
    }

    /** Keys after which something is kept. */
    Hands press(CharSequence... keys) {
        String pulse = browser.attribute("#pulse", "data-pulse");
        browser.keys(keys);
        browser.find("#pulse:not([data-pulse='" + pulse + "'])");
        return this;
    }

    /** The same key several times. */
    Hands press(int times, String key) {
        for (int i = 0; i < times; i++) {
            press(key);
        }
        return this;
    }

    Hands type(String... readings) {
        for (String reading : readings) {
            press(reading, Keys.ENTER);
        }
        return this;
    }

    /** Does what is due so many times. */
    Hands enter(int times) {
        for (int i = 0; i < times; i++) {
            press(Keys.ENTER);
        }
        return this;
    }
}
