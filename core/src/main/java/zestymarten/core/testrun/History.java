package zestymarten.core.testrun;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import zestymarten.core.quantity.Median;

/**
 * What the wires of one unit read from test to test.
 *
 * <p>Rule: a wire has risen whose last reading is more than a tenth above the median of those before it, and by more than
 * the doubt of two readings: it passes, and will not for long. Cost: wires times tests.
 *
 * @param wires in the order of the newest design; only those with two readings at least
 */
public record History(List<WireHistory> wires) {
    private static final double RISES_BY = 1.1;

    /**
     * One wire.
     *
     * @param ohms at 20 °C, a place for each test, the oldest first
     * @param usualOhm the median of all but the last reading
     * @param risen whether the last one stands out above it
     */
    public record WireHistory(String id, List<OptionalDouble> ohms, double usualOhm, boolean risen) {
        public WireHistory {
            ohms = List.copyOf(ohms);
        }
    }

    public History {
        wires = List.copyOf(wires);
    }

    /** From the tests of a unit, the oldest first. */
    public static History of(List<TestRun> tests) {
        List<Map<String, WireOhms.WireResistance>> read =
                tests.stream().map(WireOhms::of).toList();
        Set<String> names = new LinkedHashSet<>();
        for (int i = read.size() - 1; i >= 0; i--) {
            names.addAll(read.get(i).keySet());
        }
        return new History(
                names.stream().flatMap(name -> wire(name, read).stream()).toList());
    }

    private static Optional<WireHistory> wire(String name, List<Map<String, WireOhms.WireResistance>> read) {
        List<OptionalDouble> ohms = new ArrayList<>();
        List<WireOhms.WireResistance> there = new ArrayList<>();
        for (Map<String, WireOhms.WireResistance> test : read) {
            WireOhms.WireResistance one = test.get(name);
            ohms.add(one == null ? OptionalDouble.empty() : OptionalDouble.of(one.ohm()));
            if (one != null) {
                there.add(one);
            }
        }
        if (there.size() < 2) {
            return Optional.empty();
        }
        WireOhms.WireResistance last = there.get(there.size() - 1);
        double usual = Median.of(there.subList(0, there.size() - 1).stream().mapToDouble(WireOhms.WireResistance::ohm));
        boolean risen = last.ohm() > RISES_BY * usual && last.ohm() - usual > Math.sqrt(2) * last.uncertaintyOhm();
        return Optional.of(new WireHistory(name, ohms, usual, risen));
    }
}
