package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.FaultHistory;
import zestymarten.core.finding.Finding;
import zestymarten.core.finding.Priors;
import zestymarten.core.finding.Symptoms;

/** How likely each fault was before anything was read: its kind, its place, and what the machine does. */
final class FaultPriors {
    private static final double CLEARED = 0.03;
    private static final double FITTING = 4;
    private static final double FREE_OHM = Math.exp(-2);
    private static final double CAVITY = 0.1;
    /** The wire that belongs in a cavity has to be out of it before another gets in. */
    private static final double OCCUPIED = 0.1;

    private static final double STUCK_CLOSED = 0.5;
    private static final double OFF = 0.6;
    private static final double PART_OHM = Math.exp(-1);
    private static final double JUMPING = 0.1;
    private static final double LEAKING = 0.5;
    private static final double UNEXPLAINED = -Math.log(20);

    private static final List<String> OPEN = List.of("open");
    private static final List<String> HIGH = List.of("high_resistance");
    private static final List<String> INTERMITTENT = List.of("intermittent");
    private static final List<String> CROSSED = List.of("crossed");
    private static final List<String> MISPLACED = List.of("misplaced");
    private static final List<String> SHORTED = List.of("short");
    private static final List<String> TO_FRAME = List.of("frame_short");
    private static final List<String> PART =
            List.of("component_open", "component_short", "component_value", "component_state");

    private final Design design;
    private final Priors priors;
    private final Symptoms symptoms;
    private final FaultHistory history;
    private final int nets;

    FaultPriors(Design design, Priors priors, Symptoms symptoms) {
        this.design = design;
        this.priors = priors;
        this.symptoms = symptoms;
        history = design.history();
        nets = Math.max(2, design.nets().all().size());
    }

    Priors priors() {
        return priors;
    }

    /** Odds that something is wrong with a wire by itself. */
    double anyOf(Conductor wire) {
        return open(wire) + high(wire) + jumping(wire) + crossed(wire.id()) / 2 + misplaced(wire.id()) / 2;
    }

    private double open(Conductor wire) {
        return history.odds(priors.open() * zone(wire), wire.id(), OPEN) * fitting(wire, Symptoms.Behaviour.DEAD);
    }

    private double high(Conductor wire) {
        return history.odds(priors.high(), wire.id(), HIGH) * fitting(wire, Symptoms.Behaviour.SOMETIMES);
    }

    private double jumping(Conductor wire) {
        return history.odds(priors.open() * JUMPING * zone(wire), wire.id(), INTERMITTENT)
                * fitting(wire, Symptoms.Behaviour.SOMETIMES);
    }

    private double crossed(String wire) {
        return history.odds(priors.crossed(), wire, CROSSED);
    }

    private double misplaced(String wire) {
        return history.odds(priors.misplaced(), wire, MISPLACED);
    }

    private double part(Component part) {
        return history.odds(priors.part(), part.id(), PART);
    }

    /** Odds that a wire is joined to another one, or to the frame. */
    private double joined(String wire, boolean frame) {
        return frame ? history.odds(priors.toFrame(), wire, TO_FRAME) : history.odds(priors.shorted(), wire, SHORTED);
    }

    Symptoms symptoms() {
        return symptoms;
    }

    /** Natural logarithm of the odds of a fault. */
    double log(Effect effect) {
        return Math.log(Math.max(1e-12, odds(effect)));
    }

    private double odds(Effect effect) {
        if (effect instanceof Effect.CutElement cut) {
            return cut.element()
                    .part()
                    .map(this::part)
                    .orElseGet(() -> cut.element().conductor().map(this::open).orElse(priors.open()));
        } else if (effect instanceof Effect.Rewired rewired) {
            return rewired(rewired.moves());
        } else if (effect instanceof Effect.Stuck stuck) {
            return stuck.element().part().map(this::part).orElse(priors.part()) * (stuck.closed() ? STUCK_CLOSED : 1);
        } else if (effect instanceof Effect.AlteredElement altered) {
            return altered.element()
                    .part()
                    .map(part -> part(part) * OFF * PART_OHM)
                    .orElseGet(
                            () -> altered.element().conductor().map(this::high).orElse(priors.high()) * FREE_OHM);
        } else if (effect instanceof Effect.Bridged bridged) {
            return bridged(bridged.pieces());
        } else if (effect instanceof Effect.Leaking leaking) {
            return LEAKING * bridged(List.of(leaking.one(), leaking.other()));
        }
        Effect.Jumping jumping = (Effect.Jumping) effect;
        return jumping.element().conductor().map(this::jumping).orElse(priors.part() * JUMPING);
    }

    private double rewired(List<Finding.Move> moves) {
        double dead = moves.stream()
                .mapToDouble(move -> fitting(design.conductor(move.conductor()), Symptoms.Behaviour.DEAD))
                .max()
                .orElse(1);
        if (moves.size() == 1) {
            List<Terminal> empty = design.assembly().emptyCavities();
            return dead
                    * misplaced(moves.get(0).conductor())
                    * (empty.contains(moves.get(0).cavity()) ? 1 : OCCUPIED)
                    / Math.max(1, empty.size());
        }
        double crossed = moves.stream()
                .mapToDouble(move -> crossed(move.conductor()))
                .max()
                .orElse(priors.crossed());
        return dead * crossed * Math.pow(2.0 / nets, moves.size() - 1.0);
    }

