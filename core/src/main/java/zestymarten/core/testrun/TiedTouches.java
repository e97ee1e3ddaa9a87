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
final class TiedTouches {
    private final TestPlan plan;
    private final StepSchedule schedule;
    private final List<Terminal> readTied;
    private final List<TestStep> touches = new ArrayList<>();
    private Optional<LinkedFarEnds> farEnd = Optional.empty();

    TiedTouches(TestPlan plan, StepSchedule schedule) {
        this.plan = plan;
        this.schedule = schedule;
        readTied = plan.readTied();
    }

    /** Finds which pairs to read, from those that were. */
    void solve() {
        if (plan.tiesFarEnds()) {
            farEnd = Optional.of(solveFarEnd());
        }
    }

    /** What the linked far ends tell; empty where they are not linked. */
    Optional<LinkedFarEnds> farEnd() {
        return farEnd;
    }

    /** The terminals that {@link #farEnd()} numbers. */
    List<Terminal> terminals() {
        return readTied;
    }

    /** The pairs, in the order in which they are read. */
    List<TestStep> touches() {
        return touches;
    }

    private LinkedFarEnds solveFarEnd() {
        List<LinkedFarEnds.LinkedReading> reads = new ArrayList<>();
        LinkedFarEnds known = LinkedFarEnds.of(readTied.size(), reads);
        Set<TestStep> asked = new LinkedHashSet<>();
        boolean grown = true;
        while (grown) {
            grown = false;
            for (int[] pair : known.due()) {
                TestStep.Measurement touch = tied(pair[0], pair[1]);
                if (asked.add(touch)) {
                    grown |= read(touch, pair, reads);
                }
            }
            known = LinkedFarEnds.of(readTied.size(), reads);
        }
        known.expectedClosing().ifPresent(pair -> asked.add(tied(pair[0], pair[1])));
        touches.addAll(asked);
        return known;
    }

    private boolean read(TestStep.Measurement touch, int[] pair, List<LinkedFarEnds.LinkedReading> reads) {
        Optional<Judgement> judgement = schedule.isDone(touch) ? schedule.lastJudgement(touch) : Optional.empty();
        boolean tells = judgement.isPresent() && judgement.get().contact() != Contact.UNKNOWN;
        if (tells) {
            boolean through = judgement.get().contact() == Contact.JOINED
                    || judgement.get().contact() == Contact.UNSTABLE;
            reads.add(new LinkedFarEnds.LinkedReading(
                    pair[0], pair[1], through, through ? judgement.get().correctedOhm() : OptionalDouble.empty()));
        }
        return tells;
    }

    private TestStep.Measurement tied(int first, int second) {
        Terminal black = readTied.get(first);
        Terminal red = readTied.get(second);
        List<List<Terminal>> ties = List.of(plan.tiedFar());
        return black.isFrame()
                ? new TestStep.Measurement(Stage.ENDS, red, black, "", ties)
                : new TestStep.Measurement(Stage.ENDS, black, red, "", ties);
    }

    boolean isBroken(TestStep.Measurement touch) {
        int wire = readTied.indexOf(touch.black());
        return wire >= 0
                && farEnd.map(each -> each.state(wire) == LinkedFarEnds.FarEndState.BROKEN)
                        .orElse(false);
    }
}
