package dynamorph.typeset.layout;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dynamorph.model.cascade.FontRequest;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.cascade.TypeLook;
import dynamorph.model.text.Story;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.WritingMode;
import dynamorph.typeset.compose.ComposedParagraph;
import dynamorph.typeset.compose.ListMarks;
import dynamorph.typeset.compose.ParagraphComposer;
import dynamorph.typeset.compose.ParagraphKey;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.font.OpticalSizes;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * Sets stories into lines. Remembers paragraphs and whole layouts, so that what did not change is
 * not set again; a change of colour, coats or place sets nothing. Safe on any thread.
 */
public final class Typesetter {
  /** Units of text kept in layouts. */
  private static final long LAID_OUT_UNITS = 1_000_000;

  private final ParagraphComposer composer;
  private final OpticalSizes opticalSizes;
  private final Cache<LayoutKey, TextLayout> layouts =
      Caffeine.newBuilder()
          .executor(Runnable::run)
          .maximumWeight(LAID_OUT_UNITS)
          .weigher((LayoutKey key, TextLayout _) -> weight(key))
          .build();

  public Typesetter(FontLibrary fonts) {
    this.composer = new ParagraphComposer(fonts);
    this.opticalSizes = new OpticalSizes(fonts);
  }

  /** What makes the lines of paragraphs. */
  public ParagraphComposer composer() {
    return composer;
  }

  /**
   * Sets a story.
   *
   * @param resolved the resolved look of the layer that the story stands in
   */
  public TextLayout layout(Story story, ResolvedLayer resolved) {
    return layout(story, resolved, true);
  }

  /**
   * Sets a story.
   *
   * @param fallback whether letters that a face lacks are taken from another
   */
  public TextLayout layout(Story story, ResolvedLayer resolved, boolean fallback) {
    return layouts.get(LayoutKey.of(story, resolved, fallback, this::sized), this::set);
  }

  private TypeLook sized(TypeLook look) {
    FontRequest sized = opticalSizes.sized(look.font(), look.size());
    return sized == look.font() ? look : look.withFont(sized);
  }

  /** What the paragraphs of a story are set from, but for optical sizes. */
  public static List<ParagraphKey> paragraphs(Story story, ResolvedLayer resolved) {
    return LayoutKey.of(story, resolved, true, look -> look).paragraphs();
  }

  private static int weight(LayoutKey key) {
    return key.paragraphs().stream().mapToInt(paragraph -> paragraph.text().length() + 16).sum();
  }

  private TextLayout set(LayoutKey key) {
    return key.fit() == BoxFit.SHRINK ? shrunk(key) : set(key, 1);
  }

  /** The largest size, in whole percents, at which the text fits its box; the least one if none. */
  private TextLayout shrunk(LayoutKey key) {
    TextLayout full = set(key, 1);
    if (full.overset().isEmpty()) {
      return full;
    }
    int low = (int) Math.ceil(key.inside().shrinkTo() * 100);
    int high = 99;
    TextLayout best = null;
    while (low <= high) {
      int middle = (low + high + 1) / 2;
      TextLayout tried = set(key.scaled(middle / 100.0), middle / 100.0);
      if (tried.overset().isEmpty()) {
        best = tried;
        low = middle + 1;
      } else {
        high = middle - 1;
      }
    }
    double least = key.inside().shrinkTo();
    return best != null ? best : set(key.scaled(least), least);
  }

  private TextLayout set(LayoutKey key, double scale) {
    List<ComposedParagraph> composed = composed(key);
    Set<String> missingFamilies = new TreeSet<>();
    Set<Integer> missingGlyphs = new TreeSet<>();
    boolean tooWide = false;
    for (ComposedParagraph paragraph : composed) {
      missingFamilies.addAll(paragraph.shaped().missingFamilies());
      missingGlyphs.addAll(paragraph.missingGlyphs());
      tooWide |= paragraph.tooWide();
    }
    double width = key.isPoint() ? widest(key, composed) : key.measure();
    List<ComposedParagraph> inWidth = key.isPoint() ? composed(key, width) : composed;
    Columns columns = new Columns(key.paragraphs(), inWidth, key.inside(), width);
    boolean high = key.fit() == BoxFit.FIXED || key.fit() == BoxFit.SHRINK;
    double height = high ? key.depth() : Double.POSITIVE_INFINITY;
    Columns.Stack stack = key.fit() == BoxFit.GROW ? columns.balanced() : columns.stack(height);
    List<Line> lines = high ? columns.aligned(stack, height) : stack.lines();
    double shownHeight = high ? height : stack.bottom();
    Optional<Overset> overset =
        key.isPoint() ? Optional.empty() : overset(stack, lines, height, tooWide);
    WritingMode mode = key.inside().mode();
    if (!mode.isVertical()) {
      return new TextLayout(
          lines, width, shownHeight, scale, overset, missingFamilies, missingGlyphs);
    }
    LineAxes axes = new LineAxes(mode, shownHeight);
    return new TextLayout(
        lines.stream().map(line -> line.in(axes)).toList(),
        shownHeight,
        width,
        scale,
        overset,
        missingFamilies,
        missingGlyphs);
  }

  private List<ComposedParagraph> composed(LayoutKey key) {
    return key.isPoint()
        ? composed(key, 0)
        : composed(key, key.inside().columnWidth(key.measure()));
  }

  private List<ComposedParagraph> composed(LayoutKey key, double width) {
    List<ComposedParagraph> composed = new ArrayList<>(key.paragraphs().size());
    int place = 0;
    for (int index = 0; index < key.paragraphs().size(); index++) {
      ParagraphKey paragraph = key.paragraphs().get(index);
      boolean goesOn =
          index > 0
              && ListMarks.countsOn(
                  key.paragraphs().get(index - 1).settings().list(), paragraph.settings().list());
      place = goesOn ? place + 1 : 0;
      String mark = ListMarks.of(paragraph.settings().list(), place);
      double measure = key.isPoint() ? Double.POSITIVE_INFINITY : width;
      composed.add(composer.compose(paragraph, measure, width, mark));
    }
    return composed;
  }

  /** The width that the lines of point text take, indents included. */
  private static double widest(LayoutKey key, List<ComposedParagraph> composed) {
    double widest = 0;
    for (int index = 0; index < composed.size(); index++) {
      double end = key.paragraphs().get(index).settings().indents().end();
      for (var line : composed.get(index).lines()) {
        widest = Math.max(widest, line.needed() + end);
      }
    }
    return widest;
  }

  private static Optional<Overset> overset(
      Columns.Stack stack, List<Line> lines, double height, boolean tooWide) {
    // where nothing is written nothing is lost, however low the box: a shape has no words
    if (lines.stream().allMatch(line -> line.start() == line.end())) {
      return Optional.empty();
    }
    boolean low = lines.getFirst().bottom() > height + Columns.SLACK;
    if (stack.hidden() == 0 && !tooWide && !low) {
      return Optional.empty();
    }
    List<Line> hidden = lines.subList(lines.size() - stack.hidden(), lines.size());
    int units = hidden.stream().mapToInt(line -> line.end() - line.start()).sum();
    return Optional.of(new Overset(stack.hidden(), units, tooWide));
  }
}
