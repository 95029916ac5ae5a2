package dynamorph.typeset.compose;

import dynamorph.model.cascade.TypeLook;
import dynamorph.typeset.shape.ShapeKey;
import dynamorph.typeset.shape.ShapedParagraph;
import dynamorph.typeset.shape.ShapedRun;
import java.util.List;
import java.util.function.Function;

/** Fills the way of a tab with its leader, on a grid of its own so that lines agree. */
final class Leaders {
  private static final int MOST = 2_000;

  private Leaders() {}

  static void add(
      List<GlyphRun> runs,
      Tabs.Advance tab,
      double x,
      ShapedParagraph paragraph,
      List<TypeLook> looks,
      Function<ShapeKey, ShapedParagraph> shaper,
      WidthSums measures) {
    int span = measures.spanAt(tab.unit());
    TypeLook look = looks.get(span);
    ShapeKey key =
        new ShapeKey(
            tab.leader(),
            List.of(paragraph.key().spans().get(span).withLength(tab.leader().length())),
            paragraph.key().flow());
    ShapedParagraph leader = shaper.apply(key);
    double width = MarkPlacer.width(leader, List.of(look), 1);
    if (width <= 0) {
      return;
    }
    double first = Math.ceil(x / width) * width;
    int times = (int) Math.min(MOST, Math.floor((x + tab.width() - first) / width));
    for (ShapedRun run : leader.runs()) {
      add(runs, run, look, span, first, width, times);
    }
  }

  private static void add(
      List<GlyphRun> runs,
      ShapedRun run,
      TypeLook look,
      int span,
      double first,
      double width,
      int times) {
    GlyphScales scales = GlyphScales.of(run, look, 1, 1);
    int glyphs = run.glyphs().length;
    short[] all = new short[Math.max(0, times) * glyphs];
    float[] xs = new float[all.length];
    float[] ys = new float[all.length];
    for (int time = 0; time < times; time++) {
      double x = first + time * width;
      for (int cluster = 0; cluster < run.clusterCount(); cluster++) {
        for (int glyph = run.clusters()[cluster]; glyph < run.clusters()[cluster + 1]; glyph++) {
          int at = time * glyphs + glyph;
          all[at] = run.glyphs()[glyph];
          xs[at] = (float) (x + run.x()[glyph] * scales.along());
          ys[at] = (float) (run.y()[glyph] * scales.across() - look.spacing().baselineShift());
        }
        x += run.advances()[cluster] * scales.along();
      }
    }
    int[] none = {};
    float[] nowhere = {};
    runs.add(
        new GlyphRun(
            span,
            run.face(),
            scales.size(),
            scales.stretch(),
            GlyphPlacer.skew(look, run),
            false,
            run.isUpright(),
            all,
            new int[xs.length],
            new float[xs.length],
            xs,
            ys,
            none,
            none,
            nowhere,
            nowhere,
            ""));
  }
}
