package zestymarten.web.practice;

import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.quantity.Message;
import zestymarten.simulator.practice.Exercises;
import zestymarten.simulator.practice.PracticeAction;
import zestymarten.simulator.practice.Replay;
import zestymarten.simulator.practice.Score;
import zestymarten.simulator.practice.Session;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.platform.NotFound;
import zestymarten.web.platform.RecommendationWords;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;

/** The practice room. Whoever is signed in practises for themselves. */
@Controller
@RequestMapping("/practice")
class PracticeController {
    private static final String SEED = "[0-9]{1,9}";
    private static final long SEEDS = 1_000_000_000;
    private static final double TOLD = 0.02;

    private final Practices practices;
    private final Assemblies assemblies;

    PracticeController(Practices practices, Assemblies assemblies) {
        this.practices = practices;
        this.assemblies = assemblies;
    }

    /** An exercise with how well it was done, as ready text. */
    record ExerciseView(String id, String trade, String title, String best, boolean isDone) {}

    /** A session that goes on, or is over. */
    record SessionView(long id, String title, String points) {}

    /** A trainee's progress. */
    record TraineeView(String name, String progress) {}

    @GetMapping
    String room(Authentication who, Model model) {
        Map<String, BestRow> best =
                practices.best(who.getName()).stream().collect(Collectors.toMap(BestRow::exercise, each -> each));
        Map<Integer, List<ExerciseView>> grades = new TreeMap<>();
        Exercises.all().forEach(each -> {
            Optional<BestRow> row = Optional.ofNullable(best.get(each.id()));
            grades.computeIfAbsent(each.grade(), any -> new ArrayList<>())
                    .add(new ExerciseView(
                            each.id(),
                            Words.say(Message.of("trade." + each.trade())),
                            Words.say(each.title()),
                            row.map(done -> points(done.points())).orElse(""),
                            row.isPresent()));
        });
        model.addAttribute("grades", grades);
        model.addAttribute(
                "doneCount",
                Exercises.all().stream()
                        .filter(each -> best.containsKey(each.id()))
                        .count());
        model.addAttribute("allCount", Exercises.all().size());
        model.addAttribute("underWay", views(practices.underWay(who.getName())));
        model.addAttribute("last", views(practices.last(who.getName())));
        model.addAttribute("assemblies", assemblies.page("", 0));
        boolean lead = who.getAuthorities().stream().anyMatch(each -> "ROLE_LEAD".equals(each.getAuthority()));
        model.addAttribute("trainees", lead ? trainees() : List.of());
        return "practice/room";
    }

    private static String points(long points) {
        return Words.say("practice_controller.points", points);
    }

    private List<SessionView> views(List<PracticeRow> rows) {
        return rows.stream()
                .map(row -> new SessionView(
                        row.id(),
                        Words.say(practices.exercise(row).title()),
                        row.points() == null ? "" : points(row.points())))
                .toList();
    }

    private List<TraineeView> trainees() {
        return practices.everybody().stream()
                .map(each -> new TraineeView(
                        each.trainee(), Words.say("practice_controller.average", each.times(), each.points())))
                .toList();
    }

    @PostMapping
    String begin(@RequestParam String exercise, Principal who) {
        return "redirect:/practice/" + practices.begin(exercise, who.getName());
    }

    /** On a unit of any assembly, with a fault by chance; the same number hides the same fault. */
    @PostMapping("/chance")
    String chance(@RequestParam long assembly, @RequestParam(defaultValue = "") String seed, Principal who) {
        String typed = seed.strip();
        if (!typed.isEmpty() && !typed.matches(SEED)) {
            throw new Refusal("seed", Message.of("practice_controller.seed", typed));
        }
        long number = typed.isEmpty() ? new SplittableRandom().nextLong(SEEDS) : Long.parseLong(typed);
        return "redirect:/practice/" + practices.begin(assembly, number, who.getName());
    }

    @GetMapping("/{id}")
    String session(@PathVariable long id, Principal who, Model model) {
        show(id, practices.find(id, who.getName()).session(), model);
        return "practice/session";
    }

    /** What was typed, or pressed. */
    @PostMapping("/{id}/acts")
    String action(
            @PathVariable long id,
            @RequestParam int count,
            @RequestParam(defaultValue = "") String action,
            @RequestParam(defaultValue = "") String press,
            Principal who,
            Model model) {
        String typed = press.isEmpty() ? action.strip() : press;
        show(id, practices.action(id, count, typed, who.getName()).session(), model);
        return "practice/work";
    }

