package zestymarten.web.record;

import java.util.List;
import zestymarten.web.drawing.WiringDrawing;

/** A certificate as ready text: the page, the PDF and the CSV are all printed from this one value. */
record RecordView(
        long id,
        boolean ended,
        String unit,
        String assembly,
        long assemblyId,
        String revision,
        String meter,
        String leads,
        String decision,
        String ambient,
        String started,
        String finished,
        String verdict,
        String verdictState,
        String summary,
        List<String> notShown,
        String method,
        List<FindingLine> findings,
        List<RepairLine> repairs,
        String complaint,
        List<String> insulation,
        List<ReadingLine> readings,
        WiringDrawing drawing) {

    /** A finding with what stands behind it. */
    record FindingLine(String kind, String text, String evidence, String functionsLost) {}

    /** How something was put right. */
    record RepairLine(String number, String what, String cause, String prevention, String by) {}

    /** A reading, raw and corrected, with its limit and the limit's source. */
    record ReadingLine(
            int sequence,
            String stage,
            String a,
            String b,
            String setup,
            String position,
            String asTyped,
            String understood,
            String value,
            String unit,
            String qualifier,
            String corrected,
            String correctedText,
            String limitLow,
            String limitHigh,
            String limitText,
            String source,
            String judgement,
            String state,
            boolean takenBack,
            String at,
            String by) {}
}
