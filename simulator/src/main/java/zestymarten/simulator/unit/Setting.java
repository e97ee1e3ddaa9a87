package zestymarten.simulator.unit;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import zestymarten.core.assembly.Terminal;

/**
 * What is arranged around the unit at a moment.
 *
 * @param state of switches and relays by its name; empty for the one at rest
 * @param links groups of terminals that are linked together
 * @param bent where something is bent: a zone or a connector; empty for nowhere
 * @param scraped contacts that were scraped to clean metal
 * @param wet whether it is in the water, or misted
 */
public record Setting(
        String state, List<List<Terminal>> links, Optional<String> bent, Set<Terminal> scraped, boolean wet) {
    /** As it was found: at rest, free, dry, untouched. */
    public static final Setting AS_FOUND = new Setting("", List.of(), Optional.empty(), Set.of(), false);

    public Setting {
        links = links.stream().map(List::copyOf).toList();
        scraped = Set.copyOf(scraped);
    }

    public Setting in(String other) {
        return new Setting(other, links, bent, scraped, wet);
    }

    public Setting linked(List<List<Terminal>> others) {
        return new Setting(state, others, bent, scraped, wet);
    }

    public Setting bentAt(Optional<String> place) {
        return new Setting(state, links, place, scraped, wet);
    }

    /** With one more contact scraped: that lasts. */
    public Setting scrapedAt(Terminal contact) {
        Set<Terminal> more = new HashSet<>(scraped);
        more.add(contact);
        return new Setting(state, links, bent, more, wet);
    }

    public Setting wet(boolean other) {
        return new Setting(state, links, bent, scraped, other);
    }
}
