package zestymarten.web.record;

import java.util.List;
import java.util.stream.Stream;
import zestymarten.core.assembly.CellText;

/** The readings of a run as rows of text, for files. No cell can be taken for a formula. */
final class ReadingsTable {
    static final List<String> COLUMNS = List.of(
            "step",
            "a",
            "b",
            "setup",
            "state",
            "as_typed",
            "value",
            "unit",
            "qualifier",
            "judgement",
            "limit_low",
            "limit_high",
            "at",
            "by",
            "meter",
            "number",
            "corrected",
            "limit_source",
            "taken_back");

    private ReadingsTable() {}

    static List<List<String>> rows(RecordView view) {
        return view.result().readings().stream().map(line -> row(view, line)).toList();
    }

    private static List<String> row(RecordView view, RecordResult.ReadingLine line) {
        return Stream.of(
                        line.stage(),
                        CellText.safe(line.a()),
                        CellText.safe(line.b()),
                        CellText.safe(line.setup()),
                        CellText.safe(line.position()),
                        CellText.safe(line.asTyped()),
                        line.value(),
                        line.unit(),
                        line.qualifier(),
                        line.judgement(),
                        line.limitLow(),
                        line.limitHigh(),
                        line.at(),
                        line.by(),
                        CellText.safe(view.meter()),
                        String.valueOf(line.sequence()),
                        line.corrected(),
                        CellText.safe(line.source()),
                        line.takenBack() ? "yes" : "")
                .toList();
    }
}
