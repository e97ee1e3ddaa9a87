package zestymarten.bench.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zestymarten.bench.unit.Flaw;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.diagnosis.Diagnosis;
import zestymarten.core.diagnosis.NextTouch;

/**
 * Does an exercise as well as the diagnosis can: always the touch that tells most for its time, until it is certain.
 *
 * <p>Holds for faults that ohms show, with everything within reach. It never looks at the flaws. Cost: a diagnosis for each
 * touch, at most {@value #MOST_TOUCHES}.
 */
final class Solver {
    private static final int MOST_TOUCHES = 80;

    private Solver() {}

    static List<Act> solve(Exercise exercise) {
        List<Act> acts = new ArrayList<>(List.of(new Act.Isolate(), new Act.Join()));
        List<Truth> truths = List.of();
        for (int i = 0; i < MOST_TOUCHES; i++) {
            Session session = Session.of(exercise, acts);
            Diagnosis diagnosis = Replay.diagnosis(session);
            truths = diagnosis.suspects(1).stream()
                    .flatMap(each -> each.faults().stream())
                    .map(fault -> Truth.of(new Flaw.Wired(fault), session.design()))
                    .toList();
            Optional<NextTouch> next =
                    diagnosis.isFinished() && !truths.isEmpty() ? Optional.empty() : Replay.next(diagnosis);
            if (next.isEmpty()) {
                break;
            }
            arrange(session, next.get(), acts);
            acts.add(new Act.Touch(next.get().black(), next.get().red()));
        }
        conclude(exercise, truths, acts);
        return acts;
    }

    private static void arrange(Session session, NextTouch next, List<Act> acts) {
        String state = next.state().equals(session.design().assembly().states().get(0))
                ? ""
                : next.state().id();
        boolean same = session.arranged().contains("set to '" + state + "'")
                || (state.isEmpty() && session.arranged().isEmpty());
        if (!same) {
            acts.add(new Act.Set(state));
        }
    }

    /** Says it, tries it against a neighbour, mends it, reads it again, hands it back. */
    private static void conclude(Exercise exercise, List<Truth> truths, List<Act> acts) {
        List<Terminal> others = exercise.assembly().terminals();
        for (Truth each : truths) {
            List<Terminal> ends = ends(exercise, each);
            if (!ends.isEmpty()) {
                Terminal end = ends.get(0);
                Stream.concat(Stream.of(Terminal.FRAME), others.stream())
                        .filter(other -> !ends.contains(other))
                        .findFirst()
                        .ifPresent(other -> acts.add(new Act.Touch(end, other)));
            }
        }
        for (Truth each : truths) {
            acts.add(each.said());
            acts.add(new Act.Mend(each.said().names(), each.ways().get(0)));
        }
        for (Truth each : truths) {
            List<Terminal> ends = ends(exercise, each);
            if (ends.size() > 1) {
                acts.add(new Act.Touch(ends.get(0), ends.get(1)));
            }
        }
        acts.add(new Act.Done());
    }

    /** The ends of what is at fault that a probe reaches. */
    private static List<Terminal> ends(Exercise exercise, Truth truth) {
        List<String> names = truth.said().names();
        Stream<Terminal> wires = exercise.assembly().conductors().stream()
                .filter(each -> names.get(0).equals(each.id()))
                .flatMap(each -> Stream.of(each.from(), each.to()));
        Stream<Terminal> parts = exercise.assembly().components().stream()
                .filter(each -> names.get(0).equals(each.id()))
                .flatMap(each -> Stream.of(each.a(), each.b()));
        return Stream.concat(wires, parts).filter(each -> !each.isFrame()).toList();
    }
}
