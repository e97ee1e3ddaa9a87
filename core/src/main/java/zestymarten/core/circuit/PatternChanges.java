package zestymarten.core.circuit;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.network.Change;

/** What a pattern does to the edges. */
final class PatternChanges extends SameForAll<List<Change>> {
    private static final double[] NONE = {};

    private final Circuit circuit;

    private final Map<ConductorRole, double[]> ohms = new EnumMap<>(ConductorRole.class);

    PatternChanges(Circuit circuit) {
        super(List.of());
        this.circuit = circuit;
        for (ConductorRole role : circuit.roles()) {
            ohms.put(
                    role,
                    circuit.stretches().stream()
                            .mapToDouble(each -> each.ohm(role, circuit.celsius()))
                            .toArray());
        }
    }

    @Override
    public List<Change> broken(Pattern.ConductorBroken pattern) {
        return List.of(new Change.Removed(
                from(pattern.role(), pattern.stretch()),
                to(pattern.role(), pattern.stretch()),
                ohm(pattern.role(), pattern.stretch())));
    }

    @Override
    public List<Change> cut(Pattern.CableCut pattern) {
        return each(role -> new Change.Removed(
                from(role, pattern.stretch()), to(role, pattern.stretch()), ohm(role, pattern.stretch())));
    }

    @Override
    public List<Change> parallelEarth(Pattern.ParallelEarth pattern) {
        return List.of(new Change.Added(
                circuit.node(ConductorRole.PROTECTIVE, pattern.from()),
                circuit.node(ConductorRole.PROTECTIVE, pattern.to()),
                pattern.ohm()));
    }

    @Override
    public List<Change> loose(Pattern.Loose pattern) {
        double was = ohm(pattern.role(), pattern.stretch());
        return List.of(new Change.Altered(
                from(pattern.role(), pattern.stretch()),
                to(pattern.role(), pattern.stretch()),
                was,
                was + pattern.ohm()));
    }

    @Override
    public List<Change> onSpur(Pattern.OnSpur pattern) {
        return each(role -> new Change.Altered(
                Circuit.behind(role, pattern.point()),
                Circuit.at(role, pattern.point()),
                Circuit.CONTACT_OHM,
                Circuit.CONTACT_OHM + cable(role, pattern.metres())));
    }

    @Override
    public List<Change> interconnected(Pattern.Interconnected pattern) {
        return each(role -> new Change.Added(
                circuit.node(role, pattern.from()), circuit.node(role, pattern.to()), cable(role, pattern.metres())));
    }

    @Override
    public List<Change> swapped(Pattern.Swapped pattern) {
        return List.of(
                contact(pattern.a(), pattern.point()),
                contact(pattern.b(), pattern.point()),
                new Change.Added(
                        Circuit.behind(pattern.a(), pattern.point()),
                        Circuit.at(pattern.b(), pattern.point()),
                        Circuit.CONTACT_OHM),
                new Change.Added(
                        Circuit.behind(pattern.b(), pattern.point()),
                        Circuit.at(pattern.a(), pattern.point()),
                        Circuit.CONTACT_OHM));
    }

    @Override
    public List<Change> missing(Pattern.Missing pattern) {
        return List.of(contact(pattern.role(), pattern.point()));
    }

    private static Change contact(ConductorRole role, String point) {
        return new Change.Removed(Circuit.behind(role, point), Circuit.at(role, point), Circuit.CONTACT_OHM);
    }

    private List<Change> each(Function<ConductorRole, Change> change) {
        return circuit.roles().stream().map(change).toList();
    }

    private Terminal from(ConductorRole role, int stretch) {
        return circuit.node(role, stretch);
    }

    private Terminal to(ConductorRole role, int stretch) {
        return circuit.node(role, stretch + 1);
    }

    double ohm(ConductorRole role, int stretch) {
        return ohms.getOrDefault(role, NONE)[stretch];
    }

    /** Cable that nobody drew is taken to be like the first stretch. */
    private double cable(ConductorRole role, double metres) {
        return ohm(role, 0) * metres / circuit.stretches().get(0).metres();
    }
}
