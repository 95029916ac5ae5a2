package dynamorph.typeset.shape;

import java.util.Arrays;
import java.util.BitSet;

/**
 * Letters that are set across a vertical line, in the square of one em: narrowed to it if they are
 * wider (CSS Writing Modes 4, 9.1.3).
 */
final class TateChuYokoRuns {
  private TateChuYokoRuns() {}

  /** A run that was shaped from left to right, as the single cluster that it is on its line. */
  static ShapedRun across(ShapedRun run) {
    double wide = 0;
    for (float advance : run.advances()) {
      wide += advance;
    }
    double square = run.scale();
    double condensed = Math.min(1, square / Math.max(wide, 1e-6));
    float[] along = new float[run.glyphs().length];
    float[] down = new float[along.length];
    // the middle of the letters lies in the middle of the square
    double baseline = square / 2 + run.face().centre() * run.scale();
    double at = -wide / 2;
    for (int cluster = 0; cluster < run.clusterCount(); cluster++) {
      for (int glyph = run.clusters()[cluster]; glyph < run.clusters()[cluster + 1]; glyph++) {
        along[glyph] = (float) (baseline + run.y()[glyph]);
        down[glyph] = (float) (-(at + run.x()[glyph]) * condensed);
      }
      at += run.advances()[cluster];
    }
    float[] advances = new float[along.length];
    advances[along.length - 1] = (float) square;
    return new ShapedRun(
        run.span(),
        run.face(),
        run.slanted(),
        run.level(),
        run.orientation(),
        condensed,
        false,
        run.scale(),
        run.rise(),
        run.glyphs(),
        new int[] {0, along.length},
        new int[] {Arrays.stream(run.starts()).min().orElseThrow()},
        new int[] {Arrays.stream(run.ends()).max().orElseThrow()},
        new float[] {(float) square},
        advances,
        along,
        down,
        new BitSet());
  }
}
