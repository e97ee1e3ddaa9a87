package zestymarten.core.job;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.plan.Deed;
import zestymarten.core.plan.Stage;
import zestymarten.core.plan.Step;

/**
 * What still stands of the entries of a run, step by step.
 *
 * <p>Rules: what was taken back does not count. A repair ends what was read before of the whole wires that it concerns, of
 * the ends of their neighbours in each connector, of the pairs between the two, and of every function: all that has to be
 * shown again. What was read of the neighbours is set aside and not forgotten: a fault there is not repaired by it. A length
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
        Set<Terminal> mended = mended(repair.subject());
        Set<Terminal> beside = beside(mended);
        Set<String> named = new HashSet<>(List.of(repair.subject().split(" ")));
        boolean linksAgain = byStep.containsKey(new Step.Act(Deed.FREED))
                && byStep.keySet().stream()
                        .anyMatch(step -> step instanceof Step.Touch touch
                                && touch.stage() == Stage.ENDS
                                && touch.isTied()
                                && isReadAgain(touch, mended, beside));
        byStep.forEach((step, made) -> {
            if (step instanceof Step.Touch touch && touch.stage() == Stage.ENDS && isReadAgain(touch, mended, beside)) {
                setAside.put(touch, made);
            }
        });
        setAside.keySet().removeIf(touch -> mended.contains(touch.black()) || mended.contains(touch.red()));
        byStep.keySet()
                .removeIf(step -> step.fold(
                        probes -> false,
                        touch -> isReadAgain(touch, mended, beside),
                        act -> act.deed() == Deed.FUNCTION
                                || act.deed() == Deed.RESET
                                || act.deed() == Deed.REMAINING
                                || (linksAgain && OF_LINKS.contains(act.deed()))
                                || (act.deed() == Deed.LOOKED && named.contains(act.subject()))));
    }

    private static boolean isReadAgain(Step.Touch touch, Set<Terminal> mended, Set<Terminal> beside) {
        boolean black = mended.contains(touch.black());
        boolean red = mended.contains(touch.red());
        boolean own = black || red;
        return switch (touch.stage()) {
            case SHORTS ->
                touch.isTied()
                        ? own
                                || touch.ties().stream()
                                        .anyMatch(tie -> tie.stream().anyMatch(mended::contains))
                        : (black && (red || beside.contains(touch.red()))) || (red && beside.contains(touch.black()));
            case ENDS -> own || beside.contains(touch.black()) || beside.contains(touch.red());
            default -> own;
        };
    }

    /** All terminals of the nets of the conductors, and of the parts, that a repair names, and those named themselves. */
    private Set<Terminal> mended(String subject) {
        Set<String> names = new HashSet<>(List.of(subject.split(" ")));
        Set<Terminal> mended = new LinkedHashSet<>();
        design.assembly().terminals().stream()
                .filter(each -> names.contains(each.name()))
                .forEach(mended::add);
        for (Conductor conductor : design.assembly().conductors()) {
            if (names.contains(conductor.id())) {
                design.nets().of(conductor.from()).ifPresent(net -> mended.addAll(net.ends()));
                mended.addAll(List.of(conductor.from(), conductor.to()));
            }
        }
        for (Component part : design.assembly().components()) {
            if (names.contains(part.id())) {
                mended.addAll(List.of(part.a(), part.b()));
            }
        }
        mended.remove(Terminal.FRAME);
        return mended;
    }

    /** The cavities next to a mended one in its connector. */
    private Set<Terminal> beside(Set<Terminal> mended) {
        Set<Terminal> beside = new LinkedHashSet<>();
        for (Connector connector : design.assembly().connectors()) {
            List<Terminal> pins = connector.terminals();
            for (int i = 0; i < pins.size(); i++) {
                if (mended.contains(pins.get(i))) {
                    beside.addAll(pins.subList(Math.max(0, i - 1), Math.min(pins.size(), i + 2)));
                }
            }
        }
        beside.removeAll(mended);
        return beside;
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
