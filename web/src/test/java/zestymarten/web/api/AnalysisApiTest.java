package zestymarten.web.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.InputStream;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** The core's questions over HTTP. */
@ExtendWith(Workshop.class)
class AnalysisApiTest {
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final String DESK = """
            {"format": "zesty-marten/assembly", "version": 1, "name": "Desk", "kind": "harness",
             "joints": [{"id": "S1", "kind": "splice", "max_ohm": 0.02}],
             "conductors": [
               {"id": "W1", "from": "J1.1", "to": "S1", "length_m": 2, "area_mm2": 0.5},
               {"id": "W2", "from": "S1", "to": "J2.1", "length_m": 3, "area_mm2": 0.5},
               {"id": "W3", "from": "J1.2", "to": "J2.2", "length_m": 5, "area_mm2": 0.5, "function": "horn"}],
             "components": [
               {"id": "R1", "kind": "resistor", "a": "J2.1", "b": "J2.2", "ohm": 120, "tolerance": 0.02},
               {"id": "SW1", "kind": "switch", "a": "J2.2", "b": "J2.3", "max_ohm": 0.2},
               {"id": "RT1", "kind": "ntc", "a": "J2.3", "b": "J2.4", "r25_ohm": 10000, "beta_k": 3950}],
             "states": [{"id": "rest", "closed": []}, {"id": "held", "closed": ["SW1"]}],
             "frame": {"bonded": []}}
            """;

    private final Site site;

    AnalysisApiTest(Site site) {
        this.site = site;
    }

    private JsonNode ask(String call, String body) {
        HttpResponse<String> answer = site.post("bench", "/api/v1/analysis/" + call, "application/json", body);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return JSON.readTree(answer.body());
    }

    private JsonNode refused(String call, String body) {
        HttpResponse<String> answer = site.post("bench", "/api/v1/analysis/" + call, "application/json", body);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(422);
        return JSON.readTree(answer.body());
    }

    private static List<String> problems(JsonNode refused) {
        List<String> all = new ArrayList<>();
        refused.at("/problems")
                .forEach(each -> all.add(
                        each.get("where").asString() + ": " + each.get("text").asString()));
        return all;
    }

    static Stream<JsonNode> cases() throws java.io.IOException {
        try (InputStream file = AnalysisApiTest.class.getResourceAsStream("findings-cases.json")) {
            return List.copyOf(JSON.readTree(Objects.requireNonNull(file)).values()).stream();
        }
    }

    private static String found(JsonNode finding) {
        TreeSet<String> conductors = new TreeSet<>();
        finding.get("conductors").forEach(each -> conductors.add(each.asString()));
        if (finding.has("components")) {
            finding.get("components").forEach(each -> conductors.add(each.asString()));
        }
        return finding.get("kind").asString() + " " + String.join(" ", conductors);
    }

    @ParameterizedTest
    @MethodSource("cases")
    void findsTheFaultsOfAUnitFromItsReadings(JsonNode one) {
        JsonNode answer = ask("findings", one.get("request").toString());
        List<String> found = new ArrayList<>();
        answer.get("findings").forEach(each -> found.add(found(each)));
        List<String> expected = new ArrayList<>();
        one.at("/expect/findings").forEach(each -> expected.add(found(each)));
        assertThat(found).as(one.get("name").asString()).containsExactlyInAnyOrderElementsOf(expected);
        assertThat(answer.get("verdict").asString())
                .isEqualTo(one.at("/expect/verdict").asString());
        assertThat(answer.get("judgements")).hasSize(one.at("/request/readings").size());
    }

    private static String pairs(String pairs) {
        return "{\"assembly\": " + DESK + ", \"conditions\": {\"ambient_c\": 25}, \"pairs\": [" + pairs + "]}";
    }

