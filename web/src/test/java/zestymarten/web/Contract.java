package zestymarten.web;

import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.yaml.snakeyaml.Yaml;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The description of the interface as a promise: every answer under {@code /api/v1} that a test gets must be one that it
 * describes, and its document must fit the schema that stands there.
 */
final class Contract {
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final JsonNode DESCRIPTION = description();
    private static final Map<String, Schema> SCHEMAS = new ConcurrentHashMap<>();

    private Contract() {}

    private static JsonNode description() {
        try (InputStream yaml = Objects.requireNonNull(Contract.class.getResourceAsStream("/api/openapi.yaml"))) {
            return JSON.valueToTree(new Yaml().load(yaml));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @throws AssertionError for an answer that is not described, or does not fit its schema */
    static void check(HttpResponse<String> answer) {
        String path = answer.request().uri().getPath();
        Optional<JsonNode> call = call(path)
                .map(each -> each.path(answer.request().method().toLowerCase(Locale.ROOT)))
                .filter(each -> !each.isMissingNode());
        if (call.isEmpty()) {
            return; // pages, and what nobody describes: refused by the rules of the platform
        }
        JsonNode responses = call.get().path("responses");
        JsonNode response = responses.path(String.valueOf(answer.statusCode()));
        JsonNode described =
                resolved(response.isMissingNode() && answer.statusCode() >= 400 ? responses.path("default") : response);
        String said = answer.request().method() + " " + path + ": " + answer.statusCode() + " ";
        if (described.isMissingNode()) {
            throw new AssertionError(said + "is not described.");
        }
        String type = answer.headers().firstValue("Content-Type").orElse("").split(";", 2)[0];
        JsonNode schema = described.path("content").path(type).path("schema");
        if (!schema.isMissingNode()) {
            List<Error> errors = schema(schema).validate(answer.body(), InputFormat.JSON);
            if (!errors.isEmpty()) {
                throw new AssertionError(said + errors + " in " + answer.body());
            }
        } else if (type.endsWith("json") && !described.path("content").has(type)) {
            throw new AssertionError(said + "brings " + type + ", which is not described.");
        }
    }

    private static Optional<JsonNode> call(String path) {
        JsonNode paths = DESCRIPTION.path("paths");
        return paths.propertyNames().stream()
                .filter(each -> path.matches(each.replaceAll("\\{[a-z]+}", "[0-9]+")))
                .findFirst()
                .map(paths::path);
    }

    private static JsonNode resolved(JsonNode node) {
        return node.has("$ref") ? DESCRIPTION.at(node.path("$ref").asString().substring(1)) : node;
    }

    private static Schema schema(JsonNode node) {
        return SCHEMAS.computeIfAbsent(node.toString(), any -> {
            ObjectNode whole = ((ObjectNode) node).deepCopy();
            whole.set("components", DESCRIPTION.path("components"));
            return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                    .getSchema(whole.toString(), InputFormat.JSON);
        });
    }
}
