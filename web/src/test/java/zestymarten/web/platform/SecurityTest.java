package zestymarten.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** Who may do what, and what every answer carries. */
@ExtendWith(Workshop.class)
class SecurityTest {
    private final Site site;

    SecurityTest(Site site) {
        this.site = site;
    }

    private HttpResponse<String> get(String path) {
        return site.send(site.request(path));
    }

    @Test
    void everyPageForbidsWhatIsNotOurs() {
        HttpResponse<String> page = get("/sign-in");
        assertThat(page.headers().firstValue("Content-Security-Policy").orElse(""))
                .contains("default-src 'none'", "script-src 'self';", "style-src 'self';", "frame-ancestors 'none'")
                .doesNotContain("unsafe");
        assertThat(page.headers().firstValue("X-Content-Type-Options")).contains("nosniff");
        assertThat(page.headers().firstValue("X-Frame-Options")).contains("DENY");
        assertThat(page.headers().firstValue("Referrer-Policy")).contains("same-origin");
        assertThat(page.body())
                .doesNotContain("<style")
                .doesNotContain(" style=")
                .doesNotContain("onclick");
        assertThat(page.body()).doesNotContain("http://").doesNotContain("https://");
    }

    @Test
    void whatAPageNeedsIsOursHashedAndKeptForAYear() {
        Matcher asset = Pattern.compile("(?:src|href)=\"(/[^\"]+\\.(?:css|js|woff2|svg))\"")
                .matcher(get("/sign-in").body());
        int count = 0;
        while (asset.find()) {
            String path = asset.group(1);
            assertThat(path).matches(".*-[0-9a-f]{32}\\.\\w+|/scripts/[0-9a-f]{32}/[a-z-]+\\.js");
            HttpResponse<String> answer = get(path);
            assertThat(answer.statusCode()).as(path).isEqualTo(200);
            assertThat(answer.headers().firstValue("Cache-Control").orElse(""))
                    .as(path)
                    .contains("max-age=31536000");
            count++;
        }
        assertThat(count).isGreaterThanOrEqualTo(6);
    }

    /** Scripts import each other by their names: what stands beside one of a version is of the same version. */
    @Test
    void aScriptFindsWhatItImportsUnderItsOwnVersion() {
        Matcher script = Pattern.compile("src=\"(/scripts/[0-9a-f]{32}/)marten\\.js\"")
                .matcher(get("/sign-in").body());
        assertThat(script.find()).isTrue();
        assertThat(get(script.group(1) + "testrun.js").body()).contains("from \"./step.js\"");
        assertThat(get(script.group(1) + "step.js").statusCode()).isEqualTo(200);
        assertThat(get(script.group(1) + "vendor/idb-8.0.3.js").statusCode()).isEqualTo(200);
        assertThat(get("/scripts/" + "0".repeat(32) + "/step.js").statusCode())
                .as("another version is not answered with this one")
                .isEqualTo(404);
    }

    @Test
    void theSentencesOfScriptsAreKeptForAYearAndNamedByTheirContent() {
        Matcher words = Pattern.compile("src=\"(/words\\.js\\?language=en-GB&amp;version=[0-9a-f]{32})\"")
                .matcher(get("/sign-in").body());
        assertThat(words.find()).isTrue();
        HttpResponse<String> answer = get(words.group(1).replace("&amp;", "&"));
        assertThat(answer.headers().firstValue("Cache-Control").orElse("")).contains("max-age=31536000", "immutable");
        assertThat(answer.body()).startsWith("window.martenWords = {").contains("The server does not answer.");
        assertThat(get("/words.js?language=tlh").body()).as("English otherwise").isEqualTo(answer.body());
    }

    @Test
    void theStylesNameTheFontsByTheirContentToo() {
        Matcher styles = Pattern.compile("href=\"(/styles/base-[^\"]+\\.css)\"")
                .matcher(get("/sign-in").body());
        assertThat(styles.find()).isTrue();
        assertThat(get(styles.group(1)).body())
                .containsPattern("fonts/atkinson-hyperlegible-next-400-[0-9a-f]{32}\\.woff2");
    }

    @Test
    void aFirstVisitWeighsLessThanThreeHundredKilobytes() {
        String page = get("/sign-in").body();
        Matcher asset = Pattern.compile("(?:src|href)=\"(/[^\"]+\\.(?:css|js|woff2|svg))\"")
                .matcher(page);
        long weight = compressed("/sign-in");
        while (asset.find()) {
            weight += compressed(asset.group(1));
        }
        for (String font : new String[] {"next-700", "mono-500"}) {
            weight += compressed("/fonts/atkinson-hyperlegible-" + font + ".woff2");
        }
        assertThat(weight).isLessThan(300_000);
    }

