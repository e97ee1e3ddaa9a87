package zestymarten.web.assembly;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.Principal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyJson;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.assembly.WireList;
import zestymarten.core.assembly.WireListWriter;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.web.platform.Prints;
import zestymarten.web.platform.ProblemView;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Workbook;
import zestymarten.web.unit.Units;

/** Assemblies: the list, one of them, a new one, a changed one, and the files they travel in. */
@Controller
@RequestMapping("/assemblies")
class AssemblyController {
    /** Lines of a preview that are shown; problems are shown whatever their line. */
    private static final int SHOWN = 60;
    /** Connectors whose faces the form asks for; more are drawn as lines. */
    private static final int MAX_CONNECTORS = 12;

    private final Assemblies assemblies;
    private final AssemblyViews views;
    private final Units units;
    private final Prints prints;

    AssemblyController(Assemblies assemblies, AssemblyViews views, Units units, Prints prints) {
        this.prints = prints;
        this.assemblies = assemblies;
        this.views = views;
        this.units = units;
    }

    @GetMapping
    String list(
            @RequestParam(defaultValue = "") String search,
            @RequestParam(defaultValue = "0") int page,
            @RequestParam(defaultValue = "false") boolean archived,
            Model model) {
        int shown = Math.max(0, Math.min(page, Assemblies.LAST_PAGE));
        List<AssemblyLine> lines = assemblies.page(search, shown, archived);
        model.addAttribute("archived", archived);
        model.addAttribute("lines", lines);
        model.addAttribute("search", search);
        model.addAttribute("page", shown);
        model.addAttribute("more", lines.size() == Assemblies.PAGE && shown < Assemblies.LAST_PAGE);
        model.addAttribute("last", lines.size() == Assemblies.PAGE && shown == Assemblies.LAST_PAGE);
        return "assembly/list";
    }

    @GetMapping("/new")
    String fresh(Model model) {
        model.addAttribute("kinds", AssemblyViews.kinds());
        model.addAttribute("templates", AssemblyTemplate.values());
        return "assembly/new";
    }

    @GetMapping("/{id}")
    String one(@PathVariable long id, Model model) {
        model.addAttribute("assembly", views.view(assemblies.latest(id)));
        model.addAttribute("units", units.of(id));
        model.addAttribute("signed", assemblies.needsSignOff(id));
        model.addAttribute("archived", assemblies.isArchived(id));
        return "assembly/assembly";
    }

    @GetMapping("/{id}/change")
    String change(@PathVariable long id, Model model) {
        Revision revision = assemblies.latest(id);
        model.addAttribute("revision", revision);
        model.addAttribute("list", WireListWriter.csv(revision.assembly()));
        model.addAttribute("cavities", AssemblyForm.faces(revision.assembly()));
        model.addAttribute("kinds", AssemblyViews.kinds());
        return "assembly/change";
    }

    /** Each line as understood, with every problem; nothing is kept. */
    @PostMapping("/preview")
    String preview(
            @RequestParam(defaultValue = "") String list,
            @RequestParam MultiValueMap<String, String> fields,
            Model model) {
        WireList read = list.isBlank() ? new WireList(List.of(), List.of(), List.of()) : WireList.read(list);
        AssemblyForm form = new AssemblyForm(fields);
        Map<String, String> cavities = new LinkedHashMap<>();
        for (Conductor conductor : read.conductors()) {
            for (Terminal end : List.of(conductor.from(), conductor.to())) {
                if (end.isPin() && cavities.size() < MAX_CONNECTORS && !form.asksForFaceOf(end.connector())) {
                    cavities.put(end.connector(), form.face(end.connector()));
                }
            }
        }
        model.addAttribute("list", read);
        model.addAttribute("lines", read.lines().stream().limit(SHOWN).toList());
        model.addAttribute(
                "problems",
                ProblemView.all(read.problems().stream().limit(SHOWN).toList()));
        model.addAttribute("cavities", cavities);
        return "assembly/preview";
    }

