package zestymarten.core.testplan;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.network.Groups;
import zestymarten.core.network.Net;
import zestymarten.core.network.Nets;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Patience;

/**
 * Which single faults measurements would show, which they cannot tell apart, and to which they are blind.
 *
 * <p>Method: every fault of the kinds below is put into the wiring, and every measurement is answered, joined or
 * apart, by the joining that results. A fault whose answers are those of a good unit is not seen; faults with the same
 * answers are not distinguished. Nothing is known in advance of any method. Ohms are not looked at; a diode conducts on the
 * diode range alone, from red to black. Cost: faults times measurements
 * times terminals, so that more than {@value #MAX_NETS} nets are sampled evenly.
 *
 * @param nets how many nets the figures are computed on
 * @param ofNets how many there are
 * @param counts of each kind: how many faults there are, how many are seen
 * @param indistinguishable groups of faults that read the same, each in words; the first {@value #MAX_INDISTINGUISHABLE}
 * @param insulation whether some of the measurements were made under a test voltage
 */
public record CoverageAnalysis(
        int nets, int ofNets, Map<PossibleFault, Count> counts, List<Message> indistinguishable, boolean insulation) {
    static final int MAX_NETS = 24;
    private static final int MAX_INDISTINGUISHABLE = 10;

    public CoverageAnalysis {
        counts = Map.copyOf(counts);
        indistinguishable = List.copyOf(indistinguishable);
    }

    /** The kinds of faults that are tried. */
    public enum PossibleFault {
        OPEN,
        SHORT,
        FRAME_SHORT,
        CROSSED,
        PART_OPEN,
        PART_STUCK;

        /** As written in files. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** What a finding of such a fault is called. */
        public String kind() {
            return this == PART_OPEN ? "component_open" : this == PART_STUCK ? "component_state" : code();
        }

        /** Several of them, in words. */
        public Message many() {
            return Message.of(this);
        }
    }

    /** How many faults of a kind there are, and how many of them would be seen. */
    public record Count(int all, int seen) {}

    private record TriedFault(PossibleFault kind, Message words, BitSet answers) {}

    /**
     * Computes what a way of testing covers.
     *
     * @param planned what it measures on an assembly, which may be a sample of the nets of this one
     */
    public static CoverageAnalysis of(Assembly assembly, Nets nets, Function<Assembly, List<ProbePlacement>> planned) {
        Assembly sampled = sample(assembly, nets);
        Nets own = sampled.equals(assembly) ? nets : Nets.of(sampled);
        return of(sampled, own, nets.all().size(), planned.apply(sampled));
    }

    /** Computes what measurements cover that were really made. */
    public static CoverageAnalysis ofMade(Assembly assembly, Nets nets, List<ProbePlacement> made) {
        Assembly sampled = sample(assembly, nets);
        Nets own = sampled.equals(assembly) ? nets : Nets.of(sampled);
        Set<Terminal> kept = sampled.equals(assembly) ? Set.copyOf(sampled.terminals()) : wired(sampled);
        List<ProbePlacement> measurements = made.stream()
                .filter(each -> kept.contains(each.black()) && kept.contains(each.red()))
                .map(each -> new ProbePlacement(
                        each.black(),
                        each.red(),
                        each.links().stream()
                                .map(link ->
                                        link.stream().filter(kept::contains).toList())
                                .filter(link -> link.size() > 1)
                                .toList(),
                        each.state(),
                        each.quantity()))
                .toList();
        return of(sampled, own, nets.all().size(), measurements);
    }

    /** The terminals that a sample has a wire, a part or the frame at: at any other one no fault of it can be seen. */
    private static Set<Terminal> wired(Assembly sampled) {
        Set<Terminal> wired = new HashSet<>(sampled.bonded());
        wired.add(Terminal.FRAME);
        sampled.conductors().forEach(each -> wired.addAll(List.of(each.from(), each.to())));
        sampled.components().forEach(each -> wired.addAll(List.of(each.a(), each.b())));
        return wired;
    }

    /** Measurements with their terminals numbered, once for all faults. */
    private static final class NumberedMeasurements {
        private final List<ProbePlacement> all;
        private final Map<Terminal, Integer> number = new HashMap<>();
        private final int[] black;
        private final int[] red;

        NumberedMeasurements(Assembly assembly, List<ProbePlacement> all) {
            this.all = all;
            assembly.terminals().forEach(terminal -> number.putIfAbsent(terminal, number.size()));
            black = all.stream().mapToInt(each -> at(number, each.black())).toArray();
            red = all.stream().mapToInt(each -> at(number, each.red())).toArray();
        }
    }

    private static CoverageAnalysis of(Assembly sampled, Nets own, int ofNets, List<ProbePlacement> measurements) {
        NumberedMeasurements numbered = new NumberedMeasurements(sampled, measurements);
        BitSet good = answers(sampled, numbered, Map.of(), List.of(), Map.of());
        Map<PossibleFault, int[]> counted = new EnumMap<>(PossibleFault.class);
        Map<BitSet, List<Message>> byAnswers = new LinkedHashMap<>();
        for (TriedFault tried : faults(sampled, own, numbered)) {
            int[] count = counted.computeIfAbsent(tried.kind(), any -> new int[2]);
            count[0]++;
            if (!tried.answers().equals(good)) {
                count[1]++;
                byAnswers
                        .computeIfAbsent(tried.answers(), any -> new ArrayList<>())
                        .add(tried.words());
            }
        }
        Map<PossibleFault, Count> counts = new EnumMap<>(PossibleFault.class);
        counted.forEach((kind, count) -> counts.put(kind, new Count(count[0], count[1])));
        List<Message> indistinguishable = byAnswers.values().stream()
                .filter(group -> group.size() > 1)
                .limit(MAX_INDISTINGUISHABLE)
                .map(CoverageAnalysis::indistinguishable)
                .toList();
        return new CoverageAnalysis(
                own.all().size(),
                ofNets,
                counts,
                indistinguishable,
                measurements.stream().anyMatch(ProbePlacement::isUnderVoltage));
    }

    /** The assembly with an even sample of its nets, if there are too many to try all. */
    private static Assembly sample(Assembly assembly, Nets nets) {
        int count = nets.all().size();
        if (count <= MAX_NETS) {
            return assembly;
        }
        List<Conductor> kept = new ArrayList<>();
        for (int i = 0; i < MAX_NETS; i++) {
            kept.addAll(nets.all().get(i * count / MAX_NETS).conductors());
        }
        return new Assembly(
                assembly.name(),
                assembly.kind(),
                "",
                assembly.connectors(),
                assembly.joints(),
                kept,
                assembly.components().stream()
                        .filter(part -> isKept(part.a(), kept) && isKept(part.b(), kept))
                        .toList(),
                List.of(),
                assembly.bonded());
    }

    private static boolean isKept(Terminal end, List<Conductor> kept) {
        return kept.stream()
                .anyMatch(each -> each.from().equals(end) || each.to().equals(end));
    }

    private static List<TriedFault> faults(Assembly assembly, Nets nets, NumberedMeasurements measurements) {
        List<TriedFault> tried = new ArrayList<>();
        List<Conductor> wires = assembly.conductors();
        for (Conductor wire : wires) {
            Map<String, Terminal> cut = new HashMap<>();
            cut.put(wire.id(), wire.from());
            tried.add(new TriedFault(
                    PossibleFault.OPEN,
                    Message.of("coverage_analysis.open", wire.id()),
                    answers(assembly, measurements, cut, List.of(), Map.of())));
        }
        List<Net> all = nets.all().stream().filter(net -> !net.ends().isEmpty()).toList();
        for (int i = 0; i < all.size(); i++) {
            Terminal one = all.get(i).ends().get(0);
            String name = all.get(i).conductors().get(0).id();
            if (!all.get(i).isOnFrame()) {
                tried.add(new TriedFault(
                        PossibleFault.FRAME_SHORT,
                        Message.of("coverage_analysis.frame", name),
                        answers(assembly, measurements, Map.of(), List.of(one, Terminal.FRAME), Map.of())));
            }
            for (int j = i + 1; j < all.size(); j++) {
                if (!(all.get(i).isOnFrame() && all.get(j).isOnFrame())) {
                    Terminal other = all.get(j).ends().get(0);
                    tried.add(new TriedFault(
                            PossibleFault.SHORT,
                            Message.of(
                                    "coverage_analysis.faults",
                                    name,
                                    all.get(j).conductors().get(0).id()),
                            answers(assembly, measurements, Map.of(), List.of(one, other), Map.of())));
                }
            }
        }
        crossed(assembly, nets, measurements, tried);
        for (Component part : assembly.components()) {
            tried.add(new TriedFault(
                    PossibleFault.PART_OPEN,
                    Message.of("coverage_analysis.open", part.id()),
                    answers(assembly, measurements, Map.of(), List.of(), Map.of(part.id(), false))));
            if (part.kind().isContact()) {
                tried.add(new TriedFault(
                        PossibleFault.PART_STUCK,
                        Message.of("coverage_analysis.closed", part.id()),
                        answers(assembly, measurements, Map.of(), List.of(), Map.of(part.id(), true))));
            }
        }
        return tried;
    }

    private static void crossed(
            Assembly assembly, Nets nets, NumberedMeasurements measurements, List<TriedFault> tried) {
        List<Conductor> wires = nets.all().stream()
                .filter(Net::isTwoEnded)
                .map(net -> net.conductors().get(0))
                .toList();
        for (int i = 0; i < wires.size(); i++) {
            for (int j = i + 1; j < wires.size(); j++) {
                Conductor one = wires.get(i);
                Conductor other = wires.get(j);
                if (one.to().isPin() && one.to().connector().equals(other.to().connector())) {
                    Map<String, Terminal> moved = Map.of(one.id(), other.to(), other.id(), one.to());
                    tried.add(new TriedFault(
                            PossibleFault.CROSSED,
                            Message.of("coverage_analysis.crossed", one.id(), other.id()),
                            answers(assembly, measurements, moved, List.of(), Map.of())));
                }
            }
        }
    }

    /**
     * The measurements at which a unit reads joined.
     *
     * @param far where far ends are instead of where they belong; at their own near end if the wire is cut
     * @param bridge two terminals that are joined as well, or none
     * @param parts components that conduct, or do not, whatever the state
     */
    private static BitSet answers(
            Assembly assembly,
            NumberedMeasurements measurements,
            Map<String, Terminal> far,
            List<Terminal> bridge,
            Map<String, Boolean> parts) {
        Patience.check();
        Map<Terminal, Integer> number = measurements.number;
        BitSet joined = new BitSet(measurements.all.size());
        IdentityHashMap<SwitchState, Groups> free =
                new IdentityHashMap<>(); // the states of one assembly, asked for at every measurement
        for (int i = 0; i < measurements.all.size(); i++) {
            ProbePlacement each = measurements.all.get(i);
            Groups groups = each.links().isEmpty()
                    ? free.computeIfAbsent(each.state(), state -> groups(assembly, number, far, bridge, parts, state))
                    : groups(assembly, number, far, bridge, parts, each.state());
            each.links().forEach(link -> link.forEach(terminal -> join(groups, number, link.get(0), terminal)));
            boolean onDiodeRange = each.quantity() == Quantity.FORWARD_VOLTAGE;
            joined.set(
                    i,
                    groups.of(measurements.black[i]) == groups.of(measurements.red[i])
                            || (onDiodeRange && throughDiode(assembly, measurements, i, groups, parts)));
        }
        return joined;
    }

    /** Whether a diode by itself conducts from the red probe to the black one. */
    private static boolean throughDiode(
            Assembly assembly, NumberedMeasurements measurements, int i, Groups groups, Map<String, Boolean> parts) {
        return assembly.components().stream()
                .anyMatch(part -> part.kind() == Component.ComponentKind.DIODE
                        && parts.getOrDefault(part.id(), true)
                        && groups.of(at(measurements.number, part.a())) == groups.of(measurements.red[i])
                        && groups.of(at(measurements.number, part.b())) == groups.of(measurements.black[i]));
    }

    private static Groups groups(
            Assembly assembly,
            Map<Terminal, Integer> number,
            Map<String, Terminal> far,
            List<Terminal> bridge,
            Map<String, Boolean> parts,
            SwitchState state) {
        Groups groups = new Groups(number.size());
        for (Conductor conductor : assembly.conductors()) {
            join(groups, number, conductor.from(), far.getOrDefault(conductor.id(), conductor.to()));
        }
        for (Component part : assembly.components()) {
            boolean conducts = parts.getOrDefault(part.id(), part.conductsIn(state));
            if (conducts && part.kind() != Component.ComponentKind.DIODE) {
                join(groups, number, part.a(), part.b());
            }
        }
        assembly.bonded().forEach(terminal -> join(groups, number, terminal, Terminal.FRAME));
        bridge.forEach(terminal -> join(groups, number, bridge.get(0), terminal));
        return groups;
    }

    private static void join(Groups groups, Map<Terminal, Integer> number, Terminal a, Terminal b) {
        groups.join(at(number, a), at(number, b));
    }

    private static int at(Map<Terminal, Integer> number, Terminal terminal) {
        Integer found = number.get(terminal);
        if (found == null) {
            throw new IllegalArgumentException("Terminal " + terminal + " is not part of the assembly.");
        }
        return found;
    }

    private static Message indistinguishable(List<Message> group) {
        List<Message> first = group.subList(0, Math.min(4, group.size()));
        return Message.of("coverage_analysis.alike", first, group.size() - first.size());
    }

    /** What they would miss, in plain words. */
    public List<Message> blindSpots() {
        List<Message> words = new ArrayList<>();
        for (PossibleFault kind : PossibleFault.values()) {
            Count count = counts.getOrDefault(kind, new Count(0, 0));
            if (count.all() > 0 && count.seen() == 0) {
                words.add(Message.of("coverage_analysis.blind", kind));
            } else if (count.seen() < count.all()) {
                words.add(Message.of("coverage_analysis.sees", count.seen(), count.all(), kind));
            }
        }
        if (!indistinguishable.isEmpty()) {
            words.add(Message.of("coverage_analysis.some_faults_give_same", indistinguishable.get(0)));
        }
        if (nets < ofNets) {
            words.add(Message.of("coverage_analysis.computed_on_nets_evenly", nets, ofNets));
        }
        if (!insulation) {
            words.add(Message.of("coverage_analysis.resistance_only_insulation_contacts"));
        }
        return words;
    }
}
