package zestymarten.web.record;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import zestymarten.web.platform.Prints;
import zestymarten.web.platform.PublicAddress;
import zestymarten.web.platform.Qr;

/** What is printed of a run and its unit. */
@Component
class Certificates {
    private final Prints prints;
    private final PublicAddress address;

    Certificates(Prints prints, PublicAddress address) {
        this.address = address;
        this.prints = prints;
    }

    /** With its seal, and the address at which the paper is compared with the data. */
    byte[] pdf(RecordView view, Optional<Seal> seal) {
        return prints.pdf(
                "record/certificate",
                Map.of("record", view, "seal", seal, "check", seal.map(each -> Qr.of(address(view.id(), each)))));
    }

    private String address(long run, Seal seal) {
        return address.of("/runs/" + run + "/record?seal=" + seal.printed());
    }

    /** The label of a unit as a drawing. */
    String label(LabelController.LabelSheet sheet) {
        return prints.drawing("record/label", Map.of("label", sheet));
    }

    /** The labels of units and of the ends of their wires, to be cut out. */
    byte[] labels(List<LabelController.LabelSheet> sheets) {
        return prints.pdf("record/labels", Map.of("sheets", sheets));
    }
}
