package zestymarten.web.scan;

import java.util.List;
import zestymarten.core.analysis.Design;
import zestymarten.core.quantity.Problem;
import zestymarten.core.scan.ProgramReview;
import zestymarten.core.scan.ScanProgram;

/** What a program does, as ready text. */
record ReviewView(
        String sum, List<Problem> problems, List<String> never, String neverMore, List<String> unrung, boolean clean) {
    private static final double MINUTES_FROM_S = 100;

    static ReviewView of(ScanProgram program, Design design) {
        ProgramReview review = ProgramReview.of(program, design, ProgramReview.ScanPace.USUAL);
        long more = review.neverCount() - review.never().size();
        boolean clean = review.problems().isEmpty()
                && review.neverCount() == 0
                && review.unrung().isEmpty();
        return new ReviewView(
                review.measurements() + " measurements, " + review.relays() + " relays switched, about "
                        + duration(review.seconds()),
                review.problems(),
                review.never(),
                more > 0 ? " and " + more + " more" : "",
                review.unrung(),
                clean);
    }

    private static String duration(double seconds) {
        return seconds < MINUTES_FROM_S ? Math.max(1, Math.round(seconds)) + " s" : Math.round(seconds / 60) + " min";
    }
}
