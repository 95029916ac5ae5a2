package dynamorph.typeset.compose;

import dynamorph.model.cascade.TypeLook;
import dynamorph.typeset.shape.FullWidthSigns;
import dynamorph.typeset.shape.ShapedRun;
import java.util.ArrayList;
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
  private final List<Lengthened> lengthened = new ArrayList<>();
  private double x;

  /** A join that was lengthened, in points from the left of the column. */
  record Lengthened(int span, double x, double width) {}

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

  /** The joins that were lengthened so far. */
  List<Lengthened> lengthened() {
    return lengthened;
  }

  /** Where a tab begins. */
  double xOf(int tab) {
    return tabPlaces.getOrDefault(tab, x);
  }

  /** What a look makes of the units of a font, in points. */
  private record Scales(
      double size, GlyphScales glyphs, double rise, double extra, double letter, double words) {
    static Scales of(TypeLook look, ShapedRun run, Glue glue) {
      double size = look.size();
      GlyphScales glyphs = GlyphScales.of(run, look, 1, glue.glyph());
      double extra = look.spacing().letterExtra(run.cursive()) * size;
      return new Scales(
          size,
          glyphs,
          look.spacing().baselineShift() + run.rise() * glyphs.across(),
          extra,
          run.cursive() ? extra : extra + glue.letter() * size,
          look.spacing().wordSpacing() / 1000 * size);
    }
  }

  /**
   * A cluster with the glue around it, in points.
   *
   * @param behind whether it is no part of the paragraph, such as a hyphen
   * @param wide how its glyphs are scaled across
   * @param advance what it takes with its glue
   * @param pad what stands around it for its ruby
   * @param gap what stands after it, between East Asian letters, and its kashida
   * @param kashida how much the join at its right is lengthened
   * @param white what was taken from the white before its glyphs
   */
  private record Cluster(
      int unit,
      boolean behind,
      boolean tab,
      double wide,
      double advance,
      double pad,
      double gap,
      double kashida,
      double white) {}

  /** Places the glyphs of a segment where the one before ended, and appends them. */
  void set(RunSegment segment, List<GlyphRun> into) {
    TypeLook look = looks.get(segment.run().span());
    Scales scales = Scales.of(look, segment.run(), glue);
    PlacedGlyphs placed = new PlacedGlyphs(segment, cut.end());
    for (int index = segment.from(); index < segment.to(); index++) {
      Cluster cluster = measured(segment, index, placed.isBehind(index), scales);
      double began = x;
      double glyphs = x + cluster.pad / 2;
      x = glyphs + cluster.advance + cluster.pad / 2 + cluster.gap;
      if (cluster.kashida > 0) {
        lengthened.add(new Lengthened(segment.run().span(), x - cluster.kashida, cluster.kashida));
      }
      placed.put(index, cluster, scales, began, glyphs - cluster.white, x);
      if (cluster.tab) {
        tabPlaces.put(cluster.unit, began);
      }
    }
    into.add(placed.run(look, scales));
  }

  private Cluster measured(RunSegment segment, int index, boolean behind, Scales scales) {
    ShapedRun run = segment.run();
    String text = measures.shaped().text();
    int unit = run.starts()[index] + segment.offset();
    char sign = behind || unit >= text.length() ? '-' : text.charAt(unit);
    boolean space = sign == ' ' || sign == '\u00A0';
    boolean tab = sign == '\t';
    double wide = space ? 1 : glue.glyph();
    double drawn = run.advances()[index] * scales.glyphs.along();
    double stretched = unit < cut.ink() ? glue.word() : 1;
    double advance =
        space
            ? (drawn + scales.words) * stretched + scales.extra
            : tab ? tabWidth(unit) : drawn * wide + scales.letter;
    double pad = behind ? 0 : measures.pad(unit);
    double kashida = behind || !run.cursive() ? 0 : measures.kashida(unit, glue.join());
    double gap = behind ? 0 : kashida + gapAfter(run.ends()[index] + segment.offset(), scales);
    double taken =
        glue.sign() == 0 || behind || unit >= cut.ink()
            ? 0
            : glue.sign() * measures.reducible(run, index, sign) * scales.glyphs.along();
    double white = taken * FullWidthSigns.shareBefore(sign);
    return new Cluster(unit, behind, tab, wide, advance - taken, pad, gap, kashida, white);
  }

  private double gapAfter(int end, Scales scales) {
    boolean gap =
        glue.gap() != 0 && end < cut.ink() && measures.isGap(measures.shaped().text(), end);
    return gap ? glue.gap() * scales.size : 0;
  }

  /** The glyphs of a segment, put down one cluster after another. */
  private static final class PlacedGlyphs {
    private final RunSegment segment;
    private final ShapedRun run;
    private final int lineEnd;
    private final int firstGlyph;
    private final int typed;
    private final int[] units;
    private final float[] advances;
    private final float[] xs;
    private final float[] ys;
    private final int[] starts;
    private final int[] ends;
    private final float[] left;
    private final float[] right;

    PlacedGlyphs(RunSegment segment, int lineEnd) {
      this.segment = segment;
      this.run = segment.run();
      this.lineEnd = lineEnd;
      this.firstGlyph = run.clusters()[segment.from()];
      int glyphs = run.clusters()[segment.to()] - firstGlyph;
      this.units = new int[glyphs];
      this.advances = new float[glyphs];
      this.xs = new float[glyphs];
      this.ys = new float[glyphs];
      int end = segment.to();
      while (end > segment.from() && run.starts()[end - 1] >= segment.behind()) {
        end--;
      }
      this.typed = end;
      int clusters = typed - segment.from();
      this.starts = new int[clusters];
      this.ends = new int[clusters];
      this.left = new float[clusters];
      this.right = new float[clusters];
    }

    boolean isBehind(int index) {
      return index >= typed;
    }

    /**
     * Puts down a cluster.
     *
     * @param began where the one before ended
     * @param at where its glyphs begin
     * @param ended where it ends, with its glue
     */
    void put(int index, Cluster cluster, Scales scales, double began, double at, double ended) {
      int first = run.clusters()[index];
      int next = run.clusters()[index + 1];
      double along = scales.glyphs.along();
      double across = scales.glyphs.across();
      double shaped = 0;
      for (int glyph = first; glyph < next; glyph++) {
        xs[glyph - firstGlyph] = (float) (at + run.x()[glyph] * along * cluster.wide);
        ys[glyph - firstGlyph] = (float) (run.y()[glyph] * across - scales.rise);
        units[glyph - firstGlyph] = Math.min(cluster.unit, lineEnd);
        advances[glyph - firstGlyph] = (float) (run.glyphAdvances()[glyph] * along * cluster.wide);
        shaped += run.glyphAdvances()[glyph] * along * cluster.wide;
      }
      advances[next - 1 - firstGlyph] += (float) (ended - began - shaped);
      if (!cluster.behind) {
        int own = index - segment.from();
        starts[own] = cluster.unit;
        ends[own] = Math.min(run.ends()[index], segment.behind()) + segment.offset();
        left[own] = (float) began;
        right[own] = (float) ended;
      }
    }

    GlyphRun run(TypeLook look, Scales scales) {
      return new GlyphRun(
          run.span(),
          run.face(),
          scales.glyphs.size(),
          scales.glyphs.stretch(),
          skew(look, run),
          run.rightToLeft(),
          run.isUpright(),
          Arrays.copyOfRange(run.glyphs(), firstGlyph, firstGlyph + units.length),
          units,
          advances,
          xs,
          ys,
          starts,
          ends,
          left,
          right,
          "");
    }
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
