package zestymarten.core.testplan;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Subject;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.network.Net;
import zestymarten.core.network.Nets;

/**
 * The steps of a run by its approach: what is done before, every net end to end, each piece against the later ones and the
 * frame, what flexes moved, every part in every position.
 *
 * <p>Method: a net of k probe points takes k - 1 measurements from its first one. Its first probe point stands for the whole
 * net in the later stages. A measurement of a net that was open adds its far end as a piece of its own to shorts and frame, and
 * asks its near end against every empty cavity where the far end may have gone. Order: design order; added pieces last.
 * Cost: linear in the nets to build; the pairs of the shorts stage are counted and gone through, never stored.
 */
public final class TestPlan {
    /** A zone of that name is moved along its length. */
    private static final String FLEXING = "flexing";

    private final Assembly assembly;
    private final Nets nets;
    private final TestOptions approach;
    private final List<Terminal> emptyCavities;
    private final AccessOrder access;
    private final List<TestStep.Measurement> direct = new ArrayList<>();
    private final Map<Stage, List<TestStep>> steps = new EnumMap<>(Stage.class);
    private final Set<TestStep> all = new HashSet<>();
    private final Set<Terminal> farSide;

    private TestPlan(Assembly assembly, Nets nets, TestOptions approach) {
        this.assembly = assembly;
        this.nets = nets;
        this.approach = approach;
        emptyCavities = assembly.emptyCavities();
        farSide = Set.copyOf(farEnds());
        access = new AccessOrder(assembly);
        for (Net net : nets.all()) {
            net.ends().stream()
                    .skip(1)
                    .forEach(far -> direct.add(new TestStep.Measurement(
                            Stage.CONTINUITY, net.ends().get(0), far)));
        }
        steps.put(Stage.PREPARE, approach.inPlace() ? prepare() : List.of());
        steps.put(
                Stage.INSPECTION,
                approach.quick()
                        ? List.of()
                        : inspections().filter(each -> !isInspectedThere(each)).toList());
        steps.put(Stage.METER, meter());
        steps.put(Stage.CONTINUITY, ends());
        steps.put(
                Stage.SHORTS,
                linksFarEnds() ? around(ManualAction.GO_TO_FAR_END_AGAIN, ManualAction.UNLINK_FAR_ENDS) : List.of());
        steps.put(
                Stage.FRAME, approach.quick() ? List.of() : List.of(new TestStep.ManualStep(ManualAction.FRAME_PROOF)));
        steps.put(Stage.WIGGLE, approach.quick() ? List.of() : bend());
        steps.put(Stage.PARTS, parts());
        steps.put(Stage.DIODES, diodes());
        steps.put(Stage.WARM, approach.quick() ? List.of() : warm());
        steps.values().forEach(all::addAll);
    }

    public static TestPlan of(Assembly assembly, Nets nets, TestOptions approach) {
        return new TestPlan(assembly, nets, approach);
    }

    public TestOptions approach() {
        return approach;
    }

    /** The steps of a stage that do not depend on what is read, in order. */
    public List<TestStep> of(Stage stage) {
        return steps.getOrDefault(stage, List.of());
    }

    /** Whether a step is among those of {@link #of(Stage)}. */
    public boolean contains(TestStep step) {
        return all.contains(step);
    }

    /** Every net end to end and what is bonded to the frame, in design order, however the run goes about it. */
    public List<TestStep.Measurement> endToEnd() {
        return Stream.concat(direct.stream(), bonds().stream()).toList();
    }

    public boolean linksFarEnds() {
        return approach.method().linksFarEnds();
    }

    /** What is read against each other while the far ends are linked: the near ends, after the frame if that is linked too. */
    public List<Terminal> readLinked() {
        return Stream.concat(returns(), heads().stream()).toList();
    }

    /** What is linked together at the far end. */
    public List<Terminal> linkedFar() {
        return Stream.concat(farEnds().stream(), returns()).toList();
    }

