package zestymarten.core.diagnosis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.State;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.fault.Fault;
import zestymarten.core.fault.FaultyUnit;
import zestymarten.core.network.Net;
import zestymarten.core.quantity.Understood;

/**
 * Chooses the next touch: the one with the largest expected drop of entropy per second.
 *
 * <p>Method: what a touch may show is put in classes (open, jumping, and steps of ohms of about a factor of two). The
 * information is the entropy of the classes over all that may be wrong less the entropy that is left when one knows what is
 * wrong, which is the chance of a bad touch. Only touches are weighed that meet a likely fault or a place not yet read: each
 * net end to end, each part, the likeliest pairs, and the places of the likeliest sets of faults crosswise. A touch only
 * asks the sets and faults that it meets; all others predict what a good unit shows. Cost: a few hundred touches times the
 * sets that they meet.
 */
final class Chooser {
    private static final int LIKELY_SETS = 8;
    private static final double LIKELY = 0.02;
    private static final double HARDLY = 1e-6;
    private static final double SUSPECTED = 1e-3;
    private static final double WORTH_A_TOUCH = 0.01;
    private static final int LIKELY_PAIRS = 30;
    private static final int MOST_CROSSWISE = 14;
    private static final int OPEN = -1;
    private static final int WIDE = -2;
    private static final int JUMPS = -3;
    private static final double STEPS_PER_E = 1.5;

    private final Diagnosis diagnosis;
    private final Design design;
    private final Meeting meeting;
    private final Map<Diagnosis.Candidate, Double> posterior;
    private final List<Diagnosis.Candidate> ordered;
    private final List<Map.Entry<Diagnosis.Candidate, Double>> likely;
    /** All sets that are hardly likely, together: they predict what a good unit shows. */
    private final double unlikely;

    /** A touch that may be made. */
    record Option(Terminal black, Terminal red, State state, List<List<Terminal>> ties) {
        Touched asTouched() {
            return new Touched(-1, black, red, state, ties, new Understood.OverRange());
        }
    }

    Chooser(Diagnosis diagnosis) {
        this.diagnosis = diagnosis;
        design = diagnosis.unit().design();
        meeting = diagnosis.meeting();
        posterior = diagnosis.posterior();
        likely = posterior.entrySet().stream()
                .filter(each -> each.getValue() > HARDLY)
                .toList();
        unlikely = posterior.values().stream()
                .filter(each -> each <= HARDLY)
                .mapToDouble(each -> each)
                .sum();
        ordered = posterior.keySet().stream()
                .sorted(Comparator.comparingDouble((Diagnosis.Candidate each) -> -posterior.getOrDefault(each, 0.0)))
                .toList();
    }

    /** The best touches first. */
    List<NextTouch> best(Costs costs, int most) {
        List<NextTouch> fresh = best(options(costs, false), costs, most);
        boolean tellsLittle = fresh.stream().mapToDouble(NextTouch::bits).max().orElse(0) < WORTH_A_TOUCH;
        return tellsLittle ? best(options(costs, true), costs, most) : fresh;
    }

    private List<NextTouch> best(Set<Option> options, Costs costs, int most) {
        return options.stream()
                .map(option -> priced(option, costs))
                .filter(touch -> touch.bits() > 1e-9)
                .sorted(Comparator.comparingDouble(NextTouch::bitsPerSecond).reversed())
                .limit(most)
                .toList();
    }

