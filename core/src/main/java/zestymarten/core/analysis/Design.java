package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.FaultHistory;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.limit.LearntResistance;
import zestymarten.core.limit.Limit;
import zestymarten.core.limit.LimitRules;
import zestymarten.core.network.Net;
import zestymarten.core.network.Nets;
import zestymarten.core.network.Network;
import zestymarten.core.network.Path;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Ohms;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestPlan;

/**
 * An assembly made ready for testing at one temperature: its nets, its network in each state with the limits as bounds,
 * its plans. Costly enough to be kept between readings; cost linear in the conductors but for meshed parts, see
 * {@link Network}. Safe to share.
 *
 * <p>The edges of a state's network are all conductors, the bonds to the frame as 0-ohm links, all components but open contacts
 * and diodes. A joint of which a highest resistance is known adds half of it to every conductor that ends there, so that
 * a path through it gains the whole.
 */
public final class Design {
    private static final double DIODE_SHARE = 0.01;

    /** What a bond by itself may read: the usual figure for a contact that should be none. */
    private static final Limit BOND = new Limit(
            Ohms.of(0),
            Optional.empty(),
            Ohms.of(0.1),
            false,
            Limit.Rule.ROUND_FIGURE,
            Message.of("design.maximum_usual_figure_bond"));

    private final Assembly assembly;
    private final Nets nets;
    private final LimitRules limits;
    private final Map<TestOptions, TestPlan> plans = new ConcurrentHashMap<>();
    private final Map<String, Conductor> conductors = new HashMap<>();
    private final Map<String, Integer> place = new HashMap<>();
    private final StateNetworks networks;
    private final Map<Terminal, List<Conductor>> conductorsAt;
    private final boolean hasDiodes;
    private final Map<Set<Terminal>, List<Component>> parts = new HashMap<>();

    private final double ambientC;
    private final Map<String, LearntResistance> learnt;
    private final FaultHistory history;
    private final Map<Double, Design> elsewhere = new ConcurrentHashMap<>();

    private Design(Assembly assembly, double ambientC, Map<String, LearntResistance> learnt, FaultHistory history) {
        this.assembly = assembly;
        this.ambientC = ambientC;
        this.learnt = learnt;
        this.history = history;
        nets = Nets.of(assembly);
        limits = new LimitRules(ambientC, assembly.allowances(), learnt);
        networks = new StateNetworks(assembly, limits);
        conductorsAt = assembly.byTerminal();
        hasDiodes = assembly.components().stream().anyMatch(part -> part.kind() == Component.ComponentKind.DIODE);
        for (Component part : assembly.components()) {
            parts.computeIfAbsent(between(part.a(), part.b()), any -> new ArrayList<>())
                    .add(part);
        }
        for (Conductor conductor : assembly.conductors()) {
            place.put(conductor.id(), place.size());
            conductors.put(conductor.id(), conductor);
        }
    }

    /** Makes ready an assembly at an ambient temperature in °C. */
    public static Design of(Assembly assembly, double ambientC) {
        return new Design(assembly, ambientC, Map.of(), FaultHistory.NONE);
    }

    /** The same with what good units have taught, by conductor. */
    public static Design of(Assembly assembly, double ambientC, Map<String, LearntResistance> learnt) {
        return of(assembly, ambientC, learnt, FaultHistory.NONE);
    }

    /** The same with the faults that tested units had. */
    public static Design of(
            Assembly assembly, double ambientC, Map<String, LearntResistance> learnt, FaultHistory history) {
        return new Design(assembly, ambientC, Map.copyOf(learnt), history);
    }

    /** The faults that tested units of this assembly had. */
    public FaultHistory history() {
        return history;
    }

    /** The same wiring at another temperature in °C. */
    public Design at(double celsius) {
        return celsius == ambientC
                ? this
                : elsewhere.computeIfAbsent(celsius, any -> new Design(assembly, celsius, learnt, history));
    }

    /** Other wiring at this temperature, with these figures: what a repair has made of it. */
    public Design with(Assembly other) {
        return new Design(other, ambientC, learnt, history);
    }

    /** Temperature of the wiring in °C. */
    public double ambientC() {
        return ambientC;
    }

