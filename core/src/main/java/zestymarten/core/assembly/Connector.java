package zestymarten.core.assembly;

import java.util.HashSet;
import java.util.List;

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
            throw new IllegalArgumentException(
                    "Connector reference '" + id + "' must be letters and digits, such as J1.");
        }
        if (pins.size() > face.cavities()) {
            throw new IllegalArgumentException("Connector " + id + " has " + pins.size() + " pins but its face only "
                    + face.cavities() + " cavities.");
        }
        if (new HashSet<>(pins).size() != pins.size()) {
            throw new IllegalArgumentException("Connector " + id + " names a pin twice.");
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
