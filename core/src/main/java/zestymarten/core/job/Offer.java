package zestymarten.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.meter.Conditions;
import zestymarten.core.plan.Approach;
import zestymarten.core.plan.Coverage;
import zestymarten.core.plan.Method;
import zestymarten.core.plan.Stage;
import zestymarten.core.plan.Step;

/**
 * What a way of testing costs on a good unit, and what it would miss.
 *
 * @param setups how often the ties change
 * @param walks one way each
 * @param accessMinutes of seconds, what covers and shells take
 * @param seconds by the prices
 * @param misses what it would miss besides what no ohmmeter shows, in plain words, computed from the wiring
 */
public record Offer(
        Method method,
        long touches,
        long setups,
        long walks,
        double accessMinutes,
        double seconds,
        List<String> misses) {
    public Offer {
        misses = List.copyOf(misses);
    }

    /**
     * What one action costs, in seconds, each from 0 to an hour.
     *
     * @param touch to put both probes on, read and type
     * @param setup to change what is tied
     * @param walk to the other end, one way
     */
    public record Pace(double touch, double setup, double walk) {
        /** A bench technician's, roughly, until their own is known. */
        public static final Pace USUAL = new Pace(5, 20, 60);

        private static final double HOUR = 3600;

        public Pace {
            for (double each : new double[] {touch, setup, walk}) {
                if (!(each >= 0 && each <= HOUR)) {
                    throw new IllegalArgumentException("A price (" + each + " s) must be from 0 to 3600 seconds.");
                }
            }
        }
    }

    /** The offer of an approach for a design. */
    public static Offer of(Design design, Approach approach, Conditions conditions, Pace pace) {
        Job job = Job.of(design, approach, conditions, List.of());
        Job.Left left = job.remaining();
        long setups = approach.method().needsTies() ? setups(job) : 0;
        double seconds = left.touches() * pace.touch()
                + setups * pace.setup()
                + left.walks() * pace.walk()
                + 60 * job.accessMinutes();
        Coverage coverage = Coverage.of(design.assembly(), design.nets(), approach.method());
        return new Offer(
                approach.method(),
                left.touches(),
                setups,
                left.walks(),
                job.accessMinutes(),
                seconds,
                ofThisMethod(coverage));
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
