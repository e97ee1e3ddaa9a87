package zestymarten.core.circuit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;

/**
 * What a circuit's readings say is wrong with it, in sentences: the likeliest pattern, what else it may be and where, and what no
 * pattern explains.
 */
final class PatternSays {
    /** Two that are as near as that are named as one of the two. */
    private static final double ALIKE = 0.5;

    private final Circuit circuit;
    private final Supply supply;
    private final boolean isRead;
    private final List<Message> says = new ArrayList<>();

    private PatternSays(Circuit circuit, Supply supply, boolean isRead) {
        this.circuit = circuit;
        this.supply = supply;
        this.isRead = isRead;
    }

    /** @param isRead whether anything was read at all */
    static List<Message> of(RecognisedPattern recognised, Circuit circuit, Supply supply, boolean isRead) {
        PatternSays sentences = new PatternSays(circuit, supply, isRead);
        sentences.recognised(recognised);
        return sentences.says;
    }

    private void recognised(RecognisedPattern recognised) {
        Optional<RecognisedPattern.PatternMatch> best = recognised.best();
        if (best.isEmpty()) {
            return;
        }
        if (!recognised.isExplained()) {
            says.add(Message.of(
                    "circuit_report.no_single_fault_explains",
                    best.get().pattern().says(circuit),
                    words(recognised.unexplained())));
            return;
        }
        if (!recognised.unexplained().isEmpty()) {
            says.add(Message.of("circuit_report.one_reading_fits_nothing", words(recognised.unexplained())));
        }
        pattern(recognised);
        if (circuit.lengths() == Lengths.UNKNOWN && isRead) {
            says.add(Message.of(
                    "circuit_report.no_lengths_entered_by", Message.figure(Math.rint(circuit.metres()), "m")));
        }
        if (best.get().pattern() instanceof Pattern.ConductorBroken broken
                && circuit.ring()
                && broken.role() != ConductorRole.PROTECTIVE
                && !isAnywhere(best.get())) {
            supply.protection()
                    .ifPresent(by -> says.add(Legs.of(circuit, broken.stretch()).says(by, supply.legA())));
        }
    }

    /** The likeliest and what else it may be; of two that these readings hardly tell apart the more dangerous stands first. */
    private void pattern(RecognisedPattern recognised) {
        List<RecognisedPattern.PatternMatch> matches = recognised.matches();
        RecognisedPattern.PatternMatch best = matches.get(0);
        boolean open = matches.size() > 1 && matches.get(1).probability() > ALIKE * best.probability();
        if (open) {
            List<RecognisedPattern.PatternMatch> two = matches.subList(0, 2).stream()
                    .sorted(Comparator.comparing(each -> !isWithoutProtection(each.pattern())))
                    .toList();
            says.add(Message.of("circuit_report.one_these_or_these", says(two.get(0)), says(two.get(1))));
        } else if (isAnywhere(best)) {
            says.add(says(best));
        } else {
            says.add(best.pattern().says(circuit));
            beside(best).ifPresent(says::add);
        }
        matches.stream()
                .skip(open ? 2 : 1)
                .limit(open ? 1 : 2)
                .forEach(each ->
                        says.add(Message.of("circuit_report.or", Math.round(100 * each.probability()), says(each))));
    }

    private Message says(RecognisedPattern.PatternMatch match) {
        if (isAnywhere(match)) {
            return match.pattern() instanceof Pattern.ConductorBroken broken
                    ? Message.of("circuit_report.open_somewhere", broken.role().words(), circuit.ring())
                    : Message.of("circuit_report.whole_cable_open_one");
        }
        return Message.sentences(match.pattern().says(circuit), beside(match));
    }

    /** Whether an open conductor may be open nearly anywhere. */
    private boolean isAnywhere(RecognisedPattern.PatternMatch match) {
        boolean open =
                match.pattern() instanceof Pattern.ConductorBroken || match.pattern() instanceof Pattern.CableCut;
        return open
                && match.stretches().size() > circuit.stretches().size() / 2
                && match.stretches().size() > 2;
    }

    /** Whether a point would be without its protective conductor. */
    private static boolean isWithoutProtection(Pattern pattern) {
        return (pattern instanceof Pattern.Missing missing && missing.role() == ConductorRole.PROTECTIVE)
                || (pattern instanceof Pattern.ConductorBroken broken && broken.role() == ConductorRole.PROTECTIVE)
                || (pattern instanceof Pattern.Swapped swapped && swapped.b() == ConductorRole.PROTECTIVE);
    }

    private static Message words(List<Spot> spots) {
        List<Message> first = spots.stream().limit(3).map(Spot::words).toList();
        return Message.of(
                "circuit_report.more",
                Message.list(MessageArgument.Listing.Link.SEMICOLON, first),
                spots.size() - first.size());
    }

    /** Where else it may be, when several stretches read alike. */
    private Optional<Message> beside(RecognisedPattern.PatternMatch match) {
        List<Integer> stretches = match.stretches();
        if (stretches.size() < 2) {
            return Optional.empty();
        }
        Message from = stretches.get(0) == 0
                ? Message.of("circuit_report.origin")
                : Message.of("circuit_report.point", stretches.get(0));
        int last = stretches.get(stretches.size() - 1) + 1;
        Message to = last > circuit.outlets()
                ? Message.of("circuit_report.origin")
                : Message.of("circuit_report.point", last);
        return Optional.of(Message.of("circuit_report.may_also_be_elsewhere", from, to));
    }
}
