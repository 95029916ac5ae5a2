package dynamorph.typeset.compose;

import dynamorph.model.cascade.TypeLook;
import dynamorph.typeset.shape.ShapedParagraph;
import dynamorph.typeset.shape.ShapedRun;
import java.util.List;

/** Puts down letters that no line is broken by: bullets, numbers, drop capitals, ruby. */
final class MarkPlacer {
  private MarkPlacer() {}

  /** Width of shaped letters at a share of the size of their looks. */
  static double width(ShapedParagraph shaped, List<TypeLook> looks, double share) {
    double width = 0;
    for (ShapedRun run : shaped.runs()) {
      width += width(run, looks.get(run.span()), share);
    }
    return width;
  }

  static double width(ShapedRun run, TypeLook look, double share) {
    double em = 0;
    for (float advance : run.advances()) {
      em += advance;
    }
    return em * look.size() * look.forms().scaleAcross() * share;
  }

  static void add(
      List<GlyphRun> runs,
      LineSetter.Ornament ornament,
      List<TypeLook> looks,
      boolean rightToLeft,
      double measure) {
    double x = rightToLeft ? measure - ornament.x() - ornament.width() : ornament.x();
    for (ShapedRun run : ornament.shaped().runs()) {
      TypeLook look = looks.get(run.span());
      GlyphRun set = set(run, look, ornament.size(), x, ornament.y(), 0, ornament.text());
      runs.add(rightToLeft ? runs.size() : 0, set);
      x += width(run, look, ornament.size());
    }
  }

  /**
   * Shaped letters in their place.
   *
   * @param share of the size of the look
   * @param x where they begin
   * @param y below the baseline of the line
   * @param gap white behind each cluster
   * @param text whether they are typed letters, for the caret
   */
  static GlyphRun set(
      ShapedRun run, TypeLook look, double share, double x, double y, double gap, boolean text) {
    double size = look.size() * share;
    double across = size * look.forms().scaleAcross();
    double down = size * look.forms().scaleDown();
    int many = text ? run.clusterCount() : 0;
    float[] xs = new float[run.glyphs().length];
    float[] ys = new float[run.glyphs().length];
    float[] left = new float[many];
    float[] right = new float[many];
    double at = x;
    for (int cluster = 0; cluster < run.clusterCount(); cluster++) {
      double began = at;
      for (int glyph = run.clusters()[cluster]; glyph < run.clusters()[cluster + 1]; glyph++) {
        xs[glyph] = (float) (at + run.x()[glyph] * across);
        ys[glyph] = (float) (run.y()[glyph] * down + y);
      }
      at += run.advances()[cluster] * across + gap;
      if (cluster < many) {
        left[cluster] = (float) began;
        right[cluster] = (float) at;
      }
    }
    return new GlyphRun(
        run.span(),
        run.face(),
        down * run.scale(),
        across / down,
        GlyphPlacer.skew(look, run),
        run.rightToLeft(),
        run.glyphs(),
        new int[xs.length],
        new float[xs.length],
        xs,
        ys,
        many == 0 ? new int[0] : run.starts(),
        many == 0 ? new int[0] : run.ends(),
        left,
        right);
  }
}
