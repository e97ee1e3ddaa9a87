package zestymarten.core.finding;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;

/** What shares an observed group and should not. */
public final class MergedPieces {
    private MergedPieces() {}

    /** One finding for every group with several pieces, in the order of the groups. */
    static List<Finding> of(Map<Integer, List<Finding.Piece>> one, Map<Integer, List<Finding.Piece>> other) {
        List<Finding> findings = new ArrayList<>();
        for (int group : new TreeSet<>(one.keySet())) {
            List<Finding.Piece> all = new ArrayList<>(other.getOrDefault(group, List.of()));
            all.addAll(one.getOrDefault(group, List.of()));
            if (all.size() > 1) {
                findings.add(finding(all));
            }
        }
        return findings;
    }

    /** One piece joined with empty cavities is extra; else a short, to the frame if that is among the pieces. */
    public static Finding finding(List<Finding.Piece> pieces) {
        List<Finding.Piece> others = pieces.stream()
                .filter(piece -> piece.form() != Finding.Piece.DeviationForm.FRAME)
                .toList();
        long real = pieces.stream()
                .filter(piece -> piece.form() != Finding.Piece.DeviationForm.CAVITY)
                .count();
        if (real < 2) {
            return new Finding.Extra(pieces.stream()
                    .sorted(Comparator.comparing(piece -> piece.form() == Finding.Piece.DeviationForm.CAVITY))
                    .toList());
        }
        return others.size() < pieces.size() ? new Finding.FrameShort(others) : new Finding.Shorted(others);
    }
}
