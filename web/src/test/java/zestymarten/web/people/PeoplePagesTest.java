package zestymarten.web.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** People from their first one-time password to the day on which they are disabled. */
@ExtendWith(Workshop.class)
class PeoplePagesTest {
    private static final String CHOSEN = "wren carries thirty volts";

    private final Site site;
    private final Browser browser;

    PeoplePagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
    }

    private String add(String name) {
        browser.desktop().signInAnew("admin").open("/people");
        browser.fill("#new-name", name).click("form.sheet .do");
        return browser.find("#one-time").getText();
    }

    private void signIn(String name, String password) {
        browser.leave().open("/sign-in");
        browser.fill("#username", name).fill("#password", password).click("main .do");
    }

    private int api(String name, String password) {
        return site.send(site.by(name, password, "/api/v1/assemblies")).statusCode();
    }

    @Test
    void aNewPersonChoosesAPasswordBeforeAnythingElse() {
        String oneTime = add("rook");
        assertThat(api("rook", oneTime))
                .as("not with a password that somebody else has seen")
                .isEqualTo(422);
        signIn("rook", oneTime);
        browser.see("h1", "Your account");
        browser.open("/assemblies");
        assertThat(browser.text("h1")).isEqualTo("Your account");
        browser.fill("#old", oneTime);
        browser.fill("#fresh", CHOSEN).fill("#again", CHOSEN).click("main .do");
        browser.see("main .say.done", "Your password is changed.");
        browser.open("/assemblies");
        assertThat(browser.text("h1")).isEqualTo("Assemblies");
        assertThat(api("rook", CHOSEN)).isEqualTo(200);
        assertThat(api("rook", oneTime)).as("once only").isEqualTo(401);
        browser.open("/people");
        assertThat(browser.text("body")).as("not a technician's").doesNotContain("One-time password");
    }

    @Test
    void whoIsDisabledIsSignedOutAtOnceAndItsTokensAreGoodForNothing() {
        People people = site.bean(People.class);
        String oneTime = people.add("siskin", PersonRole.TECHNICIAN);
        people.changePassword("siskin", oneTime, CHOSEN, CHOSEN, "");
        String token = site.bean(Tokens.class).make("siskin", "rig", true);
        signIn("siskin", CHOSEN);
        browser.find("nav a");
        assertThat(bearer(token).statusCode()).isEqualTo(200);
        people.setDisabled("siskin", true);
        browser.open("/records");
        assertThat(browser.text("h1")).isEqualTo("Sign in");
        assertThat(bearer(token).statusCode()).isEqualTo(401);
        signIn("siskin", CHOSEN);
        browser.see("main .say.problem", "The user name or password is wrong.");
    }

    private HttpResponse<String> bearer(String token) {
        return site.send(site.request("/api/v1/assemblies").header("Authorization", "Bearer " + token));
    }

    @Test
    void aTokenReadsOrWritesAndNeverDoesMoreThanItsPerson() {
        Tokens tokens = site.bean(Tokens.class);
        String reads = tokens.make("bench", "reads", false);
        String writes = tokens.make("bench", "writes", true);
        String viewers = tokens.make("viewer", "writes", true);
        assertThat(post(reads)).isEqualTo(403);
        assertThat(post(viewers)).isEqualTo(403);
        assertThat(post(writes)).isEqualTo(201);
        assertThat(tokens.of("bench")).extracting(Tokens.TokenLine::usedAt).doesNotContainNull();
        tokens.revoke("bench", tokens.of("bench").get(0).id());
        assertThat(post(writes)).as("revoked").isEqualTo(401);
        assertThat(stored()).as("only a digest is stored").noneMatch(each -> each.contains(writes.substring(7)));
    }

    private int post(String token) {
        return site.send(site.request(
                                "/api/v1/assemblies?name=" + site.fresh("Token").replace(' ', '+'))
                        .header("Authorization", "Bearer " + token)
                        .header("Content-Type", "text/csv")
                        .POST(HttpRequest.BodyPublishers.ofString("from,to\nJ1.1,J2.1\n")))
                .statusCode();
    }

    private List<String> stored() {
        try (var database = site.database();
                var rows = database.createStatement().executeQuery("select digest || name from token")) {
            List<String> all = new ArrayList<>();
            while (rows.next()) {
                all.add(rows.getString(1));
            }
            return all;
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void guessingIsSlowedDownAndListed() {
        People people = site.bean(People.class);
        String oneTime = people.add("finch", PersonRole.VIEWER);
        people.changePassword("finch", oneTime, CHOSEN, CHOSEN, "");
        for (int guess = 1; guess <= 5; guess++) {
            assertThat(api("finch", "guess number " + guess)).isEqualTo(401);
        }
        assertThat(api("finch", CHOSEN)).as("the right one is not tried either").isEqualTo(429);
        signIn("finch", CHOSEN);
        browser.see("main .say.problem", "Too many wrong passwords. Wait five minutes");
        assertThat(api("bench", "marten-demo")).as("others are let in").isEqualTo(200);
        browser.desktop().signInAnew("admin").open("/audit?search=finch");
        assertThat(browser.text("main table")).contains("wrong name or password", "sign-in slowed down");
    }

    @Test
    void theLastAdministratorStays() {
        browser.desktop().signInAnew("admin").open("/people");
        browser.click("#person-admin form[action$='/disable'] button");
        browser.see("main .say.problem", "“admin” is the only administrator.");
    }

    @Test
    void anotherPlaceIsSignedOutFromHere() {
        browser.desktop().signInAnew("viewer");
        assertThat(browser.text("summary .name")).as("who is signed in").isEqualTo("viewer");
        String cookies = browser.cookies();
        browser.signInAnew("viewer").open("/account");
        assertThat(browser.text("main")).contains("Here").contains("Elsewhere");
        browser.click("form[action$='/elsewhere'] button");
        browser.see("main .say.done", "signed out everywhere else");
        HttpResponse<String> there = site.send(site.request("/records").header("Cookie", cookies));
        assertThat(there.headers().firstValue("Location").orElse("")).startsWith("/sign-in");
    }

    @Test
    void everybodyReadsFiguresTheirOwnWayAndWhatIsHandedOutStaysTheSame() throws IOException {
        long assembly = site.wiring(site.fresh("Gate cable"), "wire,from,to,length_m,area_mm2\nW1,J1.1,J2.1,3,0.75\n");
        String page = "/assemblies/" + assembly;
        browser.desktop().signInAnew("bench");
        assertThat(wire(page)).contains("3 m").contains("0.75 mm²").doesNotContain("AWG");
        Map<String, String> given = given(assembly);
        choose("comma", "fahrenheit", "feet", "gauge");
        assertThat(wire(page))
                .contains("9,843 ft")
                .contains("0,75 mm² (18 AWG)")
                .doesNotContain("0.75");
        assertThat(given(assembly)).as("programs, files and paper are the same").isEqualTo(given);
        browser.signInAnew("viewer");
        assertThat(wire(page)).as("others are not concerned").contains("0.75 mm²");
        browser.signInAnew("bench");
        choose("point", "celsius", "metres", "area");
        assertThat(wire(page)).contains("0.75 mm²").doesNotContain("AWG");
    }

    private String wire(String page) {
        return browser.open(page).attribute("tr[data-wire=W1]", "data-sentence");
    }

    /** What is handed out of an assembly and of a record, by its address; of paper what stands on it. */
    private Map<String, String> given(long assembly) throws IOException {
        Map<String, String> given = new TreeMap<>();
        for (String path : List.of(
                "/api/v1/assemblies/" + assembly,
                "/assemblies/" + assembly + "/wires.csv",
                "/assemblies/" + assembly + "/sheet.pdf",
                "/runs/3/readings.csv",
                "/runs/3/certificate.pdf")) {
            HttpResponse<byte[]> answer = site.send(
                    path.startsWith("/api/")
                            ? site.as("bench", path)
                            : site.request(path).header("Cookie", browser.cookies()),
                    HttpResponse.BodyHandlers.ofByteArray());
            assertThat(answer.statusCode()).as(path).isEqualTo(200);
            given.put(
                    path,
                    path.endsWith(".pdf") ? printed(answer.body()) : new String(answer.body(), StandardCharsets.UTF_8));
        }
        return given;
    }

    private static String printed(byte[] pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document);
        }
    }

    private void choose(String decimal, String temperature, String length, String section) {
        browser.open("/account");
        for (String[] each : new String[][] {
            {"decimal", decimal}, {"temperature", temperature}, {"length", length}, {"section", section}
        }) {
            browser.click("#" + each[0] + " option[value=" + each[1] + "]");
        }
        browser.click("#save-preferences").see(".say.done", "");
    }

    @Test
    void onlyAnAdministratorLooksAfterPeople() {
        for (String who : List.of("viewer", "bench", "lead")) {
            browser.desktop().signInAnew(who);
            for (String page : List.of("/people", "/audit", "/audit.csv")) {
                assertThat(browser.status(page)).as(who + " " + page).isEqualTo(403);
            }
        }
    }
}
