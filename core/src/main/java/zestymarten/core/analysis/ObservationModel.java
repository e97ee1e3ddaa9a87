package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.finding.Finding;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.MeterReading;

/**
 * How likely what was read is, with certain faults in the unit.
 *
 * <p>Method: whether there is a path follows from the edges that conduct; a figure is compared with the effective
 * resistance, normally distributed with the meter's uncertainty and a contact term, after the free resistances were fitted.
 * Now and then a probe makes no contact, or sits on a wrong pin: no reading costs more than that. A limit that is broken is
 * a fact by the decision rule: within its bounds no edge explains it. Cost: one fit a set of faults, and one for each
 * place along which a joint may be.
 */
final class ObservationModel {
    private static final double WRONG_PIN_PENALTY = 11;
    private static final Misfit WRONG_PIN = Misfit.of(WRONG_PIN_PENALTY);
    private static final double JUMPING_OPEN_PENALTY = -Math.log(0.3);
    private static final double JUMPING_JOINED_PENALTY = -Math.log(0.7);
    private static final double UNSTABLE_PENALTY = 5.3;
    private static final double LEAK_ACROSS_OPEN_PENALTY = 1;
    private static final double PRIOR_PENALTY = 4;
    private static final double CONTACT_OHM = 0.015;
    private static final double SHARE = 0.003;
    private static final double FACT = 0.25;
    private static final double MARGIN = 0.2;
    private static final int MAX_PLACES = 8;

    private final TestConditions conditions;
    private final FaultPriors priors;
    private final double jointOhm;
    private final Misfit noContact;

    ObservationModel(TestConditions conditions, FaultPriors priors) {
        this(conditions, priors, conditions.joinedBelowOhm());
    }

    private ObservationModel(TestConditions conditions, FaultPriors priors, double jointOhm) {
        this.conditions = conditions;
        this.priors = priors;
        this.jointOhm = jointOhm;
        noContact = new Misfit(-Math.log(priors.priors().badContact()), true);
    }

    /** The same where a joint between pieces has at most so much resistance. */
    ObservationModel withJointsBelow(double ohm) {
        return new ObservationModel(conditions, priors, ohm);
    }

    /**
     * Weighs faults; joints are tried along every conductor of their pieces, and those of several pieces in one place and in
     * turn, where the figures ask for it.
     */
    WeighedFaults weighed(Scene scene, List<Effect> effects) {
        WeighedFaults atOnePlace = weighed(scene, effects, false);
        boolean several = effects.stream()
                .anyMatch(each -> each instanceof Effect.Bridged bridged
                        && bridged.pieces().size() > 2);
        if (!several || atOnePlace.explainsAll()) {
            return atOnePlace;
        }
        WeighedFaults turn = weighed(scene, effects, true);
        return turn.logWeight() > atOnePlace.logWeight() ? turn : atOnePlace;
    }

    private WeighedFaults weighed(Scene scene, List<Effect> effects, boolean inTurn) {
        Map<Finding.Piece, Conductor> along = new HashMap<>();
        List<Finding.Piece> pieces = bridged(effects);
        pieces.forEach(piece -> places(scene, piece).stream().findFirst().ifPresent(wire -> along.put(piece, wire)));
        WeighedFaults best = weighed(scene, effects, along, inTurn);
        for (Finding.Piece piece : pieces) {
            List<Conductor> places = places(scene, piece);
            for (Conductor wire : places.subList(Math.min(1, places.size()), Math.min(MAX_PLACES, places.size()))) {
                if (best.explainsAll()) {
                    return best;
                }
                Map<Finding.Piece, Conductor> other = new HashMap<>(along);
                other.put(piece, wire);
                WeighedFaults tried = weighed(scene, effects, other, inTurn);
                if (tried.logWeight() > best.logWeight()) {
                    best = tried;
                    along.put(piece, wire);
                }
            }
        }
        return best;
    }

    /** Natural logarithm of how likely faults are before anything was read: no weight of them is above it. */
    double logPrior(List<Effect> effects) {
        return effects.stream().mapToDouble(priors::log).sum();
    }

    private static List<Finding.Piece> bridged(List<Effect> effects) {
        List<Finding.Piece> pieces = new ArrayList<>();
        effects.forEach(effect -> {
            if (effect instanceof Effect.Bridged bridged) {
                pieces.addAll(bridged.pieces());
            }
        });
        return pieces;
    }

    private static List<Conductor> places(Scene scene, Finding.Piece piece) {
        return piece.form() != Finding.Piece.DeviationForm.WIRES
                ? List.of()
                : scene.elements().stream()
                        .filter(each -> piece.conductors().stream().anyMatch(each::isCalled))
                        .flatMap(each -> each.conductor().stream())
                        .toList();
    }