    private Stream<Terminal> returns() {
        return approach.method() == TestMethod.FAR_END_TO_FRAME ? Stream.of(Terminal.FRAME) : Stream.empty();
    }

    /** The functions of the machine that the wiring serves, in design order. */
    public List<String> functions() {
        return assembly.conductors().stream()
                .flatMap(each -> each.function().stream())
                .distinct()
                .toList();
    }

    private List<TestStep.Measurement> bonds() {
        return assembly.terminals().stream()
                .filter(assembly.bonded()::contains)
                .map(terminal -> new TestStep.Measurement(Stage.CONTINUITY, terminal, Terminal.FRAME))
                .toList();
    }

    private List<TestStep> prepare() {
        List<TestStep> prepare = new ArrayList<>(List.of(
                new TestStep.ManualStep(ManualAction.LOCKED_OFF),
                new TestStep.ManualStep(ManualAction.LIVE_BEFORE),
                new TestStep.ManualStep(ManualAction.DEAD),
                new TestStep.ManualStep(ManualAction.LIVE_AFTER)));
        assembly.connectors().forEach(each -> prepare.add(new TestStep.ManualStep(ManualAction.UNPLUGGED, each.id())));
        return prepare;
    }

    private Stream<TestStep> inspections() {
        Stream<String> joints =
                assembly.joints().stream().map(each -> each.terminal().name());
        Stream<String> zones = assembly.conductors().stream().flatMap(each -> each.zone().stream());
        return Stream.of(assembly.connectors().stream().map(Connector::id), joints, zones)
                .flatMap(each -> each)
                .distinct()
                .map(subject -> new TestStep.ManualStep(ManualAction.INSPECT, subject));
    }

    /** Whether a connector has all its wires at the far end, so that it is looked at once somebody is there. */
    private boolean isInspectedThere(TestStep inspection) {
        List<Terminal> used = Stream.concat(heads().stream(), farEnds().stream())
                .filter(each -> each.connector()
                        .equals(((TestStep.ManualStep) inspection).subject().code()))
                .toList();
        return !used.isEmpty() && used.stream().allMatch(this::isFar);
    }

    /** The check of the meter, before the readings or after them. */
    public static List<TestStep> probes(Stage stage) {
        return List.of(
                new TestStep.LeadCheck(stage, TestStep.LeadCheck.LeadQuestion.TONE),
                new TestStep.LeadCheck(stage, TestStep.LeadCheck.LeadQuestion.OHMS));
    }

    /** How warm it is elsewhere than at the first place, and at each sensor; then the probes. */
    private List<TestStep> meter() {
        Stream<String> places = assembly.connectors().stream()
                .map(each -> each.reach().place())
                .filter(each -> !each.isEmpty())
                .distinct()
                .skip(1);
        Stream<String> warmths = approach.quick()
                ? Stream.empty()
                : Stream.concat(places, sensors().map(Component::id)).distinct();
        return Stream.<TestStep>concat(
                        warmths.<TestStep>map(each -> new TestStep.ManualStep(ManualAction.TEMPERATURE, each)),
                        probes(Stage.METER).stream())
                .toList();
    }

    private Stream<Component> sensors() {
        return assembly.components().stream().filter(each -> each.kind().isSensor());
    }

    /** Each sensor once more when it is warmer: does it go the right way, and far enough? */
    private List<TestStep> warm() {
        return sensors()
                .flatMap(each -> Stream.<TestStep>of(
                        new TestStep.ManualStep(ManualAction.WARMED, each.id()),
                        new TestStep.Measurement(Stage.WARM, each.a(), each.b())))
                .toList();
    }

