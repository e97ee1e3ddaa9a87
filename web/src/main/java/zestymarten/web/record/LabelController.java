package zestymarten.web.record;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.platform.PublicAddress;
import zestymarten.web.platform.Qr;
import zestymarten.web.platform.Words;
import zestymarten.web.unit.UnitRow;
import zestymarten.web.unit.Units;

/** Labels of a unit: one for itself with the way to its record, one for each end of every wire. */
@Controller
class LabelController {
    private static final MediaType SVG = new MediaType("image", "svg+xml", StandardCharsets.UTF_8);

    private final Units units;
    private final Assemblies assemblies;
    private final Certificates certificates;
    private final PublicAddress publicAddress;

    LabelController(Units units, Assemblies assemblies, Certificates certificates, PublicAddress publicAddress) {
        this.publicAddress = publicAddress;
        this.units = units;
        this.assemblies = assemblies;
        this.certificates = certificates;
    }

    /** The label of one end of a wire. */
    record EndLabel(String wire, String here, String there, String words) {}

    /** All labels of a unit as ready text. */
    record LabelSheet(String serial, String assembly, String state, String due, Qr code, List<EndLabel> ends) {}

    /** As an image; a view would be sent as a page, whatever it holds. */
    @GetMapping(path = "/units/{id}/label.svg", produces = "image/svg+xml")
    ResponseEntity<String> svg(@PathVariable long id) {
        return ResponseEntity.ok().contentType(SVG).body(certificates.label(sheet(id)));
    }

    @GetMapping("/units/{id}/labels.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable long id) {
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_PDF).body(certificates.labels(List.of(sheet(id))));
    }

    /** The labels of chosen units themselves, without those of their wires. */
    @PostMapping("/units/labels.pdf")
    ResponseEntity<byte[]> pdf(@RequestParam(name = "unit", defaultValue = "") List<Long> chosen) {
        List<LabelSheet> sheets = units.chosen(chosen).stream()
                .map(each -> sheet(each, List.of()))
                .toList();
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_PDF).body(certificates.labels(sheets));
    }

    private LabelSheet sheet(long id) {
        UnitRow unit = units.find(id);
        List<EndLabel> ends = new ArrayList<>();
        for (Conductor wire : assemblies.latest(unit.assemblyId()).assembly().conductors()) {
            ends.add(end(wire, wire.from(), wire.to()));
            ends.add(end(wire, wire.to(), wire.from()));
        }
        return sheet(unit, ends);
    }

    private LabelSheet sheet(UnitRow unit, List<EndLabel> ends) {
        return new LabelSheet(
                unit.serial(),
                unit.assembly(),
                Words.say(unit.state()),
                unit.due().text(),
                Qr.of(publicAddress.of("/units/" + unit.id())),
                ends);
    }

    private static EndLabel end(Conductor wire, Terminal here, Terminal there) {
        String colour = wire.colour().map(each -> Words.say(each.words())).orElse("");
        String words = (colour + " " + wire.function().orElse("")).strip();
        return new EndLabel(wire.id(), here.name(), there.name(), words);
    }
}
