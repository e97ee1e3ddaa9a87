package zestymarten.bench.practice;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.diagnosis.Costs;
import zestymarten.core.diagnosis.Diagnosis;
import zestymarten.core.diagnosis.NextTouch;
import zestymarten.core.finding.Priors;
import zestymarten.core.diagnosis.Suspect;
import zestymarten.core.fault.GoodUnit;
import zestymarten.core.meter.Conditions;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.Meter;

/**
 * What was certain at a moment of a session, and what would have told most then.
 *
 * @param suspects what it may be, the likeliest first; from ohms alone, the complaint included
 * @param best the touch that would tell most for its time; empty where none would
 */
public record Replay(List<Suspect> suspects, Optional<NextTouch> best) {
    private static final int SUSPECTS = 4;
    private static final Conditions CONDITIONS = new Conditions(
            20,
            new Meter("practice meter", 0.005, 0.01, 30, false, 20e6),
            OptionalDouble.of(0.3),
            LeadPolicy.FULL,
            false,
            Conditions.JOINED_BELOW_OHM);

    public Replay {
        suspects = List.copyOf(suspects);
    }

    /** Before an act, by its number from 0. Cost: that of one diagnosis. */
    public static Replay before(Session session, int act) {
        List<Act> done =
                session.events().stream().limit(act).map(Session.Event::act).toList();
        Diagnosis diagnosis = diagnosis(Session.of(session.exercise(), done));
        return new Replay(diagnosis.suspects(SUSPECTS), next(diagnosis));
    }

    static Diagnosis diagnosis(Session session) {
        return Diagnosis.of(
                GoodUnit.nominal(session.design()),
                CONDITIONS,
                Priors.usual(),
                session.exercise().complaint(),
                session.readings());
    }

    static Optional<NextTouch> next(Diagnosis diagnosis) {
        return diagnosis.next(Costs.bench(false), 1).stream().findFirst();
    }
}
