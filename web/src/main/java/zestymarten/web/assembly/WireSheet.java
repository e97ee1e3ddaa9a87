package zestymarten.web.assembly;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import javax.xml.parsers.ParserConfigurationException;
import org.apache.poi.ooxml.POIXMLException;
import org.apache.poi.openxml4j.exceptions.OpenXML4JException;
import org.apache.poi.openxml4j.exceptions.OpenXML4JRuntimeException;
import org.apache.poi.openxml4j.opc.OPCPackage;
import org.apache.poi.ss.usermodel.DataFormatter;
import org.apache.poi.ss.util.CellReference;
import org.apache.poi.util.RecordFormatException;
import org.apache.poi.util.XMLHelper;
import org.apache.poi.xssf.eventusermodel.ReadOnlySharedStringsTable;
import org.apache.poi.xssf.eventusermodel.XSSFReader;
import org.apache.poi.xssf.eventusermodel.XSSFSheetXMLHandler;
import org.apache.poi.xssf.usermodel.XSSFComment;
import org.jspecify.annotations.Nullable;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;
import org.xml.sax.XMLReader;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Patience;
import zestymarten.web.platform.Refusal;

/**
 * A wire list that came as a spreadsheet: its first sheet as tab-separated text, read by the same reader as any other.
 * Read cell by cell, so that a sheet with more than a wire list can hold is refused as soon as that shows.
 */
public final class WireSheet {
    private static final int MAX_BYTES = 8 * 1024 * 1024;
    private static final int MAX_COLUMNS = 60;
    private static final int MAX_ROWS = Assembly.MAX_CONDUCTORS + 1000;
    private static final int MAX_CHARACTERS = 16_000_000;

    private WireSheet() {}

    /**
     * The first sheet as text, a line a row and a tab between cells; formulas count as their last value.
     *
     * @throws Refusal if it is no such file, too large, or grows beyond measure when it is unpacked
     */
    public static String text(byte[] file) {
        if (file.length > MAX_BYTES) {
            throw new Refusal("", Message.of("wire_sheet.file_has_more_than"));
        }
        try (OPCPackage book = OPCPackage.open(new ByteArrayInputStream(file))) {
            XSSFReader reader = new XSSFReader(book);
            Iterator<InputStream> sheets = reader.getSheetsData();
            if (!sheets.hasNext()) {
                throw notRead();
            }
            try (InputStream first = sheets.next()) {
                return lines(reader, new ReadOnlySharedStringsTable(book), first);
            }
        } catch (IOException
                | SAXException
                | ParserConfigurationException
                | OpenXML4JException
                | POIXMLException
                | OpenXML4JRuntimeException
                | RecordFormatException
                | IllegalArgumentException e) {
            throw notRead();
        }
    }

    private static Refusal notRead() {
        return new Refusal("", Message.of("wire_sheet.that_no_spreadsheet_that"));
    }

    private static String lines(XSSFReader reader, ReadOnlySharedStringsTable texts, InputStream sheet)
            throws IOException, SAXException, ParserConfigurationException, OpenXML4JException {
        DataFormatter plain = new DataFormatter(Locale.ROOT);
        plain.setUseCachedValuesForFormulaCells(true);
        Rows rows = new Rows();
        XMLReader xml = XMLHelper.newXMLReader();
        xml.setContentHandler(new XSSFSheetXMLHandler(reader.getStylesTable(), null, texts, rows, plain, false));
        xml.parse(new InputSource(sheet));
        return rows.text.toString();
    }

    /** Rows as they come; rows and cells that are left out are empty. */
    private static final class Rows implements XSSFSheetXMLHandler.SheetContentsHandler {
        private final StringBuilder text = new StringBuilder();
        private final List<String> cells = new ArrayList<>();
        private int next;

        @Override
        public void startRow(int row) {
            Patience.check();
            if (row >= MAX_ROWS) {
                throw new Refusal("", Message.of("rows.sheet_has_more_rows", Assembly.MAX_CONDUCTORS));
            }
            text.append("\n".repeat(Math.max(0, row - next)));
            next = row + 1;
            cells.clear();
        }

        @Override
        public void endRow(int row) {
            text.append(String.join("\t", cells)).append('\n');
            if (text.length() > MAX_CHARACTERS) {
                throw new Refusal("", Message.of("rows.sheet_holds_more_than", MAX_CHARACTERS));
            }
        }

        @Override
        public void cell(@Nullable String place, @Nullable String value, @Nullable XSSFComment comment) {
            int column = place == null ? cells.size() : new CellReference(place).getCol();
            if (column < MAX_COLUMNS && value != null) {
                while (cells.size() < column) {
                    cells.add("");
                }
                cells.add(value.replaceAll("[\\t\\r\\n]+", " "));
            }
        }
    }
}
