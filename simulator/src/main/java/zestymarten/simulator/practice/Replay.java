package zestymarten.simulator.practice;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.analysis.Explanation;
import zestymarten.core.analysis.MeasurementCosts;
import zestymarten.core.analysis.Recommendation;
import zestymarten.core.analysis.UnitAnalysis;
import zestymarten.core.finding.Priors;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;

/**
 * What was certain at a moment of a session, and what would have shown most then.
 *
 * @param suspects what it may be, the likeliest first; from resistance alone, the symptoms included
 * @param best the measurement that would tell most for its time; empty where none would
 */
public record Replay(List<Explanation> suspects, Optional<Recommendation.RecommendedMeasurement> best) {
    private static final int SUSPECTS = 4;
    static final TestConditions CONDITIONS = new TestConditions(
            20,
            new MeterProfile("practice meter", 0.005, 0.01, 30, false, 20e6),
            OptionalDouble.of(0.3),
            LeadPolicy.FULL,
            false,
            TestConditions.JOINED_BELOW_OHM);

    public Replay {
        suspects = List.copyOf(suspects);
    }

    /** Before an action, by its number from 0. Cost: that of one diagnosis. */
    public static Replay before(Session session, int action) {
        List<PracticeAction> done = session.events().stream()
                .limit(action)
                .map(Session.Event::action)
                .toList();
        UnitAnalysis analysis = analysis(Session.of(session.exercise(), done));
        return new Replay(
                analysis.explanations().stream().limit(SUSPECTS).toList(),
                recommended(session, analysis).measurements().stream().findFirst());
    }

    static UnitAnalysis analysis(Session session) {
        return UnitAnalysis.of(
                session.design(), CONDITIONS, Priors.usual(), session.exercise().symptoms(), session.readings());
    }

    static Recommendation recommended(Session session, UnitAnalysis analysis) {
        return analysis.next(MeasurementCosts.bench(session.design().assembly(), false), 1);
    }
}
