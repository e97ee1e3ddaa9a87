package zestymarten.core.fault;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.network.Change;
import zestymarten.core.network.WhatIf;

/**
 * A unit with faults: the network of a good one with the edges changed that the faults name. Safe to share. Cost: a
 * reading costs the square of the number of faults, not the size of the unit, see {@link WhatIf}.
 */
public final class FaultyUnit {
    private static final double BYPASS = 0.01;

    /** What a meter drives through a diode. */
    private static final double DRIVE_A = 1e-3;

    private static final double SILICON_V = 0.58;

    /** Beyond it a meter's diode range shows over-range. */
    private static final double TOP_V = 2.5;

    private final GoodUnit good;
    private final List<SeededFault> faults;

    private FaultyUnit(GoodUnit good, List<SeededFault> faults) {
        this.good = good;
        this.faults = List.copyOf(faults);
    }

    /**
     * A unit with faults.
     *
     * @param faults no two of the same conductor or component, but for shorts
     */
    public static FaultyUnit of(GoodUnit good, List<SeededFault> faults) {
        return new FaultyUnit(good, faults);
    }

    public List<SeededFault> faults() {
        return faults;
    }

    /** The same piece with other faults. */
    public FaultyUnit with(List<SeededFault> others) {
        return new FaultyUnit(good, others);
    }

    /** What an ideal ohmmeter reads; empty where there is no path. */
    public OptionalDouble ohms(Terminal a, Terminal b, SwitchState state, List<List<Terminal>> links) {
        List<Change> changed =
                faults.stream().flatMap(fault -> changes(fault, state)).toList();
        return changed.isEmpty()
                ? good.network(state, links).nominal(a, b)
                : WhatIf.of(good.network(state, links), changed).between(a, b);
    }

    /**
     * What the diode range of an ideal meter shows, in volts; empty for over-range.
     *
     * @param red from which the meter drives its current
     */
    public OptionalDouble forwardV(Terminal black, Terminal red, SwitchState state) {
        OptionalDouble beside = ohms(black, red, state, List.of());
        DoubleStream diodes = good.design().assembly().components().stream()
                .filter(part -> part.kind() == Component.ComponentKind.DIODE && !isOpen(part))
                .filter(part -> isOne(red, part.a(), state) && isOne(part.b(), black, state))
                .mapToDouble(part -> part.forwardV().orElse(SILICON_V));
        return DoubleStream.concat(diodes, beside.stream().map(ohm -> ohm * DRIVE_A))
                .filter(volts -> volts < TOP_V)
                .min();
    }

    private boolean isOpen(Component part) {
        return faults.stream()
                .anyMatch(fault -> fault instanceof SeededFault.PartOpen open
                        && open.component().equals(part.id()));
    }

    private boolean isOne(Terminal one, Terminal two, SwitchState state) {
        return one.equals(two) || ohms(one, two, state, List.of()).isPresent();
    }

    private Stream<Change> changes(SeededFault fault, SwitchState state) {
        return fault.fold(new SeededFault.FaultCases<>(
                open -> removed(open.conductor()),
                high -> altered(high),
                jumping -> Stream.of(),
                shorted -> Stream.of(new Change.Added(shorted.a(), shorted.b(), shorted.ohm())),
                this::moved,
                unbonded -> Stream.of(new Change.Removed(unbonded.terminal(), Terminal.FRAME, good.bondOhm())),
                open -> partOpen(open.component(), state),
                shorted -> partShort(shorted.component()),
                value -> partValue(value, state),
                stuck -> partStuck(stuck, state)));
    }

    private Stream<Change> removed(String conductor) {
        Conductor wire = good.design().conductor(conductor);
        return Stream.of(new Change.Removed(wire.from(), wire.to(), good.ohm(wire)));
    }

    private Stream<Change> altered(SeededFault.High high) {
        Conductor wire = good.design().conductor(high.conductor());
        double ohm = good.ohm(wire);
        return Stream.of(new Change.Altered(wire.from(), wire.to(), ohm, ohm + high.ohm()));
    }

    private Stream<Change> moved(SeededFault.Moved moved) {
        List<Change> changed = new ArrayList<>();
        moved.cavities().forEach((id, cavity) -> {
            Conductor wire = good.design().conductor(id);
            changed.add(new Change.Removed(wire.from(), wire.to(), good.ohm(wire)));
            changed.add(new Change.Added(wire.from(), cavity, good.ohm(wire)));
        });
        return changed.stream();
    }

    private Stream<Change> partOpen(String component, SwitchState state) {
        return good.part(component).stream()
                .filter(part -> part.conductsIn(state))
                .map(part -> new Change.Removed(part.a(), part.b(), good.ohm(part)));
    }

    private Stream<Change> partShort(String component) {
        return good.design().assembly().components().stream()
                .filter(part -> part.id().equals(component))
                .map(part -> new Change.Added(part.a(), part.b(), BYPASS));
    }

    private Stream<Change> partValue(SeededFault.PartValue value, SwitchState state) {
        return good.part(value.component()).stream()
                .filter(part -> part.conductsIn(state))
                .map(part -> new Change.Altered(part.a(), part.b(), good.ohm(part), good.ohm(part) * value.times()));
    }

    private Stream<Change> partStuck(SeededFault.PartStuck stuck, SwitchState state) {
        return good.part(stuck.component()).stream()
                .filter(part -> part.conductsIn(state) != stuck.closed())
                .map(part -> stuck.closed()
                        ? new Change.Added(part.a(), part.b(), good.ohm(part))
                        : new Change.Removed(part.a(), part.b(), good.ohm(part)));
    }
}
