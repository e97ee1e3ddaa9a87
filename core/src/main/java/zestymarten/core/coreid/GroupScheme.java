package zestymarten.core.coreid;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import zestymarten.core.quantity.NotAccepted;

/**
 * A plan of groups at both ends that tells every core by the sizes of its two groups.
 *
 * <p>Method: a 0/1 matrix with a one for each core, whose row a sums to a multiple of a and column b to a multiple of b: the core
 * of the one at (a, b) is linked in a group of a here and of b there. Row and column sums are searched, those without (1, 1)
 * first, since a broken core looks like an unlinked one; each pair of sums is filled largest first, as Gale and Ryser do. Cost:
 * milliseconds up to 200 cores. Source: derivation; D. Gale, H. J. Ryser, 1957, for the filling. Order: cells by row, then
 * column. Holds for: 3 cores and more, but not 5 and 9.
 *
 * @param cells one for each core
 */
public record GroupScheme(List<CodeCell> cells) {
    /** The most cores of a bundle. */
    public static final int MAX = 200;

    private static final int TRIED = 400;

    public GroupScheme {
        cells = cells.stream()
                .sorted(Comparator.comparingInt(CodeCell::here).thenComparingInt(CodeCell::there))
                .toList();
    }

    /** The sizes of a core's groups, here and there. */
    public record CodeCell(int here, int there) {}

    /** A scheme for so many cores; empty for 1, 2, 5 and 9, where sizes alone do not do. */
    public static Optional<GroupScheme> of(int cores) {
        if (cores < 1 || cores > MAX) {
            throw new NotAccepted("group_scheme.bundle_cores_have", cores, MAX);
        }
        return found(cores, true).or(() -> found(cores, false));
    }

    private static Optional<GroupScheme> found(int cores, boolean withoutOnes) {
        List<int[]> sums = sums(cores);
        for (int[] both : sums) {
            Optional<GroupScheme> scheme = filled(both, both, withoutOnes);
            if (scheme.isPresent()) {
                return scheme;
            }
        }
        for (int[] rows : sums) {
            for (int[] columns : sums) {
                Optional<GroupScheme> scheme = filled(rows, columns, withoutOnes);
                if (scheme.isPresent()) {
                    return scheme;
                }
            }
        }
        return Optional.empty();
    }

    /** Sums of the rows by size, multiples of it, that add up to the cores; those with small groups first. */
    private static List<int[]> sums(int cores) {
        List<int[]> all = new ArrayList<>();
        int triangle = (int) Math.ceil((Math.sqrt(8.0 * cores + 1) - 1) / 2);
        for (int maximum = Math.max(1, triangle - 1); maximum <= triangle + 2 && all.size() < TRIED; maximum++) {
            sums(new int[maximum + 1], maximum, cores, maximum, all);
        }
        return all;
    }

    private static void sums(int[] sums, int size, int left, int maximum, List<int[]> all) {
        if (all.size() >= TRIED) {
            return;
        }
        if (size == 0) {
            if (left == 0) {
                all.add(sums.clone());
            }
            return;
        }
        int best = left / size;
        // The largest must be used, or this is the search of a smaller largest again.
        for (int groups : size == maximum ? new int[] {1} : new int[] {1, 2, 0, 3, 4, 5, 6}) {
            if (groups <= best && groups * size <= maximum && left - groups * size <= room(size - 1, maximum)) {
                sums[size] = groups * size;
                sums(sums, size - 1, left - groups * size, maximum, all);
            }
        }
        sums[size] = 0;
    }

    /** The most that sizes up to one can add up to, each at most so many. */
    private static int room(int size, int maximum) {
        int room = 0;
        for (int i = 1; i <= size; i++) {
            room += maximum / i * i;
        }
        return room;
    }

    private static Optional<GroupScheme> filled(int[] rows, int[] columns, boolean withoutOnes) {
        int[] left = columns.clone();
        List<CodeCell> cells = new ArrayList<>();
        List<Integer> order = new ArrayList<>();
        for (int a = 1; a < rows.length; a++) {
            order.add(a);
        }
        // The row that may not use column 1 first, then the fullest.
        order.sort(Comparator.comparingInt((Integer a) -> a == 1 ? Integer.MIN_VALUE : -rows[a]));
        for (int a : order) {
            List<Integer> open = new ArrayList<>();
            for (int b = 1; b < left.length; b++) {
                if (left[b] > 0 && !(withoutOnes && a == 1 && b == 1)) {
                    open.add(b);
                }
            }
            open.sort(Comparator.comparingInt((Integer b) -> left[b]).reversed());
            if (open.size() < rows[a]) {
                return Optional.empty();
            }
            for (int b : open.subList(0, rows[a])) {
                left[b]--;
                cells.add(new CodeCell(a, b));
            }
        }
        for (int rest : left) {
            if (rest != 0) {
                return Optional.empty();
            }
        }
        return Optional.of(new GroupScheme(cells));
    }

    public int cores() {
        return cells.size();
    }

    /** What to link here before the trip: cores in the order of their numbers, the singles first. */
    public GroupCodes linkedHere() {
        TreeMap<Integer, Integer> sums = new TreeMap<>();
        cells.forEach(cell -> sums.merge(cell.here(), 1, Integer::sum));
        List<List<Integer>> groups = new ArrayList<>();
        int next = 1;
        for (var each : sums.entrySet()) {
            for (int i = 0; i < each.getValue() / each.getKey(); i++) {
                List<Integer> group = new ArrayList<>();
                for (int k = 0; k < each.getKey(); k++) {
                    group.add(next++);
                }
                groups.add(group);
            }
        }
        return new GroupCodes(groups);
    }

    /**
     * What to link there, from what was found there: each core gets a cell of the row of its group's size, and is linked with
     * others of its column. Where the sizes found do not add up, the rows left over go to the cores left over.
     */
    public GroupCodes linkedThere(GroupCodes foundThere) {
        int[] column = columns(foundThere);
        TreeMap<Integer, List<Integer>> byColumn = new TreeMap<>();
        for (int core = 1; core <= cores(); core++) {
            byColumn.computeIfAbsent(column[core], any -> new ArrayList<>()).add(core);
        }
        List<List<Integer>> groups = new ArrayList<>();
        byColumn.forEach((size, members) -> {
            for (int i = 0; i < members.size(); i += size) {
                groups.add(members.subList(i, Math.min(members.size(), i + size)));
            }
        });
        return new GroupCodes(groups);
    }

    private int[] columns(GroupCodes found) {
        TreeMap<Integer, List<Integer>> rows = new TreeMap<>();
        cells.forEach(cell ->
                rows.computeIfAbsent(cell.here(), any -> new ArrayList<>()).add(cell.there()));
        int[] column = new int[cores() + 1];
        List<Integer> without = new ArrayList<>();
        for (List<Integer> group : found.groups()) {
            List<Integer> open = rows.getOrDefault(group.size(), new ArrayList<>());
            if (open.size() < group.size()) {
                without.addAll(group);
                continue;
            }
            for (int core : group) {
                column[core] = open.remove(0);
            }
        }
        List<Integer> rest = new ArrayList<>();
        rows.values().forEach(rest::addAll);
        Collections.sort(rest, Comparator.reverseOrder());
        for (int i = 0; i < without.size(); i++) {
            column[without.get(i)] = rest.get(i);
        }
        return column;
    }
}