    private WeighedFaults weighed(
            Scene scene, List<Effect> effects, Map<Finding.Piece, Conductor> along, boolean inTurn) {
        Variation variation = new Variation(scene, effects, along, jointOhm, inTurn);
        List<NetworkFit.Figure> figures = new ArrayList<>();
        List<Integer> figureOf = new ArrayList<>();
        for (Observation each : scene.observations()) {
            Optional<NetworkFit.Figure> figure = figure(variation, each);
            figureOf.add(figure.isPresent() ? figures.size() : -1);
            figure.ifPresent(figures::add);
        }
        NetworkFit.FittedNetwork fitted = NetworkFit.of(variation.edges(), figures);
        List<Misfit> misfits = new ArrayList<>();
        for (int i = 0; i < figureOf.size(); i++) {
            Observation seen = scene.observations().get(i);
            int number = figureOf.get(i);
            misfits.add(
                    number < 0
                            ? ofPath(variation, seen, fitted)
                            : ofFigure(variation, figures.get(number), fitted.read(number)));
        }
        double prior = logPrior(effects) + priors.unexplained(scene, effects) - unusual(variation, fitted);
        return new WeighedFaults(effects, variation, prior, misfits, fitted);
    }

    /** What lies far from its usual resistance makes the faults less likely, each edge up to a point; a joint has a low resistance. */
    private static double unusual(Variation variation, NetworkFit.FittedNetwork fitted) {
        double sum = 0;
        for (int e = 0; e < variation.edges().size(); e++) {
            NetworkFit.FitEdge edge = variation.edges().get(e);
            double off = (fitted.ohm(e) - edge.nominal()) / edge.spread();
            sum += Math.min(PRIOR_PENALTY, off * off / 2);
            sum += variation.isJoint(e) ? Math.min(PRIOR_PENALTY, Math.log1p(fitted.ohm(e))) : 0;
        }
        return sum;
    }

    private static Optional<NetworkFit.Figure> figure(Variation variation, Observation seen) {
        if (seen.judgement().correctedOhm().isEmpty() || !(seen.meaning() instanceof MeterReading.Value)) {
            return Optional.empty();
        }
        Scene scene = variation.scene();
        SolvedCircuit circuit = variation.circuit(seen.state(), seen.links());
        int a = scene.node(seen.a());
        int b = scene.node(seen.b());
        return circuit.joins(a, b)
                ? Optional.of(new NetworkFit.Figure(
                        circuit, a, b, seen.judgement().correctedOhm().getAsDouble(), sigma(seen)))
                : Optional.empty();
    }

    private static double sigma(Observation seen) {
        double ohm = seen.judgement().correctedOhm().orElse(0);
        double half = seen.judgement().uncertaintyOhm().orElse(0) / 2;
        double sigma = Math.sqrt(half * half + CONTACT_OHM * CONTACT_OHM + SHARE * SHARE * ohm * ohm);
        if (seen.judgement().verdict() == Judgement.Verdict.FAIL
                && seen.expectation() instanceof Expectation.Joined joined) {
            double beyond = Math.max(
                    ohm - joined.limit().high().value(), joined.limit().low().value() - ohm);
            return beyond > 0 ? Math.max(1e-5, Math.min(sigma, FACT * beyond)) : sigma;
        }
        return sigma;
    }

    private static Misfit ofFigure(Variation variation, NetworkFit.Figure figure, double read) {
        double off = (read - figure.ohm()) / figure.sigma();
        double jumping = isJumping(variation, figure.circuit(), figure.a(), figure.b()) ? JUMPING_JOINED_PENALTY : 0;
        return Misfit.of(Math.min(WRONG_PIN_PENALTY, off * off / 2 + jumping));
    }

    private static boolean isJumping(Variation variation, SolvedCircuit circuit, int a, int b) {
        return circuit.way(a, b).stream().anyMatch(variation::isJumping);
    }

    /** The misfit of a reading that is no figure on a path. */
    private Misfit ofPath(Variation variation, Observation seen, NetworkFit.FittedNetwork fitted) {
        Scene scene = variation.scene();
        SolvedCircuit circuit = variation.circuit(seen.state(), seen.links());
        int a = scene.node(seen.a());
        int b = scene.node(seen.b());
        boolean joined = circuit.joins(a, b);
        boolean jumping = joined && isJumping(variation, circuit, a, b);
        double ohm = joined
                ? circuit.between(
                        a, b, fitted.ohms(), new double[variation.edges().size()])
                : Double.MAX_VALUE;
        Misfit open = jumping ? Misfit.of(JUMPING_OPEN_PENALTY) : noContact;
        MeterReading meaning = seen.meaning();
        if (meaning instanceof MeterReading.Unstable) {
            return jumping ? Misfit.of(JUMPING_JOINED_PENALTY) : new Misfit(UNSTABLE_PENALTY + noContact.nats(), true);
        } else if (meaning instanceof MeterReading.OverRange) {
            return ohm > conditions.meter().topOhm() ? Misfit.NONE : open;
        } else if (meaning instanceof MeterReading.Silent) {
            return ohm > conditions.meter().toneBelowOhm() * (1 - MARGIN) ? Misfit.NONE : open;
        } else if (meaning instanceof MeterReading.Tone) {
            return ohm < conditions.meter().toneBelowOhm() * (1 + MARGIN) ? Misfit.NONE : WRONG_PIN;
        } else if (meaning instanceof MeterReading.Above above) {
            return ohm > above.value() * (1 - MARGIN / 10) ? Misfit.NONE : open;
        } else if (meaning instanceof MeterReading.Below below) {
            return ohm < below.value() * (1 + MARGIN / 10) ? Misfit.NONE : WRONG_PIN;
        }
        return seen.judgement().contact() == Judgement.Contact.LEAK && seen.expectation() instanceof Expectation.Joined
                ? Misfit.of(LEAK_ACROSS_OPEN_PENALTY)
                : WRONG_PIN;
    }
}
