package dynamorph.typeset.compose;

import dynamorph.model.cascade.TypeLook;
import dynamorph.typeset.shape.ShapedRun;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Walks along a line and puts down glyphs. */
final class GlyphPlacer {
  private final WidthSums measures;
  private final List<TypeLook> looks;
  private final Glue glue;
  private final LineRange cut;
  private final List<Tabs.Advance> tabs;
  private final Map<Integer, Double> tabPlaces = new HashMap<>();
  private double x;

  GlyphPlacer(
      WidthSums measures,
      List<TypeLook> looks,
      Glue glue,
      LineRange cut,
      List<Tabs.Advance> tabs,
      double x) {
    this.measures = measures;
    this.looks = looks;
    this.glue = glue;
    this.cut = cut;
    this.tabs = tabs;
    this.x = x;
  }

  /** Where a tab begins. */
  double xOf(int tab) {
    return tabPlaces.getOrDefault(tab, x);
  }

  void set(RunSegment segment, List<GlyphRun> into) {
    ShapedRun run = segment.run();
    int from = segment.from();
    int to = segment.to();
    int firstGlyph = run.clusters()[from];
    int glyphCount = run.clusters()[to] - firstGlyph;
    TypeLook look = looks.get(run.span());
    double size = look.size();
    double across = size * look.forms().scaleAcross();
    double down = size * look.forms().scaleDown();
    double rise = look.spacing().baselineShift() + run.rise() * down;
    double extra = look.spacing().letterExtra() * size;
    double letter = extra + glue.letter() * size;
    double words = look.spacing().wordSpacing() / 1000 * size;
    String text = measures.shaped().text();
    int[] units = new int[glyphCount];
    float[] advances = new float[glyphCount];
    float[] xs = new float[glyphCount];
    float[] ys = new float[glyphCount];
    int typed = to;
    while (typed > from && run.starts()[typed - 1] >= segment.behind()) {
      typed--;
    }
    int many = typed - from;
    int[] starts = new int[many];
    int[] ends = new int[many];
    float[] left = new float[many];
    float[] right = new float[many];
    for (int cluster = from; cluster < to; cluster++) {
      int unit = run.starts()[cluster] + segment.offset();
      boolean behind = cluster >= typed;
      char sign = behind || unit >= text.length() ? '-' : text.charAt(unit);
      boolean space = sign == ' ' || sign == '\u00A0';
      double wide = space ? 1 : glue.glyph();
      double began = x;
      double pad = behind ? 0 : measures.pad(unit);
      x += pad / 2;
      for (int glyph = run.clusters()[cluster]; glyph < run.clusters()[cluster + 1]; glyph++) {
        xs[glyph - firstGlyph] = (float) (x + run.x()[glyph] * across * wide);
        ys[glyph - firstGlyph] = (float) (run.y()[glyph] * down - rise);
        units[glyph - firstGlyph] = Math.min(unit, cut.end());
        advances[glyph - firstGlyph] = (float) (run.glyphAdvances()[glyph] * across * wide);
      }
      double drawn = run.advances()[cluster] * across;
      if (space) {
        boolean inside = unit < cut.ink();
        x += (drawn + words) * (inside ? glue.word() : 1) + extra;
      } else if (sign == '\t') {
        x += tabWidth(unit);
        tabPlaces.put(unit, began);
      } else {
        x += drawn * wide + letter;
      }
      x += pad / 2;
      if (glue.gap() != 0 && !behind) {
        int end = run.ends()[cluster] + segment.offset();
        boolean gap = end < cut.ink() && measures.isGap(text, end);
        x += gap ? glue.gap() * size : 0;
      }
      advances[run.clusters()[cluster + 1] - 1 - firstGlyph] += (float) (x - began - drawn * wide);
      if (!behind) {
        starts[cluster - from] = unit;
        ends[cluster - from] = Math.min(run.ends()[cluster], segment.behind()) + segment.offset();
        left[cluster - from] = (float) began;
        right[cluster - from] = (float) x;
      }
    }
    into.add(
        new GlyphRun(
            run.span(),
            run.face(),
            down * run.scale(),
            across / down * glue.glyph(),
            skew(look, run),
            run.rightToLeft(),
            Arrays.copyOfRange(run.glyphs(), firstGlyph, firstGlyph + glyphCount),
            units,
            advances,
            xs,
            ys,
            starts,
            ends,
            left,
            right));
  }

  static double skew(TypeLook look, ShapedRun run) {
    double shear = look.forms().shear();
    return (run.slanted() ? GlyphRun.LEAN : 0) + (shear == 0 ? 0 : Math.tan(Math.toRadians(shear)));
  }

  private double tabWidth(int unit) {
    for (Tabs.Advance tab : tabs) {
      if (tab.unit() == unit) {
        return tab.width();
      }
    }
    return 0;
  }
}
