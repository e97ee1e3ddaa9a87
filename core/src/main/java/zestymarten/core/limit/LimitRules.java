package zestymarten.core.limit;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zestymarten.core.assembly.Allowances;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Metal;
import zestymarten.core.network.Link;
import zestymarten.core.network.Path;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.Ohms;

/**
 * Derives limits. Order of authority: the figure given for the wire, that of the assembly, the standard by length, section,
 * metal, class and temperature, the handbook, the allowed heat or drop where the current is known, what good units read,
 * the round figure. A heat or drop that would allow less than the chosen rule is said with it.
 *
 * <p>Sources: {@code R_max = r20 x L x (1 + a (t - 20))} with r20 from IEC 60228 or ISO 6722-1;
 * {@code R_nominal = rho20 / A x L x (1 + a (t - 20))}. Where no low bound is given it is 0.8 times nominal.
 */
public final class LimitRules {
    /** What a wire of which nothing is known may read. */
    static final Ohms ROUND_FIGURE = Ohms.of(1);

    private static final double ROUNDING = 1e-9;
    private static final double LOW_SHARE = 0.8;
    private static final double HANDBOOK_MARGIN = 1.15;

    private final double ambientC;
    private final Allowances allowances;
    private final Map<String, LearntResistance> learnt;

    /** @param ambientC temperature of the conductors in °C, -80 to 200 */
    public LimitRules(double ambientC) {
        this(ambientC, Allowances.NONE, Map.of());
    }

    /**
     * @param ambientC temperature of the conductors in °C, -80 to 200
     * @param allowances figures of the assembly
     * @param learnt what good units of the same type read, by conductor
     */
    public LimitRules(double ambientC, Allowances allowances, Map<String, LearntResistance> learnt) {
        if (!(ambientC >= -80 && ambientC <= 200)) {
            throw new NotAccepted("limit_rules.temperature_out_of_range", NotAccepted.given(ambientC, "°C"));
        }
        this.ambientC = ambientC;
        this.allowances = allowances;
        this.learnt = Map.copyOf(learnt);
    }

    /** The limit of one conductor from end to end. */
    public Limit of(Conductor conductor) {
        Optional<CurrentAllowance> allowed = allowed(conductor);
        Limit chosen = chosen(conductor, nominal(conductor), allowed);
        boolean tighter = allowed.isPresent() && allowed.get().ohms().compareTo(chosen.high()) < 0;
        return tighter
                ? new Limit(
                        chosen.low(),
                        chosen.nominal(),
                        chosen.high(),
                        chosen.lowGiven(),
                        chosen.by()
                                .and(Message.of(
                                        "limit_rules.tighter",
                                        allowed.get().rule().words(),
                                        allowed.get().ohms())))
                : chosen;
    }

    /** What its current allows a conductor to have. */
    private record CurrentAllowance(Ohms ohms, Limit.Rule rule, Derivation by) {}

    /** {@code R = P / I²} or {@code R = dU / I}, whichever is lower; empty where current or allowance is not known. */
    private Optional<CurrentAllowance> allowed(Conductor conductor) {
        double current = conductor.current().orElse(0);
        Optional<CurrentAllowance> heat = current > 0 && allowances.heatW().isPresent()
                ? Optional.of(allowed(
                        Ohms.of(allowances.heatW().getAsDouble() / (current * current)),
                        Limit.Rule.HEAT,
                        Message.figure(allowances.heatW().getAsDouble(), "W"),
                        "P / I²",
                        current))
                : Optional.empty();
        Optional<CurrentAllowance> drop = current > 0 && allowances.dropV().isPresent()
                ? Optional.of(allowed(
                        Ohms.of(allowances.dropV().getAsDouble() / current),
                        Limit.Rule.DROP,
                        Message.figure(allowances.dropV().getAsDouble(), "V"),
                        "dU / I",
                        current))
                : Optional.empty();
        return Stream.of(heat, drop).flatMap(Optional::stream).min(Comparator.comparing(CurrentAllowance::ohms));
    }

    private static CurrentAllowance allowed(
            Ohms ohms, Limit.Rule rule, MessageArgument figure, String formula, double current) {
        MessageArgument amperes = Message.figure(current, "A");
        return new CurrentAllowance(
                ohms,
                rule,
                new Derivation(
                        rule,
                        List.of(
                                new Derivation.LimitInput("allowed", figure),
                                new Derivation.LimitInput("current", amperes)),
                        formula,
                        Message.of("limit_rules.workshop"),
                        Message.of("limit_rules.maximum", ohms, rule.words(), figure, amperes, formula)));
    }