    /** @param again whether nets that were read and are under no suspicion are weighed once more */
    private Set<Option> options(Costs costs, boolean again) {
        Set<Option> options = new LinkedHashSet<>();
        Set<Set<Terminal>> read = new HashSet<>();
        diagnosis.readings().forEach(each -> read.add(new HashSet<>(List.of(each.a(), each.b()))));
        Set<Integer> suspected = new HashSet<>();
        likely.stream()
                .filter(each -> each.getValue() > SUSPECTED)
                .flatMap(each -> each.getKey().atoms().stream())
                .forEach(atom -> suspected.addAll(atom.nets()));
        State rest = design.assembly().states().get(0);
        for (Net net : design.nets().all()) {
            net.ends().stream()
                    .skip(1)
                    .map(far -> free(net.ends().get(0), far, rest))
                    .filter(option -> again
                            || !read.contains(Set.of(option.black(), option.red()))
                            || suspected.contains(diagnosis.places().of(option.black())))
                    .forEach(options::add);
        }
        design.assembly().bonded().forEach(each -> options.add(free(each, Terminal.FRAME, rest)));
        for (Component part : design.assembly().components()) {
            if (part.kind() != Component.Kind.DIODE) {
                design.assembly().states().forEach(state -> options.add(free(part.a(), part.b(), state)));
            }
        }
        likelyPairs(rest, options);
        crosswise(rest, options);
        if (costs.clips()) {
            eachToRest(rest, options);
        }
        return options;
    }

    private static Option free(Terminal a, Terminal b, State state) {
        return new Option(a, b, state, List.of());
    }

    private void likelyPairs(State rest, Set<Option> options) {
        diagnosis.atoms().all().stream()
                .filter(each -> each.fault() instanceof Fault.Shorted)
                .sorted(Comparator.comparingDouble((Atom each) -> -diagnosis.chance(each)))
                .limit(LIKELY_PAIRS)
                .forEach(each -> {
                    Fault.Shorted shorted = (Fault.Shorted) each.fault();
                    options.add(free(shorted.a(), shorted.b(), rest));
                });
    }

    /** The ends and cavities of the likeliest sets of faults against one another. */
    private void crosswise(State rest, Set<Option> options) {
        Set<Terminal> points = new LinkedHashSet<>();
        for (Diagnosis.Candidate set : ordered.subList(0, Math.min(LIKELY_SETS, ordered.size()))) {
            for (Atom atom : set.atoms()) {
                if (points.size() < MOST_CROSSWISE) {
                    points.addAll(pointsOf(atom));
                }
            }
        }
        List<Terminal> all = points.stream().limit(MOST_CROSSWISE).toList();
        for (int i = 0; i < all.size(); i++) {
            for (int j = i + 1; j < all.size(); j++) {
                options.add(free(all.get(i), all.get(j), rest));
            }
        }
    }

    private Set<Terminal> pointsOf(Atom atom) {
        Set<Terminal> points = new LinkedHashSet<>();
        if (atom.fault() instanceof Fault.Moved moved) {
            moved.cavities().entrySet().stream()
                    .sorted(Map.Entry.comparingByKey())
                    .limit(3)
                    .forEach(each -> {
                        points.add(design.conductor(each.getKey()).from());
                        points.add(each.getValue());
                    });
        } else if (atom.fault() instanceof Fault.Shorted shorted) {
            points.add(shorted.a());
            points.add(shorted.b());
        }
        return points;
    }

    /** Each net against all others and the frame, tied: for those that have likely shorts left. */
    private void eachToRest(State rest, Set<Option> options) {
        List<Terminal> heads = new ArrayList<>(design.nets().all().stream()
                .filter(net -> !net.ends().isEmpty() && !net.touchesFrame())
                .map(net -> net.ends().get(0))
                .toList());
        heads.add(Terminal.FRAME);
        Map<Integer, Double> left = new HashMap<>();
        for (Atom atom : diagnosis.atoms().all()) {
            if (atom.fault() instanceof Fault.Shorted) {
                atom.nets().forEach(each -> left.merge(each, diagnosis.chance(atom), Double::sum));
            }
        }
        heads.stream()
                .sorted(Comparator.comparingDouble(
                        each -> -left.getOrDefault(diagnosis.places().of(each), 0.0)))
                .limit(3)
                .forEach(each -> {
                    List<Terminal> rest1 =
                            heads.stream().filter(other -> !other.equals(each)).toList();
                    if (rest1.size() > 1) {
                        options.add(new Option(each, rest1.get(rest1.size() - 1), rest, List.of(rest1)));
                    }
                });
    }

