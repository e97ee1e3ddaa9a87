package zestymarten.core.testrun;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;

/**
 * What is still to do in a run, in actions; of a fresh one all that its way of testing takes on a good unit.
 *
 * @param measurements readings of the wiring to take
 * @param checks of the meter and its leads
 * @param underVoltage how many of them are held for a minute under the test voltage
 * @param moves how often a probe goes to another terminal, both for the first measurement of each stage
 * @param setups how often the links change
 * @param trips one way each
 * @param actions what is done or looked at besides linking
 * @param accessMinutes of seconds, what covers and shells still take
 */
public record EffortModel(
        long measurements,
        long checks,
        long underVoltage,
        long moves,
        long setups,
        long trips,
        long actions,
        double accessMinutes) {
    private static final double HELD_S = 60;
    private static final double DEED_S = 10;

    /**
     * What one action costs, in seconds, each from 0 to an hour.
     *
     * @param measurement to read and type
     * @param move of one probe to another terminal
     * @param setup to change what is linked
     * @param trip to the other end, one way
     */
    public record Pace(double measurement, double move, double setup, double trip) {
        /** A bench technician's, roughly, until their own is known. */
        public static final Pace USUAL = new Pace(3, 1.5, 20, 60);

        private static final double HOUR = 3600;

        public Pace {
            for (double each : new double[] {measurement, move, setup, trip}) {
                if (!(each >= 0 && each <= HOUR)) {
                    throw new NotAccepted("effort_model.price_out_of_range", NotAccepted.given(each, "s"));
                }
            }
        }
    }

    /** What is left of a run. Cost: linear in its steps, but for pairs each to each, which are counted. */
    static EffortModel left(TestRun test) {
        RemainingWork left = test.remaining();
        long underVoltage = Stream.of(Stage.values())
                .filter(Stage::isUnderVoltage)
                .mapToLong(test::left)
                .sum();
        return new EffortModel(
                left.measurements(),
                left.checks(),
                underVoltage,
                moves(test),
                test.plan().approach().method().needsLinks() ? setups(test) : 0,
                left.trips(),
                left.actions() - tyings(test),
                test.accessMinutes() + test.substituteMinutes());
    }

    /** Measurements by themselves, in their order. */
    static EffortModel of(List<TestStep.Measurement> measurements) {
        return new EffortModel(
                measurements.size(),
                0,
                measurements.stream()
                        .filter(TestStep.Measurement::isUnderVoltage)
                        .count(),
                moves(measurements),
                setups(measurements),
                0,
                0,
                0);
    }

    /** Seconds for all of it at a pace. */
    public double seconds(Pace pace) {
        return (measurements + checks) * pace.measurement()
                + moves * pace.move()
                + setups * pace.setup()
                + trips * pace.trip()
                + underVoltage * HELD_S
                + actions * DEED_S
                + 60 * accessMinutes;
    }

    private static long moves(TestRun test) {
        long moves = test.pieces().areLinked() ? moves(test, Stage.SHORTS) : pairMoves(test);
        for (Stage stage : Stage.values()) {
            moves += stage == Stage.SHORTS ? 0 : moves(test, stage);
        }
        return moves;
    }

    /** Moves of pairs each to each, by the share of the pairs that is left. */
    private static long pairMoves(TestRun test) {
        long size = test.size(Stage.SHORTS);
        return size == 0 ? 0 : Math.round((double) test.pieces().pairMoves() * test.left(Stage.SHORTS) / size);
    }

    private static long moves(TestRun test, Stage stage) {
        return moves(left(test, stage).toList());
    }

    private static long moves(List<? extends TestStep> steps) {
        Set<Terminal> now = Set.of();
        long moves = 0;
        for (TestStep step : steps) {
            if (step instanceof TestStep.Measurement measurement) {
                Set<Terminal> next = Set.of(measurement.black(), measurement.red());
                moves += next.stream().filter(Predicate.not(now::contains)).count();
                now = next;
            }
        }
        return moves;
    }

    private static Stream<TestStep> left(TestRun test, Stage stage) {
        return test.steps(stage).filter(step -> !test.isDone(step));
    }

    /** Manual steps that change the links, which are counted as setups. */
    private static long tyings(TestRun test) {
        return Stream.of(Stage.CONTINUITY, Stage.SHORTS)
                .flatMap(stage -> test.plan().of(stage).stream())
                .filter(step -> step instanceof TestStep.ManualStep manual
                        && (manual.action() == ManualAction.LINK_FAR_ENDS
                                || manual.action() == ManualAction.UNLINK_FAR_ENDS))
                .filter(step -> !test.isDone(step))
                .count();
    }

    private static long setups(TestRun test) {
        return setups(Stream.of(Stage.CONTINUITY, Stage.SHORTS)
                .flatMap(stage -> left(test, stage))
                .toList());
    }

    private static long setups(List<? extends TestStep> steps) {
        List<List<Terminal>> now = new ArrayList<>();
        long setups = 0;
        for (TestStep step : steps) {
            if (step instanceof TestStep.Measurement measurement
                    && !measurement.links().equals(now)) {
                now = measurement.links();
                setups++;
            }
        }
        return setups;
    }
}
