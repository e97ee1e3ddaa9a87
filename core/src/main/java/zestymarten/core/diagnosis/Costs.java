package zestymarten.core.diagnosis;

import java.util.List;
import java.util.function.ToDoubleBiFunction;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Terminal;

/**
 * What touches cost, in seconds, each above 0.
 *
 * @param touch to put both probes on, read and type
 * @param move more for each probe that has to find another pin
 * @param setup more where other terminals are to be tied or freed, for each clip
 * @param clips whether there are clips to tie terminals with
 * @param reach seconds to reach a terminal that was not reached yet: a walk, a cover, a shell
 */
public record Costs(
        double touch, double move, double setup, boolean clips, ToDoubleBiFunction<Terminal, List<Touched>> reach) {
    private static final double AGAIN = 1.5;

    public Costs {
        if (!(touch > 0 && move >= 0 && setup >= 0)) {
            throw new IllegalArgumentException(
                    "Prices (" + touch + ", " + move + ", " + setup + " s) must be above 0.");
        }
    }

    /** A bench with both ends in reach: two seconds a touch and a probe, three a clip. */
    public static Costs bench(boolean clips) {
        return new Costs(2, 1.5, 3, clips, (terminal, readings) -> 0);
    }

    /** The same where some connectors have to be reached first, which is paid once for all their terminals. */
    public static Costs bench(Assembly assembly, boolean clips) {
        return new Costs(2, 1.5, 3, clips, (terminal, readings) -> {
            boolean reached = readings.stream()
                    .anyMatch(each -> each.a().connector().equals(terminal.connector())
                            || each.b().connector().equals(terminal.connector()));
            double minutes = assembly.connector(terminal.connector())
                    .map(connector -> connector.reach().minutes())
                    .orElse(0.0);
            return reached ? 0 : 60 * minutes;
        });
    }

    double seconds(Chooser.Option option, List<Touched> readings) {
        double seconds = touch;
        if (readings.isEmpty()) {
            return seconds + 2 * move + clipped(option.ties(), List.of()) + reached(option, readings);
        }
        Touched last = readings.get(readings.size() - 1);
        seconds += option.black().equals(last.a()) ? 0 : move;
        seconds += option.red().equals(last.b()) ? 0 : move;
        boolean again = readings.stream()
                .anyMatch(each -> each.a().equals(option.black()) && each.b().equals(option.red()));
        return seconds * (again ? AGAIN : 1) + clipped(option.ties(), last.ties()) + reached(option, readings);
    }

    private double reached(Chooser.Option option, List<Touched> readings) {
        return reach.applyAsDouble(option.black(), readings) + reach.applyAsDouble(option.red(), readings);
    }

    /** Seconds for the clips that have to be put on or taken off. */
    private double clipped(List<List<Terminal>> wanted, List<List<Terminal>> there) {
        List<Terminal> now = there.stream().flatMap(List::stream).toList();
        List<Terminal> then = wanted.stream().flatMap(List::stream).toList();
        long on = then.stream().filter(each -> !now.contains(each)).count();
        long off = now.stream().filter(each -> !then.contains(each)).count();
        return setup * (on + off);
    }
}
