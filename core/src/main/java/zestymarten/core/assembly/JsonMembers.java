package zestymarten.core.assembly;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.PlainText;
import zestymarten.core.quantity.Problem;

/**
 * The members of a JSON object, read strictly: each of a wrong form and each that nobody asked for becomes a
 * {@link Problem} with its path, such as {@code conductors[3].length_m}. All problems are gathered; reading goes on with
 * nothing in the place of what is wrong.
 */
public final class JsonMembers {
    /** The largest document that is read, in characters. */
    public static final int MAX_CHARACTERS = 16_000_000;

    /** The longest text of a member, in characters. */
    public static final int LONGEST_TEXT = 500;

    /** Nobody reads more problems than these; what comes after them is not gathered. */
    private static final int MAX_PROBLEMS = 100;

    private static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .build();

    private final JsonNode node;
    private final String path;
    private final List<Problem> problems;
    private final boolean stored;
    private final Set<String> asked = new HashSet<>();

    private JsonMembers(JsonNode node, String path, List<Problem> problems, boolean stored) {
        this.node = node;
        this.path = path;
        this.problems = problems;
        this.stored = stored;
    }

    /** The members of a document; empty, with a problem, if it is no JSON object. */
    public static Optional<JsonMembers> read(String json, List<Problem> problems) {
        return read(json, problems, false);
    }

    /** The same of a document that was taken in before: how long its texts may be was decided then. */
    static Optional<JsonMembers> readStored(String json, List<Problem> problems) {
        return read(json, problems, true);
    }

    private static Optional<JsonMembers> read(String json, List<Problem> problems, boolean stored) {
        if (json.length() > MAX_CHARACTERS) {
            problems.add(new Problem("", Message.of("json_members.document_has_more_than", MAX_CHARACTERS)));
            return Optional.empty();
        }
        try {
            JsonNode node = MAPPER.readTree(json);
            if (node.isObject()) {
                return Optional.of(new JsonMembers(node, "", problems, stored));
            }
            problems.add(new Problem("", Message.of("json_members.expected_json_object")));
        } catch (JacksonException e) {
            Message where = e.getLocation() == null
                    ? Message.NONE
                    : Message.of("json_members.line", e.getLocation().getLineNr());
            problems.add(new Problem("", Message.of("json_members.not_json", where, e.getOriginalMessage())));
        }
        return Optional.empty();
    }

    /** Reports a problem with a member. */
    public void problem(String name, Message what) {
        if (problems.size() < MAX_PROBLEMS) {
            problems.add(new Problem(path(name), what));
        }
    }

    private String path(String name) {
        return path.isEmpty() ? name : name.isEmpty() ? path : path + "." + name;
    }

    private Optional<JsonNode> member(String name) {
        asked.add(name);
        JsonNode value = node.get(name);
        return value == null || value.isNull() ? Optional.empty() : Optional.of(value);
    }

    private void wrong(String name, JsonNode read, Message expected) {
        if (problems.size() == MAX_PROBLEMS) {
            return; // nor made into text: a million of them would cost more than the reading
        }
        String text = read.isValueNode() ? read.asString() : read.toString();
        String shown = text.length() > 40 ? text.substring(0, 40) + "..." : text;
        problem(name, Message.of("json_members.not_accepted_expected", shown, expected));
    }

    public Optional<String> text(String name) {
        Optional<JsonNode> value = member(name);
        if (value.isPresent() && !value.get().isString()) {
            wrong(name, value.get(), Message.of("json_members.text"));
            return Optional.empty();
        }
        return value.map(each -> plain(name, each.asString()));
    }

    /** A text as people write it; what cannot be printed is a problem, and what is too long for any sheet. */
    private String plain(String name, String text) {
        if (stored) {
            return PlainText.of(text);
        }
        if (!PlainText.isPlain(text)) {
            problem(name, Message.of("json_members.there_control_character_this"));
            return PlainText.of(text);
        }
        if (text.length() > LONGEST_TEXT) {
            problem(name, Message.of("json_members.this_text_has_characters", text.length(), LONGEST_TEXT));
            return text.substring(0, LONGEST_TEXT);
        }
        return text;
    }

