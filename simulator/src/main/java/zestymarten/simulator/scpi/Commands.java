package zestymarten.simulator.scpi;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * The commands of one instrument, its queue of errors, and the common ones that every instrument has: {@code *IDN?},
 * {@code *CLS}, {@code *OPC?}, {@code SYSTem:ERRor?}, {@code SYSTem:VERSion?}. Commands of one line are carried out one after
 * the other; what is refused goes into the queue and stops the rest of its line. Not safe to share: one for each connection.
 */
public final class Commands {
    private static final int QUEUE = 20;
    private static final String VERSION = "1999.0";

    private final List<Command> commands = new ArrayList<>();
    private final Deque<ScpiError> errors = new ArrayDeque<>();

    /** A header and what it does with its parameters: the answer to a query, nothing to a command. */
    private record Command(Header header, Function<Parameters, Optional<String>> does) {}

    /** @param identity maker, model, serial and version, separated by commas */
    public Commands(String identity) {
        query("*IDN?", any -> identity);
        query("*OPC?", any -> "1");
        query("SYSTem:VERSion?", any -> VERSION);
        query("SYSTem:ERRor?", any -> nextError());
        query("SYSTem:ERRor:NEXT?", any -> nextError());
        command("*CLS", any -> errors.clear());
    }

    private String nextError() {
        return errors.isEmpty() ? ScpiError.NONE.answer() : errors.removeFirst().answer();
    }

    /** Adds a query, its header as documented. */
    public Commands query(String header, Function<Parameters, String> answers) {
        commands.add(new Command(new Header(header), parameters -> Optional.of(answers.apply(parameters))));
        return this;
    }

    /** Adds a command, its header as documented. */
    public Commands command(String header, java.util.function.Consumer<Parameters> does) {
        commands.add(new Command(new Header(header), parameters -> {
            does.accept(parameters);
            return Optional.empty();
        }));
        return this;
    }

    /** Adds what another instrument in the same case can do; where both have a header, this one's counts. */
    public Commands with(Commands other) {
        commands.addAll(other.commands);
        return this;
    }

    /** Carries out a line; the answers of its queries in their order, separated by semicolons; empty where it has none. */
    public Optional<String> line(String line) {
        List<String> answers = new ArrayList<>();
        try {
            for (String unit : Parameters.split(line, ';')) {
                if (!unit.isBlank()) {
                    unit(unit.strip()).ifPresent(answers::add);
                }
            }
        } catch (ScpiError.Refused e) {
            fail(e.error());
        }
        return answers.isEmpty() ? Optional.empty() : Optional.of(String.join(";", answers));
    }

    private Optional<String> unit(String text) {
        int space = 0;
        while (space < text.length() && !Character.isWhitespace(text.charAt(space))) {
            space++;
        }
        String header = text.substring(0, space);
        Parameters parameters = Parameters.of(text.substring(space));
        Optional<String> answer = commands.stream()
                .filter(each -> each.header().fits(header))
                .findFirst()
                .orElseThrow(() -> new ScpiError.Refused(ScpiError.UNDEFINED))
                .does()
                .apply(parameters);
        parameters.mustBeUsed();
        return answer;
    }

    /** Puts an error into the queue; the last place of a full one says that it overflowed. */
    void fail(ScpiError error) {
        if (errors.size() < QUEUE) {
            errors.addLast(error);
        } else {
            errors.removeLast();
            errors.addLast(ScpiError.OVERFLOW);
        }
    }
}
