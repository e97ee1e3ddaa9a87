package zestymarten.web.assembly;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.Colour;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.limit.Limit;
import zestymarten.core.limit.LimitRules;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.Message;
import zestymarten.web.drawing.AssemblyDrawing;
import zestymarten.web.drawing.FaceDrawing;
import zestymarten.web.platform.ChoiceView;
import zestymarten.web.platform.Times;
import zestymarten.web.platform.Words;

/** Puts an assembly into words and drawings for its page. */
@Component
class AssemblyViews {
    /** The temperature at which limits are shown where no run gives another. */
    static final double SHOWN_AT_C = 20;

    private static final int MAX_LISTED = 300;
    private static final FaceDrawing.Room FACE = new FaceDrawing.Room(230, 150, false, Optional.empty());

    /** What each wire may read, in design order. */
    List<AssemblyView.WireRow> wires(Assembly assembly) {
        return wires(assembly, 0);
    }

    /** The wires from one of them on, as many as a page lists. */
    List<AssemblyView.WireRow> wires(Assembly assembly, int from) {
        LimitRules limits = new LimitRules(SHOWN_AT_C, assembly.allowances(), Map.of());
        Set<Terminal> shared = shared(assembly);
        EngineeringFormat.FigureColumn column = EngineeringFormat.column(
                assembly.conductors().stream()
                        .skip(from)
                        .limit(MAX_LISTED)
                        .mapToDouble(each -> limits.of(each).high().value())
                        .max()
                        .orElse(1),
                "Ω");
        return assembly.conductors().stream()
                .skip(from)
                .limit(MAX_LISTED)
                .map(conductor -> wire(conductor, limits.of(conductor), column, shared))
                .toList();
    }

    AssemblyView view(Revision revision) {
        Assembly assembly = revision.assembly();
        List<AssemblyView.WireRow> wires = wires(assembly);
        return new AssemblyView(
                revision.assemblyId(),
                assembly.name(),
                Words.say(assembly.kind()),
                revision.number(),
                assembly.note(),
                Words.say(
                        "assembly_views.revision_by",
                        revision.number(),
                        Times.minute(revision.createdAt()),
                        revision.createdBy()),
                Words.say(
                        "assembly_views.counts",
                        assembly.conductors().size(),
                        assembly.connectors().size()),
                wires,
                assembly.conductors().size() - wires.size(),
                AssemblyDrawing.of(assembly, List.of()),
                assembly.connectors().stream()
                        .limit(8)
                        .map(connector -> FaceDrawing.of(connector, used(assembly), FACE))
                        .toList());
    }

    private static Set<Terminal> used(Assembly assembly) {
        Set<Terminal> used = new HashSet<>();
        assembly.conductors().forEach(each -> used.addAll(List.of(each.from(), each.to())));
        return used;
    }

    private static Set<Terminal> shared(Assembly assembly) {
        Set<Terminal> once = new HashSet<>();
        Set<Terminal> twice = new HashSet<>();
        for (Conductor conductor : assembly.conductors()) {
            for (Terminal end : List.of(conductor.from(), conductor.to())) {
                if (end.isPin() && !once.add(end)) {
                    twice.add(end);
                }
            }
        }
        return twice;
    }

    private static AssemblyView.WireRow wire(
            Conductor conductor, Limit limit, EngineeringFormat.FigureColumn column, Set<Terminal> shared) {
        boolean isShared = shared.contains(conductor.from()) || shared.contains(conductor.to());
        return new AssemblyView.WireRow(
                conductor.id(),
                conductor.from().name(),
                conductor.to().name(),
                conductor.colour().map(each -> Words.say(each.words())).orElse(""),
                conductor.colour().flatMap(Colour::base),
                conductor.colour().flatMap(Colour::tracer),
                conductor.function().orElse(""),
                limit.nominal()
                        .map(nominal -> Words.figure(column, nominal.value()))
                        .orElse(Words.say("assembly_views.not_known")),
                Words.figure(column, limit.high().value()),
                sentence(conductor, limit) + (isShared ? Words.say("assembly_views.shares_cavity_another_wire") : ""),
                conductor.spare(),
                isShared);
    }

    private static String sentence(Conductor conductor, Limit limit) {
        String expects = limit.nominal()
                .map(nominal -> Words.say("assembly_views.good_unit_reads_about", nominal))
                .orElse("");
        String tone = conductor.carriesCurrent()
                ? Words.say(
                        "assembly_views.carries_tone_not_enough",
                        Message.figure(conductor.current().orElse(0), "A"))
                : Words.say("assembly_views.signal_tone_may_do");
        return Words.say(
                "assembly_views.sentence",
                conductor.id(),
                conductor.from(),
                conductor.to(),
                expects,
                limit.derivation(),
                tone);
    }

    /** What sorts of assembly there are. */
    static List<ChoiceView> kinds() {
        return Stream.of(AssemblyKind.values())
                .map(each -> new ChoiceView(each.code(), Words.say(each)))
                .toList();
    }
}
