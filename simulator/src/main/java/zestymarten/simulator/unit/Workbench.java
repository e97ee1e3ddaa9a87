package zestymarten.simulator.unit;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import zestymarten.core.assembly.Terminal;

/**
 * The bench: the unit on it, what is arranged, where the two probes are, and the test leads between them and the meter. One
 * technician's at a time; safe to share among the instruments that stand on it.
 */
public final class Workbench {
    private static final double DRIFT = 0.02;

    private final Function<String, Optional<BenchUnit>> shelf;
    private final RandomGenerator random;
    private final double leadsOhm;
    private Optional<BenchUnit> unit = Optional.empty();
    private Setting setting = Setting.AS_FOUND;
    private Optional<Probes> probes = Optional.empty();
    private double path;
    private boolean plugged;
    private boolean joined;
    private boolean leadBroken;
    private boolean live;

    /** Where the two probes are. */
    private record Probes(Terminal black, Terminal red) {}

    /**
     * An empty bench.
     *
     * @param shelf the units that can be put on it, by what they are called
     * @param leadsOhm what the test leads have, in ohms; it drifts by a fiftieth
     */
    public Workbench(Function<String, Optional<BenchUnit>> shelf, double leadsOhm, RandomGenerator random) {
        this.shelf = shelf;
        this.leadsOhm = leadsOhm;
        this.random = random;
    }

    /** Puts a unit on the bench, as found; whether there is one of that name. One that is there already stays as it is. */
    public synchronized boolean put(String name) {
        Optional<BenchUnit> found = shelf.apply(name);
        if (found.isPresent() && !found.equals(unit)) {
            unit = found;
            setting = Setting.AS_FOUND;
            probes = Optional.empty();
        }
        return found.isPresent();
    }

    /** Changes what is arranged. */
    public synchronized void arrange(Function<Setting, Setting> change) {
        setting = change.apply(setting);
    }

    /** Puts the probes on two terminals; whether both are there. */
    public synchronized boolean measurement(Terminal black, Terminal red) {
        path = 0;
        return reach(black, red);
    }

    private boolean reach(Terminal black, Terminal red) {
        joined = false;
        boolean there = unit.map(each -> has(each, black) && has(each, red)).orElse(false);
        probes = there ? Optional.of(new Probes(black, red)) : Optional.empty();
        return there;
    }

    private static boolean has(BenchUnit unit, Terminal terminal) {
        return terminal.isFrame() || unit.good().design().assembly().terminals().contains(terminal);
    }

    /**
     * Connects all of one side together to the black probe, and all of the other to the red one; an empty side hangs in the
     * air.
     *
     * @param pathOhm what the relays and wires to both sides have, in ohms
     */
    public synchronized void connect(List<Terminal> black, List<Terminal> red, double pathOhm) {
        joined = false;
        path = pathOhm;
        setting = setting.linked(
                Stream.of(black, red).filter(each -> each.size() > 1).toList());
        probes = Optional.empty();
        if (!black.isEmpty() && !red.isEmpty()) {
            reach(black.get(0), red.get(0));
        }
    }

    /** Puts a plug that joins all points in the place of the unit, or takes it off. */
    public synchronized void plug(boolean on) {
        plugged = on;
    }

    /** Says whether a test voltage is on the probes. */
    public synchronized void live(boolean on) {
        live = on;
    }

    public synchronized boolean isLive() {
        return live;
    }

    /** Holds the probes together. */
    public synchronized void join() {
        joined = true;
    }

    /** Takes the probes off. */
    public synchronized void lift() {
        joined = false;
        probes = Optional.empty();
    }

    /** Breaks a test lead, or repairs it. */
    public synchronized void breakLead(boolean broken) {
        leadBroken = broken;
    }

    /** What the diode range shows between the meter's jacks, in volts; empty for over-range. */
    public synchronized OptionalDouble forwardV() {
        if (leadBroken || probes.isEmpty() || unit.isEmpty()) {
            return joined && !leadBroken ? OptionalDouble.of(0) : OptionalDouble.empty();
        }
        return joined
                ? OptionalDouble.of(0)
                : unit.get().forwardV(probes.get().black(), probes.get().red(), setting, random);
    }

    /** What stands between the meter's jacks, leads included; empty for nothing. */
    public synchronized OptionalDouble ohms() {
        double leads = leadsOhm * (1 + DRIFT * (2 * random.nextDouble() - 1));
        if (leadBroken) {
            return OptionalDouble.empty();
        }
        if (joined) {
            return OptionalDouble.of(leads);
        }
        OptionalDouble between = probes.isPresent() && unit.isPresent()
                ? unit.get().ohms(probes.get().black(), probes.get().red(), setting, random)
                : OptionalDouble.empty();
        if (plugged) {
            return probes.isPresent() ? OptionalDouble.of(leads + path) : OptionalDouble.empty();
        }
        return between.isPresent() ? OptionalDouble.of(between.getAsDouble() + leads + path) : between;
    }

    /** Resistance of the insulation between the probes after so many seconds; beyond everything where nothing is between them. */
    public synchronized double insulationOhm(double seconds) {
        if (leadBroken || probes.isEmpty() || unit.isEmpty()) {
            return joined && !leadBroken ? 0 : Double.POSITIVE_INFINITY;
        }
        return unit.get().insulation(probes.get().black(), probes.get().red(), setting, seconds, random);
    }

    /** The voltage at which what is between the probes breaks down; empty where it does not. */
    public synchronized OptionalDouble breakdownV() {
        return leadBroken || probes.isEmpty() || unit.isEmpty()
                ? OptionalDouble.empty()
                : unit.get().breakdownV(probes.get().black(), probes.get().red(), setting, random);
    }

    /** Metres of wire on the black probe; 0 where none hangs on it. */
    public synchronized double metres() {
        return leadBroken || probes.isEmpty() || unit.isEmpty()
                ? 0
                : unit.get().metres(probes.get().black(), setting);
    }
}
