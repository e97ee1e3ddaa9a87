package zestymarten.web.testrun;

import java.io.IOException;
import java.security.Principal;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import zestymarten.core.quantity.Message;
import zestymarten.web.platform.Picture;
import zestymarten.web.platform.Refusal;

/** The photographs of a test: the page, a new one, the content of one. */
@Controller
@RequestMapping("/runs/{id}/photos")
class PhotoController {
    private final TestRuns runs;
    private final Photographs photographs;

    PhotoController(TestRuns runs, Photographs photographs) {
        this.runs = runs;
        this.photographs = photographs;
    }

    @GetMapping
    String page(@PathVariable long id, Model model) {
        model.addAttribute("run", runs.find(id));
        model.addAttribute("photos", photographs.of(id));
        model.addAttribute("token", UUID.randomUUID());
        return "testrun/photos";
    }

    @PostMapping
    String keep(
            @PathVariable long id,
            @RequestParam UUID token,
            @RequestParam(defaultValue = "") String note,
            @RequestParam MultipartFile photo,
            Principal who)
            throws IOException {
        byte[] picture = Picture.of(photo.getBytes())
                .orElseThrow(() -> new Refusal(
                        "photo",
                        Message.of(
                                "photo_controller.not_accepted_expected_photograph",
                                String.valueOf(photo.getOriginalFilename()))));
        photographs.keep(id, token, note, picture, who.getName());
        return "redirect:/runs/" + id + "/photos";
    }

    /** Not kept by the browser: what is on it is nobody's business after signing out. */
    @GetMapping("/{photo}")
    ResponseEntity<byte[]> content(@PathVariable long id, @PathVariable UUID photo) {
        PhotoContent content = photographs.content(id, photo);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(content.type()))
                .body(content.content());
    }
}
