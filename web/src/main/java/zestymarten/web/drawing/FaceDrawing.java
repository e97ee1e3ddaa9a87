package zestymarten.web.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import zestymarten.core.assembly.CavityLayout;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Terminal;
import zestymarten.web.platform.Words;

/**
 * A connector's face: its cavities where they lie, names upright, empty ones hollow. Seen from the wire side, or mirrored
 * as the mating side sees it. Faces too large for the room given are cut to the neighbourhood of one cavity.
 *
 * @param cut whether cavities were left out
 */
public record FaceDrawing(
        String title,
        String note,
        double width,
        double height,
        double pitch,
        double radius,
        boolean cut,
        List<Cavity> cavities) {

    private static final double WIDEST_PITCH = 58;
    private static final double NARROWEST_PITCH = 26;
    private static final int LINE_WRAP = 8;
    private static final double MARGIN = 10;

    public FaceDrawing {
        cavities = List.copyOf(cavities);
    }

    /** One cavity; {@code used} if a conductor ends in it. */
    public record Cavity(Terminal terminal, String name, double x, double y, boolean used) {}

    /** Where a drawing may go and what it must show. */
    public record Room(double width, double height, boolean mating, Optional<Terminal> focus) {}

    private record Slot(int column, int row) {}

    public static FaceDrawing of(Connector connector, Set<Terminal> used, Room room) {
        String note = room.mating() ? Words.say("face_drawing.mating_side") : Words.say("face_drawing.wire_side");
        if (connector.face().shape() == CavityLayout.Shape.RING) {
            return ring(connector, used, room, note);
        }
        List<Slot> slots = slots(connector);
        int columns = slots.stream().mapToInt(Slot::column).max().orElse(0) + 1;
        int rows = slots.stream().mapToInt(Slot::row).max().orElse(0) + 1;
        int focus = room.focus()
                .map(terminal -> connector.terminals().indexOf(terminal))
                .orElse(0);
        Slot centre = slots.get(Math.max(0, Math.min(slots.size() - 1, focus)));
        int fitColumns = (int) Math.max(1, (room.width() - 2 * MARGIN) / NARROWEST_PITCH);
        int fitRows = (int) Math.max(1, (room.height() - 2 * MARGIN) / NARROWEST_PITCH);
        int firstColumn = window(centre.column(), columns, fitColumns);
        int firstRow = window(centre.row(), rows, fitRows);
        int shownColumns = Math.min(columns, fitColumns);
        int shownRows = Math.min(rows, fitRows);
        double pitch = Math.min(
                WIDEST_PITCH,
                Math.min((room.width() - 2 * MARGIN) / shownColumns, (room.height() - 2 * MARGIN) / shownRows));
        List<Cavity> cavities = new ArrayList<>();
        for (int i = 0; i < slots.size(); i++) {
            int column = slots.get(i).column() - firstColumn;
            int row = slots.get(i).row() - firstRow;
            if (column >= 0 && column < shownColumns && row >= 0 && row < shownRows) {
                int across = room.mating() ? shownColumns - 1 - column : column;
                cavities.add(cavity(connector, i, MARGIN + pitch * (across + 0.5), MARGIN + pitch * (row + 0.5), used));
            }
        }
        return new FaceDrawing(
                connector.title(),
                note,
                shownColumns * pitch + 2 * MARGIN,
                shownRows * pitch + 2 * MARGIN,
                pitch,
                pitch * 0.38,
                cavities.size() < slots.size(),
                cavities);
    }

    /** The first of the shown columns or rows, so that the centre is among them. */
    private static int window(int centre, int all, int fit) {
        return all <= fit ? 0 : Math.max(0, Math.min(all - fit, centre - fit / 2));
    }

    private static List<Slot> slots(Connector connector) {
        int columns = connector.face().shape() == CavityLayout.Shape.GRID
                ? connector.face().columns()
                : Math.min(LINE_WRAP, connector.face().columns());
        List<Slot> slots = new ArrayList<>();
        for (int i = 0; i < connector.pins().size(); i++) {
            slots.add(new Slot(i % columns, i / columns));
        }
        return slots;
    }

    private static FaceDrawing ring(Connector connector, Set<Terminal> used, Room room, String note) {
        int count = connector.pins().size();
        double size = Math.min(room.width(), room.height());
        double circle =
                Math.min(size / 2 - MARGIN - WIDEST_PITCH / 2, Math.max(34, count * WIDEST_PITCH / (2 * Math.PI)));
        double pitch = Math.min(WIDEST_PITCH, count < 2 ? WIDEST_PITCH : 2 * circle * Math.sin(Math.PI / count));
        double middle = circle + MARGIN + WIDEST_PITCH / 2;
        List<Cavity> cavities = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double turn = 2 * Math.PI * i / count * (room.mating() ? -1 : 1);
            cavities.add(
                    cavity(connector, i, middle + circle * Math.sin(turn), middle - circle * Math.cos(turn), used));
        }
        return new FaceDrawing(
                connector.title(), note, 2 * middle, 2 * middle, pitch, Math.max(5, pitch * 0.38), false, cavities);
    }

    private static Cavity cavity(Connector connector, int index, double x, double y, Set<Terminal> used) {
        Terminal terminal = connector.terminals().get(index);
        return new Cavity(terminal, connector.pins().get(index), x, y, used.contains(terminal));
    }

    /** Where a terminal is drawn; empty if it is not on this face or was cut away. */
    public Optional<Point> at(Terminal terminal) {
        return cavities.stream()
                .filter(cavity -> cavity.terminal().equals(terminal))
                .map(cavity -> new Point(cavity.x(), cavity.y()))
                .findFirst();
    }

    /** The same face moved within a larger drawing. */
    FaceDrawing movedBy(double dx, double dy) {
        List<Cavity> moved = cavities.stream()
                .map(each -> new Cavity(each.terminal(), each.name(), each.x() + dx, each.y() + dy, each.used()))
                .toList();
        return new FaceDrawing(title, note, width, height, pitch, radius, cut, moved);
    }

    /** Height of the cavity names, so that the longest fits its cavity. */
    public String labelSize() {
        int longest =
                cavities.stream().mapToInt(each -> each.name().length()).max().orElse(1);
        return Paths.figure(Math.max(9, Math.min(radius, 2.6 * radius / Math.max(2, longest))));
    }
}
