package zestymarten.web.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;

/** The order of the right column's lanes that leaves the fewest crossings. */
final class LaneOrder {
    /** How far below its neighbour a cavity without a wire is taken to be. */
    private static final double BESIDE = 0.5;

    private final List<Conductor> shown;
    private final Map<Terminal, Point> places;

    /** @param places where the left column's terminals are */
    LaneOrder(List<Conductor> shown, Map<Terminal, Point> places) {
        this.shown = shown;
        this.places = places;
    }

    /** Lanes by the mean place of their partners on the left; one without stays below its neighbour on the face. */
    List<Terminal> of(List<Terminal> lanes) {
        Map<Terminal, List<Double>> pulls = new HashMap<>();
        Map<Terminal, Double> joints = new HashMap<>();
        for (Conductor conductor : shown) {
            Point from = places.get(conductor.from());
            if (from != null && !conductor.to().isPin()) {
                joints.merge(conductor.to(), from.y(), Math::min);
            }
        }
        for (Conductor conductor : shown) {
            pull(pulls, conductor.from(), conductor.to(), joints);
            pull(pulls, conductor.to(), conductor.from(), joints);
        }
        Map<Terminal, Double> height = new HashMap<>();
        double above = 0;
        for (Terminal terminal : lanes) {
            List<Double> pull = pulls.getOrDefault(terminal, List.of());
            above = pull.stream().mapToDouble(Double::doubleValue).average().orElse(above + BESIDE);
            height.put(terminal, above);
        }
        return lanes.stream()
                .sorted(Comparator.comparingDouble(terminal -> height.getOrDefault(terminal, 0.0)))
                .toList();
    }

    private void pull(
            Map<Terminal, List<Double>> pulls, Terminal terminal, Terminal partner, Map<Terminal, Double> joints) {
        Point place = places.get(partner);
        Double y = place != null ? Double.valueOf(place.y()) : joints.get(partner);
        if (y != null) {
            pulls.computeIfAbsent(terminal, any -> new ArrayList<>()).add(y);
        }
    }
}
