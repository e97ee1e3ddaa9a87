package zestymarten.core.diagnosis;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.fault.Fault;
import zestymarten.core.finding.Complaint;
import zestymarten.core.finding.Priors;
import zestymarten.core.network.Net;

/**
 * Every single fault that is looked for in a unit, found by the places it names.
 *
 * <p>Kinds: each wire open, high, now and then open; each net to frame; two nets shorted; two far ends of one connector
 * changed places; a far end in an empty cavity of its connector; a connector mirrored or shifted by one; each part open,
 * bypassed, off, stuck. Pairs are made for up to {@value #ALL_PAIRS} nets; in larger units only for nets of which a reading
 * was not as it should be. Cost: the square of the nets up to that number, linear beyond.
 */
final class Atoms {
    static final int ALL_PAIRS = 300;
    private static final double TOUCHING = 0.2;
    private static final double TYPICAL_OHM = 20;
    private static final double OFF_BY = 2;
    private static final int LEAST_MIRRORED = 4;

    /** What is left of a fault's odds where the function that needs the wire works. */
    private static final double CLEARED = 0.03;

    /** How much likelier the kind of fault is that fits what the function does. */
    private static final double FITTING = 4;

    /** How much likelier what explains a function that does not work is than what leaves it unexplained. */
    static final double EXPLAINS = 20;

    private final Design design;
    private final Places places;
    private final Priors priors;
    private final Complaint complaint;
    private final Set<Integer> suspects;
    private final Set<Integer> failing = new LinkedHashSet<>();
    private final List<Atom> all = new ArrayList<>();
    private final Map<Integer, List<Atom>> byPlace = new HashMap<>();
    private final Map<Long, List<Atom>> byPair = new HashMap<>();

    /** @param suspects places of which a reading was not as it should be */
    Atoms(Design design, Places places, Priors priors, Complaint complaint, Set<Integer> suspects) {
        this.design = design;
        this.places = places;
        this.priors = priors;
        this.complaint = complaint;
        this.suspects = suspects;
        for (Conductor wire : design.assembly().conductors()) {
            complaint
                    .of(wire)
                    .filter(each -> each != Complaint.Behaviour.WORKS)
                    .ifPresent(each -> failing.add(places.of(wire.from())));
        }
        design.assembly().conductors().forEach(this::ofWire);
        ofNets();
        ofFarEnds();
        ofConnectors();
        design.assembly().components().forEach(this::ofPart);
        for (Terminal each : design.assembly().bonded()) {
            add(
                    new Fault.Unbonded(each),
                    List.of(each, Terminal.FRAME),
                    namesAt(each),
                    priors.open(),
                    Atom.Shape.EXACT);
        }
    }

    List<Atom> all() {
        return all;
    }

    /** Whether a function that needs the place does not work. */
    boolean isFailing(int place) {
        return failing.contains(place);
    }

    List<Atom> at(int place) {
        return byPlace.getOrDefault(place, List.of());
    }

    List<Atom> between(int one, int other) {
        return byPair.getOrDefault(key(one, other), List.of());
    }

    private static long key(int one, int other) {
        return ((long) Math.min(one, other) << 32) | Math.max(one, other);
    }

    private List<String> namesAt(Terminal terminal) {
        return design.assembly().conductors().stream()
                .filter(each -> each.from().equals(terminal) || each.to().equals(terminal))
                .map(Conductor::id)
                .toList();
    }

    private void add(Fault fault, List<Terminal> at, List<String> names, double odds, Atom.Shape shape) {
        Set<Integer> named = new LinkedHashSet<>();
        at.forEach(each -> named.add(places.of(each)));
        int explained = (int) named.stream().filter(failing::contains).count();
        double explaining = Math.pow(EXPLAINS, explained);
        Atom atom = new Atom(all.size(), fault, List.copyOf(named), names, odds * explaining, shape);
        if (odds > 0) {
            all.add(atom);
            atom.nets()
                    .forEach(each -> byPlace.computeIfAbsent(each, any -> new ArrayList<>())
                            .add(atom));
            pairs(atom);
        }
    }

