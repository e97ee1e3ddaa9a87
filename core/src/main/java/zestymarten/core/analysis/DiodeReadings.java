package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.judgement.DiodeJudge;
import zestymarten.core.judgement.DiodeJudge.DiodeCondition;
import zestymarten.core.judgement.Judgement;

/**
 * What readings of diodes on the diode range show to be wrong. Of the readings of one way the last counts.
 *
 * <p>Cost: linear in the readings and the diodes.
 */
public final class DiodeReadings {
    private final Design design;
    private final Map<String, DiodeReading> forward = new HashMap<>();
    private final Map<String, DiodeReading> backward = new HashMap<>();

    private record DiodeReading(int number, Judgement judgement) {}

    public DiodeReadings(Design design) {
        this.design = design;
    }

    /** The diode that lies between two terminals by itself; empty where none does. */
    public static Optional<Component> diode(Design design, Terminal black, Terminal red) {
        return design.assembly().components().stream()
                .filter(part -> part.kind() == Component.ComponentKind.DIODE
                        && ((part.a().equals(red) && part.b().equals(black))
                                || (part.a().equals(black) && part.b().equals(red))))
                .findFirst();
    }

    /**
     * Adds a reading. Between terminals without a diode it says nothing.
     *
     * @param number by which evidence names it; ascending
     */
    public void add(int number, Terminal black, Terminal red, Judgement judgement) {
        diode(design, black, red)
                .ifPresent(part -> (part.a().equals(red) ? forward : backward)
                        .put(part.id(), new DiodeReading(number, judgement)));
    }

    /** The diodes that were read both ways, by name. */
    public List<String> read() {
        return forward.keySet().stream().filter(backward::containsKey).sorted().toList();
    }

    /** One finding for each diode that does not read as it should, in design order. */
    public List<ExplainedFinding> findings() {
        List<ExplainedFinding> findings = new ArrayList<>();
        for (Component part : design.assembly().components()) {
            List<DiodeReading> readings = Stream.of(forward, backward)
                    .flatMap(way -> Optional.ofNullable(way.get(part.id())).stream())
                    .toList();
            if (!readings.isEmpty()) {
                condition(part.id())
                        .flatMap(DiodeReadings::fault)
                        .map(fault -> new Finding.PartAtFault(
                                fault, part.id(), part.a(), part.b(), Optional.empty(), Optional.empty()))
                        .map(finding -> ExplainedFinding.shown(
                                finding,
                                readings.stream()
                                        .map(DiodeReading::number)
                                        .sorted()
                                        .toList(),
                                functions(part)))
                        .ifPresent(findings::add);
            }
        }
        return findings;
    }

    private Optional<DiodeCondition> condition(String part) {
        Optional<Judgement> there = Optional.ofNullable(forward.get(part)).map(DiodeReading::judgement);
        Optional<Judgement> back = Optional.ofNullable(backward.get(part)).map(DiodeReading::judgement);
        if (there.isPresent() && back.isPresent()) {
            return Optional.of(DiodeJudge.both(there.get(), back.get()));
        }
        return there.flatMap(one -> DiodeJudge.alone(one, true))
                .or(() -> back.flatMap(one -> DiodeJudge.alone(one, false)));
    }

    private static Optional<Finding.PartFault> fault(DiodeCondition condition) {
        return switch (condition) {
            case GOOD -> Optional.empty();
            case OPEN -> Optional.of(Finding.PartFault.OPEN);
            case SHORTED -> Optional.of(Finding.PartFault.SHORT);
            case REVERSED -> Optional.of(Finding.PartFault.REVERSED);
            case ODD -> Optional.of(Finding.PartFault.VALUE);
        };
    }

    private List<String> functions(Component part) {
        return design.functionsOf(Stream.of(part.a(), part.b())
                .flatMap(end -> design.conductorsAt(end).stream())
                .map(Conductor::id)
                .distinct()
                .toList());
    }
}
