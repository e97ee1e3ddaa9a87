package zestymarten.core.plan;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.network.Net;
import zestymarten.core.network.Nets;

/**
 * The steps of a run with both ends on the bench: check the meter, every net end to end, each piece against each later
 * one, each against the frame.
 *
 * <p>Method: a net of k probe points takes k - 1 touches from its first one. Its first probe point stands for the whole
 * net in the later stages. A touch of a net that was open adds its far end as a piece of its own to shorts and frame, and
 * asks its near end against every empty cavity where the far end may have gone. Order: design order; added pieces last.
 * Cost: linear in the nets to build; the pairs of the shorts stage are counted and walked, never stored.
 */
public final class Plan {
    private static final List<Step> METER =
            List.of(new Step.Probes(Step.Probes.Question.TONE), new Step.Probes(Step.Probes.Question.OHMS));

    private final Nets nets;
    private final List<Terminal> emptyCavities;
    private final List<Step> ends;

    private Plan(Nets nets, List<Terminal> emptyCavities, List<Step> ends) {
        this.nets = nets;
        this.emptyCavities = emptyCavities;
        this.ends = ends;
    }

    public static Plan of(Assembly assembly, Nets nets) {
        List<Step> ends = new ArrayList<>();
        for (Net net : nets.all()) {
            for (Terminal far : net.ends().stream().skip(1).toList()) {
                ends.add(new Step.Touch(Stage.ENDS, net.ends().get(0), far));
            }
        }
        assembly.terminals().stream()
                .filter(assembly.bonded()::contains)
                .forEach(terminal -> ends.add(new Step.Touch(Stage.ENDS, terminal, Terminal.FRAME)));
        return new Plan(nets, assembly.emptyCavities(), List.copyOf(ends));
    }

    public List<Step> meter() {
        return METER;
    }

    /** Every net end to end, in design order. */
    public List<Step> ends() {
        return ends;
    }

    /**
     * The pieces that shorts and frame are tested between: one probe point a net, then the far ends that were open.
     *
     * @param open touches of {@link #ends} that were open
     */
    public Pieces pieces(Collection<Step.Touch> open) {
        LinkedHashSet<Terminal> pieces = new LinkedHashSet<>();
        for (Net net : nets.all()) {
            if (!net.touchesFrame() && !net.ends().isEmpty()) {
                pieces.add(net.ends().get(0));
            }
        }
        List<Step.Touch> cavities = new ArrayList<>();
        for (Step step : ends) {
            if (step instanceof Step.Touch touch && open.contains(touch)) {
                List.of(touch.black(), touch.red()).stream()
                        .filter(end -> !end.isFrame())
                        .forEach(pieces::add);
                cavities.addAll(intoEmptyCavities(touch));
            }
        }
        return new Pieces(List.copyOf(pieces), cavities);
    }

    private List<Step.Touch> intoEmptyCavities(Step.Touch open) {
        return emptyCavities.stream()
                .filter(cavity -> cavity.connector().equals(open.red().connector())
                        && !open.black().isFrame())
                .map(cavity -> new Step.Touch(Stage.SHORTS, open.black(), cavity))
                .toList();
    }

    /** The pieces of one run, and the touches between them. */
    public static final class Pieces {
        private final List<Terminal> pieces;
        private final List<Step.Touch> cavities;
        private final Map<Terminal, Integer> place = new HashMap<>();
        private final Set<Step.Touch> cavitySet;

        private Pieces(List<Terminal> pieces, List<Step.Touch> cavities) {
            this.pieces = pieces;
            this.cavities = List.copyOf(cavities);
            cavitySet = Set.copyOf(cavities);
            for (int i = 0; i < pieces.size(); i++) {
                place.put(pieces.get(i), i);
            }
        }

        public List<Terminal> all() {
            return pieces;
        }

        /** Touches of near ends in empty cavities, after the pairs. */
        public List<Step.Touch> cavities() {
            return cavities;
        }

        /** How many pairs there are, each once. */
        public long pairs() {
            return (long) pieces.size() * (pieces.size() - 1) / 2;
        }

        /** The touch of two pieces by their places in {@link #all}; the earlier gets the black probe. */
        public Step.Touch pair(int first, int second) {
            return new Step.Touch(
                    Stage.SHORTS, pieces.get(Math.min(first, second)), pieces.get(Math.max(first, second)));
        }

        public Step.Touch frame(int piece) {
            return new Step.Touch(Stage.FRAME, pieces.get(piece), Terminal.FRAME);
        }

        /** Whether a touch is one of the shorts or frame touches. */
        public boolean contains(Step.Touch touch) {
            if (touch.stage() == Stage.FRAME) {
                return touch.red().isFrame() && place.containsKey(touch.black());
            }
            Integer first = place.get(touch.black());
            Integer second = place.get(touch.red());
            return touch.stage() == Stage.SHORTS
                    && (cavitySet.contains(touch) || (first != null && second != null && first < second));
        }

        /** The shorts touch of two terminals in either order, if it is planned. */
        public java.util.Optional<Step.Touch> between(Terminal a, Terminal b) {
            return java.util.stream.Stream.of(new Step.Touch(Stage.SHORTS, a, b), new Step.Touch(Stage.SHORTS, b, a))
                    .filter(this::contains)
                    .findFirst();
        }
    }
}