    @Test
    void expectsWhatTheNetworkSays() {
        JsonNode answer = ask(
                "expected",
                pairs("{\"a\":\"J1.2\",\"b\":\"J2.2\"},{\"a\":\"J1.1\",\"b\":\"J2.1\"},{\"a\":\"J1.1\",\"b\":\"J1.2\"},"
                        + "{\"a\":\"J2.2\",\"b\":\"J2.3\"},{\"a\":\"J2.2\",\"b\":\"J2.3\",\"state\":\"held\"},"
                        + "{\"a\":\"J2.3\",\"b\":\"J2.4\"},"
                        + "{\"a\":\"J1.1\",\"b\":\"J1.2\",\"setup\":[[\"J2.1\",\"J2.2\"]]}"));
        double warm = 1 + 0.00393 * 5;
        assertThat(answer.at("/0/nominal_ohm").asDouble()).isCloseTo(0.017241 / 0.5 * 5 * warm, within(1e-12));
        assertThat(answer.at("/0/high_ohm").asDouble()).isCloseTo(0.039 * 5 * warm, within(1e-12));
        assertThat(answer.at("/1/high_ohm").asDouble()).isCloseTo(0.039 * 5 * warm + 0.02, within(1e-12));
        assertThat(answer.at("/2/low_ohm").asDouble())
                .as("through the resistor")
                .isGreaterThan(117.6);
        assertThat(answer.at("/3/open").asBoolean()).as(answer.toString()).isTrue();
        assertThat(answer.at("/3/low_ohm").isNull()).isTrue();
        assertThat(answer.at("/4/high_ohm").asDouble()).isEqualTo(0.2);
        assertThat(answer.at("/5/nominal_ohm").asDouble()).isCloseTo(10_000, within(1e-6));
        assertThat(answer.at("/6/high_ohm").asDouble())
                .as("there and back over the link")
                .isCloseTo(0.039 * 10 * warm + 0.02, within(1e-12));
    }

    private static String readings(String readings) {
        return "{\"assembly\": " + DESK + ", \"conditions\": {\"ambient_c\": 25, \"leads_ohm\": 0.3}, \"readings\": ["
                + readings + "]}";
    }

    private static String reading(String a, String b, String typed) {
        return "{\"a\":\"" + a + "\",\"b\":\"" + b + "\",\"as_typed\":\"" + typed + "\"}";
    }

    @Test
    void judgesPartsByTheirValueAndStates() {
        JsonNode answer = ask(
                "findings",
                readings(String.join(
                        ",",
                        reading("J2.1", "J2.2", "97.1"),
                        reading("J2.2", "J2.3", "0.4"),
                        reading("J2.3", "J2.4", "OL"))));
        List<String> kinds = new ArrayList<>();
        answer.get("findings").forEach(each -> kinds.add(each.get("kind").asString()));
        assertThat(kinds).containsExactlyInAnyOrder("component_value", "component_state", "component_open");
        assertThat(answer.at("/judgements/0/reason").asString()).isEqualTo("below_minimum");
        assertThat(answer.at("/judgements/0/result").asString()).isEqualTo("fail");
        assertThat(answer.at("/judgements/0/limit/source").asString()).isNotEmpty();
        assertThat(answer.at("/judgements/0/text").asString())
                .isEqualTo("96.8 Ω is less than 117.6 Ω. 117.6 Ω to 122.4 Ω: resistor R1, 120 Ω ± 2 %.");
    }

