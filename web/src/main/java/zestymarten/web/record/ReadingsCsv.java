package zestymarten.web.record;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Writes the readings of a run as CSV, figures in ohms, texts made harmless for spreadsheets. */
final class ReadingsCsv {
    private ReadingsCsv() {}

    static String write(RecordView view) {
        StringBuilder out = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(
                out,
                CSVFormat.RFC4180
                        .builder()
                        .setHeader(ReadingsTable.COLUMNS.toArray(String[]::new))
                        .get())) {
            for (List<String> line : ReadingsTable.rows(view)) {
                printer.printRecord(line);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }
}
