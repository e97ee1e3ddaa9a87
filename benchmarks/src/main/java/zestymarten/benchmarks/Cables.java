package zestymarten.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import zestymarten.core.analysis.AnalysisReading;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.WireList;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.testplan.ProbePlacement;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testrun.MeasurementPlan;

/** Straight cables of many wires and the readings of good ones. */
final class Cables {
    private static final double LEADS = 0.25;
    private static final int PINS = 100;

    private Cables() {}

    /** Conditions with a meter of the given accuracy, a fraction. */
    static TestConditions conditions(double accuracy) {
        return new TestConditions(
                20,
                new MeterProfile("meter", accuracy, 0.01, 30, false, 20e6),
                OptionalDouble.of(LEADS),
                LeadPolicy.FULL,
                false,
                TestConditions.JOINED_BELOW_OHM);
    }

    /** A harness of straight wires, 100 to a connector. */
    static Assembly straight(int wires) {
        StringBuilder list = new StringBuilder("wire,from,to,length_m,area_mm2,current_a\n");
        for (int i = 0; i < wires; i++) {
            list.append(
                    "W%d,A%d.%d,B%d.%d,%d,0.5,1\n".formatted(i, i / PINS, i % PINS, i / PINS, i % PINS, 20 + i % 30));
        }
        return WireList.read(list.toString()).assembly("Straight", AssemblyKind.HARNESS, "", Map.of());
    }

    /** Complete evidence of a good unit: each wire end to end, all nets and the frame parted by halves. */
    static List<AnalysisReading> goodReadings(Design design) {
        List<AnalysisReading> readings = new ArrayList<>();
        for (ProbePlacement measurement : MeasurementPlan.of(design, TestMethod.BY_HALVES, conditions(0.005))
                .measurements()) {
            String shown = design.expectation(measurement.black(), measurement.red(), measurement.state(), measurement.links())
                    .fold(Cables::shown, () -> "OL");
            readings.add(new AnalysisReading(
                    measurement.black(), measurement.red(), shown, SwitchState.REST, measurement.links(), OptionalDouble.empty()));
        }
        return readings;
    }

    private static String shown(Expectation.Joined joined) {
        double ohm = joined.limit().nominal().orElse(joined.limit().high()).value();
        return "%.2f".formatted(ohm + LEADS).replace(',', '.');
    }
}
