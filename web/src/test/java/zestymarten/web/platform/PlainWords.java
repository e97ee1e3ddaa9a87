package zestymarten.web.platform;

import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/** Words that the product does not use, because the trade has others: no page, answer or document for people has them. */
final class PlainWords {
    private static final Pattern FORBIDDEN = Pattern.compile(
            "\\b(?:reckon\\w*|way through|changed places|ledger|wanders?|mend(?:s|ed|ing)?|deeds?|\\d+ touch(?:es)?"
                    + "|every touch|a touch|touches left|walks|un?tied|tie|ties|told|begun|wirings|hand it back|carry on|keep it"
                    + "|say it|make it a|put right|put back|put it right|what is wrong|complaints?|test day|finest step|sure to"
                    + "|zero them|ohms|too many|rings? out|joined and should be apart|opens now and then|left out)\\b|Read '",
            Pattern.CASE_INSENSITIVE);

    private PlainWords() {}

    /** What a text has of them. */
    static List<String> forbiddenIn(String text) {
        return FORBIDDEN.matcher(text).results().map(MatchResult::group).toList();
    }
}
