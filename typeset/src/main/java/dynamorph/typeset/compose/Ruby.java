package dynamorph.typeset.compose;

import dynamorph.model.cascade.TypeLook;
import dynamorph.model.text.RubyBase;
import dynamorph.typeset.shape.ShapeKey;
import dynamorph.typeset.shape.ShapedParagraph;
import dynamorph.typeset.shape.ShapedRun;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Letters in half size over those whose reading they are (JIS X 4051; W3C, Requirements for
 * Japanese Text Layout, 3.3). A ruby that is narrower than its base is spread over it, each letter
 * with the same white around it; one that is wider may reach over kana beside the base by half of
 * one of its letters, and spreads the base for the rest.
 *
 * @param pads white that each unit of the paragraph has around its letter, in the measure of the
 *     widths that it was made from; empty for none
 */
record Ruby(List<Over> overs, double[] pads) {
  static final Ruby NONE = new Ruby(List.of(), new double[0]);

  /** Share of the size of the base. */
  static final double SIZE = 0.5;

  /** How far a ruby may reach over a kana, in em of the base: half of one of its letters. */
  private static final double OVERHANG = SIZE / 2;

  /** What letters take above and below the baseline, in em; East Asian ones fill their square. */
  enum Extent {
    SQUARE(0.88, 0.12),
    OTHER(0.8, 0.22);

    private final double above;
    private final double below;

    Extent(double above, double below) {
      this.above = above;
      this.below = below;
    }

    /** Above the baseline, which runs through the middle of vertical lines. */
    double above(boolean vertical) {
      return vertical ? (above + below) / 2 : above;
    }

    double below(boolean vertical) {
      return vertical ? (above + below) / 2 : below;
    }

    static Extent of(String letters) {
      return letters.chars().anyMatch(unit -> WidthSums.isEastAsian((char) unit)) ? SQUARE : OTHER;
    }
  }

  /**
   * One ruby.
   *
   * @param letters shaped in the look of the first letter of the base
   * @param before how far it reaches out to the left of its base, in em
   * @param baseline above that of the base, in em
   * @param top above the baseline of the base, in em
   * @param spread whether its letters are spread over a wider base
   */
  record Over(
      RubyBase base,
      int span,
      ShapedParagraph letters,
      double before,
      double baseline,
      double top,
      boolean spread) {
    boolean isOn(LineRange cut) {
      // letters that are torn apart by a forced end of line have it where they begin
      return base.start() >= cut.start() && base.start() < cut.end();
    }
  }

  /**
   * Makes what stands over a paragraph.
   *
   * @param plain widths of the paragraph without it
   */
  static Ruby over(
      List<RubyBase> bases,
      WidthSums plain,
      List<TypeLook> looks,
      Function<ShapeKey, ShapedParagraph> shaper) {
    String text = plain.shaped().text();
    BitSet covered = new BitSet();
    List<RubyBase> parts = new ArrayList<>();
    for (RubyBase base : bases) {
      parts.addAll(base.overLetters(text));
      covered.set(base.start(), base.end());
    }
    double[] pads = new double[text.length()];
    List<Over> overs = new ArrayList<>(parts.size());
    for (RubyBase base : parts) {
      int span = plain.spanAt(base.start());
      TypeLook look = looks.get(span);
      ShapedParagraph letters = shaper.apply(key(plain.shaped().key(), span, base.ruby()));
      double wide = MarkPlacer.width(letters, looks, SIZE);
      double excess = Math.max(0, wide - plain.lineWidth(base.start(), base.end()));
      double before = reach(text, base.start() - 1, covered, excess, look);
      double behind = reach(text, base.end(), covered, excess, look);
      pad(pads, plain.shaped(), base, excess - before - behind);
      Extent ground = Extent.of(text.substring(base.start(), base.end()));
      Extent own = Extent.of(base.ruby());
      boolean vertical = plain.shaped().key().flow().vertical();
      double baseline = ground.above(vertical) + own.below(vertical) * SIZE;
      overs.add(
          new Over(
              base,
              span,
              letters,
              before / look.size(),
              baseline,
              baseline + own.above(vertical) * SIZE,
              own == Extent.SQUARE));
    }
    return new Ruby(overs, pads);
  }

  /** Letters on their own, in the type of a span. */
  static ShapeKey key(ShapeKey of, int span, String letters) {
    List<ShapeKey.SpanType> types = new ArrayList<>(of.spans().size());
    for (int index = 0; index < of.spans().size(); index++) {
      types.add(of.spans().get(index).withLength(index == span ? letters.length() : 0));
    }
    return new ShapeKey(letters, types, of.flow());
  }

  /** How far a ruby reaches over the letter beside its base: only over kana without a ruby. */
  private static double reach(String text, int unit, BitSet covered, double excess, TypeLook look) {
    boolean kana =
        unit >= 0
            && unit < text.length()
            && text.charAt(unit) >= 0x3041
            && text.charAt(unit) <= 0x30FF
            && !covered.get(unit);
    return kana ? Math.min(excess / 2, OVERHANG * look.size()) : 0;
  }