    private Limit chosen(Conductor conductor, Optional<Ohms> nominal, Optional<CurrentAllowance> allowed) {
        if (conductor.maxOhm().isPresent()) {
            Ohms high = Ohms.of(conductor.maxOhm().getAsDouble());
            Message sentence = Message.of("limit_rules.maximum_figure_given", high, conductor.id());
            return limit(
                    conductor,
                    nominal,
                    high,
                    Derivation.plain(Limit.Rule.GIVEN, Message.of("limit_rules.maker"), sentence));
        }
        if (allowances.maxOhm().isPresent()) {
            Ohms high = Ohms.of(allowances.maxOhm().getAsDouble());
            Message sentence = Message.of("limit_rules.maximum_figure_given_every", high);
            return limit(
                    conductor,
                    nominal,
                    high,
                    Derivation.plain(Limit.Rule.ASSEMBLY, Message.of("limit_rules.assembly"), sentence));
        }
        if (conductor.lengthM().isPresent() && conductor.areaMm2().isPresent()) {
            return byLength(conductor, nominal);
        }
        if (allowed.isPresent()) {
            return limit(conductor, nominal, allowed.get().ohms(), allowed.get().by());
        }
        LearntResistance learnt = this.learnt.get(conductor.id());
        return learnt == null ? roundFigure(conductor, nominal) : learnt(conductor, learnt);
    }

    private Limit learnt(Conductor conductor, LearntResistance learnt) {
        double factor = conductor.metal().factor(ambientC);
        Ohms high = Ohms.of(learnt.maximum().value() * factor);
        Message sentence = Message.of(
                "limit_rules.maximum_learnt_from_good",
                high,
                learnt.units(),
                learnt.meanOhm(),
                learnt.spreadOhm(),
                ambientC == 20 ? Message.NONE : warmth(conductor.metal()));
        return limit(
                conductor,
                Optional.of(Ohms.of(learnt.meanOhm().value() * factor)),
                high,
                new Derivation(
                        Limit.Rule.LEARNT,
                        List.of(
                                new Derivation.LimitInput("units", new MessageArgument.Count(learnt.units())),
                                new Derivation.LimitInput("mean", MessageArgument.of(learnt.meanOhm())),
                                new Derivation.LimitInput("spread", MessageArgument.of(learnt.spreadOhm()))),
                        "mean + max(3 s, 0.1 mean)",
                        Message.of("limit_rules.good_units_same_type"),
                        sentence));
    }

    private Limit roundFigure(Conductor conductor, Optional<Ohms> nominal) {
        Ohms maximum = allowances.roundOhm().isPresent()
                ? Ohms.of(allowances.roundOhm().getAsDouble())
                : ROUND_FIGURE;

        Message sentence = Message.of(
                "limit_rules.maximum_round_figure_because",
                maximum,
                conductor.lengthM().isPresent(),
                conductor.id());
        return limit(
                        conductor,
                        nominal,
                        maximum,
                        Derivation.plain(Limit.Rule.ROUND_FIGURE, Message.of("limit_rules.custom"), sentence))
                .carrying(conductor.current());
    }

    private Limit byLength(Conductor conductor, Optional<Ohms> nominal) {
        double length = conductor.lengthM().orElseThrow();
        double area = conductor.areaMm2().orElseThrow();
        Metal metal = conductor.metal();
        Optional<ConductorTables.TableEntry> row = ConductorTables.row(conductor.strandClass(), metal, area);
        if (row.isEmpty()) {
            Ohms high = Ohms.of(nominal.orElseThrow().value() * HANDBOOK_MARGIN);
            return limit(
                    conductor,
                    nominal,
                    high,
                    Derivation.plain(
                            Limit.Rule.HANDBOOK,
                            Message.of("limit_rules.handbook"),
                            Message.of(
                                    "limit_rules.maximum_resistivity_from_handbook",
                                    high,
                                    metal.words(),
                                    Message.figure(metal.resistivity(), ""),
                                    size(area),
                                    Message.figure(length, "m"),
                                    warmth(metal))));
        }
        double perMetre = row.get().ohmPerMetre();
        Ohms high = Ohms.of(perMetre * length * metal.factor(ambientC));
        Message sentence = Message.of(
                "limit_rules.maximum_2",
                high,
                row.get().source(),
                what(conductor),
                size(area),
                listed(row.get(), area),
                Message.figure(perMetre, "Ω"),
                Message.figure(length, "m"),
                warmth(metal));
        return limit(
                conductor,
                nominal,
                high,
                new Derivation(
                        Limit.Rule.STANDARD,
                        List.of(
                                new Derivation.LimitInput("make", what(conductor)),
                                new Derivation.LimitInput("section", size(area)),
                                new Derivation.LimitInput("r20", Message.figure(perMetre, "Ω/m")),
                                new Derivation.LimitInput("length", Message.figure(length, "m")),
                                new Derivation.LimitInput("temperature", Message.figure(ambientC, "°C"))),
                        "r20 × L × (1 + a (t - 20))",
                        Message.verbatim(row.get().source()),
                        sentence));
    }

