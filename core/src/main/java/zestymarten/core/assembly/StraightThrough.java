package zestymarten.core.assembly;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Problem;

/**
 * The quick way to an assembly: a cable whose core i runs from pin i of one connector to pin i of the other.
 *
 * @param cores 1 to 200
 * @param from reference of the connector at the near end
 * @param to reference of the connector at the far end
 * @param colours as written, separated by spaces or commas; repeated when there are fewer than cores, empty for none
 */
public record StraightThrough(
        int cores,
        String from,
        String to,
        OptionalDouble lengthM,
        OptionalDouble areaMm2,
        Metal metal,
        StrandClass strandClass,
        OptionalDouble current,
        String colours) {

    /** The most cores that the quick way makes. */
    public static final int MAX_CORES = 200;

    /** Everything that stands in the way of making the cable; empty if nothing does. */
    public List<Problem> problems() {
        List<Problem> found = new ArrayList<>();
        if (cores < 1 || cores > MAX_CORES) {
            found.add(new Problem("cores", Message.of("straight_through.not_accepted_expected", cores, MAX_CORES)));
        }
        for (var end : Map.of("from", from, "to", to).entrySet()) {
            if (end.getValue().indexOf('.') >= 0
                    || !Terminal.isName(end.getValue())
                    || end.getValue().equals("FRAME")) {
                found.add(new Problem(
                        end.getKey(), Message.of("straight_through.not_accepted_expected_connector", end.getValue())));
            }
        }
        if (from.equals(to)) {
            found.add(new Problem("to", Message.of("straight_through.both_ends_expected_two", to)));
        }
        range(found, "length_m", lengthM, Conductor.LONGEST_M, "m");
        range(found, "area_mm2", areaMm2, Conductor.THICKEST_MM2, "mm²");
        if (current.isPresent() && !(current.getAsDouble() >= 0 && current.getAsDouble() <= Conductor.MAX_AMPERES)) {
            found.add(new Problem(
                    "current_a",
                    Message.of(
                            "straight_through.not_accepted_expected_or", Message.figure(current.getAsDouble(), ""))));
        }
        return found;
    }

    private static void range(List<Problem> found, String field, OptionalDouble value, double maximum, String unit) {
        if (value.isPresent() && !(value.getAsDouble() > 0 && value.getAsDouble() <= maximum)) {
            found.add(new Problem(
                    field,
                    Message.of(
                            "straight_through.range",
                            Message.figure(value.getAsDouble(), ""),
                            unit,
                            Message.figure(maximum, ""))));
        }
    }

    /**
     * The conductors W1 to Wn.
     *
     * @throws IllegalStateException if there are {@link #problems}
     */
    public List<Conductor> conductors() {
        if (!problems().isEmpty()) {
            throw new IllegalStateException(problems().get(0).toString());
        }
        List<String> list = List.of(colours.strip().split("[\\s,;]+")).stream()
                .filter(each -> !each.isEmpty())
                .toList();
        List<Conductor> made = new ArrayList<>();
        for (int i = 1; i <= cores; i++) {
            String pin = Integer.toString(i);
            made.add(new Conductor(
                    "W" + i,
                    Terminal.of(from, pin),
                    Terminal.of(to, pin),
                    list.isEmpty() ? Optional.empty() : Optional.of(Colour.of(list.get((i - 1) % list.size()))),
                    Optional.empty(),
                    lengthM,
                    areaMm2,
                    metal,
                    strandClass,
                    Optional.empty(),
                    current,
                    false,
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    Optional.empty()));
        }
        return made;
    }
}
