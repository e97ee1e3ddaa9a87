package zestymarten.web.record;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.springframework.core.io.ClassPathResource;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Patience;
import zestymarten.web.platform.Words;
import zestymarten.web.record.RecordResult.ReadingLine;

/**
 * Every reading of a test on paper, a line each. Drawn line by line instead of laid out as a page, so that a test of 20 000
 * readings takes seconds: cost linear in the readings.
 */
final class Annex {
    private static final float MARGIN = 36;
    private static final float SIZE = 7;
    private static final float LINE = 10;
    private static final float HEAD = 60;
    private static final String ELLIPSIS = "…";

    /** Headings with their left edges in points. */
    private static final List<AnnexColumn> COLUMNS = List.of(
            new AnnexColumn(Words.say(Message.of("record_body_page.no")), 0, 28),
            new AnnexColumn(Words.say(Message.of("record_body_page.step")), 30, 78),
            new AnnexColumn(Words.say(Message.of("record_body_page.black")), 110, 58),
            new AnnexColumn(Words.say(Message.of("record_body_page.red")), 170, 58),
            new AnnexColumn(Words.say(Message.of("annex.as_typed")), 230, 52),
            new AnnexColumn(Words.say(Message.of("annex.read_as")), 284, 76),
            new AnnexColumn(Words.say(Message.of("record_body_page.corrected")), 362, 52),
            new AnnexColumn(Words.say(Message.of("annex.limit")), 416, 64),
            new AnnexColumn(Words.say(Message.of("record_body_page.judged")), 482, 41));

    private record AnnexColumn(String name, float left, float width) {}

    private final PDDocument document = new PDDocument();
    private final PDFont font;
    private final PDFont other;
    private final Map<Integer, Boolean> known = new HashMap<>();

    private Annex() throws IOException {
        font = font("atkinson-hyperlegible-next-400");
        other = font("dejavu-sans");
    }

    private PDFont font(String file) throws IOException {
        try (InputStream in = new ClassPathResource("pdf/" + file + ".ttf").getInputStream()) {
            return PDType0Font.load(document, in);
        }
    }

    /** Writes the annex of a record. */
    static void write(RecordView view, Optional<Seal> seal, OutputStream out) throws IOException {
        Annex annex = new Annex();
        try (PDDocument document = annex.document) {
            annex.pages(view, seal);
            document.save(out);
        }
    }

    private void pages(RecordView view, Optional<Seal> seal) throws IOException {
        List<ReadingLine> lines = view.result().readings();
        int onAPage = (int) ((PDRectangle.A4.getHeight() - 2 * MARGIN - HEAD) / LINE);
        int pages = Math.max(1, (lines.size() + onAPage - 1) / onAPage);
        String title = Words.say(
                "annex.readings_test",
                view.unit(),
                view.assembly(),
                view.id(),
                seal.map(each -> Words.say("annex.seal", each.printed())).orElse(Words.say(Message.NONE)));
        for (int page = 0; page < pages; page++) {
            Patience.check();
            PDPage paper = new PDPage(PDRectangle.A4);
            document.addPage(paper);
            try (PDPageContentStream content = new PDPageContentStream(document, paper)) {
                float top = PDRectangle.A4.getHeight() - MARGIN;
                put(content, title, MARGIN, top - 12, 520, 9);
                put(content, Words.say("annex.page", page + 1, pages), MARGIN, MARGIN - 14, 200, SIZE);
                for (AnnexColumn column : COLUMNS) {
                    put(content, column.name(), MARGIN + column.left(), top - 36, column.width(), SIZE);
                }
                int to = Math.min(lines.size(), (page + 1) * onAPage);
                for (int i = page * onAPage; i < to; i++) {
                    line(content, lines.get(i), top - HEAD - (i - page * onAPage) * LINE);
                }
            }
        }
    }

    private void line(PDPageContentStream content, ReadingLine line, float y) throws IOException {
        List<String> cells = List.of(
                String.valueOf(line.sequence()),
                line.atRest()
                        ? line.stage()
                        : line.stage() + " " + Words.say("record_body_page.in_position", line.position()),
                line.a(),
                line.b(),
                line.asTyped(),
                line.understood(),
                line.correctedText(),
                line.limitText(),
                line.takenBack() ? Words.say("annex.taken_back") : line.judgement());
        for (int i = 0; i < COLUMNS.size(); i++) {
            AnnexColumn column = COLUMNS.get(i);
            put(content, cells.get(i), MARGIN + column.left(), y, column.width(), SIZE);
        }
    }

    /** Text in its place, shortened to the width that it has. */
    private void put(PDPageContentStream content, String text, float x, float y, float width, float size)
            throws IOException {
        if (text.isEmpty()) {
            return;
        }
        boolean usual = text.codePoints().allMatch(this::isKnown);
        PDFont used = usual ? font : other;
        String printable = usual ? text : printable(text);
        content.beginText();
        content.setFont(used, size);
        content.newLineAtOffset(x, y);
        content.showText(fitted(used, printable, width, size));
        content.endText();
    }

    private boolean isKnown(int codePoint) {
        return known.computeIfAbsent(codePoint, each -> has(font, each));
    }

    private static boolean has(PDFont font, int codePoint) {
        try {
            font.encode(Character.toString(codePoint));
            return true;
        } catch (IllegalArgumentException | IOException e) {
            return false;
        }
    }

    /** What neither typeface has a letter for is a question mark. */
    private String printable(String text) {
        return text.codePoints()
                .mapToObj(each -> has(other, each) ? Character.toString(each) : "?")
                .collect(Collectors.joining());
    }

    private static String fitted(PDFont font, String text, float width, float size) throws IOException {
        if (font.getStringWidth(text) / 1000 * size <= width) {
            return text;
        }
        String shorter = text;
        while (shorter.length() > 1 && font.getStringWidth(shorter + ELLIPSIS) / 1000 * size > width) {
            shorter = shorter.substring(0, shorter.offsetByCodePoints(shorter.length(), -1));
        }
        return shorter + ELLIPSIS;
    }
}
