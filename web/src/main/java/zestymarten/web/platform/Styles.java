package zestymarten.web.platform;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** The style sheets of a page: what every room has, and after it the room's own, so that a room loads no other's. */
@Component("styles")
public final class Styles {
    private static final List<String> OF_ALL =
            List.of("base", "frame", "forms", "pages", "drawing", "run", "phone", "choices", "drawing-parts");

    private final Map<String, List<String>> addresses = new ConcurrentHashMap<>();

    /**
     * Addresses of the sheets in the order in which they are laid over one another.
     *
     * @param template whose folder is the room: {@code testrun/start}
     */
    public List<String> of(String template) {
        String room = template.substring(0, Math.max(0, template.indexOf('/')));
        return addresses.computeIfAbsent(room, Styles::ofRoom);
    }

    private static List<String> ofRoom(String room) {
        return Stream.concat(OF_ALL.stream(), Stream.of(room, room + "-phone", room + "-start"))
                .map(name -> "/styles/" + name + ".css")
                .filter(address -> new ClassPathResource("static" + address).exists())
                .toList();
    }
}
