package zestymarten.web.worksheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.web.util.HtmlUtils;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/**
 * Random figures and nonsense in every field of every tool: the answer is never a fault of the server, and what was typed
 * stands in its field afterwards. {@code ./marten test --all-trials} sends more forms to each.
 */
@ExtendWith(Workshop.class)
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ToolFuzzTest {
    private static final int FORMS = Boolean.getBoolean("trials.all") ? 60 : 15;

    /** The forms grow by what is chosen; after so many the tool is opened anew. */
    private static final int IN_A_ROW = 15;

    private static final Pattern FORM = Pattern.compile("<form\\b(.*?)</form>", Pattern.DOTALL);
    private static final Pattern FIELD =
            Pattern.compile("<(input|textarea|select)\\b([^>]*)>(?:([^<]*)</textarea>)?", Pattern.DOTALL);
    private static final Pattern OPTIONS = Pattern.compile("<option\\b([^>]*)>");

    private static final List<String> FIGURES = List.of(
            "0.31", "0,31", "12", "6", "4", "2.5", "1.5", "1", "20", "230", "0.05", "8 m", "26 ft", "14 AWG", "OL",
            "3s", "120", "0.4", "45", "0.58", "right", "ok", "100", "7n", "0.8us", "66 %", "30M", ">2G", "b", "n",
            "1 2 3");
    private static final List<String> NONSENSE = List.of(
            "abc",
            "-1",
            "1e400",
            "999999999999",
            "∞",
            "NaN",
            "0",
            "🙂",
            "<b>x</b>",
            "\"'&amp;",
            "1;2",
            "٣",
            "%",
            "0x10",
            "=1+1",
            "true",
            "null",
            "1.2.3",
            "--",
            "Ω",
            "x".repeat(300),
            "0".repeat(40),
            "\u202e12",
            "1 2 3 4 5 6 7 8 9");

    private final Site site;
    private final Browser browser;
    private String cookies = "";
    private long run;

    ToolFuzzTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
    }

    private record FormField(String name, String kind, String value, List<String> options) {
        boolean isTyped() {
            return kind.equals("text") || kind.equals("textarea") || kind.equals("search");
        }
    }

    private record ToolForm(boolean posts, String action, List<FormField> fields) {}

    @BeforeAll
    void begin() {
        browser.desktop().signIn("bench");
        cookies = browser.cookies();
        run = site.run(
                site.wiring(
                        site.fresh("Fuzzed"),
                        "wire,from,to,length_m,area_mm2,zone\nW1,J1.1,J2.1,120,1.5,flexing\nW2,J2.1,J3.1,4,1.5,\n"),
                "F-1");
    }

    private static String attribute(String tag, String name) {
        Matcher found = Pattern.compile("\\b" + name + "=\"([^\"]*)\"").matcher(tag);
        return found.find() ? HtmlUtils.htmlUnescape(found.group(1)) : "";
    }

    /** The form of a tool: of all on its page the one with most fields. */
    private static ToolForm form(String page, String path) {
        String form = FORM.matcher(page)
                .results()
                .map(MatchResult::group)
                .filter(each -> attribute(each, "action").startsWith(path))
                .max(Comparator.comparingInt(each -> fields(each).size()))
                .orElseThrow(
                        () -> new AssertionError("No form of " + path + " in " + page.replaceAll("(?s).*<main", "")));
        return new ToolForm(
                attribute(form, "method").equalsIgnoreCase("post"), attribute(form, "action"), fields(form));
    }

    private static List<FormField> fields(String form) {
        List<FormField> fields = new ArrayList<>();
        Matcher found = FIELD.matcher(form);
        while (found.find()) {
            String name = attribute(found.group(2), "name");
            String type = attribute(found.group(2), "type");
            String kind = found.group(1).equals("input") ? (type.isEmpty() ? "text" : type) : found.group(1);
            String value = kind.equals("textarea")
                    ? HtmlUtils.htmlUnescape(found.group(3) == null ? "" : found.group(3))
                    : attribute(found.group(2), "value");
            List<String> options = kind.equals("select")
                    ? OPTIONS.matcher(form.substring(found.end(), form.indexOf("</select>", found.end())))
                            .results()
                            .map(option -> attribute(option.group(1), "value"))
                            .toList()
                    : List.of();
            if (!name.isEmpty()) {
                fields.add(new FormField(name, kind, value, options));
            }
        }
        return fields;
    }

    private static String pick(List<String> all, Random random) {
        return all.get(random.nextInt(all.size()));
    }

    private static Map<String, String> filled(ToolForm form, Random random) {
        Map<String, String> filled = new LinkedHashMap<>();
        for (FormField field : form.fields()) {
            if (field.kind().equals("hidden")) {
                filled.put(field.name(), field.value());
            } else if (field.kind().equals("select")) {
                filled.put(
                        field.name(),
                        random.nextInt(12) == 0 || field.options().isEmpty()
                                ? pick(NONSENSE, random)
                                : pick(field.options(), random));
            } else if (field.kind().equals("checkbox") || field.kind().equals("radio")) {
                if (random.nextInt(3) == 0) {
                    filled.put(field.name(), field.value());
                }
            } else if (field.isTyped() || field.kind().equals("number")) {
                filled.put(field.name(), typed(field, random));
            }
        }
        filled.remove("title"); // nothing is saved
        return filled;
    }

    private static String typed(FormField field, Random random) {
        if (field.kind().equals("textarea")) {
            return random.ints(random.nextInt(6), 0, 100)
                    .mapToObj(i -> pick(FIGURES, random) + " " + pick(i < 15 ? NONSENSE : FIGURES, random))
                    .collect(Collectors.joining("\n"));
        }
        int kind = random.nextInt(10);
        return kind < 2 ? "" : kind < 8 ? pick(FIGURES, random) : pick(NONSENSE, random);
    }

    private HttpResponse<String> get(String path) {
        return site.send(site.request(path).header("Cookie", cookies));
    }

    private HttpResponse<String> sent(ToolForm form, Map<String, String> filled) {
        String encoded = filled.entrySet().stream()
                .map(each -> each.getKey() + "=" + URLEncoder.encode(each.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        if (!form.posts()) {
            return get(URI.create(form.action()).getPath() + "?" + encoded);
        }
        return site.send(site.request(form.action())
                .header("Cookie", cookies)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(encoded)));
    }

    /** What was typed and stands in no field of its name any more. */
    private static List<String> lost(Map<String, String> filled, ToolForm before, ToolForm after) {
        Map<String, String> now = after.fields().stream()
                .collect(Collectors.toMap(FormField::name, FormField::value, (first, second) -> first));
        return before.fields().stream()
                .filter(field -> field.isTyped() && now.containsKey(field.name()))
                .filter(field -> !filled.getOrDefault(field.name(), "").isBlank()) // an empty one takes what is usual
                .filter(field ->
                        !plain(filled.getOrDefault(field.name(), "")).equals(plain(now.getOrDefault(field.name(), ""))))
                .map(field ->
                        field.name() + ": '" + filled.get(field.name()) + "' became '" + now.get(field.name()) + "'")
                .toList();
    }

    private static String plain(String text) {
        return text.replaceAll("\\s+", " ").strip();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/circuit",
                "/conductor",
                "/identify-cores",
                "/compare-leads",
                "/batch-test",
                "/check",
                "/runs/{run}/locate?wire=W1"
            })
    void nothingIsAFaultOfOursAndNothingTypedIsLost(String tool) {
        String address = tool.replace("{run}", Long.toString(run));
        String path = address.replaceAll("\\?.*", "");
        Random random = new Random(tool.hashCode());
        ToolForm form = form(get(address).body(), path);
        for (int i = 0; i < FORMS; i++) {
            if (i % IN_A_ROW == 0) {
                form = form(get(address).body(), path);
            }
            Map<String, String> filled = filled(form, random);
            HttpResponse<String> answer = sent(form, filled);
            assertThat(answer.statusCode()).as("%s %s", form.action(), filled).isLessThan(500);
            assertThat(answer.body())
                    .as("%s %s", form.action(), filled)
                    .doesNotContain("java.")
                    .doesNotContain("Exception");
            if (answer.statusCode() == 200) {
                ToolForm after = form(answer.body(), path);
                assertThat(lost(filled, form, after))
                        .as("%s %s", form.action(), filled)
                        .isEmpty();
                form = after;
            }
        }
    }
}
