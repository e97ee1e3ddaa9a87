package zestymarten.core.portable;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import zestymarten.core.judgement.Judgement.Verdict;

/**
 * How a lead of a batch stands.
 *
 * @param answers one for each item, in their order
 * @param says why, a sentence each
 */
public record LeadVerdict(LeadOutcome outcome, List<LeadTest.ItemAnswer> answers, List<String> says) {
    public LeadVerdict {
        answers = List.copyOf(answers);
        says = List.copyOf(says);
    }

    /** What becomes of it. */
    public enum LeadOutcome {
        /** Something is missing, or does not decide. */
        INCOMPLETE,
        /** Into service, with a label. */
        PASS,
        /** Into service, with an earlier date: something is close to its limit. */
        WATCH,
        /** Into quarantine. */
        FAIL,
        /** Read on the screws: no fault there, and no pass of the contacts either. */
        SCREWS_ONLY;

        /** In words. */
        public String words() {
            return name().toLowerCase(Locale.ROOT).replace('_', ' ');
        }

        /** Whether the lead is done with for the day. */
        public boolean isFinal() {
            return this != INCOMPLETE;
        }
    }

    static LeadVerdict of(LeadTest check, List<LeadTest.ItemAnswer> answers) {
        List<String> says = new ArrayList<>();
        answers.stream()
                .filter(each -> each.judgement().isPresent() && !each.is(Verdict.PASS))
                .forEach(each -> says.add(name(each.item()) + ": "
                        + each.judgement().orElseThrow().reason()));
        boolean protectiveFails = answers.stream()
                .anyMatch(each ->
                        each.item() instanceof LeadTest.Item.Core core && core.protective() && each.is(Verdict.FAIL));
        if (protectiveFails) {
            says.add("The protective conductor comes first: no test voltage on this lead.");
        }
        exchanged(answers, says);
        LeadOutcome outcome = outcome(check, answers, protectiveFails);
        if (outcome == LeadOutcome.SCREWS_ONLY) {
            says.add(
                    "Read on the screws: the contacts of plug and socket are not proved. Read once through the mated pair.");
        } else if (outcome == LeadOutcome.PASS) {
            says.add(
                    "Every core answers at its own pin and at no other: none is open, none is crossed, none is shorted.");
        }
        return new LeadVerdict(outcome, answers, says);
    }

    private static void exchanged(List<LeadTest.ItemAnswer> answers, List<String> says) {
        List<String> silent = answers.stream()
                .filter(each -> each.item() instanceof LeadTest.Item.Core && each.isOpen())
                .map(each -> name(each.item()))
                .toList();
        if (silent.size() >= 2) {
            says.add("Several cores do not answer, " + String.join(", ", silent)
                    + ": they may be crossed. Measure across before you call them broken.");
        }
    }

    private static LeadOutcome outcome(LeadTest check, List<LeadTest.ItemAnswer> answers, boolean protectiveFails) {
        if (protectiveFails || answers.stream().anyMatch(each -> each.is(Verdict.FAIL))) {
            return LeadOutcome.FAIL;
        }
        boolean missing = answers.stream()
                .anyMatch(
                        each -> each.judgement().isEmpty() || each.is(Verdict.DOUBTFUL) || each.is(Verdict.UNDECIDED));
        if (missing) {
            return LeadOutcome.INCOMPLETE;
        }
        if (check.onScrews()) {
            return LeadOutcome.SCREWS_ONLY;
        }
        return answers.stream().anyMatch(each -> each.is(Verdict.WATCH)) ? LeadOutcome.WATCH : LeadOutcome.PASS;
    }

    /** Such as {@code core PE}. */
    public static String name(LeadTest.Item item) {
        if (item instanceof LeadTest.Item.Core core) {
            return "core " + core.wire().id();
        }
        if (item instanceof LeadTest.Item.CoresApart apart) {
            return apart.one().id() + " to " + apart.other().id();
        }
        return item instanceof LeadTest.Item.Fuse fuse ? "fuse " + fuse.part().id() : item.id();
    }
}
