package zestymarten.web.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zestymarten.core.assembly.Colour;
import zestymarten.core.portable.LeadTest;
import zestymarten.core.portable.LeadVerdict;
import zestymarten.core.testrun.StepState;
import zestymarten.web.platform.Words;

/**
 * A lead of a batch between its plug and its socket, each item on a line of its own in the order in which it is asked for. Places
 * are in pixels of the drawing.
 */
public record LeadDrawing(double width, double height, double bodyHeight, List<LeadDrawingRow> rows) {
    private static final double FIRST_Y = 92;
    private static final double STEP = 58;

    public LeadDrawing {
        rows = List.copyOf(rows);
    }

    /**
     * An item: where its slot is, what is drawn behind it, how it stands.
     *
     * @param kind look, core, fuse, apart or insulation
     * @param from pin at the plug, {@code to} at the socket; empty where it is no core
     */
    public record LeadDrawingRow(
            String id,
            String kind,
            String name,
            double y,
            String from,
            String to,
            Optional<String> base,
            Optional<String> tracer,
            String typed,
            String state,
            ExpectedText expected) {}

    /** What a good lead reads: in a few words, and with where that comes from. */
    public record ExpectedText(String brief, String whole) {}

    /** Draws a lead as far as it is judged. */
    public static LeadDrawing of(LeadTest check, LeadVerdict verdict) {
        List<LeadDrawingRow> rows = new ArrayList<>();
        double y = 34;
        for (LeadTest.ItemAnswer answer : verdict.answers()) {
            rows.add(row(check, answer, y));
            y = rows.size() == 1 ? FIRST_Y : y + STEP;
        }
        return new LeadDrawing(1000, y + 4, y - FIRST_Y - STEP + 4, rows);
    }

    private static LeadDrawingRow row(LeadTest check, LeadTest.ItemAnswer answer, double y) {
        LeadTest.Item item = answer.item();
        String state = answer.judgement()
                .map(each -> StepState.of(each.verdict()))
                .orElse(StepState.NOT_TESTED)
                .code();
        ExpectedText expected = new ExpectedText(Words.say(check.brief(item)), Words.say(check.expected(item)));
        if (item instanceof LeadTest.Item.Core core) {
            Optional<Colour> colour = core.wire().colour();
            return new LeadDrawingRow(
                    item.id(),
                    "core",
                    core.wire().id(),
                    y,
                    core.wire().from().name(),
                    core.wire().to().name(),
                    colour.flatMap(Colour::base),
                    colour.flatMap(Colour::tracer),
                    answer.typed(),
                    state,
                    expected);
        }
        String kind = item instanceof LeadTest.Item.Fuse
                ? "fuse"
                : item instanceof LeadTest.Item.CoresApart ? "apart" : item.id();
        return new LeadDrawingRow(
                item.id(),
                kind,
                Words.say(LeadVerdict.name(item)),
                y,
                "",
                "",
                Optional.empty(),
                Optional.empty(),
                answer.typed(),
                state,
                expected);
    }
}
