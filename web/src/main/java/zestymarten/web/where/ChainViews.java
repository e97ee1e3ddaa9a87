package zestymarten.web.where;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.job.Entry;
import zestymarten.core.job.Job;
import zestymarten.core.judge.Judgement;
import zestymarten.core.locate.Chain;
import zestymarten.core.locate.WireChain;
import zestymarten.core.plan.Step;
import zestymarten.core.quantity.Engineering;
import zestymarten.core.quantity.Understood;
import zestymarten.web.drawing.ChainDrawing;

/** The chain of one wire of a run: what was read along it, where the fault can still be, where to probe next. */
final class ChainViews {
    private final Job job;
    private final Map<String, String> typed;
    private final List<String> trouble = new ArrayList<>();
    private final Set<String> jumps;
    private final WireChain wires;
    private final Chain chain;
    private final Map<String, Double> read = new HashMap<>();
    private final Chain.Between known;

    private ChainViews(Job job, Conductor wire, Map<String, String> typed) {
        this.job = job;
        this.typed = typed;
        jumps = jumps(job, wire);
        wires = WireChain.of(job.design(), wire, jumps);
        chain = wires.chain();
        job.entries().stream().filter(Entry::stands).forEach(this::take);
        chain.stretches().forEach(each -> takeTyped(each.point()));
        Chain.Between now = chain.all();
        for (int i = 0; i < chain.stretches().size(); i++) {
            Double ohm = read.get(chain.stretches().get(i).point());
            now = ohm == null ? now : chain.after(now, i, ohm);
        }
        known = now;
    }

    /** A way to go along the chain, with the probes it takes on the average. */
    record WayView(String code, String words, String expected, boolean chosen) {}

    /** A point of the chain: the stretch before it, what it has by itself, what the way there may have, what was typed for it. */
    record PointView(String point, String stretch, String own, String most, String typed, String share) {}

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
            List<WayView> ways,
            String verdict,
            String next,
            List<String> trouble) {}

    static ChainView of(Job job, Conductor wire, Map<String, String> typed) {
        return new ChainViews(job, wire, typed).view();
    }

    /** Where readings on this wire jumped: its zone, and the connectors at its ends. */
    private static Set<String> jumps(Job job, Conductor wire) {
        Set<String> jumps = new HashSet<>();
        for (Entry entry : job.entries()) {
            boolean onIt = entry.stands()
                    && entry.step() instanceof Step.Touch touch
                    && (touch.isOn(wire.from()) || touch.isOn(wire.to()));
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
        if (!(entry.step() instanceof Step.Touch touch) || touch.isTied() || !touch.isOn(wires.start())) {
            return;
        }
        String point = touch.black().equals(wires.start())
                ? touch.red().name()
                : touch.black().name();
        job.judgement(entry).ifPresent(judgement -> {
            if (judgement.correctedOhm().isPresent()) {
                read.put(point, judgement.correctedOhm().getAsDouble());
            } else if (judgement.contact() == Judgement.Contact.APART) {
                read.put(point, Double.POSITIVE_INFINITY);
            }
        });
    }

    private void takeTyped(String point) {
        String text = typed.getOrDefault("at." + point, "").strip();
        Understood meaning = Figures.understood(text);
        if (meaning instanceof Understood.Value value) {
            read.put(point, job.conditions().corrected(value.value()).value());
        } else if (meaning instanceof Understood.OverRange) {
            read.put(point, Double.POSITIVE_INFINITY);
        } else if (!text.isEmpty()) {
            trouble.add("At " + point + ": “" + text + "” is not accepted; expected a resistance such as 0.4, or OL.");
        }
    }

    private Chain.Way way() {
        return Stream.of(Chain.Way.values())
                .filter(each -> each.name().equals(typed.getOrDefault("way", "")))
                .findFirst()
                .orElse(Chain.Way.WEIGHED);
    }

    private ChainView view() {
        Optional<String> next =
                chain.next(known, way()).map(chain.stretches()::get).map(Chain.Stretch::point);
        Map<String, String> readings =
                read.entrySet().stream().collect(Collectors.toMap(Map.Entry::getKey, each -> ohms(each.getValue())));
        return new ChainView(
                wires.start().name(),
                ChainDrawing.of(wires, readings, next, out(), jumps),
                points(),
                ways(),
                verdict(),
                next.orElse(""),
                trouble);
    }

    private static String ohms(double ohm) {
        return Double.isInfinite(ohm) ? "open" : Engineering.text(ohm, "\u03a9");
    }

    /** Ends of parts in which the fault is known not to be. */
    private Set<String> out() {
        Set<String> out = new HashSet<>();
        int stretch = 0;
        for (WireChain.Part part : wires.parts()) {
            if (!read.isEmpty() && (stretch < known.first() || stretch > known.last())) {
                out.add(part.to().name());
            }
            stretch += part.to().name().equals(chain.stretches().get(stretch).point()) ? 1 : 0;
        }
        return out;
    }

    private List<PointView> points() {
        double all = chain.stretches().stream()
                .mapToDouble(Chain.Stretch::likelihood)
                .sum();
        List<PointView> points = new ArrayList<>();
        double before = 0;
        for (Chain.Stretch each : chain.stretches()) {
            double now = read.getOrDefault(each.point(), Double.NaN);
            double own = Double.isInfinite(now) ? now : Math.max(0, now - before);
            points.add(new PointView(
                    each.point(),
                    each.name(),
                    Double.isNaN(own) ? "" : ohms(own),
                    Engineering.text(chain.mostOhm(points.size()), "\u03a9"),
                    typed.getOrDefault("at." + each.point(), ""),
                    Math.round(100 * each.likelihood() / all) + " %"));
            before = now;
        }
        return points;
    }

    private List<WayView> ways() {
        return Stream.of(Chain.Way.values())
                .map(each -> new WayView(
                        each.name(),
                        each.words(),
                        String.format(Locale.ROOT, "%.1f", chain.expectedProbes(each)),
                        each == way()))
                .toList();
    }

    private String verdict() {
        if (known.first() > known.last()) {
            return "No stretch has too much: the whole is as it should be.";
        }
        if (chain.stretches().size() == 1) {
            return "Between its two ends no probe reaches it. Move it, or calculate the distance below.";
        }
        Chain.Stretch last = chain.stretches().get(known.last());
        if (known.isFound()) {
            String it = read.containsKey(last.point()) ? "It is" : "If the whole has too much, it is";
            return it + " in " + last.name() + ", before " + last.point() + ".";
        }
        String from = known.first() == 0
                ? wires.start().name()
                : chain.stretches().get(known.first() - 1).point();
        return "It is between " + from + " and " + last.point() + ".";
    }
}
