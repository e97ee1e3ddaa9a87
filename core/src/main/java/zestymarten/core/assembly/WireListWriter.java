package zestymarten.core.assembly;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.OptionalDouble;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import zestymarten.core.quantity.EngineeringFormat;

/** Writes an assembly's conductors as the wire list that {@link WireList} reads: the same wires come back. */
public final class WireListWriter {
    private WireListWriter() {}

    /** The list, comma-separated with a header row, lines ended by CR LF as RFC 4180 has it. */
    public static String csv(Assembly assembly) {
        StringBuilder out = new StringBuilder();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader(WireListReader.COLUMNS.toArray(String[]::new))
                .get();
        try (CSVPrinter printer = new CSVPrinter(out, format)) {
            for (Conductor conductor : assembly.conductors()) {
                printer.printRecord(cells(conductor));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    /** The columns of the list, in order. */
    public static List<String> columns() {
        return WireListReader.COLUMNS;
    }

    /** A conductor as the cells of its line: none can be taken for a formula. */
    public static List<String> cells(Conductor conductor) {
        return List.of(
                CellText.safe(conductor.id()),
                CellText.safe(conductor.from().name()),
                CellText.safe(conductor.to().name()),
                CellText.safe(conductor.colour().map(Colour::text).orElse("")),
                CellText.safe(conductor.function().orElse("")),
                figure(conductor.lengthM()),
                figure(conductor.areaMm2()),
                conductor.metal().code(),
                conductor.strandClass().code(),
                CellText.safe(conductor.zone().orElse("")),
                figure(conductor.current()),
                conductor.spare() ? "yes" : "",
                figure(conductor.maxOhm()),
                figure(conductor.minOhm()),
                CellText.safe(conductor.note().orElse("")));
    }

    private static String figure(OptionalDouble value) {
        return value.isEmpty() ? "" : EngineeringFormat.figure(value.getAsDouble());
    }
}
