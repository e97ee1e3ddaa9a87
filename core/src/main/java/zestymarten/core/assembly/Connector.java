package zestymarten.core.assembly;

import java.util.HashSet;
import java.util.List;
import zestymarten.core.quantity.NotAccepted;

/**
 * A group of terminals at one place.
 *
 * @param id its reference, such as J1
 * @param name what it is called, empty if it has no other name than its reference
 * @param face how the cavities lie; at least as many cavities as pins
 * @param pins pin names in cavity order, without repeats; cavities beyond the list do not exist
 * @param reach what it takes to probe it
 */
public record Connector(String id, String name, CavityLayout face, List<String> pins, Access reach) {
    public Connector {
        pins = List.copyOf(pins);
        if (id.indexOf('.') >= 0 || !Terminal.isName(id)) {
            throw new NotAccepted("connector.connector_reference_letters", id);
        }
        if (pins.size() > face.cavities()) {
            throw new NotAccepted("connector.connector_pins_but", id, pins.size(), face.cavities());
        }
        if (new HashSet<>(pins).size() != pins.size()) {
            throw new NotAccepted("connector.connector_names_pin", id);
        }
    }

    /** A connector of which nothing is said but its face and pins. */
    public Connector(String id, String name, CavityLayout face, List<String> pins) {
        this(id, name, face, pins, Access.AT_HAND);
    }

    /** Its terminals in cavity order. */
    public List<Terminal> terminals() {
        return pins.stream().map(pin -> Terminal.of(id, pin)).toList();
    }

    /** Reference and name together, as a person says it. */
    public String title() {
        return name.isEmpty() ? id : id + " " + name;
    }
}
