package zestymarten.core.testplan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import zestymarten.core.quantity.NotAccepted;

/**
 * In which order a run goes through its stages and its wires.
 *
 * @param movable every stage of {@link #MOVABLE} once; whatever is done before or after them has its fixed place, so that
 *     insulation never comes before continuity, and the withstand test last
 * @param first conductors that are rung out before all others, by their names
 */
public record Order(List<Stage> movable, List<String> first) {
    /** The stages that may change places. */
    public static final List<Stage> MOVABLE =
            List.of(Stage.CONTINUITY, Stage.SHORTS, Stage.FRAME, Stage.WIGGLE, Stage.PARTS);

    /** The order of the job. */
    public static final Order USUAL = new Order(MOVABLE, List.of());

    public Order {
        movable = List.copyOf(movable);
        first = List.copyOf(first);
        if (movable.size() != MOVABLE.size() || !new HashSet<>(movable).equals(new HashSet<>(MOVABLE))) {
            throw new NotAccepted("order.order_name_each", movable, MOVABLE);
        }
        if (new HashSet<>(first).size() != first.size()) {
            throw new NotAccepted("order.wires_that_come", first);
        }
    }

    /** Every stage in this order. */
    public List<Stage> stages() {
        List<Stage> stages = new ArrayList<>(Arrays.asList(Stage.values()));
        int at = stages.indexOf(MOVABLE.get(0));
        stages.removeAll(MOVABLE);
        stages.addAll(at, movable);
        return stages;
    }

    boolean isBefore(Stage earlier, Stage later) {
        return movable.indexOf(earlier) < movable.indexOf(later);
    }
}
