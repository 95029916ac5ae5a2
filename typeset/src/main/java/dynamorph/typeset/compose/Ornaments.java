package dynamorph.typeset.compose;

import dynamorph.model.cascade.TypeLook;
import dynamorph.typeset.shape.ShapedRun;
import java.util.List;

/** Puts down bullets, numbers and drop capitals. */
final class Ornaments {
  private Ornaments() {}

  /** Width of shaped letters at a share of the size of their looks. */
  static double width(
      dynamorph.typeset.shape.ShapedParagraph shaped, List<TypeLook> looks, double share) {
    double width = 0;
    for (ShapedRun run : shaped.runs()) {
      TypeLook look = looks.get(run.span());
      for (float advance : run.advances()) {
        width += advance * look.size() * look.forms().scaleAcross() * share;
      }
    }
    return width;
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
      double size = look.size() * ornament.size();
      double across = size * look.forms().scaleAcross();
      double down = size * look.forms().scaleDown();
      int many = ornament.text() ? run.clusterCount() : 0;
      float[] xs = new float[run.glyphs().length];
      float[] ys = new float[run.glyphs().length];
      float[] left = new float[many];
      float[] right = new float[many];
      for (int cluster = 0; cluster < run.clusterCount(); cluster++) {
        double began = x;
        for (int glyph = run.clusters()[cluster]; glyph < run.clusters()[cluster + 1]; glyph++) {
          xs[glyph] = (float) (x + run.x()[glyph] * across);
          ys[glyph] = (float) (run.y()[glyph] * down + ornament.y());
        }
        x += run.advances()[cluster] * across;
        if (cluster < many) {
          left[cluster] = (float) began;
          right[cluster] = (float) x;
        }
      }
      GlyphRun set =
          new GlyphRun(
              run.span(),
              run.face(),
              down * run.scale(),
              across / down,
              Pen.skew(look, run),
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
      runs.add(rightToLeft ? runs.size() : 0, set);
    }
  }
}
