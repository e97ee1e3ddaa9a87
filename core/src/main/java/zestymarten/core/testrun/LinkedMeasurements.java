package zestymarten.core.testrun;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import zestymarten.core.analysis.LinkedFarEnds;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestPlan;
import zestymarten.core.testplan.TestStep;

/** The ends of wires whose far ends are linked: which pairs are read, one after the other, and what they tell. */
final class LinkedMeasurements {
    private final TestPlan plan;
    private final StepSchedule schedule;
    private final List<Terminal> readLinked;
    private final List<TestStep> measurements = new ArrayList<>();
    private Optional<LinkedFarEnds> farEnd = Optional.empty();

    LinkedMeasurements(TestPlan plan, StepSchedule schedule) {
        this.plan = plan;
        this.schedule = schedule;
        readLinked = plan.readLinked();
    }

    /** Finds which pairs to read, from those that were. */
    void solve() {
        if (plan.linksFarEnds()) {
            farEnd = Optional.of(solveFarEnd());
        }
    }

    /** What the linked far ends tell; empty where they are not linked. */
    Optional<LinkedFarEnds> farEnd() {
        return farEnd;
    }

    /** The terminals that {@link #farEnd()} numbers. */
    List<Terminal> terminals() {
        return readLinked;
    }

    /** The pairs, in the order in which they are read. */
    List<TestStep> measurements() {
        return measurements;
    }

    private LinkedFarEnds solveFarEnd() {
        List<LinkedFarEnds.LinkedReading> reads = new ArrayList<>();
        LinkedFarEnds known = LinkedFarEnds.of(readLinked.size(), reads);
        Set<TestStep> asked = new LinkedHashSet<>();
        boolean grown = true;
        while (grown) {
            grown = false;
            for (int[] pair : known.due()) {
                TestStep.Measurement measurement = linked(pair[0], pair[1]);
                if (asked.add(measurement)) {
                    grown |= read(measurement, pair, reads);
                }
            }
            known = LinkedFarEnds.of(readLinked.size(), reads);
        }
        known.expectedClosing().ifPresent(pair -> asked.add(linked(pair[0], pair[1])));
        measurements.addAll(asked);
        return known;
    }

    private boolean read(TestStep.Measurement measurement, int[] pair, List<LinkedFarEnds.LinkedReading> reads) {
        Optional<Judgement> judgement =
                schedule.isDone(measurement) ? schedule.lastJudgement(measurement) : Optional.empty();
        boolean tells = judgement.isPresent() && judgement.get().contact() != Contact.UNKNOWN;
        if (tells) {
            boolean through = judgement.get().contact() == Contact.JOINED
                    || judgement.get().contact() == Contact.UNSTABLE;
            reads.add(new LinkedFarEnds.LinkedReading(
                    pair[0], pair[1], through, through ? judgement.get().correctedOhm() : OptionalDouble.empty()));
        }
        return tells;
    }

    private TestStep.Measurement linked(int first, int second) {
        Terminal black = readLinked.get(first);
        Terminal red = readLinked.get(second);
        List<List<Terminal>> links = List.of(plan.linkedFar());
        return black.isFrame()
                ? new TestStep.Measurement(Stage.CONTINUITY, red, black, "", links)
                : new TestStep.Measurement(Stage.CONTINUITY, black, red, "", links);
    }

    boolean isBroken(TestStep.Measurement measurement) {
        int wire = readLinked.indexOf(measurement.black());
        return wire >= 0
                && farEnd.map(each -> each.state(wire) == LinkedFarEnds.FarEndState.BROKEN)
                        .orElse(false);
    }
}
