package zestymarten.web.testrun;

import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zestymarten.core.testplan.ManualAction;

/**
 * Subjects as they were stored and sent while they were sentences. What was saved then is the same thing now: entries are never
 * changed, so that they are read with the codes of today.
 */
final class FormerSubjects {
    private static final Map<Pattern, String> TRIPS =
            Map.of(Pattern.compile("1 there"), "@there", Pattern.compile("2 back"), "@back");

    private static final Map<Pattern, String> LENGTHS = Map.of(Pattern.compile("(.+) from (\\S+)"), "@length $1 $2");

    private static final Map<Pattern, String> OPENED = Map.of(
            Pattern.compile("the moving part, to where it usually stands"),
            "@moving_part",
            Pattern.compile("the cover of (\\S+)"),
            "@cover $1",
            Pattern.compile("the pierced insulation at (\\S+), to be sealed"),
            "@pierced $1",
            Pattern.compile("the cut at (\\S+), to be made good"),
            "@cut $1",
            Pattern.compile("(?:the stand-in|what stands in) for (\\S+)"),
            "@stand_in $1");

    private FormerSubjects() {}

    /** The subject of an action as it is written today; what never was a sentence of the program stays as it is. */
    static String now(ManualAction action, String stored) {
        for (Map.Entry<Pattern, String> each : of(action).entrySet()) {
            Matcher matcher = each.getKey().matcher(stored);
            if (matcher.matches()) {
                return matcher.replaceFirst(each.getValue());
            }
        }
        return stored;
    }

    private static Map<Pattern, String> of(ManualAction action) {
        return switch (action) {
            case GO_TO_FAR_END, GO_TO_FAR_END_AGAIN -> TRIPS;
            case REMAINING, REPAIR -> LENGTHS;
            case OPENED, RESTORE -> OPENED;
            case INSPECT -> Map.of(Pattern.compile("the mate of (\\S+)"), "@mate $1");
            case FRAME_PROOF -> Map.of(Pattern.compile("far end"), "@far_end");
            case ACCESSORIES -> Map.of(Pattern.compile("scanner, every point zeroed"), "@scanner");
            default -> Map.of();
        };
    }
}