    @Test
    void whatIsNotTestedIsIncompleteAndNamed() {
        JsonNode answer = ask("findings", readings(reading("J1.2", "J2.2", "0.48")));
        assertThat(answer.get("verdict").asString()).isEqualTo("incomplete");
        assertThat(answer.at("/untested/0").toString()).isEqualTo("{\"a\":\"J1.1\",\"b\":\"J2.1\"}");
        assertThat(answer.get("findings")).isEmpty();
        assertThat(answer.at("/next/status").asString()).isEqualTo("go_on");
        assertThat(answer.at("/next/measurements/0/asks").asString())
                .isEqualTo("reads two points that nobody has read yet");
        assertThat(answer.at("/next/measurements/0/gain_bits").asDouble()).isPositive();
        assertThat(answer.at("/not_shown").toString()).contains("insulation_low", "resistance_only");
        String wires = String.join(
                ",",
                reading("J1.2", "J2.2", "0.48"),
                reading("J1.1", "J2.1", "0.48"),
                reading("J1.1", "FRAME", "OL"),
                reading("J1.2", "FRAME", "OL"));
        JsonNode partsUnread = ask("findings", readings(wires));
        assertThat(partsUnread.get("verdict").asString()).isEqualTo("incomplete");
        assertThat(partsUnread.at("/untested/0").toString()).isEqualTo("{\"a\":\"J2.1\",\"b\":\"J2.2\"}");
        String parts = String.join(
                ",",
                reading("J2.1", "J2.2", "120.3"),
                reading("J2.2", "J2.3", "OL"),
                reading("J2.2", "J2.3", "0.38").replace("}", ",\"state\":\"held\"}"),
                reading("J2.3", "J2.4", "10.2k"));
        JsonNode whole = ask("findings", readings(wires + "," + parts));
        assertThat(whole.at("/untested").toString())
                .as("pins of parts without a wire")
                .contains("{\"a\":\"J2.3\",\"b\":\"FRAME\"}");
        String pins = Stream.of("J1.1", "J1.2", "FRAME")
                .flatMap(other -> Stream.of(reading("J2.3", other, "OL"), reading("J2.4", other, "OL")))
                .collect(Collectors.joining(","));
        JsonNode complete = ask("findings", readings(wires + "," + parts + "," + pins));
        assertThat(complete.get("verdict").asString()).as(complete.toString()).isEqualTo("pass");
        assertThat(complete.at("/next/status").asString()).isEqualTo("finished");
        assertThat(complete.at("/next/measurements")).isEmpty();
        assertThat(complete.at("/explanations/0/faults")).isEmpty();
    }

    @Test
    void whatFollowsFromOtherReadingsIsListedWithTheirNumbers() {
        JsonNode answer = ask(
                "findings",
                "{\"assembly\": {\"format\": \"zesty-marten/assembly\", \"version\": 1, \"name\": \"Lead\", \"kind\": \"lead\","
                        + " \"conductors\": [{\"id\": \"W1\", \"from\": \"J1.1\", \"to\": \"J2.1\"},"
                        + " {\"id\": \"W2\", \"from\": \"J1.2\", \"to\": \"J2.2\"}]},"
                        + " \"readings\": [{\"a\": \"J1.1\", \"b\": \"J2.1\", \"as_typed\": \"OL\"},"
                        + " {\"a\": \"J1.1\", \"b\": \"J2.2\", \"as_typed\": \"0.4\"},"
                        + " {\"a\": \"J1.2\", \"b\": \"J2.1\", \"as_typed\": \"0.4\"}]}");
        assertThat(answer.get("implied"))
                .anyMatch(each -> each.toString()
                        .equals("{\"a\":\"J1.2\",\"b\":\"J2.2\",\"result\":\"apart\",\"from\":[0,1,2]}"));
    }

