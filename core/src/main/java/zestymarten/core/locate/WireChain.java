package zestymarten.core.locate;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Joint;
import zestymarten.core.assembly.Terminal;

/**
 * The chain that a wire is part of: everything in a row from one probe point to another that no branch leaves, with where a
 * fault is likely.
 *
 * <p>Method: from the wire on to both sides, as long as exactly two conductors or parts meet at a terminal. Likelihood is
 * relative: an end where a wire enters a shell or a splice {@value #ENTRY}, a run 1 for every metre up to {@value #MAX_RUN}, both
 * times {@value #HARD} in a zone that flexes, or is hot or wet, and times {@value #MARKED} where a reading jumped. Source: rule of
 * thumb, as in the diagnosis. Cost: linear in the chain.
 */
public record WireChain(Terminal start, List<Part> parts) {
    private static final double ENTRY = 4;
    private static final double MAX_RUN = 3;
    private static final double HARD = 3;
    private static final double MARKED = 20;
    private static final double MEASUREMENT_S = 5;
    private static final double MINUTE_S = 60;
    private static final Set<String> HARD_ZONES = Set.of("flexing", "hot", "wet");

    public WireChain {
        parts = List.copyOf(parts);
    }

    /**
     * A conductor or a part of the chain, in the chain's direction.
     *
     * @param lengthM 0 where it is not known, or there is none
     * @param zone it runs in; empty for none
     * @param entry likelihood of its first end, {@code run} of what lies between, {@code exit} of its last end
     * @param probed whether a probe reaches its last end
     */
    public record Part(
            String name,
            Terminal to,
            double lengthM,
            String zone,
            double entry,
            double run,
            double exit,
            double maxOhm,
            boolean probed,
            double seconds) {
        double likelihood() {
            return entry + run + exit;
        }
    }

    /** An edge of the chain on the way from one of its ends. */
    private record ChainEdge(String name, Terminal from, Terminal to, Optional<Conductor> wire) {
        ChainEdge turned() {
            return new ChainEdge(name, to, from, wire);
        }
    }

    /**
     * The chain of a wire.
     *
     * @param jumps zones and connectors at which a reading of this wire jumped
     */
    public static WireChain of(Design design, Conductor wire, Set<String> jumps) {
        List<ChainEdge> all = new ArrayList<>();
        for (Conductor each : design.assembly().conductors()) {
            all.add(new ChainEdge(each.id(), each.from(), each.to(), Optional.of(each)));
        }
        for (Component each : design.assembly().components()) {
            if (each.kind() != Component.ComponentKind.DIODE && !each.kind().isContact()) {
                all.add(new ChainEdge(each.id(), each.a(), each.b(), Optional.empty()));
            }
        }
        ChainEdge own = new ChainEdge(wire.id(), wire.from(), wire.to(), Optional.of(wire));
        Set<String> seen = new HashSet<>(Set.of(wire.id()));
        List<ChainEdge> back = on(all, own.turned(), seen);
        List<ChainEdge> chain = new ArrayList<>();
        for (int i = back.size() - 1; i > 0; i--) {
            chain.add(back.get(i).turned());
        }
        chain.addAll(on(all, own, seen));
        return new WireChain(
                chain.get(0).from(),
                chain.stream().map(each -> part(design, each, jumps)).toList());
    }

    private static List<ChainEdge> on(List<ChainEdge> all, ChainEdge first, Set<String> seen) {
        List<ChainEdge> chain = new ArrayList<>(List.of(first));
        boolean grown = true;
        while (grown) {
            Terminal end = chain.get(chain.size() - 1).to();
            List<ChainEdge> here = all.stream()
                    .filter(each -> each.from().equals(end) || each.to().equals(end))
                    .toList();
            Optional<ChainEdge> next = here.size() == 2 && !end.isFrame()
                    ? here.stream().filter(each -> seen.add(each.name())).findFirst()
                    : Optional.empty();
            next.ifPresent(each -> chain.add(each.from().equals(end) ? each : each.turned()));
            grown = next.isPresent();
        }
        return chain;
    }

    private static Part part(Design design, ChainEdge edge, Set<String> jumps) {
        String zone = edge.wire().flatMap(Conductor::zone).orElse("");
        double length = edge.wire().map(each -> each.lengthM().orElse(0)).orElse(0.0);
        double hard = HARD_ZONES.contains(zone) ? HARD : 1;
        double run = Math.min(MAX_RUN, Math.max(1, length)) * hard * (jumps.contains(zone) ? MARKED : 1);
        boolean probed = design.assembly().joints().stream()
                .filter(each -> each.terminal().equals(edge.to()))
                .findFirst()
                .map(Joint::probe)
                .orElse(true);
        double minutes = design.assembly()
                .connector(edge.to().connector())
                .map(each -> each.reach().minutes())
                .orElse(0.0);
        return new Part(
                edge.name(),
                edge.to(),
                length,
                zone,
                ENTRY * hard * mark(edge.from(), jumps),
                run,
                ENTRY * hard * mark(edge.to(), jumps),
                design.expectation(edge.from(), edge.to())
                        .fold(
                                joined -> joined.limit().high().value(),
                                () -> design.limits()
                                        .of(edge.wire().orElseThrow())
                                        .high()
                                        .value()),
                probed,
                MEASUREMENT_S + MINUTE_S * minutes);
    }

    private static double mark(Terminal end, Set<String> jumps) {
        return jumps.contains(end.connector()) ? MARKED : 1;
    }

    private static String point(Part part) {
        return part.to().name();
    }

    /** The stretches from one point that a probe reaches to the next. */
    public Chain chain() {
        List<Chain.ChainStretch> stretches = new ArrayList<>();
        List<String> names = new ArrayList<>();
        double likelihood = 0;
        double maximum = 0;
        for (int i = 0; i < parts.size(); i++) {
            Part part = parts.get(i);
            names.add(part.name());
            likelihood += part.likelihood();
            maximum += part.maxOhm();
            if (part.probed() || i == parts.size() - 1) {
                String name = String.join(" ", names);
                stretches.add(new Chain.ChainStretch(name, point(part), likelihood, maximum, part.seconds()));
                names.clear();
                likelihood = 0;
                maximum = 0;
            }
        }
        return new Chain(stretches);
    }
}
