package zestymarten.core.testrun;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;

/** The planned measurements of two terminals, in whichever stage and order they are measured together. */
record MeasurementsBetween(TestRun test) {
    /** The one that is not done, else any; empty where none is planned. */
    Optional<TestStep> due(Terminal a, Terminal b) {
        if (a.equals(b)) {
            return Optional.empty();
        }
        List<TestStep> together = Stream.concat(all(a, b), diode(a, b)).toList();
        return together.stream()
                .filter(step -> !test.isDone(step))
                .findFirst()
                .or(() -> together.stream().findFirst());
    }

    /** Every planned measurement of both. */
    Stream<TestStep> all(Terminal a, Terminal b) {
        return Stream.of(Stage.CONTINUITY, Stage.SHORTS, Stage.FRAME, Stage.PARTS)
                .flatMap(stage -> together(stage, a, b));
    }

    /** On the diode range it matters which probe is where. */
    private Stream<TestStep> diode(Terminal black, Terminal red) {
        return Stream.<TestStep>of(new TestStep.Measurement(Stage.DIODES, black, red))
                .filter(test::isPlanned);
    }

    private Stream<TestStep> together(Stage stage, Terminal a, Terminal b) {
        boolean listed = stage == Stage.PARTS
                || stage == Stage.CONTINUITY
                || test.pieces().areLinked();
        return listed
                ? test.steps(stage)
                        .filter(step -> step instanceof TestStep.Measurement measurement
                                && measurement.isOn(a)
                                && measurement.isOn(b))
                : Stream.<TestStep>of(new TestStep.Measurement(stage, a, b), new TestStep.Measurement(stage, b, a))
                        .filter(test::isPlanned);
    }
}