    private long compressed(String path) {
        return site.send(site.request(path).header("Accept-Encoding", "gzip"), HttpResponse.BodyHandlers.ofByteArray())
                .body()
                .length;
    }

    @Test
    void strangersAreSentToTheDoorEachInTheirWay() {
        assertThat(get("/assemblies").headers().firstValue("Location").orElse(""))
                .isEqualTo("/sign-in?next=%2Fassemblies");
        HttpResponse<String> htmx = site.send(site.request("/runs/1/work").header("HX-Request", "true"));
        assertThat(htmx.statusCode()).isEqualTo(401);
        assertThat(htmx.headers().firstValue("HX-Retarget"))
                .as("said in its place: what was typed stays on the page")
                .contains("#say");
        assertThat(htmx.body()).contains("You are signed out").contains("Sign in");
        assertThat(get("/api/v1/assemblies").statusCode()).isEqualTo(401);
        assertThat(get("/actuator/health").body()).contains("\"status\":\"UP\"");
        assertThat(get("/actuator/metrics").statusCode()).isNotEqualTo(200);
    }

    @Test
    void aPostWithoutItsTokenIsRefused() {
        HttpResponse<String> answer = site.send(site.request("/sign-in")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("username=bench&password=marten-demo")));
        assertThat(answer.statusCode()).isEqualTo(403);
        assertThat(answer.headers().firstValue("Location")).isEmpty();
    }

    @Test
    void theSessionCookieIsForTheServerAlone() {
        String cookie = get("/sign-in").headers().firstValue("Set-Cookie").orElse("");
        assertThat(cookie).contains("HttpOnly").contains("SameSite=Strict");
    }

    @Test
    void strangersMakeNoSessions() throws SQLException {
        try (Connection database = site.database();
                Statement ask = database.createStatement()) {
            String count = "select count(*) from spring_session";
            long before = one(ask, count);
            for (int visit = 0; visit < 20; visit++) {
                get("/sign-in");
                get("/records?visit=" + visit);
            }
            assertThat(one(ask, count)).isLessThanOrEqualTo(before);
        }
    }

    private static long one(Statement ask, String sql) throws SQLException {
        try (ResultSet rows = ask.executeQuery(sql)) {
            rows.next();
            return rows.getLong(1);
        }
    }

    @Test
    void afterSigningInOneIsWhereOneWantedToBeAndNeverElsewhere() {
        assertThat(Destination.of("/runs/3?touch=2")).isEqualTo("/runs/3?touch=2");
        for (String elsewhere : List.of(
                "//evil.example",
                "/\\evil.example",
                "https://evil.example",
                "javascript:alert(1)",
                "",
                "/\n/evil",
                "/sign-in")) {
            assertThat(Destination.of(elsewhere)).as(elsewhere).isEqualTo("/");
        }
    }

    @Test
    void aForeignPageCannotUseTheInterfaceWithRememberedPasswords() {
        for (String[] header : new String[][] {
            {"Sec-Fetch-Site", "cross-site"}, {"Sec-Fetch-Site", "same-site"}, {"Origin", "http://evil.example"}
        }) {
            HttpResponse<String> answer = site.send(site.as("bench", "/api/v1/assemblies?name=forged")
                    .header("Content-Type", "text/plain")
                    .header(header[0], header[1])
                    .POST(HttpRequest.BodyPublishers.ofString("from,to\nJ1.1,J2.1\n")));
            assertThat(answer.statusCode()).as(header[1]).isEqualTo(403);
            assertThat(answer.body()).contains("A page of another site may not use this interface.");
        }
    }

    @Test
    void itAnswersUnderItsOwnNamesOnly() throws IOException {
        assertThat(raw("127.0.0.1")).startsWith("HTTP/1.1 302");
        assertThat(raw("localhost:8040")).startsWith("HTTP/1.1 302");
        assertThat(raw("evil.example")).startsWith("HTTP/1.1 421").doesNotContain("Location");
        assertThat(raw("127.0.0.1.evil.example")).startsWith("HTTP/1.1 421");
    }

    /** What is answered to a request under a name of our choice, which the client of the platform does not send. */
    private String raw(String host) throws IOException {
        URI to = URI.create(site.url());
        try (Socket socket = new Socket(to.getHost(), to.getPort())) {
            String head = "GET / HTTP/1.1\r\nHost: " + host + "\r\nConnection: close\r\n\r\n";
            socket.getOutputStream().write(head.getBytes(StandardCharsets.US_ASCII));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @Test
    void theDemoAccountsAreShownAtTheDoor() {
        assertThat(get("/sign-in").body()).contains("bench", "lead", "viewer", "marten-demo");
    }
}
