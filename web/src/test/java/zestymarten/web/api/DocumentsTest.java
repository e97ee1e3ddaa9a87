package zestymarten.web.api;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.yaml.snakeyaml.Yaml;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** The documents that describe the interface say what the interface does. */
@ExtendWith(Workshop.class)
class DocumentsTest {
    private static final JsonMapper JSON = JsonMapper.shared();

    private final Site site;

    DocumentsTest(Site site) {
        this.site = site;
    }

    private Map<String, Map<String, Map<String, Object>>> paths() {
        HttpResponse<String> answer = site.send(site.as("viewer", "/api/v1/openapi"));
        assertThat(answer.headers().firstValue("Content-Type").orElse("")).startsWith("application/yaml");
        Map<String, Map<String, Map<String, Map<String, Object>>>> document = new Yaml().load(answer.body());
        return document.getOrDefault("paths", Map.of());
    }

    @Test
    void everyCallIsDescribedAndEveryDescriptionIsACall() {
        TreeSet<String> described = new TreeSet<>();
        paths().forEach((path, calls) ->
                calls.keySet().forEach(method -> described.add(method.toUpperCase(Locale.ROOT) + " " + path)));
        TreeSet<String> mapped = new TreeSet<>();
        site.bean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class)
                .getHandlerMethods()
                .keySet()
                .forEach(mapping -> mapping.getPatternValues()
                        .forEach(path -> mapping.getMethodsCondition()
                                .getMethods()
                                .forEach(method -> mapped.add(method.name() + " " + path))));
        mapped.removeIf(call -> !call.contains(" /api/"));
        assertThat(mapped).isEqualTo(described);
    }

    @Test
    void theExamplesOfTheAnalysisCallsAreAnswered() {
        List<String> tried = new ArrayList<>();
        paths().forEach((path, calls) -> {
            JsonNode example = JSON.valueToTree(calls).at("/post/requestBody/content/application~1json/example");
            if (path.startsWith("/api/v1/analysis/") && !example.isMissingNode()) {
                HttpResponse<String> answer = site.post("lead", path, "application/json", example.toString());
                assertThat(answer.statusCode()).as(path + ": " + answer.body()).isEqualTo(200);
                tried.add(path);
            }
        });
        assertThat(tried).hasSize(4);
    }

    private Schema schema() {
        String text = site.send(site.as("viewer", "/api/v1/schemas/assembly")).body();
        return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(text, InputFormat.JSON);
    }

    @Test
    void whatIsGivenOutFitsTheSchema() {
        Schema schema = schema();
        for (int id = 1; id <= 6; id++) {
            String json = site.send(
                            site.as("viewer", "/api/v1/assemblies/" + id).header("Accept", "application/json"))
                    .body();
            assertThat(schema.validate(json, InputFormat.JSON)).as(json).isEmpty();
        }
    }

    @Test
    void whatIsRefusedDoesNotFitTheSchema() {
        String wrong = "{\"format\":\"zesty-marten/assembly\",\"version\":1,\"name\":\"x\","
                + "\"conductors\":[{\"from\":\"J1.1\",\"to\":\"J2.1\",\"length\":3},{\"from\":\"J1 2\",\"to\":\"J2.2\"}]}";
        List<Error> errors = schema().validate(wrong, InputFormat.JSON);
        assertThat(errors).hasSize(2);
        assertThat(site.post("bench", "/api/v1/analysis/findings", "application/json", "{\"assembly\":" + wrong + "}")
                        .body())
                .contains("assembly.conductors[0].length", "assembly.conductors[1].from");
    }
}
