package zestymarten.core.assembly;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class FaceTest {
    @Test
    void readsALayoutAsAPersonWritesIt() {
        assertThat(Face.parse("12")).contains(Face.line(12));
        assertThat(Face.parse(" 3 x 4 ")).contains(Face.grid(3, 4));
        assertThat(Face.parse("Ring 7")).contains(Face.ring(7));
        for (Face face : new Face[] {Face.line(5), Face.grid(2, 9), Face.ring(19)}) {
            assertThat(Face.parse(face.text())).contains(face);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "0", "3x", "x4", "3x0", "ring 3x4", "10001", "200x200", "many", "-3"})
    void refusesWhatIsNoLayout(String text) {
        assertThat(Face.parse(text)).isEmpty();
    }

    @Test
    void cannotBeWrong() {
        assertThatThrownBy(() -> new Face(Face.Shape.RING, 2, 4)).hasMessage("Only a grid has rows; this ring has 2.");
        assertThatThrownBy(() -> Face.grid(0, 4)).hasMessage("A face must have 1 to 10000 cavities, not 0 by 4.");
    }
}
