package zestymarten.core.testrun;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.pcollections.HashTreePMap;
import org.pcollections.OrderedPMap;
import org.pcollections.PMap;
import org.pcollections.PVector;
import org.pcollections.TreePVector;
import zestymarten.core.analysis.Design;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;

/**
 * What still stands of the entries of a run, step by step.
 *
 * <p>Rules: what was taken back does not count. A repair ends what was read before of everything that it concerns, see {@link
 * RepairScope}: all that has to be shown again. What was read of the neighbours is set aside and not forgotten: a fault there is not repaired by it. A length
 * of a broken wire that was repaired ends its own reading alone. What is read against linked far ends asks for the links, and
 * the trips to them, again. Everything else stays shown.
 *
 * <p>Method: persistent maps, so that one entry more shares all that went before. Cost: of one entry log n; of a repair the
 * steps that were made.
 */
final class RunLog {
    /** What is done anew where far ends have to be linked once more for a reading that a repair asks again. */
    private static final Set<ManualAction> OF_LINKS = EnumSet.of(
            ManualAction.GO_TO_FAR_END,
            ManualAction.LINK_FAR_ENDS,
            ManualAction.GO_TO_FAR_END_AGAIN,
            ManualAction.UNLINK_FAR_ENDS);

    // Written before anybody else sees the object, and never again.
    private final Design design;
    private PVector<Entry> entries = TreePVector.empty();
    private PVector<Entry> manual = TreePVector.empty();
    private PVector<Entry> repairs = TreePVector.empty();
    private PMap<UUID, Entry> byId = HashTreePMap.empty();
    private PMap<TestStep, PVector<Entry>> byStep = HashTreePMap.empty();
    private PMap<Stage, PVector<TestStep>> made = HashTreePMap.empty();
    private PMap<TestStep, Integer> measurements = HashTreePMap.empty();
    private OrderedPMap<TestStep.Measurement, List<Entry>> setAside = OrderedPMap.empty();
    private int takenBack;

    RunLog(Design design, List<Entry> entries) {
        this.design = design;
        entries.forEach(this::add);
    }

    private RunLog(RunLog earlier) {
        design = earlier.design;
        entries = earlier.entries;
        manual = earlier.manual;
        repairs = earlier.repairs;
        byId = earlier.byId;
        byStep = earlier.byStep;
        made = earlier.made;
        measurements = earlier.measurements;
        setAside = earlier.setAside;
        takenBack = earlier.takenBack;
    }

    /** The same with one more entry. */
    RunLog plus(Entry entry) {
        RunLog more = new RunLog(this);
        more.add(entry);
        return more;
    }

    private void add(Entry entry) {
        TestStep step = entry.step();
        entries = entries.plus(entry);
        byId = byId.plus(entry.id(), entry);
        measurements = measurements.plus(step, measurements.getOrDefault(step, 0) + 1);
        if (!entry.stands()) {
            takenBack++;
            return;
        }
        PVector<Entry> before = byStep.get(step);
        if (before == null) {
            made = made.plus(
                    step.stage(),
                    made.getOrDefault(step.stage(), TreePVector.empty()).plus(step));
        }
        byStep = byStep.plus(step, (before == null ? TreePVector.<Entry>empty() : before).plus(entry));
        if (step instanceof TestStep.Measurement measurement) {
            setAside = setAside.minus(measurement);
        } else {
            manual = manual.plus(entry);
        }
        if (entry.content() instanceof Entry.Content.Repair) {
            repairs = repairs.plus(entry);
            forget((TestStep.ManualStep) step);
        }
    }

    List<Entry> entries() {
        return entries;
    }

    /** The last entry, taken back or not; there is one. */
    Entry added() {
        return entries.get(entries.size() - 1);
    }

    /** How many of the entries were taken back. */
    int takenBack() {
        return takenBack;
    }

    /** The entry of that identifier, taken back or not. */
    Optional<Entry> entry(UUID id) {
        return Optional.ofNullable(byId.get(id));
    }

    /** The entries that stand of all that is no measurement of the wiring, in their order. */
    List<Entry> manual() {
        return manual;
    }