    private NextTouch priced(Option option, Costs costs) {
        double bits = information(option);
        return new NextTouch(
                option.black(),
                option.red(),
                option.state(),
                option.ties(),
                bits,
                costs.seconds(option, diagnosis.readings()),
                why(option));
    }

    private String why(Option option) {
        boolean through = good(option).isPresent();
        Set<Atom> atoms =
                new HashSet<>(meeting.atoms(option.black(), option.red(), option.state(), option.ties(), through));
        String met = ordered.stream()
                .limit(LIKELY_SETS)
                .filter(set -> posterior.getOrDefault(set, 0.0) > LIKELY)
                .flatMap(set -> set.atoms().stream())
                .filter(atoms::contains)
                .findFirst()
                .map(atom -> "asks whether " + Told.of(atom, design))
                .orElse("");
        return !met.isEmpty() ? met : through ? "reads what nobody has read yet" : "tells a way through from none";
    }

    private OptionalDouble good(Option option) {
        return FaultyUnit.of(diagnosis.unit(), List.of())
                .ohms(option.black(), option.red(), option.state(), option.ties());
    }

    /** Bits that a touch is expected to give. */
    double information(Option option) {
        OptionalDouble good = good(option);
        Set<Atom> met = new HashSet<>(
                meeting.atoms(option.black(), option.red(), option.state(), option.ties(), good.isPresent()));
        Map<Integer, Double> classes = new HashMap<>();
        double known = 0;
        double asGood = unlikely;
        for (Map.Entry<Diagnosis.Candidate, Double> each : likely) {
            List<Atom> atoms = each.getKey().atoms();
            double chance = each.getValue();
            if (atoms.stream().noneMatch(met::contains)) {
                asGood += chance;
            } else {
                classes.merge(shown(option, atoms), chance, Double::sum);
                known += chance;
            }
        }
        for (Atom atom : met) {
            double chance = diagnosis.core().contains(atom) ? 0 : asGood * diagnosis.chance(atom);
            if (chance > 1e-9) {
                classes.merge(shown(option, List.of(atom)), chance, Double::sum);
                asGood -= chance;
                known += chance;
            }
        }
        if (known <= 0) {
            return 0;
        }
        classes.merge(classOf(good, Atom.Shape.EXACT), Math.max(0, asGood), Double::sum);
        return bits(classes);
    }

    private int shown(Option option, List<Atom> atoms) {
        OptionalDouble ohms = FaultyUnit.of(
                        diagnosis.unit(), atoms.stream().map(Atom::fault).toList())
                .ohms(option.black(), option.red(), option.state(), option.ties());
        OptionalDouble good = good(option);
        return classOf(ohms, Diagnosis.shape(diagnosis.unit(), option.asTouched(), atoms, ohms, good));
    }

    private int classOf(OptionalDouble ohms, Atom.Shape shape) {
        if (ohms.isEmpty()
                || ohms.getAsDouble() > diagnosis.conditions().meter().topOhm()) {
            return OPEN;
        }
        return shape == Atom.Shape.WIDE
                ? WIDE
                : shape == Atom.Shape.JUMPY ? JUMPS : (int) Math.floor(STEPS_PER_E * Math.log(1 + ohms.getAsDouble()));
    }

    /** Mutual information of what is wrong and what is shown, a bad touch showing open whatever is there. */
    private static double bits(Map<Integer, Double> classes) {
        double sum = classes.values().stream().mapToDouble(each -> each).sum();
        double bad = Likelihood.BAD_TOUCH;
        double open = classes.getOrDefault(OPEN, 0.0) / sum;
        double entropy = term(open + (1 - open) * bad);
        for (Map.Entry<Integer, Double> each : classes.entrySet()) {
            if (each.getKey() != OPEN) {
                entropy += term((1 - bad) * each.getValue() / sum);
            }
        }
        double leftOver = (1 - open) * (term(bad) + term(1 - bad));
        return Math.max(0, entropy - leftOver) / Math.log(2);
    }

    private static double term(double chance) {
        return chance <= 0 ? 0 : -chance * Math.log(chance);
    }
}
