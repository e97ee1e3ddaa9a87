package zestymarten.simulator.instrument;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import zestymarten.core.assembly.Terminal;
import zestymarten.simulator.scpi.Commands;
import zestymarten.simulator.scpi.ScpiError;
import zestymarten.simulator.unit.Setting;
import zestymarten.simulator.unit.Workbench;

/**
 * The hands of the technician, as commands that no real instrument has: what is put on the bench, where the probes go, what is
 * linked, bent, scraped, wetted. A real instrument refuses them, and somebody's own hands do it.
 */
final class Hands {
    private Hands() {}

    static void on(Workbench bench, Commands commands) {
        commands.command("SIMulation:UNIT", with -> must(bench.put(with.text())))
                .command("SIMulation:PROBes", with -> {
                    Terminal black = terminal(with.text());
                    must(bench.measurement(black, terminal(with.text())));
                })
                .command("SIMulation:PROBes:JOIN", any -> bench.join())
                .command("SIMulation:PROBes:OFF", any -> bench.lift())
                .command("SIMulation:STATe", with -> arrange(bench, in(with.text())))
                .command("SIMulation:TIES", with -> arrange(bench, linked(links(with.text()))))
                .command("SIMulation:BEND", with -> arrange(bench, bent(with.textIfAny())))
                .command("SIMulation:SCRape", with -> arrange(bench, scraped(terminal(with.text()))))
                .command("SIMulation:WET", with -> arrange(bench, wet(with.isOn())))
                .command("SIMulation:LEAD:BROKen", with -> bench.breakLead(with.isOn()));
    }

    private static void arrange(Workbench bench, Function<Setting, Setting> change) {
        bench.arrange(change);
    }

    private static Function<Setting, Setting> in(String state) {
        return setting -> setting.in(state);
    }

    private static Function<Setting, Setting> linked(List<List<Terminal>> links) {
        return setting -> setting.linked(links);
    }

    private static Function<Setting, Setting> bent(Optional<String> place) {
        return setting -> setting.bentAt(place);
    }

    private static Function<Setting, Setting> scraped(Terminal contact) {
        return setting -> setting.scrapedAt(contact);
    }

    private static Function<Setting, Setting> wet(boolean on) {
        return setting -> setting.wet(on);
    }

    /** Groups separated by semicolons, their terminals by spaces. */
    private static List<List<Terminal>> links(String text) {
        return text.isBlank()
                ? List.of()
                : Arrays.stream(text.split(";"))
                        .map(link -> Arrays.stream(link.strip().split(" "))
                                .map(Hands::terminal)
                                .toList())
                        .toList();
    }

    static Terminal terminal(String name) {
        try {
            return Terminal.of(name);
        } catch (IllegalArgumentException e) {
            throw new ScpiError.Refused(ScpiError.ILLEGAL);
        }
    }

    private static void must(boolean there) {
        if (!there) {
            throw new ScpiError.Refused(ScpiError.ILLEGAL);
        }
    }
}
