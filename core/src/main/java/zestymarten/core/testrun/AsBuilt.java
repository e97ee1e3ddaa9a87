package zestymarten.core.testrun;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Colour;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.testplan.TestStep;

/**
 * What repairs have made of the wiring of one unit: a spare core in the place of a broken wire, a wire of another colour.
 *
 * <p>Rule: the ends of the spare core are moved into the cavities of the wire that it stands for, and the broken one is cut
 * off; from then on the wire is the spare's copper, under its own name and function. Cost: linear in the conductors, for
 * each repair that changes anything.
 */
final class AsBuilt {
    private AsBuilt() {}

    /** The assembly after the repairs; empty where none of them changes it. */
    static Optional<Assembly> of(Assembly designed, List<Entry> repairs) {
        Assembly built = designed;
        for (Entry entry : repairs) {
            if (entry.content() instanceof Entry.Content.Repair repair && repair.changesWiring()) {
                built = after(built, entry.step(), repair);
            }
        }
        return built.equals(designed) ? Optional.empty() : Optional.of(built);
    }

    private static Assembly after(Assembly before, TestStep step, Entry.Content.Repair repair) {
        List<String> named =
                List.of(((TestStep.ManualStep) step).subject().code().split(" "));
        Optional<Conductor> spare = conductor(before, repair.spare());
        List<Conductor> after = new ArrayList<>();
        for (Conductor wire : before.conductors()) {
            boolean isRepaired = named.contains(wire.id()) && !wire.id().equals(repair.spare());
            if (isRepaired) {
                Conductor now = spare.map(wire::carriedBy).orElse(wire);
                after.add(repair.colour().isEmpty() ? now : now.coloured(Colour.of(repair.colour())));
            } else if (spare.isEmpty() || !wire.id().equals(repair.spare())) {
                after.add(wire);
            }
        }
        return before.withConductors(after);
    }

    private static Optional<Conductor> conductor(Assembly assembly, String id) {
        return assembly.conductors().stream()
                .filter(each -> each.id().equals(id))
                .findFirst();
    }
}
