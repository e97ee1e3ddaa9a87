package zestymarten.web.drawing;

/** A place in a drawing, in pixels from its upper left corner. */
public record Point(double x, double y) {}
