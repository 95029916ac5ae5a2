package dynamorph.typeset.compose;

import dynamorph.model.cascade.TypeLook;
import dynamorph.typeset.shape.ShapedParagraph;
import dynamorph.typeset.shape.ShapedRun;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

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
    return em * look.size() * run.along(look.forms()) * share;
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
      Optional<String> words =
          ornament.text() ? Optional.empty() : Optional.of(ornament.shaped().text());
      GlyphRun set = set(run, look, ornament.size(), x, ornament.y(), 0, words, 0);
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
   * @param words that they are part of; empty if these are those of the paragraph
   * @param unit of the paragraph that they belong to, if they are no letters of it
   */
  static GlyphRun set(
      ShapedRun run,
      TypeLook look,
      double share,
      double x,
      double y,
      double gap,
      Optional<String> words,
      int unit) {
    GlyphScales scales = GlyphScales.of(run, look, share, 1);
    double along = scales.along();
    int many = words.isEmpty() ? run.clusterCount() : 0;
    float[] xs = new float[run.glyphs().length];
    float[] ys = new float[run.glyphs().length];
    int[] units = new int[run.glyphs().length];
    float[] left = new float[many];
    float[] right = new float[many];
    double at = x;
    for (int cluster = 0; cluster < run.clusterCount(); cluster++) {
      double began = at;
      for (int glyph = run.clusters()[cluster]; glyph < run.clusters()[cluster + 1]; glyph++) {
        xs[glyph] = (float) (at + run.x()[glyph] * along);
        ys[glyph] = (float) (run.y()[glyph] * scales.across() + y);
        units[glyph] = many == 0 ? unit : run.starts()[cluster];
      }
      at += run.advances()[cluster] * along + gap;
      if (cluster < many) {
        left[cluster] = (float) began;
        right[cluster] = (float) at;
      }
    }
    return new GlyphRun(
        run.span(),
        run.face(),
        scales.size(),
        scales.stretch(),
        GlyphPlacer.skew(look, run),
        run.rightToLeft(),
        run.isUpright(),
        run.glyphs(),
        units,
        new float[xs.length],
        xs,
        ys,
        many == 0 ? new int[0] : run.starts(),
        many == 0 ? new int[0] : run.ends(),
        left,
        right,
        words.map(all -> said(run, all)).orElse(""));
  }

  private static String said(ShapedRun run, String words) {
    int start = Arrays.stream(run.starts()).min().orElse(0);
    int end = Arrays.stream(run.ends()).max().orElse(0);
    return words.isEmpty() ? "" : words.substring(start, Math.min(end, words.length()));
  }
}
