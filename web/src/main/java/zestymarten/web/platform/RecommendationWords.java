package zestymarten.web.platform;

import zestymarten.core.analysis.Recommendation;

/** Why a measurement is proposed, in a sentence without its subject: "asks whether W1 is open". */
public final class RecommendationWords {
    private RecommendationWords() {}

    public static String why(Recommendation.RecommendedMeasurement next) {
        String fault = next.asks()
                .map(each -> each.kind().replace('_', ' ') + " " + String.join(", ", each.named()))
                .orElse("");
        return switch (next.purpose()) {
            case UNREAD -> "reads two points that nobody has read yet";
            case READ_AGAIN ->
                "repeats a reading: a probe may have made no contact" + (fault.isEmpty() ? "" : "; asks for " + fault);
            case TELLS_APART -> fault.isEmpty() ? "tells a path from none" : "asks for " + fault;
        };
    }
}
