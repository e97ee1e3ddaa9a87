package zestymarten.simulator.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.assembly.WireList;
import zestymarten.core.quantity.Message;

class PracticeTest {
    private static final Exercise LOWER = Exercises.find("dead-lower").orElseThrow();

    private static final Message OVER_RANGE = Message.of("practice_meter.more_than", Message.figure(20e6, "Ω"));

    private static Stream<Exercise> all() {
        return Exercises.all().stream();
    }

    private static Session doing(Exercise exercise, String... actions) {
        return Session.of(
                exercise,
                Stream.of(actions)
                        .map(each -> PracticeAction.of(each).orElseThrow())
                        .toList());
    }

    private static Message last(Session session) {
        return session.events().get(session.events().size() - 1).answer();
    }

    @ParameterizedTest
    @MethodSource("all")
    void everyExerciseDoneWellHasAllPointsAndNothingInItIsRefused(Exercise exercise) {
        List<PracticeAction> best = exercise.best();
        for (int i = 0; i < best.size(); i++) {
            assertThat(Session.of(exercise, best.subList(0, i)).objection(best.get(i)))
                    .as(exercise.id() + ": " + best.get(i).text())
                    .isEmpty();
        }
        Score score = Session.of(exercise, best).score().orElseThrow();
        assertThat(score.habits()).as(exercise.id()).allMatch(Score.Habit::kept);
        assertThat(score.points()).as(exercise.id() + " " + score).isEqualTo(100);
    }

    @Test
    void thereAreExercisesOverTheWholeTradeInFourGrades() {
        assertThat(Exercises.all()).hasSizeGreaterThanOrEqualTo(14);
        assertThat(Exercises.all().stream().map(Exercise::id).collect(Collectors.toSet()))
                .as("no two of one name")
                .hasSize(Exercises.all().size());
        assertThat(all().map(Exercise::grade).collect(Collectors.toSet())).isEqualTo(Set.of(1, 2, 3, 4));
        assertThat(all().map(Exercise::trade).collect(Collectors.toSet()))
                .contains("harness", "cable", "lead", "sensor", "winding", "ring", "wet_cable", "bundle");
    }

    private static Assembly cable() {
        StringBuilder list = new StringBuilder("wire,from,to,function,length_m,area_mm2\n");
        for (int i = 1; i <= 8; i++) {
            list.append("W%d,J1.%d,J2.%d,function %d,8,0.5\n".formatted(i, i, i, i));
        }
        return WireList.read(list.toString()).assembly("Any cable", AssemblyKind.CABLE, "", Map.of());
    }

