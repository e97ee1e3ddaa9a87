package zestymarten.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import com.ibm.icu.text.MessagePattern;
import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Every code has its words, every word its use, and a sentence has as many places as it is given arguments. */
class WordsTest {
    private static final Path MESSAGES = Path.of("src/main/resources/messages");
    private static final List<Path> SOURCES =
            List.of(Path.of("../core/src/main/java"), Path.of("../simulator/src/main/java"), Path.of("src/main/java"));
    private static final Path TEMPLATES = Path.of("src/main/resources/templates");
    private static final Pattern LITERAL = Pattern.compile("\"([a-z][a-z0-9_]*(?:\\.[a-z0-9_]+)+)\"");
    private static final Pattern CALL =
            Pattern.compile("(?:Message\\.of|Words\\.say|new NotAccepted)\\(\\s*\"([a-z][a-z0-9_.]+)\"(?=\\s*[,)])");
    private static final Pattern IN_PAGE = Pattern.compile("#\\{([a-z][a-z0-9_.]+)([(}])");
    private static final Path SCRIPTS = Path.of("src/main/resources/static/scripts");
    private static final Pattern IN_SCRIPT = Pattern.compile("\\b(?:say|words)\\(\\s*\"(script\\.[a-z0-9_]+)\"");
    private static final Pattern PROSE_OF_SCRIPT =
            Pattern.compile("[\"`](?:[^\"`\\\\\n]|\\\\.)*[a-zA-Z]{2,} [a-z]{2,} [a-z]{2,}(?:[^\"`\\\\\n]|\\\\.)*[\"`]");
    private static final Pattern ENUM = Pattern.compile("\\benum (\\w+)[^{]*\\{");
    private static final Pattern CONSTANT = Pattern.compile("(?m)^\\s*([A-Z][A-Z0-9_]*)\\s*(?:[(,;{]|$)");
    private static final Pattern PROSE =
            Pattern.compile("\"(?:[^\"\\\\]|\\\\.)*[a-z]{2,} [a-z]{2,} [a-z]{2,}(?:[^\"\\\\]|\\\\.)*\"");
    private static final Pattern MEANT_FOR_US = Pattern.compile(
            "Exception\\(|Error\\(|LOG\\.|super\\(|@\\w+\\(|require(?:d)?\\(|above\\(|mustBe\\(|selectAll");
    /** Codes as the database holds them, names of patterns in the study, and what is no sentence. */
    private static final List<String> STORED = List.of(
            "on the bench",
            "pin stands back",
            "linked wrong way",
            "than drawn",
            "where version is not null",
            "where it lives",
            "simulated insulation tester",
            " ships with the application.");

    /** Sentences of one page, or of one thing said aloud, whose codes are put together where they are used. */
    private static final List<String> PUT_TOGETHER = List.of(
            "check.",
            "speech.",
            "metal.",
            "metal_title.",
            "table_column.",
            "insulation_limit.row_",
            "lead_verdict.",
            "colour.",
            "finding_kind.",
            "trade.",
            "exercise.",
            "exercise_story.");

    @Test
    void everySentenceCanBeReadByTheLibrary() throws IOException {
        for (Map.Entry<String, String> each : words().entrySet()) {
            assertThat(new MessagePattern(each.getValue()).countParts())
                    .as(each.getKey())
                    .isPositive();
            assertThat(each.getValue()).as(each.getKey()).doesNotContain("  ").isNotBlank();
        }
    }

    @Test
    void everyRoomIsListedAndHasItsFile() throws IOException {
        assertThat(files().stream().map(each -> each.getFileName().toString().replace(".properties", "")))
                .containsExactlyInAnyOrderElementsOf(Rooms.NAMES);
    }

    @Test
    void everyCodeThatIsUsedHasWords() throws IOException {
        Map<String, String> words = words();
        List<String> missing = new ArrayList<>();
        for (String source : sources()) {
            CALL.matcher(source)
                    .results()
                    .map(each -> each.group(1))
                    .filter(code -> !words.containsKey(code))
                    .forEach(missing::add);
        }
        for (String page : pages()) {
            IN_PAGE.matcher(page)
                    .results()
                    .map(each -> each.group(1))
                    .filter(code -> !words.containsKey(code))
                    .forEach(missing::add);
        }
        for (String script : scripts()) {
            IN_SCRIPT
                    .matcher(script)
                    .results()
                    .map(each -> each.group(1))
                    .filter(code -> !words.containsKey(code))
                    .forEach(missing::add);
        }
        assertThat(missing).isEmpty();
    }

