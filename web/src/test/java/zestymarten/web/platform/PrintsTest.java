package zestymarten.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

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
}
