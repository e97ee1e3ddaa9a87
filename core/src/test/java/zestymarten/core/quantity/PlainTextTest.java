package zestymarten.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class PlainTextTest {
    @Test
    void keepsWhatPeopleWriteInWhateverScript() {
        for (String text :
                new String[] {"", "W4 green", "Łódź ğş", "Кабель 7", "לוח", "配線", "e\u0301", "\ud83d\udd0c", "a\tb\nc"
                }) {
            assertThat(PlainText.of(text)).isSameAs(text);
        }
    }

    @Test
    void takesOutWhatNoSheetOfPaperShows() {
        assertThat(PlainText.of("a\u000bb\u0000c\u0085d\u007fe")).isEqualTo("abcde");
        assertThat(PlainText.of("x\ud800y\udc00z")).isEqualTo("xyz");
        assertThat(PlainText.of("x\ufffe\uffff\ufdd0y")).isEqualTo("xy");
        assertThat(PlainText.of("x" + new String(Character.toChars(0x1fffe)) + "y"))
                .isEqualTo("xy");
        assertThat(PlainText.of("one\u2028two\u2029")).isEqualTo("onetwo");
    }
}
