package zestymarten.web.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.function.BiFunction;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.meter.Conditions;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.Meter;
import zestymarten.core.plan.Step;
import zestymarten.web.run.Run;
import zestymarten.web.run.Runs;
import zestymarten.web.wiring.Revision;

/** Tests a unit as a technician would, at a moment in the past: types what the meter shows, step by step. */
final class Technician {
    private static final Meter METER = new Meter("bench meter 2", 0.008, 0.01, 30, false, 20e6);
    private static final Duration PACE = Duration.ofSeconds(6);

    private final Runs runs;
    private final String name;

    Technician(Runs runs, String name) {
        this.runs = runs;
        this.name = name;
    }

    /** Tests until nothing is due, or until so many entries were made; ends the run only in the first case. */
    void test(Revision revision, String serial, FaultyUnit unit, double ambientC, Instant from, int entries) {
        Conditions conditions = new Conditions(
                ambientC, METER, OptionalDouble.empty(), LeadPolicy.FULL, false, Conditions.JOINED_BELOW_OHM);
        Runs then = runs.withClock(ticking(from));
        long id = then.start(revision.assemblyId(), serial, conditions, name);
        BiFunction<Terminal, Terminal, String> bench = unit.onTheBench();
        Run run = then.find(id);
        for (int i = 0; i < entries && run.job().current().isPresent(); i++) {
            Step step = run.job().current().get();
            String shown = step.fold(
                    probes -> probes.question() == Step.Probes.Question.TONE ? "b" : "0.30",
                    touch -> bench.apply(touch.black(), touch.red()));
            UUID entry = new UUID(from.toEpochMilli(), i + 1L);
            Runs.Sent sent = new Runs.Sent(entry, step, run.job().nextTouch(step), shown, OptionalInt.of(0));
            run = ((Runs.Answer.Kept) then.enter(id, sent, name)).run();
        }
        if (run.job().current().isEmpty()) {
            then.end(id, name);
        }
    }

    /** A clock that moves on by one touch whenever it is looked at. */
    private static Clock ticking(Instant from) {
        return new Clock() {
            private Instant now = from;

            @Override
            public ZoneId getZone() {
                return ZoneOffset.UTC;
            }

            @Override
            public Clock withZone(ZoneId zone) {
                return this;
            }

            @Override
            public Instant instant() {
                now = now.plus(PACE);
                return now;
            }
        };
    }
}
