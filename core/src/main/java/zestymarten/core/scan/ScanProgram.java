package zestymarten.core.scan;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.limit.WithstandRule;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Patience;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.TestRun;

/**
 * What a scanning switch does, line by line: connect, then measure.
 *
 * <p>Method: each measurement that is due becomes two sides; only what differs from the connections before it is
 * switched. Measurements of resistance in one state are taken in the order in which the next one needs the fewest relays, either way
 * round, the earlier on a link; of more than {@value #MAX_ORDERED} the order stays that of the plan. What is under voltage comes
 * after all of them, in its own order. Cost: the square of the measurements that are ordered.
 */
public record ScanProgram(List<ScanAction> actions) {
    /** The most lines of a program. */
    public static final int MAX_LINES = 20_000;

    private static final int MAX_ORDERED = 600;

    public ScanProgram {
        actions = List.copyOf(actions);
    }

    /** A measurement as the contacts of both sides. */
    private record Sides(
            String state,
            SortedSet<ScanContact> contacts,
            SortedSet<ScanContact> turned,
            ScanAction.MeasureContacts measure) {
        Sides turnedRound() {
            return new Sides(state, /* contacts= */ turned, /* turned= */ contacts, measure);
        }

        int relays(Collection<ScanContact> now, boolean round) {
            SortedSet<ScanContact> next = round ? turned : contacts;
            int kept = 0;
            for (ScanContact each : next) {
                kept += now.contains(each) ? 1 : 0;
            }
            return now.size() + next.size() - 2 * kept;
        }
    }

    /** The program of everything that a scanner can measure and a run has still to do. */
    public static ScanProgram of(TestRun test, double dwellS) {
        Points points = Points.of(test.design().assembly());
        List<Sides> ohms = new ArrayList<>();
        List<Sides> voltages = new ArrayList<>();
        measurements(test)
                .forEach(measurement -> sides(points, measurement, measure(test, measurement, dwellS))
                        .forEach(each -> (measurement.stage().isUnderVoltage() ? voltages : ohms).add(each)));
        return switched(ohms, voltages);
    }

    /**
     * A program for every unit of a design, before there is a test of one: continuity, shorts and frame with a meter, then each
     * piece against all others and the frame under each voltage in the order given, its connection proved before.
     */
    public static ScanProgram of(
            Design design, TestConditions conditions, List<ScanAction.MeasureContacts> underVoltage) {
        TestOptions approach = new TestOptions(TestMethod.EACH_TO_REST, false, true, OptionalDouble.empty());
        TestRun fresh = TestRun.of(design, approach, conditions, List.of());
        Points points = Points.of(design.assembly());
        List<Sides> ohms = measurements(fresh)
                .flatMap(measurement -> sides(points, measurement, measure(fresh, measurement, 0)))
                .toList();
        List<Sides> voltages = underVoltage.stream()
                .flatMap(voltage -> fresh.underVoltage()
                        .flatMap(measurement -> sides(
                                points,
                                measurement,
                                measurement.isUnderVoltage() ? voltage : measure(fresh, measurement, 0))))
                .toList();
        return switched(ohms, voltages);
    }

    private static ScanProgram switched(List<Sides> ohms, List<Sides> voltages) {
        List<Sides> first = ohms.size() > MAX_ORDERED ? ohms : ordered(ohms);
        return new ScanProgram(
                actions(Stream.concat(first.stream(), voltages.stream()).toList()));
    }

    /** The measurements of a run that a scanner can make and that are not done. */
    public static Stream<TestStep.Measurement> measurements(TestRun test) {
        return Stream.of(Stage.CONTINUITY, Stage.SHORTS, Stage.FRAME, Stage.PARTS, Stage.INSULATION, Stage.WITHSTAND)
                .flatMap(test::steps)
                .filter(step -> step instanceof TestStep.Measurement && !test.isDone(step))
                .map(TestStep.Measurement.class::cast);
    }

    private static Stream<Sides> sides(
            Points points, TestStep.Measurement measurement, ScanAction.MeasureContacts measure) {
        Set<Terminal> black = Set.copyOf(measurement.side(measurement.black()));
        Set<Terminal> red = Set.copyOf(measurement.side(measurement.red()));
        boolean wired = Stream.concat(black.stream(), red.stream())
                .allMatch(each -> points.of(each).isPresent());
        boolean apart = black.stream().noneMatch(red::contains);
        if (!wired || !apart) {
            return Stream.empty();
        }
        return Stream.of(
                new Sides(measurement.state(), contacts(points, black, red), contacts(points, red, black), measure));
    }

    private static SortedSet<ScanContact> contacts(Points points, Set<Terminal> a, Set<Terminal> b) {
        SortedSet<ScanContact> contacts = new TreeSet<>();
        a.forEach(each ->
                contacts.add(new ScanContact(ScanContact.Bus.A, points.of(each).orElseThrow())));
        b.forEach(each ->
                contacts.add(new ScanContact(ScanContact.Bus.B, points.of(each).orElseThrow())));
        return contacts;
    }

