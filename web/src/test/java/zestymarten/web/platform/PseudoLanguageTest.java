package zestymarten.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** Every text of a page is a sentence of a language file, or what somebody entered. */
@ExtendWith(Workshop.class)
class PseudoLanguageTest {
    private static final JsonMapper JSON = new JsonMapper();

    /** A text as long as that is recognised by a part of it: names are shortened, notes are quoted. */
    private static final int PART_OF_A_TEXT = 12;

    /** Columns and members that hold codes of the program: what they say on a page is a word of the files. */
    private static final Set<String> CODES = Set.of(
            "state",
            "verdict",
            "outcome",
            "kind",
            "stage",
            "question",
            "meaning",
            "decision",
            "method",
            "desk",
            "role",
            "unit",
            "result",
            "way",
            "repair_way");

    /** An example of a name, and standards, which are called the same in every language. */
    private static final Set<String> FORMAT = Set.of("door loom", "ISO 6722-1", "IEC 60228");

    private static final String LEFT = """
            const between = (text) => {
              let depth = 0;
              let out = '';
              for (const c of text) {
                if (c === '⟦') depth++;
                else if (c === '⟧') depth--;
                else if (depth === 0) out += c;
              }
              return out.trim();
            };
            const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
            const left = [];
            while (walk.nextNode()) {
              const node = walk.currentNode;
              if (!node.parentElement.closest('script, style, template, code, kbd, time, textarea, pre, .sentence, [translate=no]')) {
                const text = between(node.textContent.replace(/\\s+/g, ' '));
                if (/\\p{L}{2,}/u.test(text)) left.push(text);
              }
            }
            // A sentence stands in several elements, and is one.
            document.body.querySelectorAll('.sentence').forEach((each) => {
              const text = between(each.textContent.replace(/\\s+/g, ' '));
              if (/\\p{L}{2,}/u.test(text)) left.push(text);
            });
            document.body.querySelectorAll('[aria-label], [title], [placeholder], [alt]').forEach((each) => {
              if (each.closest('[translate=no]')) return;
              for (const name of ['aria-label', 'title', 'placeholder', 'alt']) {
                const text = between(each.getAttribute(name) || '');
                if (/\\p{L}{3,} \\p{L}{2,}/u.test(text)) left.push(text);
              }
            });
            return [...new Set(left)];
            """;

    private final Site site;
    private final Browser browser;

    PseudoLanguageTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
    }

    @Test
    void everyTextIsASentenceOfTheFilesOrWasEntered() throws SQLException {
        String batch = batch();
        String entered = entered();
        Map<String, List<String>> left = new TreeMap<>();
        inThatLanguage(() -> {
            for (String page :
                    Stream.concat(PagesTest.PAGES.stream(), Stream.of(batch)).toList()) {
                if (!page.equals("/help")) { // a document, which is a whole text of one language
                    look(browser.open(page), entered, page, left);
                }
            }
            browser.open("/records").see("nav a[aria-current=page][href='/records']", "");
        });
        assertThat(left).isEmpty();
    }

    private void tested(String lead, String protective) {
        List<String> typed = List.of(
                "s", protective, "0.078", "0.079", "0.078", "0.08", "OL", "OL", "OL", "OL", "OL", "OL", ">200M");
        for (int i = 0; i < typed.size(); i++) {
            browser.run("document.querySelectorAll('.slot-in')[" + i + "].value = arguments[0]", typed.get(i));
        }
        browser.click("main form .do").see("[role=status]", lead);
    }

    /** A day of a batch test with a lead that passed, one that failed, and one that is to do. */
    private String batch() {
        browser.desktop().signIn("bench").open("/batch-test?search=Shore-supply");
        browser.run("document.querySelector('textarea').value = 'QP-1\\nQP-2\\nQP-3'");
        browser.run("document.querySelector('[name=at]').value = 'contacts'");
        browser.click("form[method=post] .do").waitForPath("/batch-test/\\d+");
        String day = browser.path();
        tested("QP-1", "0.078");
        tested("QP-2", "5");
        return day;
    }

    /** What a value of the core refuses is a sentence of the files as well. */
    @Test
    void whatIsRefusedIsASentenceOfTheFiles() throws SQLException {
        String entered = entered() + "off\non\n";
        Map<String, List<String>> left = new TreeMap<>();
        inThatLanguage(() -> {
            for (String page : List.of(
                    "/conductor?length=38&area=0.75&class=2&volts=5000&source=0.4&protection=C&rated=500",
                    "/check?thing=fuse&rated=-3",
                    "/check?thing=switch&positions=off&closed=on",
                    "/check?thing=sensor&curve=ntc&celsius=900",
                    "/identify-cores?cores=3&return=yes&tags=99M&method=TAGS",
                    "/batch-test?row=1&each=0.2&k1=0.2",
                    "/runs/3/locate?wire=W4&VARLEY0=9&VARLEY1=0.55&MURRAY0=5")) {
                browser.open(page).find(".trouble");
                look(browser, entered, page, left);
            }
            browser.open("/circuit").run("""
                    const field = document.querySelector('[name=s1]');
                    field.value = '5000';
                    field.form.requestSubmit();
                    """);
            browser.find(".trouble");
            look(browser, entered, "/circuit", left);
        });
        assertThat(left).isEmpty();
    }

    @Test
    void thePracticeRoomAnswersInSentencesOfTheFiles() throws SQLException {
        List<String> done = List.of("isolate", "join", "J1.1 J2.1", "J1.2 J2.2", "say open W1");
        List<String> refused = List.of("dance", "J1.1 J9.9");
        String entered = entered() + String.join("\n", done) + "\n" + String.join("\n", refused) + "\n";
        Map<String, List<String>> left = new TreeMap<>();
        inThatLanguage(() -> {
            browser.open("/practice");
            browser.run("document.querySelector(\"input[value='dead-lower']\").form.requestSubmit()");
            browser.waitForPath("/practice/\\d+");
            for (String action : done) {
                String count = browser.attribute("#bench", "data-count");
                browser.fill("#action", action).keys(Keys.ENTER).find("#bench:not([data-count='" + count + "'])");
                look(browser, entered, action, left);
            }
            for (String action : refused) {
                browser.fill("#action", action).keys(Keys.ENTER).see("#say", "⟦");
                look(browser, entered, action, left);
            }
            browser.complaints();
        });
        assertThat(left).isEmpty();
    }

    private void inThatLanguage(Runnable looks) {
        browser.desktop().signIn("admin");
        choose("qps");
        try {
            looks.run();
        } finally {
            choose("en-GB");
        }
    }

    private static void look(Browser browser, String entered, String where, Map<String, List<String>> left) {
        List<String> texts = ((List<?>) browser.run(LEFT))
                .stream()
                        .map(String::valueOf)
                        .filter(each -> !isEntered(each, entered))
                        .toList();
        if (!texts.isEmpty()) {
            left.put(where, texts);
        }
    }

    /** Data, or quantities and names of data strung together. */
    private static boolean isEntered(String text, String entered) {
        String plain =
                text.replaceFirst("^\\d{4}-\\d\\d-\\d\\d \\d\\d:\\d\\d ", "").replaceFirst(",$", "");
        return FORMAT.contains(text)
                || entered.contains("\n" + plain + "\n")
                || Stream.of(plain.split(", | – |: "))
                        .allMatch(each -> entered.contains("\n" + each + "\n")
                                || (each.length() >= PART_OF_A_TEXT && entered.contains(each))
                                || each.matches("[−+\\d.]+ ?\\S{0,4}|FRAME|[A-Z]+[0-9]*(?:\\.\\w+)?|[A-Z]{3,4}"));
    }

    private void choose(String language) {
        browser.open("/account").run("document.querySelector('select[name=language]').value = arguments[0]", language);
        browser.click("#save-preferences").see(".say.done", "");
    }

    /** Every text that somebody entered, as the database holds it, on a line of its own; codes of ours are none. */
    private String entered() throws SQLException {
        StringBuilder all = new StringBuilder("\n");
        try (Connection database = site.database();
                Statement statement = database.createStatement()) {
            List<String> tables = new ArrayList<>();
            try (ResultSet names = statement.executeQuery(
                    "select table_name from information_schema.tables where table_schema = 'public' and table_type = 'BASE TABLE'")) {
                while (names.next()) {
                    tables.add(names.getString(1));
                }
            }
            for (String table : tables) {
                try (ResultSet rows =
                        statement.executeQuery("select to_jsonb(t) from \"" + table + "\" t limit 5000")) {
                    while (rows.next()) {
                        texts(JSON.readTree(rows.getString(1)), all, table.equals("run_record") ? Set.of() : CODES);
                    }
                }
            }
        }
        return all.toString();
    }

    private static void texts(JsonNode node, StringBuilder all, Set<String> without) {
        if (node.isString() && node.asString().startsWith("{")) {
            texts(JSON.readTree(node.asString()), all, without);
        } else if (node.isString()) {
            all.append(node.asString().strip()).append('\n');
            node.asString()
                    .lines()
                    .map(each -> each.replaceFirst("^[\\d. ]+", "").strip())
                    .forEach(each -> all.append(each).append('\n'));
        }
        node.properties().stream()
                .filter(each -> !without.contains(each.getKey()))
                .forEach(each -> texts(each.getValue(), all, without));
        if (node.isArray()) {
            node.forEach(each -> texts(each, all, without));
        }
    }
}
