package zestymarten.web.locate;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.locate.Chain;
import zestymarten.core.locate.ChainReadings;
import zestymarten.core.locate.WireChain;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.drawing.ChainDrawing;
import zestymarten.web.platform.Words;

/** The chain of one wire of a run: what was read along it, where the fault can still be, where to probe next. */
final class ChainViews {
    private final TestRun test;
    private final Map<String, String> typed;
    private final List<String> trouble = new ArrayList<>();
    private final Set<String> jumps;
    private final WireChain wires;
    private final Chain chain;
    private final Map<String, Double> read = new HashMap<>();
    private static final String OHM = "Ω";

    private final ChainReadings known;
    /** Of what was read and what it may be, which are compared with each other. */
    private final EngineeringFormat.FigureColumn column;

    private ChainViews(TestRun test, Conductor wire, Map<String, String> typed) {
        this.test = test;
        this.typed = typed;
        jumps = jumps(test, wire);
        wires = WireChain.of(test.design(), wire, jumps);
        chain = wires.chain();
        test.entries().stream().filter(Entry::stands).forEach(this::take);
        chain.stretches().forEach(each -> takeTyped(each.point()));
        Map<Integer, Double> ohms = new HashMap<>();
        for (int i = 0; i < chain.stretches().size(); i++) {
            Double ohm = read.get(chain.stretches().get(i).point());
            if (ohm != null) {
                ohms.put(i, ohm);
            }
        }
        MeterProfile meter = test.conditions().meter();
        known = ChainReadings.of(chain, ohms, ohm -> meter.accuracy() * ohm + 2 * meter.resolutionOhm());
        column = EngineeringFormat.column(
                DoubleStream.concat(
                                DoubleStream.of(chain.maxOhm(chain.stretches().size() - 1)),
                                read.values().stream().mapToDouble(each -> each))
                        .filter(Double::isFinite)
                        .max()
                        .orElse(1),
                OHM);
    }

    /** A way to go along the chain, with the probes it takes on the average. */
    record ChainWayView(String code, String words, String expected, boolean chosen) {}

    /** A point of the chain: the stretch before it, what it has by itself, what the way there may have, what was typed for it. */
    record PointView(String point, String stretch, String own, String maximum, String typed, String share) {}

    /**
     * A chain as ready text.
     *
     * @param verdict where the fault can still be
     * @param next where to probe next; empty where that is known
     */
    record ChainView(
            String start,
            ChainDrawing drawing,
            List<PointView> points,
            List<ChainWayView> ways,
            String verdict,
            String next,
            List<String> trouble) {}

    static ChainView of(TestRun test, Conductor wire, Map<String, String> typed) {
        return new ChainViews(test, wire, typed).view();
    }

    /** Where readings on this wire jumped: its zone, and the connectors at its ends. */
    private static Set<String> jumps(TestRun test, Conductor wire) {
        Set<String> jumps = new HashSet<>();
        for (Entry entry : test.entries()) {
            boolean onIt = entry.stands()
                    && entry.step() instanceof TestStep.Measurement measurement
                    && (measurement.isOn(wire.from()) || measurement.isOn(wire.to()));
            if (onIt && entry.content() instanceof Entry.Content.Reading reading) {
                Set<String> words = Set.of(reading.where().split("\\s+"));
                wire.zone().filter(words::contains).ifPresent(jumps::add);
                Stream.of(wire.from().connector(), wire.to().connector())
                        .filter(words::contains)
                        .forEach(jumps::add);
            }
        }
        return jumps;
    }

    /** What the run has read from the first point of the chain, corrected. */
    private void take(Entry entry) {
        if (!(entry.step() instanceof TestStep.Measurement measurement)
                || measurement.isLinked()
                || !measurement.isOn(wires.start())) {
            return;
        }
        String point = measurement.black().equals(wires.start())
                ? measurement.red().name()
                : measurement.black().name();
        test.judgement(entry).ifPresent(judgement -> {
            if (judgement.correctedOhm().isPresent()) {
                read.put(point, judgement.correctedOhm().getAsDouble());
            } else if (judgement.contact() == Judgement.Contact.APART) {
                read.put(point, Double.POSITIVE_INFINITY);
            }
        });
    }

    private void takeTyped(String point) {
        String text = typed.getOrDefault("at." + point, "").strip();
        MeterReading meaning = LocateFigures.understood(text);
        if (meaning instanceof MeterReading.Value value) {
            read.put(point, test.conditions().corrected(value.value()).value());
        } else if (meaning instanceof MeterReading.OverRange) {
            read.put(point, Double.POSITIVE_INFINITY);
        } else if (!text.isEmpty()) {
            trouble.add(Words.say("chain_views.not_accepted_expected_resistance", point, text));
        }
    }

    private Chain.ChainWay way() {
        return Stream.of(Chain.ChainWay.values())
                .filter(each -> each.name().equals(typed.getOrDefault("way", "")))
                .findFirst()
                .orElse(Chain.ChainWay.WEIGHED);
    }

    private ChainView view() {
        Optional<String> next = known.next(way()).map(chain.stretches()::get).map(Chain.ChainStretch::point);
        Map<String, String> readings =
                read.entrySet().stream().collect(Collectors.toMap(Map.Entry::getKey, each -> ohms(each.getValue())));
        return new ChainView(
                wires.start().name(),
                ChainDrawing.of(wires, readings, next, factors(), jumps),
                points(),
                ways(),
                verdict(),
                next.orElse(""),
                trouble);
    }

