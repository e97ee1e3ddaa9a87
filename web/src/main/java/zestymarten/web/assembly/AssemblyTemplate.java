package zestymarten.web.assembly;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.core.io.ClassPathResource;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Problem;
import zestymarten.web.platform.Words;

/** Assemblies to begin a new one from: usual wires and parts with made-up lengths and values, to be changed in the grid. */
enum AssemblyTemplate {
    EXTENSION_LEAD("extension-lead"),
    SPLICED_HARNESS("spliced-harness"),
    MOTOR("motor"),
    HEATER("heater"),
    RELAY_BOARD("relay-board");

    private final String code;

    AssemblyTemplate(String code) {
        this.code = code;
    }

    /** As written in an address. */
    public String code() {
        return code;
    }

    public String title() {
        return Words.say(this);
    }

    /** What it is made of, for the list. */
    public String help() {
        return Words.say(Message.of(this).code() + "_help");
    }

    /** The template of a code; empty for any other text. */
    static Optional<AssemblyTemplate> of(String code) {
        return Arrays.stream(values()).filter(each -> each.code.equals(code)).findFirst();
    }

    Assembly assembly() {
        List<Problem> problems = new ArrayList<>();
        return AssemblyReader.read(text(), problems)
                .orElseThrow(() -> new IllegalStateException("Template " + code + " cannot be read: " + problems));
    }

    private String text() {
        try {
            return new ClassPathResource("templates/" + code + ".json", AssemblyTemplate.class)
                    .getContentAsString(StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("Template " + code + " cannot be read.", e);
        }
    }
}