    @Test
    void everyWordIsUsed() throws IOException {
        Set<String> used = new HashSet<>();
        Set<String> families = new HashSet<>();
        for (String source : sources()) {
            LITERAL.matcher(source).results().map(each -> each.group(1)).forEach(used::add);
            ENUM.matcher(source).results().map(each -> snake(each.group(1))).forEach(families::add);
        }
        for (String page : pages()) {
            IN_PAGE.matcher(page).results().map(each -> each.group(1)).forEach(used::add);
        }
        for (String script : scripts()) {
            IN_SCRIPT.matcher(script).results().map(each -> each.group(1)).forEach(used::add);
        }
        assertThat(words().keySet())
                .filteredOn(code -> !used.contains(code)
                        && !families.contains(code.substring(0, code.indexOf('.')))
                        && PUT_TOGETHER.stream().noneMatch(code::startsWith))
                .isEmpty();
    }

    @Test
    void aFamilyOfConstantsThatHasWordsHasThemAll() throws IOException {
        Map<String, String> words = words();
        List<String> missing = new ArrayList<>();
        for (String source : sources()) {
            for (MatchResult each : ENUM.matcher(source).results().toList()) {
                String family = snake(each.group(1));
                List<String> codes = constants(source.substring(each.end())).stream()
                        .map(constant -> family + "." + constant.toLowerCase(Locale.ROOT))
                        .toList();
                if (codes.stream().anyMatch(words::containsKey)) {
                    codes.stream().filter(code -> !words.containsKey(code)).forEach(missing::add);
                }
            }
        }
        assertThat(missing).isEmpty();
    }

    @Test
    void aSentenceHasAsManyPlacesAsItIsGivenArguments() throws IOException {
        Map<String, String> words = words();
        Map<String, String> wrong = new TreeMap<>();
        for (String source : sources()) {
            for (MatchResult each : CALL.matcher(source).results().toList()) {
                int given = arguments(source, each.end());
                String pattern = words.getOrDefault(each.group(1), "");
                if (places(pattern) != given) {
                    wrong.put(each.group(1), "given " + given + ": " + pattern);
                }
            }
        }
        for (String script : scripts()) {
            for (MatchResult each : IN_SCRIPT.matcher(script).results().toList()) {
                int given = arguments(script, each.end());
                String pattern = words.getOrDefault(each.group(1), "");
                if (places(pattern) != given) {
                    wrong.put(each.group(1), "given " + given + ": " + pattern);
                }
            }
        }
        assertThat(wrong).isEmpty();
    }

    /** A script only fills in places: forms that depend on a number are worded so that they need none. */
    @Test
    void aSentenceOfAScriptNeedsNoForms() throws IOException {
        assertThat(words()).allSatisfy((code, pattern) -> {
            if (code.startsWith("script.")) {
                assertThat(pattern).as(code).doesNotContain("plural", "select");
            }
        });
    }

    @Test
    void noScriptHasProseOfItsOwn() throws IOException {
        List<String> prose = new ArrayList<>();
        for (String script : scripts()) {
            String plain = script.replaceAll("(?s)/\\*.*?\\*/", "").replaceAll("(?m)(^|\\s)//.*$", "");
            PROSE_OF_SCRIPT.matcher(plain).results().map(MatchResult::group).forEach(prose::add);
        }
        assertThat(prose).filteredOn(each -> !each.startsWith("\"say ")).isEmpty();
    }

