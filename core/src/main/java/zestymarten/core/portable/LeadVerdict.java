package zestymarten.core.portable;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;

/**
 * How a lead of a batch stands.
 *
 * @param answers one for each item, in their order
 * @param says why, a sentence each
 */
public record LeadVerdict(LeadOutcome outcome, List<LeadTest.ItemAnswer> answers, List<Message> says) {
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
        MARGINAL,
        /** Into quarantine. */
        FAIL,
        /** Read on the screws: no fault there, and no pass of the contacts either. */
        SCREWS_ONLY;

        private static final String STORED_MARGINAL = "watch";

        /** As it is stored. What was recorded by an earlier word is never written anew. */
        public String code() {
            return this == MARGINAL
                    ? STORED_MARGINAL
                    : name().toLowerCase(Locale.ROOT).replace('_', ' ');
        }

        /**
         * The outcome of a code.
         *
         * @throws IllegalArgumentException if there is none
         */
        public static LeadOutcome of(String code) {
            return code.equals(STORED_MARGINAL)
                    ? MARGINAL
                    : valueOf(code.replace(' ', '_').toUpperCase(Locale.ROOT));
        }

        /** Whether the lead is done with for the day. */
        public boolean isFinal() {
            return this != INCOMPLETE;
        }
    }

    static LeadVerdict of(LeadTest check, List<LeadTest.ItemAnswer> answers) {
        List<Message> says = new ArrayList<>();
        answers.stream()
                .filter(each -> each.judgement().isPresent() && !each.is(Verdict.PASS))
                .forEach(each -> says.add(Message.of(
                        "lead_verdict.at",
                        name(each.item()),
                        each.judgement().orElseThrow().reason())));
        boolean protectiveFails = answers.stream()
                .anyMatch(each ->
                        each.item() instanceof LeadTest.Item.Core core && core.protective() && each.is(Verdict.FAIL));
        if (protectiveFails) {
            says.add(Message.of("lead_verdict.protective_conductor_comes_first"));
        }
        exchanged(answers, says);
        LeadOutcome outcome = outcome(check, answers, protectiveFails);
        if (outcome == LeadOutcome.SCREWS_ONLY) {
            says.add(Message.of("lead_verdict.read_on_screws_contacts"));
        } else if (outcome == LeadOutcome.PASS) {
            says.add(Message.of("lead_verdict.every_core_answers_own"));
        }
        return new LeadVerdict(outcome, answers, says);
    }

    private static void exchanged(List<LeadTest.ItemAnswer> answers, List<Message> says) {
        List<Message> silent = answers.stream()
                .filter(each -> each.item() instanceof LeadTest.Item.Core && each.isOpen())
                .map(each -> name(each.item()))
                .toList();
        if (silent.size() >= 2) {
            says.add(Message.of(
                    "lead_verdict.several_cores_do_not", Message.list(MessageArgument.Listing.Link.COMMA, silent)));
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
        return answers.stream().anyMatch(each -> each.is(Verdict.MARGINAL)) ? LeadOutcome.MARGINAL : LeadOutcome.PASS;
    }

    /** Such as {@code core PE}. */
    public static Message name(LeadTest.Item item) {
        if (item instanceof LeadTest.Item.Core core) {
            return Message.of("lead_verdict.core", core.wire().id());
        }
        if (item instanceof LeadTest.Item.CoresApart apart) {
            return Message.of(
                    "lead_verdict.name", apart.one().id(), apart.other().id());
        }
        return item instanceof LeadTest.Item.Fuse fuse
                ? Message.of("lead_verdict.fuse", fuse.part().id())
                : Message.of("lead_verdict." + item.id());
    }
}
