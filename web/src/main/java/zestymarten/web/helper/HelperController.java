package zestymarten.web.helper;

import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.List;
import java.util.Optional;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import zestymarten.web.platform.PublicAddress;
import zestymarten.web.platform.Qr;
import zestymarten.web.platform.Words;
import zestymarten.web.testrun.FarEndPresence;
import zestymarten.web.testrun.RunSnapshot;
import zestymarten.web.testrun.Speech;
import zestymarten.web.testrun.TestRuns;

/** The far end of a test: for whoever has an account, and for whoever was given a link; and who else is on the test. */
@Controller
class HelperController {
    private static final String HELPER = "helper";
    private static final String HELPING = "helper/helping";

    private final TestRuns runs;
    private final HelperLinks links;
    private final Presence presence;
    private final Speech speech;
    private final PublicAddress address;
    private final FollowedTests followed;

    HelperController(
            TestRuns runs,
            HelperLinks links,
            Presence presence,
            Speech speech,
            PublicAddress address,
            FollowedTests followed) {
        this.runs = runs;
        this.links = links;
        this.presence = presence;
        this.speech = speech;
        this.address = address;
        this.followed = followed;
    }

    /** A link that was made just now. */
    record Fresh(String url, Qr code) {}

    @GetMapping("/runs/{id}/helper")
    String page(@PathVariable long id, Model model) {
        return page(runs.find(id), Optional.empty(), model);
    }

    private String page(RunSnapshot run, Optional<Fresh> fresh, Model model) {
        shown(run, model);
        model.addAttribute("now", "/runs/" + run.id() + "/helper/now");
        model.addAttribute("events", "/runs/" + run.id() + "/events");
        model.addAttribute("links", links.of(run.id()));
        model.addAttribute("fresh", fresh);
        model.addAttribute("guest", false);
        return "helper/helper";
    }

    @GetMapping("/runs/{id}/helper/now")
    String now(@PathVariable long id, Model model) {
        return shown(runs.find(id), model);
    }

    private String shown(RunSnapshot run, Model model) {
        FarEndPresence due = FarEndPresence.of(run);
        model.addAttribute("run", run);
        model.addAttribute(HELPER, due);
        model.addAttribute("say", speech.of(due, LocaleContextHolder.getLocale()));
        return HELPING;
    }

    @PostMapping("/runs/{id}/helper/links")
    String make(@PathVariable long id, Principal who, Model model) {
        RunSnapshot run = runs.find(id);
        String url = address.of("/h/" + links.make(run, who.getName()));
        return page(run, Optional.of(new Fresh(url, Qr.of(url))), model);
    }

    @PostMapping("/runs/{id}/helper/links/{link}/revoke")
    String revoke(@PathVariable long id, @PathVariable long link) {
        links.revoke(runs.find(id), link);
        return "redirect:/runs/" + id + "/helper";
    }

    /** Who else is on the test; says at the same time that the one who asks is. */
    @GetMapping("/runs/{id}/with")
    String with(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String black,
            @RequestParam(defaultValue = "") String red,
            Principal who,
            Model model) {
        String step = black.isEmpty() ? "" : black + " – " + red;
        List<Presence.Other> others = presence.here(id, who.getName(), step);
        model.addAttribute("others", others);
        model.addAttribute("step", step);
        return "helper/with";
    }

    /** The far end for whoever was given a link. */
    @GetMapping("/h/{secret}")
    String guest(@PathVariable String secret, Model model, HttpServletResponse response) {
        model.addAttribute("now", "/h/" + secret + "/now");
        model.addAttribute("events", "/h/" + secret + "/events");
        model.addAttribute("links", List.of());
        model.addAttribute("fresh", Optional.empty());
        model.addAttribute("guest", true);
        return forGuest(secret, "", model, response).isEmpty() ? "helper/gone" : "helper/helper";
    }

    @GetMapping("/h/{secret}/now")
    String guestNow(
            @PathVariable String secret,
            @RequestParam(defaultValue = "") String holds,
            Model model,
            HttpServletResponse response) {
        return forGuest(secret, holds, model, response).isEmpty() ? "helper/ended" : HELPING;
    }

    /** Says when something has happened on the test. */
    @GetMapping(path = "/runs/{id}/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    ResponseEntity<SseEmitter> events(@PathVariable long id) {
        return followed(Optional.of(id));
    }

    /** The same for whoever was given a link, as long as it is good. */
    @GetMapping(path = "/h/{secret}/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    ResponseEntity<SseEmitter> guestEvents(@PathVariable String secret) {
        return followed(links.runId(secret));
    }

    /** Proxies are asked to keep nothing back. */
    private ResponseEntity<SseEmitter> followed(Optional<Long> run) {
        if (run.isEmpty()) {
            return ResponseEntity.status(HttpStatus.GONE).build();
        } else if (followed.isFull()) {
            return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE).build();
        }
        return ResponseEntity.ok()
                .header("X-Accel-Buffering", "no")
                .cacheControl(CacheControl.noStore())
                .body(followed.follow(run.get()));
    }

    private Optional<RunSnapshot> forGuest(String secret, String holds, Model model, HttpServletResponse response) {
        Optional<RunSnapshot> run = links.run(secret);
        if (run.isEmpty()) {
            response.setStatus(HttpStatus.GONE.value());
            return run;
        }
        FarEndPresence due = FarEndPresence.of(run.get());
        boolean held = !holds.isEmpty() && holds.equals(String.join(" ", due.pins()));
        presence.here(run.get().id(), Presence.HELPER, held ? Words.say("helper_controller.holds", holds) : "");
        shown(run.get(), model);
        model.addAttribute("held", held);
        return run;
    }
}
