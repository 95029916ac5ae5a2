package dynamorph.typeset.compose;

import dynamorph.model.cascade.TypeLook;
import dynamorph.typeset.shape.ShapeKey;
import dynamorph.typeset.shape.ShapedParagraph;
import dynamorph.typeset.shape.ShapedRun;
import java.util.List;
import java.util.function.Function;

/**
 * Fills a join that was lengthened with the tatweel of the font, made as long as it is: several in
 * a row would show where they meet.
 */
final class Tatweel {
  private static final String SIGN = Character.toString(Kashida.TATWEEL);

  /** How far it reaches over the letters at its sides, in em, so that no seam shows. */
  private static final double OVERLAP = 0.012;

  private Tatweel() {}

  static void add(
      List<GlyphRun> runs,
      GlyphPlacer.Lengthened join,
      ShapedParagraph paragraph,
      List<TypeLook> looks,
      Function<ShapeKey, ShapedParagraph> shaper) {
    TypeLook look = looks.get(join.span());
    ShapeKey key =
        new ShapeKey(
            SIGN,
            List.of(paragraph.key().spans().get(join.span()).withLength(SIGN.length())),
            paragraph.key().flow());
    for (ShapedRun run : shaper.apply(key).runs()) {
      double drawn = run.clusterCount() == 0 ? 0 : run.advances()[0] * look.size();
      if (drawn > 0) {
        runs.add(filled(run, join, look, drawn));
      }
    }
  }

  private static GlyphRun filled(
      ShapedRun run, GlyphPlacer.Lengthened join, TypeLook look, double drawn) {
    double overlap = OVERLAP * look.size();
    double length = join.width() + 2 * overlap;
    GlyphScales scales = GlyphScales.of(run, look, 1, 1);
    return new GlyphRun(
        join.span(),
        run.face(),
        scales.size(),
        scales.stretch() * length / (drawn * run.along(look.forms())),
        GlyphPlacer.skew(look, run),
        run.rightToLeft(),
        run.isUpright(),
        new short[] {run.glyphs()[0]},
        new int[1],
        new float[1],
        new float[] {(float) (join.x() - overlap)},
        new float[] {(float) -look.spacing().baselineShift()},
        new int[0],
        new int[0],
        new float[0],
        new float[0],
        "");
  }
}
