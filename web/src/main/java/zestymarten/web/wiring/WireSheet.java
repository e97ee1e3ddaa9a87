package zestymarten.web.wiring;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.poi.ooxml.POIXMLException;
import org.apache.poi.openxml4j.exceptions.OpenXML4JRuntimeException;
import org.apache.poi.ss.usermodel.DataFormatter;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import zestymarten.core.assembly.Assembly;
import zestymarten.web.platform.Refused;

/** A wire list that came as a spreadsheet: its first sheet as tab-separated text, read by the same reader as any other. */
public final class WireSheet {
    private static final int MOST_BYTES = 8 * 1024 * 1024;
    private static final int MOST_COLUMNS = 60;

    private WireSheet() {}

    /**
     * The first sheet as text, a line a row and a tab between cells; formulas count as their last value.
     *
     * @throws Refused if it is no such file, too large, or grows beyond measure when it is unpacked
     */
    public static String text(byte[] file) {
        if (file.length > MOST_BYTES) {
            throw new Refused("", "The file has more than 8 MB; a wire list has far less.");
        }
        try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(file))) {
            Sheet sheet = book.getSheetAt(0);
            if (sheet.getLastRowNum() > Assembly.MOST_CONDUCTORS + 1000) {
                throw new Refused(
                        "", "The sheet has more rows than an assembly has wires, " + Assembly.MOST_CONDUCTORS + ".");
            }
            return lines(sheet);
        } catch (IOException | POIXMLException | OpenXML4JRuntimeException | IllegalArgumentException e) {
            throw new Refused(
                    "",
                    "That is no spreadsheet that can be read; expected .xlsx with the wire list on its first sheet.");
        }
    }

    private static String lines(Sheet sheet) {
        DataFormatter plain = new DataFormatter(java.util.Locale.ROOT);
        plain.setUseCachedValuesForFormulaCells(true);
        List<String> lines = new ArrayList<>();
        for (int i = 0; i <= sheet.getLastRowNum(); i++) {
            lines.add(line(sheet.getRow(i), plain));
        }
        return String.join("\n", lines) + "\n";
    }

    private static String line(@org.jspecify.annotations.Nullable Row row, DataFormatter plain) {
        List<String> cells = new ArrayList<>();
        int width = row == null ? 0 : Math.min(MOST_COLUMNS, Math.max(0, row.getLastCellNum()));
        for (int i = 0; i < width && row != null; i++) {
            cells.add(plain.formatCellValue(row.getCell(i)).replaceAll("[\\t\\r\\n]+", " "));
        }
        return String.join("\t", cells);
    }
}
