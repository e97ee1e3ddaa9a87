package zestymarten.web.circuit;

import java.util.List;
import java.util.Optional;
import zestymarten.core.circuit.CircuitComparison.ComparisonState;
import zestymarten.core.circuit.CircuitReport;
import zestymarten.core.circuit.Tests;
import zestymarten.web.platform.Words;

/**
 * A sheet in words, for the page and for paper.
 *
 * @param now what to do for the first reading that is missing
 */
record ReportView(
        Tests tests, ComparisonState verdict, List<String> says, Optional<String> now, List<ReportLineView> lines) {

    /** The verdict as a person reads it. */
    public String result() {
        return Words.say(verdict);
    }

    /** A line; an empty text where there is nothing. */
    record ReportLineView(
            String step, String what, String read, String expected, ComparisonState state, String source) {
        List<String> cells() {
            return List.of(step, what, read, expected, result(), source);
        }

        /** The result as a person reads it; empty where there is none yet. */
        public String result() {
            return state == ComparisonState.NOT_TESTED ? "" : Words.say(state);
        }
    }

    static ReportView of(CircuitReport report) {
        return new ReportView(
                report.tests(),
                report.verdict(),
                Words.all(report.says()),
                report.now().map(Words::say),
                report.lines().stream()
                        .map(each -> new ReportLineView(
                                Words.say(each.step()),
                                Words.say(each.what()),
                                Words.say(each.read()),
                                Words.say(each.expected()),
                                each.state(),
                                Words.say(each.source())))
                        .toList());
    }
}
