package zestymarten.core.circuit;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zestymarten.core.assembly.Metal;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.network.Link;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.Ohms;

/**
 * A final circuit as it is meant to be.
 *
 * @param shape a ring, or a radial of one or of three lines
 * @param stretches in the order of the cable from end A: one more than outlets in a ring, as many in a radial; from 2 in a ring
 * @param spurs points that hang on outlets
 * @param celsius temperature of the conductors while they are measured
 * @param lengths whether those of the stretches are known
 */
public record Circuit(
        CircuitShape shape, List<CableStretch> stretches, List<Spur> spurs, double celsius, Lengths lengths) {
    /** More outlets than that belong to several circuits. */
    public static final int MAX_OUTLETS = 60;

    /** The temperatures that its cable may have, in °C. */
    public static final double MIN_C = -50;

    public static final double MAX_C = 150;

    /** The most spurs that one outlet may have: their points are distinguished by a letter. */
    public static final int MAX_SPURS = 8;

    /** A screwed contact: too little to be read, but something that can be opened. */
    static final double CONTACT_OHM = 1e-6;

    public Circuit {
        stretches = List.copyOf(stretches);
        spurs = List.copyOf(spurs);
        int outlets = stretches.size() - (shape == CircuitShape.RING ? 1 : 0);
        if (outlets < 1 || outlets > MAX_OUTLETS) {
            throw new NotAccepted("circuit.circuit_outlets_read", MAX_OUTLETS, outlets);
        }
        for (Spur spur : spurs) {
            if (spur.from() > outlets) {
                throw new NotAccepted("circuit.spur_leaves_outlet", spur.from(), outlets);
            }
        }
        if (!(celsius >= MIN_C && celsius <= MAX_C)) {
            throw new NotAccepted("circuit.temperature_out_of_range", NotAccepted.given(celsius, "°C"));
        }
    }

    /** A circuit whose lengths are drawn. */
    public Circuit(CircuitShape shape, List<CableStretch> stretches, List<Spur> spurs, double celsius) {
        this(shape, stretches, spurs, celsius, Lengths.DRAWN);
    }

    /** Whether both ends come back to the origin; else it is a radial. */
    public boolean ring() {
        return shape == CircuitShape.RING;
    }

    /** Its conductors, the lines first, the protective conductor last. */
    public List<ConductorRole> roles() {
        return shape.roles();
    }

    /** Whether it has three lines. */
    public boolean isThreePhase() {
        return shape == CircuitShape.THREE_PHASE;
    }

    /** What is linked in the dead tests, in their order. */
    public List<EndLink> linkedInTurn() {
        return shape.links();
    }

    /** The first line and another conductor. */
    public EndLink linked(ConductorRole other) {
        return EndLink.of(shape.roles().get(0), other);
    }

    /** The same with stretches of other lengths, as many as it has. */
    Circuit withMetres(List<Double> metres) {
        return new Circuit(
                shape,
                IntStream.range(0, stretches.size())
                        .mapToObj(i -> stretches.get(i).withMetres(Lengths.possible(metres.get(i))))
                        .toList(),
                spurs,
                celsius,
                lengths);
    }

    /** The smallest section of its protective conductor in mm², spurs included. */
    double protectiveMm2() {
        return cables().mapToDouble(CableStretch::protectiveMm2).min().orElseThrow();
    }

    private Stream<CableStretch> cables() {
        return Stream.concat(stretches.stream(), spurs.stream().map(Spur::cable));
    }

    /** Its metal; of both, aluminium, which gains more with heat and stands less of it. */
    Metal metal() {
        return cables().anyMatch(each -> each.metal().equals(Metal.ALUMINIUM)) ? Metal.ALUMINIUM : Metal.COPPER;
    }

    /** Whether every cable is of the same metal and sections. */
    boolean isOfOneCable() {
        return cables().allMatch(stretches.get(0)::isLike);
    }

    /** The same circuit with a protective conductor of another section all along. */
    Circuit withProtective(double mm2) {
        return new Circuit(
                shape,
                stretches.stream().map(each -> each.withProtective(mm2)).toList(),
                spurs.stream()
                        .map(each -> new Spur(each.from(), each.cable().withProtective(mm2)))
                        .toList(),
                celsius,
                lengths);
    }

    /** Outlets on the cable itself, spurs not counted. */
    public int outlets() {
        return stretches.size() - (ring() ? 1 : 0);
    }

    /** Names of all points at which is read: {@code 1}, {@code 2} ..., then the ends of spurs, {@code 3s}, {@code 3t}. */
    public List<String> points() {
        List<String> points = new ArrayList<>();
        for (int i = 1; i <= outlets(); i++) {
            points.add(String.valueOf(i));
        }
        for (int i = 0; i < spurs.size(); i++) {
            points.add(spurPoint(i));
        }
        return points;
    }

    /** Name of the point at the end of a spur, by the spur's place in the list. */
    public String spurPoint(int spur) {
        int from = spurs.get(spur).from();
        long before = spurs.subList(0, spur).stream()
                .filter(each -> each.from() == from)
                .count();
        return from + String.valueOf((char) ('s' + before));
    }

    /** Metres along the cable from end A to an outlet, counted from 1; 0 is the origin. */
    public double metresTo(int outlet) {
        return stretches.subList(0, outlet).stream()
                .mapToDouble(CableStretch::metres)
                .sum();
    }

    /** Metres of cable from origin to origin, or to the last outlet; spurs not counted. */
    public double metres() {
        return stretches.stream().mapToDouble(CableStretch::metres).sum();
    }

    /** Where a stretch lies, counted from 0: {@code between the origin and point 1}. */
    public Message where(int stretch) {
        Message from = stretch == 0 ? Message.of("circuit.origin") : Message.of("circuit.point", stretch);
        Message to = stretch == outlets() ? Message.of("circuit.origin") : Message.of("circuit.point", stretch + 1);
        return Message.of("circuit.between", from, to);
    }

    /** The cable's terminal of a role at a stretch's start, counted from 0; its end is the start of the next. */
    Terminal node(ConductorRole role, int place) {
        if (place == 0) {
            return end(role, 'A');
        }
        return place > outlets() ? end(role, 'B') : Terminal.of(role.letter(), String.valueOf(place));
    }

    static Terminal end(ConductorRole role, char end) {
        return Terminal.of(role.letter(), String.valueOf(end));
    }

    /** The accessory's terminal at a point. */
    static Terminal at(ConductorRole role, String point) {
        return Terminal.of("S" + point, role.letter());
    }

    /** The cable's terminal behind the accessory of a point. */
    static Terminal behind(ConductorRole role, String point) {
        return Terminal.of(role.letter(), point);
    }

    /**
     * The network while something is linked at the origin.
     *
     * @param crossed whether the ends of a ring are linked to each other's, as they should; else each end to its own
     */
    List<Link> links(EndLink linked, boolean crossed) {
        List<Link> links = new ArrayList<>();
        for (ConductorRole role : roles()) {
            for (int i = 0; i < stretches.size(); i++) {
                links.add(
                        link(node(role, i), node(role, i + 1), stretches.get(i).ohm(role, celsius)));
            }
            for (int i = 0; i < spurs.size(); i++) {
                Spur spur = spurs.get(i);
                links.add(link(
                        node(role, spur.from()),
                        behind(role, spurPoint(i)),
                        spur.cable().ohm(role, celsius)));
            }
            points().forEach(point -> links.add(link(behind(role, point), at(role, point), CONTACT_OHM)));
        }
        if (linked != EndLink.APART) {
            links.add(link(
                    end(linked.line(), 'A'), end(linked.other(), ring() && crossed && !linked.isAtA() ? 'B' : 'A'), 0));
            if (ring() && !linked.isAtA()) {
                links.add(link(end(linked.line(), 'B'), end(linked.other(), crossed ? 'A' : 'B'), 0));
            }
        }
        return links;
    }

    private static Link link(Terminal a, Terminal b, double ohm) {
        Ohms ohms = Ohms.of(ohm);
        return new Link(a, b, ohms, ohms, ohms);
    }
}