    /** Steps of a stage with entries that stand, in the order in which they were first made. */
    List<TestStep> steps(Stage stage) {
        return made.getOrDefault(stage, TreePVector.empty());
    }

    /** Steps with entries that stand, by stage. */
    Stream<TestStep> steps() {
        return Stream.of(Stage.values()).flatMap(stage -> steps(stage).stream());
    }

    List<Entry> of(TestStep step) {
        return byStep.getOrDefault(step, TreePVector.empty());
    }

    /** What was read beside a repair before it, of steps that are asked for again. */
    Map<TestStep.Measurement, List<Entry>> setAside() {
        return setAside;
    }

    /** The entries that show how a step stands, before a repair beside it if there are none since. */
    List<Entry> shown(TestStep step) {
        List<Entry> since = of(step);
        return since.isEmpty() && step instanceof TestStep.Measurement measurement
                ? setAside.getOrDefault(measurement, since)
                : since;
    }

    Optional<Entry> last(TestStep step) {
        List<Entry> all = of(step);
        return all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1));
    }

    /** The number that the next entry of a step will have. */
    int nextAttempt(TestStep step) {
        return measurements.getOrDefault(step, 0) + 1;
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

    private void forget(TestStep.ManualStep repair) {
        if (RemainingLength.isOne(design, repair.subject())) {
            TestStep length = new TestStep.ManualStep(ManualAction.REMAINING, repair.subject());
            drop(length::equals);
            return;
        }
        RepairScope scope = RepairScope.of(design, repair.subject().code());
        List<TestStep> ends = steps(Stage.CONTINUITY);
        boolean linksAgain = byStep.containsKey(new TestStep.ManualStep(ManualAction.UNLINK_FAR_ENDS))
                && ends.stream()
                        .anyMatch(step -> step instanceof TestStep.Measurement measurement
                                && measurement.isLinked()
                                && scope.concerns(measurement));
        for (TestStep step : ends) {
            if (step instanceof TestStep.Measurement measurement && scope.concerns(measurement)) {
                setAside = setAside.plus(measurement, of(measurement));
            }
        }
        List<TestStep.Measurement> own = setAside.keySet().stream()
                .filter(measurement -> scope.isOf(measurement.black()) || scope.isOf(measurement.red()))
                .toList();
        setAside = setAside.minusAll(own);
        Set<TestStep> setAgain =
                steps().filter(scope::concerns).flatMap(RunLog::settings).collect(Collectors.toSet());
        drop(step -> scope.concerns(step)
                || setAgain.contains(step)
                || (linksAgain && step instanceof TestStep.ManualStep manual && OF_LINKS.contains(manual.action())));
    }

    /** What is set before a measurement, and set back after it: switches and relays, or the machine's moving part. */
    private static Stream<TestStep> settings(TestStep step) {
        if (!(step instanceof TestStep.Measurement measurement)
                || measurement.state().isEmpty()) {
            return Stream.of();
        }
        return measurement.stage() == Stage.WIGGLE
                ? Stream.of(
                        new TestStep.ManualStep(ManualAction.MOVED_TO, measurement.state()),
                        new TestStep.ManualStep(ManualAction.MOVED_TO))
                : Stream.of(new TestStep.ManualStep(ManualAction.POSITION, measurement.state()));
    }

    private void drop(Predicate<TestStep> which) {
        Map<Stage, PVector<TestStep>> kept = new HashMap<>();
        List<TestStep> gone = new ArrayList<>();
        made.forEach((stage, steps) -> {
            gone.addAll(steps.stream().filter(which).toList());
            kept.put(
                    stage,
                    TreePVector.from(steps.stream().filter(which.negate()).toList()));
        });
        byStep = byStep.minusAll(gone);
        made = HashTreePMap.from(kept);
    }

    /** Whether a probe was put on the wiring after an entry was made. */
    boolean wasMeasuredAfter(Entry check) {
        for (int i = entries.size() - 1; i >= 0 && entries.get(i).sequence() > check.sequence(); i--) {
            Entry entry = entries.get(i);
            if (entry.stands()
                    && entry.step() instanceof TestStep.Measurement
                    && !entry.step().stage().isUnderVoltage()) {
                return true;
            }
        }
        return false;
    }
}
