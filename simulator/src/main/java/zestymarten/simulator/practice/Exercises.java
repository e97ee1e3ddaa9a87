package zestymarten.simulator.practice;

import java.util.List;
import java.util.Optional;

/** The exercises of the room, by grade, over the whole trade. */
public final class Exercises {
    private static final List<Exercise> ALL = ExerciseReader.text("exercises/order.txt")
            .lines()
            .map(id -> ExerciseReader.read("exercises/" + id + ".json"))
            .toList();

    private Exercises() {}

    /** All of them, the easiest first. */
    public static List<Exercise> all() {
        return ALL;
    }

    /** The one of that name. */
    public static Optional<Exercise> find(String id) {
        return ALL.stream().filter(each -> each.id().equals(id)).findFirst();
    }
}
