package zestymarten.simulator.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.analysis.Explanation;
import zestymarten.core.analysis.Recommendation;
import zestymarten.core.analysis.UnitAnalysis;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.RepairRules;

/**
 * Does an exercise as well as the diagnosis can: always the measurement that tells most for its time, until it is certain.
 *
 * <p>Holds for faults that ohms show, with everything within reach. It never looks at the flaws. Cost: a diagnosis for each
 * measurement, at most {@value #MAX_MEASUREMENTS}.
 */
final class Solver {
    private static final int MAX_MEASUREMENTS = 80;

    private Solver() {}

    static List<PracticeAction> solve(Exercise exercise) {
        List<PracticeAction> actions =
                new ArrayList<>(List.of(new PracticeAction.Isolate(), new PracticeAction.Join()));
        List<Finding> faults = List.of();
        for (int i = 0; i < MAX_MEASUREMENTS; i++) {
            Session session = Session.of(exercise, actions);
            UnitAnalysis analysis = Replay.analysis(session);
            faults = analysis.explanations().stream()
                    .findFirst()
                    .map(Explanation::faults)
                    .orElse(List.of());
            Recommendation recommended = Replay.recommended(session, analysis);
            boolean done = recommended.status() == Recommendation.Status.FINISHED && !faults.isEmpty();
            Optional<Recommendation.RecommendedMeasurement> next = done
                    ? Optional.empty()
                    : recommended.measurements().stream().findFirst();
            if (next.isEmpty()) {
                break;
            }
            arrange(session, next.get(), actions);
            actions.add(
                    new PracticeAction.Measure(next.get().black(), next.get().red()));
        }
        conclude(
                exercise,
                faults.stream()
                        .map(each -> FaultAnswer.of(
                                each, Session.of(exercise, List.of()).design()))
                        .toList(),
                actions);
        return actions;
    }

    /** A fault as it is said, and the ways of repair that fit. */
    private record FaultAnswer(PracticeAction.Say said, List<Entry.Way> ways) {
        static FaultAnswer of(Finding finding, Design design) {
            List<Finding.Piece> pieces = finding instanceof Finding.Shorted shorted
                    ? shorted.pieces()
                    : finding instanceof Finding.FrameShort toFrame ? toFrame.pieces() : List.of();
            List<String> names = pieces.isEmpty()
                    ? finding.named()
                    : pieces.stream()
                            .map(piece -> piece.conductors().isEmpty()
                                    ? piece.terminal().name()
                                    : piece.conductors().get(0))
                            .toList();
            return new FaultAnswer(
                    new PracticeAction.Say(finding.kind(), names, ""),
                    RepairRules.of(design, finding).ways());
        }
    }

    private static void arrange(
            Session session, Recommendation.RecommendedMeasurement next, List<PracticeAction> actions) {
        String state = next.state().equals(session.design().assembly().states().get(0))
                ? ""
                : next.state().id();
        if (!session.position().equals(state)) {
            actions.add(new PracticeAction.Set(state));
        }
    }

    /** Says it, tries it against a neighbour, repairs it, reads it again, hands it back. */
    private static void conclude(Exercise exercise, List<FaultAnswer> truths, List<PracticeAction> actions) {
        List<Terminal> others = exercise.assembly().terminals();
        for (FaultAnswer each : truths) {
            List<Terminal> ends = ends(exercise, each);
            if (!ends.isEmpty()) {
                Terminal end = ends.get(0);
                Stream.concat(Stream.of(Terminal.FRAME), others.stream())
                        .filter(other -> !ends.contains(other))
                        .findFirst()
                        .ifPresent(other -> actions.add(new PracticeAction.Measure(end, other)));
            }
        }
        for (FaultAnswer each : truths) {
            actions.add(each.said());
            actions.add(new PracticeAction.RepairAction(
                    each.said().names(), each.ways().get(0)));
        }
        for (FaultAnswer each : truths) {
            List<Terminal> ends = ends(exercise, each);
            if (ends.size() > 1) {
                actions.add(new PracticeAction.Measure(ends.get(0), ends.get(1)));
            }
        }
        actions.add(new PracticeAction.Done());
    }

    /** The ends of what is at fault that a probe reaches. */
    private static List<Terminal> ends(Exercise exercise, FaultAnswer named) {
        List<String> names = named.said().names();
        Stream<Terminal> wires = exercise.assembly().conductors().stream()
                .filter(each -> names.get(0).equals(each.id()))
                .flatMap(each -> Stream.of(each.from(), each.to()));
        Stream<Terminal> parts = exercise.assembly().components().stream()
                .filter(each -> names.get(0).equals(each.id()))
                .flatMap(each -> Stream.of(each.a(), each.b()));
        return Stream.concat(wires, parts).filter(each -> !each.isFrame()).toList();
    }
}