    /** A text that must be there. */
    public String needed(String name) {
        Optional<String> text = text(name);
        if (text.isEmpty() && member(name).isEmpty()) {
            problem(name, Message.of("json_members.expected_text_missing"));
        }
        return text.orElse("");
    }

    /** A finite number; numbers written as texts are refused. */
    public OptionalDouble number(String name) {
        Optional<JsonNode> value = member(name);
        if (value.isEmpty()) {
            return OptionalDouble.empty();
        }
        double number = figure(value.get());
        if (!Double.isFinite(number)) {
            wrong(name, value.get(), Message.of("json_members.number"));
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(number);
    }

    /** Not a number for what is none; an integer of any length has a size, if only an infinite one. */
    private static double figure(JsonNode value) {
        if (value.isIntegralNumber()) {
            return value.bigIntegerValue().doubleValue();
        }
        return value.isNumber() ? value.asDouble() : Double.NaN;
    }

    public boolean flag(String name) {
        Optional<JsonNode> value = member(name);
        if (value.isPresent() && !value.get().isBoolean()) {
            wrong(name, value.get(), Message.of("json_members.true_or_false"));
        }
        return value.filter(JsonNode::isBoolean).map(JsonNode::asBoolean).orElse(false);
    }

    /** A text or a whole number, as text: classes of conductors are both. */
    public Optional<String> code(String name) {
        Optional<JsonNode> value = member(name);
        if (value.isPresent() && !value.get().isString() && !value.get().isIntegralNumber()) {
            wrong(name, value.get(), Message.of("json_members.text_or_whole_number"));
            return Optional.empty();
        }
        return value.map(each -> plain(name, each.asString()));
    }

    public Optional<JsonMembers> object(String name) {
        Optional<JsonNode> value = member(name);
        if (value.isPresent() && !value.get().isObject()) {
            wrong(name, value.get(), Message.of("json_members.object"));
            return Optional.empty();
        }
        return value.map(child -> new JsonMembers(child, path(name), problems, stored));
    }

    /** The objects of a list; a missing list is empty. */
    public List<JsonMembers> objects(String name) {
        List<JsonMembers> objects = new ArrayList<>();
        List<JsonNode> elements = elements(name);
        for (int i = 0; i < elements.size(); i++) {
            String element = name + "[" + i + "]";
            if (elements.get(i).isObject()) {
                objects.add(new JsonMembers(elements.get(i), path(element), problems, stored));
            } else {
                wrong(element, elements.get(i), Message.of("json_members.object"));
            }
        }
        return objects;
    }

    /** The texts of a list; a missing list is empty. */
    public List<String> texts(String name) {
        return texts(name, elements(name));
    }

    private List<String> texts(String name, List<JsonNode> elements) {
        List<String> texts = new ArrayList<>();
        for (int i = 0; i < elements.size(); i++) {
            if (elements.get(i).isString()) {
                texts.add(plain(name + "[" + i + "]", elements.get(i).asString()));
            } else {
                wrong(name + "[" + i + "]", elements.get(i), Message.of("json_members.text"));
            }
        }
        return texts;
    }

    /** A list of lists of texts; a missing list is empty. */
    public List<List<String>> textLists(String name) {
        List<List<String>> lists = new ArrayList<>();
        List<JsonNode> elements = elements(name);
        for (int i = 0; i < elements.size(); i++) {
            String element = name + "[" + i + "]";
            if (elements.get(i).isArray()) {
                lists.add(texts(element, List.copyOf(elements.get(i).values())));
            } else {
                wrong(element, elements.get(i), Message.of("json_members.list_texts"));
            }
        }
        return lists;
    }

    private List<JsonNode> elements(String name) {
        Optional<JsonNode> value = member(name);
        if (value.isPresent() && !value.get().isArray()) {
            wrong(name, value.get(), Message.of("json_members.list"));
            return List.of();
        }
        return value.map(list -> List.copyOf(list.values())).orElse(List.of());
    }

    /** Reports every member that nobody asked for. To be called when all are read. */
    public void done() {
        for (String name : node.propertyNames()) {
            if (problems.size() == MAX_PROBLEMS) {
                return;
            }
            if (!asked.contains(name)) {
                problem(
                        name,
                        Message.of(
                                "json_members.this_member_not_known",
                                String.join(", ", asked.stream().sorted().toList())));
            }
        }
    }
}
