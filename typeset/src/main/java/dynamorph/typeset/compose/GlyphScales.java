package dynamorph.typeset.compose;

import dynamorph.model.cascade.Letterforms;
import dynamorph.model.cascade.TypeLook;
import dynamorph.typeset.shape.ShapedRun;

/**
 * What a look makes of the em of a shaped run.
 *
 * @param along points of an em along the line
 * @param across points of an em across the line
 * @param size of the glyphs as they are drawn, in points
 * @param stretch how much wider than drawn the glyphs are
 */
record GlyphScales(double along, double across, double size, double stretch) {
  /**
   * The scales of a run.
   *
   * @param share of the size of the look
   * @param glyph factor by which justification changes glyphs along the line
   */
  static GlyphScales of(ShapedRun run, TypeLook look, double share, double glyph) {
    Letterforms forms = look.forms();
    double em = look.size() * share;
    double along = em * run.along(forms);
    double across = em * run.across(forms);
    double high = run.isUpright() ? along * glyph : across;
    double wide = run.isUpright() ? across * run.condensed() : along * glyph;
    return new GlyphScales(along, across, high * run.scale(), wide / high);
  }
}
