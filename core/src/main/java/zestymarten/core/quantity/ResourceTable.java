package zestymarten.core.quantity;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/** Reads the tables of standards that ship with the core: comma-separated, a header row, {@code #} for remarks. */
public final class ResourceTable {
    /** One row by column name. */
    public record TableRow(String table, Map<String, String> cells) {
        /** The cell of a column; a missing column is a fault of the build. */
        public String cell(String column) {
            String cell = cells.get(column);
            if (cell == null) {
                throw new IllegalStateException("Table '" + table + "' has no column '" + column + "'.");
            }
            return cell;
        }
    }

    private static final CSVFormat FORMAT = CSVFormat.DEFAULT
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setCommentMarker('#')
            .get();

    private ResourceTable() {}

    /** The rows of a table that stands beside a class. A missing or unreadable table is a fault of the build. */
    public static List<TableRow> read(Class<?> beside, String name) {
        try (InputStream stream = beside.getResourceAsStream(name)) {
            if (stream == null) {
                throw new IllegalStateException("Table '" + name + "' does not stand beside " + beside.getName() + ".");
            }
            var reader = new BufferedReader(new InputStreamReader(stream, StandardCharsets.UTF_8));
            return FORMAT.parse(reader).stream()
                    .map(CSVRecord::toMap)
                    .map(cells -> new TableRow(name, cells))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException("Table '" + name + "' cannot be read.", e);
        }
    }
}
