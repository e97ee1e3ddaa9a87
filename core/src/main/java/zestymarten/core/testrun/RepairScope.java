package zestymarten.core.testrun;

import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;

/**
 * What a repair concerns, and so what has to be shown again after it: the whole wires and parts that it names, the ends of their
 * neighbours in each connector, the pairs between the two, and every function. Cost: linear in the terminals, once.
 */
final class RepairScope {
    private final Set<String> named;
    private final Set<Terminal> repaired;
    private final Set<Terminal> beside;

    private RepairScope(Set<String> named, Set<Terminal> repaired, Set<Terminal> beside) {
        this.named = named;
        this.repaired = repaired;
        this.beside = beside;
    }

    /**
     * By what a repair names.
     *
     * @param subject conductors, parts and terminals, with spaces between
     */
    static RepairScope of(Design design, String subject) {
        Set<String> named = new HashSet<>(List.of(subject.split(" ")));
        Set<Terminal> repaired = repaired(design, named);
        return new RepairScope(named, repaired, beside(design, repaired));
    }

    /** All terminals of the nets of the conductors, and of the parts, that are named, and those named themselves. */
    private static Set<Terminal> repaired(Design design, Set<String> names) {
        Set<Terminal> repaired = new LinkedHashSet<>();
        design.assembly().terminals().stream()
                .filter(each -> names.contains(each.name()))
                .forEach(repaired::add);
        for (Conductor conductor : design.assembly().conductors()) {
            if (names.contains(conductor.id())) {
                design.nets().of(conductor.from()).ifPresent(net -> repaired.addAll(net.ends()));
                repaired.addAll(List.of(conductor.from(), conductor.to()));
            }
        }
        for (Component part : design.assembly().components()) {
            if (names.contains(part.id())) {
                repaired.addAll(List.of(part.a(), part.b()));
            }
        }
        repaired.remove(Terminal.FRAME);
        return repaired;
    }

    /** The cavities next to a repaired one in its connector. */
    private static Set<Terminal> beside(Design design, Set<Terminal> repaired) {
        Set<Terminal> beside = new LinkedHashSet<>();
        for (Connector connector : design.assembly().connectors()) {
            List<Terminal> pins = connector.terminals();
            for (int i = 0; i < pins.size(); i++) {
                if (repaired.contains(pins.get(i))) {
                    beside.addAll(pins.subList(Math.max(0, i - 1), Math.min(pins.size(), i + 2)));
                }
            }
        }
        beside.removeAll(repaired);
        return beside;
    }

    /** Whether a terminal belongs to what was repaired. */
    boolean isOf(Terminal terminal) {
        return repaired.contains(terminal);
    }

    /** Whether a step has to be shown again. */
    boolean concerns(TestStep step) {
        return step.fold(
                probes -> false,
                this::concerns,
                manual -> manual.action() == ManualAction.FUNCTION
                        || manual.action() == ManualAction.RESET
                        || manual.action() == ManualAction.REMAINING
                        || (manual.action() == ManualAction.INSPECT
                                && named.contains(manual.subject().code())));
    }

    private boolean concerns(TestStep.Measurement measurement) {
        boolean black = repaired.contains(measurement.black());
        boolean red = repaired.contains(measurement.red());
        boolean own = black || red;
        return switch (measurement.stage()) {
            case SHORTS ->
                measurement.isLinked()
                        ? own
                                || measurement.links().stream()
                                        .anyMatch(link -> link.stream().anyMatch(repaired::contains))
                        : (black && (red || beside.contains(measurement.red())))
                                || (red && beside.contains(measurement.black()));
            case CONTINUITY -> own || beside.contains(measurement.black()) || beside.contains(measurement.red());
            default -> own;
        };
    }

    /**
     * Whether a test that shows a repair and nothing else asks for a step: what the repair concerns, the checks without which no
     * reading counts, and whatever makes it safe and restores it.
     */
    boolean isRetested(TestStep step) {
        return step.fold(
                probes -> true,
                measurement -> concerns(measurement)
                        || (measurement.stage() == Stage.CONTINUITY
                                && measurement.red().isFrame()
                                && !measurement.isLinked()),
                manual -> manual.action() != ManualAction.INSPECT
                        || concerns(manual)
                        || isBesideIt(manual.subject().code()));
    }

    /** Whether an inspection is of a connector in which a repaired wire ends. */
    private boolean isBesideIt(String subject) {
        return repaired.stream().anyMatch(each -> each.connector().equals(subject));
    }
}
