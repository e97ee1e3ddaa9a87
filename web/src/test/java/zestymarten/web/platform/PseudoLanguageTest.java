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
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** Every text of a page is a sentence of a language file, or what somebody entered. */
@ExtendWith(Workshop.class)
class PseudoLanguageTest {
    /** Words of the open format, which are the same in every language. */
    private static final Set<String> FORMAT = Set.of(
            "copper-coated",
            "cca-10",
            "cca-15",
            "ccs-40",
            "brass",
            "steel",
            "stainless",
            "constantan",
            "nichrome",
            "vehicle",
            "relay contact",
            "breaker",
            "coil",
            "resistor",
            "ntc",
            "pt100",
            "pt1000",
            "diode",
            "front",
            "screw",
            "pierce",
            "not tried",
            "sometimes",
            "stays on",
            "scrapped",
            "door loom",
            "ISO 6722-1");

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
              if (!node.parentElement.closest('script, style, template, code, kbd, time, textarea, pre, .mono, .sentence, [translate=no]')) {
                const text = between(node.textContent.replace(/\\s+/g, ' '));
                if (/\\p{L}{2,}/u.test(text)) left.push(text);
              }
            }
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
        String entered = entered();
        browser.desktop().signIn("admin");
        choose("qps");
        Map<String, List<String>> left = new TreeMap<>();
        try {
            for (String page : PagesTest.PAGES) {
                if (page.equals("/help")) {
                    continue; // a document, which is a whole text of one language
                }
                List<String> texts = ((List<?>) browser.open(page).run(LEFT))
                        .stream()
                                .map(String::valueOf)
                                .filter(each -> !isEntered(each, entered))
                                .toList();
                if (!texts.isEmpty()) {
                    left.put(page, texts);
                }
            }
            browser.open("/records").see("nav a[aria-current=page][href='/records']", "");
        } finally {
            choose("en-GB");
        }
        assertThat(left).isEmpty();
    }

    /** Data, or quantities and names of data strung together. */
    private static boolean isEntered(String text, String entered) {
        return FORMAT.contains(text)
                || Stream.of(text.replaceFirst("^\\d{4}-\\d\\d-\\d\\d \\d\\d:\\d\\d ", "")
                                .replaceFirst(",$", "")
                                .split(", | – |: "))
                        .allMatch(each -> entered.contains(each)
                                || each.matches("[−\\d.]+ ?\\S{0,4}|FRAME|[A-Z]+[0-9]*(?:\\.\\w+)?|[A-Z]{3,4}"));
    }

    private void choose(String language) {
        browser.open("/account").run("document.querySelector('select[name=language]').value = arguments[0]", language);
        browser.click("#save-preferences").see(".say.good", "");
    }

    /** Everything that the database holds, as one text. */
    private String entered() throws SQLException {
        StringBuilder all = new StringBuilder();
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
                try (ResultSet rows = statement.executeQuery("select t::text from \"" + table + "\" t limit 5000")) {
                    while (rows.next()) {
                        all.append(rows.getString(1)).append('\n');
                    }
                }
            }
        }
        return all.toString();
    }
}
