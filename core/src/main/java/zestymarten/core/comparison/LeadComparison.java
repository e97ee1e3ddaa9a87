package zestymarten.core.comparison;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;

/**
 * A set of alike leads compared with each other: the odd ones with the reasons, and how much the doubt in their lengths matters.
 *
 * <p>Rule: a lead is judged by the line of all; one that jumped, or on which something is seen, is condemned whatever it reads.
 * The doubt in a length counts as the resistance that it would make.
 *
 * @param line level where all have one length; empty where there are too few leads
 * @param leads in the order in which they were given
 */
public record LeadComparison(Optional<LeadLine> line, List<ComparedLead> leads) {
    private static final double NEGLIGIBLE_OHM = 0.05;

    public LeadComparison {
        leads = List.copyOf(leads);
    }

    /**
     * A lead with what the set makes of it.
     *
     * @param offOhm above the line, below it negative; 0 without a line
     * @param reason why it is odd; empty where it is not
     * @param lengthShare of its doubt that its length makes, 0 to 1
     */
    public record ComparedLead(LeadList.LeadEntry lead, double offOhm, Message reason, double lengthShare) {
        public boolean isOutlier() {
            return !reason.isEmpty();
        }
    }

    /**
     * Compares leads.
     *
     * @param accuracy of the meter as a share of the reading, {@code stepOhm} its finest step
     * @param lengthDoubt of every length, as a share of it
     */
    public static LeadComparison of(
            List<LeadList.LeadEntry> lines, double accuracy, double stepOhm, double lengthDoubt) {
        List<LeadList.LeadEntry> joined =
                lines.stream().filter(each -> !each.isOpen()).toList();
        Optional<LeadLine> line = LeadLine.of(
                joined.stream().map(each -> lead(each, accuracy, stepOhm)).toList());
        return new LeadComparison(
                line,
                lines.stream()
                        .map(each -> each.isOpen()
                                ? new ComparedLead(
                                        each, 0, Message.of("lead_comparison.there_no_continuity_through"), 0)
                                : compared(each, lead(each, accuracy, stepOhm), line, lengthDoubt))
                        .toList());
    }

    private static LeadLine.Lead lead(LeadList.LeadEntry line, double accuracy, double stepOhm) {
        return new LeadLine.Lead(line.lengthM(), line.ohm(), accuracy * line.ohm() + stepOhm);
    }

    private static ComparedLead compared(
            LeadList.LeadEntry line, LeadLine.Lead lead, Optional<LeadLine> family, double lengthDoubt) {
        if (family.isEmpty()) {
            return new ComparedLead(line, 0, line.isCondemned() ? seen(line) : Message.NONE, 0);
        }
        LeadLine of = family.get();
        double byLength = Math.abs(of.ohmPerMetre()) * lengthDoubt * line.lengthM();
        double doubt = Math.hypot(byLength, lead.uncertaintyOhm());
        LeadLine.Lead doubted = new LeadLine.Lead(line.lengthM(), line.ohm(), doubt);
        double off = of.off(lead);
        List<Message> reasons = new ArrayList<>();
        if (of.isOutlier(doubted)) {
            reasons.add(Message.of(
                    "lead_comparison.off",
                    Message.figure(Math.abs(off), "Ω"),
                    off > 0,
                    of.hasSlope(),
                    why(of, line, off)));
        }
        if (line.isCondemned()) {
            reasons.add(seen(line));
        }
        double share = doubt > 0 ? byLength * byLength / (doubt * doubt) : 0;
        return new ComparedLead(line, off, joined(reasons), share);
    }

    private static Message joined(List<Message> reasons) {
        return reasons.isEmpty()
                ? Message.NONE
                : Message.of("message.verbatim", Message.list(MessageArgument.Listing.Link.SEMICOLON, reasons));
    }

    private static Message why(LeadLine of, LeadList.LeadEntry line, double off) {
        if (off <= 0) {
            return Message.of("lead_comparison.shorter_thicker_or_something");
        }
        return of.ohmPerMetre() > 0
                ? Message.of(
                        "lead_comparison.length_would_have_be",
                        Message.figure((line.ohm() - of.terminationOhm()) / of.ohmPerMetre(), "m"))
                : Message.of("lead_comparison.termination_bad_or_strands");
    }

    private static Message seen(LeadList.LeadEntry line) {
        return Message.of("lead_comparison.condemned_by_hand_eye", line.words());
    }

    /** Whether the set makes sense, so that a lead that is not named as different is like the others. */
    public boolean isJudged() {
        return line.filter(each -> each.ohmPerMetre() >= 0 && each.terminationOhm() >= -NEGLIGIBLE_OHM)
                .isPresent();
    }

    /** How far the comparison can be trusted, in a sentence. */
    public Message trust() {
        if (line.isEmpty()) {
            return Message.of("lead_comparison.fewer_than_four_leads");
        }
        if (!line.get().hasSlope()) {
            return Message.of("lead_comparison.all_have_one_length");
        }
        if (!isJudged()) {
            return Message.of("lead_comparison.longer_leads_read_less");
        }
        return line.get().confidence() == LeadLine.Confidence.WEAK
                ? Message.of("lead_comparison.four_leads_only_evidence")
                : Message.of("lead_comparison.leads_line_holds_as", leads.size());
    }
}
