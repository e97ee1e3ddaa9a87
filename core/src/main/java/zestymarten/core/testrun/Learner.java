package zestymarten.core.testrun;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import zestymarten.core.limit.LearntResistance;
import zestymarten.core.quantity.Ohms;

/** Learns what a good unit reads from several that were found good: a limit for wires of which nothing else is known. */
public final class Learner {
    private static final int FEWEST = 3;

    private Learner() {}

    /**
     * What the wires read, by conductor, in design order; only those that were read on three units at least.
     *
     * @param good the tests of different units of one design that were found good, one of each
     */
    public static Map<String, LearntResistance> of(List<TestRun> good) {
        Map<String, List<Ohms>> read = new LinkedHashMap<>();
        for (TestRun test : good) {
            WireOhms.of(test)
                    .forEach((wire, one) ->
                            read.computeIfAbsent(wire, any -> new ArrayList<>()).add(Ohms.of(one.ohm())));
        }
        Map<String, LearntResistance> learnt = new LinkedHashMap<>();
        read.forEach((wire, ohms) -> {
            if (ohms.size() >= FEWEST) {
                learnt.put(wire, LearntResistance.of(ohms));
            }
        });
        return learnt;
    }
}
