package zestymarten.web.search;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.util.UriComponentsBuilder;
import zestymarten.web.platform.PublicAddress;
import zestymarten.web.platform.Words;

/** Scans the label of a unit or the code of a helper's link: by the camera, or from a picture. */
@Controller
class ScanCodeController {
    private static final String PAGE = "search/code";

    private final PublicAddress address;

    ScanCodeController(PublicAddress address) {
        this.address = address;
    }

    /** @param batch the batch test whose next lead is scanned; 0 for any label */
    @GetMapping("/code")
    String page(@RequestParam(defaultValue = "0") long batch, Model model) {
        model.addAttribute("said", "");
        model.addAttribute("batch", batch);
        return PAGE;
    }

    /** Goes where a code leads: one that the device has read itself, or one on a picture; in a batch test to its lead. */
    @PostMapping("/code")
    String go(
            @RequestParam(defaultValue = "") String code,
            @RequestParam(required = false) Optional<MultipartFile> picture,
            @RequestParam(defaultValue = "0") long batch,
            @RequestHeader("Host") String host,
            Model model,
            HttpServletResponse response)
            throws IOException {
        model.addAttribute("batch", batch);
        String read = code;
        if (read.isEmpty() && picture.isPresent()) {
            read = Codes.read(picture.get().getBytes()).orElse("");
        }
        if (read.isEmpty()) {
            return said(Words.say("scan_code_controller.no_code_can_be"), model, response);
        }
        Optional<String> path = Codes.destination(
                read, List.of(host, URI.create(address.of("/")).getAuthority()));
        return path.isPresent()
                ? "redirect:" + (batch > 0 ? lead(batch, read, path.get()) : path.get())
                : said(Words.say("scan_code_controller.this_code_leads_another", read), model, response);
    }

    /** The lead of a batch test by its label: the address of its unit, or its tag. */
    private static String lead(long batch, String read, String path) {
        return UriComponentsBuilder.fromPath("/batch-test/{batch}/lead")
                .queryParam("code", "{code}")
                .encode()
                .buildAndExpand(batch, path.startsWith("/units/") ? path : read.strip())
                .toUriString();
    }

    private static String said(String text, Model model, HttpServletResponse response) {
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("said", text);
        return PAGE;
    }
}
