package zestymarten.web.assembly;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.util.CellRangeAddress;
import org.apache.poi.xssf.usermodel.XSSFRow;
import org.apache.poi.xssf.usermodel.XSSFSheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.WireList;
import zestymarten.core.assembly.WireListWriter;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;
import zestymarten.web.platform.Workbook;

class WireSheetTest {
    private static String read(Consumer<XSSFWorkbook> fill) throws IOException {
        try (XSSFWorkbook book = new XSSFWorkbook();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            fill.accept(book);
            book.write(out);
            return WireSheet.text(out.toByteArray());
        }
    }

    private static XSSFRow row(XSSFSheet sheet, int at, String... cells) {
        XSSFRow row = sheet.createRow(at);
        for (int i = 0; i < cells.length; i++) {
            row.createCell(i).setCellValue(cells[i]);
        }
        return row;
    }

    @Test
    void theFirstSheetIsTheWireListAndASecondOneIsNot() throws IOException {
        String text = read(book -> {
            XSSFSheet sheet = book.createSheet();
            row(sheet, 0, "wire", "from", "to", "length_m");
            row(sheet, 1, "W1", "J1.1", "J2.1").createCell(3).setCellValue(8.2);
            row(sheet, 3, "W2", "J1.2", "J2.2").createCell(3).setCellValue(8);
            row(book.createSheet(), 0, "another sheet");
        });
        assertThat(text).doesNotContain("another");
        WireList list = WireList.read(text);
        assertThat(list.problems()).isEmpty();
        assertThat(list.conductors())
                .extracting(each -> each.lengthM().orElse(0))
                .containsExactly(8.2, 8.0);
    }

    @Test
    void aFormulaCountsByItsSavedValueAndMergedCellsByTheirFirst() throws IOException {
        WireList list = WireList.read(read(book -> {
            XSSFSheet sheet = book.createSheet();
            row(sheet, 0, "wire", "from", "to", "length_m");
            row(sheet, 1, "W1", "J1.1", "J2.1").createCell(3).setCellFormula("4*2.05");
            row(sheet, 2, "W2", "J1.2", "J2.2");
            sheet.addMergedRegion(new CellRangeAddress(1, 2, 3, 3));
            book.getCreationHelper().createFormulaEvaluator().evaluateAll();
        }));
        assertThat(list.conductors().get(0).lengthM()).hasValue(8.2);
        assertThat(list.conductors().get(1).lengthM()).isEmpty();
    }

    @Test
    void aPinThatBecameADateIsRefusedWithItsLine() throws IOException {
        WireList list = WireList.read(read(book -> {
            XSSFSheet sheet = book.createSheet();
            row(sheet, 0, "from", "to");
            CellStyle date = book.createCellStyle();
            date.setDataFormat(book.createDataFormat().getFormat("d.m.yyyy"));
            XSSFRow row = row(sheet, 1, "J1.1");
            row.createCell(1).setCellValue(45_000);
            row.getCell(1).setCellStyle(date);
        }));
        assertThat(list.problems()).extracting(each -> Words.say(each.where())).containsExactly("line 2, to");
    }

    @Test
    void whatIsNoWorkbookIsRefusedInASentence() {
        assertThatThrownBy(() -> WireSheet.text("wire,from,to".getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("no spreadsheet that can be read");
    }

    @Test
    void whatIsExportedComesBackTheSame() {
        Assembly assembly = WireList.read(
                        "wire,from,to,colour,function,length_m,area_mm2,class,current_a,spare,max_ohm,note\n"
                                + "W1,J1.1,J2.1,BN,\"horn, left\",8.2,0.5,5,2,,0.4,keep dry\nW2,J1.2,J2.2,WHRD,,8,0.75,2,,yes,,007\n3,J1.3,J2.3,,1.10,100,,,,,,\n")
                .assembly("Cable", AssemblyKind.CABLE, "", Map.of());
        byte[] file = Workbook.write(
                "Wires",
                WireListWriter.columns(),
                assembly.conductors().stream().map(WireListWriter::cells));
        WireList back = WireList.read(WireSheet.text(file));
        assertThat(back.problems()).isEmpty();
        assertThat(back.assembly("Cable", AssemblyKind.CABLE, "", Map.of())).isEqualTo(assembly);
    }

    @Test
    void theSheetOnPaperHasEveryWireWithItsLimitAndSource() {
        Assembly assembly = WireList.read(
                        "wire,from,to,colour,function,length_m,area_mm2\nW1,J1.1,J2.1,BN,horn,8.2,0.5\n")
                .assembly("Cable", AssemblyKind.CABLE, "", Map.of());
        AssemblySheet sheet = AssemblySheet.of(new Revision(1, 2, 3, "bench", java.time.Instant.EPOCH, assembly));
        AssemblySheet.WireLineOnPaper wire = sheet.wires().get(0);
        assertThat(List.of(wire.wire(), wire.from(), wire.to(), wire.function(), wire.size()))
                .containsExactly("W1", "J1.1", "J2.1", "horn", "8.2 m, 0.5 mm²");
        assertThat(wire.limit()).endsWith(" Ω");
        assertThat(wire.source()).contains("IEC 60228");
        assertThat(sheet.connectors()).hasSize(2);
    }

    @Test
    void theSheetOnPaperSaysWhichWiresMeetAndWhatIsClosedWhen() {
        Assembly assembly = AssemblyReader.read("""
                        {"format": "zesty-marten/assembly", "version": 1, "name": "Panel", "kind": "harness",
                         "joints": [{"id": "S1", "kind": "splice", "probe": true}],
                         "conductors": [{"id": "W1", "from": "J1.1", "to": "S1"}, {"id": "W2", "from": "S1", "to": "J2.1"},
                                        {"id": "W3", "from": "S1", "to": "J2.2"}, {"id": "W4", "from": "J1.2", "to": "T9"},
                                        {"id": "W5", "from": "T9", "to": "J2.3"}],
                         "components": [{"id": "SW", "kind": "switch", "a": "J1.1", "b": "J1.2"}],
                         "states": [{"id": "rest", "closed": []}, {"id": "held", "closed": ["SW"]}],
                         "frame": {"bonded": ["J2.3"]}}
                        """, new ArrayList<>()).orElseThrow();
        AssemblySheet sheet = AssemblySheet.of(new Revision(1, 2, 3, "bench", java.time.Instant.EPOCH, assembly));
        assertThat(sheet.joints())
                .containsExactly(
                        new AssemblySheet.JointOnPaper("S1", "splice", "W1 W2 W3", "a probe reaches it"),
                        new AssemblySheet.JointOnPaper("T9", "joint", "W4 W5", "no probe reaches it"),
                        new AssemblySheet.JointOnPaper("J2.3", "bonded to the frame", "W5", ""));
        assertThat(sheet.positions())
                .containsExactly(
                        new AssemblySheet.PositionOnPaper("rest", "nothing closed"),
                        new AssemblySheet.PositionOnPaper("held", "closed: SW"));
    }
}
