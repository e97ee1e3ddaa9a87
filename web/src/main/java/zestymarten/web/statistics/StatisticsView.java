package zestymarten.web.statistics;

import java.util.List;
import java.util.function.UnaryOperator;
import zestymarten.core.finding.Finding;
import zestymarten.web.platform.Words;

/**
 * What the tests of an assembly come to, as text and bars.
 *
 * @param any whether any test has ended
 * @param basis which tests were counted
 * @param firstPass how many units passed at their first test
 * @param passed how many tests passed
 * @param time the median time of a test
 */
public record StatisticsView(
        boolean any, String basis, String firstPass, String passed, String time, List<Bar> kinds, List<Bar> places) {
    private static final double MINUTES_OF_A_DAY = 24 * 60;

    public StatisticsView {
        kinds = List.copyOf(kinds);
        places = List.copyOf(places);
    }

    /** A count against the tests that it is of: at most all of them. */
    public record Bar(String name, int tests, int of, String said) {}

    static StatisticsView of(TestCounts tests, List<FaultCount> kinds, List<FaultCount> places, int last) {
        String basis = tests.tests() >= last
                ? Words.say("statistics_view.last_tests", last)
                : Words.say("statistics_view.tests", tests.tests());
        return new StatisticsView(
                tests.tests() > 0,
                basis,
                share("statistics_view.of_units", tests.firstPassed(), tests.units()),
                share("statistics_view.of_tests", tests.passed(), tests.tests()),
                time(tests.minutes()),
                bars(kinds, tests.tests(), each -> Words.say(Finding.wordOf(each))),
                bars(places, tests.tests(), each -> each));
    }

    /** Small numbers say no per cent: three of four is no rate. */
    private static String share(String code, int part, int all) {
        String counted = Words.say(code, part, all);
        return all < 20 ? counted : Words.say("statistics_view.with_percent", counted, Math.round(100.0 * part / all));
    }

    private static String time(double minutes) {
        if (minutes >= MINUTES_OF_A_DAY) {
            return Words.say("statistics_view.more_than_day_tests");
        }
        return minutes < 1
                ? Words.say("statistics_view.below_minute")
                : Words.say("statistics_view.minutes", Math.round(minutes));
    }

    private static List<Bar> bars(List<FaultCount> counts, int all, UnaryOperator<String> words) {
        return counts.stream()
                .map(each -> new Bar(
                        words.apply(each.name()),
                        each.tests(),
                        all,
                        share("statistics_view.of_tests", each.tests(), all)))
                .toList();
    }
}