    /** Metres of wire in the net of a terminal; empty where the length of one of them is not known. */
    public OptionalDouble lengthM(Terminal terminal) {
        List<Conductor> wires = nets.of(terminal).map(Net::conductors).orElse(List.of());
        boolean known = !wires.isEmpty()
                && wires.stream().allMatch(each -> each.lengthM().isPresent());
        return known
                ? OptionalDouble.of(wires.stream()
                        .mapToDouble(each -> each.lengthM().getAsDouble())
                        .sum())
                : OptionalDouble.empty();
    }

    public Assembly assembly() {
        return assembly;
    }

    public Nets nets() {
        return nets;
    }

    public LimitRules limits() {
        return limits;
    }

    /** The plan of a run that goes about it so. */
    public TestPlan plan(TestOptions approach) {
        return plans.computeIfAbsent(approach, any -> TestPlan.of(assembly, nets, approach));
    }

    /** The conductor of that name. */
    public Conductor conductor(String id) {
        Conductor found = conductors.get(id);
        if (found == null) {
            throw new IllegalArgumentException("Conductor '" + id + "' is not part of " + assembly.name() + ".");
        }
        return found;
    }

    /** The conductors that end at a terminal, in design order. */
    public List<Conductor> conductorsAt(Terminal terminal) {
        return conductorsAt.getOrDefault(terminal, List.of());
    }

    /** The conductors on the way where two terminals are one net, else those that end at either; in design order. */
    public List<String> namesBetween(Terminal a, Terminal b) {
        List<Conductor> route = nets.route(a, b);
        return (route.isEmpty() ? Stream.concat(conductorsAt(a).stream(), conductorsAt(b).stream()) : route.stream())
                .filter(each -> !each.from().isFrame() && !each.to().isFrame())
                .distinct()
                .sorted(Comparator.comparing(each -> place.getOrDefault(each.id(), 0)))
                .map(Conductor::id)
                .toList();
    }

    /** The functions of conductors, by their names. */
    public List<String> functionsOf(List<String> names) {
        return names.stream()
                .flatMap(name -> conductor(name).function().stream())
                .distinct()
                .toList();
    }

    private SwitchState rest() {
        return assembly.states().get(0);
    }

    /** The limit of a conductor with its share of what the joints at its ends may add. */
    Limit limitWithJoints(Conductor conductor) {
        Limit limit = limits.of(conductor);
        Ohms high = networks.link(conductor).high();
        return new Limit(limit.low(), limit.nominal(), high, limit.lowGiven(), limit.by());
    }

    /** What a good unit reads between two terminals, in its first state and with free ends. */
    public Path path(Terminal a, Terminal b) {
        return path(a, b, rest(), List.of());
    }

    /** What a good unit reads between two terminals in a state, with groups of terminals linked together. */
    public Path path(Terminal a, Terminal b, SwitchState state, List<List<Terminal>> links) {
        return networks.path(a, b, state, links);
    }

    /** What a good unit shows between two terminals, as a reading is judged. */
    public Expectation expectation(Terminal a, Terminal b) {
        return expectation(a, b, rest(), List.of());
    }

    /** The same in a state, with groups of terminals linked together. */
    public Expectation expectation(Terminal a, Terminal b, SwitchState state, List<List<Terminal>> links) {
        return path(a, b, state, links).fold(ohmic -> joined(a, b, ohmic, state, links), Expectation.Apart::new);
    }

    private Expectation joined(
            Terminal a, Terminal b, Path.Ohmic bounds, SwitchState state, List<List<Terminal>> links) {
        List<Conductor> route = nets.route(a, b);
        boolean current = route.isEmpty() || route.stream().anyMatch(Conductor::carriesCurrent);
        if (links.isEmpty() && bounds.high().value() == 0) {
            return new Expectation.Joined(BOND, current);
        }
        if (route.isEmpty() || !links.isEmpty()) {
            boolean wired = nets.joins(a, b) || networks.wiredByLinks(a, b, links);
            return wired
                    ? new Expectation.Joined(asRead(bounds, false), true)
                    : new Expectation.Joined(throughParts(a, b, bounds), true, onTheWay(a, b, state));
        }
        return new Expectation.Joined(limits.along(route, bounds, givenLow(route, a, b)), current);
    }