    @Test
    void refusesADocumentWithEveryProblemAndItsPath() {
        assertThat(problems(refused("findings", "{\"assembly\": 3, \"colour\": 1}")))
                .contains("assembly: “3” is not accepted; expected an object.");
        String wrong = DESK.replace("\"length_m\": 2", "\"length_m\": -2")
                .replace("\"kind\": \"ntc\"", "\"kind\": \"tube\"")
                .replace("\"area_mm2\": 0.5, \"function\"", "\"area\": 0.5, \"function\"");
        assertThat(problems(refused("findings", "{\"assembly\": " + wrong + ", \"readings\": []}")))
                .containsExactly(
                        "assembly.conductors[0]: Conductor 'W1': length (-2 m) must be above 0 and at most 100 km. Leave it"
                                + " empty if it is not known.",
                        "assembly.conductors[2].area: This member is not known. Known here: area_mm2, class, colour, current_a, from,"
                                + " function, id, length_m, max_ohm, metal, min_ohm, note, spare, to, zone.",
                        "assembly.components[2].kind: “tube” is no kind of component.");
        assertThat(problems(refused(
                        "findings", readings("{\"a\":\"J1.1\",\"b\":\"J7.1\",\"as_typed\":\"1\",\"state\":\"up\"}"))))
                .containsExactly(
                        "readings[0].b: “J7.1” is no terminal of the assembly.",
                        "readings[0].state: “up” is not accepted; expected one of rest, held.");
        assertThat(problems(refused("findings", "{\"assembly\": {]")))
                .singleElement()
                .asString()
                .startsWith(": Not JSON: line 1, ");
    }

    @Test
    void understandsATextWithItsDoubts() {
        JsonNode value = ask("parse", "{\"text\": \"15k8\"}");
        assertThat(value.get("kind").asString()).isEqualTo("value");
        assertThat(value.get("ohm").asDouble()).isEqualTo(15_800);
        JsonNode mark = ask("parse", "{\"text\": \"1\", \"meter\": {\"over_range\": \"1\"}}");
        assertThat(mark.get("kind").asString()).isEqualTo("ambiguous");
        assertThat(mark.at("/candidates/1/kind").asString()).isEqualTo("over_range");
        JsonNode prefix = ask("parse", "{\"text\": \"6.8\", \"expected\": {\"low_ohm\": 6000, \"high_ohm\": 7500}}");
        assertThat(prefix.get("kind").asString()).isEqualTo("value");
        assertThat(prefix.at("/doubts/0").asString()).startsWith("6.8 Ω or 6.8 kΩ?");
        assertThat(ask("parse", "{\"text\": \"0.5.8\"}").get("kind").asString()).isEqualTo("refused");
    }

    @Test
    void plansAMethodAndSaysWhatItWouldMiss() {
        String lead = "{\"format\":\"zesty-marten/assembly\",\"version\":1,\"name\":\"Lead\",\"conductors\":["
                + "{\"from\":\"J1.1\",\"to\":\"J2.1\"},{\"from\":\"J1.2\",\"to\":\"J2.2\"},{\"from\":\"J1.3\",\"to\":\"J2.3\"}]}";
        JsonNode plan = ask(
                "plan",
                "{\"assembly\":" + lead
                        + ",\"method\":\"far_end_joined\",\"prices\":{\"touch_s\":4,\"move_s\":0,\"walk_s\":300}}");
        assertThat(plan.get("touches").asInt()).isEqualTo(9);
        assertThat(plan.get("seconds").asDouble())
                .as("9 measurements and 2 checks, linked and unlinked, there and back for each")
                .isEqualTo((9 + 2) * 4 + 2 * 20 + 4 * 300);
        assertThat(plan.at("/steps/0").toString())
                .isEqualTo("{\"a\":\"J1.1\",\"b\":\"J1.2\",\"setup\":[[\"J2.1\",\"J2.2\",\"J2.3\"]],"
                        + "\"state\":\"rest\",\"quantity\":\"resistance\"}");
        assertThat(plan.at("/blind_spots/0").asString())
                .isEqualTo("Blind to crossed wires: a unit with them reads like a good one.");
        assertThat(problems(refused(
                        "plan",
                        "{\"assembly\":" + lead
                                + ",\"method\":\"by_halves\",\"tools\":[\"meter\"],\"prices\":{\"walk_s\":-1}}")))
                .containsExactly(
                        "tools: The method by_halves takes 'clips': clips to link ends.",
                        "prices.walk_s: Read -1; expected 0 to 3600 seconds.");
    }
}
