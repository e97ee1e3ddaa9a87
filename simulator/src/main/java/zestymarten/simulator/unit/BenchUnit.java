package zestymarten.simulator.unit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.fault.FaultyUnit;
import zestymarten.core.fault.GoodUnit;
import zestymarten.core.fault.SeededFault;

/**
 * A unit with flaws, as physics has it: what an ideal ohmmeter reads, and what its insulation does under voltage. Safe to
 * share.
 *
 * <p>Method: the flaws that show in a setting become faults of the network, which then answers exactly. Insulation is
 * resistances beside it: those whose two sides the voltage is across add as conductances; each grows from one minute to ten by
 * its absorption, as a power of the time. Sound insulation is {@value #SOUND_OHM} ohm. Cost: that of {@link FaultyUnit}.
 */
public final class BenchUnit {
    /** Sound insulation, after a minute. */
    public static final double SOUND_OHM = 5e10;

    private static final double SOUND_ABSORPTION = 2;

    private final GoodUnit good;
    private final List<Flaw> flaws;

    public BenchUnit(GoodUnit good, List<Flaw> flaws) {
        this.good = good;
        this.flaws = List.copyOf(flaws);
    }

    public GoodUnit good() {
        return good;
    }

    public List<Flaw> flaws() {
        return flaws;
    }

    /** The same piece with other flaws: after a repair. */
    public BenchUnit with(List<Flaw> others) {
        return new BenchUnit(good, others);
    }

    private SwitchState state(Setting setting) {
        List<SwitchState> states = good.design().assembly().states();
        return states.stream()
                .filter(each -> each.id().equals(setting.state()))
                .findFirst()
                .orElse(states.get(0));
    }

    /**
     * What an ideal ohmmeter reads between two terminals; empty where there is no path.
     *
     * @param random for contacts that drift
     */
    public OptionalDouble ohms(Terminal black, Terminal red, Setting setting, RandomGenerator random) {
        boolean oxidised = flaws.stream()
                .anyMatch(flaw -> flaw instanceof Flaw.Oxide oxide
                        && !setting.scraped().contains(oxide.contact())
                        && (oxide.contact().equals(black) || oxide.contact().equals(red)));
        if (oxidised) {
            return OptionalDouble.empty();
        }
        return shown(setting, random).ohms(black, red, state(setting), setting.links());
    }

    /** What the diode range of an ideal meter shows, in volts; empty for over-range. */
    public OptionalDouble forwardV(Terminal black, Terminal red, Setting setting, RandomGenerator random) {
        return shown(setting, random).forwardV(black, red, state(setting));
    }

    /** The unit with the faults that show in a setting. */
    private FaultyUnit shown(Setting setting, RandomGenerator random) {
        List<SeededFault> faults = flaws.stream()
                .flatMap(flaw -> flaw.fold(new Flaw.Cases<>(
                        wired -> Stream.of(wired.fault()),
                        oxide -> Stream.<SeededFault>of(),
                        drifting -> Stream.of(new SeededFault.High(
                                drifting.conductor(), Math.max(1e-6, drifting.maxOhm() * random.nextDouble()))),
                        loose -> setting.bent().filter(loose.place()::equals).isPresent()
                                ? Stream.of(new SeededFault.Open(loose.conductor()))
                                : Stream.of(),
                        open -> state(setting).id().equals(open.state())
                                ? Stream.of(new SeededFault.Open(open.conductor()))
                                : Stream.of(),
                        weak -> Stream.of(),
                        breaks -> Stream.of())))
                .map(SeededFault.class::cast)
                .toList();
        return FaultyUnit.of(good, faults);
    }

    /**
     * Resistance of the insulation between a terminal and another, or the frame, after so many seconds under voltage; what is linked
     * to either counts with it. Resistance of the network where there is a path through it.
     */
    public double insulation(Terminal a, Terminal b, Setting setting, double seconds, RandomGenerator random) {
        OptionalDouble through = ohms(a, b, setting, random);
        if (through.isPresent()) {
            return through.getAsDouble();
        }
        double siemens = 1 / grown(SOUND_OHM, SOUND_ABSORPTION, seconds);
        for (Flaw flaw : flaws) {
            if (flaw instanceof Flaw.Weak weak && isAcross(weak.a(), weak.b(), a, b, setting, random)) {
                double ohm = weak.ohm() * (setting.wet() ? weak.wetShare() : 1);
                siemens += 1 / grown(ohm, weak.absorption(), seconds);
            }
        }
        return 1 / siemens;
    }

    /** Resistance that grows as a power of time, so that ten minutes make {@code absorption} times one of it. */
    private static double grown(double afterAMinute, double absorption, double seconds) {
        return afterAMinute * Math.pow(Math.max(1, seconds) / 60, Math.log10(absorption));
    }

    /** The lowest voltage at which the insulation between two terminals breaks down; empty where it does not. */
    public OptionalDouble breakdownV(Terminal a, Terminal b, Setting setting, RandomGenerator random) {
        return flaws.stream()
                .filter(flaw ->
                        flaw instanceof Flaw.Breaks breaks && isAcross(breaks.a(), breaks.b(), a, b, setting, random))
                .mapToDouble(flaw -> ((Flaw.Breaks) flaw).volts())
                .min();
    }

    private boolean isAcross(
            Terminal end, Terminal other, Terminal a, Terminal b, Setting setting, RandomGenerator random) {
        return (isOne(end, a, setting, random) && isOne(other, b, setting, random))
                || (isOne(end, b, setting, random) && isOne(other, a, setting, random));
    }

    private boolean isOne(Terminal one, Terminal two, Setting setting, RandomGenerator random) {
        return one.equals(two)
                || shown(setting, random)
                        .ohms(one, two, state(setting), setting.links())
                        .isPresent();
    }

    /** Metres of wire that hang on a terminal, what is linked to it included; 0 where no length is known. */
    public double metres(Terminal terminal, Setting setting) {
        Set<Terminal> ends = new java.util.LinkedHashSet<>(List.of(terminal));
        setting.links().stream().filter(link -> link.contains(terminal)).forEach(ends::addAll);
        List<Conductor> wires = new ArrayList<>();
        for (Terminal end : ends) {
            good.design().nets().of(end).ifPresent(net -> wires.addAll(net.conductors()));
        }
        return wires.stream()
                .distinct()
                .flatMap(each -> Optional.of(each.lengthM().orElse(0)).stream())
                .mapToDouble(each -> each)
                .sum();
    }
}