    private List<TestStep> ends() {
        List<TestStep> ends = new ArrayList<>();
        if (linksFarEnds()) {
            priced().forEach(each -> ends.add(new TestStep.ManualStep(ManualAction.ACCESS, each.id())));
            List<TestStep> trip = new ArrayList<>(around(ManualAction.GO_TO_FAR_END, ManualAction.LINK_FAR_ENDS));
            if (!approach.quick()) {
                trip.addAll(1, inspections().filter(this::isInspectedThere).toList());
            }
            ends.addAll(trip);
            ends.addAll(bonds());
        } else {
            ends.addAll(access.reachedInTurn(
                    Stream.concat(inOrder().stream(), bonds().stream()).toList()));
        }
        return List.copyOf(ends);
    }

    /** The wires that come first in this order, then all others. */
    private List<TestStep.Measurement> inOrder() {
        List<String> first = approach.order().first();
        Set<TestStep.Measurement> ordered = new LinkedHashSet<>();
        for (String conductor : first) {
            direct.stream()
                    .filter(measurement -> nets.route(measurement.black(), measurement.red()).stream()
                            .anyMatch(each -> each.id().equals(conductor)))
                    .forEach(ordered::add);
        }
        ordered.addAll(direct);
        return List.copyOf(ordered);
    }

    /** The connectors that take time or may do harm to reach, the cheapest first. */
    public List<Connector> priced() {
        return access.priced();
    }

    /** A manual step at the far end, with the trip there and back. */
    private List<TestStep> around(ManualAction trip, ManualAction action) {
        return List.of(
                new TestStep.ManualStep(trip, Subject.Sole.THERE),
                new TestStep.ManualStep(action),
                new TestStep.ManualStep(trip, Subject.Sole.BACK));
    }

    private List<TestStep> bend() {
        return moved(assembly.conductors().stream()
                        .filter(each -> each.zone().filter(FLEXING::equals).isPresent()))
                .toList();
    }

    /** Wires read while they are moved, as far as both their ends can be probed. */
    public static Stream<TestStep> moved(Stream<Conductor> wires) {
        return wires.filter(each -> each.from().isPin() && each.to().isPin())
                .map(each -> new TestStep.Measurement(Stage.WIGGLE, each.from(), each.to()));
    }

    /**
     * Every part where it conducts, every contact where it is open as well, state by state so that each is set once: a
     * part in the first state that shows it.
     */
    private List<TestStep> parts() {
        List<TestStep> parts = new ArrayList<>();
        Set<String> shown = new HashSet<>();
        SwitchState rest = assembly.states().get(0);
        for (SwitchState state : assembly.states()) {
            String name = state.equals(rest) ? "" : state.id();
            List<TestStep> here = assembly.components().stream()
                    .filter(part -> part.kind() != Component.ComponentKind.DIODE)
                    .filter(part -> shown.add(part.id() + " " + part.conductsIn(state)))
                    .<TestStep>map(part -> new TestStep.Measurement(Stage.PARTS, part.a(), part.b(), name, List.of()))
                    .toList();
            if (!here.isEmpty() && !name.isEmpty()) {
                parts.add(new TestStep.ManualStep(ManualAction.POSITION, name));
            }
            parts.addAll(here);
        }
        return parts;
    }

    /** Every diode on the diode range, where it should conduct and then where it should block. */
    private List<TestStep> diodes() {
        return ReadableDiodes.of(assembly)
                .flatMap(part -> Stream.<TestStep>of(
                        new TestStep.Measurement(Stage.DIODES, part.b(), part.a()),
                        new TestStep.Measurement(Stage.DIODES, part.a(), part.b())))
                .toList();
    }

    /** One probe point of every net that is clear of the frame: the near ends, in design order. */
    public List<Terminal> heads() {
        return nets.all().stream()
                .filter(net -> !net.isOnFrame() && !net.ends().isEmpty())
                .map(net -> net.ends().get(0))
                .toList();
    }

    /** The ends that are linked together at the far side, in design order. */
    public List<Terminal> farEnds() {
        return nets.all().stream()
                .filter(net -> !net.isOnFrame())
                .flatMap(net -> net.ends().stream().skip(1))
                .toList();
    }

