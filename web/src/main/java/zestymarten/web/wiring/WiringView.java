package zestymarten.web.wiring;

import java.util.List;
import java.util.Optional;
import zestymarten.web.drawing.FaceDrawing;
import zestymarten.web.drawing.WiringDrawing;

/** A wiring's page as ready text and drawings. */
record WiringView(
        long id,
        String name,
        String kind,
        int number,
        String note,
        String made,
        String counts,
        List<Wire> wires,
        int wiresLeftOut,
        WiringDrawing drawing,
        List<FaceDrawing> faces) {

    /** One line of the wire list. */
    record Wire(
            String id,
            String from,
            String to,
            String colour,
            Optional<String> base,
            Optional<String> tracer,
            String function,
            String nominal,
            String limit,
            String sentence,
            boolean spare,
            boolean shared) {}
}