    private static ScanAction.MeasureContacts measure(TestRun test, TestStep.Measurement measurement, double dwellS) {
        if (measurement.isUnderVoltage() && measurement.stage() == Stage.WITHSTAND) {
            WithstandRule rule = test.approach().withstand().orElseThrow();
            return ScanAction.MeasureContacts.withstand(
                    rule.maxA(),
                    new ScanVoltage(rule.volts(), rule.hertz().orElse(0), ScanVoltage.USUAL_RAMP_S, rule.seconds()));
        }
        if (measurement.isUnderVoltage()) {
            return ScanAction.MeasureContacts.insulation(
                    test.minimum(measurement).minimum().value(),
                    new ScanVoltage(
                            test.approach().insulation().orElseThrow().testV(), 0, ScanVoltage.USUAL_RAMP_S, dwellS));
        }
        return test.expectation(measurement)
                .fold(
                        joined -> ScanAction.MeasureContacts.ohms(
                                joined.limit().low().value(),
                                Math.max(
                                        joined.limit().high().value(),
                                        Math.nextUp(joined.limit().low().value()))),
                        () -> ScanAction.MeasureContacts.ohms(
                                test.conditions().joinedBelowOhm(), Double.POSITIVE_INFINITY));
    }

    private static List<Sides> ordered(List<Sides> measurements) {
        List<Sides> left = new ArrayList<>(measurements);
        List<Sides> ordered = new ArrayList<>();
        SortedSet<ScanContact> now = new TreeSet<>();
        String state = "";
        while (!left.isEmpty()) {
            Patience.check();
            Sides best = nearest(left, state, now);
            left.remove(best);
            boolean round = best.relays(now, true) < best.relays(now, false);
            ordered.add(round ? best.turnedRound() : best);
            now = ordered.get(ordered.size() - 1).contacts();
            state = best.state();
        }
        return ordered;
    }

    /** The one that needs the fewest relays in this state; where there is none, the first in any other. */
    private static Sides nearest(List<Sides> left, String state, SortedSet<ScanContact> now) {
        Sides best = left.get(0);
        int fewest = Integer.MAX_VALUE;
        for (Sides each : left) {
            int relays = Math.min(each.relays(now, false), each.relays(now, true));
            if (each.state().equals(state) && relays < fewest) {
                best = each;
                fewest = relays;
            }
        }
        return best;
    }

    private static List<ScanAction> actions(List<Sides> all) {
        List<ScanAction> actions = new ArrayList<>();
        SortedSet<ScanContact> now = new TreeSet<>();
        String state = "";
        for (Sides each : all) {
            if (!each.state().equals(state)) {
                actions.add(new ScanAction.Await(each.state()));
                state = each.state();
            }
            List<ScanContact> open = now.stream()
                    .filter(contact -> !each.contacts().contains(contact))
                    .toList();
            SortedSet<ScanContact> before = now;
            List<ScanContact> close = each.contacts().stream()
                    .filter(contact -> !before.contains(contact))
                    .toList();
            if (!open.isEmpty()) {
                actions.add(new ScanAction.OpenContact(open));
            }
            if (!close.isEmpty()) {
                actions.add(new ScanAction.Close(close));
            }
            actions.add(each.measure());
            now = each.contacts();
        }
        return actions;
    }

    /** The line on which an action stands in a file, from 2: the first one names the columns. */
    static int line(int action) {
        return action + 2;
    }

    /** The measurements as the relays stand when each is made, in order. */
    public List<ScanMeasurement> taken(Points points) {
        List<ScanMeasurement> taken = new ArrayList<>();
        Set<ScanContact> closed = new HashSet<>();
        String state = "";
        for (int i = 0; i < actions.size(); i++) {
            if (actions.get(i) instanceof ScanAction.Close close) {
                closed.addAll(close.contacts());
            } else if (actions.get(i) instanceof ScanAction.OpenContact open) {
                open.contacts().forEach(closed::remove);
            } else if (actions.get(i) instanceof ScanAction.Await await) {
                state = await.state();
            } else if (actions.get(i) instanceof ScanAction.MeasureContacts measure) {
                taken.add(new ScanMeasurement(
                        line(i),
                        on(ScanContact.Bus.A, closed, points),
                        on(ScanContact.Bus.B, closed, points),
                        state,
                        measure));
            }
        }
        return taken;
    }

    private static Set<Terminal> on(ScanContact.Bus bus, Set<ScanContact> closed, Points points) {
        Set<Terminal> on = new HashSet<>();
        for (ScanContact each : closed) {
            if (each.bus() == bus) {
                points.terminal(each.point()).ifPresent(on::add);
            }
        }
        return on;
    }
}
