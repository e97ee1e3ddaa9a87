package zestymarten.core.testrun;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import zestymarten.core.finding.Symptoms.Behaviour;

/**
 * Which behaviour of a function a kind of fault explains.
 *
 * <p>Rules: what is open or elsewhere never comes on; a short may also blow the fuse and leave it dead. What is joined to
 * something else stays on. What has ohms, jumps or leaks comes and goes.
 */
final class SymptomExplanation {
    private static final Set<Behaviour> DEAD = EnumSet.of(Behaviour.DEAD);
    private static final Set<Behaviour> DEAD_OR_ON = EnumSet.of(Behaviour.DEAD, Behaviour.STAYS_ON);
    private static final Set<Behaviour> DEAD_OR_SOMETIMES = EnumSet.of(Behaviour.DEAD, Behaviour.SOMETIMES);
    private static final Set<Behaviour> ON_OR_SOMETIMES = EnumSet.of(Behaviour.STAYS_ON, Behaviour.SOMETIMES);
    private static final Set<Behaviour> NOTHING = EnumSet.noneOf(Behaviour.class);

    private static final Map<String, Set<Behaviour>> BY_KIND = Map.ofEntries(
            Map.entry("open", DEAD_OR_SOMETIMES),
            Map.entry("missing", DEAD),
            Map.entry("high_resistance", DEAD_OR_SOMETIMES),
            Map.entry("low_resistance", NOTHING),
            Map.entry("intermittent", DEAD_OR_SOMETIMES),
            Map.entry("leak", ON_OR_SOMETIMES),
            Map.entry("short", DEAD_OR_ON),
            Map.entry("frame_short", DEAD_OR_ON),
            Map.entry("crossed", DEAD_OR_ON),
            Map.entry("misplaced", DEAD),
            Map.entry("mirrored", DEAD_OR_ON),
            Map.entry("shifted", DEAD_OR_ON),
            Map.entry("extra", DEAD_OR_ON),
            Map.entry("component_open", DEAD),
            Map.entry("component_short", DEAD_OR_ON),
            Map.entry("component_value", DEAD_OR_SOMETIMES),
            Map.entry("component_state", DEAD_OR_ON),
            Map.entry("insulation_low", ON_OR_SOMETIMES),
            Map.entry("withstand", ON_OR_SOMETIMES),
            Map.entry("contact_surface", DEAD_OR_SOMETIMES));

    private SymptomExplanation() {}

    /** Whether one of the findings takes the function away and is of a kind that makes it behave so. */
    static boolean explained(String function, Behaviour behaviour, List<RunFinding> findings) {
        return findings.stream()
                .filter(found -> found.functionsLost().contains(function))
                .anyMatch(found ->
                        BY_KIND.getOrDefault(found.finding().kind(), NOTHING).contains(behaviour));
    }

    /** The kinds that there is a rule for. */
    static Set<String> kinds() {
        return BY_KIND.keySet();
    }
}
