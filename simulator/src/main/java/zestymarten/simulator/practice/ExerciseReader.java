package zestymarten.simulator.practice;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.JsonMembers;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.assembly.WireList;
import zestymarten.core.fault.SeededFault;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Problem;
import zestymarten.simulator.unit.Flaw;

/**
 * Reads an exercise from the files that ship with the room. What a flaw may be stands in {@link #flaw}; the assembly is a wire
 * list or an assembly document beside it; title and story stand in the language files under the exercise's id.
 */
final class ExerciseReader {
    private final JsonMembers root;
    private final List<Problem> problems;

    private ExerciseReader(JsonMembers root, List<Problem> problems) {
        this.root = root;
        this.problems = problems;
    }

    /**
     * The exercise of a file.
     *
     * @throws IllegalStateException if the file is missing or says something that an exercise does not
     */
    static Exercise read(String file) {
        List<Problem> problems = new ArrayList<>();
        Optional<Exercise> exercise =
                JsonMembers.read(text(file), problems).map(root -> new ExerciseReader(root, problems).exercise());
        if (!problems.isEmpty()) {
            throw new IllegalStateException(file + ": " + problems);
        }
        return exercise.orElseThrow();
    }

    /** What a file of the room says. */
    static String text(String file) {
        try (InputStream stream = ExerciseReader.class.getResourceAsStream(file)) {
            if (stream == null) {
                throw new IllegalStateException("The practice room lacks " + file + ".");
            }
            return new String(stream.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Exercise exercise() {
        String id = root.needed("id");
        Exercise exercise = new Exercise(
                id,
                (int) root.number("grade").orElseThrow(),
                root.needed("trade"),
                Message.of("exercise." + id.replace('-', '_')),
                Message.of("exercise_story." + id.replace('-', '_')),
                new Symptoms(pairs(root, "complaint", word -> constant(Symptoms.Behaviour.class, word))),
                assembly(root.needed("assembly")),
                pairs(root, "places", place -> place),
                root.objects("flaws").stream().map(ExerciseReader::flaw).toList(),
                root.texts("par"));
        root.done();
        return exercise;
    }

    private Assembly assembly(String file) {
        if (file.endsWith(".json")) {
            return AssemblyReader.read(text(file), problems)
                    .orElseThrow(() -> new IllegalStateException(file + ": " + problems));
        }
        String name = file.substring(0, file.indexOf('.'));
        AssemblyKind kind = constant(AssemblyKind.class, root.needed("assembly_kind"));
        return WireList.read(text(file)).assembly(name, kind, "", Map.of());
    }

    private static Flaw flaw(JsonMembers flaw) {
        String kind = flaw.needed("kind");
        Flaw read = switch (kind) {
            case "oxide" -> new Flaw.Oxide(Terminal.of(flaw.needed("contact")));
            case "loose" -> new Flaw.LooseAt(flaw.needed("wire"), flaw.needed("at"));
            case "weak_insulation" ->
                new Flaw.Weak(
                        between(flaw, 0),
                        between(flaw, 1),
                        number(flaw, "ohm"),
                        number(flaw, "absorption"),
                        number(flaw, "wet_share"));
            case "breaks_down" -> new Flaw.Breaks(between(flaw, 0), between(flaw, 1), number(flaw, "volts"));
            default -> new Flaw.Wired(fault(kind, flaw));
        };
        flaw.done();
        return read;
    }

    private static SeededFault fault(String kind, JsonMembers fault) {
        return switch (kind) {
            case "open" -> new SeededFault.Open(fault.needed("wire"));
            case "high_resistance" -> new SeededFault.High(fault.needed("wire"), number(fault, "ohm"));
            case "short" -> new SeededFault.Shorted(between(fault, 0), between(fault, 1), number(fault, "ohm"));
            case "moved" -> new SeededFault.Moved(pairs(fault, "ends", Terminal::of));
            case "part_open" -> new SeededFault.PartOpen(fault.needed("part"));
            case "part_value" -> new SeededFault.PartValue(fault.needed("part"), number(fault, "times"));
            case "part_stuck" -> new SeededFault.PartStuck(fault.needed("part"), fault.flag("closed"));
            default -> throw new IllegalStateException("'" + kind + "' is no kind of flaw.");
        };
    }

    private static Terminal between(JsonMembers flaw, int end) {
        return Terminal.of(flaw.texts("between").get(end));
    }

    private static double number(JsonMembers members, String name) {
        return members.number(name).orElseThrow();
    }

    private static <T> Map<String, T> pairs(JsonMembers members, String name, Function<String, T> value) {
        return members.textLists(name).stream()
                .collect(Collectors.toMap(pair -> pair.get(0), pair -> value.apply(pair.get(1))));
    }

    private static <T extends Enum<T>> T constant(Class<T> type, String word) {
        return Enum.valueOf(type, word.toUpperCase(Locale.ROOT));
    }
}
