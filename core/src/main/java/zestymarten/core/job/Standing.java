package zestymarten.core.job;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zestymarten.core.analysis.Design;
import zestymarten.core.plan.Deed;
import zestymarten.core.plan.Stage;
import zestymarten.core.plan.Step;

/**
 * What still stands of the entries of a run, step by step.
 *
 * <p>Rules: what was taken back does not count. A repair ends what was read before of everything that it concerns, see {@link
 * RepairScope}: all that has to be shown again. What was read of the neighbours is set aside and not forgotten: a fault there is not repaired by it. A length
 * of a broken wire that was mended ends its own reading alone. What is read against linked far ends asks for the links, and
 * the trips to them, again. Everything else stays shown. Cost: entries times what a
 * repair touches.
 */
final class Standing {
    /** What is done anew where far ends have to be linked once more for a reading that a repair asks again. */
    private static final Set<Deed> OF_LINKS = EnumSet.of(Deed.WALKED, Deed.TIED, Deed.WALKED_BACK, Deed.FREED);

    private final Design design;
    private final List<Entry> entries;
    private final Map<Step, List<Entry>> byStep = new LinkedHashMap<>();
    private final Map<Step.Touch, List<Entry>> setAside = new LinkedHashMap<>();
    private final Map<Step, Integer> touches = new HashMap<>();
    private final List<Entry> repairs = new ArrayList<>();

    Standing(Design design, List<Entry> entries) {
        this.design = design;
        this.entries = entries;
        for (Entry entry : entries) {
            touches.merge(entry.step(), 1, Integer::sum);
            if (!entry.stands()) {
                continue;
            }
            byStep.computeIfAbsent(entry.step(), any -> new ArrayList<>()).add(entry);
            setAside.remove(entry.step());
            if (entry.content() instanceof Entry.Content.Repair) {
                repairs.add(entry);
                forget((Step.Act) entry.step());
            }
        }
    }

    List<Entry> entries() {
        return entries;
    }

    /** Steps with entries that stand, in the order in which they were first made. */
    Set<Step> steps() {
        return byStep.keySet();
    }

    List<Entry> of(Step step) {
        return byStep.getOrDefault(step, List.of());
    }

    /** What was read beside a repair before it, of steps that are asked for again. */
    Map<Step.Touch, List<Entry>> setAside() {
        return setAside;
    }

    /** The entries that show how a step stands, before a repair beside it if there are none since. */
    List<Entry> shown(Step step) {
        List<Entry> since = of(step);
        return since.isEmpty() && step instanceof Step.Touch touch ? setAside.getOrDefault(touch, since) : since;
    }

    Optional<Entry> last(Step step) {
        List<Entry> all = of(step);
        return all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1));
    }

    /** The number that the next entry of a step will have. */
    int nextTouch(Step step) {
        return touches.getOrDefault(step, 0) + 1;
    }

    /** The last entry that stands, which is the one to take back. */
    Optional<Entry> last() {
        for (int i = entries.size() - 1; i >= 0; i--) {
            if (entries.get(i).stands()) {
                return Optional.of(entries.get(i));
            }
        }
        return Optional.empty();
    }

    List<Entry> repairs() {
        return repairs;
    }

    private void forget(Step.Act repair) {
        if (Remainder.isOne(design, repair.subject())) {
            byStep.remove(new Step.Act(Deed.REMAINING, repair.subject()));
            return;
        }
        RepairScope scope = RepairScope.of(design, repair.subject());
        boolean linksAgain = byStep.containsKey(new Step.Act(Deed.FREED))
                && byStep.keySet().stream()
                        .anyMatch(step -> step instanceof Step.Touch touch
                                && touch.stage() == Stage.ENDS
                                && touch.isTied()
                                && scope.concerns(touch));
        byStep.forEach((step, made) -> {
            if (step instanceof Step.Touch touch && touch.stage() == Stage.ENDS && scope.concerns(touch)) {
                setAside.put(touch, made);
            }
        });
        setAside.keySet().removeIf(touch -> scope.isOf(touch.black()) || scope.isOf(touch.red()));
        byStep.keySet()
                .removeIf(step -> scope.concerns(step)
                        || (linksAgain && step instanceof Step.Act act && OF_LINKS.contains(act.deed())));
    }

    /** Whether a probe was put on the wiring after an entry was made. */
    boolean wasTouchedAfter(Entry check) {
        return entries.stream()
                .anyMatch(entry -> entry.sequence() > check.sequence()
                        && entry.stands()
                        && entry.step() instanceof Step.Touch
                        && !entry.step().stage().isUnderVoltage());
    }
}
