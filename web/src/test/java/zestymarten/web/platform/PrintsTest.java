package zestymarten.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** A control character from a paste costs itself, and no certificate. */
class PrintsTest {
    @Test
    void whatXmlCannotWriteIsLeftOutAndAllElseStays() {
        assertThat(Prints.printable("a\u000bb&#xB;c&#11;d\uFFFEe")).isEqualTo("abcde");
        assertThat(Prints.printable("\u0000\u001f\ud800")).isEmpty();
        String words = "Łódź &amp; 0.3 Ω &#39;x&#39; &#x3a9; \t\n \uD83D\uDE80";
        assertThat(Prints.printable(words)).isEqualTo(words);
    }

    @Test
    void namesInOtherScriptsArePrintedAsTheyAre() throws IOException {
        String names = "Łódź ğşİ ő ΑΒΓ-12 Кабель Việt №5 ₂ → ≤";
        byte[] pdf = Prints.print("<html><head><title>-</title></head><body>" + names + "</body></html>");
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(new PDFTextStripper().getText(document))
                    .doesNotContain("#")
                    .contains("Кабель", "ΑΒΓ-12", "Łódź");
        }
    }
}
