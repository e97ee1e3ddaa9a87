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
import zestymarten.core.quantity.Problem;

/** Assemblies to begin a new one from: usual wires and parts with made-up lengths and values, to be changed in the grid. */
enum AssemblyTemplate {
    EXTENSION_LEAD("extension-lead", "Extension lead", "three cores from a plug to a socket"),
    SPLICED_HARNESS("spliced-harness", "Harness with splices", "one supply and one return for two lamps"),
    MOTOR("motor", "Three-phase motor", "three windings in star behind a terminal box, frame bonded"),
    HEATER("heater", "Heater with sensor", "a heating element and an NTC sensor in one plug"),
    RELAY_BOARD("relay-board", "Relay board", "coil with diode, fuse and contact, at rest and operated");

    private final String code;
    private final String title;
    private final String help;

    AssemblyTemplate(String code, String title, String help) {
        this.code = code;
        this.title = title;
        this.help = help;
    }

    /** As written in an address. */
    public String code() {
        return code;
    }

    public String title() {
        return title;
    }

    /** What it is made of, for the list. */
    public String help() {
        return help;
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