    /** The least that the figures given for conductors allow between two terminals; empty where none on the way has one. */
    private Optional<Ohms> givenLow(List<Conductor> route, Terminal a, Terminal b) {
        if (route.stream().noneMatch(each -> each.minOhm().isPresent())) {
            return Optional.empty();
        }
        return networks.givenLow(a, b);
    }

    /** The components between two nets; where only a chain of them leads across, all that conduct. */
    private List<String> onTheWay(Terminal a, Terminal b, SwitchState state) {
        List<String> direct = partsBetween(a, b).stream().map(Component::id).toList();
        return direct.isEmpty() ? networks.conducting(state).map(Component::id).toList() : direct;
    }

    /** The limit of one part by itself says more than the network's, where it is all that lies between. */
    private Limit throughParts(Terminal a, Terminal b, Path.Ohmic bounds) {
        return partsBetween(a, b).stream()
                .filter(part -> part.kind() != Component.ComponentKind.DIODE)
                .map(limits::of)
                .filter(limit ->
                        limit.low().equals(bounds.low()) && limit.high().equals(bounds.high()))
                .findFirst()
                .orElseGet(() -> asRead(bounds, true));
    }

    private static Limit asRead(Path.Ohmic bounds, boolean lowCounts) {
        return new Limit(
                bounds.low(),
                Optional.of(bounds.nominal()),
                bounds.high(),
                lowCounts,
                Limit.Rule.SUM,
                Message.of("design.network_limits_on_way", bounds.low(), bounds.high()));
    }

    /** Whether a reading between two terminals passes the mating faces of a connector that is plugged together. */
    public boolean isMated(Terminal a, Terminal b) {
        return Stream.of(a, b)
                .flatMap(each -> assembly.connector(each.connector()).stream())
                .anyMatch(connector -> connector.reach().matesWith().isPresent());
    }

    /**
     * Whether a diode that conducts would change what is read between two terminals, so that an ohm range proves nothing of
     * it either way.
     */
    public boolean isBesideDiode(Terminal a, Terminal b, SwitchState state, List<List<Terminal>> links) {
        if (!hasDiodes) {
            return false;
        }
        Path blocking = path(a, b, state, links);
        Path through = networks.pathThroughDiodes(a, b, state, links);
        if (blocking instanceof Path.Ohmic one && through instanceof Path.Ohmic other) {
            return other.nominal().value() < one.nominal().value() * (1 - DIODE_SHARE);
        }
        return !blocking.equals(through);
    }

    /** Whether two terminals are one point of a good unit. */
    boolean same(Terminal a, Terminal b) {
        return a.equals(b) || nets.joins(a, b);
    }

    /** A number that all terminals share which hang together by conductors, bonds and parts that conduct in a state. */
    int cluster(Terminal terminal, SwitchState state) {
        return networks.cluster(terminal, state);
    }

    /** The components that conduct in a state on an ohm range. */
    Stream<Component> conducting(SwitchState state) {
        return networks.conducting(state);
    }

    /** The ends of parts that hang together with a terminal in a state; none where no part does. */
    public List<Terminal> besides(Terminal terminal, SwitchState state) {
        if (assembly.components().isEmpty()) {
            return List.of();
        }
        int own = cluster(terminal, state);
        return assembly.components().stream()
                .flatMap(part -> Stream.of(part.a(), part.b()))
                .filter(end -> cluster(end, state) == own)
                .distinct()
                .toList();
    }

    /** The components that alone lie between the nets of two terminals. */
    List<Component> partsBetween(Terminal a, Terminal b) {
        return parts.isEmpty() ? List.of() : parts.getOrDefault(between(a, b), List.of());
    }

    private Set<Terminal> between(Terminal a, Terminal b) {
        return new HashSet<>(List.of(anchor(a), anchor(b)));
    }

    /** One terminal that stands for all of its net. */
    private Terminal anchor(Terminal terminal) {
        return nets.of(terminal).map(net -> net.conductors().get(0).from()).orElse(terminal);
    }
}
