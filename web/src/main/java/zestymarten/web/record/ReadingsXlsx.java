package zestymarten.web.record;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;

/** Writes the readings of a run as a spreadsheet: the columns of {@link ReadingsTable}, figures as figures. */
final class ReadingsXlsx {
    private static final int WIDTH = 14 * 256;

    private ReadingsXlsx() {}

    static byte[] write(RecordView view) {
        try (XSSFWorkbook book = new XSSFWorkbook();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            Sheet sheet = book.createSheet("Readings");
            row(sheet, ReadingsTable.COLUMNS);
            ReadingsTable.rows(view).forEach(line -> row(sheet, line));
            sheet.createFreezePane(0, 1);
            for (int i = 0; i < ReadingsTable.COLUMNS.size(); i++) {
                sheet.setColumnWidth(i, WIDTH);
            }
            book.write(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException("The spreadsheet could not be written.", e);
        }
    }

    private static void row(Sheet sheet, List<String> cells) {
        Row row = sheet.createRow(sheet.getPhysicalNumberOfRows());
        for (String text : cells) {
            Cell cell = row.createCell(row.getPhysicalNumberOfCells());
            if (text.matches("-?[0-9]{1,15}(?:\\.[0-9]{1,12})?")) {
                cell.setCellValue(Double.parseDouble(text));
            } else {
                cell.setCellValue(text);
            }
        }
    }
}
