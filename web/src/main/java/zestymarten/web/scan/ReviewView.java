package zestymarten.web.scan;

import java.util.List;
import zestymarten.core.analysis.Design;
import zestymarten.core.scan.ProgramReview;
import zestymarten.core.scan.ScanProgram;
import zestymarten.web.platform.ProblemView;
import zestymarten.web.platform.Words;

/** What a program does, as ready text. */
record ReviewView(
        String sum,
        List<ProblemView> problems,
        List<String> never,
        String neverMore,
        List<String> unrung,
        boolean clean) {
    private static final double MINUTES_FROM_S = 100;

    static ReviewView of(ScanProgram program, Design design) {
        ProgramReview review = ProgramReview.of(program, design, ProgramReview.ScanPace.USUAL);
        long more = review.neverCount() - review.never().size();
        boolean clean = review.problems().isEmpty()
                && review.neverCount() == 0
                && review.unrung().isEmpty();
        return new ReviewView(
                Words.say(
                        "review_view.measurements_relays_switched_about",
                        review.measurements(),
                        review.relays(),
                        duration(review.seconds())),
                ProblemView.all(review.problems()),
                Words.all(review.never()),
                more > 0 ? Words.say("review_view.more", more) : "",
                review.unrung(),
                clean);
    }

    private static String duration(double seconds) {
        return seconds < MINUTES_FROM_S
                ? Math.max(1, Math.round(seconds)) + " s"
                : Words.say("review_view.min", Math.round(seconds / 60));
    }
}
