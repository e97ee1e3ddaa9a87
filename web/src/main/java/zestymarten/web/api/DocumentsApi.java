package zestymarten.web.api;

import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The documents that describe the interface: its calls, and the schema of what they take. */
@RestController
@RequestMapping("/api/v1")
class DocumentsApi {
    @GetMapping(path = "/openapi", produces = "application/yaml")
    ResponseEntity<Resource> openapi() {
        return ResponseEntity.ok(new ClassPathResource("api/openapi.yaml"));
    }

    @GetMapping(path = "/schemas/assembly", produces = "application/schema+json")
    ResponseEntity<Resource> assembly() {
        return ResponseEntity.ok(new ClassPathResource("api/assembly-1.schema.json"));
    }
}
