package zestymarten.core.testplan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Connector;

/** Connectors that take time or may do harm to reach: what needs none of them comes first, then the cheapest. */
final class AccessOrder {
    private final List<Connector> priced;

    AccessOrder(Assembly assembly) {
        priced = assembly.connectors().stream()
                .filter(each -> each.reach().isPriced())
                .sorted(Comparator.comparing((Connector each) -> each.reach().harm())
                        .thenComparing(each -> each.reach().minutes()))
                .toList();
    }

    /** The connectors, the cheapest first. */
    List<Connector> priced() {
        return priced;
    }

    /** What needs no dismantling comes first; each cover is opened once, the cheapest first. */
    List<TestStep> reachedInTurn(List<TestStep.Measurement> measurements) {
        List<TestStep> steps = new ArrayList<>();
        for (int rank = -1; rank < priced.size(); rank++) {
            int now = rank;
            if (rank >= 0) {
                steps.add(new TestStep.ManualStep(
                        ManualAction.ACCESS, priced.get(rank).id()));
            }
            measurements.stream()
                    .filter(measurement -> rank(measurement) == now)
                    .forEach(steps::add);
        }
        return steps;
    }

    private int rank(TestStep.Measurement measurement) {
        int rank = -1;
        for (int i = 0; i < priced.size(); i++) {
            String connector = priced.get(i).id();
            boolean needs = measurement.black().connector().equals(connector)
                    || measurement.red().connector().equals(connector);
            rank = needs ? i : rank;
        }
        return rank;
    }
}
