package dynamorph.paint.scene;

/** A point of an artboard or of a layout, in points, y down. */
public record PlanePoint(double x, double y) {}
