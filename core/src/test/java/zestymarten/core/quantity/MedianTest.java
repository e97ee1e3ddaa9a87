package zestymarten.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;

class MedianTest {
    @Test
    void isTheMiddleOne() {
        assertThat(Median.of(DoubleStream.of(7))).isEqualTo(7);
        assertThat(Median.of(DoubleStream.of(9, 1, 2))).isEqualTo(2);
        assertThat(Median.of(DoubleStream.of(9, 1, 2, 4))).isEqualTo(3);
        assertThatThrownBy(() -> Median.of(DoubleStream.empty())).isInstanceOf(IllegalArgumentException.class);
    }
}
