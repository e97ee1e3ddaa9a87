package zestymarten.web.assembly;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import org.springframework.util.MultiValueMap;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.Awg;
import zestymarten.core.assembly.CavityLayout;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Metal;
import zestymarten.core.assembly.StraightThrough;
import zestymarten.core.assembly.StrandClass;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.assembly.WireList;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.Problem;
import zestymarten.web.platform.Refusal;

/** What the forms for an assembly send, read field by field so that every fault is reported with its place. */
record AssemblyForm(MultiValueMap<String, String> fields) {
    private static final String FACE = "face-";

    String text(String field) {
        return Optional.ofNullable(fields.getFirst(field)).orElse("").strip();
    }

    /** Whether the form itself has a field for that connector's face, so that the preview need not offer one. */
    boolean asksForFaceOf(String connector) {
        return List.of(text("known").split(" ")).contains(connector);
    }

    /** What was typed for that connector's face. */
    String face(String connector) {
        return text(FACE + connector);
    }

    /** Each connector's face as the form shows it: empty for the line that its pins in use make by themselves. */
    static Map<String, String> faces(Assembly assembly) {
        Set<Terminal> empty = Set.copyOf(assembly.emptyCavities());
        Map<String, String> faces = new HashMap<>();
        for (Connector connector : assembly.connectors()) {
            boolean byItself = connector.face().shape() == CavityLayout.Shape.LINE
                    && connector.terminals().stream().noneMatch(empty::contains);
            faces.put(connector.id(), byItself ? "" : connector.face().text());
        }
        return faces;
    }

    /** The wiring that a pasted list describes. */
    Assembly fromList() {
        WireList list =
                WireList.read(Optional.ofNullable(fields.getFirst("list")).orElse(""));
        List<Problem> problems = new ArrayList<>(list.problems());
        String name = name(problems);
        AssemblyKind kind = kind(problems);
        Map<String, CavityLayout> faces = faces(problems);
        if (!problems.isEmpty()) {
            throw new Refusal(problems);
        }
        return assembled(name, kind, list.conductors(), faces);
    }

    /** The wiring that the quick form describes. */
    Assembly straightThrough() {
        List<Problem> problems = new ArrayList<>();
        String name = name(problems);
        OptionalInt cores = whole("cores", problems);
        StraightThrough cable = new StraightThrough(
                cores.orElse(1),
                text("from"),
                text("to"),
                number("length_m", problems),
                area(problems),
                Metal.of(text("metal").isEmpty() ? "copper" : text("metal")).orElse(Metal.COPPER),
                StrandClass.of(text("class").isEmpty() ? "5" : text("class")).orElse(StrandClass.FIVE),
                number("current_a", problems),
                text("colours"));
        problems.addAll(cable.problems());
        if (!problems.isEmpty()) {
            throw new Refusal(problems);
        }
        return assembled(name, AssemblyKind.CABLE, cable.conductors(), Map.of());
    }

    private Assembly assembled(
            String name, AssemblyKind kind, List<Conductor> conductors, Map<String, CavityLayout> faces) {
        try {
            return Assembly.of(name, kind, text("note"), conductors, faces);
        } catch (NotAccepted e) {
            throw new Refusal("", e.what());
        }
    }

    private String name(List<Problem> problems) {
        String name = text("name");
        if (name.isEmpty() || name.length() > 120) {
            problems.add(new Problem("name", Message.of("assembly_form.give_assembly_name_characters")));
        }
        return name;
    }

    private AssemblyKind kind(List<Problem> problems) {
        Optional<AssemblyKind> kind =
                text("kind").isEmpty() ? Optional.of(AssemblyKind.CABLE) : AssemblyKind.of(text("kind"));
        if (kind.isEmpty()) {
            problems.add(new Problem("kind", Message.of("assembly_form.not_accepted_expected_harness", text("kind"))));
        }
        return kind.orElse(AssemblyKind.CABLE);
    }

    private Map<String, CavityLayout> faces(List<Problem> problems) {
        Map<String, CavityLayout> faces = new HashMap<>();
        for (String field : fields.keySet()) {
            if (field.startsWith(FACE) && !text(field).isEmpty()) {
                Optional<CavityLayout> face = CavityLayout.parse(text(field));
                if (face.isPresent()) {
                    faces.put(field.substring(FACE.length()), face.get());
                } else {
                    problems.add(new Problem(
                            field.substring(FACE.length()),
                            Message.of("assembly_form.not_accepted_expected_number", text(field))));
                }
            }
        }
        return faces;
    }

    private OptionalInt whole(String field, List<Problem> problems) {
        if (text(field).matches("[0-9]{1,5}")) {
            return OptionalInt.of(Integer.parseInt(text(field)));
        }
        problems.add(new Problem(field, Message.of("assembly_form.not_accepted_expected_whole", text(field))));
        return OptionalInt.empty();
    }

    private OptionalDouble number(String field, List<Problem> problems) {
        String typed = text(field);
        if (typed.isEmpty()) {
            return OptionalDouble.empty();
        }
        if (typed.matches("-?[0-9]{1,9}(?:[.,][0-9]{1,9})?")) {
            return OptionalDouble.of(Double.parseDouble(typed.replace(',', '.')));
        }
        problems.add(new Problem(field, Message.of("assembly_form.not_accepted_expected_number_2", typed)));
        return OptionalDouble.empty();
    }

    /** A section in mm², or a gauge written as AWG 20. */
    private OptionalDouble area(List<Problem> problems) {
        String typed = text("area_mm2");
        if (typed.toLowerCase(java.util.Locale.ROOT).startsWith("awg")) {
            OptionalInt gauge = Awg.parse(typed);
            if (gauge.isPresent()) {
                return OptionalDouble.of(Awg.areaMm2(gauge.getAsInt()));
            }
        }
        return number("area_mm2", problems);
    }
}