    private static LongStream seeds() {
        return LongStream.range(0, 15);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void anExerciseByChanceIsSolvedFromItsReadingsAlone(long seed) {
        Exercise exercise = Chance.on(cable(), seed);
        Session solved = Session.of(exercise, exercise.best());
        assertThat(solved.score().orElseThrow().points())
                .as(exercise.flaws() + " " + solved.events())
                .isEqualTo(100);
        assertThat(exercise.flaws()).isEqualTo(Chance.on(cable(), seed).flaws());
    }

    @Test
    void whatIsTouchedLiveReadsNothingAndCostsTheHabit() {
        Session session = doing(LOWER, "J1.2 J2.2", "isolate", "join", "J1.2 J2.2");
        assertThat(session.events().get(0).answer()).isEqualTo(Message.of("practice_session.live_no_resistance"));
        assertThat(last(session)).isEqualTo(OVER_RANGE);
        assertThat(session.wasIsolatedFirst()).isFalse();
    }

    @Test
    void whatIsNotInReachHasToBeWalkedTo() {
        Exercise far = Exercises.find("dead-bell").orElseThrow();
        Session session = doing(far, "isolate");
        assertThat(session.place()).isEqualTo("hut");
        assertThat(session.objection(PracticeAction.of("H1.1 F1.1").orElseThrow()))
                .contains(Message.of("practice_objections.elsewhere", Terminal.of("F1.1"), "platform", "hut"));
        assertThat(session.objection(PracticeAction.of("go moon").orElseThrow()))
                .contains(Message.of(
                        "practice_objections.unknown",
                        "moon",
                        Message.of("practice_objections.place"),
                        true,
                        "hut, platform"));
        assertThat(session.objection(PracticeAction.of("go platform").orElseThrow()))
                .isEmpty();
        assertThat(session.objection(PracticeAction.of("J9.1 H1.1").orElseThrow()))
                .contains(Message.of("practice_objections.no_terminal", Terminal.of("J9.1")));
    }

    @Test
    void theSameActsShowTheSame() {
        String[] actions = {"isolate", "join", "J1.1 J2.1", "J1.3 J2.3"};
        assertThat(doing(LOWER, actions).events())
                .isEqualTo(doing(LOWER, actions).events());
    }

    @Test
    void aContactReadsOpenUntilItIsScraped() {
        Exercise oxide = Exercises.find("dead-till-touched").orElseThrow();
        assertThat(last(doing(oxide, "isolate", "J1.5 J3.3"))).isEqualTo(OVER_RANGE);
        assertThat(last(doing(oxide, "isolate", "scrape J3.3", "J1.5 J3.3")))
                .asString()
                .startsWith("practice_meter.reads")
                .endsWith(" Ω]]");
    }

    @Test
    void aBrokenCoreShowsOnlyWhereItIsBent() {
        Exercise horn = Exercises.find("horn-now-and-then").orElseThrow();
        assertThat(last(doing(horn, "isolate", "bend flexing", "J1.5 J2.5"))).isNotEqualTo(OVER_RANGE);
        assertThat(last(doing(horn, "isolate", "bend J2", "J1.5 J2.5"))).isEqualTo(OVER_RANGE);
        assertThat(last(doing(horn, "isolate", "bend J2", "let go", "J1.5 J2.5")))
                .isNotEqualTo(OVER_RANGE);
        assertThat(last(doing(horn, "isolate", "say intermittent W5")))
                .isEqualTo(Message.of("practice_session.but_where"));
    }

    @Test
    void wetInsulationFallsAndDryInsulationPasses() {
        Exercise pit = Exercises.find("flooded-pit").orElseThrow();
        assertThat(last(doing(pit, "isolate", "test R1.3 FRAME 500")))
                .asString()
                .contains("884");
        assertThat(last(doing(pit, "isolate", "wet", "test R1.3 FRAME 500")))
                .hasToString("practice_session.insulation[practice_meter.reads[360 kΩ], 500 V]");
    }

    @Test
    void aWrongDiagnosisCostsTenPointsAndARepairOfTheWrongThingMendsNothing() {
        Session session = doing(
                LOWER,
                "isolate",
                "join",
                "say open W3",
                "repair W3 splice",
                "J1.2 J2.2",
                "J1.2 J1.1",
                "say open W2",
                "repair W2 splice",
                "J1.2 J2.2",
                "done");
        assertThat(session.events().get(2).answer()).isEqualTo(Message.of("practice_session.not_it"));
        assertThat(session.events().get(3).answer()).isEqualTo(Message.of("practice_session.was_not_at_fault"));
        assertThat(session.events().get(7).answer()).isEqualTo(Message.of("practice_session.repaired_for_today"));
        assertThat(session.events().get(8).answer()).as("mended").isNotEqualTo(OVER_RANGE);
        Score score = session.score().orElseThrow();
        assertThat(score.diagnosis()).isEqualTo(30);
        assertThat(score.repair()).isZero();
        assertThat(score.time()).isLessThan(20);
        assertThat(session.objection(new PracticeAction.Join()))
                .contains(Message.of("practice_session.handed_back_already"));
    }

    @Test
    void twoFaultsHaveBothToBeFound() {
        Exercise two = Exercises.find("two-at-once").orElseThrow();
        assertThat(last(doing(two, "say open W1"))).isEqualTo(Message.of("practice_session.that_is_it", false));
        Score score = doing(two, "isolate", "join", "say open W1", "repair W1 spare", "done")
                .score()
                .orElseThrow();
        assertThat(score.diagnosis()).isEqualTo(20);
        assertThat(score.repair()).isEqualTo(10);
        assertThat(score.habits().stream().filter(Score.Habit::kept)).hasSize(2);
    }

    @Test
    void theReplaySaysWhatWasCertainAndWhatWouldHaveToldMost() {
        Session session = doing(LOWER, "isolate", "join", "J1.2 J2.2", "J1.2 J2.2", "J1.2 J2.2");
        Replay first = Replay.before(session, 2);
        assertThat(first.best().orElseThrow().black().name()).isEqualTo("J1.2");
        double before = first.suspects().stream()
                .filter(each ->
                        each.faults().stream().anyMatch(fault -> fault.named().contains("W2")))
                .mapToDouble(each -> each.probability())
                .sum();
        double after = Replay.before(session, 5).suspects().stream()
                .filter(each ->
                        each.faults().stream().anyMatch(fault -> fault.named().contains("W2")))
                .mapToDouble(each -> each.probability())
                .sum();
        assertThat(after).isGreaterThan(before).isGreaterThan(0.8);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "isolate",
                "join",
                "J1.4 J2.4",
                "link J1.1 J1.2 FRAME",
                "unlink",
                "set held",
                "set",
                "bend flexing",
                "let go",
                "scrape J1.3",
                "wet",
                "dry",
                "go hut",
                "test J1.3 FRAME 500",
                "say open W4",
                "say intermittent W5 at J2",
                "repair W3 W4 move",
                "done"
            })
    void whatIsTypedIsReadBack(String typed) {
        assertThat(PracticeAction.of(typed).orElseThrow().text()).isEqualTo(typed);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "J1.4",
                "J1.4 J1.4",
                "J1.4 J2.4 J3.4",
                "link J1.1",
                "jump",
                "say broken W4",
                "say open",
                "mend W4 glue",
                "test J1.3 FRAME high",
                "done now",
                "scrape",
                "walk",
                "bend"
            })
    void whatIsNothingOfTheKindIsRefused(String typed) {
        assertThat(PracticeAction.of(typed)).isEmpty();
    }
}