    /** A diagnosis by fields instead of words. */
    @PostMapping("/{id}/says")
    String say(
            @PathVariable long id,
            @RequestParam int count,
            @RequestParam String kind,
            @RequestParam String names,
            @RequestParam(defaultValue = "") String where,
            Principal who,
            Model model) {
        String typed = "say " + kind + " " + names.strip() + (where.isEmpty() ? "" : " at " + where);
        show(id, practices.action(id, count, typed, who.getName()).session(), model);
        return "practice/work";
    }

    private static void show(long id, Session session, Model model) {
        model.addAttribute("view", PracticeView.of(id, session));
        model.addAttribute(
                "score", session.score().map(PracticeController::view).orElse(null));
        model.addAttribute("exercise", session.exercise().id());
        model.addAttribute("byChance", session.exercise().par().isEmpty());
        model.addAttribute(
                "solution",
                session.isDone() ? session.solution().stream().map(Words::say).toList() : List.of());
    }

    /** A score as ready text. */
    record ScoreView(int points, List<PartView> parts, List<HabitView> habits) {}

    /** Something a good technician does every time, and whether it was done. */
    record HabitView(String words, boolean kept) {}

    /** A part of a score: so many of so many points, and why. */
    record PartView(String word, int points, int of, String why) {}

    private static ScoreView view(Score score) {
        int habits = (int) score.habits().stream().filter(Score.Habit::kept).count() * 5;
        return new ScoreView(
                score.points(),
                List.of(
                        new PartView(
                                Words.say("practice_controller.diagnosis"),
                                score.diagnosis(),
                                40,
                                Words.say("practice_controller.wrong", score.wrong())),
                        new PartView(
                                Words.say("practice_controller.repair"),
                                score.repair(),
                                20,
                                Words.say("practice_controller.repair_help")),
                        new PartView(
                                Words.say("practice_controller.time"),
                                score.time(),
                                20,
                                Words.say("practice_controller.takes", effort(score.own()), effort(score.best()))),
                        new PartView(
                                Words.say("practice_controller.habits"),
                                habits,
                                20,
                                Words.say("practice_controller.habits_help"))),
                score.habits().stream()
                        .map(each -> new HabitView(Words.say(each.words()), each.kept()))
                        .toList());
    }

    private static Message effort(Score.Effort effort) {
        return Message.of(
                "practice_controller.effort",
                Message.figure(Math.round(effort.seconds() / 6) / 10.0, ""),
                effort.measurements(),
                effort.trips());
    }

    /** An action of a replay. */
    record PracticeStepView(int number, String action, String answer, boolean chosen) {}

    /** What it might have been, with its share. */
    record PracticeSuspectView(String text, long percent) {}

    /** What was certain before an action, and what would have shown most. */
    @GetMapping("/{id}/replay")
    String replay(@PathVariable long id, @RequestParam(defaultValue = "1") int at, Principal who, Model model) {
        Session session = practices.find(id, who.getName()).session();
        List<Session.Event> events = session.events();
        if (!session.isDone() || at < 1 || at > events.size()) {
            throw new NotFound(Message.of("practice_controller.no_moment"));
        }
        List<PracticeStepView> steps = new ArrayList<>();
        for (int i = 1; i <= events.size(); i++) {
            steps.add(new PracticeStepView(
                    i,
                    events.get(i - 1).action().text(),
                    Words.say(events.get(i - 1).answer()),
                    i == at));
        }
        Replay replay = Replay.before(session, at - 1);
        Session.Event event = events.get(at - 1);
        model.addAttribute("id", id);
        model.addAttribute("at", at);
        model.addAttribute("unit", Words.say(session.exercise().title()));
        model.addAttribute("steps", steps);
        model.addAttribute("now", steps.get(at - 1));
        model.addAttribute(
                "suspects",
                replay.suspects().stream()
                        .filter(each -> each.probability() >= TOLD)
                        .map(each -> new PracticeSuspectView(
                                Words.say(each.message()), Math.round(100 * each.probability())))
                        .toList());
        model.addAttribute("best", replay.best().map(RecommendationWords::why).orElse(""));
        model.addAttribute(
                "bestMeasurement",
                replay.best()
                        .map(each -> each.black() + " \u2013 " + each.red())
                        .orElse(""));
        model.addAttribute(
                "same",
                event.action() instanceof PracticeAction.Measure measurement
                        && replay.best()
                                .filter(each -> List.of(each.black(), each.red())
                                        .containsAll(List.of(measurement.black(), measurement.red())))
                                .isPresent());
        return "practice/replay";
    }
}
