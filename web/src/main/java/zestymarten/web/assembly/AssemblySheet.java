package zestymarten.web.assembly;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Colour;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Joint;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.limit.Limit;
import zestymarten.core.limit.LimitRules;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.web.platform.Times;
import zestymarten.web.platform.Words;

/**
 * A revision on paper: every wire with what it may read and why, every joint, part, position and connector.
 *
 * @param made which revision it is, when and by whom it was made
 * @param temperature for which the limits hold
 */
public record AssemblySheet(
        String name,
        String made,
        String temperature,
        List<WireLineOnPaper> wires,
        List<JointOnPaper> joints,
        List<PartOnPaper> parts,
        List<PositionOnPaper> positions,
        List<ConnectorOnPaper> connectors) {

    public AssemblySheet {
        wires = List.copyOf(wires);
        joints = List.copyOf(joints);
        parts = List.copyOf(parts);
        positions = List.copyOf(positions);
        connectors = List.copyOf(connectors);
    }

    /** A wire: where it goes, what it is, what it may read at most, and where that comes from. */
    public record WireLineOnPaper(
            String wire,
            String from,
            String to,
            String colour,
            String function,
            String size,
            String limit,
            String source) {}

    /** A joint: the wires that meet there, and whether a probe reaches it. */
    public record JointOnPaper(String joint, String kind, String wires, String reach) {}

    /** A position of switches and relays, and what is closed in it. */
    public record PositionOnPaper(String position, String closed) {}

    /** A part between two terminals. */
    public record PartOnPaper(String part, String kind, String a, String b) {}

    /** A connector and its cavities. */
    public record ConnectorOnPaper(String connector, String name, String layout, String pins) {}

    static AssemblySheet of(Revision revision) {
        Assembly assembly = revision.assembly();
        LimitRules limits = new LimitRules(AssemblyViews.SHOWN_AT_C, assembly.allowances(), Map.of());
        EngineeringFormat.FigureColumn column = EngineeringFormat.column(
                assembly.conductors().stream()
                        .mapToDouble(each -> limits.of(each).high().value())
                        .max()
                        .orElse(1),
                "Ω");
        return new AssemblySheet(
                assembly.name(),
                Words.say(
                        "assembly_sheet.revision_by",
                        revision.number(),
                        Times.minute(revision.createdAt()),
                        revision.createdBy()),
                EngineeringFormat.figure(AssemblyViews.SHOWN_AT_C) + " °C",
                assembly.conductors().stream()
                        .map(each -> wire(each, limits.of(each), column))
                        .toList(),
                joints(assembly),
                assembly.components().stream().map(AssemblySheet::part).toList(),
                positions(assembly),
                assembly.connectors().stream().map(AssemblySheet::connector).toList());
    }

    private static WireLineOnPaper wire(Conductor wire, Limit limit, EngineeringFormat.FigureColumn column) {
        return new WireLineOnPaper(
                wire.id(),
                wire.from().name(),
                wire.to().name(),
                wire.colour().map(Colour::text).orElse(""),
                wire.function().orElse(wire.spare() ? Words.say("assembly_sheet.spare") : ""),
                size(wire),
                column.text(limit.high().value()),
                Words.say(
                        limit.by().source().isEmpty()
                                ? limit.rule().words()
                                : limit.by().source()));
    }

    private static String size(Conductor wire) {
        List<String> size = new ArrayList<>();
        figure(wire.lengthM(), "m").ifPresent(size::add);
        figure(wire.areaMm2(), "mm²").ifPresent(size::add);
        return String.join(", ", size);
    }

    private static Optional<String> figure(OptionalDouble value, String unit) {
        return value.stream()
                .mapToObj(each -> EngineeringFormat.figure(each) + " " + unit)
                .findFirst();
    }

    /** Every point where wires meet beside a connector, and every bond to the frame. */
    private static List<JointOnPaper> joints(Assembly assembly) {
        Map<Terminal, Joint> known = assembly.joints().stream()
                .collect(Collectors.toMap(Joint::terminal, each -> each, (one, other) -> one));
        Stream<JointOnPaper> joints = assembly.jointTerminals().stream().map(point -> {
            Optional<Joint> joint = Optional.ofNullable(known.get(point));
            boolean reached = joint.filter(Joint::probe).isPresent();
            return new JointOnPaper(
                    point.name(),
                    joint.map(Joint::kind).orElseGet(() -> Words.say("assembly_sheet.joint")),
                    wiresAt(assembly, point),
                    reached ? Words.say("assembly_sheet.probe_reaches") : Words.say("assembly_sheet.no_probe_reaches"));
        });
        Stream<JointOnPaper> bonds = assembly.terminals().stream()
                .filter(assembly.bonded()::contains)
                .map(pin -> new JointOnPaper(
                        pin.name(), Words.say("assembly_sheet.bonded_frame"), wiresAt(assembly, pin), ""));
        return Stream.concat(joints, bonds).toList();
    }

    private static String wiresAt(Assembly assembly, Terminal point) {
        return assembly.conductors().stream()
                .filter(wire -> wire.from().equals(point) || wire.to().equals(point))
                .map(Conductor::id)
                .collect(Collectors.joining(" "));
    }

    /** The positions by name; none where nothing is ever closed. */
    private static List<PositionOnPaper> positions(Assembly assembly) {
        return assembly.states().stream().allMatch(each -> each.closed().isEmpty())
                ? List.of()
                : assembly.states().stream()
                        .map(each -> new PositionOnPaper(
                                each.id(),
                                each.closed().isEmpty()
                                        ? Words.say("assembly_sheet.nothing_closed")
                                        : Words.say(
                                                "assembly_sheet.closed",
                                                each.closed().stream().sorted().collect(Collectors.joining(", ")))))
                        .toList();
    }

    private static PartOnPaper part(Component part) {
        return new PartOnPaper(
                part.id(), Words.say(part.kind()), part.a().name(), part.b().name());
    }

    private static ConnectorOnPaper connector(Connector connector) {
        return new ConnectorOnPaper(
                connector.id(),
                connector.name(),
                connector.face().text(),
                connector.terminals().stream().map(each -> each.pin()).collect(Collectors.joining(" ")));
    }
}
