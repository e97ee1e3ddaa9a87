package zestymarten.web.platform;

import java.util.List;
import zestymarten.core.assembly.Metal;

/** Something that can be chosen: as it is sent and stored, and as a person reads it. */
public record ChoiceView(String code, String word) {
    /** The metals that are known, in the order of the table. */
    public static List<ChoiceView> metals() {
        return Metal.codes().stream()
                .map(each -> new ChoiceView(
                        each, Words.say(Metal.of(each).orElseThrow().title())))
                .toList();
    }
}
