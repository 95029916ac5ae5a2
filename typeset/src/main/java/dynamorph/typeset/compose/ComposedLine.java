package dynamorph.typeset.compose;

import java.util.List;
import java.util.function.Supplier;

/**
 * A line of a paragraph, its baseline at 0 and the left of its column at 0. Its glyphs are put in
 * their places when they are first asked for: most lines of a long text are never looked at. Safe
 * on any thread.
 */
public final class ComposedLine {
  private final int start;
  private final int end;
  private final Extent extent;
  private final boolean rightToLeft;
  private final boolean last;
  private final boolean hyphenated;
  private final double ratio;
  private volatile Supplier<List<GlyphRun>> setting;
  private volatile List<GlyphRun> runs;

  /**
   * Where a line lies.
   *
   * @param left where its content begins
   * @param width of its content, without trailing spaces
   * @param ascent above the baseline
   * @param descent below the baseline
   * @param leading from the baseline before
   * @param needed how wide a column must be for it, up to its end indent
   */
  record Extent(
      double left, double width, double ascent, double descent, double leading, double needed) {
    Extent at(double itsLeft, double itsWidth, double itsNeeded) {
      return new Extent(itsLeft, itsWidth, ascent, descent, leading, itsNeeded);
    }
  }

  ComposedLine(
      int start,
      int end,
      Extent extent,
      boolean rightToLeft,
      boolean last,
      boolean hyphenated,
      double ratio,
      Supplier<List<GlyphRun>> setting) {
    this.start = start;
    this.end = end;
    this.extent = extent;
    this.rightToLeft = rightToLeft;
    this.last = last;
    this.hyphenated = hyphenated;
    this.ratio = ratio;
    this.setting = setting;
  }

  /** First unit of the paragraph. */
  public int start() {
    return start;
  }

  /** One past the last unit of the paragraph, trailing spaces included. */
  public int end() {
    return end;
  }

  public double left() {
    return extent.left;
  }

  public double width() {
    return extent.width;
  }

  public double ascent() {
    return extent.ascent;
  }

  public double descent() {
    return extent.descent;
  }

  /** Points from the baseline before. */
  public double leading() {
    return extent.leading;
  }

  /** How wide a column must be for this line at its best spacing, without the end indent. */
  public double needed() {
    return extent.needed;
  }

  public boolean rightToLeft() {
    return rightToLeft;
  }

  /** Whether it ends its paragraph. */
  public boolean isLast() {
    return last;
  }

  /** Whether a hyphen stands at its end that was not typed. */
  public boolean isHyphenated() {
    return hyphenated;
  }

  /** How far its white is stretched, in parts of what the limits allow; negative for shrunk. */
  public double ratio() {
    return ratio;
  }

  /** In visual order, left to right. */
  public List<GlyphRun> runs() {
    List<GlyphRun> known = runs;
    if (known == null) {
      synchronized (this) {
        known = runs;
        if (known == null) {
          known = setting.get();
          runs = known;
          setting = null;
        }
      }
    }
    return known;
  }
}
