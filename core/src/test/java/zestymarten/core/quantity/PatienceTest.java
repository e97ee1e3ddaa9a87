package zestymarten.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.WireList;

class PatienceTest {
    @Test
    void withoutAWordItHasNoEnd() {
        assertThatCode(Patience::check).doesNotThrowAnyException();
        assertThat(Patience.within(() -> false, () -> "done")).isEqualTo("done");
    }

    @Test
    void isOverForTheWorkAndNotAfterIt() {
        assertThatThrownBy(() -> Patience.within(() -> true, () -> {
                    Patience.check();
                    return "";
                }))
                .isInstanceOf(Patience.TookTooLong.class);
        assertThatCode(Patience::check).doesNotThrowAnyException();
    }

    @Test
    void aLongWireListEndsAtOnce() {
        String list = "from,to\n"
                + IntStream.range(0, 5000).mapToObj(i -> "A." + i + ",B." + i).collect(Collectors.joining("\n"));
        assertThatThrownBy(() -> Patience.within(() -> true, () -> WireList.read(list)))
                .isInstanceOf(Patience.TookTooLong.class);
    }
}
