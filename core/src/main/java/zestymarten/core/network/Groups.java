package zestymarten.core.network;

/** Disjoint groups of the numbers 0 to n - 1 that only ever grow together (union-find with path halving). */
public final class Groups {
    private final int[] up;

    public Groups(int size) {
        up = new int[size];
        for (int i = 0; i < size; i++) {
            up[i] = i;
        }
    }

    /** The smallest-known representative of a number's group: the same for all its members. */
    public int of(int number) {
        int at = number;
        while (up[at] != at) {
            up[at] = up[up[at]];
            at = up[at];
        }
        return at;
    }

    /** Makes one group of two; the smaller representative stays. */
    public void join(int a, int b) {
        int first = of(a);
        int second = of(b);
        up[Math.max(first, second)] = Math.min(first, second);
    }
}
