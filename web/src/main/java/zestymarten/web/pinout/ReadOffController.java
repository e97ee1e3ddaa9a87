package zestymarten.web.pinout;

import java.security.Principal;
import java.util.List;
import java.util.Optional;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.pinout.ReadOff;
import zestymarten.core.quantity.Message;
import zestymarten.web.platform.Refusal;

/** Reading an unknown wiring off a good unit. */
@Controller
@RequestMapping("/read-off")
class ReadOffController {
    private final ReadOffs readOffs;

    ReadOffController(ReadOffs readOffs) {
        this.readOffs = readOffs;
    }

    /** The measurement that is due as ready text. */
    record AskView(String near, String far, String link) {}

    /** A wire found. */
    record FoundWireView(String from, String to) {}

    @GetMapping("/new")
    String form() {
        return "pinout/new";
    }

    @PostMapping
    ResponseEntity<Void> begin(
            @RequestParam String name,
            @RequestParam String near,
            @RequestParam(name = "near_pins") String nearPins,
            @RequestParam String far,
            @RequestParam(name = "far_pins") String farPins,
            @RequestParam(defaultValue = "false") boolean linked,
            Principal who) {
        long id = readOffs.begin(new ReadOffRow(
                0,
                name.strip(),
                near.strip(),
                count("near_pins", nearPins),
                far.strip(),
                count("far_pins", farPins),
                linked,
                who.getName(),
                null));
        return ResponseEntity.ok().header("HX-Redirect", "/read-off/" + id).build();
    }

    private static int count(String field, String typed) {
        if (!typed.strip().matches("[0-9]{1,3}")) {
            throw new Refusal(
                    field,
                    Message.of("read_off_controller.not_accepted_expected_how", typed.strip(), ReadOff.MAX_PINS));
        }
        return Integer.parseInt(typed.strip());
    }

    @GetMapping("/{id}")
    String page(@PathVariable long id, Model model) {
        return shown(readOffs.find(id), "pinout/read-off", model);
    }

    @PostMapping("/{id}/answers")
    String answer(
            @PathVariable long id, @RequestParam int count, @RequestParam boolean joined, Principal who, Model model) {
        return shown(readOffs.answer(id, count, joined, who.getName()), "pinout/work", model);
    }

    @PostMapping("/{id}/take-backs")
    String takeBack(@PathVariable long id, @RequestParam int count, Model model) {
        return shown(readOffs.takeBack(id, count), "pinout/work", model);
    }

    @PostMapping("/{id}/wiring")
    String become(@PathVariable long id, Principal who) {
        return "redirect:/assemblies/" + readOffs.become(id, who.getName());
    }

    private static String shown(ReadOffs.ReadOffState found, String template, Model model) {
        Optional<ReadOff.Ask> next = found.state().next();
        model.addAttribute("row", found.row());
        model.addAttribute("count", found.answers().size());
        model.addAttribute("left", found.state().left());
        model.addAttribute(
                "ask",
                next.map(ask -> new AskView(
                                ask.near().name(),
                                ask.far().get(0).name(),
                                ask.isLinked() ? ReadOffs.names(ask.far()) : ""))
                        .orElse(null));
        List<FoundWireView> wires = found.state().wires().entrySet().stream()
                .map(each ->
                        new FoundWireView(each.getKey().name(), each.getValue().name()))
                .toList();
        model.addAttribute("wires", wires);
        return template;
    }
}
