package zestymarten.web.platform;

import zestymarten.core.analysis.Recommendation;

/** Why a measurement is proposed, in a sentence without its subject: "asks whether W1 is open". */
public final class RecommendationWords {
    private RecommendationWords() {}

    public static String why(Recommendation.RecommendedMeasurement next) {
        String fault = next.asks()
                .map(each -> Words.say("recommendation_words.fault", each.word(), String.join(", ", each.named())))
                .orElse("");
        return switch (next.purpose()) {
            case UNREAD -> Words.say("recommendation_words.reads_two_points_that");
            case READ_AGAIN -> Words.say("recommendation_words.repeats_reading_probe_may", fault.isEmpty(), fault);
            case TELLS_APART ->
                fault.isEmpty()
                        ? Words.say("recommendation_words.tells_path_from_none")
                        : Words.say("recommendation_words.asks", fault);
        };
    }
}
