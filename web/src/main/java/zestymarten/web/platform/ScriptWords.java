package zestymarten.web.platform;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.util.DigestUtils;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tools.jackson.databind.json.JsonMapper;

/**
 * The sentences that scripts write, as a script of its own for each language. Its address changes with its content, so that a
 * browser keeps it and has it without a network, as it has the scripts themselves.
 */
@Controller("scriptWords")
final class ScriptWords {
    private static final String ADDRESS = "/words.js";
    private static final Duration KEPT = Duration.ofDays(365);
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Map<Locale, Script> scripts = new ConcurrentHashMap<>();

    private record Script(String content, String digest) {}

    /** Where the sentences of a language are, for the frame of every page. */
    public String address(Locale language) {
        return ADDRESS + "?language=" + language.toLanguageTag() + "&version="
                + scripts.computeIfAbsent(language, ScriptWords::written).digest();
    }

    /** The sentences of a language; English where there is none of it. */
    @GetMapping(path = ADDRESS, produces = "text/javascript")
    ResponseEntity<String> words(@RequestParam(defaultValue = "") String language) {
        Script script = scripts.computeIfAbsent(Languages.of(language), ScriptWords::written);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/javascript;charset=UTF-8"))
                .cacheControl(CacheControl.maxAge(KEPT).cachePublic().immutable())
                .body(script.content());
    }

    private static Script written(Locale language) {
        String content = "window.martenWords = " + JSON.writeValueAsString(Words.room("script", language)) + ";\n";
        return new Script(content, DigestUtils.md5DigestAsHex(content.getBytes(StandardCharsets.UTF_8)));
    }
}
