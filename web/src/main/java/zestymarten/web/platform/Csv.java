package zestymarten.web.platform;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import zestymarten.core.assembly.CellText;

/** Writes tables as CSV by RFC 4180, texts made harmless for spreadsheets. */
public final class Csv {
    private Csv() {}

    /** Columns and rows as one text. */
    public static String write(List<String> columns, List<List<String>> rows) {
        StringBuilder out = new StringBuilder();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader(columns.toArray(String[]::new))
                .get();
        try (CSVPrinter printer = new CSVPrinter(out, format)) {
            for (List<String> row : rows) {
                printer.printRecord(row.stream().map(CellText::safe).toList());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }
}