    private String ohms(double ohm) {
        return Double.isInfinite(ohm) ? Words.say("chain_views.open") : Words.figure(column, ohm);
    }

    /** By the end of each part, how much likelier the fault is there than before anything was read. */
    private Map<String, Double> factors() {
        double all = chain.stretches().stream()
                .mapToDouble(Chain.ChainStretch::likelihood)
                .sum();
        Map<String, Double> factors = new HashMap<>();
        int stretch = 0;
        for (WireChain.Part part : wires.parts()) {
            Chain.ChainStretch here = chain.stretches().get(stretch);
            factors.put(
                    part.to().name(),
                    here.likelihood() > 0 ? known.shares().get(stretch) * all / here.likelihood() : 0);
            stretch += part.to().name().equals(here.point()) ? 1 : 0;
        }
        return factors;
    }

    private List<PointView> points() {
        List<PointView> points = new ArrayList<>();
        double before = 0;
        for (Chain.ChainStretch each : chain.stretches()) {
            double now = read.getOrDefault(each.point(), Double.NaN);
            double own = Double.isInfinite(now) ? now : Math.max(0, now - before);
            points.add(new PointView(
                    each.point(),
                    each.name(),
                    Double.isNaN(own) ? "" : ohms(own),
                    Words.figure(column, chain.maxOhm(points.size())),
                    typed.getOrDefault("at." + each.point(), ""),
                    Math.round(100 * known.shares().get(points.size())) + " %"));
            before = now;
        }
        return points;
    }

    private List<ChainWayView> ways() {
        return Stream.of(Chain.ChainWay.values())
                .map(each -> new ChainWayView(
                        each.name(),
                        Words.say(each.words()),
                        String.format(Locale.ROOT, "%.1f", chain.expectedProbes(each)),
                        each == way()))
                .toList();
    }

    private String verdict() {
        if (chain.stretches().size() == 1 && known.tooMuch().isEmpty() && !known.isGood()) {
            return Words.say("chain_views.between_two_ends_no");
        }
        if (!known.contradictions().isEmpty()) {
            return known.contradictions().stream().map(this::contradiction).collect(Collectors.joining(" "));
        }
        List<String> says = new ArrayList<>();
        known.tooMuch().forEach(each -> says.add(tooMuch(each)));
        known.segments().stream()
                .filter(each -> each.state() == ChainReadings.ChainState.UNKNOWN)
                .forEach(each -> says.add(unknown(each)));
        known.segments().forEach(each -> known.mayHide(each).ifPresent(hidden -> says.add(hidden(each, hidden))));
        if (known.isGood()) {
            says.add(Words.say("chain_views.no_stretch_has_too"));
        } else if (says.isEmpty()) {
            says.add(Words.say("chain_views.what_was_read_within"));
        }
        return String.join(" ", says);
    }

    private String names(ChainReadings.Segment segment) {
        return chain.stretches().subList(segment.first(), segment.last() + 1).stream()
                .map(Chain.ChainStretch::name)
                .collect(Collectors.joining(", "));
    }

    private String from(int stretch) {
        return stretch == 0
                ? wires.start().name()
                : chain.stretches().get(stretch - 1).point();
    }

    private String between(ChainReadings.Segment segment) {
        return Words.say(
                "chain_views.between",
                from(segment.first()),
                chain.stretches().get(segment.last()).point());
    }

    private String tooMuch(ChainReadings.Segment segment) {
        double ohm = segment.ohm().orElseThrow();
        String what = Double.isInfinite(ohm)
                ? Words.say("chain_views.open")
                : Words.say("chain_views.most", ohms(ohm), ohms(segment.maxOhm()));
        return segment.isOne()
                ? Words.say(
                        "chain_views.before",
                        names(segment),
                        chain.stretches().get(segment.last()).point(),
                        what)
                : Words.say("chain_views.together", between(segment), what);
    }

    private String unknown(ChainReadings.Segment segment) {
        boolean behindAnOpen = segment.first() > 0 && Double.isInfinite(read.getOrDefault(from(segment.first()), 0.0));
        if (behindAnOpen) {
            return Words.say("chain_views.behind_open_nothing_known", names(segment));
        }
        return known.tooMuch().isEmpty()
                ? (read.isEmpty() ? Words.say("chain_views.unknown") : Words.say("chain_views.what_was_read_within_2"))
                        + between(segment) + "."
                : Words.say("chain_views.not_read", names(segment));
    }

    private String hidden(ChainReadings.Segment segment, int stretch) {
        return Words.say(
                "chain_views.within_their_limit_together",
                ohms(segment.ohm().orElseThrow()),
                between(segment),
                chain.stretches().get(stretch).name(),
                ohms(chain.stretches().get(stretch).maxOhm()));
    }

    private String contradiction(ChainReadings.Contradiction both) {
        String nearer = chain.stretches().get(both.nearer()).point();
        String farther = chain.stretches().get(both.farther()).point();
        return Words.say(
                "chain_views.contradiction_but_farther_on",
                ohms(read.getOrDefault(nearer, 0.0)),
                nearer,
                ohms(read.getOrDefault(farther, 0.0)),
                farther);
    }
}
