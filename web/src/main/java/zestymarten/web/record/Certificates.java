package zestymarten.web.record;

import java.util.Map;
import org.springframework.stereotype.Component;
import zestymarten.web.platform.Prints;

/** What is printed of a run and its unit. */
@Component
class Certificates {
    private final Prints prints;

    Certificates(Prints prints) {
        this.prints = prints;
    }

    byte[] pdf(RecordView view) {
        return prints.pdf("record/certificate", Map.of("record", view));
    }

    /** The labels of a unit, to be cut out. */
    byte[] labels(LabelController.LabelSheet sheet) {
        return prints.pdf("record/labels", Map.of("sheet", sheet));
    }
}