    /** A workbook as the text of a wire list, to be looked over in the field before anything is saved. */
    @PostMapping("/spreadsheet")
    ResponseEntity<String> spreadsheet(@RequestParam MultipartFile file) throws IOException {
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "plain", StandardCharsets.UTF_8))
                .body(WireSheet.text(file.getBytes()));
    }

    @PostMapping
    ResponseEntity<Void> create(@RequestParam MultiValueMap<String, String> fields, Principal who) {
        Revision made = assemblies.create(new AssemblyForm(fields).fromList(), who.getName());
        return goTo("/assemblies/" + made.assemblyId());
    }

    /** The quick way: made and straight on to the test of its first unit. */
    @PostMapping("/straight-through")
    ResponseEntity<Void> straightThrough(@RequestParam MultiValueMap<String, String> fields, Principal who) {
        AssemblyForm form = new AssemblyForm(fields);
        Revision made = assemblies.create(form.straightThrough(), who.getName());
        return goTo("/assemblies/" + made.assemblyId() + "/test");
    }

    @PostMapping("/{id}")
    ResponseEntity<Void> revise(
            @PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Principal who) {
        Assembly before = assemblies.latest(id).assembly();
        fields.set("name", before.name());
        Revision made = assemblies.revise(id, withParts(new AssemblyForm(fields).fromList(), before), who.getName());
        return goTo("/assemblies/" + made.assemblyId());
    }

    /** The list is of wires; joints, components and states of the wiring stay as they are. */
    private static Assembly withParts(Assembly changed, Assembly before) {
        try {
            return changed.withPartsOf(before);
        } catch (NotAccepted e) {
            throw new Refusal("list", Message.of("assembly_controller.keep_wire_on_that", e.what()));
        }
    }

    /** Archived, or restored: it is in no list any more, or in the lists again. */
    @PostMapping("/{id}/archived")
    String archived(@PathVariable long id, @RequestParam(defaultValue = "false") boolean archived) {
        assemblies.setArchived(id, archived);
        return "redirect:/assemblies/" + id;
    }

    @PostMapping("/{id}/name")
    ResponseEntity<Void> rename(@PathVariable long id, @RequestParam(defaultValue = "") String name) {
        assemblies.rename(id, name);
        return goTo("/assemblies/" + id);
    }

    /** Another assembly like the latest revision of this one, with a history of its own. */
    @PostMapping("/{id}/duplicate")
    ResponseEntity<Void> duplicate(@PathVariable long id, @RequestParam(defaultValue = "") String name, Principal who) {
        return goTo(
                "/assemblies/" + assemblies.duplicate(id, name, who.getName()).assemblyId());
    }

    /** Whether a second role has to sign for tests; the rules of the platform let only a lead hand decide it. */
    @PostMapping("/{id}/sign-off")
    String signOff(@PathVariable long id, @RequestParam(defaultValue = "false") boolean needed) {
        assemblies.setNeedsSignOff(id, needed);
        return "redirect:/assemblies/" + id;
    }

    private static ResponseEntity<Void> goTo(String address) {
        return ResponseEntity.ok().header("HX-Redirect", address).build();
    }

    @GetMapping("/{id}/wires.csv")
    ResponseEntity<String> csv(@PathVariable long id) {
        Revision revision = assemblies.latest(id);
        return file(
                revision,
                ".csv",
                new MediaType("text", "csv", StandardCharsets.UTF_8),
                WireListWriter.csv(revision.assembly()));
    }

    @GetMapping("/{id}/wires.xlsx")
    ResponseEntity<byte[]> xlsx(@PathVariable long id) {
        Revision revision = assemblies.latest(id);
        return file(
                revision,
                ".xlsx",
                Workbook.TYPE,
                Workbook.write(
                        "Wires",
                        WireListWriter.columns(),
                        revision.assembly().conductors().stream().map(WireListWriter::cells)));
    }

    /** The wires and what each may read, on paper. */
    @GetMapping("/{id}/sheet.pdf")
    ResponseEntity<byte[]> sheet(@PathVariable long id) {
        Revision revision = assemblies.latest(id);
        byte[] pdf = prints.pdf("assembly/sheet", Map.of("sheet", AssemblySheet.of(revision)));
        return file(revision, ".pdf", MediaType.APPLICATION_PDF, pdf);
    }

    @GetMapping("/{id}/assembly.json")
    ResponseEntity<String> json(@PathVariable long id) {
        Revision revision = assemblies.latest(id);
        return file(revision, ".json", MediaType.APPLICATION_JSON, AssemblyJson.write(revision.assembly()));
    }

    private static <T> ResponseEntity<T> file(Revision revision, String ending, MediaType type, T body) {
        String name = revision.assembly().name() + " r" + revision.number() + ending;
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name, StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(body);
    }
}
