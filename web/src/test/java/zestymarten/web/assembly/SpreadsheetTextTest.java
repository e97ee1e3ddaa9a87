package zestymarten.web.assembly;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.function.Consumer;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.util.CellRangeAddress;
import org.apache.poi.xssf.usermodel.XSSFRow;
import org.apache.poi.xssf.usermodel.XSSFSheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.WireList;
import zestymarten.web.platform.Refused;

class SpreadsheetTextTest {
    private static String read(Consumer<XSSFWorkbook> fill) throws IOException {
        try (XSSFWorkbook book = new XSSFWorkbook();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            fill.accept(book);
            book.write(out);
            return SpreadsheetText.read("wires.xlsx", new ByteArrayInputStream(out.toByteArray()));
        }
    }

    private static XSSFSheet sheet(XSSFWorkbook book, String... head) {
        XSSFSheet sheet = book.createSheet();
        row(sheet, 0, head);
        return sheet;
    }

    private static XSSFRow row(XSSFSheet sheet, int at, String... cells) {
        XSSFRow row = sheet.createRow(at);
        for (int i = 0; i < cells.length; i++) {
            row.createCell(i).setCellValue(cells[i]);
        }
        return row;
    }

    @Test
    void aSheetBecomesTheWireListThatItShows() throws IOException {
        String text = read(book -> {
            XSSFSheet sheet = sheet(book, "wire", "from", "to", "length_m", "function");
            row(sheet, 1, "W1", "J1.1", "J2.1").createCell(3).setCellValue(8.2);
            XSSFRow second = row(sheet, 3, "W2", "J1.2", "J2.2");
            second.createCell(3).setCellValue(8);
            second.createCell(4).setCellValue("lamp, left");
            row(book.createSheet(), 0, "another sheet");
        });
        assertThat(text).isEqualTo("wire,from,to,length_m,function\nW1,J1.1,J2.1,8.2\nW2,J1.2,J2.2,8,\"lamp, left\"\n");
        assertThat(WireList.read(text).conductors()).hasSize(2);
    }

    @Test
    void aFormulaCountsByItsSavedValueAndMergedCellsByTheirFirst() throws IOException {
        String text = read(book -> {
            XSSFSheet sheet = sheet(book, "wire", "from", "to", "length_m");
            XSSFRow row = row(sheet, 1, "W1", "J1.1", "J2.1");
            row.createCell(3).setCellFormula("4*2.05");
            book.getCreationHelper().createFormulaEvaluator().evaluateAll();
            row(sheet, 2, "W2", "J1.2", "J2.2");
            sheet.addMergedRegion(new CellRangeAddress(1, 2, 3, 3));
        });
        assertThat(text).isEqualTo("wire,from,to,length_m\nW1,J1.1,J2.1,8.2\nW2,J1.2,J2.2\n");
    }

    @Test
    void aPinThatBecameADateAndAFormulaThatFailedAreRefusedWithTheirCell() {
        assertThatThrownBy(() -> read(book -> {
                    XSSFSheet sheet = sheet(book, "from", "to");
                    CellStyle date = book.createCellStyle();
                    date.setDataFormat(book.createDataFormat().getFormat("d.m.yyyy"));
                    XSSFRow row = row(sheet, 1, "J1.1");
                    row.createCell(1).setCellValue(45_000);
                    row.getCell(1).setCellStyle(date);
                    row(sheet, 2, "J1.2").createCell(1).setCellFormula("1/0");
                    book.getCreationHelper().createFormulaEvaluator().evaluateAll();
                }))
                .isInstanceOfSatisfying(
                        Refused.class,
                        refused -> assertThat(refused.problems())
                                .extracting(problem -> problem.where())
                                .containsExactly("B2", "B3"));
    }

    @Test
    void whatIsNoWorkbookIsRefusedInASentence() {
        assertThatThrownBy(() -> SpreadsheetText.read(
                        "wires.xlsx", new ByteArrayInputStream("wire,from,to".getBytes(StandardCharsets.UTF_8))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("cannot be read as a workbook");
        assertThatThrownBy(() -> SpreadsheetText.read("wires.xlsm", new ByteArrayInputStream(new byte[0])))
                .hasMessageContaining("without macros");
        assertThatThrownBy(() -> read(book -> book.createSheet())).hasMessageContaining("empty");
    }
}
