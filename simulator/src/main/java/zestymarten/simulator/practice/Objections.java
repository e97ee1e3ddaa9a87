package zestymarten.simulator.practice;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;

/**
 * What cannot be done with a unit from where the technician stands, and why.
 *
 * @param place where that is; empty where everything is within reach
 */
record Objections(Exercise exercise, Design design, String place) {
    /** Why an act cannot be done; empty where it can. */
    Optional<String> to(Act act) {
        return act.fold(new Act.Cases<>(
                any -> Optional.empty(),
                any -> Optional.empty(),
                touch -> unreachable(touch.black(), touch.red()),
                tie -> unreachable(tie.terminals().toArray(Terminal[]::new)),
                any -> Optional.empty(),
                set -> unknown(set.state(), states(), "a state"),
                bend -> bend.place().isEmpty()
                        ? Optional.empty()
                        : unknown(bend.place(), exercise.bends(), "a place that can be bent"),
                scrape -> unreachable(scrape.contact()),
                any -> Optional.empty(),
                walk -> unknown(walk.place(), exercise.standpoints(), "a place"),
                voltage -> unreachable(voltage.a(), voltage.b()),
                say -> say.names().stream()
                        .flatMap(each -> unknown(each, names(), "a wire, a part or a terminal").stream())
                        .findFirst(),
                mend -> mend.names().stream()
                        .flatMap(each -> unknown(each, names(), "a wire, a part or a terminal").stream())
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

    private static Optional<String> unknown(String read, List<String> known, String what) {
        List<String> said = known.stream().filter(each -> !each.isEmpty()).toList();
        return known.contains(read)
                ? Optional.empty()
                : Optional.of("“" + read + "” is not accepted; expected " + what + " of this unit"
                        + (said.size() <= 12 && !said.isEmpty() ? ": " + String.join(", ", said) : "") + ".");
    }

    private Optional<String> unreachable(Terminal... terminals) {
        for (Terminal each : terminals) {
            boolean there = each.isFrame() || design.assembly().terminals().contains(each);
            if (!there) {
                return Optional.of("There is no terminal " + each + " on this unit.");
            }
            Optional<String> elsewhere = exercise.place(each).filter(at -> !at.equals(place));
            if (elsewhere.isPresent()) {
                return Optional.of(each + " is at the " + elsewhere.get() + " and you are at the " + place
                        + ": go there, or link it there to something that reaches here.");
            }
        }
        return Optional.empty();
    }
}
