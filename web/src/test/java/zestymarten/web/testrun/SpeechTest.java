package zestymarten.web.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Terminal;
import zestymarten.web.platform.Words;

/** What is said aloud cannot be taken for something else. */
class SpeechTest {
    private static Speech speech() {
        return new Speech(Words.source());
    }

    private static String said(String terminal) {
        return speech().pin(Terminal.of(terminal), Locale.UK);
    }

    @Test
    void pinsAreSpeltLetterByLetterAndFigureByFigure() {
        assertThat(said("J1.B")).isEqualTo("J, Juliett one, pin B, Bravo");
        assertThat(said("J1.D")).isEqualTo("J, Juliett one, pin D, Delta");
        assertThat(said("X2.19")).isEqualTo("X, X-ray two, pin one niner");
        assertThat(said("X2.15")).isEqualTo("X, X-ray two, pin one fife");
        assertThat(said("S1")).isEqualTo("S, Sierra one");
        assertThat(said("FRAME")).isEqualTo("the frame");
        assertThat(said("Ü1.a+")).isEqualTo("Ü one, pin A, Alpha +");
    }

    @Test
    void everyLetterAndFigureHasAWordOfItsOwn() {
        assertThat(IntStream.concat(IntStream.rangeClosed('A', 'Z'), IntStream.rangeClosed('0', '9'))
                        .mapToObj(each -> said(Character.toString(each))))
                .hasSize(36)
                .doesNotHaveDuplicates()
                .allSatisfy(each -> assertThat(each).hasSizeGreaterThan(2));
    }
}