    private double bridged(List<Finding.Piece> pieces) {
        boolean frame = pieces.stream().anyMatch(piece -> piece.form() == Finding.Piece.DeviationForm.FRAME);
        long cavities = pieces.stream()
                .filter(piece -> piece.form() == Finding.Piece.DeviationForm.CAVITY)
                .count();
        double joined = pieces.stream()
                .flatMap(piece -> piece.conductors().stream())
                .mapToDouble(wire -> joined(wire, frame))
                .max()
                .orElse(frame ? priors.toFrame() : priors.shorted());
        double pair = 2 * priors.shorted() / nets;
        double odds = frame ? joined : 2 * joined / nets;
        return odds
                * Math.pow(pair, Math.max(0, pieces.size() - 2))
                * Math.pow(CAVITY, (double) cavities)
                * staysOn(pieces);
    }

    /** Odds that two ends of unlike nets are joined, the frame being one: what works as it should hardly is. */
    double joint(Terminal a, Terminal b) {
        boolean frame = a.isFrame() || b.isFrame();
        double joined = Stream.of(a, b)
                .flatMap(end -> design.nets().of(end).stream())
                .flatMap(net -> net.conductors().stream())
                .mapToDouble(wire -> joined(wire.id(), frame))
                .max()
                .orElse(frame ? priors.toFrame() : priors.shorted());
        return (frame ? joined : 2 * joined / nets)
                * Stream.of(a, b)
                        .flatMap(end -> design.nets().of(end).stream())
                        .flatMap(net -> net.conductors().stream())
                        .mapToDouble(wire -> fitting(wire, Symptoms.Behaviour.STAYS_ON))
                        .max()
                        .orElse(1);
    }

    /** The same of two wires of which nothing is known but what the machine does as a whole. */
    double usualJoint() {
        return 2 * priors.shorted() / nets * (symptoms.isOfSomething() ? CLEARED : 1);
    }

    private double staysOn(List<Finding.Piece> pieces) {
        return pieces.stream()
                .flatMap(piece -> piece.conductors().stream())
                .mapToDouble(id -> fitting(design.conductor(id), Symptoms.Behaviour.STAYS_ON))
                .max()
                .orElse(1);
    }

    private double zone(Conductor wire) {
        boolean hard = wire.zone()
                .filter(each -> !each.isBlank() && !each.equals("fixed"))
                .isPresent();
        return hard ? priors.flexing() : 1;
    }

    /** How much likelier what the machine does makes a kind of fault of a wire. */
    private double fitting(Conductor wire, Symptoms.Behaviour fitting) {
        return wire.function()
                .map(function -> symptoms.functions().get(function))
                .map(each -> each == Symptoms.Behaviour.WORKS ? CLEARED : each == fitting ? FITTING : 1.0)
                .orElse(1.0);
    }

    /** What functions that do not work make of faults that leave them unexplained: a logarithm, at most 0. */
    double unexplained(Scene scene, List<Effect> effects) {
        if (!symptoms.isOfSomething()) {
            return 0;
        }
        Set<String> functions = new HashSet<>();
        scene.elements()
                .forEach(element -> element.conductor()
                        .filter(this::fails)
                        .flatMap(Conductor::function)
                        .ifPresent(functions::add));
        effects.forEach(effect -> touched(effect)
                .forEach(terminal -> design.nets()
                        .of(terminal)
                        .ifPresent(net ->
                                net.conductors().forEach(wire -> wire.function().ifPresent(functions::remove)))));
        return functions.size() * UNEXPLAINED;
    }

    private List<Terminal> touched(Effect effect) {
        List<Terminal> touched = new ArrayList<>();
        if (effect instanceof Effect.CutElement cut) {
            touched.addAll(List.of(cut.element().a(), cut.element().b()));
        } else if (effect instanceof Effect.Stuck stuck) {
            touched.addAll(List.of(stuck.element().a(), stuck.element().b()));
        } else if (effect instanceof Effect.AlteredElement altered) {
            touched.addAll(List.of(altered.element().a(), altered.element().b()));
        } else if (effect instanceof Effect.Jumping jumping) {
            touched.addAll(List.of(jumping.element().a(), jumping.element().b()));
        } else if (effect instanceof Effect.Rewired rewired) {
            rewired.moves().forEach(move -> touched.add(move.designed()));
        } else if (effect instanceof Effect.Bridged bridged) {
            bridged.pieces().forEach(piece -> touched.add(piece.terminal()));
        } else if (effect instanceof Effect.Leaking leaking) {
            touched.addAll(List.of(leaking.one().terminal(), leaking.other().terminal()));
        }
        return touched;
    }

    /** Whether a terminal belongs to a net of a function that does not work. */
    boolean isFailing(Terminal terminal) {
        return symptoms.isOfSomething()
                && design.nets()
                        .of(terminal)
                        .map(net -> net.conductors().stream().anyMatch(this::fails))
                        .orElse(false);
    }

    boolean fails(Conductor wire) {
        return wire.function()
                .map(function -> symptoms.functions().get(function))
                .filter(each -> each != Symptoms.Behaviour.WORKS)
                .isPresent();
    }
}
