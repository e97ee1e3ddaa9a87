package zestymarten.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.meter.Conditions;
import zestymarten.core.plan.Approach;
import zestymarten.core.plan.Coverage;
import zestymarten.core.plan.Method;
import zestymarten.core.plan.Stage;
import zestymarten.core.plan.Step;
import zestymarten.core.plan.Tool;

/**
 * What a way of testing costs on a good unit, and what it would miss.
 *
 * @param moves how often a probe goes to another terminal, both for the first touch of each stage
 * @param setups how often the ties change
 * @param walks one way each
 * @param accessMinutes of seconds, what covers and shells take
 * @param seconds by the prices
 * @param lacks what it takes and is not at hand
 * @param misses what it would miss besides what no ohmmeter shows, in plain words, computed from the wiring
 */
public record Offer(
        Method method,
        long touches,
        long moves,
        long setups,
        long walks,
        double accessMinutes,
        double seconds,
        List<Tool> lacks,
        List<String> misses) {
    public Offer {
        lacks = List.copyOf(lacks);
        misses = List.copyOf(misses);
    }

    /**
     * What one action costs, in seconds, each from 0 to an hour.
     *
     * @param touch to read and type
     * @param move of one probe to another terminal
     * @param setup to change what is tied
     * @param walk to the other end, one way
     */
    public record Pace(double touch, double move, double setup, double walk) {
        /** A bench technician's, roughly, until their own is known. */
        public static final Pace USUAL = new Pace(3, 1.5, 20, 60);

        private static final double HOUR = 3600;

        public Pace {
            for (double each : new double[] {touch, move, setup, walk}) {
                if (!(each >= 0 && each <= HOUR)) {
                    throw new IllegalArgumentException("A price (" + each + " s) must be from 0 to 3600 seconds.");
                }
            }
        }
    }

    /**
     * The offer of an approach for a design.
     *
     * @param tools what is at hand besides the meter
     */
    public static Offer of(Design design, Approach approach, Conditions conditions, Pace pace, Set<Tool> tools) {
        Job job = Job.of(design, approach, conditions, List.of());
        Job.Left left = job.remaining();
        long setups = approach.method().needsTies() ? setups(job) : 0;
        long moves = moves(job);
        double seconds = left.touches() * pace.touch()
                + moves * pace.move()
                + setups * pace.setup()
                + left.walks() * pace.walk()
                + 60 * job.accessMinutes();
        Coverage coverage = Coverage.of(design.assembly(), design.nets(), approach.method());
        return new Offer(
                approach.method(),
                left.touches(),
                moves,
                setups,
                left.walks(),
                job.accessMinutes(),
                seconds,
                approach.method().tools().stream()
                        .filter(each -> !tools.contains(each))
                        .toList(),
                Stream.concat(ofThisMethod(coverage).stream(), withoutTools(job, tools))
                        .toList());
    }

    /** What nobody can see without a tool, whatever the method. */
    private static Stream<String> withoutTools(Job job, Set<Tool> tools) {
        Stream<String> insulation = tools.contains(Tool.INSULATION_TESTER)
                ? Stream.empty()
                : Stream.of("No insulation tester: damage that leads only under voltage is not found.");
        long tight = tools.contains(Tool.LOW_OHM_METER) ? 0 : job.tight();
        Stream<String> ohms = tight == 0
                ? Stream.empty()
                : Stream.of("No low-ohm meter: " + tight + (tight == 1 ? " wire has" : " wires have")
                        + " a limit of less than twenty steps of a usual meter, and a small excess is hardly seen.");
        return Stream.concat(ohms, insulation);
    }

    private static long moves(Job job) {
        long moves = job.pieces().areTied()
                ? moves(job.steps(Stage.SHORTS))
                : job.pieces().pairMoves();
        for (Stage stage : Stage.values()) {
            moves += stage == Stage.SHORTS ? 0 : moves(job.steps(stage));
        }
        return moves;
    }

    private static long moves(Stream<Step> steps) {
        Set<Terminal> now = Set.of();
        long moves = 0;
        for (Step step : steps.toList()) {
            if (step instanceof Step.Touch touch) {
                Set<Terminal> next = Set.of(touch.black(), touch.red());
                moves += next.stream().filter(Predicate.not(now::contains)).count();
                now = next;
            }
        }
        return moves;
    }

    /** The last blind spot is that of every ohmmeter. */
    private static List<String> ofThisMethod(Coverage coverage) {
        List<String> all = coverage.blindSpots();
        return all.subList(0, all.size() - 1);
    }

    private static long setups(Job job) {
        List<List<Terminal>> now = new ArrayList<>();
        long setups = 0;
        for (Step step : Stream.of(Stage.ENDS, Stage.SHORTS).flatMap(job::steps).toList()) {
            if (step instanceof Step.Touch touch && !touch.ties().equals(now)) {
                now = touch.ties();
                setups++;
            }
        }
        return setups;
    }
}
