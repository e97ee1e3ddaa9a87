package zestymarten.simulator.practice;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.Message;

/**
 * What cannot be done with a unit from where the technician stands, and why.
 *
 * @param place where that is; empty where everything is within reach
 */
record Objections(Exercise exercise, Design design, String place) {
    private static final int MAX_LISTED = 12;

    /** Why an action cannot be done; empty where it can. */
    Optional<Message> to(PracticeAction action) {
        return action.fold(new PracticeAction.Cases<>(
                any -> Optional.empty(),
                any -> Optional.empty(),
                measurement -> unreachable(measurement.black(), measurement.red()),
                link -> unreachable(link.terminals().toArray(Terminal[]::new)),
                any -> Optional.empty(),
                set -> unknown(set.state(), states(), "practice_objections.state"),
                bend -> bend.place().isEmpty()
                        ? Optional.empty()
                        : unknown(bend.place(), exercise.bends(), "practice_objections.place_that_can_be_bent"),
                scrape -> unreachable(scrape.contact()),
                any -> Optional.empty(),
                trip -> unknown(trip.place(), exercise.standpoints(), "practice_objections.place"),
                voltage -> unreachable(voltage.a(), voltage.b()),
                say -> say.names().stream()
                        .flatMap(each -> unknown(each, names(), "practice_objections.wire_part_or_terminal").stream())
                        .findFirst(),
                repair -> repair.names().stream()
                        .flatMap(each -> unknown(each, names(), "practice_objections.wire_part_or_terminal").stream())
                        .findFirst(),
                any -> Optional.empty()));
    }

    private List<String> states() {
        return Stream.concat(Stream.of(""), design.assembly().states().stream().map(SwitchState::id))
                .toList();
    }

    private List<String> names() {
        return Stream.of(
                        design.assembly().conductors().stream().map(each -> each.id()),
                        design.assembly().components().stream().map(each -> each.id()),
                        design.assembly().terminals().stream().map(Terminal::name))
                .flatMap(each -> each)
                .toList();
    }

    private static Optional<Message> unknown(String read, List<String> known, String what) {
        List<String> said = known.stream().filter(each -> !each.isEmpty()).toList();
        boolean listed = !said.isEmpty() && said.size() <= MAX_LISTED;
        return known.contains(read)
                ? Optional.empty()
                : Optional.of(Message.of(
                        "practice_objections.unknown",
                        read,
                        Message.of(what),
                        listed,
                        listed ? String.join(", ", said) : ""));
    }

    private Optional<Message> unreachable(Terminal... terminals) {
        for (Terminal each : terminals) {
            boolean there = each.isFrame() || design.assembly().terminals().contains(each);
            if (!there) {
                return Optional.of(Message.of("practice_objections.no_terminal", each));
            }
            Optional<String> elsewhere = exercise.place(each).filter(at -> !at.equals(place));
            if (elsewhere.isPresent()) {
                return Optional.of(Message.of("practice_objections.elsewhere", each, elsewhere.get(), place));
            }
        }
        return Optional.empty();
    }
}
