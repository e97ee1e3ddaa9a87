package zestymarten.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.util.UriComponentsBuilder;
import zestymarten.core.quantity.Message;

/** Pages that had another address before: printed codes, bookmarks and kept pages of phones still lead there. */
@Controller
class FormerAddresses {
    private static final Map<String, String> NOW = new LinkedHashMap<>();

    static {
        NOW.put("^/wirings(?=/|$)", "/assemblies");
        NOW.put("^/bundle(?=/|$)", "/identify-cores");
        NOW.put("^/family(?=/|$)", "/compare-leads");
        NOW.put("^/test-day(?=/|$)", "/batch-test");
        NOW.put("^(/runs/[0-9]+)/wrong$", "$1/diagnosis");
        NOW.put("^(/runs/[0-9]+)/where$", "$1/locate");
    }

    /** Where a page is now; empty for an address that never changed. */
    static Optional<String> now(String path) {
        return NOW.entrySet().stream()
                .map(each -> path.replaceFirst(each.getKey(), each.getValue()))
                .filter(each -> !each.equals(path))
                .findFirst();
    }

    @GetMapping({"/wirings/**", "/bundle/**", "/family/**", "/test-day/**", "/runs/{id}/wrong", "/runs/{id}/where"})
    ResponseEntity<Void> moved(HttpServletRequest request) {
        String path = request.getRequestURI().substring(request.getContextPath().length());
        URI there = UriComponentsBuilder.fromPath(
                        now(path).orElseThrow(() -> new NotFound(Message.of("former_addresses.there_no_page_here"))))
                .query(request.getQueryString())
                .build(true)
                .toUri();
        return ResponseEntity.status(HttpStatus.MOVED_PERMANENTLY)
                .location(there)
                .build();
    }
}
