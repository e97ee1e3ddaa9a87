package zestymarten.web.scan;

import java.util.List;
import java.util.stream.Stream;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.scan.ScanMeasurement;
import zestymarten.web.drawing.StaveDrawing;

/**
 * What came of one measurement of a scan.
 *
 * @param a the terminals of one side by their names
 * @param live whether a test voltage was on
 * @param shown as it was entered
 * @param kept whether it belongs to the test and was saved there
 */
record ScanReading(List<String> a, List<String> b, boolean live, String shown, boolean within, boolean kept) {
    ScanReading {
        a = List.copyOf(a);
        b = List.copyOf(b);
    }

    static ScanReading of(ScanMeasurement taken, String shown, boolean within, boolean kept) {
        return new ScanReading(
                names(taken.a().stream()),
                names(taken.b().stream()),
                taken.measure().voltage().isPresent(),
                shown,
                within,
                kept);
    }

    private static List<String> names(Stream<Terminal> side) {
        return side.map(Terminal::name).sorted().toList();
    }

    StaveDrawing.Note note() {
        return new StaveDrawing.Note(terminals(a), terminals(b), live, within ? "pass" : "fail");
    }

    private static List<Terminal> terminals(List<String> names) {
        return names.stream().map(Terminal::of).toList();
    }
}
