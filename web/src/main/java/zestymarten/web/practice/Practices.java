package zestymarten.web.practice;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.quantity.Message;
import zestymarten.simulator.practice.Chance;
import zestymarten.simulator.practice.Exercise;
import zestymarten.simulator.practice.Exercises;
import zestymarten.simulator.practice.PracticeAction;
import zestymarten.simulator.practice.Session;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.assembly.Revision;
import zestymarten.web.platform.Conflict;
import zestymarten.web.platform.NotFound;
import zestymarten.web.platform.Refusal;

/** Practice sessions: started, done action by action, handed back. */
@Service
class Practices {
    private static final int MAX_ACTIONS = 500;
    /** More wires take the solver longer than a page may. */
    private static final int MAX_WIRES = 60;

    private final PracticeMapper mapper;
    private final Assemblies assemblies;
    private final Clock clock;

    Practices(PracticeMapper mapper, Assemblies assemblies, Clock clock) {
        this.mapper = mapper;
        this.assemblies = assemblies;
        this.clock = clock;
    }

    /** A session as it stands. */
    record PracticeState(PracticeRow row, Session session) {}

    /** Begins an exercise. */
    @Transactional
    public long begin(String exercise, String trainee) {
        if (Exercises.find(exercise).isEmpty()) {
            throw new NotFound(Message.of("practices.there_no_exercise", exercise));
        }
        return mapper.insert(new PracticeRow(0, trainee, exercise, null, null, null), now());
    }

    /** Begins on a unit of an assembly, with a fault by chance. */
    @Transactional
    public long begin(long assemblyId, long seed, String trainee) {
        Revision revision = assemblies.latest(assemblyId);
        Assembly assembly = revision.assembly();
        if (!Chance.isPossible(assembly) || assembly.conductors().size() > MAX_WIRES) {
            throw new Refusal(
                    "assembly",
                    Message.of(
                            "practices.this_assembly_has_wires",
                            assembly.conductors().size(),
                            MAX_WIRES));
        }
        return mapper.insert(new PracticeRow(0, trainee, null, revision.id(), seed, null), now());
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }

    /** What a session is about. */
    @Transactional(readOnly = true)
    public Exercise exercise(PracticeRow row) {
        String name = row.exercise();
        if (name != null) {
            return Exercises.find(name).orElseThrow(() -> new NotFound(Message.of("practices.exercise_gone", name)));
        }
        long revision = Objects.requireNonNull(row.revisionId());
        return Chance.on(assemblies.revision(revision).assembly(), Objects.requireNonNull(row.seed()));
    }

    /**
     * A session of a trainee.
     *
     * @throws NotFound if it is none of theirs
     */
    @Transactional(readOnly = true)
    public PracticeState find(long id, String trainee) {
        PracticeRow row = Optional.ofNullable(mapper.find(id))
                .filter(each -> each.trainee().equals(trainee))
                .orElseThrow(() -> new NotFound(Message.of("practices.you_have_no_practice", id)));
        List<PracticeAction> actions = mapper.actions(id).stream()
                .map(each -> PracticeAction.of(each).orElseThrow())
                .toList();
        return new PracticeState(row, Session.of(exercise(row), actions));
    }

    /**
     * Does something.
     *
     * @param count how many actions the sender knows of, so that nothing is done twice
     * @throws Refusal if it is nothing that can be done, or not now
     * @throws Conflict if the sender does not know all of them
     */
    @Transactional
    public PracticeState action(long id, int count, String typed, String trainee) {
        mapper.lock(id);
        PracticeState before = find(id, trainee);
        int done = before.session().events().size();
        if (done != count) {
            throw new Conflict(Message.of("practices.something_was_done_this"));
        }
        if (done >= MAX_ACTIONS) {
            throw new Refusal("", Message.of("practices.that_was_acts_finish", MAX_ACTIONS));
        }
        PracticeAction action = PracticeAction.of(typed)
                .orElseThrow(() -> new Refusal("", Message.of("practices.not_accepted_expected", typed)));
        before.session().objection(action).ifPresent(objection -> {
            throw new Refusal("", objection);
        });
        mapper.insertAction(id, count + 1, action.text(), now());
        PracticeState after = find(id, trainee);
        after.session().score().ifPresent(score -> mapper.finish(id, score.points(), now()));
        return after;
    }

    @Transactional(readOnly = true)
    public List<PracticeRow> underWay(String trainee) {
        return mapper.underWay(trainee);
    }

    /** The last ones that are over. */
    @Transactional(readOnly = true)
    public List<PracticeRow> last(String trainee) {
        return mapper.last(trainee);
    }

    /** The best points of each exercise. */
    @Transactional(readOnly = true)
    public List<BestRow> best(String trainee) {
        return mapper.best(trainee);
    }

    /** Everybody's mean over the best of each unit. */
    @Transactional(readOnly = true)
    public List<BestRow> everybody() {
        return mapper.everybody();
    }
}
