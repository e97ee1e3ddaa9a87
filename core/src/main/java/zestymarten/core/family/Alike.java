package zestymarten.core.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zestymarten.core.quantity.Engineering;

/**
 * A set of alike leads compared with each other: the odd ones with the reasons, and how much the doubt in their lengths matters.
 *
 * <p>Rule: a lead is judged by the line of all; one that jumped, or on which something is seen, is condemned whatever it reads.
 * The doubt in a length counts as the ohms that it would make.
 *
 * @param line empty where there are too few leads, or all of one length
 * @param leads in the order in which they were given
 */
public record Alike(Optional<Family> line, List<Told> leads) {
    public Alike {
        leads = List.copyOf(leads);
    }

    /**
     * A lead with what the set makes of it.
     *
     * @param offOhm above the line, below it negative; 0 without a line
     * @param reason why it is odd; empty where it is not
     * @param lengthShare of its doubt that its length makes, 0 to 1
     */
    public record Told(LeadList.Line lead, double offOhm, String reason, double lengthShare) {
        public boolean isOdd() {
            return !reason.isEmpty();
        }
    }

    /**
     * Compares leads.
     *
     * @param accuracy of the meter as a share of the reading, {@code stepOhm} its finest step
     * @param lengthDoubt of every length, as a share of it
     */
    public static Alike of(List<LeadList.Line> lines, double accuracy, double stepOhm, double lengthDoubt) {
        List<Family.Lead> leads = lines.stream()
                .map(each -> new Family.Lead(each.lengthM(), each.ohm(), accuracy * each.ohm() + stepOhm))
                .toList();
        Optional<Family> line = Family.of(leads);
        List<Told> told = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            told.add(told(lines.get(i), leads.get(i), line, lengthDoubt));
        }
        return new Alike(line, told);
    }

    private static Told told(LeadList.Line line, Family.Lead lead, Optional<Family> family, double lengthDoubt) {
        if (family.isEmpty()) {
            return new Told(line, 0, line.isCondemned() ? seen(line) : "", 0);
        }
        Family of = family.get();
        double byLength = Math.abs(of.ohmPerMetre()) * lengthDoubt * line.lengthM();
        double doubt = Math.hypot(byLength, lead.uncertaintyOhm());
        Family.Lead doubted = new Family.Lead(line.lengthM(), line.ohm(), doubt);
        double off = of.off(lead);
        List<String> reasons = new ArrayList<>();
        if (of.isOdd(doubted)) {
            reasons.add(Engineering.text(Math.abs(off), "\u03a9") + (off > 0 ? " above" : " below") + " the line, "
                    + Math.round(Math.abs(off) / Math.max(1e-12, of.scaleOhm()))
                    + " times the spread of the others; "
                    + (off > 0
                            ? "its length would have to be "
                                    + Engineering.text((line.ohm() - of.terminationOhm()) / of.ohmPerMetre(), "m")
                                    + ", or a termination is bad"
                            : "it is shorter, thicker, or something beside it carries the current"));
        }
        if (line.isCondemned()) {
            reasons.add(seen(line));
        }
        double share = doubt > 0 ? byLength * byLength / (doubt * doubt) : 0;
        return new Told(line, off, String.join("; ", reasons), share);
    }

    private static String seen(LeadList.Line line) {
        return "condemned by hand and eye: " + line.words();
    }

    /** How far the comparison can be trusted, in a sentence. */
    public String trust() {
        if (line.isEmpty()) {
            return leads.size() < 4
                    ? "Fewer than four leads: no verdict by comparison."
                    : "All have one length: no line can be drawn through them.";
        }
        return line.get().confidence() == Family.Confidence.WEAK
                ? "Four leads only: the evidence is weak."
                : leads.size() + " leads: the line holds as long as fewer than half of them are odd.";
    }
}