    /** Codes and figures inside, words at the edge: what is left are faults of the program, which no person is meant to see. */
    @Test
    void neitherTheCoreNorAPageHasProseOfItsOwn() throws IOException {
        List<String> prose = new ArrayList<>();
        for (Path root : List.of(Path.of("../core/src/main/java"), Path.of("src/main/java"))) {
            for (String source : read(root, ".java")) {
                if (source.contains("package zestymarten.web.demo;") || source.contains("class FormerSubjects")) {
                    continue; // made-up names of made-up things; what earlier programs stored
                }
                String plain = source.replaceAll("(?s)/\\*.*?\\*/", "").replaceAll("(?m)\\s//.*$", "");
                for (String statement : plain.split("[;{}]\\s*\n")) {
                    if (!MEANT_FOR_US.matcher(statement).find()) {
                        PROSE.matcher(statement)
                                .results()
                                .map(MatchResult::group)
                                .forEach(prose::add);
                    }
                }
            }
        }
        assertThat(prose)
                .filteredOn(each -> STORED.stream().noneMatch(each::contains))
                .isEmpty();
    }

    /** How many arguments follow the code in a call, by the commas at its own depth. */
    private static int arguments(String source, int from) {
        int depth = 1;
        int commas = 0;
        boolean text = false;
        for (int at = from; depth > 0; at++) {
            char each = source.charAt(at);
            if (each == '"' && source.charAt(at - 1) != '\\') {
                text = !text;
            } else if (!text) {
                depth += "([{".indexOf(each) >= 0 ? 1 : ")]}".indexOf(each) >= 0 ? -1 : 0;
                commas += each == ',' && depth == 1 ? 1 : 0;
            }
        }
        return commas;
    }

    private static int places(String pattern) {
        int maximum = -1;
        MessagePattern parsed = new MessagePattern(pattern);
        for (int i = 0; i < parsed.countParts(); i++) {
            if (parsed.getPart(i).getType() == MessagePattern.Part.Type.ARG_NUMBER) {
                maximum = Math.max(maximum, parsed.getPart(i).getValue());
            }
        }
        return maximum + 1;
    }

    private static List<String> constants(String body) {
        String plain = body.replaceAll("(?s)/\\*.*?\\*/", "")
                .replaceAll("//.*", "")
                .replaceAll("\"(?:[^\"\\\\]|\\\\.)*\"", "");
        int end = plain.indexOf(';');
        int close = plain.indexOf('}');
        String list = plain.substring(0, end < 0 || (close >= 0 && close < end) ? close : end) + ";";
        Matcher matcher = CONSTANT.matcher(list.replaceAll("\\([^()]*(?:\\([^()]*\\)[^()]*)*\\)", ""));
        return matcher.results().map(each -> each.group(1)).toList();
    }

    private static String snake(String name) {
        return name.replaceAll("([a-z0-9])([A-Z])", "$1_$2").toLowerCase(Locale.ROOT);
    }

    private static List<Path> files() throws IOException {
        try (Stream<Path> files = Files.list(MESSAGES)) {
            return files.toList();
        }
    }

    private static Map<String, String> words() throws IOException {
        Map<String, String> words = new HashMap<>();
        for (Path file : files()) {
            Properties room = new Properties();
            try (Reader reader = Files.newBufferedReader(file)) {
                room.load(reader);
            }
            room.forEach((code, pattern) -> {
                assertThat(words.put((String) code, (String) pattern))
                        .as("%s stands twice", code)
                        .isNull();
            });
        }
        return words;
    }

    private static List<String> sources() throws IOException {
        List<String> sources = new ArrayList<>();
        for (Path root : SOURCES) {
            sources.addAll(read(root, ".java"));
        }
        return sources;
    }

    private static List<String> pages() throws IOException {
        return read(TEMPLATES, ".html");
    }

    /** The scripts that are ours; those of others stand in a folder of theirs. */
    private static List<String> scripts() throws IOException {
        List<String> texts = new ArrayList<>();
        try (Stream<Path> files = Files.list(SCRIPTS)) {
            for (Path path :
                    files.filter(each -> each.toString().endsWith(".js")).toList()) {
                texts.add(Files.readString(path));
            }
        }
        return texts;
    }

    private static List<String> read(Path root, String ending) throws IOException {
        List<String> texts = new ArrayList<>();
        try (Stream<Path> paths = Files.walk(root)) {
            for (Path path :
                    paths.filter(each -> each.toString().endsWith(ending)).toList()) {
                texts.add(Files.readString(path).replace("','", "'c'"));
            }
        }
        return texts;
    }
}
