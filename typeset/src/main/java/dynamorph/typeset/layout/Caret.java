package dynamorph.typeset.layout;

/** Where a caret stands: an upright line at {@code x}, in points of the layout. */
public record Caret(double x, double top, double bottom) {}
