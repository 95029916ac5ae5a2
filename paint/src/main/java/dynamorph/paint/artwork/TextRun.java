package dynamorph.paint.artwork;

import dynamorph.model.value.Rgba;
import dynamorph.typeset.font.FontFace;
import java.util.List;
import java.util.Optional;

/**
 * Letters of one face, size and colour that follow each other in reading order on one line.
 *
 * @param size points
 * @param stretch how much wider than drawn the letters are
 * @param skew how far the letters lean to the right, as a share of their height
 * @param turned whether the letters are turned by 90 degrees clockwise, with their line
 * @param colour empty if something else shows them
 * @param paragraph index of the paragraph in its layer
 * @param language BCP 47 tag
 */
public record TextRun(
    FontFace face,
    double size,
    double stretch,
    double skew,
    boolean turned,
    Optional<Rgba> colour,
    int paragraph,
    String language,
    List<Cluster> clusters) {
  public TextRun {
    clusters = List.copyOf(clusters);
  }

  /**
   * Glyphs that stand for some letters together.
   *
   * @param text the letters; empty if they are decoration, as leaders are
   * @param glyphs in visual order; empty for a space that is not drawn
   */
  public record Cluster(String text, List<Glyph> glyphs) {
    public Cluster {
      glyphs = List.copyOf(glyphs);
    }
  }

  /**
   * One glyph.
   *
   * @param id in its font
   * @param x of its origin, in points
   * @param y of its origin, in points, down
   */
  public record Glyph(int id, double x, double y) {}
}
