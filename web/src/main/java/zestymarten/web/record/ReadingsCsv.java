package zestymarten.web.record;

import java.io.IOException;
import java.io.UncheckedIOException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import zestymarten.core.assembly.CellText;

/** Writes the readings of a run as CSV, figures in ohms, texts made harmless for spreadsheets. */
final class ReadingsCsv {
    private static final String[] COLUMNS = {
        "step",
        "a",
        "b",
        "setup",
        "state",
        "as_typed",
        "value",
        "unit",
        "qualifier",
        "judgement",
        "limit_low",
        "limit_high",
        "at",
        "by",
        "meter",
        "number",
        "corrected",
        "limit_source",
        "taken_back"
    };

    private ReadingsCsv() {}

    static String write(RecordView view) {
        StringBuilder out = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(
                out, CSVFormat.RFC4180.builder().setHeader(COLUMNS).get())) {
            for (RecordView.ReadingLine line : view.readings()) {
                printer.printRecord(
                        line.stage(),
                        CellText.safe(line.a()),
                        CellText.safe(line.b()),
                        CellText.safe(line.setup()),
                        CellText.safe(line.position()),
                        CellText.safe(line.asTyped()),
                        line.value(),
                        line.unit(),
                        line.qualifier(),
                        line.judgement(),
                        line.limitLow(),
                        line.limitHigh(),
                        line.at(),
                        line.by(),
                        CellText.safe(view.meter()),
                        line.sequence(),
                        line.corrected(),
                        CellText.safe(line.source()),
                        line.takenBack() ? "yes" : "");
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }
}
