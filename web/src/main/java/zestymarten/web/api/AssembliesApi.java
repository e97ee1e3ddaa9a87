package zestymarten.web.api;

import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyJson;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.WireList;
import zestymarten.core.assembly.WireListWriter;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Problem;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.assembly.AssemblyLine;
import zestymarten.web.assembly.Revision;
import zestymarten.web.assembly.WireSheet;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Workbook;

/** Assemblies over HTTP: taken in as a wire list, given out as a wire list or in the open format. */
@RestController
@RequestMapping("/api/v1/assemblies")
class AssembliesApi {
    private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);

    private final Assemblies assemblies;

    AssembliesApi(Assemblies assemblies) {
        this.assemblies = assemblies;
    }

    /** What was stored, without its conductors. */
    record StoredAssembly(long id, String name, String kind, int revision, int conductors, String href) {}

    @GetMapping
    List<StoredAssembly> list(
            @RequestParam(defaultValue = "") String search, @RequestParam(defaultValue = "0") int page) {
        return assemblies.page(search, page).stream().map(AssembliesApi::stored).toList();
    }

    private static StoredAssembly stored(AssemblyLine line) {
        return new StoredAssembly(
                line.id(), line.name(), line.kind(), line.number(), line.conductors(), href(line.id()));
    }

    private static String href(long id) {
        return "/api/v1/assemblies/" + id;
    }

    @PostMapping(consumes = {"text/csv", "text/tab-separated-values", "text/plain"})
    ResponseEntity<StoredAssembly> create(
            @RequestBody String list,
            @RequestParam String name,
            @RequestParam(defaultValue = "cable") String kind,
            @RequestParam(defaultValue = "") String note,
            Principal who) {
        return created(assemblies.create(assembly(list, name, kind, note), who.getName()));
    }

    @PostMapping(consumes = Workbook.MEDIA_TYPE)
    ResponseEntity<StoredAssembly> create(
            @RequestBody byte[] sheet,
            @RequestParam String name,
            @RequestParam(defaultValue = "cable") String kind,
            @RequestParam(defaultValue = "") String note,
            Principal who) {
        return create(WireSheet.text(sheet), name, kind, note, who);
    }

    @PostMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<StoredAssembly> create(@RequestBody String json, Principal who) {
        List<Problem> problems = new ArrayList<>();
        Assembly assembly = AssemblyReader.read(json, problems).orElseThrow(() -> new Refusal(problems));
        return created(assemblies.create(assembly, who.getName()));
    }

    private static ResponseEntity<StoredAssembly> created(Revision made) {
        Assembly assembly = made.assembly();
        return ResponseEntity.created(URI.create(href(made.assemblyId())))
                .eTag(tag(made))
                .body(new StoredAssembly(
                        made.assemblyId(),
                        assembly.name(),
                        assembly.kind().code(),
                        made.number(),
                        assembly.conductors().size(),
                        href(made.assemblyId())));
    }

    private static Assembly assembly(String text, String name, String kind, String note) {
        WireList list = WireList.read(text);
        List<Problem> problems = new ArrayList<>(list.problems());
        Optional<AssemblyKind> known = AssemblyKind.of(kind);
        if (known.isEmpty()) {
            problems.add(new Problem("kind", Message.of("assemblies_api.not_accepted_expected_harness", kind)));
        }
        if (name.isBlank() || name.length() > Assembly.LONGEST_NAME) {
            problems.add(
                    new Problem("name", Message.of("assemblies_api.expected_name_characters", Assembly.LONGEST_NAME)));
        }
        if (!problems.isEmpty()) {
            throw new Refusal(problems);
        }
        return list.assembly(name.strip(), known.orElse(AssemblyKind.CABLE), note, Map.of());
    }

    @GetMapping(path = "/{id}", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<String> json(@PathVariable long id) {
        Revision revision = assemblies.latest(id);
        return given(revision, MediaType.APPLICATION_JSON, AssemblyJson.write(revision.assembly()));
    }

    @GetMapping(path = "/{id}", produces = "text/csv")
    ResponseEntity<String> csv(@PathVariable long id) {
        Revision revision = assemblies.latest(id);
        return given(revision, CSV, WireListWriter.csv(revision.assembly()));
    }

    private static ResponseEntity<String> given(Revision revision, MediaType type, String body) {
        return ResponseEntity.ok()
                .contentType(type)
                .eTag(tag(revision))
                .cacheControl(CacheControl.noCache())
                .body(body);
    }

    private static String tag(Revision revision) {
        return "\"revision-" + revision.id() + "\"";
    }
}