    /** The far end of a near end: where its wire should come out. */
    public Optional<Terminal> farEnd(Terminal head) {
        return nets.of(head)
                .flatMap(net ->
                        net.ends().stream().filter(end -> !end.equals(head)).findFirst());
    }

    /**
     * The pieces that shorts and frame are tested between: one probe point a net, then the far ends that were open.
     *
     * @param open measurements of {@link #endToEnd} that were open
     * @param refused connectors that nobody may open; another end of a net stands for it then, where there is one
     * @param method by which shorts are looked for
     */
    public PlanPieces pieces(Collection<TestStep.Measurement> open, Set<String> refused, TestMethod method) {
        LinkedHashSet<Terminal> pieces = new LinkedHashSet<>();
        heads().forEach(head -> nets.of(head).map(Net::ends).orElse(List.of(head)).stream()
                .filter(end -> !refused.contains(end.connector()))
                .findFirst()
                .ifPresent(pieces::add));
        assembly.components()
                .forEach(part -> Stream.of(part.a(), part.b())
                        .filter(pin -> pin.isPin() && nets.of(pin).isEmpty() && !refused.contains(pin.connector()))
                        .forEach(pieces::add));
        List<TestStep.Measurement> cavities = new ArrayList<>();
        for (TestStep.Measurement measurement : endToEnd()) {
            if (open.contains(measurement)) {
                Stream.of(measurement.black(), measurement.red())
                        .filter(end -> !end.isFrame() && !refused.contains(end.connector()))
                        .filter(end -> !isFar(end))
                        .forEach(pieces::add);
                cavities.addAll(intoEmptyCavities(measurement));
            }
        }
        return new PlanPieces(
                List.copyOf(pieces),
                cavities,
                linksFarEnds() ? farStubs(open, refused) : PlanPieces.FarStubs.NONE,
                method,
                joinedByParts(pieces));
    }

    /** Whether a terminal lies where somebody has to go: what is read there is read on one trip. */
    private boolean isFar(Terminal terminal) {
        return linksFarEnds() && farSide.contains(terminal);
    }

    private PlanPieces.FarStubs farStubs(Collection<TestStep.Measurement> open, Set<String> refused) {
        List<Terminal> stubs = endToEnd().stream()
                .filter(open::contains)
                .map(TestStep.Measurement::red)
                .filter(end -> !end.isFrame() && !refused.contains(end.connector()))
                .toList();
        Set<Terminal> opened = open.stream().map(TestStep.Measurement::red).collect(Collectors.toSet());
        List<Terminal> whole = stubs.isEmpty()
                ? List.of()
                : heads().stream()
                        .flatMap(head -> farEnd(head).stream())
                        .filter(end -> !opened.contains(end) && !refused.contains(end.connector()))
                        .toList();
        return new PlanPieces.FarStubs(stubs, whole);
    }

    /** For each piece that hangs together with others by parts, in whatever state, the first of them. */
    private Map<Terminal, Terminal> joinedByParts(Set<Terminal> pieces) {
        PartGroups groups = PartGroups.of(assembly, part -> true);
        Map<Integer, Terminal> first = new HashMap<>();
        Map<Terminal, Terminal> joined = new HashMap<>();
        for (Terminal each : assembly.components().isEmpty() ? Set.<Terminal>of() : pieces) {
            joined.put(each, first.computeIfAbsent(groups.of(each), any -> each));
        }
        return joined;
    }

    private List<TestStep.Measurement> intoEmptyCavities(TestStep.Measurement open) {
        return emptyCavities.stream()
                .filter(cavity -> cavity.connector().equals(open.red().connector())
                        && !open.black().isFrame())
                .map(cavity -> new TestStep.Measurement(Stage.SHORTS, open.black(), cavity))
                .toList();
    }
}
