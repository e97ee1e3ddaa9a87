package zestymarten.simulator.practice;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.testrun.Entry;

/** What a trainee does. Each kind is written as it is typed, see {@link #of}. */
public sealed interface PracticeAction {
    /** Locks off and proves dead. */
    record Isolate() implements PracticeAction {}

    /** Holds the probes together. */
    record Join() implements PracticeAction {}

    /** Puts the probes on two terminals and reads ohms. */
    record Measure(Terminal black, Terminal red) implements PracticeAction {}

    /** Links terminals together, besides what is linked already. */
    record LinkAction(List<Terminal> terminals) implements PracticeAction {
        public LinkAction {
            terminals = List.copyOf(terminals);
        }
    }

    /** Takes all links off. */
    record UnlinkAction() implements PracticeAction {}

    /** Sets switches and relays; empty for rest. */
    record Set(String state) implements PracticeAction {}

    /** Bends it at a zone or a connector and holds it; empty to let go. */
    record Bend(String place) implements PracticeAction {}

    /** Scrapes a contact to clean metal. */
    record Scrape(Terminal contact) implements PracticeAction {}

    /** Puts it into the water, or lifts it out. */
    record Wet(boolean in) implements PracticeAction {}

    /** Goes to another place. */
    record Trip(String place) implements PracticeAction {}

    /** Holds a test voltage between two terminals for a minute, and reads. */
    record Voltage(Terminal a, Terminal b, double volts) implements PracticeAction {}

    /** Says what is wrong, and where if that is known. */
    record Say(String kind, List<String> names, String where) implements PracticeAction {
        public Say {
            names = List.copyOf(names);
        }
    }

    /** Puts something right. */
    record RepairAction(List<String> names, Entry.Way way) implements PracticeAction {
        public RepairAction {
            names = List.copyOf(names);
        }
    }

    /** Hands it back as repaired. */
    record Done() implements PracticeAction {}

    /** The kinds that can be said, as findings name them. */
    List<String> KINDS = List.of(
            "open",
            "high_resistance",
            "short",
            "frame_short",
            "crossed",
            "contact_surface",
            "intermittent",
            "component_open",
            "component_short",
            "component_value",
            "component_state",
            "insulation_low",
            "withstand");

