package zestymarten.core.scan;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.network.Groups;
import zestymarten.core.network.Net;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Problem;

/**
 * What a program does to an assembly: what is wrong with it, what it never tests, and how long it takes.
 *
 * <p>Method: the relays are followed line by line. A measurement with nothing on a bus was not connected; a contact that is
 * closed twice, or opened while open, is a line too many; two measurements with the same nets on the same sides in the same
 * state are electrically the same, whichever pins they use, but for a net's own two ends; a limit that a good unit misses by a
 * factor near 1000 has its prefix wrong. Nets that no measurement has on opposite sides are never tested apart; nets whose
 * ends no measurements join are never rung out. Cost: the contacts of all lines, and the square of the nets in bits.
 *
 * @param problems each with its line
 * @param never pairs of nets that are never tested apart, the first {@value #MAX_NAMED}, each by a wire or terminal
 * @param neverCount how many there are
 * @param unrung wires that are never rung out
 * @param relays how often a relay switches
 * @param seconds by {@link ScanPace}
 */
public record ProgramReview(
        List<Problem> problems,
        List<Message> never,
        long neverCount,
        List<String> unrung,
        int measurements,
        long relays,
        double seconds) {
    private static final int MAX_NAMED = 12;
    private static final double PREFIX = 1000;
    /** How far a limit may be from what is expected before another prefix is thought of. */
    private static final double NEAR = 30;

    public ProgramReview {
        problems = List.copyOf(problems);
        never = List.copyOf(never);
        unrung = List.copyOf(unrung);
    }

    /** How long things take, in seconds: a row of relays, a reading. What is under voltage says itself how long it is. */
    public record ScanPace(double switching, double reading) {
        public static final ScanPace USUAL = new ScanPace(0.02, 0.15);

        /** Under voltage, and then discharged for four times as long. */
        double of(ScanAction action) {
            return action.fold(
                    close -> switching,
                    open -> switching,
                    await -> 0.0,
                    measure -> reading
                            + measure.voltage()
                                    .map(each -> each.onS() + each.dischargeS())
                                    .orElse(0.0));
        }
    }

    /** Reviews a program for an assembly. */
    public static ProgramReview of(ScanProgram program, Design design, ScanPace pace) {
        return new Reviewer(program, design).review(pace);
    }

    private static final class Reviewer {
        private final ScanProgram program;
        private final Design design;
        private final Points points;
        private final List<ScanMeasurement> taken;
        private final List<Problem> problems = new ArrayList<>();
        private final List<Net> nets;
        private final Map<Terminal, Integer> netOf = new HashMap<>();
        private final int frame;

        Reviewer(ScanProgram program, Design design) {
            this.program = program;
            this.design = design;
            points = Points.of(design.assembly());
            taken = program.taken(points);
            nets = design.nets().all();
            for (int i = 0; i < nets.size(); i++) {
                int number = i;
                nets.get(i).ends().forEach(end -> netOf.put(end, number));
            }
            frame = nets.size();
            netOf.putIfAbsent(Terminal.FRAME, frame);
        }

        ProgramReview review(ScanPace pace) {
            long relays = follow();
            same();
            taken.forEach(this::limits);
            voltageLast();
            List<Message> never = new ArrayList<>();
            long count = never(never);
            return new ProgramReview(
                    problems,
                    never,
                    count,
                    unrung(),
                    taken.size(),
                    relays,
                    program.actions().stream().mapToDouble(pace::of).sum());
        }

        private void problem(int line, Message what) {
            problems.add(new Problem(Message.of("problem.line", line), what));
        }

        /** Follows the relays; how many have switched. */
        private long follow() {
            Set<ScanContact> closed = new HashSet<>();
            long switched = 0;
            for (int i = 0; i < program.actions().size(); i++) {
                int line = ScanProgram.line(i);
                ScanAction action = program.actions().get(i);
                if (action instanceof ScanAction.Close close) {
                    for (ScanContact each : close.contacts()) {
                        close(line, each, closed);
                    }
                    switched += close.contacts().size();
                } else if (action instanceof ScanAction.OpenContact open) {
                    for (ScanContact each : open.contacts()) {
                        if (!closed.remove(each)) {
                            problem(line, Message.of("program_review.open_already", each));
                        }
                    }
                    switched += open.contacts().size();
                } else if (action instanceof ScanAction.MeasureContacts) {
                    connected(line, closed);
                }
            }
            return switched;
        }

        private void close(int line, ScanContact contact, Set<ScanContact> closed) {
            if (points.terminal(contact.point()).isEmpty()) {
                problem(
                        line,
                        Message.of(
                                "program_review.point_wired_nothing_there",
                                contact.point(),
                                points.terminals().size()));
            }
            for (ScanContact.Bus bus : ScanContact.Bus.values()) {
                if (bus != contact.bus() && closed.contains(new ScanContact(bus, contact.point()))) {
                    problem(line, Message.of("program_review.point_on_bus_too", contact, bus));
                }
            }
            if (!closed.add(contact)) {
                problem(line, Message.of("program_review.closed_already_connection_made", contact));
            }
        }

        private void connected(int line, Set<ScanContact> closed) {
            for (ScanContact.Bus bus : List.of(ScanContact.Bus.A, ScanContact.Bus.B)) {
                if (closed.stream().noneMatch(each -> each.bus() == bus)) {
                    problem(line, Message.of("program_review.nothing_connected_bus_connection", bus));
                }
            }
        }

        /** What the same lines of a table would hide: other pins, but the same nets. */
        private void same() {
            Map<String, Integer> first = new LinkedHashMap<>();
            int voltages = 0;
            for (int i = 0; i < taken.size(); i++) {
                ScanMeasurement each = taken.get(i);
                boolean ohms = each.measure().voltage().isEmpty();
                voltages += ohms ? 0 : 1;
                String when = ohms ? (isProof(i) ? "proof " + voltages : "ohms") : under(each.measure());
                Integer before = first.putIfAbsent(each.state() + " " + when + " " + electrically(each), each.line());
                if (before != null) {
                    problem(each.line(), Message.of("program_review.electrically_same_as_line", before));
                }
            }
        }

        /** Whether a path is read on what is then set under voltage, with nothing else between: its connection is proved. */
        private boolean isProof(int place) {
            ScanMeasurement proof = taken.get(place);
            Optional<ScanMeasurement> next = taken.subList(place, taken.size()).stream()
                    .filter(each -> !each.measure().expectsWayThrough())
                    .findFirst();
            return proof.measure().expectsWayThrough()
                    && next.filter(each -> each.measure().voltage().isPresent()
                                    && each.state().equals(proof.state())
                                    && isWithin(nets(proof.a()), nets(each.a()), nets(each.b())))
                            .isPresent();
        }

        private static boolean isWithin(BitSet some, BitSet one, BitSet other) {
            return some.stream().allMatch(one::get) || some.stream().allMatch(other::get);
        }

        /** Withstand and insulation, AC and DC, show different things between the same points. */
        private static String under(ScanAction.MeasureContacts measure) {
            return measure.quantity()
                    + (measure.voltage().filter(ScanVoltage::alternates).isPresent() ? " AC" : " DC");
        }

        private String electrically(ScanMeasurement each) {
            BitSet a = nets(each.a());
            BitSet b = nets(each.b());
            boolean within = a.intersects(b) || each.measure().expectsWayThrough();
            if (within) {
                return each.sides();
            }
            String one = a.toString();
            String other = b.toString();
            return one.compareTo(other) <= 0 ? one + other : other + one;
        }

        private BitSet nets(Set<Terminal> side) {
            BitSet nets = new BitSet();
            side.forEach(each -> {
                Integer net = netOf.get(each);
                if (net != null) {
                    nets.set(net);
                }
            });
            return nets;
        }

        private void limits(ScanMeasurement each) {
            if (each.a().size() != 1
                    || each.b().size() != 1
                    || each.measure().voltage().isPresent()) {
                return;
            }
            Terminal a = each.a().iterator().next();
            Terminal b = each.b().iterator().next();
            if (a.equals(b)) {
                return;
            }
            Expectation expected = design.expectation(a, b, state(each.state()), List.of());
            if (expected instanceof Expectation.Joined joined) {
                double maximum = joined.limit().high().value();
                double ratio = each.measure().highOhm() / maximum;
                if (!each.measure().expectsWayThrough()) {
                    problem(each.line(), Message.of("program_review.joined_good_unit_no", a, b));
                } else if (ratio > NEAR || ratio < 1 / NEAR) {
                    problem(
                            each.line(),
                            Message.of(
                                    "program_review.maximum_set_good_unit",
                                    Message.figure(each.measure().highOhm(), "Ω"),
                                    Message.figure(maximum, "Ω"),
                                    prefix(ratio)));
                }
            } else if (each.measure().expectsWayThrough()) {
                problem(each.line(), Message.of("program_review.apart_good_unit_continuity", a, b));
            }
        }

        private static Message prefix(double ratio) {
            double factor = Math.max(ratio, 1 / ratio);
            double off = factor / PREFIX;
            return off > 1 / NEAR && off < NEAR ? Message.of("program_review.factor_would_fit_prefix") : Message.NONE;
        }

        private SwitchState state(String id) {
            return design.assembly().states().stream()
                    .filter(each -> each.id().equals(id))
                    .findFirst()
                    .orElse(design.assembly().states().get(0));
        }

        private void voltageLast() {
            int voltage = 0;
            for (ScanMeasurement each : taken) {
                if (each.measure().voltage().isPresent()) {
                    voltage = voltage == 0 ? each.line() : voltage;
                } else if (voltage != 0 && each.measure().expectsWayThrough() && !wasReadBefore(each)) {
                    problem(each.line(), Message.of("program_review.continuity_after_test_voltage", voltage));
                    return;
                }
            }
        }

        /** What was read before is a proof of connection, no continuity test of its own. */
        private boolean wasReadBefore(ScanMeasurement each) {
            return taken.stream()
                    .anyMatch(other -> other.line() < each.line()
                            && other.measure().quantity() == Quantity.RESISTANCE
                            && other.sides().equals(each.sides()));
        }

        private long never(List<Message> named) {
            int count = nets.size() + (netOf.getOrDefault(Terminal.FRAME, frame) == frame ? 1 : 0);
            List<BitSet> apart = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                apart.add(new BitSet(count));
            }
            for (ScanMeasurement each : taken) {
                BitSet a = nets(each.a());
                BitSet b = nets(each.b());
                if (!a.intersects(b)) {
                    a.stream().forEach(net -> apart.get(net).or(b));
                    b.stream().forEach(net -> apart.get(net).or(a));
                }
            }
            long never = 0;
            for (int i = 0; i < count; i++) {
                for (int j = apart.get(i).nextClearBit(i + 1);
                        j < count;
                        j = apart.get(i).nextClearBit(j + 1)) {
                    never++;
                    if (named.size() < MAX_NAMED) {
                        named.add(Message.of("program_review.never", name(i), name(j)));
                    }
                }
            }
            return never;
        }

        private Message name(int net) {
            return net == frame || nets.get(net).conductors().isEmpty()
                    ? Message.of("program_review.frame")
                    : Message.verbatim(nets.get(net).conductors().get(0).id());
        }

        private List<String> unrung() {
            List<String> unrung = new ArrayList<>();
            for (Net net : nets) {
                Map<Terminal, Integer> number = new HashMap<>();
                net.ends().forEach(end -> number.put(end, number.size()));
                Groups groups = new Groups(number.size());
                for (ScanMeasurement each : taken) {
                    boolean one = each.a().size() == 1
                            && each.b().size() == 1
                            && each.measure().expectsWayThrough();
                    Integer a = one ? number.get(each.a().iterator().next()) : null;
                    Integer b = one ? number.get(each.b().iterator().next()) : null;
                    if (a != null && b != null) {
                        groups.join(a, b);
                    }
                }
                long pieces =
                        number.values().stream().map(groups::of).distinct().count();
                if (pieces > 1) {
                    unrung.add(net.conductors().stream().map(each -> each.id()).collect(Collectors.joining(" ")));
                }
            }
            return unrung;
        }
    }
}
