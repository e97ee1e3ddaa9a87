package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Partition;
import zestymarten.core.limit.LimitRules;
import zestymarten.core.network.Link;
import zestymarten.core.network.Network;
import zestymarten.core.network.Path;

/**
 * The unit as its joined groups show it to be wired, with its parts between them: what a part's reading looks like once
 * broken, moved and shorted wires are allowed for. Wires count as 0 ohm.
 */
final class AsWired {
    private final Design design;
    private final Partition groups;
    private final Map<String, Network> networks = new HashMap<>();

    AsWired(Design design, Partition groups) {
        this.design = design;
        this.groups = groups;
    }

    /** What lies between two terminals: the parts alone. */
    Path between(Terminal a, Terminal b, SwitchState state) {
        return networks.computeIfAbsent(state.id(), any -> network(state)).between(groupOf(a), groupOf(b));
    }

    private Terminal groupOf(Terminal terminal) {
        return groups.first(terminal);
    }

    private Network network(SwitchState state) {
        LimitRules limits = design.limits();
        List<Link> links = new ArrayList<>();
        design.conducting(state).forEach(part -> {
            Link link = limits.link(part);
            links.add(new Link(groupOf(link.a()), groupOf(link.b()), link.low(), link.nominal(), link.high()));
        });
        return Network.of(links);
    }
}
