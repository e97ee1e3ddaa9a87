package zestymarten.core.assembly;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Writes an assembly in the open format {@code zesty-marten/assembly}, version 1. Members that are not known are left out. */
public final class AssemblyJson {
    private static final JsonMapper MAPPER =
            JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

    private AssemblyJson() {}

    /** The whole design as indented JSON. */
    public static String write(Assembly assembly) {
        Map<String, Object> root = new LinkedHashMap<>();
        root.put("format", "zesty-marten/assembly");
        root.put("version", 1);
        root.put("name", assembly.name());
        root.put("kind", assembly.kind().code());
        root.put("note", assembly.note());
        root.put(
                "connectors",
                assembly.connectors().stream().map(AssemblyJson::connector).toList());
        root.put("joints", joints(assembly));
        root.put(
                "conductors",
                assembly.conductors().stream().map(AssemblyJson::conductor).toList());
        root.put(
                "components",
                assembly.components().stream().map(AssemblyJson::component).toList());
        root.put(
                "states",
                assembly.states().stream()
                        .map(state -> Map.of(
                                "id",
                                state.id(),
                                "closed",
                                state.closed().stream().sorted().toList()))
                        .toList());
        root.put(
                "frame",
                Map.of(
                        "bonded",
                        assembly.bonded().stream().sorted().map(Terminal::name).toList()));
        Map<String, Object> limits = limits(assembly.allowances());
        if (!limits.isEmpty()) {
            root.put("limits", limits);
        }
        return MAPPER.writeValueAsString(root);
    }

    private static Map<String, Object> limits(Allowances allowances) {
        Map<String, Object> members = new LinkedHashMap<>();
        put(members, "max_ohm", allowances.maxOhm());
        put(members, "heat_w", allowances.heatW());
        put(members, "drop_v", allowances.dropV());
        put(members, "round_ohm", allowances.roundOhm());
        return members;
    }

    /** Every joint of which something is known, then those that only conductors name. */
    private static List<Map<String, Object>> joints(Assembly assembly) {
        List<Map<String, Object>> joints = new ArrayList<>();
        Set<Terminal> known = new HashSet<>();
        for (Joint joint : assembly.joints()) {
            known.add(joint.terminal());
            Map<String, Object> members = new LinkedHashMap<>();
            members.put("id", joint.terminal().name());
            members.put("kind", joint.kind());
            members.put("probe", joint.probe());
            put(members, "max_ohm", joint.maxOhm());
            joints.add(members);
        }
        assembly.jointTerminals().stream()
                .filter(joint -> !known.contains(joint))
                .forEach(joint -> joints.add(Map.of("id", joint.name(), "kind", "splice")));
        return joints;
    }

    private static Map<String, Object> component(Component component) {
        Map<String, Object> members = new LinkedHashMap<>();
        members.put("id", component.id());
        members.put("kind", component.kind().code());
        members.put("a", component.a().name());
        members.put("b", component.b().name());
        put(members, "max_ohm", component.maxOhm());
        put(members, "ohm", component.ohm());
        put(members, "tolerance", component.tolerance());
        put(members, "r25_ohm", component.r25Ohm());
        put(members, "beta_k", component.betaK());
        put(members, "forward_v", component.forwardV());
        return members;
    }

    private static Map<String, Object> connector(Connector connector) {
        Map<String, Object> face = new LinkedHashMap<>();
        face.put("shape", connector.face().shape().code());
        face.put("rows", connector.face().rows());
        face.put("columns", connector.face().columns());
        Map<String, Object> members = new LinkedHashMap<>();
        members.put("id", connector.id());
        members.put("name", connector.name());
        put(members, connector.reach());
        members.put("face", face);
        members.put("pins", List.copyOf(connector.pins()));
        return members;
    }

    private static void put(Map<String, Object> members, Access reach) {
        if (!reach.place().isEmpty()) {
            members.put("place", reach.place());
        }
        reach.probing().ifPresent(probing -> members.put("probing", probing.code()));
        reach.matesWith().ifPresent(mate -> members.put("mates_with", mate));
        if (reach.minutes() > 0 || reach.harm() != Access.Harm.NONE) {
            members.put(
                    "access",
                    Map.of("minutes", reach.minutes(), "harm", reach.harm().code()));
        }
    }

    private static Map<String, Object> conductor(Conductor conductor) {
        Map<String, Object> members = new LinkedHashMap<>();
        members.put("id", conductor.id());
        members.put("from", conductor.from().name());
        members.put("to", conductor.to().name());
        conductor.colour().ifPresent(colour -> members.put("colour", colour.text()));
        conductor.function().ifPresent(function -> members.put("function", function));
        put(members, "length_m", conductor.lengthM());
        put(members, "area_mm2", conductor.areaMm2());
        members.put("metal", conductor.metal().code());
        members.put("class", classMember(conductor.strandClass()));
        conductor.zone().ifPresent(zone -> members.put("zone", zone));
        put(members, "current_a", conductor.current());
        members.put("spare", conductor.spare());
        put(members, "max_ohm", conductor.maxOhm());
        put(members, "min_ohm", conductor.minOhm());
        conductor.note().ifPresent(note -> members.put("note", note));
        return members;
    }

    /** The classes of IEC 60228 are numbers in JSON, {@code vehicle} is a text. */
    private static Object classMember(StrandClass strandClass) {
        return strandClass == StrandClass.VEHICLE ? strandClass.code() : Integer.valueOf(strandClass.code());
    }

    private static void put(Map<String, Object> members, String name, OptionalDouble value) {
        value.ifPresent(number -> members.put(name, number));
    }
}
