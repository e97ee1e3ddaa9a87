package zestymarten.web.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** The interface as another program uses it. */
@ExtendWith(Workshop.class)
class ApiTest {
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final String LIST = "wire,from,to,colour,function,length_m,area_mm2,current_a\n"
            + "W1,J1.1,J2.1,BN,up,8,0.5,2\nW2,J1.2,J2.2,BK,down,8,0.5,\n";

    private final Site site;

    ApiTest(Site site) {
        this.site = site;
    }

    private HttpResponse<String> take(String name, String type, String list) {
        return site.post("bench", "/api/v1/assemblies?name=" + name, type, list);
    }

    @Test
    void takesInAnAssemblyWithItsPartsAndGivesItBackWhole() {
        String desk = """
                {"format": "zesty-marten/assembly", "version": 1, "name": "%s", "kind": "harness",
                 "connectors": [{"id": "J1", "name": "Desk", "place": "cab", "probing": "back", "mates_with": "J9",
                    "access": {"minutes": 4, "harm": "open"}, "face": {"shape": "line", "columns": 3}, "pins": ["1", "2", "3"]}],
                 "joints": [{"id": "S1", "kind": "splice", "probe": true, "max_ohm": 0.02}],
                 "conductors": [{"id": "In", "from": "J1.1", "to": "S1"}, {"id": "Left", "from": "S1", "to": "J2.1"},
                    {"id": "Right", "from": "S1", "to": "J2.2"}],
                 "components": [{"id": "SW1", "kind": "switch", "a": "J2.1", "b": "J2.3", "max_ohm": 0.2}],
                 "states": [{"id": "rest", "closed": []}, {"id": "held", "closed": ["SW1"]}],
                 "frame": {"bonded": ["J1.3"]}}
                """.formatted(site.fresh("Desk"));
        HttpResponse<String> made = site.post("bench", "/api/v1/assemblies", "application/json", desk);
        assertThat(made.statusCode()).as(made.body()).isEqualTo(201);
        long id = JSON.readTree(made.body()).get("id").asLong();
        JsonNode back = JSON.readTree(
                site.send(site.as("viewer", "/api/v1/assemblies/" + id).header("Accept", "application/json"))
                        .body());
        JsonNode sent = JSON.readTree(desk);
        for (String member : List.of("joints", "components", "states", "frame")) {
            assertThat(back.get(member)).as(member).isEqualTo(sent.get(member));
        }
        assertThat(back.at("/connectors/0/mates_with").asString()).isEqualTo("J9");
        assertThat(back.at("/connectors/0/access/minutes").asDouble()).isEqualTo(4);
        HttpResponse<String> again = site.post("bench", "/api/v1/assemblies", "application/json", desk);
        assertThat(again.statusCode()).isEqualTo(422);
    }

    @Test
    void takesInAWireListAndGivesItBackInBothFormats() {
        long id = site.wiring(site.fresh("Api cable"), LIST);
        HttpResponse<String> json =
                site.send(site.as("viewer", "/api/v1/assemblies/" + id).header("Accept", "application/json"));
        JsonNode assembly = JSON.readTree(json.body());
        assertThat(assembly.at("/format").asString()).isEqualTo("zesty-marten/assembly");
        assertThat(assembly.at("/conductors/0/area_mm2").asDouble()).isEqualTo(0.5);
        assertThat(assembly.at("/conductors/0/class").asInt()).isEqualTo(5);
        HttpResponse<String> csv =
                site.send(site.as("viewer", "/api/v1/assemblies/" + id).header("Accept", "text/csv"));
        assertThat(csv.body())
                .isEqualTo(
                        "wire,from,to,colour,function,length_m,area_mm2,metal,class,zone,current_a,spare,max_ohm,min_ohm,note\r\n"
                                + "W1,J1.1,J2.1,BN,up,8,0.5,copper,5,,2,,,,\r\n"
                                + "W2,J1.2,J2.2,BK,down,8,0.5,copper,5,,,,,,\r\n");
        long again = site.wiring(site.fresh("Api cable"), csv.body());
        assertThat(site.send(site.as("bench", "/api/v1/assemblies/" + again).header("Accept", "text/csv"))
                        .body())
                .isEqualTo(csv.body());
        String tag = csv.headers().firstValue("ETag").orElseThrow();
        assertThat(site.send(site.as("bench", "/api/v1/assemblies/" + id)
                                .header("Accept", "text/csv")
                                .header("If-None-Match", tag))
                        .statusCode())
                .isEqualTo(304);
    }

