package zestymarten.core.coreid;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import zestymarten.core.quantity.NotAccepted;

/**
 * Cores of one end in groups: linked, or found to ring together. Every core from 1 to {@link #cores} is in exactly one group; a
 * core alone is a group of one.
 */
public record GroupCodes(List<List<Integer>> groups) {
    public GroupCodes {
        groups = groups.stream()
                .map(group -> group.stream().sorted().toList())
                .sorted(Comparator.comparing((List<Integer> group) -> group.get(0)))
                .toList();
        List<Integer> all = groups.stream().flatMap(List::stream).sorted().toList();
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i) != i + 1) {
                throw new NotAccepted("group_codes.groups_each_core", all.size(), all);
            }
        }
    }

    /** Groups by a mark for each core, in the order of the cores: the same mark is the same group, an empty one stands alone. */
    public static GroupCodes ofMarks(List<String> marks) {
        Map<String, List<Integer>> groups = new LinkedHashMap<>();
        for (int i = 0; i < marks.size(); i++) {
            String mark = marks.get(i).strip();
            groups.computeIfAbsent(mark.isEmpty() ? "alone " + i : "mark " + mark, any -> new ArrayList<>())
                    .add(i + 1);
        }
        return new GroupCodes(List.copyOf(groups.values()));
    }

    /** How many cores there are. */
    public int cores() {
        return groups.stream().mapToInt(List::size).sum();
    }

    /** The group of a core. */
    public List<Integer> of(int core) {
        return groups.stream()
                .filter(group -> group.contains(core))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("There is no core " + core + "."));
    }

    /** The number of the group of each core, by the core's number; index 0 is not used. */
    int[] numbers() {
        int[] numbers = new int[cores() + 1];
        for (int i = 0; i < groups.size(); i++) {
            for (int core : groups.get(i)) {
                numbers[core] = i;
            }
        }
        return numbers;
    }

    /** The sizes of all groups, ascending. */
    List<Integer> sizes() {
        return groups.stream().map(List::size).sorted().toList();
    }

    /** The same with one core taken out of its group. */
    GroupCodes without(int core) {
        List<List<Integer>> parted = new ArrayList<>();
        for (List<Integer> group : groups) {
            List<Integer> rest = group.stream().filter(each -> each != core).toList();
            if (!rest.isEmpty()) {
                parted.add(rest);
            }
        }
        parted.add(List.of(core));
        return new GroupCodes(parted);
    }

    /** The same with two groups, by their place in the list, joined. */
    GroupCodes joined(int one, int other) {
        if (one == other) {
            return this;
        }
        List<List<Integer>> joined = new ArrayList<>();
        for (int i = 0; i < groups.size(); i++) {
            if (i != one && i != other) {
                joined.add(groups.get(i));
            }
        }
        List<Integer> both = new ArrayList<>(groups.get(one));
        both.addAll(groups.get(other));
        joined.add(both);
        return new GroupCodes(joined);
    }

    /** What is seen at the other end, where core i arrives as core {@code there[i]}. */
    GroupCodes seen(int[] there) {
        return new GroupCodes(groups.stream()
                .map(group -> group.stream().map(core -> there[core]).toList())
                .toList());
    }

    /**
     * Measurements to find them at most: each core against all that belong to nobody yet, the smallest groups found first.
     */
    public int measurements() {
        int left = cores();
        int measurements = 0;
        for (int size : sizes()) {
            measurements += left - 1;
            left -= size;
        }
        return Math.max(0, measurements);
    }

    /** Such as {@code 2+7, 3+5+9}; groups of one are left out. */
    public String text() {
        String text = groups.stream()
                .filter(group -> group.size() > 1)
                .map(group ->
                        String.join("+", group.stream().map(String::valueOf).toList()))
                .reduce((a, b) -> a + ", " + b)
                .orElse("none");
        return text;
    }

    static int[] counts(List<Integer> sizes, int maximum) {
        int[] counts = new int[maximum + 1];
        sizes.forEach(size -> counts[size]++);
        return Arrays.copyOf(counts, maximum + 1);
    }
}
