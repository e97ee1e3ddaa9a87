package zestymarten.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Metres;

/** Forms as they are typed, and tables as they are given out. */
class TypedFormTest {
    private static final Message LENGTH = Metres.EXPECTED;

    @Test
    void figuresAreUnderstoodAsReadingsAre() {
        TypedForm typed = new TypedForm(Map.of("a", " 2k2 ", "b", "0,5", "c", "", "d", "zero", "e", "0"));
        assertThat(typed.figure("a", LENGTH).orElseThrow()).isEqualTo(2200);
        assertThat(typed.figure("b", 7)).isEqualTo(0.5);
        assertThat(typed.figure("c", LENGTH)).isEmpty();
        assertThat(typed.figure("missing", 7)).isEqualTo(7);
        assertThat(typed.isSound()).isTrue();
        assertThat(typed.figure("d", 7)).isEqualTo(7);
        assertThat(typed.figure("d", 7)).isEqualTo(7);
        assertThat(typed.figure("e", LENGTH)).isEmpty();
        assertThat(ProblemView.all(typed.problems()))
                .containsExactly(
                        new ProblemView("d", "“zero” is not accepted; expected a figure such as 7."),
                        new ProblemView("e", "“0” is not accepted; expected a length such as 8, 8 m or 26 ft."));
    }

    @Test
    void temperaturesMayBeBelowZero() {
        TypedForm typed = new TypedForm(Map.of("a", "-5", "b", "hot"));
        assertThat(typed.celsius("a", 20)).isEqualTo(-5);
        assertThat(typed.celsius("missing", 20)).isEqualTo(20);
        assertThat(typed.celsius("b", 20)).isEqualTo(20);
        assertThat(typed.problems())
                .singleElement()
                .satisfies(each -> assertThat(Words.say(each.what())).startsWith("“hot” is not accepted; expected "));
    }

    @Test
    void textsHaveNoSpaceAroundThem() {
        TypedForm typed = new TypedForm(Map.of("name", "  Depot ring 2 ", "blank", "  "));
        assertThat(typed.text("name")).isEqualTo("Depot ring 2");
        assertThat(typed.text("blank", "usual")).isEqualTo("usual");
        assertThat(typed.has("blank")).isFalse();
        assertThat(typed.text("missing")).isEmpty();
    }

    @Test
    void noCellCanBeTakenForAFormula() {
        assertThat(Csv.write(List.of("what", "read"), List.of(List.of("=1+1", "0.2 Ω"), List.of("a,b", "say \"x\""))))
                .isEqualTo("what,read\r\n'=1+1,0.2 Ω\r\n\"a,b\",\"say \"\"x\"\"\"\r\n");
    }
}
