package dynamorph.typeset.shape;

import dynamorph.typeset.harfbuzz.HarfBuzzShaper;
import java.util.Arrays;
import java.util.BitSet;
import org.jspecify.annotations.Nullable;

/** Takes the glyphs of one run as HarfBuzz gives them, and puts them into em and clusters. */
final class RunCollector implements HarfBuzzShaper.Sink {
  /** What stands beside figures in a column of them. */
  private static final String FIGURE_SIGNS = ".,:;'/+-\u2212\u2013\u2019\u00A0\u2007\u202F ";

  private static final int STRIDE = HarfBuzzShaper.STRIDE;

  private final CaseMapping shown;
  private final Itemizer.Item item;
  private final ShapePlan treatment;
  private final OpticalKerning optical;
  private @Nullable ShapedRun run;

  /**
   * @param optical kerns the pairs of runs that want it
   */
  RunCollector(CaseMapping shown, Itemizer.Item item, ShapePlan treatment, OpticalKerning optical) {
    this.shown = shown;
    this.item = item;
    this.treatment = treatment;
    this.optical = optical;
  }

  /** What was collected; null for nothing. */
  @Nullable ShapedRun run() {
    return run;
  }

  @Override
  public void glyphs(int count, int[] infos, int[] positions) {
    if (count == 0) {
      return;
    }
    boolean rightToLeft = (item.level() & 1) == 1;
    double scale = treatment.scale() * (item.small() ? ShapePlan.SMALL_CAPITAL : 1);
    float unit = (float) (scale / item.face().shaping().unitsPerEm());
    int[] clusters = clusterStarts(count, infos);
    int many = clusters.length - 1;
    short[] glyphs = new short[count];
    int[] starts = new int[many];
    int[] ends = new int[many];
    float[] advances = new float[many];
    float[] glyphAdvances = new float[count];
    float[] x = new float[count];
    float[] y = new float[count];
    BitSet unsafe = new BitSet();
    boolean upright = item.direction() == HarfBuzzShaper.Direction.TOP_TO_BOTTOM;
    float centre =
        item.orientation() == GlyphOrientation.SIDEWAYS
            ? (float) (item.face().centre() * scale)
            : 0;
    for (int cluster = 0; cluster < many; cluster++) {
      int pen = 0;
      for (int glyph = clusters[cluster]; glyph < clusters[cluster + 1]; glyph++) {
        int at = glyph * STRIDE;
        glyphs[glyph] = (short) infos[at];
        int advance = along(positions, at);
        x[glyph] = (pen + (upright ? -positions[at + 3] : positions[at + 2])) * unit;
        y[glyph] = (upright ? -positions[at + 2] : -positions[at + 3]) * unit + centre;
        glyphAdvances[glyph] = advance * unit;
        pen += advance;
      }
      advances[cluster] = pen * unit;
      int info = clusters[cluster] * STRIDE;
      int logicalNext = rightToLeft ? cluster - 1 : cluster + 1;
      int end =
          logicalNext >= 0 && logicalNext < many
              ? infos[clusters[logicalNext] * STRIDE + 2]
              : item.end();
      starts[cluster] = shown.source()[infos[info + 2]];
      ends[cluster] = Math.max(starts[cluster], shown.source()[end]);
      unsafe.set(cluster, (infos[info + 1] & HarfBuzzShaper.UNSAFE_TO_BREAK) != 0);
    }
    if (!upright && treatment.isOptical(item.face(), item.script())) {
      kern(infos, clusters, glyphs, advances, scale);
    }
    run =
        new ShapedRun(
            item.span(),
            item.face(),
            item.slanted(),
            item.level(),
            item.orientation(),
            1,
            JoiningScripts.join(item.script()),
            scale,
            treatment.rise(),
            glyphs,
            clusters,
            starts,
            ends,
            advances,
            glyphAdvances,
            x,
            y,
            unsafe);
    if (item.across() > 0) {
      run = TateChuYokoRuns.across(run);
    }
  }

  /** What a glyph takes along the line, in font units; HarfBuzz counts upwards. */
  private int along(int[] positions, int at) {
    return item.direction() == HarfBuzzShaper.Direction.TOP_TO_BOTTOM
        ? -positions[at + 1]
        : positions[at];
  }

  private void kern(int[] infos, int[] clusters, short[] glyphs, float[] advances, double scale) {
    for (int cluster = 0; cluster + 1 < advances.length; cluster++) {
      if (standInColumns(
          shownAt(infos, clusters, cluster), shownAt(infos, clusters, cluster + 1))) {
        continue;
      }
      int left = glyphs[clusters[cluster + 1] - 1] & 0xFFFF;
      int right = glyphs[clusters[cluster + 1]] & 0xFFFF;
      advances[cluster] += (float) (scale * optical.between(item.face(), left, right));
    }
  }

  private int shownAt(int[] infos, int[] clusters, int cluster) {
    return shown.text().codePointAt(infos[clusters[cluster] * STRIDE + 2]);
  }

  /** Whether two letters are figures of one width, or such a figure and a sign beside it. */
  private boolean standInColumns(int one, int other) {
    boolean figures =
        Character.isDigit(one) && (Character.isDigit(other) || FIGURE_SIGNS.indexOf(other) >= 0)
            || Character.isDigit(other) && FIGURE_SIGNS.indexOf(one) >= 0;
    return figures
        && (item.face().hasTabularFigures() || treatment.features().getOrDefault("tnum", 0) == 1);
  }

  private static int[] clusterStarts(int count, int[] infos) {
    int[] starts = new int[count + 1];
    int many = 0;
    for (int glyph = 0; glyph < count; glyph++) {
      if (glyph == 0 || infos[glyph * STRIDE + 2] != infos[(glyph - 1) * STRIDE + 2]) {
        starts[many++] = glyph;
      }
    }
    starts[many] = count;
    return Arrays.copyOf(starts, many + 1);
  }
}
