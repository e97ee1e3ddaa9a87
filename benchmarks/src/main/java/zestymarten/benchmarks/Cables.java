package zestymarten.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import zestymarten.core.analysis.Design;
import zestymarten.core.analysis.Reading;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Kind;
import zestymarten.core.assembly.State;
import zestymarten.core.assembly.WireList;
import zestymarten.core.job.MeasurementPlan;
import zestymarten.core.judge.Expectation;
import zestymarten.core.meter.Conditions;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.Meter;
import zestymarten.core.plan.Measurement;
import zestymarten.core.plan.Method;

/** Straight cables of many wires and the readings of good ones. */
final class Cables {
    private static final double LEADS = 0.25;
    private static final int PINS = 100;

    private Cables() {}

    /** Conditions with a meter of the given accuracy, a fraction. */
    static Conditions conditions(double accuracy) {
        return new Conditions(
                20,
                new Meter("meter", accuracy, 0.01, 30, false, 20e6),
                OptionalDouble.of(LEADS),
                LeadPolicy.FULL,
                false,
                Conditions.JOINED_BELOW_OHM);
    }

    /** A harness of straight wires, 100 to a connector. */
    static Assembly straight(int wires) {
        StringBuilder list = new StringBuilder("wire,from,to,length_m,area_mm2,current_a\n");
        for (int i = 0; i < wires; i++) {
            list.append(
                    "W%d,A%d.%d,B%d.%d,%d,0.5,1\n".formatted(i, i / PINS, i % PINS, i / PINS, i % PINS, 20 + i % 30));
        }
        return WireList.read(list.toString()).assembly("Straight", Kind.HARNESS, "", Map.of());
    }

    /** Complete evidence of a good unit: each wire end to end, all nets and the frame parted by halves. */
    static List<Reading> goodReadings(Design design) {
        List<Reading> readings = new ArrayList<>();
        for (Measurement touch :
                MeasurementPlan.of(design, Method.BY_HALVES, conditions(0.005)).measurements()) {
            String shown = design.expectation(touch.black(), touch.red(), touch.state(), touch.ties())
                    .fold(Cables::shown, () -> "OL");
            readings.add(
                    new Reading(touch.black(), touch.red(), shown, State.REST, touch.ties(), OptionalDouble.empty()));
        }
        return readings;
    }

    private static String shown(Expectation.Joined joined) {
        double ohm = joined.limit().nominal().orElse(joined.limit().high()).value();
        return "%.2f".formatted(ohm + LEADS).replace(',', '.');
    }
}