    @Test
    void refusesAListWithEveryProblemAndKeepsNothing() {
        String name = "Refused-" + UUID.randomUUID();
        HttpResponse<String> answer =
                take(name, "text/csv", "wire,from,to,length_m\n=1+1,J1.1,J2.1,8\nW2,J1.2,,forty\n");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.headers().firstValue("Content-Type")).contains("application/problem+json");
        assertThat(JSON.readTree(answer.body()).at("/problems").findValuesAsString("text"))
                .containsExactly(
                        "“=1+1” is not accepted; expected the value itself, not a formula; paste values only.",
                        "Nothing was entered; expected a terminal such as J1.3, a joint such as S1, or FRAME.",
                        "“forty” is not accepted; expected a number above 0 and at most 100000 m, or nothing if it is not known.");
        assertThat(site.send(site.as("bench", "/api/v1/assemblies?search=" + name))
                        .body())
                .isEqualTo("[]");
    }

    @Test
    void whatCannotBeStoredIsNoOutageOfTheDatabase() {
        HttpResponse<String> nowhere = site.post(
                "bench",
                "/api/v1/runs",
                "application/json",
                "{\"assembly_id\": 987654321, \"serial\": \"X-1\", \"ambient_c\": 20}");
        assertThat(nowhere.statusCode()).as(nowhere.body()).isBetween(400, 499);
        HttpResponse<String> control = site.post(
                "bench", "/api/v1/runs", "application/json", "{\"assembly_id\": 1, \"serial\": \"a\\u0000b\"}");
        assertThat(control.statusCode()).as(control.body()).isEqualTo(422);
        assertThat(control.body()).contains("control character");
    }

    @Test
    void refusesAnEmptyAndAnEnormousList() {
        assertThat(take("Empty", "text/csv", " \n").body()).contains("There is nothing to read.");
        String line = "J1.1,J2.1," + "x".repeat(100) + "\n";
        HttpResponse<String> answer = take("Enormous", "text/csv", "from,to,note\n" + line.repeat(50_000));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("The list has 5.6 MB; at most 2 MB are read");
    }

    @Test
    void readsAsSpreadsheetsWrite() {
        String tabs = "\uFEFFfrom\tto\tlength_m\nJ1.1\tJ2.1\t2,5\n";
        assertThat(take("Tabs-" + UUID.randomUUID(), "text/tab-separated-values", tabs)
                        .statusCode())
                .isEqualTo(201);
        String semicolons = "from;to;length_m;awg;area_mm2\nJ1.1;J2.1;2,5;20;4\n";
        assertThat(take("Semi-" + UUID.randomUUID(), "text/csv", semicolons).body())
                .contains("the same section as area_mm2 (4 mm²), but AWG 20 is 0.5176 mm²; give one of the two");
    }

    @Test
    void wantsAnAccountThatMay() {
        assertThat(site.send(site.request("/api/v1/assemblies")).statusCode()).isEqualTo(401);
        assertThat(site.post("viewer", "/api/v1/assemblies?name=No", "text/csv", LIST)
                        .statusCode())
                .isEqualTo(403);
        assertThat(site.send(site.as("viewer", "/api/v1/assemblies/999999")).statusCode())
                .isEqualTo(404);
    }

    private JsonNode reading(long run, UUID id, String members) {
        HttpResponse<String> answer = site.post(
                "bench",
                "/api/v1/runs/" + run + "/readings",
                "application/json",
                "{\"id\":\"" + id + "\"," + members + "}");
        return JSON.readTree(answer.body());
    }

    @Test
    void aReadingPostedTwiceIsStoredOnce() {
        long run = site.run(site.wiring(site.fresh("Api run"), LIST), "A-1");
        reading(run, UUID.randomUUID(), "\"as_typed\":\"b\"");
        reading(run, UUID.randomUUID(), "\"as_typed\":\"0.3\"");
        UUID id = UUID.randomUUID();
        String members = "\"a\":\"J1.1\",\"b\":\"J2.1\",\"as_typed\":\"0.58\"";
        JsonNode first = reading(run, id, members);
        assertThat(first.at("/judgement").asString()).isEqualTo("pass");
        assertThat(first.at("/corrected_ohm").asDouble()).isCloseTo(0.28, org.assertj.core.data.Offset.offset(1e-12));
        assertThat(reading(run, id, members)).isEqualTo(first);
        JsonNode state =
                JSON.readTree(site.send(site.as("bench", "/api/v1/runs/" + run)).body());
        assertThat(state.at("/due/a").asString()).isEqualTo("J1.2");
        assertThat(state.at("/touches_left").asInt()).isEqualTo(4);
    }

    @Test
    void aDoubtfulReadingIsAQuestionAndAStrangeMemberIsRefused() {
        long run = site.run(site.wiring(site.fresh("Api run"), LIST), "A-2");
        reading(run, UUID.randomUUID(), "\"as_typed\":\"b\"");
        reading(run, UUID.randomUUID(), "\"as_typed\":\"0.3\"");
        UUID id = UUID.randomUUID();
        String members = "\"a\":\"J2.1\",\"b\":\"J1.1\",\"as_typed\":\"580\"";
        assertThat(reading(run, id, members).at("/problems/0/text").asString())
                .isEqualTo("580 Ω or 0.58 Ω? The second would fit what this wire should read. Post it again with"
                        + " 'meaning': 0 for 580 Ω, 1 for 0.58 Ω.");
        assertThat(reading(run, id, members + ",\"meaning\":1")
                        .at("/understood")
                        .asString())
                .isEqualTo("0.58 Ω");
        assertThat(site.post("bench", "/api/v1/runs/" + run + "/readings", "application/json", "{\"ohms\":3}")
                        .statusCode())
                .isEqualTo(400);
        assertThat(reading(run, UUID.randomUUID(), "\"a\":\"J1.1\",\"b\":\"J9.9\",\"as_typed\":\"1\"")
                        .at("/detail")
                        .asString())
                .isEqualTo("a, b: “J1.1” and “J9.9”: no step of this test measures between those two.");
    }

    @Test
    void tellsWhatWasFound() {
        long run = site.run(site.wiring(site.fresh("Api run"), LIST), "A-3");
        for (String typed : new String[] {"b", "0.3"}) {
            reading(run, UUID.randomUUID(), "\"as_typed\":\"" + typed + "\"");
        }
        reading(run, UUID.randomUUID(), "\"a\":\"J1.1\",\"b\":\"J2.1\",\"as_typed\":\"4k7\"");
        JsonNode found = JSON.readTree(site.send(site.as("viewer", "/api/v1/runs/" + run + "/findings"))
                .body());
        assertThat(found.at("/0/kind").asString()).isEqualTo("high_resistance");
        assertThat(found.at("/0/functions_lost/0").asString()).isEqualTo("up");
        assertThat(found.at("/0/evidence/0").asInt()).isEqualTo(3);
    }

    @Test
    void unitsAreListedWithTheirLastResult() {
        JsonNode units = JSON.readTree(
                site.send(site.as("viewer", "/api/v1/units?search=PC-0")).body());
        assertThat(units.findValuesAsString("serial")).contains("PC-01", "PC-04");
        assertThat(units.findValuesAsString("last_result")).contains("pass", "fail");
        assertThat(JSON.readTree(site.send(site.as("viewer", "/api/v1/units?state=quarantined&page=0"))
                        .body()))
                .allSatisfy(each -> assertThat(each.get("state").asString()).isEqualTo("quarantined"));
        assertThat(site.send(site.request("/api/v1/units")).statusCode()).isEqualTo(401);
    }

    @Test
    void aSpreadsheetIsReadLikeAnyWireList() throws Exception {
        String path = "/api/v1/assemblies?name=" + site.fresh("Sheet").replace(" ", "%20");
        byte[] good = sheet(List.of(
                List.of("from", "to", "length_m"), List.of("J1.1", "J2.1", "4.5"), List.of("J1.2", "J2.2", "")));
        HttpResponse<String> stored = postSheet(path, good);
        assertThat(stored.statusCode()).as(stored.body()).isEqualTo(201);
        assertThat(stored.body()).contains("\"conductors\":2");
        HttpResponse<String> bad =
                postSheet(path + "2", sheet(List.of(List.of("from", "to"), List.of("J1.1", "J1.1"))));
        assertThat(bad.statusCode()).isEqualTo(422);
        assertThat(bad.body()).contains("line 2");
        HttpResponse<String> none = postSheet(path + "3", new byte[] {'P', 'K', 3, 4, 5});
        assertThat(none.statusCode()).isEqualTo(422);
        assertThat(none.body()).contains("That is no spreadsheet that can be read");
    }

    private HttpResponse<String> postSheet(String path, byte[] body) {
        return site.send(site.as("bench", path)
                .header("Content-Type", "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet")
                .POST(HttpRequest.BodyPublishers.ofByteArray(body)));
    }

    private static byte[] sheet(List<List<String>> rows) throws java.io.IOException {
        try (var book = new org.apache.poi.xssf.usermodel.XSSFWorkbook();
                var out = new java.io.ByteArrayOutputStream()) {
            var sheet = book.createSheet();
            for (int i = 0; i < rows.size(); i++) {
                var row = sheet.createRow(i);
                for (int j = 0; j < rows.get(i).size(); j++) {
                    row.createCell(j).setCellValue(rows.get(i).get(j));
                }
            }
            book.write(out);
            return out.toByteArray();
        }
    }
}
