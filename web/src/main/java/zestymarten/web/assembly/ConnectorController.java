package zestymarten.web.assembly;

import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zestymarten.core.assembly.Access;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Connector;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Problem;
import zestymarten.web.platform.Refusal;

/** How the connectors of an assembly are reached: where they are, from which side they are probed, what it takes and may damage. */
@Controller
class ConnectorController {
    private static final double DAY = 24 * 60;
    private static final int LONGEST_PLACE = 60;

    private final Assemblies assemblies;

    ConnectorController(Assemblies assemblies) {
        this.assemblies = assemblies;
    }

    /** A connector with what is known of it, as the fields of its row. */
    record ConnectorView(
            String id, String title, String place, String probing, String mates, String minutes, String harm) {}

    @GetMapping("/assemblies/{id}/connectors")
    String form(@PathVariable long id, Model model) {
        Revision revision = assemblies.latest(id);
        model.addAttribute("revision", revision);
        model.addAttribute(
                "connectors",
                revision.assembly().connectors().stream()
                        .map(ConnectorController::view)
                        .toList());
        model.addAttribute("probings", Access.Probing.values());
        model.addAttribute("harms", Access.Harm.values());
        return "assembly/connectors";
    }

    private static ConnectorView view(Connector connector) {
        Access reach = connector.reach();
        return new ConnectorView(
                connector.id(),
                connector.title(),
                reach.place(),
                reach.probing().map(Access.Probing::code).orElse(""),
                reach.matesWith().orElse(""),
                reach.minutes() == 0 ? "" : EngineeringFormat.figure(reach.minutes()),
                reach.harm().code());
    }

    /** Keeps what changed as the wiring's next revision. */
    @PostMapping("/assemblies/{id}/connectors")
    String change(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Principal who) {
        Assembly before = assemblies.latest(id).assembly();
        List<Problem> problems = new ArrayList<>();
        List<Connector> connectors = before.connectors().stream()
                .map(each -> new Connector(
                        each.id(), each.name(), each.face(), each.pins(), reach(each.id(), fields, problems)))
                .toList();
        if (!problems.isEmpty()) {
            throw new Refusal(problems);
        }
        Assembly after = before.withConnectors(connectors);
        if (!after.equals(before)) {
            assemblies.revise(id, after, who.getName());
        }
        return "redirect:/assemblies/" + id;
    }

    private static Access reach(String connector, MultiValueMap<String, String> fields, List<Problem> problems) {
        String place = field(fields, "place", connector);
        if (place.length() > LONGEST_PLACE) {
            problems.add(new Problem(
                    connector,
                    Message.of("connector_controller.place_read_characters_expected", place.length(), LONGEST_PLACE)));
        }
        String typed = field(fields, "minutes", connector).replace(',', '.');
        double minutes = typed.isEmpty()
                ? 0
                : typed.matches("[0-9]{1,4}(?:\\.[0-9]{1,2})?") ? Double.parseDouble(typed) : Double.NaN;
        if (!(minutes >= 0 && minutes <= DAY)) {
            problems.add(new Problem(
                    connector, Message.of("connector_controller.minutes_not_accepted_expected", typed, (int) DAY)));
            minutes = 0;
        }
        String mates = field(fields, "mates", connector);
        return new Access(
                place.substring(0, Math.min(place.length(), LONGEST_PLACE)),
                code(Access.Probing.values(), field(fields, "probing", connector)),
                mates.isEmpty() ? Optional.empty() : Optional.of(mates),
                minutes,
                code(Access.Harm.values(), field(fields, "harm", connector)).orElse(Access.Harm.NONE));
    }

    private static <T extends Enum<T>> Optional<T> code(T[] all, String code) {
        return Stream.of(all)
                .filter(each -> each.name().toLowerCase(Locale.ROOT).equals(code))
                .findFirst();
    }

    private static String field(MultiValueMap<String, String> fields, String name, String connector) {
        String value = fields.getFirst(name + "." + connector);
        return value == null ? "" : value.strip();
    }
}