  private static void pad(double[] pads, ShapedParagraph shaped, RubyBase base, double lack) {
    if (lack <= 0) {
      return;
    }
    BitSet letters = new BitSet();
    for (ShapedRun run : shaped.runs()) {
      for (int start : run.starts()) {
        letters.set(start);
      }
    }
    int count = letters.get(base.start(), base.end()).cardinality();
    for (int at = letters.nextSetBit(base.start());
        at >= 0 && at < base.end();
        at = letters.nextSetBit(at + 1)) {
      pads[at] = lack / count;
    }
  }

  /** Code points of it that no font has. */
  Set<Integer> missingGlyphs() {
    return overs.stream()
        .flatMap(over -> over.letters.missingGlyphs().stream())
        .collect(Collectors.toCollection(HashSet::new));
  }

  boolean isEmpty() {
    return overs.isEmpty();
  }

  /** White around the letter that begins at a unit, half of it at each side. */
  double pad(int unit) {
    return unit < pads.length ? pads[unit] : 0;
  }

  /** The white of a stretch of the paragraph that is measured on its own. */
  Ruby part(int start, int end, double scale) {
    if (isEmpty()) {
      return NONE;
    }
    double[] part = Arrays.copyOfRange(pads, start, end);
    for (int unit = 0; unit < part.length; unit++) {
      part[unit] *= scale;
    }
    return new Ruby(List.of(), part);
  }

  /** Clears the places inside of bases, where lines do not end but by force. */
  static void keepTogether(List<RubyBase> bases, ShapedParagraph paragraph, BitSet places) {
    for (RubyBase base : bases) {
      for (RubyBase part : base.overLetters(paragraph.text())) {
        for (int unit = part.start() + 1; unit < part.end(); unit++) {
          places.set(unit, places.get(unit) && paragraph.forced().get(unit));
        }
      }
    }
  }

  /** How much room the ruby of a line needs above its baseline, and from the baseline before. */
  ComposedLine.Height heightened(ComposedLine.Height height, LineRange cut, List<TypeLook> looks) {
    double ascent = height.ascent();
    double leading = height.leading();
    for (Over over : overs) {
      if (over.isOn(cut)) {
        TypeLook look = looks.get(over.span);
        double size = look.size() * look.forms().scaleDown();
        double top = over.top * size + look.spacing().baselineShift();
        ascent = Math.max(ascent, top);
        // so that it does not touch what stands below the baseline before
        leading = Math.max(leading, top + 0.12 * size);
      }
    }
    return new ComposedLine.Height(ascent, height.descent(), leading);
  }

  /** Puts the ruby of a line over the letters that are set. */
  void add(List<GlyphRun> runs, LineRange cut, List<TypeLook> looks) {
    List<GlyphRun> set = List.copyOf(runs);
    for (Over over : overs) {
      if (over.isOn(cut)) {
        add(runs, set, over, cut, looks);
      }
    }
  }

  private static void add(
      List<GlyphRun> runs, List<GlyphRun> set, Over over, LineRange cut, List<TypeLook> looks) {
    double left = Double.POSITIVE_INFINITY;
    double right = Double.NEGATIVE_INFINITY;
    for (GlyphRun run : set) {
      for (int cluster = 0; cluster < run.starts().length; cluster++) {
        int start = run.starts()[cluster];
        if (start >= over.base.start() && start < over.base.end()) {
          left = Math.min(left, run.left()[cluster]);
          right = Math.max(right, run.right()[cluster]);
        }
      }
    }
    if (left >= right) {
      return;
    }
    TypeLook look = looks.get(over.span);
    double wide = MarkPlacer.width(over.letters, looks, SIZE);
    double free = right - left - wide;
    int count = over.letters.runs().stream().mapToInt(ShapedRun::clusterCount).sum();
    double gap = over.spread && free > 0 ? free / count : 0;
    double x = free < 0 ? left - over.before * look.size() : left + (gap > 0 ? gap / 2 : free / 2);
    boolean first = over.base.start() <= cut.start();
    boolean last = over.base.end() >= cut.ink();
    if (free < 0 && first != last) {
      // at the end of a line there is no letter to reach over (JLREQ 3.3.8)
      x = first ? Math.max(x, left) : Math.min(x, right - wide);
    }
    double y = -over.baseline * look.size() * look.forms().scaleDown();
    y -= look.spacing().baselineShift();
    for (ShapedRun run : over.letters.runs()) {
      runs.add(
          MarkPlacer.set(
              run, look, SIZE, x, y, gap, Optional.of(over.letters.text()), over.base.end()));
      x += MarkPlacer.width(run, look, SIZE) + gap * run.clusterCount();
    }
  }
}
