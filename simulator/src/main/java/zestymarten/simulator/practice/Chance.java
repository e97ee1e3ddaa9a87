package zestymarten.simulator.practice;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.TreeMap;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.fault.SeededFault;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.finding.Symptoms.Behaviour;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;
import zestymarten.simulator.unit.Flaw;

/**
 * An exercise on any assembly, by a seed: the same seed on the same wiring hides the same fault.
 *
 * <p>Method: one fault that resistance shows, of a kind and a place by chance; the functions that it takes away make the symptoms.
 */
public final class Chance {
    private static final int KINDS = 5;
    private static final int EASY_WIRES = 12;

    private Chance() {}

    /** Whether an assembly can have an exercise: at least two wires between connectors. */
    public static boolean isPossible(Assembly assembly) {
        return wires(assembly).size() >= 2;
    }

    private static List<Conductor> wires(Assembly assembly) {
        return assembly.conductors().stream()
                .filter(each -> each.from().isPin() && each.to().isPin())
                .toList();
    }

    /**
     * An exercise on an assembly.
     *
     * @throws IllegalArgumentException if it has fewer than two wires between connectors
     */
    public static Exercise on(Assembly assembly, long seed) {
        List<Conductor> wires = wires(assembly);
        if (wires.size() < 2) {
            throw new IllegalArgumentException("An exercise takes at least two wires between connectors.");
        }
        SplittableRandom random = new SplittableRandom(seed);
        Conductor one = wires.get(random.nextInt(wires.size()));
        Conductor other = other(wires, one, random);
        SeededFault fault = fault(random.nextInt(KINDS), one, other, random);
        Map<String, Behaviour> functions = new HashMap<>();
        Behaviour behaviour = fault instanceof SeededFault.High
                ? Behaviour.SOMETIMES
                : fault instanceof SeededFault.Shorted ? Behaviour.STAYS_ON : Behaviour.DEAD;
        one.function().ifPresent(each -> functions.put(each, behaviour));
        if (fault instanceof SeededFault.Moved
                || (fault instanceof SeededFault.Shorted shorted && !shorted.a().isFrame())) {
            other.function().ifPresent(each -> functions.put(each, behaviour));
        }
        return new Exercise(
                "chance-" + Long.toUnsignedString(seed),
                wires.size() <= EASY_WIRES ? 2 : 3,
                assembly.kind().name().toLowerCase(Locale.ROOT),
                Message.of("exercise.by_chance", assembly.name(), Long.toUnsignedString(seed % 1000)),
                story(functions),
                new Symptoms(functions),
                assembly,
                Map.of(),
                List.of(new Flaw.Wired(fault)),
                List.of());
    }

    private static Conductor other(List<Conductor> wires, Conductor one, SplittableRandom random) {
        List<Conductor> beside = new ArrayList<>(wires.stream()
                .filter(each -> !each.equals(one)
                        && each.to().connector().equals(one.to().connector()))
                .toList());
        if (beside.isEmpty()) {
            wires.stream().filter(each -> !each.equals(one)).forEach(beside::add);
        }
        return beside.get(random.nextInt(beside.size()));
    }

    private static SeededFault fault(int kind, Conductor one, Conductor other, SplittableRandom random) {
        return switch (kind) {
            case 0 -> new SeededFault.Open(one.id());
            case 1 -> new SeededFault.High(one.id(), 2 + 6 * random.nextDouble());
            case 2 -> new SeededFault.Shorted(one.to(), other.to(), 0.2 + random.nextDouble());
            case 3 -> new SeededFault.Shorted(Terminal.FRAME, one.from(), 0.2 + 30 * random.nextDouble());
            default -> new SeededFault.Moved(Map.of(one.id(), other.to(), other.id(), one.to()));
        };
    }

    private static Message story(Map<String, Behaviour> functions) {
        if (functions.isEmpty()) {
            return Message.of("exercise_story.nobody_could_say");
        }
        List<Message> symptoms = new TreeMap<>(functions)
                .entrySet().stream()
                        .map(each -> Message.of(
                                "exercise_story." + each.getValue().name().toLowerCase(Locale.ROOT), each.getKey()))
                        .toList();
        return Message.of("exercise_story.by_chance", Message.list(MessageArgument.Listing.Link.COMMA, symptoms));
    }
}
