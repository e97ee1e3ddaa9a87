package zestymarten.simulator.practice;

import java.util.ArrayList;
import java.util.List;
import zestymarten.core.quantity.Message;

/**
 * What a session was worth, in points out of 100: 40 for the right diagnosis, 10 less for each wrong one; 20 for a repair that
 * fits; 20 for time, less in proportion to how much longer it took than done well; 20 for habits, 5 each.
 *
 * @param own what it took, {@code best} what it would take done well
 */
public record Score(int diagnosis, int repair, int time, List<Habit> habits, Effort own, Effort best, int wrong) {
    static final int DIAGNOSIS = 40;
    static final int WRONG = 10;
    static final int REPAIR = 20;
    static final int TIME = 20;
    static final int EACH_HABIT = 5;

    public Score {
        habits = List.copyOf(habits);
    }

    /** What a session took. */
    public record Effort(double seconds, int measurements, int trips) {
        static Effort of(Session session) {
            return new Effort(session.seconds(), session.measurements(), session.trips());
        }
    }

    /** Something a good technician does every time. */
    public record Habit(Message words, boolean kept) {}

    /** All points, 0 to 100. */
    public int points() {
        long kept = habits.stream().filter(Habit::kept).count();
        return diagnosis + repair + time + (int) kept * EACH_HABIT;
    }

    static Score of(Session session, Session best) {
        int all = session.truths().size();
        int found = all - session.unfound().size();
        int diagnosis = Math.max(0, DIAGNOSIS * found / all - WRONG * session.wrong());
        int repair = REPAIR * session.fitting() / all;
        int time = (int) Math.round(TIME * Math.min(1, best.seconds() / Math.max(1, session.seconds())));
        List<Habit> habits = new ArrayList<>();
        habits.add(new Habit(Message.of("practice_score.locked_off_first"), session.wasIsolatedFirst()));
        habits.add(new Habit(Message.of("practice_score.meter_checked_first"), session.wasCheckedFirst()));
        habits.add(new Habit(Message.of("practice_score.tried_for_shorts"), session.triedShorts()));
        habits.add(new Habit(Message.of("practice_score.read_after_repair"), session.retested()));
        return new Score(
                diagnosis, repair, found == 0 ? 0 : time, habits, Effort.of(session), Effort.of(best), session.wrong());
    }
}
