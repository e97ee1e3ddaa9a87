package zestymarten.web.record;

import zestymarten.web.drawing.AssemblyDrawing;

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
        String method,
        RecordResult result,
        AssemblyDrawing drawing) {
    /** The readings as a certificate prints them. */
    public ReadingDigest digest() {
        return ReadingDigest.of(result.readings());
    }
}
