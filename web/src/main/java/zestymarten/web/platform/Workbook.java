package zestymarten.web.platform;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.util.List;
import java.util.stream.Stream;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.springframework.http.MediaType;

/** Writes rows of text as a spreadsheet of one sheet: the first row stays in sight, figures are figures. */
public final class Workbook {
    /** What a browser takes it for. */
    public static final String MEDIA_TYPE = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    /** The same as a type. */
    public static final MediaType TYPE = MediaType.parseMediaType(MEDIA_TYPE);

    private static final int WIDTH = 14 * 256;

    private Workbook() {}

    /**
     * The bytes of an XLSX file. Texts are cells of text, so that none is ever taken for a formula.
     *
     * @param columns the first row
     */
    public static byte[] write(String title, List<String> columns, Stream<List<String>> rows) {
        try (XSSFWorkbook book = new XSSFWorkbook();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            Sheet sheet = book.createSheet(title);
            row(sheet, columns);
            rows.forEach(line -> row(sheet, line));
            sheet.createFreezePane(0, 1);
            for (int i = 0; i < columns.size(); i++) {
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
            if (isFigure(text)) {
                cell.setCellValue(Double.parseDouble(text));
            } else {
                cell.setCellValue(text);
            }
        }
    }

    /** Whether a figure is written just so: 007 and 1.10 are names, and would come back as others. */
    private static boolean isFigure(String text) {
        return text.matches("-?[0-9]{1,15}(?:\\.[0-9]{1,12})?")
                && new BigDecimal(text).stripTrailingZeros().toPlainString().equals(text);
    }
}
