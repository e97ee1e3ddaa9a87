package zestymarten.web.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.testrun.Entry;
import zestymarten.simulator.practice.Exercise;
import zestymarten.simulator.practice.PracticeAction;
import zestymarten.simulator.practice.Session;
import zestymarten.web.drawing.FaceDrawing;
import zestymarten.web.platform.Words;

/**
 * A session as ready text and drawings.
 *
 * @param answer what came of the last action
 * @param shown whether that is what a meter shows
 * @param loose terminals on no face: joints and the frame
 * @param presses what can be done with one press, as it is typed, with its word
 */
public record PracticeView(
        long id,
        int count,
        String title,
        String story,
        List<String> functions,
        String clock,
        String place,
        List<String> arranged,
        String action,
        String answer,
        boolean shown,
        List<FaceView> faces,
        List<PinView> loose,
        List<Press> presses,
        List<Press> kinds,
        List<String> names,
        List<String> wheres,
        List<Press> ways,
        List<LogLine> log,
        boolean done) {
    private static final double WIDTH = 250;
    private static final double HEIGHT = 170;
    private static final int LOG = 60;

    public PracticeView {
        functions = List.copyOf(functions);
        arranged = List.copyOf(arranged);
        faces = List.copyOf(faces);
        loose = List.copyOf(loose);
        presses = List.copyOf(presses);
        kinds = List.copyOf(kinds);
        names = List.copyOf(names);
        wheres = List.copyOf(wheres);
        ways = List.copyOf(ways);
        log = List.copyOf(log);
    }

    /** A connector's face; {@code reached} if the technician stands there. */
    public record FaceView(
            String title,
            String place,
            boolean reached,
            double width,
            double height,
            double radius,
            String labelSize,
            List<PinView> pins) {}

    /** A terminal that can be measured; {@code state} says which probe is on it, and whether it is linked. */
    public record PinView(String terminal, String name, double x, double y, String state) {}

    /** Something to press. */
    public record Press(String action, String word) {}

    /** A line of what was done. */
    public record LogLine(int number, String action, String answer) {}

    static PracticeView of(long id, Session session) {
        Exercise exercise = session.exercise();
        List<Session.Event> events = session.events();
        Optional<Session.Event> last = events.isEmpty() ? Optional.empty() : Optional.of(events.get(events.size() - 1));
        List<LogLine> log = new ArrayList<>();
        for (int i = events.size(); i > Math.max(0, events.size() - LOG); i--) {
            log.add(new LogLine(
                    i,
                    events.get(i - 1).action().text(),
                    Words.say(events.get(i - 1).answer())));
        }
        return new PracticeView(
                id,
                events.size(),
                Words.say(exercise.title()),
                Words.say(exercise.story()),
                functions(exercise),
                Words.say(
                        "practice_view.effort",
                        Math.round(session.seconds() / 60),
                        session.measurements(),
                        session.trips()),
                session.place(),
                Stream.concat(
                                session.links().stream()
                                        .map(each -> Words.say(
                                                "practice_view.linked",
                                                each.stream()
                                                        .map(Terminal::name)
                                                        .collect(Collectors.joining(" ")))),
                                session.arranged().stream().map(Words::say))
                        .toList(),
                last.map(each -> each.action().text()).orElse(""),
                last.map(each -> Words.say(each.answer())).orElse(""),
                last.filter(each -> each.action() instanceof PracticeAction.Measure)
                        .isPresent(),
                exercise.assembly().connectors().stream()
                        .map(each -> face(session, each))
                        .toList(),
                loose(session),
                presses(session),
                PracticeAction.KINDS.stream()
                        .map(each -> new Press(each, Words.say("finding_kind." + each)))
                        .toList(),
                Stream.concat(
                                exercise.assembly().conductors().stream().map(each -> each.id()),
                                exercise.assembly().components().stream().map(each -> each.id()))
                        .toList(),
                exercise.bends(),
                Stream.of(Entry.Way.values())
                        .map(each -> new Press(each.name().toLowerCase(java.util.Locale.ROOT), Words.say(each.word())))
                        .toList(),
                log,
                session.isDone());
    }

    private static List<String> functions(Exercise exercise) {
        return exercise.symptoms().functions().entrySet().stream()
                .map(each -> Words.say("practice_view.function", each.getKey(), each.getValue()))
                .sorted()
                .toList();
    }

    private static FaceView face(Session session, Connector connector) {
        FaceDrawing face = FaceDrawing.of(
                connector,
                Set.copyOf(connector.terminals()),
                new FaceDrawing.Room(WIDTH, HEIGHT, false, Optional.empty()));
        String place = session.exercise().places().getOrDefault(connector.id(), "");
        return new FaceView(
                connector.title(),
                place,
                place.isEmpty() || place.equals(session.place()),
                face.width(),
                face.height(),
                face.radius(),
                face.labelSize(),
                face.cavities().stream()
                        .map(each -> new PinView(
                                each.terminal().name(),
                                each.name(),
                                each.x(),
                                each.y(),
                                state(session, each.terminal())))
                        .toList());
    }

    private static String state(Session session, Terminal terminal) {
        String probe = session.probes()
                .map(each ->
                        each.black().equals(terminal) ? "black" : each.red().equals(terminal) ? "red" : "")
                .orElse("");
        boolean linked = session.links().stream().anyMatch(each -> each.contains(terminal));
        return linked ? (probe + " linked").strip() : probe;
    }

    private static List<PinView> loose(Session session) {
        return Stream.concat(session.exercise().assembly().jointTerminals().stream(), Stream.of(Terminal.FRAME))
                .map(each -> new PinView(
                        each.name(),
                        each.isFrame() ? Words.say("step_views.frame") : each.name(),
                        0,
                        0,
                        state(session, each)))
                .toList();
    }

    private static List<Press> presses(Session session) {
        Exercise exercise = session.exercise();
        List<Press> presses = new ArrayList<>(List.of(
                new Press("isolate", Words.say("practice_view.isolate")),
                new Press("join", Words.say("practice_view.join"))));
        exercise.standpoints().stream()
                .filter(each -> !each.equals(session.place()))
                .forEach(each -> presses.add(new Press("go " + each, Words.say("practice_view.go", each))));
        List<SwitchState> states = exercise.assembly().states();
        if (states.size() > 1) {
            states.forEach(
                    each -> presses.add(new Press("set " + each.id(), Words.say("practice_view.set", each.id()))));
        }
        exercise.bends().forEach(each -> presses.add(new Press("bend " + each, Words.say("practice_view.bend", each))));
        if (session.isBent()) {
            presses.add(new Press("let go", Words.say("practice_view.let_go")));
        }
        if (exercise.bends().contains("wet")) {
            presses.add(
                    session.isWet()
                            ? new Press("dry", Words.say("practice_view.dry"))
                            : new Press("wet", Words.say("practice_view.wet")));
        }
        if (!session.links().isEmpty()) {
            presses.add(new Press("unlink", Words.say("practice_view.unlink")));
        }
        presses.add(new Press("done", Words.say("practice_view.done")));
        return presses;
    }
}
