package zestymarten.web.assembly;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.poi.EncryptedDocumentException;
import org.apache.poi.ooxml.POIXMLException;
import org.apache.poi.openxml4j.exceptions.NotOfficeXmlFileException;
import org.apache.poi.openxml4j.exceptions.OpenXML4JRuntimeException;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.DataFormatter;
import org.apache.poi.ss.usermodel.DateUtil;
import org.apache.poi.ss.usermodel.FormulaError;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import zestymarten.core.quantity.Problem;
import zestymarten.web.platform.Refused;

/**
 * A spreadsheet as the comma-separated text that a wire list is read from.
 *
 * <p>Rules: the first sheet that has anything in it counts. A formula counts by the value that the spreadsheet saved with it.
 * Of merged cells the first has the text. Figures are taken as they are and not as they are formatted, with a point. A pin
 * that a spreadsheet has made a date of, a formula that ended in an error, and macros are refused with their cell.
 */
final class SpreadsheetText {
    private static final int MOST_ROWS = 20_000;
    private static final int MOST_COLUMNS = 60;

    private final List<Problem> problems = new ArrayList<>();
    private final DataFormatter formatter = new DataFormatter(Locale.ROOT);

    private SpreadsheetText() {}

    /**
     * The text of a workbook.
     *
     * @throws Refused if it is no workbook, has macros, or has cells that are no text and no figure
     */
    static String read(String name, InputStream file) {
        if (!name.toLowerCase(Locale.ROOT).endsWith(".xlsx")) {
            throw new Refused(
                    "file",
                    "“" + name
                            + "” is not accepted; expected a workbook without macros that ends in .xlsx, or a CSV file.");
        }
        try (XSSFWorkbook book = new XSSFWorkbook(file)) {
            return new SpreadsheetText().text(book);
        } catch (IOException
                | NotOfficeXmlFileException
                | POIXMLException
                | OpenXML4JRuntimeException
                | EncryptedDocumentException e) {
            throw new Refused(
                    "file",
                    "“" + name + "” cannot be read as a workbook. Save it again as .xlsx, or as CSV, and choose that.");
        }
    }

    private String text(XSSFWorkbook book) throws IOException {
        if (book.isMacroEnabled()) {
            throw new Refused("file", "The workbook has macros. Save it as .xlsx without them.");
        }
        Sheet sheet = first(book);
        if (sheet.getLastRowNum() >= MOST_ROWS) {
            throw new Refused(
                    "file",
                    "The sheet has " + (sheet.getLastRowNum() + 1) + " rows; at most " + MOST_ROWS + " are accepted.");
        }
        StringBuilder text = new StringBuilder();
        CSVFormat csv = CSVFormat.DEFAULT.builder().setRecordSeparator("\n").get();
        for (Row row : sheet) {
            List<String> cells = new ArrayList<>();
            for (int i = 0; i < Math.min(row.getLastCellNum(), MOST_COLUMNS); i++) {
                cells.add(text(row.getCell(i, Row.MissingCellPolicy.CREATE_NULL_AS_BLANK)));
            }
            if (cells.stream().anyMatch(each -> !each.isBlank())) {
                csv.printRecord(text, cells.toArray());
            }
        }
        if (!problems.isEmpty()) {
            throw new Refused(problems);
        }
        return text.toString();
    }

    private static Sheet first(XSSFWorkbook book) {
        for (Sheet each : book) {
            if (each.getPhysicalNumberOfRows() > 0) {
                return each;
            }
        }
        throw new Refused(
                "file", "The workbook is empty: no sheet of it has a cell. Expected a header row with from and to.");
    }

    private String text(Cell cell) {
        CellType type = cell.getCellType() == CellType.FORMULA ? cell.getCachedFormulaResultType() : cell.getCellType();
        return switch (type) {
            case STRING -> cell.getStringCellValue().strip();
            case NUMERIC -> figure(cell);
            case BOOLEAN -> cell.getBooleanCellValue() ? "yes" : "no";
            case ERROR ->
                refused(
                        cell,
                        "“" + FormulaError.forInt(cell.getErrorCellValue()).getString() + "”");
            case BLANK, _NONE, FORMULA -> "";
        };
    }

    private String figure(Cell cell) {
        if (DateUtil.isCellDateFormatted(cell)) {
            return refused(cell, "the date " + formatter.formatCellValue(cell));
        }
        double value = cell.getNumericCellValue();
        return value == Math.rint(value) && Math.abs(value) < 1e15
                ? String.valueOf((long) value)
                : String.valueOf(value);
    }

    private String refused(Cell cell, String read) {
        problems.add(new Problem(
                cell.getAddress().formatAsString(),
                read + " is not accepted; expected a text or a figure. Format the cell as text and enter it again."));
        return "";
    }
}
