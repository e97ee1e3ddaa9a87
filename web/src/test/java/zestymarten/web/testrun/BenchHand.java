package zestymarten.web.testrun;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.openqa.selenium.Keys;
import org.openqa.selenium.TimeoutException;
import zestymarten.web.Browser;

/**
 * Somebody with a real unit on the bench: does what the page says, reads what the unit shows, and counts what it takes. A
 * click is a click or a tap, a key is a key pressed; a field that has the focus already takes no click.
 */
final class BenchHand {
    private static final Pattern PROBES = Pattern.compile("[Bb]lack on (\\S+), red on (?:the )?(\\S+?)[.,]?(?:\\s|$)");
    private static final int MAX_STEPS = 120;

    private final Browser browser;
    private final List<String> done = new ArrayList<>();
    private String leads = "0.20";
    private boolean byTouch;
    private int clicks;
    private int keys;

    BenchHand(Browser browser) {
        this.browser = browser;
    }

    /** From here on by the keys on the screen alone. */
    BenchHand byTouch() {
        byTouch = true;
        return this;
    }

    /** With leads that read so much with their tips together; 0.20 Ω otherwise. */
    BenchHand leadsThatRead(String ohm) {
        leads = ohm;
        return this;
    }

    /** What was answered to what, for whoever wants to see how it went. */
    List<String> done() {
        return done;
    }

    int clicks() {
        return clicks;
    }

    int keys() {
        return keys;
    }

    BenchHand click(String css) {
        clicks++;
        browser.click(css);
        return this;
    }

    /** Types into a field, which takes a click where another has the focus. */
    BenchHand fill(String css, String text) {
        boolean focused =
                (Boolean) browser.run("return document.querySelector(arguments[0]) === document.activeElement", css);
        clicks += focused ? 0 : 1;
        keys += text.length();
        browser.fill(css, text);
        return this;
    }

    BenchHand key(CharSequence key) {
        keys += key.length();
        browser.keys(key);
        return this;
    }

    /** A key after which something is kept. */
    private void press(CharSequence... pressed) {
        String pulse = browser.attribute("#pulse", "data-pulse");
        for (CharSequence each : pressed) {
            if (!byTouch) {
                key(each);
            } else if (each == Keys.ENTER) {
                click(".keypad [data-key=Enter]");
            } else if (each.toString().matches("[bn]|OL")) {
                click(".keypad [data-key='" + each + "']");
            } else {
                each.chars().forEach(one -> click(".keypad [data-type='" + (char) one + "']"));
            }
        }
        try {
            browser.find("#pulse:not([data-pulse='" + pulse + "'])");
        } catch (TimeoutException e) {
            throw new AssertionError(browser.text("#say") + " after " + String.join("\n", done), e);
        }
    }

    /** What the two probes are on, such as {@code J1.1 J2.3}; empty where the sentence is of something else. */
    static String probes(String sentence) {
        Matcher found = PROBES.matcher(sentence);
        return found.find() ? found.group(1) + " " + found.group(2) : "";
    }

    /** The answers that any unit gets: a meter that is well, everything linked, gone to and looked at as it is asked. */
    private String usual(String sentence, UnaryOperator<String> unit) {
        if (sentence.contains("Does the meter beep?") || sentence.startsWith("Touch the probes together")) {
            return "b";
        } else if (sentence.contains("Still together")) {
            return leads;
        } else if (sentence.startsWith("Both probes on the frame")) {
            return "0.4";
        }
        return unit.apply(sentence);
    }

    /**
     * Goes on until nothing is due or the answer is {@code stop}; the last sentence.
     *
     * @param unit what is answered to a sentence: one of the keys {@code b}, {@code n}, {@code j}, {@code 1}, a figure, or
     *     nothing for Enter alone
     */
    String play(UnaryOperator<String> unit) {
        for (int i = 0; i < MAX_STEPS; i++) {
            if (browser.has(".mid .result")) {
                done.add(browser.text(".mid .result"));
                if (byTouch) {
                    click(".mid .result [data-key=Enter]");
                } else {
                    key(Keys.ENTER);
                }
                browser.gone(".mid .result");
                continue;
            }
            String sentence = browser.text(".mid .sentence");
            if (!browser.has(".mid .why") || isOver(sentence)) {
                return sentence;
            }
            String answer = usual(sentence, unit);
            done.add(sentence + " -> " + answer);
            if (answer.equals("stop")) {
                return sentence;
            } else if (answer.isEmpty()) {
                press(Keys.ENTER);
            } else if (answer.matches("[bnj1]")) {
                press(answer);
            } else {
                press(answer, Keys.ENTER);
            }
        }
        throw new AssertionError("It does not come to an end: " + String.join("\n", done));
    }

    private static boolean isOver(String sentence) {
        return sentence.startsWith("All measurements are done")
                || sentence.startsWith("The diagnosis")
                || sentence.startsWith("What the repair")
                || sentence.startsWith("It cannot be told");
    }

    /** Begins a test of a unit with choices of its first page, each a box or button. */
    void begin(long assembly, String serial, String... choices) {
        browser.open("/assemblies/" + assembly + "/test");
        for (String choice : choices) {
            click(choice);
        }
        fill("input[name=serial]", serial).key(Keys.ENTER);
        browser.waitForPath("/runs/\\d+");
    }

    /** Ends the test as it stands, and confirms what is not measured; the certificate's text. */
    String certificate() {
        boolean asks = browser.has("[hx-post$='/end'][hx-confirm]");
        click("[hx-post$='/end']");
        if (asks) {
            key("y");
            browser.driver().switchTo().alert().accept();
        }
        browser.waitForPath("/runs/\\d+/record");
        return browser.text(".certificate");
    }

    /** An assembly of a template, saved under a name as it comes. */
    long fromTemplate(String template, String name) {
        browser.open("/assemblies/grid?from=" + template);
        fill("input[name=name]", name).click("main form .do");
        browser.waitForPath("/assemblies/\\d+");
        return Long.parseLong(browser.path().replaceAll("\\D", ""));
    }

    /** What a straight cable reads from end to end. */
    static Map<String, String> straight(int cores, String reads) {
        Map<String, String> joined = new HashMap<>();
        for (int i = 1; i <= cores; i++) {
            joined.put("J1." + i + " J2." + i, reads);
        }
        return joined;
    }

    /** A unit that reads so between pairs of terminals, and nothing between all others. */
    static UnaryOperator<String> unit(Map<String, String> joined) {
        return sentence -> {
            String pair = probes(sentence);
            String back = pair.replaceAll("(\\S+) (\\S+)", "$2 $1");
            return pair.isEmpty() ? "" : joined.getOrDefault(pair, joined.getOrDefault(back, "n"));
        };
    }
}
