package zestymarten.core.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import zestymarten.core.quantity.Trials;

/**
 * Which pattern is taken for which over seeded circuits. The table in {@code docs/circuit-patterns.md} is what this calculates; run
 * with {@code -Dtrials.all=true -Dmarten.write-docs=true} to write it anew.
 */
class ConfusionTest {
    private static final Path DOCS = Path.of("../docs/circuit-patterns.md");
    private static final int EACH = Trials.of(15);
    private static final int MAX_MORE = 8;
    private static final List<String> RING = List.of(
            "good",
            "linked wrong way",
            "broken leg",
            "loose joint",
            "spur",
            "interconnection",
            "swapped polarity",
            "missing conductor",
            "cut cable",
            "other section",
            "longer than drawn");
    private static final List<String> RADIAL = RING.stream()
            .filter(kind -> !kind.equals("linked wrong way") && !kind.equals("interconnection"))
            .toList();

    private static final List<String> WITHOUT_LENGTHS =
            RING.stream().filter(kind -> !kind.equals("longer than drawn")).toList();

    /** Counts of one kind: what it was taken for at first, how often it was at its place after so many more readings. */
    private record Row(String kind, Map<String, Integer> takenFor, int named, int placed, int more) {}

    private static Row row(String kind, boolean ring, boolean lengths) {
        Map<String, Integer> takenFor = new TreeMap<>();
        int named = 0;
        int placed = 0;
        int more = 0;
        for (int i = 0; i < EACH; i++) {
            SeededCircuit made = SeededCircuit.of(1000L * kind.length() + i, ring, kind);
            SeededCircuit seeded = lengths ? made : made.withoutLengths();
            RecognisedPattern recognised = RecognisedPattern.of(seeded.drawn(), seeded.readings());
            takenFor.merge(recognised.matches().get(0).pattern().kind(), 1, Integer::sum);
            named += names(recognised, seeded.pattern()) ? 1 : 0;
            for (int k = 0; k < MAX_MORE && recognised.next().isPresent(); k++) {
                seeded = seeded.reads(recognised.next().get());
                recognised = RecognisedPattern.of(seeded.drawn(), seeded.readings());
                more++;
            }
            Pattern last = recognised.matches().get(0).pattern();
            placed += place(last).equals(place(seeded.pattern())) ? 1 : 0;
        }
        return new Row(kind, takenFor, named, placed, more);
    }

    private static boolean names(RecognisedPattern recognised, Pattern pattern) {
        return recognised.matches().stream()
                .anyMatch(each -> place(each.pattern()).equals(place(pattern))
                        || each.stretches().stream()
                                .anyMatch(stretch ->
                                        place(at(each.pattern(), stretch)).equals(place(pattern))));
    }

    private static Pattern at(Pattern pattern, int stretch) {
        if (pattern instanceof Pattern.CableCut) {
            return new Pattern.CableCut(stretch);
        }
        return pattern instanceof Pattern.ConductorBroken broken
                ? new Pattern.ConductorBroken(broken.role(), stretch)
                : new Pattern.Loose(((Pattern.Loose) pattern).role(), stretch, 1);
    }

    /** A pattern without its value. */
    private static String place(Pattern pattern) {
        return pattern.toString().replaceAll("(ohm|metres|factor)=[^,\\]]*", "");
    }

    private static List<Row> rows(List<String> kinds, boolean ring, boolean lengths) {
        return kinds.parallelStream().map(kind -> row(kind, ring, lengths)).toList();
    }

    private static String table(String title, List<String> kinds, List<Row> rows) {
        StringBuilder text = new StringBuilder("## " + title + "\n\n| is \\ taken for | " + String.join(" | ", kinds)
                + " | named with its place | right after more | more readings each |\n|---|"
                + "---|".repeat(kinds.size() + 3) + "\n");
        for (Row row : rows) {
            List<String> cells = new ArrayList<>(List.of(row.kind));
            kinds.forEach(kind -> cells.add(row.takenFor.containsKey(kind) ? "" + row.takenFor.get(kind) : ""));
            cells.add(row.named + " of " + EACH);
            cells.add(row.placed + " of " + EACH);
            cells.add(String.valueOf(Math.round(10.0 * row.more / EACH) / 10.0));
            text.append("| ").append(String.join(" | ", cells)).append(" |\n");
        }
        return text.append("\n").toString();
    }

    @Test
    void patternsAreRecognisedInTheNoise() {
        for (Row row : rows(RING, true, true)) {
            assertThat(row.named).as(row.kind).isGreaterThanOrEqualTo(EACH * 9 / 10);
            assertThat(row.placed).as(row.kind).isGreaterThanOrEqualTo(EACH * 8 / 10);
        }
    }

    @Test
    void theTableInTheDocsSaysHowOften() throws IOException {
        assumeThat(Trials.ALL).as("the table counts all trials").isTrue();
        List<Row> rings = rows(RING, true, true);
        List<Row> radials = rows(RADIAL, false, true);
        List<Row> unknownRings = rows(WITHOUT_LENGTHS, true, false);
        List<Row> unknownRadials =
                rows(WITHOUT_LENGTHS.stream().filter(RADIAL::contains).toList(), false, false);
        String text = "# Which pattern of a circuit is taken for which\n\n"
                + "Each row is " + EACH
                + " seeded circuits of 4 to 20 outlets with one fault. The lengths drawn are 3 % off"
                + " (standard deviation) stretch by stretch; the meter reads to 0.01 Ω with half a count and half a percent of"
                + " its own; every reading of the dead tests is taken. \"Named with its place\": the fault and where it is are"
                + " among what is told after the dead tests. \"Right after more\": it is the first that is told once the"
                + " readings that the desk asks for are taken too, at most " + MAX_MORE
                + ". The core's tests calculate this"
                + " table and compare it.\n\n"
                + "Three things no meter can tell from the dead tests alone. With conductors of one section a ring with an open"
                + " leg reads the same at every point wherever the break is: the desk asks for points with one end linked,"
                + " where everything beyond a break is silent. Crossed conductors and one that does not reach the"
                + " point both read \"no continuity\" in the same step: the desk names both and asks for the other pair. A radial whose cable is cut"
                + " reads like one whose line is open: both are named.\n\n"
                + table("Rings", RING, rings)
                + table("Radials", RADIAL, radials)
                + "Without any length: a ring is taken to be as long as its conductors from end to end say, a radial stretch by"
                + " stretch as line to neutral says. Whether it is longer than drawn cannot be asked then.\n\n"
                + table("Rings without lengths", RING, unknownRings)
                + table("Radials without lengths", RADIAL, unknownRadials);
        if (Boolean.getBoolean("marten.write-docs")) {
            Files.writeString(DOCS, text);
        }
        assertThat(Files.readString(DOCS)).isEqualTo(text);
    }
}
