package zestymarten.web.record;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import zestymarten.core.quantity.Message;
import zestymarten.web.platform.Words;
import zestymarten.web.record.RecordResult.ReadingLine;

/**
 * The readings of a test as a certificate prints them: all of a short one; of a long one every reading that is not a plain pass,
 * and the passes of each stage in a line. All of them stand in the annex.
 *
 * @param shown one by one
 * @param passed the passes that are not, by stage; none where all are shown
 * @param all how many readings there are
 * @param left how many more that are no plain pass stand in the annex alone
 */
record ReadingDigest(List<ReadingLine> shown, List<PassedReadings> passed, int all, int left) {
    /** A certificate of so many readings is still read by somebody. */
    private static final int MAX = 400;

    /**
     * Passes of one stage.
     *
     * @param span from the lowest to the highest corrected figure; empty where none has a figure
     * @param numbers those of the first and the last
     */
    record PassedReadings(String stage, int count, String span, String numbers) {}

    static ReadingDigest of(List<ReadingLine> all) {
        if (all.size() <= MAX) {
            return new ReadingDigest(all, List.of(), all.size(), 0);
        }
        Map<String, List<ReadingLine>> passes = new LinkedHashMap<>();
        List<ReadingLine> others = new ArrayList<>();
        for (ReadingLine each : all) {
            if (each.state().equals("pass") && !each.takenBack()) {
                passes.computeIfAbsent(each.stage(), any -> new ArrayList<>()).add(each);
            } else {
                others.add(each);
            }
        }
        return new ReadingDigest(
                others.subList(0, Math.min(MAX, others.size())),
                passes.entrySet().stream()
                        .map(each -> passed(each.getKey(), each.getValue()))
                        .toList(),
                all.size(),
                Math.max(0, others.size() - MAX));
    }

    private static PassedReadings passed(String stage, List<ReadingLine> lines) {
        OptionalDouble minimum = figures(lines).min();
        OptionalDouble maximum = figures(lines).max();
        return new PassedReadings(
                stage,
                lines.size(),
                minimum.isEmpty()
                        ? ""
                        : Words.say(
                                "reading_digest.passed",
                                Message.figure(minimum.getAsDouble(), "Ω"),
                                Message.figure(maximum.getAsDouble(), "Ω")),
                Words.say(
                        "reading_digest.passed",
                        lines.get(0).sequence(),
                        lines.get(lines.size() - 1).sequence()));
    }

    private static DoubleStream figures(List<ReadingLine> lines) {
        return lines.stream()
                .filter(each -> !each.corrected().isEmpty())
                .mapToDouble(each -> Double.parseDouble(each.corrected()));
    }

    /** Whether every reading is shown. */
    public boolean isWhole() {
        return passed.isEmpty() && left == 0;
    }
}