    private static Message what(Conductor conductor) {
        Message metal = conductor.metal().code().equals("copper")
                ? Message.of("limit_rules.plain_copper")
                : conductor.metal().words();
        return Message.of("limit_rules.make", conductor.strandClass().words(), metal);
    }

    private static MessageArgument size(double areaMm2) {
        return Message.figure(Math.round(areaMm2 * 1e4) / 1e4, "mm²");
    }

    private static Message listed(ConductorTables.TableEntry row, double area) {
        return Math.abs(row.listedMm2() / area - 1) < 1e-6
                ? Message.NONE
                : Message.of("limit_rules.scaled_from", size(row.listedMm2()));
    }

    private Message warmth(Metal metal) {
        double factor = Math.round(metal.factor(ambientC) * 1000) / 1000.0;
        return ambientC == 20
                ? Message.of("limit_rules.at_20")
                : Message.of("limit_rules.warmth", Message.figure(factor, ""), Message.figure(ambientC, "°C"));
    }

    private Limit limit(Conductor conductor, Optional<Ohms> nominal, Ohms high, Derivation by) {
        OptionalDouble given = conductor.minOhm();
        if (given.isPresent()) {
            Ohms low = Ohms.of(Math.min(given.getAsDouble(), high.value()));
            return new Limit(low, nominal, high, true, by.and(Message.of("limit_rules.least_given_too", low)));
        }
        Ohms low = Ohms.of(Math.min(high.value(), nominal.map(Ohms::value).orElse(0.0) * LOW_SHARE));
        return new Limit(low, nominal, high, false, by);
    }

    private Optional<Ohms> nominal(Conductor conductor) {
        if (conductor.lengthM().isEmpty() || conductor.areaMm2().isEmpty()) {
            return Optional.empty();
        }
        Metal metal = conductor.metal();
        return Optional.of(Ohms.of(metal.resistivity()
                / conductor.areaMm2().getAsDouble()
                * conductor.lengthM().getAsDouble()
                * metal.factor(ambientC)));
    }

    /** The conductor as an edge of the network. Where nominal is not known, the low bound stands in for it. */
    public Link link(Conductor conductor) {
        Limit limit = of(conductor);
        return new Link(
                conductor.from(), conductor.to(), limit.low(), limit.nominal().orElse(limit.low()), limit.high());
    }

    /**
     * The limit of a part at this temperature; what is usual for its kind where nothing is said of it.
     *
     * @throws IllegalArgumentException for a diode, which has no resistance
     */
    public Limit of(Component component) {
        return new PartLimits(ambientC).of(component);
    }

    /** The component as an edge of the network. */
    public Link link(Component component) {
        Limit limit = of(component);
        return new Link(
                component.a(), component.b(), limit.low(), limit.nominal().orElse(limit.low()), limit.high());
    }

    /**
     * The limit of a path, which is the network's bound: of a single conductor its own limit where nothing lies beside it.
     *
     * @param bounds what the network gives between the two terminals
     * @param givenLow the least that figures given for the conductors allow; empty if none was given
     */
    public Limit along(List<Conductor> route, Path.Ohmic bounds, Optional<Ohms> givenLow) {
        boolean known = route.stream().allMatch(each -> nominal(each).isPresent());
        if (route.size() == 1 && isSame(of(route.get(0)).high(), bounds.high())) {
            return of(route.get(0));
        }
        MessageArgument parts = Message.list(
                MessageArgument.Listing.Link.COMMA,
                route.stream()
                        .map(each -> Message.of("limit_rules.part", each.id(), of(each).high()))
                        .toList());
        Ohms low = givenLow.filter(each -> each.value() > 0).orElse(bounds.low());
        return new Limit(
                low.compareTo(bounds.high()) > 0 ? bounds.high() : low,
                known ? Optional.of(bounds.nominal()) : Optional.empty(),
                bounds.high(),
                givenLow.filter(each -> each.value() > 0).isPresent(),
                Limit.Rule.SUM,
                Message.of("limit_rules.maximum_network_limits_on", bounds.high(), parts, isBeside(route, bounds)));
    }

    /** Whether the network's bound is below the sum of the way, because other conductors lead there too. */
    private boolean isBeside(List<Conductor> route, Path.Ohmic bounds) {
        double sum = route.stream().mapToDouble(each -> of(each).high().value()).sum();
        return bounds.high().value() < sum * (1 - ROUNDING);
    }

    private static boolean isSame(Ohms one, Ohms other) {
        return Math.abs(one.value() - other.value()) <= ROUNDING * one.value();
    }
}
