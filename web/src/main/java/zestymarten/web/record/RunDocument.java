package zestymarten.web.record;

import java.util.List;

/** A run in the open format {@code zesty-marten/run}: what stands on its certificate, and every reading. */
record RunDocument(
        String format,
        int version,
        long id,
        String unit,
        String assembly,
        String revision,
        String meter,
        String leads,
        String decision,
        String method,
        String ambient,
        String started,
        String finished,
        String verdict,
        String rules,
        List<String> notShown,
        String complaint,
        List<String> insulation,
        List<RecordResult.FindingLine> asFound,
        List<RecordResult.FindingLine> findings,
        List<RecordResult.RepairLine> repairs,
        List<RecordResult.ReadingLine> readings) {

    static RunDocument of(RecordView view) {
        return new RunDocument(
                "zesty-marten/run",
                1,
                view.id(),
                view.unit(),
                view.assembly(),
                view.revision(),
                view.meter(),
                view.leads(),
                view.decision(),
                view.method(),
                view.ambient(),
                view.started(),
                view.finished(),
                view.verdict(),
                view.result().rules(),
                view.result().notShown(),
                view.result().symptoms(),
                view.result().insulation(),
                view.result().asFound(),
                view.result().findings(),
                view.result().repairs(),
                view.result().readings());
    }
}
