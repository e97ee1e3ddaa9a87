package zestymarten.web;

import java.io.File;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.logging.Level;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.openqa.selenium.Cookie;
import org.openqa.selenium.Keys;
import org.openqa.selenium.NoSuchElementException;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebDriver;
import org.openqa.selenium.WebDriverException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.WindowType;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.logging.LogEntry;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.logging.LoggingPreferences;
import org.openqa.selenium.support.ui.WebDriverWait;

/** A headless browser as a technician uses it: looks, types, presses keys. Every look waits for what it expects. */
public final class Browser implements AutoCloseable {
    private static final Duration PATIENCE = Duration.ofSeconds(30);

    /** The text as it is read: no hidden parts, one space for any white space within a line. */
    private static final String TEXTS = """
            return [...document.querySelectorAll(arguments[0])].map((each) => {
              const box = each.closest('select') ?? each; // a choice is part of its field
              const seen = !box.checkVisibility || box.checkVisibility({checkVisibilityCSS: true});
              const kept = each.matches('option, textarea') ? each.textContent : each.innerText;
              const text = seen ? kept ?? each.textContent : '';
              return text.split('\\n').map((line) => line.replace(/[\\s\\u00a0]+/g, ' ').trim()).filter(Boolean).join('\\n');
            });
            """;

    private static final String IN_THE_MIDDLE = """
            const each = document.querySelector(arguments[0]);
            each?.scrollIntoView({block: 'center', behavior: 'instant'});
            return each;
            """;

    private final String url;
    private final ChromeDriver driver;
    private final Map<String, Set<Cookie>> sessions = new HashMap<>();

    /** Without windows, tabs and sound around the page, which take a quarter of all that the tests of the pages take. */
    Browser(String url) {
        this(url, "chromium-headless-shell");
    }

    /** The whole browser: it plays sounds, as the bare one cannot. */
    static Browser withSound(String url) {
        return new Browser(url, "chromium");
    }

    private Browser(String url, String program) {
        this.url = url;
        ChromeOptions options = new ChromeOptions();
        options.setBinary(onPath(program));
        options.addArguments(
                "--headless",
                "--no-sandbox",
                "--disable-gpu",
                "--disable-software-rasterizer",
                "--force-prefers-reduced-motion",
                "--disable-dev-shm-usage",
                "--disable-quic",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--disable-extensions",
                "--force-device-scale-factor=1",
                "--hide-scrollbars",
                "--autoplay-policy=no-user-gesture-required",
                "--host-resolver-rules=MAP * ~NOTFOUND , EXCLUDE 127.0.0.1 , EXCLUDE localhost");
        LoggingPreferences log = new LoggingPreferences();
        log.enable(LogType.BROWSER, Level.WARNING);
        options.setCapability("goog:loggingPrefs", log);
        driver = new ChromeDriver(
                new ChromeDriverService.Builder()
                        .usingDriverExecutable(new File(onPath("chromedriver")))
                        .build(),
                options);
        driver.manage().timeouts().scriptTimeout(PATIENCE);
        desktop();
    }

    private static String onPath(String program) {
        return Stream.of(System.getenv("PATH").split(":"))
                .map(folder -> new File(folder, program))
                .filter(File::canExecute)
                .findFirst()
                .orElseThrow(() -> new IllegalStateException(program + " is not installed."))
                .getPath();
    }

    /** 1280 by 800, as on the bench. */
    public Browser desktop() {
        return size(1280, 800, false);
    }

    /** 390 by 844, as up a ladder. */
    public Browser phone() {
        return size(390, 844, true);
    }

    /** The same phone on its side. */
    public Browser onItsSide() {
        return size(844, 390, true);
    }

