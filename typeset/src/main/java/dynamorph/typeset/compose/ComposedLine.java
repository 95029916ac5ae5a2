package dynamorph.typeset.compose;

import static java.util.Objects.requireNonNull;

import java.util.List;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * A line of a paragraph, its baseline at 0 and the left of its column at 0. What lies on it is put
 * in its place when it is first asked for: most lines of a long text are never looked at, and
 * stacking them takes no more than their heights. Safe on any thread.
 */
public final class ComposedLine {
  private final int start;
  private final int end;
  private final Height height;
  private final boolean rightToLeft;
  private final boolean last;
  private final boolean hyphenated;
  private final boolean tooWide;
  private volatile @Nullable Supplier<Content> setting;
  private volatile @Nullable Content content;
  private volatile @Nullable List<GlyphRun> runs;

  /**
   * How much of its column a line takes.
   *
   * @param ascent above the baseline
   * @param descent below the baseline
   * @param leading from the baseline before
   */
  record Height(double ascent, double descent, double leading) {}

  /**
   * Where the content of a line lies.
   *
   * @param left where it begins
   * @param width without trailing spaces
   * @param needed how wide a column must be for it, up to its end indent
   * @param filled how its glue is set
   */
  record Content(double left, double width, double needed, Supplier<Filled> filled) {}

  /**
   * A line whose glue is set.
   *
   * @param ratio how far its glue is stretched, the adjustment ratio
   */
  record Filled(double left, double width, double ratio, Supplier<List<GlyphRun>> glyphs) {}

  /** Whether an unbreakable piece on it is wider than its line width. */
  public boolean tooWide() {
    return tooWide;
  }

  ComposedLine(
      int start, LineRange cut, Height height, boolean rightToLeft, Supplier<Content> setting) {
    this.start = start;
    this.end = cut.end();
    this.height = height;
    this.rightToLeft = rightToLeft;
    this.last = cut.last();
    this.hyphenated = cut.hyphenated();
    this.tooWide = cut.tooWide();
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
    return content().left;
  }

  public double width() {
    return content().width;
  }

  public double ascent() {
    return height.ascent;
  }

  public double descent() {
    return height.descent;
  }

  /** Points from the baseline before. */
  public double leading() {
    return height.leading;
  }

  /** How wide a column must be for this line at its best spacing, without the end indent. */
  public double needed() {
    return content().needed;
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

  /** How far its glue is stretched, in parts of what the limits allow; negative for shrunk. */
  public double ratio() {
    return content().filled.get().ratio;
  }

  /** In visual order, left to right. */
  public List<GlyphRun> runs() {
    List<GlyphRun> known = runs;
    if (known == null) {
      synchronized (this) {
        known = runs;
        if (known == null) {
          known = content().filled.get().glyphs.get();
          runs = known;
        }
      }
    }
    return known;
  }

  private Content content() {
    Content known = content;
    if (known == null) {
      synchronized (this) {
        known = content;
        if (known == null) {
          known = requireNonNull(setting).get();
          content = known;
          setting = null;
        }
      }
    }
    return known;
  }
}
