package zestymarten.web.assembly;

import java.util.List;
import java.util.Optional;
import zestymarten.web.drawing.AssemblyDrawing;
import zestymarten.web.drawing.FaceDrawing;

/** An assembly's page as ready text and drawings. */
record AssemblyView(
        long id,
        String name,
        String kind,
        int number,
        String note,
        String made,
        String counts,
        List<WireRow> wires,
        int wiresLeftOut,
        AssemblyDrawing drawing,
        List<FaceDrawing> faces) {

    /** One line of the wire list. */
    record WireRow(
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