    /** Reads what was typed, in the words of earlier sessions too; empty if it is nothing of the kind. */
    static Optional<PracticeAction> of(String text) {
        List<String> words = Arrays.asList(text.strip().split("\\s+"));
        List<String> rest = words.subList(1, words.size());
        try {
            return Optional.ofNullable(
                    switch (words.get(0).toLowerCase(Locale.ROOT)) {
                        case "isolate" -> alone(rest, new Isolate());
                        case "join" -> alone(rest, new Join());
                        case "unlink", "free" -> alone(rest, new UnlinkAction());
                        case "let" -> new Bend("");
                        case "wet" -> alone(rest, new Wet(true));
                        case "dry" -> alone(rest, new Wet(false));
                        case "done" -> alone(rest, new Done());
                        case "link", "tie" ->
                            rest.size() < 2
                                    ? null
                                    : new LinkAction(
                                            rest.stream().map(Terminal::of).toList());
                        case "set" -> new Set(String.join(" ", rest));
                        case "bend" -> rest.isEmpty() ? null : new Bend(String.join(" ", rest));
                        case "scrape" -> rest.size() == 1 ? new Scrape(Terminal.of(rest.get(0))) : null;
                        case "go", "walk" -> rest.isEmpty() ? null : new Trip(String.join(" ", rest));
                        case "test" -> voltage(rest);
                        case "say" -> say(rest);
                        case "repair", "mend" -> repair(rest);
                        default -> measurement(words);
                    });
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private static @Nullable PracticeAction alone(List<String> rest, PracticeAction action) {
        return rest.isEmpty() ? action : null;
    }

    private static @Nullable PracticeAction measurement(List<String> words) {
        boolean two = words.size() == 2 && !words.get(0).equals(words.get(1));
        return two ? new Measure(Terminal.of(words.get(0)), Terminal.of(words.get(1))) : null;
    }

    private static @Nullable PracticeAction voltage(List<String> rest) {
        boolean is = rest.size() == 3
                && rest.get(2).matches("[0-9]{2,4}")
                && !rest.get(0).equals(rest.get(1));
        return is
                ? new Voltage(Terminal.of(rest.get(0)), Terminal.of(rest.get(1)), Double.parseDouble(rest.get(2)))
                : null;
    }

    private static @Nullable PracticeAction say(List<String> rest) {
        if (rest.size() < 2 || !KINDS.contains(rest.get(0))) {
            return null;
        }
        int at = rest.indexOf("at");
        List<String> names = rest.subList(1, at < 0 ? rest.size() : at);
        return names.isEmpty()
                ? null
                : new Say(rest.get(0), names, at < 0 ? "" : String.join(" ", rest.subList(at + 1, rest.size())));
    }

    private static @Nullable PracticeAction repair(List<String> rest) {
        return rest.size() < 2
                ? null
                : new RepairAction(
                        rest.subList(0, rest.size() - 1),
                        Entry.Way.valueOf(rest.get(rest.size() - 1).toUpperCase(Locale.ROOT)));
    }

    /** As it is typed: what {@link #of} reads back. */
    default String text() {
        return fold(new Cases<>(
                any -> "isolate",
                any -> "join",
                measurement -> measurement.black() + " " + measurement.red(),
                link -> "link "
                        + String.join(
                                " ",
                                link.terminals().stream().map(Terminal::name).toList()),
                any -> "unlink",
                set -> ("set " + set.state()).strip(),
                bend -> bend.place().isEmpty() ? "let go" : "bend " + bend.place(),
                scrape -> "scrape " + scrape.contact(),
                wet -> wet.in() ? "wet" : "dry",
                trip -> "go " + trip.place(),
                voltage -> "test " + voltage.a() + " " + voltage.b() + " " + Math.round(voltage.volts()),
                say -> "say " + say.kind() + " " + String.join(" ", say.names())
                        + (say.where().isEmpty() ? "" : " at " + say.where()),
                repair -> "repair " + String.join(" ", repair.names()) + " "
                        + repair.way().name().toLowerCase(Locale.ROOT),
                any -> "done"));
    }

    /** One answer for each kind. */
    record Cases<T>(
            Function<Isolate, T> isolate,
            Function<Join, T> join,
            Function<Measure, T> measurement,
            Function<LinkAction, T> link,
            Function<UnlinkAction, T> unlink,
            Function<Set, T> set,
            Function<Bend, T> bend,
            Function<Scrape, T> scrape,
            Function<Wet, T> wet,
            Function<Trip, T> trip,
            Function<Voltage, T> voltage,
            Function<Say, T> say,
            Function<RepairAction, T> repair,
            Function<Done, T> done) {}

    /** Chooses the answer for this kind. */
    default <T> T fold(Cases<T> cases) {
        if (this instanceof Isolate one) {
            return cases.isolate().apply(one);
        } else if (this instanceof Join one) {
            return cases.join().apply(one);
        } else if (this instanceof Measure one) {
            return cases.measurement().apply(one);
        } else if (this instanceof LinkAction one) {
            return cases.link().apply(one);
        } else if (this instanceof UnlinkAction one) {
            return cases.unlink().apply(one);
        } else if (this instanceof Set one) {
            return cases.set().apply(one);
        } else if (this instanceof Bend one) {
            return cases.bend().apply(one);
        } else if (this instanceof Scrape one) {
            return cases.scrape().apply(one);
        } else if (this instanceof Wet one) {
            return cases.wet().apply(one);
        } else if (this instanceof Trip one) {
            return cases.trip().apply(one);
        } else if (this instanceof Voltage one) {
            return cases.voltage().apply(one);
        } else if (this instanceof Say one) {
            return cases.say().apply(one);
        } else if (this instanceof RepairAction one) {
            return cases.repair().apply(one);
        }
        return cases.done().apply((Done) this);
    }
}
