package zestymarten.web.statistics;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class StatisticsViewTest {
    private static StatisticsView view(TestCounts counts) {
        return StatisticsView.of(counts, List.of(new FaultCount("open", 3)), List.of(), 500);
    }

    @Test
    void aRateIsSaidOnlyOfEnoughTests() {
        assertThat(view(new TestCounts(4, 3, 1, 1, 12)).firstPass()).isEqualTo("1 of 1 unit");
        assertThat(view(new TestCounts(4, 3, 4, 3, 12)).passed()).isEqualTo("3 of 4 tests");
        assertThat(view(new TestCounts(40, 30, 22, 20, 12)).passed()).isEqualTo("30 of 40 tests, 75 %");
        assertThat(view(new TestCounts(40, 30, 22, 20, 12)).firstPass()).isEqualTo("20 of 22 units, 91 %");
    }

    @Test
    void whatIsCountedAndHowLongItTakesIsSaid() {
        assertThat(view(new TestCounts(500, 400, 300, 200, 0.4)).basis()).isEqualTo("The last 500 tests.");
        assertThat(view(new TestCounts(1, 1, 1, 1, 0.4)).basis()).isEqualTo("One test.");
        assertThat(view(new TestCounts(1, 1, 1, 1, 0.4)).time()).isEqualTo("below 1 min");
        assertThat(view(new TestCounts(9, 1, 1, 1, 14.4)).time()).isEqualTo("14 min");
        assertThat(view(new TestCounts(9, 1, 1, 1, 2000)).time()).startsWith("more than a day");
        assertThat(view(new TestCounts(0, 0, 0, 0, 0)).any()).isFalse();
    }

    @Test
    void aBarIsAShareOfTheTests() {
        assertThat(view(new TestCounts(4, 1, 4, 1, 12)).kinds())
                .containsExactly(new StatisticsView.Bar("open circuit", 3, 4, "3 of 4 tests"));
    }
}
