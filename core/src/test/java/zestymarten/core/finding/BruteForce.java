package zestymarten.core.finding;

/** Counts the findings of every possible choice of moves, straight from the rule. Only for the smallest cables. */
final class BruteForce {
    private final int wires;
    private final int cavities;
    private final int[] groups;
    private final int[] move;
    private int fewest = Integer.MAX_VALUE;

    private BruteForce(int wires, int cavities, int[] groups) {
        this.wires = wires;
        this.cavities = cavities;
        this.groups = groups;
        this.move = new int[wires];
    }

    /** Terminals are A.1 to A.n, then the cavities B.1 to B.m, then the frame. */
    static int fewest(int wires, int cavities, int[] groups) {
        BruteForce search = new BruteForce(wires, cavities, groups);
        search.from(0);
        return search.fewest;
    }

    private boolean home(int wire) {
        return groups[wire] == groups[wires + wire];
    }

    private void from(int wire) {
        if (wire == wires) {
            fewest = Math.min(fewest, findings());
            return;
        }
        move[wire] = -1;
        from(wire + 1);
        for (int cavity = 0; cavity < cavities && !home(wire); cavity++) {
            boolean free = cavity >= wires || !home(cavity);
            for (int other = 0; other < wire; other++) {
                free &= move[other] != cavity;
            }
            if (free && cavity != wire && groups[wire] == groups[wires + cavity]) {
                move[wire] = cavity;
                from(wire + 1);
            }
        }
        move[wire] = -1;
    }

    private int findings() {
        int count = 0;
        int[] pieces = new int[groups.length];
        pieces[groups[groups.length - 1]]++;
        boolean[] filled = new boolean[cavities];
        for (int wire = 0; wire < wires; wire++) {
            pieces[groups[wire]]++;
            if (home(wire)) {
                filled[wire] = true;
            } else if (move[wire] >= 0) {
                filled[move[wire]] = true;
                count += closes(wire) ? 0 : 1;
            } else {
                count++;
            }
        }
        count += cycles();
        for (int cavity = 0; cavity < cavities; cavity++) {
            pieces[groups[wires + cavity]] += filled[cavity] ? 0 : 1;
        }
        for (int group : pieces) {
            count += group > 1 ? 1 : 0;
        }
        return count;
    }

    private boolean closes(int wire) {
        int at = wire;
        for (int steps = 0; steps < wires; steps++) {
            at = move[at];
            if (at == wire) {
                return true;
            }
            if (at < 0 || at >= wires) {
                return false;
            }
        }
        return false;
    }

    private int cycles() {
        int count = 0;
        for (int wire = 0; wire < wires; wire++) {
            if (move[wire] >= 0 && closes(wire)) {
                boolean first = true;
                for (int at = move[wire]; at != wire; at = move[at]) {
                    first &= at > wire;
                }
                count += first ? 1 : 0;
            }
        }
        return count;
    }
}