    private Browser size(int width, int height, boolean mobile) {
        driver.executeCdpCommand(
                "Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", mobile));
        return this;
    }

    public Browser dark(boolean dark) {
        driver.executeCdpCommand(
                "Emulation.setEmulatedMedia",
                Map.of("features", List.of(Map.of("name", "prefers-color-scheme", "value", dark ? "dark" : "light"))));
        return this;
    }

    /** Forgets who was signed in. */
    public Browser leave() {
        driver.get(url + "/sign-in");
        driver.manage().deleteAllCookies();
        return this;
    }

    /** The cookies as another client would send them. */
    public String cookies() {
        return driver.manage().getCookies().stream()
                .map(each -> each.getName() + "=" + each.getValue())
                .collect(Collectors.joining("; "));
    }

    /** What a page of this site answers to whoever is signed in. */
    public long status(String path) {
        return (Long) run("return fetch(arguments[0], {redirect: 'manual'}).then((answer) => answer.status)", path);
    }

    /** As one of the demo accounts; goes on with what it was signed in by before, unless that was ended meanwhile. */
    public Browser signIn(String account) {
        return isStillSignedIn(account) ? this : signInAnew(account);
    }

    private boolean isStillSignedIn(String account) {
        Set<Cookie> before = sessions.getOrDefault(account, Set.of());
        if (before.isEmpty()) {
            return false;
        }
        if (!driver.getCurrentUrl().startsWith(url)) {
            driver.get(url + "/away");
        }
        driver.manage().deleteAllCookies();
        before.forEach(driver.manage()::addCookie);
        driver.get(url + "/");
        return path().equals("/") && has("nav a");
    }

    /** Through the door, as one of the demo accounts. */
    public Browser signInAnew(String account) {
        leave();
        driver.get(url + "/sign-in");
        find("#username").sendKeys(account);
        find("#password").sendKeys("marten-demo");
        find("#password").sendKeys(Keys.ENTER);
        find("nav a");
        sessions.put(account, driver.manage().getCookies());
        return this;
    }

    public Browser open(String path) {
        driver.get(url + path);
        SaidInWords.check(String.valueOf(run("return document.documentElement.outerHTML")));
        return this;
    }

    /** Another tab of the same browser, signed in as the first. */
    public String newTab() {
        String before = driver.getWindowHandle();
        driver.switchTo().newWindow(WindowType.TAB);
        desktop();
        return before;
    }

    public String tab() {
        return driver.getWindowHandle();
    }

    public Browser toTab(String tab) {
        driver.switchTo().window(tab);
        return this;
    }

    /** Closes the tab in use and goes back to another. */
    public Browser closeTab(String back) {
        driver.close();
        return toTab(back);
    }

    public String path() {
        return driver.getCurrentUrl().replaceFirst("^https?://[^/]+", "");
    }

    public Browser waitForPath(String pattern) {
        until(() -> path().matches(pattern), () -> "the address to be like " + pattern + ", but it is " + path());
        return this;
    }

    /** The first element that fits; waits for it. */
    public WebElement find(String css) {
        List<WebElement> found = new ArrayList<>();
        until(() -> first(css).map(found::add).orElse(false), () -> "something like " + css);
        return found.get(0);
    }

    private Optional<WebElement> first(String css) {
        return Optional.ofNullable((WebElement) run("return document.querySelector(arguments[0])", css));
    }

    /** An attribute of the first element that fits; empty if it has none. */
    public String attribute(String css, String name) {
        find(css);
        return String.valueOf(
                run("return document.querySelector(arguments[0])?.getAttribute(arguments[1]) ?? ''", css, name));
    }

    public boolean has(String css) {
        return count(css) > 0;
    }

    public int count(String css) {
        return ((Long) run("return document.querySelectorAll(arguments[0]).length", css)).intValue();
    }

    public String text(String css) {
        List<String> texts = new ArrayList<>();
        until(
                () -> {
                    texts.clear();
                    texts.addAll(texts(css));
                    return !texts.isEmpty();
                },
                () -> "a text in " + css);
        return texts.get(0);
    }

    /** What every element that fits shows now; nothing of what is hidden. All at once: a question costs more than an answer. */
    public List<String> texts(String css) {
        return ((List<?>) run(TEXTS, css)).stream().map(String::valueOf).toList();
    }

    /** Waits until an element says something. */
    public Browser see(String css, String text) {
        List<String> texts = new ArrayList<>();
        until(
                () -> {
                    texts.clear();
                    texts.addAll(texts(css));
                    return texts.stream().anyMatch(each -> each.contains(text));
                },
                () -> "'" + text + "' in " + css + ", which says: " + texts);
        texts.forEach(SaidInWords::check);
        return this;
    }

    /** Waits until nothing fits any more. */
    public Browser gone(String css) {
        until(() -> !has(css), () -> css + " to be gone");
        return this;
    }

    public Browser click(String css) {
        until(
                () -> {
                    Optional<WebElement> there = Optional.ofNullable((WebElement) run(IN_THE_MIDDLE, css));
                    there.ifPresent(WebElement::click);
                    return there.isPresent();
                },
                () -> "a click on " + css);
        return this;
    }

    public Browser fill(String css, String text) {
        WebElement field = find(css);
        field.clear();
        field.sendKeys(text);
        return this;
    }

    /** Puts a value into a field of the form by its name, without typing it. */
    public Browser put(String name, Object value) {
        run("document.querySelector('[name=" + name + "]').value = arguments[0]", String.valueOf(value));
        return this;
    }

    /** Types into whatever has the focus, as a keyboard or a pedal does. */
    public Browser keys(CharSequence... keys) {
        driver.switchTo().activeElement().sendKeys(keys);
        return this;
    }

    public Object run(String script, Object... arguments) {
        return driver.executeScript(script, arguments);
    }

    /** Sends a form as the account that is signed in, with the token of the page it is on; answers the status. */
    public long post(String path, String form) {
        return (Long) run(
                "const csrf = document.querySelector('meta[name=csrf]');"
                        + "return fetch(arguments[0], {method: 'POST', redirect: 'manual', headers: {"
                        + "'Content-Type': 'application/x-www-form-urlencoded', [csrf.dataset.header]: csrf.content},"
                        + "body: arguments[1]}).then((answer) => answer.type === 'opaqueredirect' ? 302 : answer.status)",
                path,
                form);
    }

    public byte[] picture() {
        return driver.getScreenshotAs(OutputType.BYTES);
    }

    public WebDriver driver() {
        return driver;
    }

    /**
     * What the browser complained of since it was asked last: scripts and styles that the policy refused, errors, failed
     * requests; but for refusals that the pages show to their users, and for requests that a later one took the place of.
     */
    public List<String> complaints() {
        return driver.manage().logs().get(LogType.BROWSER).getAll().stream()
                .map(LogEntry::getMessage)
                .filter(message -> !message.matches("(?s).*(status of|Status Error Code) (4\\d\\d|503).*"))
                .filter(message -> !message.matches("(?s).*htmx:(sendAbort|afterRequest).*"))
                .toList();
    }

    private void until(Supplier<Boolean> holds, Supplier<String> what) {
        new WebDriverWait(driver, PATIENCE, Duration.ofMillis(40))
                .ignoring(StaleElementReferenceException.class, NoSuchElementException.class)
                .ignoring(org.openqa.selenium.ElementNotInteractableException.class)
                .withMessage(() -> "Waited for " + what.get() + " at " + path())
                .until(any -> holdsNow(holds));
    }

    /** An element whose page was just replaced is another way of saying that it is stale. */
    private static boolean holdsNow(Supplier<Boolean> holds) {
        try {
            return holds.get();
        } catch (WebDriverException e) {
            if (String.valueOf(e.getMessage()).contains("does not belong to the document")) {
                return false;
            }
            throw e;
        }
    }

    @Override
    public void close() {
        driver.quit();
    }
}
