package zestymarten.core.job;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.plan.Deed;
import zestymarten.core.plan.Stage;
import zestymarten.core.plan.Step;

/**
 * Other parts that are tried in the place of one: a test with a price, never a diagnosis.
 *
 * <p>Rule: before a part is changed it is unplugged and plugged in again, because that alone may cure a contact; only if
 * nothing has changed by that, a known good one takes its place. What stands in is on the ledger until the part is back.
 */
final class Substitutes {
    /** The most minutes that a change of a part may take. */
    static final int MOST_MINUTES = 600;

    private final Assembly assembly;
    private final Standing standing;

    Substitutes(Assembly assembly, Standing standing) {
        this.assembly = assembly;
        this.standing = standing;
    }

    /** Whether it is a part or a connector of the wiring. */
    boolean isPart(String subject) {
        return assembly.connector(subject).isPresent()
                || assembly.components().stream().anyMatch(each -> each.id().equals(subject));
    }

    /** Whether words say how many minutes a change takes. */
    static boolean isPrice(String words) {
        return words.matches("[0-9]{1,3}") && Integer.parseInt(words) <= MOST_MINUTES;
    }

    private List<Step.Act> planned() {
        return standing.steps(Stage.REPAIR).stream()
                .filter(step -> step instanceof Step.Act act && act.deed() == Deed.SUBSTITUTE)
                .map(Step.Act.class::cast)
                .filter(act -> words(act).isPresent())
                .toList();
    }

    /** What is done for them, in the order in which they were planned. */
    Stream<Step> steps() {
        return planned().stream().flatMap(each -> {
            Step.Act replug = new Step.Act(Deed.REPLUGGED, each.subject());
            return words(replug).filter(Behaviours.WORKS::equals).isPresent()
                    ? Stream.of(replug)
                    : Stream.of(replug, new Step.Act(Deed.SUBSTITUTED, each.subject()));
        });
    }

    /** Minutes that those not tried yet will take. */
    double minutesLeft() {
        return planned().stream()
                .filter(each -> steps().anyMatch(step -> step.equals(new Step.Act(Deed.SUBSTITUTED, each.subject()))))
                .filter(each -> standing.last(new Step.Act(Deed.SUBSTITUTED, each.subject()))
                        .isEmpty())
                .mapToDouble(each -> Double.parseDouble(words(each).orElse("0")))
                .sum();
    }

    private Optional<String> words(Step.Act act) {
        return standing.last(act)
                .filter(entry -> entry.content() instanceof Entry.Content.Done)
                .map(entry -> ((Entry.Content.Done) entry.content()).words());
    }
}
