package zestymarten.web.run;

import java.io.IOException;
import java.security.Principal;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.CacheControl;
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
import zestymarten.web.platform.Conflict;
import zestymarten.web.platform.NotFound;
import zestymarten.web.platform.Refused;

/** Photographs of a unit as it was found, kept with its run. */
@Controller
@RequestMapping("/runs/{id}/photos")
class PhotoController {
    private static final int MOST_BYTES = 4 * 1024 * 1024;
    private static final int MOST_PHOTOS = 20;
    private static final int LONGEST_NOTE = 200;

    private final Runs runs;
    private final RunMapper mapper;
    private final Clock clock;

    PhotoController(Runs runs, RunMapper mapper, Clock clock) {
        this.runs = runs;
        this.mapper = mapper;
        this.clock = clock;
    }

    @GetMapping
    String page(@PathVariable long id, Model model) {
        model.addAttribute("run", runs.find(id));
        model.addAttribute("photos", mapper.photos(id));
        model.addAttribute("token", UUID.randomUUID());
        return "run/photos";
    }

    @PostMapping
    String keep(
            @PathVariable long id,
            @RequestParam UUID token,
            @RequestParam(defaultValue = "") String note,
            @RequestParam MultipartFile photo,
            Principal who)
            throws IOException {
        if (!runs.find(id).isUnderWay()) {
            throw new Conflict("This test was ended. Nothing more can be saved in it.");
        }
        if (mapper.photos(id).size() >= MOST_PHOTOS) {
            throw new Refused(
                    "photo", "There are " + MOST_PHOTOS + " photographs already, which is the most a test keeps.");
        }
        byte[] content = photo.getBytes();
        if (content.length == 0 || content.length > MOST_BYTES) {
            throw new Refused("photo", "Read " + content.length + " bytes; expected a photograph of at most 4 MB.");
        }
        if (note.strip().length() > LONGEST_NOTE) {
            throw new Refused("note", "Say what is on it in at most " + LONGEST_NOTE + " characters.");
        }
        String type = type(content)
                .orElseThrow(() -> new Refused(
                        "photo",
                        "“" + photo.getOriginalFilename() + "” is not accepted; expected a photograph, JPEG or PNG."));
        mapper.insertPhoto(
                id,
                new PhotoRow(
                        token,
                        note.strip(),
                        type,
                        who.getName(),
                        clock.instant().truncatedTo(ChronoUnit.MILLIS)),
                content);
        return "redirect:/runs/" + id + "/photos";
    }

    /** By what the file begins with, not by what it is called. */
    private static Optional<String> type(byte[] content) {
        boolean jpeg = content.length > 3
                && (content[0] & 0xff) == 0xff
                && (content[1] & 0xff) == 0xd8
                && (content[2] & 0xff) == 0xff;
        boolean png = content.length > 8
                && (content[0] & 0xff) == 0x89
                && content[1] == 'P'
                && content[2] == 'N'
                && content[3] == 'G';
        return jpeg
                ? Optional.of(MediaType.IMAGE_JPEG_VALUE)
                : png ? Optional.of(MediaType.IMAGE_PNG_VALUE) : Optional.empty();
    }

    @GetMapping("/{photo}")
    ResponseEntity<byte[]> content(@PathVariable long id, @PathVariable UUID photo) {
        PhotoContent content = mapper.photo(id, photo).stream()
                .findFirst()
                .orElseThrow(() -> new NotFound("There is no such photograph."));
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(content.type()))
                .cacheControl(
                        CacheControl.maxAge(java.time.Duration.ofDays(365)).cachePrivate())
                .body(content.content());
    }
}
