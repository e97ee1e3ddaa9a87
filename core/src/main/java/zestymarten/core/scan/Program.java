package zestymarten.core.scan;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Stream;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.job.Job;
import zestymarten.core.judge.Quantity;
import zestymarten.core.plan.Stage;
import zestymarten.core.plan.Step;

/**
 * What a scanning switch does, line by line: connect, then measure.
 *
 * <p>Method: each touch that is due becomes two sides; only what differs from the connections before it is
 * switched. Touches of ohms in one state are taken in the order in which the next one needs the fewest relays, either way
 * round, the earlier on a tie; of more than {@value #MOST_ORDERED} the order stays that of the plan. Insulation comes after all
 * of them, in its own order. Cost: the square of the touches that are ordered.
 */
public record Program(List<Action> actions) {
    /** The most lines of a program. */
    public static final int MOST_LINES = 20_000;

    private static final int MOST_ORDERED = 600;

    public Program {
        actions = List.copyOf(actions);
    }

    /** A touch as the contacts of both sides. */
    private record Sides(String state, SortedSet<Contact> contacts, SortedSet<Contact> turned, Action.Measure measure) {
        Sides turnedRound() {
            return new Sides(state, /* contacts= */ turned, /* turned= */ contacts, measure);
        }

        int relays(Collection<Contact> now, boolean round) {
            SortedSet<Contact> next = round ? turned : contacts;
            int kept = 0;
            for (Contact each : next) {
                kept += now.contains(each) ? 1 : 0;
            }
            return now.size() + next.size() - 2 * kept;
        }
    }

    /** The program of everything that a scanner can measure and a run has still to do. */
    public static Program of(Job job, double dwellS) {
        Points points = Points.of(job.design().assembly());
        List<Sides> ohms = new ArrayList<>();
        List<Sides> insulation = new ArrayList<>();
        touches(job)
                .forEach(touch -> sides(job, points, touch, dwellS)
                        .forEach(each -> (touch.stage().isUnderVoltage() ? insulation : ohms).add(each)));
        return new Program(switched(ohms.size() > MOST_ORDERED ? ohms : ordered(ohms), insulation));
    }

    /** The touches of a run that a scanner can make and that are not done. */
    public static Stream<Step.Touch> touches(Job job) {
        return Stream.of(Stage.ENDS, Stage.SHORTS, Stage.FRAME, Stage.PARTS, Stage.INSULATION)
                .flatMap(job::steps)
                .filter(step -> step instanceof Step.Touch && !job.isDone(step))
                .map(Step.Touch.class::cast);
    }

    /** The terminals on one side of a touch: that of its probe, and what is tied to it. */
    public static Set<Terminal> side(Step.Touch touch, Terminal probe) {
        Set<Terminal> side = new HashSet<>(Set.of(probe));
        touch.ties().stream().filter(tie -> tie.contains(probe)).forEach(side::addAll);
        return side;
    }

    private static Stream<Sides> sides(Job job, Points points, Step.Touch touch, double dwellS) {
        Set<Terminal> black = side(touch, touch.black());
        Set<Terminal> red = side(touch, touch.red());
        boolean wired = Stream.concat(black.stream(), red.stream())
                .allMatch(each -> points.of(each).isPresent());
        boolean apart = black.stream().noneMatch(red::contains);
        if (!wired || !apart) {
            return Stream.empty();
        }
        return Stream.of(new Sides(
                touch.state(),
                contacts(points, black, red),
                contacts(points, red, black),
                measure(job, touch, dwellS)));
    }

    private static SortedSet<Contact> contacts(Points points, Set<Terminal> a, Set<Terminal> b) {
        SortedSet<Contact> contacts = new TreeSet<>();
        a.forEach(
                each -> contacts.add(new Contact(Contact.Bus.A, points.of(each).orElseThrow())));
        b.forEach(
                each -> contacts.add(new Contact(Contact.Bus.B, points.of(each).orElseThrow())));
        return contacts;
    }

    private static Action.Measure measure(Job job, Step.Touch touch, double dwellS) {
        if (touch.isUnderVoltage()) {
            return new Action.Measure(
                    Quantity.INSULATION,
                    job.least(touch).least().value(),
                    Double.POSITIVE_INFINITY,
                    job.approach().insulation().orElseThrow().testV(),
                    dwellS);
        }
        return job.expectation(touch)
                .fold(
                        joined -> Action.Measure.ohms(
                                joined.limit().low().value(),
                                Math.max(
                                        joined.limit().high().value(),
                                        Math.nextUp(joined.limit().low().value()))),
                        () -> Action.Measure.ohms(job.conditions().joinedBelowOhm(), Double.POSITIVE_INFINITY));
    }

    private static List<Sides> ordered(List<Sides> touches) {
        List<Sides> left = new ArrayList<>(touches);
        List<Sides> ordered = new ArrayList<>();
        SortedSet<Contact> now = new TreeSet<>();
        String state = "";
        while (!left.isEmpty()) {
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
    private static Sides nearest(List<Sides> left, String state, SortedSet<Contact> now) {
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

    private static List<Action> switched(List<Sides> ohms, List<Sides> insulation) {
        List<Action> actions = new ArrayList<>();
        SortedSet<Contact> now = new TreeSet<>();
        String state = "";
        for (Sides each : Stream.concat(ohms.stream(), insulation.stream()).toList()) {
            if (!each.state().equals(state)) {
                actions.add(new Action.Await(each.state()));
                state = each.state();
            }
            List<Contact> open = now.stream()
                    .filter(contact -> !each.contacts().contains(contact))
                    .toList();
            SortedSet<Contact> before = now;
            List<Contact> close = each.contacts().stream()
                    .filter(contact -> !before.contains(contact))
                    .toList();
            if (!open.isEmpty()) {
                actions.add(new Action.Open(open));
            }
            if (!close.isEmpty()) {
                actions.add(new Action.Close(close));
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
    public List<Taken> taken(Points points) {
        List<Taken> taken = new ArrayList<>();
        Set<Contact> closed = new HashSet<>();
        String state = "";
        for (int i = 0; i < actions.size(); i++) {
            if (actions.get(i) instanceof Action.Close close) {
                closed.addAll(close.contacts());
            } else if (actions.get(i) instanceof Action.Open open) {
                open.contacts().forEach(closed::remove);
            } else if (actions.get(i) instanceof Action.Await await) {
                state = await.state();
            } else if (actions.get(i) instanceof Action.Measure measure) {
                taken.add(new Taken(
                        line(i), on(Contact.Bus.A, closed, points), on(Contact.Bus.B, closed, points), state, measure));
            }
        }
        return taken;
    }

    private static Set<Terminal> on(Contact.Bus bus, Set<Contact> closed, Points points) {
        Set<Terminal> on = new HashSet<>();
        for (Contact each : closed) {
            if (each.bus() == bus) {
                points.terminal(each.point()).ifPresent(on::add);
            }
        }
        return on;
    }
}
