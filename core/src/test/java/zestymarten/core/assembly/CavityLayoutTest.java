package zestymarten.core.assembly;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CavityLayoutTest {
    @Test
    void readsALayoutAsAPersonWritesIt() {
        assertThat(CavityLayout.parse("12")).contains(CavityLayout.line(12));
        assertThat(CavityLayout.parse(" 3 x 4 ")).contains(CavityLayout.grid(3, 4));
        assertThat(CavityLayout.parse("Ring 7")).contains(CavityLayout.ring(7));
        for (CavityLayout face :
                new CavityLayout[] {CavityLayout.line(5), CavityLayout.grid(2, 9), CavityLayout.ring(19)}) {
            assertThat(CavityLayout.parse(face.text())).contains(face);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "0", "3x", "x4", "3x0", "ring 3x4", "10001", "200x200", "many", "-3"})
    void refusesWhatIsNoLayout(String text) {
        assertThat(CavityLayout.parse(text)).isEmpty();
    }

    @Test
    void cannotBeWrong() {
        assertThatThrownBy(() -> new CavityLayout(CavityLayout.Shape.RING, 2, 4))
                .hasMessage("cavity_layout.only_grid_rows[ring, 2]");
        assertThatThrownBy(() -> CavityLayout.grid(0, 4)).hasMessage("cavity_layout.face_have_cavities[10000, 0, 4]");
    }
}