    /** The pairs between which the fault makes a way: its two places, or each near end and the cavity of its far end. */
    private void pairs(Atom atom) {
        Set<Long> keys = new LinkedHashSet<>();
        if (atom.fault() instanceof Fault.Moved moved) {
            moved.cavities()
                    .forEach((id, cavity) ->
                            keys.add(key(places.of(design.conductor(id).from()), places.of(cavity))));
        } else if (atom.nets().size() == 2) {
            keys.add(key(atom.nets().get(0), atom.nets().get(1)));
        }
        keys.forEach(
                each -> byPair.computeIfAbsent(each, any -> new ArrayList<>()).add(atom));
    }

    private double zone(Conductor wire) {
        return wire.zone()
                        .filter(each -> !each.isBlank() && !each.equals("fixed"))
                        .isPresent()
                ? priors.flexing()
                : 1;
    }

    /** How much likelier what the machine does makes a kind of fault of a wire. */
    private double told(Conductor wire, Complaint.Behaviour fitting) {
        return complaint
                .of(wire)
                .map(each -> each == Complaint.Behaviour.WORKS ? CLEARED : each == fitting ? FITTING : 1.0)
                .orElse(1.0);
    }

    private void ofWire(Conductor wire) {
        List<Terminal> at = List.of(wire.from());
        List<String> names = List.of(wire.id());
        double zone = zone(wire);
        double dead = told(wire, Complaint.Behaviour.DEAD);
        double sometimes = told(wire, Complaint.Behaviour.SOMETIMES);
        add(new Fault.Open(wire.id()), at, names, priors.open() * zone * dead, Atom.Shape.EXACT);
        add(new Fault.High(wire.id(), TYPICAL_OHM), at, names, priors.high() * sometimes, Atom.Shape.WIDE);
        double now = priors.open() * 0.3 * zone * sometimes;
        add(new Fault.Intermittent(wire.id()), at, names, now, Atom.Shape.JUMPY);
    }

    private void ofNets() {
        List<Net> nets = design.nets().all();
        for (int i = 0; i < nets.size(); i++) {
            Net one = nets.get(i);
            if (one.ends().isEmpty()) {
                continue;
            }
            if (!one.touchesFrame()) {
                add(
                        new Fault.Shorted(one.ends().get(0), Terminal.FRAME, TOUCHING),
                        List.of(one.ends().get(0), Terminal.FRAME),
                        names(one),
                        priors.toFrame() * staysOn(one),
                        Atom.Shape.EXACT);
            }
            for (int j = i + 1; j < nets.size(); j++) {
                Net other = nets.get(j);
                boolean bothFrame = one.touchesFrame() && other.touchesFrame();
                if (isAsked(i, j, nets.size()) && !other.ends().isEmpty() && !bothFrame) {
                    shorted(one, other, nets.size());
                }
            }
        }
    }

    private boolean isAsked(int one, int other, int nets) {
        return nets <= ALL_PAIRS || (suspects.contains(one) && suspects.contains(other));
    }

    private void shorted(Net one, Net other, int nets) {
        List<String> names = new ArrayList<>(names(one));
        names.addAll(names(other));
        add(
                new Fault.Shorted(one.ends().get(0), other.ends().get(0), TOUCHING),
                List.of(one.ends().get(0), other.ends().get(0)),
                names,
                2 * priors.shorted() / nets * staysOn(one) * staysOn(other),
                Atom.Shape.EXACT);
    }

    private double staysOn(Net net) {
        return net.conductors().stream()
                .mapToDouble(each -> told(each, Complaint.Behaviour.STAYS_ON))
                .max()
                .orElse(1);
    }

    private static List<String> names(Net net) {
        return net.conductors().stream().map(Conductor::id).toList();
    }

    /** The only wires of two-ended nets, by the connector in which their far ends belong. */
    private Map<String, List<Conductor>> farEnds() {
        Map<String, List<Conductor>> byConnector = new LinkedHashMap<>();
        for (Net net : design.nets().all()) {
            Conductor wire = net.conductors().get(0);
            if (net.isTwoEnded() && wire.to().isPin()) {
                byConnector
                        .computeIfAbsent(wire.to().connector(), any -> new ArrayList<>())
                        .add(wire);
            }
        }
        return byConnector;
    }

