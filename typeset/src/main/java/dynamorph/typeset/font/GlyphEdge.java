package dynamorph.typeset.font;

import io.github.humbleui.skija.Font;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathMeasure;
import io.github.humbleui.types.Point;
import io.github.humbleui.types.Rect;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * The edge of a glyph at {@link FontFace#METRICS_SIZE}. A font of unknown origin may have outlines
 * that are endless, not numbers, or none at all, as glyphs that are pictures.
 */
public final class GlyphEdge {
  /** No glyph that is drawn to be read has an edge that takes more steps. */
  private static final int MOST_STEPS = 50_000;

  private GlyphEdge() {}

  /**
   * Goes along the edge of a glyph.
   *
   * @param step between the places that are told, in points at the size
   * @return the box around it; empty if there is no edge, and then no place is told
   */
  public static Optional<Rect> walk(FontFace face, int glyph, double step, Consumer<Point> places) {
    try (Font font = face.font(FontFace.METRICS_SIZE);
        Path path = font.getPath((short) glyph)) {
      if (path == null || !path.isFinite() || path.getBounds().isEmpty()) {
        return Optional.empty();
      }
      walk(path, step, places);
      return Optional.of(path.getBounds());
    }
  }

  private static void walk(Path path, double step, Consumer<Point> places) {
    int left = MOST_STEPS;
    try (PathMeasure walk = new PathMeasure(path, false)) {
      do {
        int steps = (int) Math.min(left, Math.ceil(walk.getLength() / step));
        for (int index = 0; index < steps; index++) {
          Point place = walk.getPosition((float) (index * step));
          if (place != null) {
            places.accept(place);
          }
        }
        left -= steps + 1;
      } while (left > 0 && walk.nextContour());
    }
  }
}
