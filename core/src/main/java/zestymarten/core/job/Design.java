package zestymarten.core.job;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judge.Expectation;
import zestymarten.core.limit.Limits;
import zestymarten.core.network.Nets;
import zestymarten.core.network.Network;
import zestymarten.core.network.Path;
import zestymarten.core.plan.Plan;

/**
 * An assembly made ready for testing at one temperature: its nets, its network with the limits as bounds, its plan.
 * Immutable and costly enough to be kept between readings; cost linear in the conductors.
 */
public final class Design {
    private final Assembly assembly;
    private final Nets nets;
    private final Limits limits;
    private final Network network;
    private final Plan plan;
    private final Map<String, Conductor> conductors = new HashMap<>();

    private Design(Assembly assembly, double ambientC) {
        this.assembly = assembly;
        nets = Nets.of(assembly);
        limits = new Limits(ambientC);
        network = Network.of(assembly.conductors().stream().map(limits::link).toList());
        plan = Plan.of(assembly, nets);
        assembly.conductors().forEach(conductor -> conductors.put(conductor.id(), conductor));
    }

    /** Makes ready an assembly at an ambient temperature in °C. */
    public static Design of(Assembly assembly, double ambientC) {
        return new Design(assembly, ambientC);
    }

    public Assembly assembly() {
        return assembly;
    }

    public Nets nets() {
        return nets;
    }

    public Limits limits() {
        return limits;
    }

    public Plan plan() {
        return plan;
    }

    /** The conductor of that name. */
    public Conductor conductor(String id) {
        Conductor found = conductors.get(id);
        if (found == null) {
            throw new IllegalArgumentException("Conductor '" + id + "' is not part of " + assembly.name() + ".");
        }
        return found;
    }

    /** What a good unit reads between two terminals. */
    public Path path(Terminal a, Terminal b) {
        return network.between(a, b);
    }

    /** What a good unit shows between two terminals, as a reading is judged. */
    public Expectation expectation(Terminal a, Terminal b) {
        return path(a, b)
                .fold(
                        ohmic -> {
                            List<Conductor> route = nets.route(a, b);
                            boolean current = route.stream().anyMatch(Conductor::carriesCurrent);
                            return new Expectation.Joined(limits.along(route, ohmic), current);
                        },
                        Expectation.Apart::new);
    }

    /** The largest current among conductors on the way between two terminals; empty if all are signals. */
    public OptionalDouble current(Terminal a, Terminal b) {
        return nets.route(a, b).stream()
                .filter(Conductor::carriesCurrent)
                .mapToDouble(each -> each.current().orElse(0))
                .max();
    }
}