    private void ofFarEnds() {
        List<Terminal> empty = design.assembly().emptyCavities();
        farEnds().forEach((connector, wires) -> {
            List<Terminal> cavities = empty.stream()
                    .filter(each -> each.connector().equals(connector))
                    .toList();
            for (int i = 0; i < wires.size(); i++) {
                Conductor one = wires.get(i);
                double dead = told(one, Complaint.Behaviour.DEAD);
                for (Terminal cavity : cavities) {
                    move(Map.of(one.id(), cavity), List.of(one), dead * priors.misplaced() / cavities.size());
                }
                for (Conductor other : wires.subList(i + 1, wires.size())) {
                    if (isAsked(places.of(one.from()), places.of(other.from()), wires.size())) {
                        double odds =
                                2 * priors.crossed() / wires.size() * dead * told(other, Complaint.Behaviour.DEAD);
                        move(Map.of(one.id(), other.to(), other.id(), one.to()), List.of(one, other), odds);
                    }
                }
            }
        });
    }

    private void move(Map<String, Terminal> cavities, List<Conductor> wires, double odds) {
        List<Terminal> at = new ArrayList<>();
        wires.forEach(each -> at.add(each.from()));
        at.addAll(cavities.values());
        add(new Fault.Moved(cavities), at, wires.stream().map(Conductor::id).toList(), odds, Atom.Shape.EXACT);
    }

    private void ofConnectors() {
        Assembly assembly = design.assembly();
        farEnds().forEach((id, wires) -> {
            List<Terminal> pins =
                    assembly.connector(id).map(Connector::terminals).orElse(List.of());
            List<Conductor> ordered = wires.stream()
                    .sorted(java.util.Comparator.comparingInt(each -> pins.indexOf(each.to())))
                    .toList();
            Map<String, Terminal> mirrored = new LinkedHashMap<>();
            Map<String, Terminal> up = new LinkedHashMap<>();
            Map<String, Terminal> down = new LinkedHashMap<>();
            for (int i = 0; i < ordered.size(); i++) {
                Conductor wire = ordered.get(i);
                int pin = pins.indexOf(wire.to());
                if (i * 2 + 1 != ordered.size()) {
                    mirrored.put(wire.id(), ordered.get(ordered.size() - 1 - i).to());
                }
                if (pin + 1 < pins.size()) {
                    up.put(wire.id(), pins.get(pin + 1));
                }
                if (pin > 0) {
                    down.put(wire.id(), pins.get(pin - 1));
                }
            }
            boolean alone = wires.stream()
                    .allMatch(wire -> assembly.conductors().stream()
                                    .filter(each -> each.to().equals(wire.to()))
                                    .count()
                            == 1);
            if (alone && ordered.size() >= LEAST_MIRRORED) {
                move(mirrored, ordered, priors.connector());
            }
            for (Map<String, Terminal> shifted : List.of(up, down)) {
                if (shifted.size() == ordered.size() && ordered.size() > 1) {
                    move(shifted, ordered, priors.connector() / 2);
                }
            }
        });
    }

    private void ofPart(Component part) {
        if (part.kind() == Component.Kind.DIODE) {
            return;
        }
        List<Terminal> at = List.of(part.a(), part.b());
        List<String> names = List.of(part.id());
        double odds = priors.part();
        if (part.kind().isContact()) {
            add(new Fault.PartStuck(part.id(), false), at, names, odds, Atom.Shape.EXACT);
            add(new Fault.PartStuck(part.id(), true), at, names, odds / 2, Atom.Shape.EXACT);
        } else {
            add(new Fault.PartOpen(part.id()), at, names, odds, Atom.Shape.EXACT);
            add(new Fault.PartShort(part.id()), at, names, odds / 4, Atom.Shape.EXACT);
        }
        add(new Fault.PartValue(part.id(), OFF_BY), at, names, odds / 4, Atom.Shape.WIDE);
    }
}
