package zestymarten.core.testrun;

import java.util.ArrayList;
import java.util.List;
import zestymarten.core.analysis.Design;
import zestymarten.core.finding.Finding;
import zestymarten.core.quantity.Message;

/**
 * Which repairs fit a finding, the fitting ones first, and what to mind.
 *
 * <p>Rules: what can be put right without parts comes first. A flexing run is replaced or given to a spare core, not
 * spliced. Where it is wet the repair is sealed.
 *
 * @param ways the fitting ones first, then all others
 * @param minds what to do before and with it, in sentences
 */
public record RepairRules(List<Entry.Way> ways, List<Message> minds) {
    public RepairRules {
        ways = List.copyOf(ways);
        minds = List.copyOf(minds);
    }

    /** What fits a finding of a design. */
    public static RepairRules of(Design design, Finding finding) {
        if (finding instanceof Finding.SecondFault) {
            return new RepairRules(
                    List.of(Entry.Way.SPLICE, Entry.Way.CONTACT),
                    List.of(Message.of("repair_rules.read_this_length_again")));
        }
        boolean flexes = isIn(design, finding, "flexing");
        List<Entry.Way> ways = new ArrayList<>(first(finding.kind(), flexes));
        for (Entry.Way way : Entry.Way.values()) {
            if (!ways.contains(way)) {
                ways.add(way);
            }
        }
        List<Message> minds = new ArrayList<>();
        if (finding.kind().equals("open") || finding.kind().equals("intermittent")) {
            minds.add(Message.of("repair_rules.before_repairing_visible_break"));
        }
        if (flexes) {
            minds.add(Message.of("repair_rules.flexes_here_splice_stiffens"));
        }
        if (isIn(design, finding, "wet") || isIn(design, finding, "buried")) {
            minds.add(Message.of("repair_rules.wet_here_seal_repair"));
        }
        if (ways.get(0) == Entry.Way.MOVE) {
            minds.add(Message.of("repair_rules.note_which_end_was"));
        }
        minds.add(Message.of("repair_rules.strain_relief_where_bends"));
        return new RepairRules(ways, minds);
    }

    /** What fits a kind of finding, the most fitting first; other ways hold for a day. */
    public static List<Entry.Way> first(String kind, boolean flexes) {
        return switch (kind) {
            case "crossed", "misplaced", "mirrored", "shifted", "extra" -> List.of(Entry.Way.MOVE);
            case "high_resistance" -> List.of(Entry.Way.CLEAN, Entry.Way.CONTACT, Entry.Way.SHORTEN);
            case "damaged" -> List.of(Entry.Way.CONTACT, Entry.Way.REPLACE, Entry.Way.INSULATE);
            case "contact_surface" -> List.of(Entry.Way.CLEAN, Entry.Way.CONTACT);
            case "short", "frame_short", "leak", "insulation_low", "withstand" ->
                List.of(Entry.Way.INSULATE, Entry.Way.SPARE);
            case "open", "intermittent", "missing" ->
                flexes
                        ? List.of(Entry.Way.CONTACT, Entry.Way.SPARE, Entry.Way.REPLACE)
                        : List.of(Entry.Way.CONTACT, Entry.Way.SPLICE, Entry.Way.SPARE);
            default -> List.of(Entry.Way.REPLACE);
        };
    }

    private static boolean isIn(Design design, Finding finding, String zone) {
        return finding.conductors().stream()
                .anyMatch(each ->
                        design.conductor(each).zone().filter(zone::equals).isPresent());
    }
}
